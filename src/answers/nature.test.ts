import { ALDER_REACH } from '@/demo/alder-reach';
import { LARKMOOR } from '@/demo/larkmoor';
import type { Shoot } from '@/records/shoot';
import {
  arrivalOf,
  clockHours,
  litSpans,
  visitsByHour,
  watchesAt,
  watchesWithSightings,
} from './nature';

test('one is settled in the hide before the first light', () => {
  const arrival = arrivalOf(ALDER_REACH);
  expect(arrival.before).toBe('civilDawn');
  expect(arrival.lightMs - arrival.inPlaceMs).toBe(ALDER_REACH.day.settleMin * 60_000);
  // An evening game has no dawn to be before.
  expect(arrivalOf(LARKMOOR)).toMatchObject({ before: 'start' });
});

test('polar day: without a dawn the start counts', () => {
  const far = {
    ...ALDER_REACH,
    place: { latitudeDeg: 78, longitudeDeg: 15, timeZone: 'UTC' },
    startLocal: '2027-06-20T03:00',
    endLocal: '2027-06-20T06:00',
  };
  expect(arrivalOf(far).before).toBe('start');
});

test('the sun on a face in spans', () => {
  const series = {
    timeMs: [0, 1, 2, 3, 4, 5],
    sunlit: [true, true, false, false, true, true],
    ...{ ev: [], low: [], high: [], sunAltitudeDeg: [], lampsRule: [] },
  };
  expect(litSpans(series)).toEqual([
    { fromMs: 0, toMs: 1 },
    { fromMs: 4, toMs: 5 },
  ]);
});

test('visits by the hour are counted over the hours watched, with an honest interval', () => {
  const hours = visitsByHour(watchesAt(ALDER_REACH, 'perch-a', []));
  const seven = hours.find(({ hour }) => hour === 7);
  // Three whole hours from seven to eight: 2 + 4 + 2 visits.
  expect(seven).toMatchObject({ watchedH: 3, visits: 8 });
  expect(seven?.rate).toBeCloseTo(8 / 3, 12);
  // Garwood's exact 95 % interval for 8 events, from published tables (memory): 3.454 to 15.763.
  expect(seven?.low).toBeCloseTo(3.454 / 3, 3);
  expect(seven?.high).toBeCloseTo(15.763 / 3, 3);
  // From half past five: one half hour twice.
  expect(hours.find(({ hour }) => hour === 5)).toMatchObject({ watchedH: 1, visits: 0, low: 0 });
  const [none] = visitsByHour([
    {
      id: 'w',
      markId: 'm',
      fromLocal: '2027-05-01T23:30',
      toLocal: '2027-05-02T00:30',
      visitsLocal: [],
    },
  ]);
  expect(none).toMatchObject({ hour: 0, watchedH: 0.5 });
  expect(seven?.rate).toBeCloseTo(2.7, 1);
  expect(none?.visits).toBe(0);
});

test('what was noted in another shoot at the same place counts; at another place it does not', () => {
  const here = { ...ALDER_REACH, id: 'today', watches: [] };
  expect(watchesAt(here, 'perch-a', [ALDER_REACH])).toHaveLength(ALDER_REACH.watches.length);
  expect(watchesAt(here, 'perch-b', [ALDER_REACH])).toHaveLength(0);
  const elsewhere = {
    ...here,
    place: { ...here.place, latitudeDeg: here.place.latitudeDeg + 0.02 },
  };
  expect(watchesAt(elsewhere, 'perch-a', [ALDER_REACH])).toHaveLength(0);
  const copied = { ...ALDER_REACH, id: 'copy' };
  expect(watchesAt(copied, 'perch-a', [ALDER_REACH])).toHaveLength(ALDER_REACH.watches.length);
});

test('the hours of a shoot by the clock, over midnight', () => {
  const hours = { startMs: Date.UTC(2027, 0, 1, 22, 30), endMs: Date.UTC(2027, 0, 2, 1, 10) };
  expect(clockHours(hours, 'UTC')).toEqual([22, 23, 0, 1]);
});

test('sightings logged in the field count as visits: within hours watched, once, and not rehearsed', () => {
  const shoot = ALDER_REACH;
  const watch = (id: string, from: string, to: string) => ({
    id,
    markId: 'perch-a',
    fromLocal: `2027-05-08T${from}`,
    toLocal: `2027-05-08T${to}`,
    visitsLocal: [`2027-05-08T${from}`],
  });
  const seen = (at: string, rest: object = {}) =>
    ({
      id: at.replace(':', ''),
      kind: 'sighting' as const,
      name: 'Kingfisher',
      atLocal: `2027-05-08T${at}:30`,
      markId: 'perch-a',
      positionId: 'hide-window',
      ...rest,
    }) as Shoot['log']['entries'][number];
  const watched = {
    watches: [watch('a', '06:00', '07:00'), watch('b', '06:50', '08:00')],
    log: {
      ...shoot.log,
      entries: [
        seen('06:55'),
        seen('07:30'),
        seen('09:00'),
        seen('07:40', { markId: 'perch-b' }),
        seen('07:45', { rehearsed: true }),
      ],
    },
  };
  expect(watchesWithSightings(watched).map(({ visitsLocal }) => visitsLocal)).toEqual([
    ['2027-05-08T06:00', '2027-05-08T06:55'],
    ['2027-05-08T06:50', '2027-05-08T07:30'],
  ]);
});
