/** A command line of `scripts` as a person runs it. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const ROOT = path.resolve(__dirname, '..');

/** Runs a script with arguments, in the clocks of a zone when one is named. */
export const runScript = (script: string, args: readonly string[], zone?: string) =>
  spawnSync(process.execPath, ['--import', 'tsx', `scripts/${script}.ts`, ...args], {
    cwd: ROOT,
    encoding: 'utf8',
    env: zone === undefined ? process.env : { ...process.env, TZ: zone },
  });

const dir = mkdtempSync(path.join(tmpdir(), 'bright-perch-'));

/** Writes a file for a script to read; returns where it is. */
export const scriptFile = (name: string, content: unknown): string => {
  const place = path.join(dir, name);
  writeFileSync(place, typeof content === 'string' ? content : JSON.stringify(content));
  return place;
};
