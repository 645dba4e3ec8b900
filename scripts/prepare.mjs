/**
 * What both README commands need first: packages as locked, and a build no older than its sources.
 * A stamp beside each keeps a second run short.
 */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
const CACHE = path.join(ROOT, '.cache');

/** Runs a command in the project's folder with its output shown; ends this program if it fails. */
export function run(command, args, env = {}) {
  const { status } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  if (status !== 0) {
    console.error(`${command} ${args.join(' ')} failed`);
    process.exit(status ?? 1);
  }
}

function filesUnder(name) {
  const place = path.join(ROOT, name);
  if (!existsSync(place)) return [];
  if (statSync(place).isFile()) return [name];
  return readdirSync(place).flatMap((entry) => filesUnder(path.join(name, entry)));
}

function hashOf(names) {
  const hash = createHash('sha256');
  for (const name of names.flatMap(filesUnder).sort()) {
    hash.update(name).update(readFileSync(path.join(ROOT, name)));
  }
  return hash.digest('hex');
}

/** Does the work unless the same sources were done before and its results are still there. */
function unlessDone(label, sources, results, work) {
  const stamp = path.join(CACHE, `${label}.sha256`);
  const now = hashOf(sources);
  const done = existsSync(stamp) && readFileSync(stamp, 'utf8') === now;
  if (done && results.every((result) => existsSync(path.join(ROOT, result)))) return;
  work();
  mkdirSync(CACHE, { recursive: true });
  writeFileSync(stamp, now);
}

export function ensurePackages() {
  unlessDone('packages', ['package-lock.json'], ['node_modules/.package-lock.json'], () => {
    console.log('Installing packages …');
    run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund']);
  });
}

const BUILD_SOURCES = [
  'src',
  'public',
  'app.json',
  'babel.config.js',
  'metro.config.js',
  'tailwind.config.js',
  'package-lock.json',
  'scripts/places.ts',
  'scripts/geonames.ts',
  'scripts/chunks.mjs',
  'scripts/stand-ins',
  'scripts/service-worker.mjs',
  'scripts/compress.mjs',
];

export function ensureBuild() {
  unlessDone('build', BUILD_SOURCES, ['dist/sw.js.br', 'build/places/entries.bin'], () => {
    console.log('Building the app (a minute or two the first time) …');
    // Left to itself the bundler keeps to half the cores.
    const workers = String(availableParallelism());
    run('npx', ['expo', 'export', '--platform', 'web', '--max-workers', workers], {
      EXPO_OFFLINE: '1',
      EXPO_NO_TELEMETRY: '1',
      CI: '1',
    });
    run('node', ['scripts/chunks.mjs']);
    run('npx', ['tsx', 'scripts/places.ts']);
    run('node', ['scripts/service-worker.mjs']);
    run('node', ['scripts/compress.mjs']);
  });
}
