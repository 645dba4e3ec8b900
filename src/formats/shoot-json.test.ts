import { DEMO_SHOOTS } from '@/demo';
import { SHOOT_VERSION, type Shoot } from '@/records/shoot';
import { LARGEST_FILE_BYTES, readShootFile, shootFileName, writeShootFile } from './shoot-json';

const [larkmoor] = DEMO_SHOOTS as [Shoot];
const reasonFor = (text: string): string => {
  const read = readShootFile(text);
  return read.ok ? 'accepted' : read.reason;
};
const fileWith = (change: object) =>
  JSON.stringify({ format: 'bright-perch/shoot', shoot: { ...larkmoor, ...change } });

test.each(DEMO_SHOOTS.map((shoot) => [shoot.title, shoot] as const))(
  '%s goes out and comes back the same',
  (_t, shoot) => {
    expect(readShootFile(writeShootFile(shoot))).toEqual({ ok: true, record: shoot });
  },
);

test.each([
  ['nothing', '', /not JSON/],
  ['half a file', writeShootFile(larkmoor).slice(0, 900), /not JSON/],
  ['another format', '{"format":"gpx","shoot":{}}', /^format: .*not "gpx"/],
  ['some JSON', '[1,2,3]', /^format:/],
  ['null', 'null', /^format:/],
  ['a wrong field', fileWith({ endLocal: 'late' }), /^shoot\.endLocal:/],
  [
    'a wrong mark',
    fileWith({ marks: [{ ...larkmoor.marks[0], x: null }] }),
    /^shoot\.marks\[0\]\.x:/,
  ],
  ['an extra field', fileWith({ script: '<img src=x>' }), /script/],
  ['a newer version', fileWith({ version: SHOOT_VERSION + 1 }), /newer Bright Perch/],
  ['a picture called .json', '\u0089PNG\r\n', /not JSON/],
  ['too much', ' '.repeat(LARGEST_FILE_BYTES + 1), /over 4 MB/],
  [
    'too many marks',
    fileWith({
      marks: Array.from({ length: 500 }, (_, i) => ({ ...larkmoor.marks[0], id: `m${i}` })),
    }),
    /^shoot\.marks:/,
  ],
])('%s is refused with the reason', (_what, text, reason) => {
  expect(reasonFor(text)).toMatch(reason);
});

test('a file can not reach into the program through its keys', () => {
  const hostile = fileWith({}).replace('"title"', '"__proto__":{"polluted":1},"title"');
  reasonFor(hostile);
  expect({}).not.toHaveProperty('polluted');
});

test.each([
  ['Larkmoor, evening hockey', 'larkmoor-evening-hockey.shoot.json'],
  ['Żółta łąka / ../etc', 'zo-ta-aka-etc.shoot.json'],
  ['日本', 'shoot.shoot.json'],
])('%s is filed as %s', (title, name) => {
  expect(shootFileName({ ...larkmoor, title })).toBe(name);
});
