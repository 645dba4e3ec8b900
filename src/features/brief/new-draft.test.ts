import { DEMO_SHOOTS } from '@/demo';
import { newShoot } from '@/records/new-shoot';
import type { Shoot } from '@/records/shoot';
import {
  asksForLamps,
  briefsOf,
  dayChoices,
  EMPTY_DRAFT,
  hoursFor,
  kitFrom,
  kitOf,
  nowAt,
  readDraft,
  startingAt,
  sunTimes,
  titleOf,
  type Draft,
} from './new-draft';

const MUNICH = { name: 'Munich, Bavaria, Germany', latitudeDeg: 48.137, longitudeDeg: 11.575 };
/** Friday 27 November 2026, 16:07 in Munich. */
const NOW_MS = Date.parse('2026-11-27T15:07:00Z');
const GB = 'en-GB';
const draft = (change: Partial<Draft> = {}): Draft => ({
  ...EMPTY_DRAFT,
  groundId: 'association-pitch',
  place: MUNICH,
  ...{ day: '12 February 2027', start: '19:00', end: '21:00' },
  ...change,
});
const formOf = (of: Draft) => {
  const read = readDraft(of, NOW_MS, GB);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.form;
};
const [larkmoor] = DEMO_SHOOTS as [Shoot];

test('it is the day and minute that it is at the place, not here', () => {
  expect(nowAt(MUNICH, NOW_MS)).toEqual({ date: '2026-11-27', minutes: 16 * 60 + 7 });
  const auckland = { name: 'Auckland', latitudeDeg: -36.85, longitudeDeg: 174.76 };
  expect(nowAt(auckland, NOW_MS)).toEqual({ date: '2026-11-28', minutes: 4 * 60 + 7 });
});

test('one press takes day and hours: now, an evening, an afternoon, the first light', () => {
  expect(dayChoices(MUNICH, NOW_MS, GB).map(({ name }) => name)).toEqual([
    'Now',
    'Tonight',
    'Tomorrow',
    'Saturday',
  ]);
  const hours = (choice: Parameters<typeof hoursFor>[0], groundId: string) =>
    hoursFor(choice, { groundId, place: MUNICH }, NOW_MS, GB);
  expect(hours('now', 'blank')).toEqual({ day: '27/11/2026', start: '16:05', end: '18:05' });
  expect(hours('tonight', 'association-pitch')).toEqual({
    ...{ day: '27/11/2026', start: '19:00', end: '21:00' },
  });
  expect(hours('tomorrow', 'association-pitch')).toEqual({
    ...{ day: '28/11/2026', start: '14:00', end: '16:00' },
  });
  expect(hours('saturday', 'road-bend')).toEqual({
    ...{ day: '28/11/2026', start: '10:00', end: '12:00' },
  });
  // First light in Munich at the end of November: about 07:03, by an almanac, from memory.
  const dawn = hours('tomorrow', 'feeder-garden');
  expect(dawn).toEqual({ day: '28/11/2026', start: '07:05', end: '10:05' });
});

test('where no first light is known a dawn begins at six', () => {
  const tomorrow = hoursFor('tomorrow', { groundId: 'feeder-garden' }, NOW_MS, GB);
  expect(tomorrow).toMatchObject({ start: '06:00', end: '09:00' });
});

test('tonight late in the evening begins now', () => {
  const late = Date.parse('2026-11-27T20:42:00Z');
  expect(hoursFor('tonight', { groundId: 'rugby-field', place: MUNICH }, late, GB)).toEqual({
    ...{ day: '27/11/2026', start: '21:40', end: '23:40' },
  });
});

test('the sun’s moments come in their order; in the polar night there is only noon', () => {
  const times = sunTimes(MUNICH, '2027-06-21');
  expect(times.map(({ name }) => name)).toEqual([
    'First light',
    'Sunrise',
    'Noon',
    'Sunset',
    'Last light',
  ]);
  const minutes = times.map((time) => time.minutes);
  expect([...minutes].sort((a, b) => a - b)).toEqual(minutes);
  // Munich at midsummer, by an almanac, from memory: 05:13 to 21:17.
  expect(Math.abs((minutes[1] ?? 0) - (5 * 60 + 13))).toBeLessThan(3);
  expect(Math.abs((minutes[3] ?? 0) - (21 * 60 + 17))).toBeLessThan(3);
  const north = { name: 'Longyearbyen', latitudeDeg: 78.22, longitudeDeg: 15.65 };
  expect(sunTimes(north, '2026-12-21').map(({ name }) => name)).toEqual(['Noon']);
});

test('another start keeps the length; past midnight too, and two hours where it can’t be told', () => {
  expect(startingAt(300, { start: '19:00', end: '20:30' }, GB)).toEqual({
    ...{ start: '05:00', end: '06:30' },
  });
  expect(startingAt(23 * 60, { start: '19:00', end: '21:00' }, GB)).toEqual({
    ...{ start: '23:00', end: '01:00' },
  });
  expect(startingAt(600, { start: '', end: 'late' }, GB)).toEqual({ start: '10:00', end: '12:00' });
});

