import { spawn } from 'node:child_process';
import { once } from 'node:events';
import path from 'node:path';
import { expect, test } from '@playwright/test';

test.skip(({ isMobile }) => !isMobile, 'once is enough');

test('the server says where it is, answers, and stops cleanly when asked', async () => {
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/index.ts'], {
    cwd: path.resolve(__dirname, '..'),
    env: { ...process.env, PORT: '0' },
  });
  let said = '';
  server.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
  await expect.poll(() => said, { timeout: 20_000 }).toMatch(/http:\/\/localhost:\d+/);
  const address = /http:\/\/localhost:(\d+)/.exec(said)?.[1];
  const health = await fetch(`http://127.0.0.1:${address}/healthz`);
  expect(await health.json()).toEqual({ status: 'ok' });
  server.kill('SIGTERM');
  const [code] = await once(server, 'exit');
  expect(code).toBe(0);
  expect(said).toMatch(/Stopping\./);
});
