import { spawn } from 'node:child_process';
import { ensureBuild, ensurePackages, ROOT } from './prepare.mjs';

ensurePackages();
ensureBuild();
const server = spawn(process.execPath, ['--import', 'tsx', 'server/index.ts'], {
  cwd: ROOT,
  stdio: 'inherit',
  env: { ...process.env, NODE_ENV: 'production' },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
