import { decoded } from './decoded';
import { readRoster } from './roster';
import { readTable } from './table';

const roster = (text: string) => {
  const read = readTable(text);
  if (!read.ok) throw new Error(read.reason);
  return readRoster(read.table);
};

test('a roster is read by the usual names of its columns', () => {
  const { people, problems, read, left } = roster(
    [
      'Spring Invitational;;;;;',
      'Surname;First name;School;Bib;Take-off foot;Owed;Coach',
      'LOCK;Ash;Fernley HS;1043;L;2;x',
      'Tarn;Bea;Marlow HS;;right;;y',
      'Tarn;Bea;Marlow HS;;right;;y',
    ].join('\n'),
  );
  expect(problems).toEqual([]);
  expect(people).toEqual([
    { name: 'Ash Lock', number: '1043', client: 'Fernley HS', foot: 'left', keepers: 2 },
    { name: 'Bea Tarn', client: 'Marlow HS', foot: 'right' },
  ]);
  expect(read).toEqual(['Surname', 'First name', 'School', 'Bib', 'Take-off foot', 'Owed']);
  expect(left).toEqual(['Coach']);
});

test('rows that can’t be read are named with what they need', () => {
  const { people, problems } = roster(
    'Name,School,Lane,Foot,Owed\nAsh Lock,Fernley,4,left,1\n,Fernley,,,\nBea Tarn,Marlow,40,,\nCy Holt,Marlow,,middle,\nDee,Marlow,,,many',
  );
  expect(people.map(({ name }) => name)).toEqual(['Ash Lock']);
  expect(problems).toEqual([
    { line: 3, reason: 'there is no name' },
    { line: 4, reason: 'lane “40” is no number up to 20' },
    { line: 5, reason: 'foot “middle” must be left, right or both' },
    { line: 6, reason: '“many” owed is no number up to 100' },
  ]);
});

const bytes = (text: string, encoding: 'latin1' | 'utf16le' | 'utf8', mark: number[] = []) =>
  new Uint8Array([...mark, ...Buffer.from(text, encoding)]);
const TEXT = 'Name;School\nMüller, Zoë;Größingen\nÅs, Søren;Fernley – unten\n';

test.each([
  ['UTF-8', bytes(TEXT, 'utf8'), TEXT],
  ['UTF-8 with a byte-order mark', bytes(TEXT, 'utf8', [0xef, 0xbb, 0xbf]), TEXT],
  ['UTF-16, little end first', bytes(TEXT, 'utf16le', [0xff, 0xfe]), TEXT],
  [
    'UTF-16, big end first',
    new Uint8Array([0xfe, 0xff, ...Buffer.from(TEXT, 'utf16le').swap16()]),
    TEXT,
  ],
  // Its letters alone: this Node reads 0x80 to 0x9f as Latin-1 does. The browser's is tried in e2e/meet.spec.ts.
  ['Windows-1252', bytes(TEXT.replace(' – unten', ''), 'latin1'), TEXT.replace(' – unten', '')],
])('%s is told and read', (_name, file, text) => {
  expect(decoded(file).replace(/^\uFEFF/, '')).toBe(text);
});
