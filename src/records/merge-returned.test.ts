import fc from 'fast-check';
import { TERN_WATER } from '@/demo/tern-water';
import type { Watch } from './day';
import { framesOf, withFrames } from './edit-log';
import type { Frame } from './frames';
import type { LogEntry } from './log';
import { isNews, returnedOf, withReturned } from './merge-returned';
import type { Reading } from './reading';
import { shootSchema, type Shoot } from './shoot';

const EARLIER = '2027-06-19T10:00:00Z';
const LATER = '2027-06-19T16:00:00Z';
const base: Shoot = { ...TERN_WATER, readings: [], watches: [], updatedAt: EARLIER };
const [mark, position] = [base.marks[0], base.positions[0]];

const keeper = (id: string, second: number, personIds?: string[]): LogEntry => ({
  ...{ id, kind: 'keeper', atLocal: `2027-06-19T10:00:${String(second % 60).padStart(2, '0')}` },
  ...{ markId: mark?.id ?? '', positionId: position?.id ?? '' },
  ...(personIds && { personIds }),
});
const reading = (id: string): Reading => ({
  ...{ id, name: id, x: 0, y: 0, upM: 1, faceDeg: 0, atLocal: '2027-06-19T11:00' },
  ...{ by: 'meter', ev: 13, simulated: false },
});
const watch = (id: string, toLocal: string, visitsLocal: string[], open = false): Watch => ({
  ...{ id, markId: mark?.id ?? '', fromLocal: '2027-06-19T10:00', toLocal, visitsLocal },
  ...(open && { open: true as const }),
});
const frame = (name: string): Frame => ({
  ...{ name, cameraMs: 1_000_000, camera: 'a', shutterS: 1 / 500, aperture: 4, iso: 400 },
});
const withEntries = (shoot: Shoot, entries: readonly LogEntry[]): Shoot => ({
  ...shoot,
  log: { ...shoot.log, entries: [...entries] },
});
const idsOf = (shoot: Shoot) => shoot.log.entries.map(({ id }) => id);

test('what was logged on both is there once, in order of time; again nothing is new', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.nat({ max: 59 }), { maxLength: 20 }),
      fc.uniqueArray(fc.nat({ max: 59 }), { maxLength: 20 }),
      (mine, theirs) => {
        const here = withEntries(
          base,
          mine.map((n) => keeper(`k${n}`, n)),
        );
        const back = withEntries(
          base,
          theirs.map((n) => keeper(`k${n}`, n)),
        );
        const merged = withReturned(here, back);
        const all = [...new Set([...mine, ...theirs])].sort((a, b) => a - b);
        expect(idsOf(merged)).toEqual(all.map((n) => `k${n}`));
        expect(returnedOf(here, back).entries).toHaveLength(all.length - mine.length);
        expect(isNews(returnedOf(merged, back))).toBe(false);
        expect(withReturned(merged, back)).toEqual(merged);
        expect(shootSchema.safeParse(merged).success).toBe(true);
      },
    ),
    { numRuns: 50 },
  );
});

test('readings, hours watched and pictures join; visits are counted once', () => {
  const here: Shoot = {
    ...base,
    readings: [reading('r1')],
    watches: [watch('w1', '2027-06-19T11:00', ['2027-06-19T10:10'], true)],
  };
  const back: Shoot = {
    ...base,
    readings: [reading('r1'), reading('r2')],
    watches: [
      watch('w1', '2027-06-19T12:00', ['2027-06-19T10:10', '2027-06-19T11:30']),
      watch('w2', '2027-06-19T12:00', []),
    ],
  };
  const news = returnedOf(here, back);
  expect(news).toMatchObject({ readings: [{ id: 'r2' }], watches: [{ id: 'w1' }, { id: 'w2' }] });
  const merged = withReturned(here, back);
  expect(merged.readings.map(({ id }) => id)).toEqual(['r1', 'r2']);
  expect(merged.watches).toEqual([
    watch('w1', '2027-06-19T12:00', ['2027-06-19T10:10', '2027-06-19T11:30']),
    watch('w2', '2027-06-19T12:00', []),
  ]);
});

test('pictures read in there join those read in here, and what is kept here stays so', () => {
  const mine = withFrames(base, [{ ...frame('A'), kept: true }]);
  const theirs = withFrames(base, [{ ...frame('A'), kept: false }, frame('B')]);
  expect(returnedOf(mine, theirs).frames).toBe(1);
  const merged = framesOf(withReturned(mine, theirs));
  expect(merged.map(({ name, kept }) => [name, kept])).toEqual([
    ['A', true],
    ['B', undefined],
  ]);
  expect(returnedOf(withReturned(mine, theirs), theirs).frames).toBe(0);
});

test('how a camera’s clock stands comes along, unless it is known here', () => {
  const clocked = (clocks: Shoot['log']['clocks']): Shoot => ({
    ...base,
    log: { ...base.log, clocks },
  });
  const here = clocked([{ name: 'a', offsetS: 10 }]);
  const back = clocked([
    { name: 'a', offsetS: 99 },
    { name: 'b', offsetS: -3 },
  ]);
  expect(withReturned(here, back).log.clocks).toEqual([
    { name: 'a', offsetS: 10 },
    { name: 'b', offsetS: -3 },
  ]);
});

test('who is scratched and what is off there is so here; lateness is that of the one changed last', () => {
  const change = (shoot: Shoot, updatedAt: string): Shoot => ({
    ...shoot,
    updatedAt,
    people: shoot.people.map((person, i) =>
      i === 0 ? { ...person, scratched: true as const } : person,
    ),
    events: shoot.events.map((event, i) =>
      i === 0
        ? { ...event, cancelled: true as const }
        : i === 1
          ? { ...event, lateMin: 25 }
          : event,
    ),
  });
  const later = withReturned(base, change(base, LATER));
  expect(later.people[0]?.scratched).toBe(true);
  expect(later.events[0]?.cancelled).toBe(true);
  expect(later.events[1]?.lateMin).toBe(25);
  expect(later.events.slice(2)).toEqual(base.events.slice(2));
  // An older file knows who was scratched, but not how late it is by now.
  const here = { ...base, updatedAt: LATER };
  const older = withReturned(here, change(base, EARLIER));
  expect(older.people[0]?.scratched).toBe(true);
  expect(older.events[1]?.lateMin).toBeUndefined();
  // Back on time there: so it is here.
  const onTime = withReturned(change(base, EARLIER), { ...base, updatedAt: LATER });
  expect(onTime.events[1]).not.toHaveProperty('lateMin');
  expect(onTime.people[0]?.scratched).toBe(true);
});

test('the plan stays the one that is here, and what differs is named', () => {
  const back: Shoot = {
    ...base,
    kit: { ...base.kit, converter: 2 },
    endLocal: '2027-06-19T18:00',
    events: base.events.slice(1),
    people: [...base.people, { id: 'new', name: 'Someone new' }],
    updatedAt: LATER,
  };
  const news = returnedOf(base, back);
  expect(news.plan).toEqual(['hours', 'kit', 'events', 'people']);
  expect(isNews(news)).toBe(false);
  expect(withReturned(base, back)).toEqual(base);
  expect(returnedOf(base, base).plan).toEqual([]);
  // Whom a keeper of there shows comes along.
  const shown = withEntries(back, [keeper('k', 1, ['new'])]);
  const merged = withReturned(base, shown);
  expect(merged.people.at(-1)).toEqual({ id: 'new', name: 'Someone new' });
  expect(merged.people).toHaveLength(base.people.length + 1);
  expect(merged.kit).toEqual(base.kit);
});
