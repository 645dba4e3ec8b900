/**
 * The core without the interface: `npm run plan -- FILE [--at HH:MM] [--json]`. FILE is a shoot
 * exported by the app, or the id of a demo shoot (demo-larkmoor). A wrong file or time ends with
 * exit code 2 and what to change.
 */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { DEMO_SHOOTS } from '@/demo';
import { reportOf } from '@/answers/report';
import { reportText } from '@/features/shoot/report-text';
import { readShootFile } from '@/formats/shoot-json';
import type { Shoot } from '@/records/shoot';
import { atMsOf, hoursOf, msOf } from '@/records/times';

function refuse(reason: string): never {
  console.error(reason);
  process.exit(2);
}

function readShoot(name: string): Shoot {
  const demo = DEMO_SHOOTS.find(({ id }) => id === name);
  if (demo) return demo;
  let text: string;
  try {
    text = readFileSync(name, 'utf8');
  } catch (error) {
    return refuse(`${name}: can't be read (${error instanceof Error ? error.message : error})`);
  }
  const read = readShootFile(text);
  return read.ok ? read.record : refuse(`${name}: ${read.reason}`);
}

/** The moment asked for on the shoot's own day, within its hours and the margin round them. */
function momentOf(shoot: Shoot, at: string | undefined): number {
  const hours = hoursOf(shoot);
  if (at === undefined) return atMsOf(shoot, hours);
  if (!/^([01]\d|2[0-3]):[0-5]\d$/.test(at)) {
    return refuse(`--at ${at}: must be hours and minutes such as 19:30`);
  }
  const days = [shoot.startLocal, shoot.endLocal].map((minute) => minute.slice(0, 10));
  const found = days
    .map((day) => msOf(`${day}T${at}`, shoot.place.timeZone))
    .find((ms) => ms >= hours.fromMs && ms <= hours.toMs);
  return (
    found ??
    refuse(
      `--at ${at}: must be within the shoot, ${shoot.startLocal.slice(11)} to ${shoot.endLocal.slice(11)}, or half an hour round it`,
    )
  );
}

function options() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: { at: { type: 'string' }, json: { type: 'boolean', default: false } },
    });
  } catch (error) {
    return refuse(error instanceof Error ? error.message : String(error));
  }
}

const { values, positionals } = options();
const [file, ...more] = positionals;
if (file === undefined || more.length > 0) {
  refuse(
    `usage: npm run plan -- FILE [--at HH:MM] [--json]\nFILE is an exported shoot, or one of: ${DEMO_SHOOTS.map(({ id }) => id).join(', ')}`,
  );
}
const shoot = readShoot(file);
const report = reportOf(shoot, momentOf(shoot, values.at));
console.log(values.json ? JSON.stringify(report, null, 2) : reportText(report, shoot));
