import fc from 'fast-check';
import { changedOnto } from './changes';

const entry = fc.record(
  {
    id: fc.constantFrom('a', 'b', 'c', 'd', 'e', '__proto__', 'constructor'),
    name: fc.string(),
    at: fc.record({ x: fc.integer() }),
    points: fc.array(fc.record({ x: fc.integer({ min: 0, max: 3 }) }), { maxLength: 4 }),
    why: fc.string(),
  },
  { requiredKeys: ['id', 'name'] },
);
const list = fc.uniqueArray(entry, { selector: ({ id }) => id, maxLength: 6 });
const minute = fc.constantFrom('18:00', '18:01', '18:02');
const record = fc
  .record({
    title: fc.string(),
    marks: list,
    log: fc.record({ entries: list }),
    kit: fc.record({
      packed: fc.uniqueArray(fc.constantFrom('cards', 'water', 'hat'), { maxLength: 3 }),
      floors: fc.dictionary(fc.constantFrom('bird', 'a.b', '$x', '__proto__'), fc.integer()),
    }),
    watches: fc.uniqueArray(
      fc.record({ id: fc.constantFrom('v', 'w'), visitsLocal: fc.array(minute, { maxLength: 4 }) }),
      { selector: ({ id }) => id },
    ),
    light: fc.option(fc.record({ lux: fc.integer() }), { nil: null }),
  })
  .map((made) => JSON.parse(JSON.stringify(made)) as typeof made);

/** Whatever the order of what is only a set. */
const sorted = (made: { kit: { packed: string[] }; watches: { id: string }[] }) => ({
  ...made,
  kit: { ...made.kit, packed: [...made.kit.packed].sort() },
  watches: made.watches.map((watch) => ({
    ...watch,
    visitsLocal: [...(watch as unknown as { visitsLocal: string[] }).visitsLocal].sort(),
  })),
});

test('a change done to the state it was made on gives the state it led to, in its order', () => {
  fc.assert(
    fc.property(record, record, (from, to) => {
      expect(sorted(changedOnto(from, to, structuredClone(from)))).toEqual(sorted(to));
      expect(changedOnto(from, from, to)).toBe(to);
      expect(changedOnto(from, to, from)).toBe(to);
    }),
    { numRuns: 1500 },
  );
});

test('nothing that was given is changed in place', () => {
  fc.assert(
    fc.property(record, record, record, (from, to, other) => {
      const before = JSON.stringify([from, to, other]);
      changedOnto(from, to, other);
      expect(JSON.stringify([from, to, other])).toBe(before);
    }),
  );
});

const BASE = {
  title: 'Larkmoor',
  marks: [
    { id: 'a', name: 'Circle', x: 1 },
    { id: 'b', name: 'Goal', x: 2 },
  ],
  log: { entries: [{ id: 'e1', kind: 'keeper' }] },
  kit: { packed: ['water'] },
  watches: [{ id: 'w', visitsLocal: ['18:00'] }],
};

test('two that change different things lose nothing', () => {
  const mine = {
    ...BASE,
    title: 'Mine',
    log: { entries: [...BASE.log.entries, { id: 'm', kind: 'keeper' }] },
    kit: { packed: ['water', 'hat'] },
    watches: [{ id: 'w', visitsLocal: ['18:00', '18:04'] }],
  };
  const theirs = {
    ...BASE,
    marks: [{ id: 'a', name: 'Circle', x: 7 }, BASE.marks[1]],
    log: { entries: [...BASE.log.entries, { id: 't', kind: 'note' }] },
    kit: { packed: ['water', 'cards'] },
    watches: [{ id: 'w', visitsLocal: ['18:00', '18:02'] }],
  };
  expect(changedOnto<object>(BASE, mine, theirs)).toEqual({
    title: 'Mine',
    marks: theirs.marks,
    log: {
      entries: [
        { id: 'e1', kind: 'keeper' },
        { id: 't', kind: 'note' },
        { id: 'm', kind: 'keeper' },
      ],
    },
    kit: { packed: ['water', 'cards', 'hat'] },
    watches: [{ id: 'w', visitsLocal: ['18:00', '18:02', '18:04'] }],
  });
});

test('what one moves, the other’s new entries stay behind their neighbours', () => {
  const moved = { ...BASE, marks: [...BASE.marks].reverse() };
  const added = { ...BASE, marks: [BASE.marks[0], { id: 'n', name: 'New', x: 0 }, BASE.marks[1]] };
  const both = changedOnto<object>(BASE, moved, added) as typeof BASE;
  expect(both.marks.map(({ id }) => id)).toEqual(['b', 'a', 'n']);
});

test('done twice it is done once', () => {
  fc.assert(
    fc.property(record, record, (from, to) => {
      const { watches: _from, ...before } = from;
      const { watches: _to, ...after } = to;
      expect(changedOnto<object>(before, after, structuredClone(after))).toEqual(after);
    }),
  );
});

test('two visits of one minute stay two', () => {
  const twice = { ...BASE, watches: [{ id: 'w', visitsLocal: ['18:00', '18:00'] }] };
  expect(changedOnto<object>(BASE, twice, structuredClone(BASE))).toEqual(twice);
});
