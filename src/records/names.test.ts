import { TERN_WATER } from '@/demo/tern-water';
import { FIRST_EVENT } from './day';
import { withEntry } from './edit-brief';
import { withListed } from './edit-people';
import { nameKey, personFinder, withPeopleLinked } from './names';
import { shootSchema, type Shoot } from './shoot';

test.each([
  ['LOCK, Ash', 'Ash Lock'],
  ['  ash   lock', 'Ash Lock'],
  ['Müller, Zoë', 'Zoe Muller'],
  ['Straße, Jo', 'Jo Strasse'],
  ["O'Reed, Cy", 'Cy O’Reed'],
])('“%s” and “%s” are one name', (a, b) => {
  expect(nameKey(a)).toBe(nameKey(b));
});

test('people are found by name, or by a number that one alone wears', () => {
  const find = personFinder([
    { id: 'a', name: 'Ash Lock', number: '12' },
    { id: 'b', name: 'Bea Tarn', number: '7' },
    { id: 'c', name: 'Cy Holt', number: '7' },
  ]);
  expect(find({ name: 'LOCK Ash' })?.id).toBe('a');
  expect(find({ name: '12' })?.id).toBe('a');
  expect(find({ name: '7' })).toBeUndefined();
  const stranger = { name: 'Somebody', number: '12' };
  expect(find(stranger)).toBeUndefined();
  expect(find({ name: 'Ash' })).toBeUndefined();
});

const withOrder: Shoot = {
  ...TERN_WATER,
  people: [],
  events: [
    {
      ...{ ...FIRST_EVENT, id: 'h1', name: '100 m', startLocal: '2027-06-19T10:00' },
      entries: [{ name: 'LOCK, Ash', lane: 4 }, { name: 'Bea Tarn' }],
    },
  ],
};

test('someone added after the order is put to the events that name them', () => {
  const next = withEntry(withOrder, 'people', { id: 'ash', name: 'Ash Lock' });
  expect(next.events[0]?.entries).toEqual([
    { name: 'Ash Lock', lane: 4, personId: 'ash' },
    { name: 'Bea Tarn' },
  ]);
  expect(withPeopleLinked(next)).toBe(next);
});

test('a roster adds people, brings known ones up to date, and keeps what is owed of them', () => {
  let made = 0;
  const newId = () => `p${(made += 1)}`;
  const once = withListed(
    withOrder,
    [
      { name: 'Ash Lock', client: 'Fernley', owed: [{ keepers: 2 }] },
      { name: 'Bea Tarn', client: 'Marlow' },
    ],
    newId,
  );
  expect(once.events[0]?.entries.map(({ personId }) => personId)).toEqual(['p1', 'p2']);
  const again = withListed(
    once,
    [{ name: 'LOCK, Ash', client: 'Fernley', number: '9', owed: [{ keepers: 1 }] }],
    newId,
  );
  expect(again.people).toHaveLength(2);
  expect(again.people[0]).toMatchObject({ id: 'p1', number: '9', owed: [{ keepers: 2 }] });
  expect(shootSchema.safeParse(again).success).toBe(true);
  // Two of one name in two schools are two.
  expect(withListed(once, [{ name: 'Ash Lock', client: 'Marlow' }], newId).people).toHaveLength(3);
  const many = Array.from({ length: 201 }, (_, i) => ({ name: `Runner ${i}` }));
  expect(withListed(once, many, newId)).toBe(once);
});
