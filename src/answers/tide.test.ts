import { ALDER_REACH } from '@/demo/alder-reach';
import { nextReminder } from '@/features/field/now-next';
import { floodInWords } from '@/features/shoot/approach-words';
import type { Shoot } from '@/records/shoot';
import { clockOf, msOf } from '@/records/times';
import { remindersOf } from './reminders';
import { floodedAt, watersOf } from './tide';
import { viewOf } from './view';

/** A shore that rises 4 m over 40 m; one stands 2 m up, the mark is 1 m up. Low at 06:00, high of 4 m at 12:00. */
const { carriedBy: _perch, ...BIRD } = ALDER_REACH.marks[0] as Shoot['marks'][number];
const SHORE: Shoot = {
  ...ALDER_REACH,
  marks: [{ ...BIRD, id: 'm', name: 'Edge', x: 0, y: 10 }],
  positions: [{ id: 'p', name: 'Shore', x: 0, y: 20, cameraHeightM: 0.5 }],
  features: [
    {
      ...{ id: 's', name: 'Shore', kind: 'slope', heightsM: [0, 4] },
      points: [
        { x: 0, y: 0 },
        { x: 0, y: 40 },
      ],
    },
  ],
  choice: { ...ALDER_REACH.choice, markId: 'm', positionId: 'p' },
  nature: [
    { id: 'l', kind: 'lowTide', name: 'Low', atLocal: '2027-05-08T06:00', waterM: 0 },
    { id: 'h', kind: 'highTide', name: 'High', atLocal: '2027-05-08T12:00', waterM: 4 },
  ],
};
const viewIn = (shoot: Shoot) => {
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  return seen.view;
};
const zone = SHORE.place.timeZone;
const clock = (ms: number) => clockOf(ms, zone);

test('the water is at half the range half way, at a quarter after a third', () => {
  const flooded = floodedAt(SHORE, viewIn(SHORE));
  expect(floodInWords(flooded, clock)).toEqual([
    'Water at Shore, 2.0 m up: 09:00 to 12:00.',
    'Water at Edge, 1.0 m up: 08:00 to 12:00.',
  ]);
});

test('half an hour before it is there one is told to go', () => {
  const reminders = remindersOf(SHORE, viewIn(SHORE));
  expect(nextReminder(reminders, msOf('2027-05-08T08:00', zone))).toEqual({
    what: 'Off Shore: the water comes',
    atMs: msOf('2027-05-08T08:30', zone),
  });
  // It stands there for as long as the water is about, not only until it comes up.
  const what = (at: string) => nextReminder(reminders, msOf(`2027-05-08T${at}`, zone))?.what;
  expect(what('08:50')).toBe('Off Shore: the water comes');
  expect(what('11:59')).toBe('Off Shore: the water comes');
  expect(what('12:00')).toBeUndefined();
});

test('without a slope, or with one height, it is asked for; tides that reach nobody are told', () => {
  const level = { ...SHORE, features: [] };
  expect(floodedAt(level, viewIn(level))).toBeUndefined();
  expect(floodInWords(undefined, clock)[0]).toMatch(/^Draw the shore as a slope/);
  const one = { ...SHORE, nature: SHORE.nature.slice(0, 1) };
  expect(floodedAt(one, viewIn(one))).toBeUndefined();
  const neap = {
    ...SHORE,
    nature: SHORE.nature.map((time) => ({ ...time, waterM: 0.5 })),
  };
  expect(floodInWords(floodedAt(neap, viewIn(neap)), clock)).toEqual([
    'Between these tides the water reaches neither you nor the mark.',
  ]);
  const feeding = { ...SHORE.nature[0], kind: 'feeding' } as Shoot['nature'][number];
  expect(watersOf({ ...SHORE, nature: [feeding] })).toEqual([]);
});
