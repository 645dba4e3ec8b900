import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { DEMO_SHOOTS } from '@/demo';
import { firstItem } from '@/records/edit-kit';
import { comparedKept, mergedKept } from '@/records/merge-kept';
import { FIRST_CAPTIONS } from '@/records/captions';
import { FIRST_COLUMNS } from '@/records/columns';
import { FIRST_PRACTICE, type Try } from '@/records/practice';
import { FIRST_QUICK } from '@/records/quick';
import { FIRST_SHELF } from '@/records/shelf';
import { SHOOT_VERSION, type Shoot } from '@/records/shoot';
import type { Kept } from '@/records/storage';
import { BACKUP_FORMAT, backupFileName, readBackup, writeBackup } from './backup-json';

const WRITTEN_AT = '2027-04-16T21:00:00.000Z';
const pressed = (id: string, at: string): Try => ({
  ...{ kind: 'moment', id, at, moment: 'jump', lateS: 0.06 },
});
const KEPT: Kept = {
  shoots: DEMO_SHOOTS,
  quick: { ...FIRST_QUICK, distanceM: 44 },
  shelf: { ...FIRST_SHELF, items: [firstItem('lens', 'own-1')], always: ['Keys'] },
  columns: { ...FIRST_COLUMNS, byName: { race: 'name' } },
  captions: { ...FIRST_CAPTIONS, photographer: 'A. Finch' },
  practice: { ...FIRST_PRACTICE, tries: [pressed('p1', WRITTEN_AT)] },
  setAside: [
    { key: 'bright-perch/shoot/x', reason: 'cut off', text: '{"a', setAsideAt: WRITTEN_AT },
  ],
};
const TEXT = writeBackup({ writtenAt: WRITTEN_AT, kept: KEPT });

const reason = (text: string): string => {
  const read = readBackup(text);
  return read.ok ? 'read' : read.reason;
};
const changed = (change: (file: Record<string, unknown>) => void): string => {
  const file = JSON.parse(TEXT) as Record<string, unknown>;
  change(file);
  return JSON.stringify(file);
};

test('what is written reads back whole', () => {
  expect(readBackup(TEXT)).toEqual({ ok: true, record: { writtenAt: WRITTEN_AT, kept: KEPT } });
  expect(backupFileName(WRITTEN_AT)).toBe('bright-perch-2027-04-16.backup.json');
});

test('shoots of every older version are lifted on the way', () => {
  const old = [
    'alder-reach-v1',
    'larkmoor-v2',
    'tern-water-v3',
    'larkmoor-v4',
    'larkmoor-v5',
    'tern-water-v6',
    'larkmoor-v7',
  ].map((name, i) => ({
    ...JSON.parse(
      readFileSync(path.join(__dirname, `../records/fixtures/${name}.shoot.json`), 'utf8'),
    ).shoot,
    id: `old-${i}`,
  }));
  const read = readBackup(changed((file) => (file.shoots = old)));
  if (!read.ok) throw new Error(read.reason);
  expect(read.record.kept.shoots.map(({ version }) => version)).toEqual(
    old.map(() => SHOOT_VERSION),
  );
});

test('a backup from before there was practice brings none, and takes none away', () => {
  const read = readBackup(changed((file) => delete file.practice));
  if (!read.ok) throw new Error(read.reason);
  expect(read.record.kept.practice).toEqual(FIRST_PRACTICE);
  expect(mergedKept(KEPT, read.record.kept).practice).toEqual(KEPT.practice);
});

test.each([
  ['<html>', /not JSON/],
  [TEXT.slice(0, 2000), /cut off/],
  ['null', /^format: must be "bright-perch\/backup"/],
  ['{"format":"bright-perch/shoot"}', /one shoot, not a backup/],
  [changed((file) => (file.version = 5)), /^version: must be 1 to 4, not 5/],
  [changed((file) => (file.version = 'x'.repeat(9e6))), /^version: must be 1 to 4, not "x{59}…$/],
  [changed((file) => (file.setAside = [{ key: 1 }])), /^setAside\[0\]\.key:/],
  [changed((file) => (file.writtenAt = 'yesterday')), /^writtenAt:/],
  [changed((file) => (file.shoots = {})), /^shoots: must be a list/],
  [changed((file) => (file.shoots = [...DEMO_SHOOTS, DEMO_SHOOTS[0]])), /^shoots\[3\]\.id/],
  [
    changed((file) => ((file.shoots as Shoot[])[1] = { ...DEMO_SHOOTS[1], title: '' } as Shoot)),
    /^shoots\[1\]\.title: must not be empty/,
  ],
  [changed((file) => (file.quick = { version: 1 })), /^quick\./],
  [changed((file) => (file.shelf = [])), /^shelf\./],
  [changed((file) => delete file.columns), /^columns\./],
  [
    changed((file) => (file.practice = { ...KEPT.practice, tries: [{ kind: 'pan' }] })),
    /^practice\.tries\[0\]\./,
  ],
  [' '.repeat(30_000_001), /over 30 MB/],
])('a backup that is wrong is refused whole, with what is wrong (%#)', (text, why) => {
  expect(reason(text)).toMatch(why);
});

test('no cut and no flipped letter gets half a backup in', () => {
  fc.assert(
    fc.property(fc.nat(TEXT.length - 2), (at) => {
      expect(readBackup(TEXT.slice(0, at)).ok).toBe(false);
    }),
    { numRuns: 60 },
  );
});

const [larkmoor, alder] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const later = (shoot: Shoot): Shoot => ({
  ...shoot,
  title: `${shoot.title} later`,
  updatedAt: '2027-06-01T00:00:00.000Z',
});

test('put together, nothing goes away, and of two the one changed last is kept', () => {
  const here: Kept = { ...KEPT, shoots: [later(larkmoor), alder] };
  const backup: Kept = {
    ...KEPT,
    shoots: [larkmoor, later(alder), { ...larkmoor, id: 'another' }],
    shelf: { ...FIRST_SHELF, items: [firstItem('card', 'own-2')], always: ['Keys', 'Sandwich'] },
    practice: {
      ...FIRST_PRACTICE,
      tries: [pressed('p0', '2027-04-01T21:00:00.000Z'), pressed('p1', WRITTEN_AT)],
    },
  };
  const both = mergedKept(here, backup);
  expect(both.shoots).toEqual([later(larkmoor), later(alder), { ...larkmoor, id: 'another' }]);
  expect(both.shelf.items.map(({ id }) => id)).toEqual(['own-1', 'own-2']);
  expect(both.shelf.always).toEqual(['Keys', 'Sandwich']);
  expect(both.practice.tries.map(({ id }) => id)).toEqual(['p0', 'p1']);
  expect(comparedKept(here, backup)).toEqual({
    shoots: 3,
    fresh: 1,
    newerHere: 1,
    newerInBackup: 1,
    onlyHere: 0,
  });
  expect(mergedKept(both, backup)).toEqual(both);
  expect(
    readBackup(
      JSON.stringify({ format: BACKUP_FORMAT, version: 1, writtenAt: WRITTEN_AT, ...both }),
    ).ok,
  ).toBe(true);
});
