/** A command line of `scripts` as a person runs it. */
import { spawnSync } from 'node:child_process';
import { buildSync } from 'esbuild';
import { existsSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const ROOT = path.resolve(__dirname, '..');

const dir = mkdtempSync(path.join(tmpdir(), 'bright-perch-'));

/** The script as one file, made at its first run: started by tsx it takes six times as long. */
function bundled(script: string): string {
  const outfile = path.join(dir, `${script}.cjs`);
  if (!existsSync(outfile)) {
    buildSync({
      ...{ entryPoints: [path.join(ROOT, `scripts/${script}.ts`)], outfile },
      ...{ bundle: true, platform: 'node', format: 'cjs' },
      ...{ alias: { '@': path.join(ROOT, 'src') }, logLevel: 'error' },
    });
  }
  return outfile;
}

/** Runs a script with arguments, in the clocks of a zone when one is named. */
export const runScript = (script: string, args: readonly string[], zone?: string) =>
  spawnSync(process.execPath, [bundled(script), ...args], {
    cwd: ROOT,
    encoding: 'utf8',
    env: zone === undefined ? process.env : { ...process.env, TZ: zone },
  });

/** Writes a file for a script to read; returns where it is. */
export const scriptFile = (name: string, content: unknown): string => {
  const place = path.join(dir, name);
  writeFileSync(place, typeof content === 'string' ? content : JSON.stringify(content));
  return place;
};
