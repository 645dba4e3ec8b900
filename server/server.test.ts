import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { Agent, get as httpGet, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { createApp } from './app';
import { listenOnFreePort } from './listen';
import { stopped } from './stop';

const HASHED = '_expo/static/js/web/entry-0123456789abcdef0123456789abcdef.js';

function fakeBuild(): string {
  const dir = mkdtempSync(path.join(tmpdir(), 'bright-perch-'));
  mkdirSync(path.join(dir, path.dirname(HASHED)), { recursive: true });
  writeFileSync(path.join(dir, 'index.html'), '<!doctype html><title>page</title>');
  writeFileSync(path.join(dir, HASHED), `/* ${'x'.repeat(4000)} */`);
  writeFileSync(path.join(dir, 'manifest.webmanifest'), '{}');
  for (const name of ['index.html', HASHED]) {
    const text = readFileSync(path.join(dir, name));
    writeFileSync(path.join(dir, `${name}.br`), brotliCompressSync(text));
    writeFileSync(path.join(dir, `${name}.gz`), gzipSync(text));
  }
  return dir;
}

const findNone = () => [];

let server: Server;
let base: string;
beforeAll(async () => {
  ({ server } = await listenOnFreePort(createApp(fakeBuild(), findNone), 0, jest.fn()));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => new Promise((resolve) => server.close(resolve)));

const get = (where: string, headers: Record<string, string> = {}) =>
  fetch(base + where, { headers });

test('answers that it is well', async () => {
  const response = await get('/healthz');
  expect(response.status).toBe(200);
  expect(await response.json()).toEqual({ status: 'ok' });
});

test('gives the page for any address of the app, to be asked again each time', async () => {
  for (const where of ['/', '/shoot/demo-larkmoor/light', '/new?x=1']) {
    const response = await get(where);
    expect(await response.text()).toContain('<title>page</title>');
    expect(response.headers.get('cache-control')).toBe('no-cache');
  }
});

test('hashed files are kept for ever, others an hour, all compressed', async () => {
  const hashed = await get(`/${HASHED}`, { 'accept-encoding': 'gzip' });
  expect(hashed.headers.get('cache-control')).toBe('public, max-age=31536000, immutable');
  expect(hashed.headers.get('content-encoding')).toBe('gzip');
  expect(hashed.headers.get('content-type')).toMatch(/^(text|application)\/javascript/);
  expect(await hashed.text()).toContain('xxxx');
  const best = await get('/shoot/a/light', { 'accept-encoding': 'gzip, br' });
  expect(best.headers.get('content-encoding')).toBe('br');
  expect(best.headers.get('cache-control')).toBe('no-cache');
  expect(await best.text()).toContain('<title>page</title>');
  const plain = await get(`/${HASHED}`, { 'accept-encoding': 'identity' });
  expect(plain.headers.get('content-encoding')).toBeNull();
  expect((await get('/manifest.webmanifest')).headers.get('cache-control')).toBe(
    'public, max-age=3600',
  );
});

test.each([
  '/_expo/static/js/web/gone.js',
  '/assets/gone.png',
  '/fonts/gone.woff2',
  '/robots.txt',
  '/favicon.ico',
  '/.env',
  '/index.php',
  '/_expo/..%2f..%2fpackage.json',
])('%s is not found rather than the page', async (where) => {
  expect((await get(where)).status).toBeGreaterThanOrEqual(400);
});

test('an address that is none says so, and nothing of the server', async () => {
  for (const where of ['/%', '/%ff', '/_expo/%', '/shoot/%E0%A4%A', '/api/%']) {
    const response = await get(where);
    expect(response.status).toBe(400);
    const text = await response.text();
    expect(text).not.toMatch(/at .*\(|node_modules|\.ts|\/work|Error:/);
    expect(text.length).toBeLessThan(60);
  }
  expect((await fetch(base, { method: 'POST' })).status).toBe(404);
});

test('a path out of the build leads to the page or nowhere', async () => {
  const response = await get('/..%2f..%2f..%2fetc/passwd');
  expect(await response.text()).not.toContain('root:');
});

test('headers: no script but its own, no eval, no frame, no guessing of types', async () => {
  const { headers } = await get('/');
  const policy = headers.get('content-security-policy') ?? '';
  expect(policy).toContain("script-src 'self';");
  expect(policy).not.toContain('unsafe-eval');
  expect(policy).toContain("frame-ancestors 'none'");
  expect(headers.get('x-content-type-options')).toBe('nosniff');
  expect(headers.get('x-powered-by')).toBeNull();
  expect(headers.get('permissions-policy')).toContain('geolocation=(self)');
  expect(headers.get('permissions-policy')).toContain('camera=()');
});

test('a taken port is said, and the next free one used', async () => {
  const taken = (server.address() as AddressInfo).port;
  const say = jest.fn();
  const second = await listenOnFreePort(createApp(fakeBuild(), findNone), taken, say);
  expect(second.port).toBeGreaterThan(taken);
  expect(say).toHaveBeenCalledWith(expect.stringContaining(`Port ${taken} is taken`));
  await new Promise((resolve) => second.server.close(resolve));
});

test('without a build it says what to run', () => {
  expect(() => createApp('/nowhere', findNone)).toThrow('npm run build');
});

test('the simulated forecast answers a whole question, and says what is wrong with another', async () => {
  const right = await get(
    '/api/forecast?latitudeDeg=53.1&longitudeDeg=-1.9&date=2027-04-16&weather=mist',
  );
  expect(right.status).toBe(200);
  expect(await right.json()).toMatchObject({ version: 1, simulated: true, weather: 'mist' });
  for (const query of [
    'latitudeDeg=&longitudeDeg=0&date=2027-04-16&weather=mist',
    'latitudeDeg=%20&longitudeDeg=0&date=2027-04-16&weather=mist',
    'latitudeDeg=1e2&longitudeDeg=0&date=2027-04-16&weather=mist',
    'latitudeDeg=99&longitudeDeg=0&date=2027-04-16&weather=mist',
    'latitudeDeg=9&longitudeDeg=0&date=2027-13-16&weather=mist',
    'latitudeDeg=9&longitudeDeg=0&date=2027-04-16&weather=frogs',
    'latitudeDeg=9&longitudeDeg=0&date=2027-04-16&weather=mist&more=1',
    'latitudeDeg=9&latitudeDeg=10&longitudeDeg=0&date=2027-04-16&weather=mist',
    '',
  ]) {
    const wrong = await get(`/api/forecast?${query}`);
    expect(wrong.status).toBe(400);
    expect((await wrong.json()).error.length).toBeGreaterThan(5);
  }
  expect((await get('/api/nothing')).status).toBe(404);
});

test('stopped, it answers all who asked in time, and then no one', async () => {
  const { server: own, port } = await listenOnFreePort(
    createApp(fakeBuild(), findNone),
    0,
    jest.fn(),
  );
  const agent = new Agent({ keepAlive: true, maxSockets: 20 });
  const ask = () =>
    new Promise<number | undefined>((resolve, reject) =>
      httpGet({ port, agent, path: '/' }, (response) => {
        response.resume();
        response.on('end', () => resolve(response.statusCode));
      }).on('error', reject),
    );
  await Promise.all(Array.from({ length: 20 }, ask));
  // Lines are open and idle; all of them ask as the word to stop comes, and a little after.
  const asked = Array.from({ length: 60 }, ask);
  const gone = stopped(own);
  const later = new Promise((resolve) => setTimeout(resolve, 100)).then(() =>
    Promise.all(Array.from({ length: 20 }, ask)),
  );
  const answers = await Promise.all([...asked, later]);
  expect(new Set(answers.flat())).toEqual(new Set([200]));
  await gone;
  await expect(ask()).rejects.toThrow(/ECONNREFUSED/);
  agent.destroy();
});
