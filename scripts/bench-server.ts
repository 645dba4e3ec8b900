import autocannon from 'autocannon';
import { spawn } from 'node:child_process';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';

const CONNECTIONS = 50;
const SECONDS = 8;
const MANY = 100_000;

const SCRIPTS = path.resolve(__dirname, '../dist/_expo/static/js/web');

const PORT = 8743;

/** The server as `npm start` runs it, in a process of its own. */
export async function started() {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/index.ts'], {
    cwd: path.resolve(__dirname, '..'),
    env: { ...process.env, NODE_ENV: 'production', PORT: String(PORT) },
  });
  const said = await new Promise<string>((resolve, reject) => {
    child.stdout.on('data', (text: Buffer) => {
      const [, at] = /is at (\S+)/.exec(text.toString()) ?? [];
      if (at) resolve(at);
    });
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
  });
  const megabytes = () =>
    Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))?.[1]) / 1000;
  return { base: said, megabytes, stop: () => child.kill('SIGTERM') };
}

/** Requests a second and the slow end of what each takes, at fifty connections; memory over many requests. */
export async function benchServer(): Promise<void> {
  const { base, megabytes, stop } = await started();
  const [largest] = readdirSync(SCRIPTS)
    .filter((name) => name.endsWith('.js'))
    .sort((a, b) => statSync(path.join(SCRIPTS, b)).size - statSync(path.join(SCRIPTS, a)).size);
  const headers = { 'accept-encoding': 'gzip, deflate, br' };
  const row = async (what: string, url: string) => {
    const { requests, latency, non2xx, errors } = await autocannon({
      ...{ url, headers, connections: CONNECTIONS, duration: SECONDS },
    });
    console.log(
      `${what.padEnd(44)} ${String(Math.round(requests.average)).padStart(7)} /s   p99 ${latency.p99} ms   ${non2xx + errors} failed`,
    );
  };
  await row('server: the page', `${base}/shoot/demo-larkmoor/ground`);
  await row('server: the largest script, as sent', `${base}/_expo/static/js/web/${largest}`);
  const sizes = [megabytes()];
  for (let i = 0; i < 2; i += 1) {
    await autocannon({ url: `${base}/`, headers, connections: CONNECTIONS, amount: MANY });
    sizes.push(megabytes());
  }
  console.log(
    `server: memory before, after ${MANY} and twice as many requests: ${sizes.map((mb) => mb.toFixed(0)).join(', ')} MB`,
  );
  stop();
}
