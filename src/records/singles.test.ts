import { parseRecord } from './parse';
import { FIRST_PRACTICE } from './practice';
import { FIRST_QUICK } from './quick';
import { FIRST_SHELF } from './shelf';
import { COLUMNS, PRACTICE, QUICK, SHELF } from './singles';

test('a shelf of version 1 keeps its things and begins without floors', () => {
  const { floors: _floors, ...older } = FIRST_SHELF;
  const read = parseRecord({ ...older, version: 1, always: ['keys'] }, SHELF.kind);
  expect(read).toEqual({ ok: true, record: { ...FIRST_SHELF, always: ['keys'] } });
});

test('a quick answer of version 1 begins with nothing held', () => {
  const { held: _held, ...older } = FIRST_QUICK;
  const read = parseRecord({ ...older, version: 1, distanceM: 12 }, QUICK.kind);
  expect(read).toEqual({ ok: true, record: { ...FIRST_QUICK, distanceM: 12 } });
});

test('what was read of columns is kept as version 1, and of more than 200 names none is', () => {
  const byName = { race: 'name', off: 'start' };
  const kept = { version: 1, byName };
  expect(parseRecord(kept, COLUMNS.kind)).toEqual({ ok: true, record: kept });
  const names = Array.from({ length: 201 }, (_, i) => [`column ${i}`, 'skip'] as const);
  expect(parseRecord({ ...kept, byName: Object.fromEntries(names) }, COLUMNS.kind).ok).toBe(false);
});

test.each([1, 2])('what was practised in version %d is as it was', (version) => {
  const tries = [
    {
      ...{ kind: 'eye', id: 'e1', at: '2026-11-20T18:00:00.000Z' },
      ...{ task: 'height', offSteps: 1 },
    },
  ];
  const read = parseRecord({ ...FIRST_PRACTICE, version, tries }, PRACTICE.kind);
  expect(read).toEqual({ ok: true, record: { ...FIRST_PRACTICE, tries } });
});