test('all that is wrong is said at once; a draft that is whole makes a form', () => {
  const read = readDraft(EMPTY_DRAFT, NOW_MS, GB);
  expect(!read.ok && Object.keys(read.problems).sort()).toEqual([
    'day',
    'end',
    'ground',
    'place',
    'start',
  ]);
  expect(formOf(draft())).toMatchObject({
    ...{ template: 'association-pitch', date: '2027-02-12', start: '19:00', end: '21:00' },
    ...{ bearing: '0', title: 'Football (soccer), Munich' },
  });
  const same = readDraft(draft({ end: '19:00' }), NOW_MS, GB);
  expect(!same.ok && same.problems.end).toMatch(/the end is the start/);
  const long = readDraft(draft({ title: 'x'.repeat(121) }), NOW_MS, GB);
  expect(!long.ok && long.problems.title).toMatch(/over 120/);
});

test('a shoot is called as one says, else by ground and town; coordinates are no name', () => {
  expect(titleOf(draft({ title: '  Cup tie ' }))).toBe('Cup tie');
  expect(titleOf(draft())).toBe('Football (soccer), Munich');
  expect(titleOf(draft({ place: { ...MUNICH, name: '48.137° N, 11.575° E' } }))).toBe(
    'Football (soccer)',
  );
  expect(titleOf(EMPTY_DRAFT)).toBe('Shoot');
});

test.each([
  ['a night game', {}, true],
  ['an afternoon', { start: '13:00', end: '15:00' }, false],
  ['from light into dark', { start: '16:30', end: '18:30' }, true],
  ['a hall', { groundId: 'basketball-fiba' }, false],
  ['a hide at night', { groundId: 'river-hide' }, false],
] as const)('%s: whether floodlights are asked for', (_what, change, asks) => {
  const of = draft(change);
  expect(asksForLamps(of, formOf(of))).toBe(asks);
});

test('what nobody said is a guess, and what was said is none', () => {
  const [bare] = briefsOf(draft(), formOf(draft()), []);
  expect(bare).toMatchObject({
    ...{ lampLux: 245, placeName: 'Munich, Bavaria, Germany', timeZone: 'Europe/Berlin' },
    guessed: ['bearing', 'lamps', 'kit'],
  });
  const hands = { bodyId: 'crop-1.5-20', lensId: '200-600-6.3' };
  const said = draft({ floodlights: 'none', bearingDeg: 30, ...hands });
  const [told] = briefsOf(said, formOf(said), []);
  expect(told).toMatchObject({ lampLux: 0, bearingDeg: 30, guessed: [] });
  expect(told?.kit).toMatchObject(hands);
  const half = draft({ bodyId: 'crop-1.5-20' });
  expect(briefsOf(half, formOf(half), [])[0]?.guessed).toContain('kit');
  const walk = draft({ groundId: 'blank' });
  expect(briefsOf(walk, formOf(walk), [])[0]?.guessed).toEqual(['kit']);
});

test('one’s own kit comes along, empty of ticks; one that was a guess does not', () => {
  const mine: Shoot = { ...larkmoor, kit: { ...larkmoor.kit, packed: ['cards'] } };
  const guess: Shoot = { ...larkmoor, guessed: ['kit'] };
  expect(kitFrom([])).toEqual({});
  expect(kitFrom([guess])).toEqual({});
  expect(kitFrom([guess, mine])).toEqual({
    kit: { ...larkmoor.kit, packed: [] },
    school: larkmoor.choice.school,
  });
  const [brief] = briefsOf(draft(), formOf(draft()), [mine]);
  expect(brief?.guessed).toEqual(['bearing', 'lamps']);
  const other = kitOf({ lensId: '400-2.8' }, [mine], 'blank');
  expect(other).toMatchObject({ lensId: '400-2.8', focalMm: 400, converter: 1 });
  expect(other.bag).toEqual(mine.kit.bag);
  expect(kitOf({}, [], 'feeder-garden').lensId).toBe('300-4');
});

test('weekly is the same hours each week by the clocks there, over the change of clocks', () => {
  const of = draft({ day: '20 March 2027', weeks: 3, start: '19:00', end: '01:00' });
  const all = briefsOf(of, formOf(of), []);
  expect(all.map(({ startLocal }) => startLocal)).toEqual([
    '2027-03-20T19:00',
    '2027-03-27T19:00',
    '2027-04-03T19:00',
  ]);
  expect(all.map(({ endLocal }) => endLocal)).toEqual([
    '2027-03-21T01:00',
    '2027-03-28T01:00',
    '2027-04-04T01:00',
  ]);
  for (const brief of all) {
    expect(newShoot(brief, 'any', '2026-11-27T12:00:00Z').startLocal).toBe(brief.startLocal);
  }
});
