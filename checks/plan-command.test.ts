/** The command line as a person runs it: exported file in, answer or refusal out. */
import { DEMO_SHOOTS } from '@/demo';
import { writeShootFile } from '@/formats/shoot-json';
import type { Shoot } from '@/records/shoot';
import { runScript, scriptFile as file } from './run-script';

jest.setTimeout(30_000);

const plan = (...args: readonly string[]) => runScript('plan', args, 'America/New_York');

test('an exported shoot is answered at the place’s own clock, as text and as JSON', () => {
  const exported = file('larkmoor.shoot.json', writeShootFile(DEMO_SHOOTS[0] as Shoot));
  const text = plan(exported, '--at', '19:30');
  expect(text.status).toBe(0);
  expect(text.stdout).toMatch(/at 19:30 \(Europe\/London\)/);
  expect(text.stdout).toMatch(/Settings card/);
  const json = plan(exported, '--at', '19:30', '--json');
  expect(JSON.parse(json.stdout)).toMatchObject({
    title: 'Larkmoor, evening hockey',
    atMs: Date.parse('2027-04-16T18:30:00Z'),
  });
});

test.each([
  ['no file', [], /usage: npm run plan/],
  ['a file that is not there', ['/nowhere/shoot.json'], /can't be read/],
  ['damaged JSON', [file('cut.json', '{"format":')], /not JSON, or it is cut off/],
  ['another format', [file('other.json', '{"format":"x","shoot":{}}')], /format: must be/],
  [
    'a field that is wrong',
    [
      file(
        'wrong.json',
        writeShootFile({
          ...(DEMO_SHOOTS[0] as Shoot),
          place: { ...(DEMO_SHOOTS[0] as Shoot).place, latitudeDeg: 95 },
        }),
      ),
    ],
    /shoot\.place\.latitudeDeg: must be from -90 to 90/,
  ],
  ['a time that is none', ['demo-larkmoor', '--at', '25:00'], /--at 25:00: must be hours/],
  ['a time outside the shoot', ['demo-larkmoor', '--at', '09:00'], /must be within the shoot/],
  ['an unknown option', ['demo-larkmoor', '--colour'], /--colour/],
])('%s ends with code 2 and what to change', (_what, args, message) => {
  const { status, stderr } = plan(...args);
  expect(status).toBe(2);
  expect(stderr).toMatch(message);
});
