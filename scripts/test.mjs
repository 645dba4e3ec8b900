/**
 * Everything that is checked, from a fresh clone: lint and format, types, unit tests and checks,
 * the build, the real browser. All parts run even when one fails; the last line counts.
 */
import { Buffer } from 'node:buffer';
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBuild, ensurePackages, ROOT, run } from './prepare.mjs';

const CHROMIUM = '/usr/bin/chromium';
const total = { passed: 0, failed: 0 };

function ensureChromium() {
  if (existsSync(CHROMIUM)) return;
  console.log('Installing Chromium …');
  run('apt-get', ['update', '-qq']);
  run('apt-get', ['install', '-y', '-qq', 'chromium'], { DEBIAN_FRONTEND: 'noninteractive' });
}

function add(name, passed, failed) {
  total.passed += passed;
  total.failed += failed;
  console.log(`\n— ${name}: ${passed} passed, ${failed} failed\n`);
}

/** Runs a command to its end; whether it went well. Its output is shown as it comes, or at once at the end. */
const attempt = (command, args, { atOnce = false } = {}) =>
  new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: atOnce ? 'pipe' : 'inherit' });
    const said = [];
    child.stdout?.on('data', (part) => said.push(part));
    child.stderr?.on('data', (part) => said.push(part));
    child.on('close', (code) => {
      process.stdout.write(Buffer.concat(said));
      resolve(code === 0);
    });
  });

/** One check that either holds or not, beside others. */
async function check(name, command, args) {
  const held = await attempt(command, args, { atOnce: true });
  add(name, held ? 1 : 0, held ? 0 : 1);
}

/** A runner that writes its counts to a file; no file, or a red run without a failure, is one failure. */
async function counted(name, file, command, args, countsOf) {
  const report = path.join(ROOT, '.cache', file);
  mkdirSync(path.dirname(report), { recursive: true });
  rmSync(report, { force: true });
  const green = await attempt(command, args);
  const counts = existsSync(report)
    ? countsOf(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failed: 0 };
  add(name, counts.passed, green ? counts.failed : Math.max(1, counts.failed));
}

ensurePackages();
ensureChromium();
// Lint keeps one core busy for two minutes, so the rest that needs one core goes beside it.
await Promise.all([
  check('lint and format', 'npm', ['run', '--silent', 'lint']),
  check('types', 'npm', ['run', '--silent', 'types']).then(ensureBuild),
]);
await counted(
  'unit tests and checks',
  'jest.json',
  'npx',
  ['jest', '--json', '--outputFile=.cache/jest.json', '--silent'],
  ({ numPassedTests, numFailedTests, numRuntimeErrorTestSuites }) => ({
    passed: numPassedTests,
    failed: numFailedTests + numRuntimeErrorTestSuites,
  }),
);
await counted('in the browser', 'e2e.json', 'npx', ['playwright', 'test'], ({ stats }) => {
  if (stats.flaky > 0) console.log(`${stats.flaky} in the browser held only at the second try`);
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected };
});

console.log(`${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 ? 0 : 1);
