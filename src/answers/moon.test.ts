import { LARKMOOR } from '@/demo/larkmoor';
import { moonInWords, moonNowInWords } from '@/features/shoot/moon-words';
import { clockOf, msOf } from '@/records/times';
import { hasNight, moonOver } from './moon';

const { place } = LARKMOOR;
const at = (local: string) => msOf(local, place.timeZone);
const clock = (ms: number) => clockOf(ms, place.timeZone);

test('a shoot by day needs no moon, one at dusk, by night or up to it does', () => {
  const from = (startLocal: string, endLocal: string) => hasNight({ place, startLocal, endLocal });
  expect(from('2027-06-19T10:00', '2027-06-19T17:00')).toBe(false);
  expect(from('2027-06-19T20:00', '2027-06-19T23:00')).toBe(true);
  expect(from('2027-06-19T02:00', '2027-06-19T12:00')).toBe(true);
  // The sun sets at 21:40 or so: within the last step.
  expect(from('2027-06-19T15:00', '2027-06-19T21:50')).toBe(true);
});

test('the full moon of 22 January 2027 rises as the sun sets, and wanes after it', () => {
  const before = moonOver({ place }, at('2027-01-20T22:00'));
  expect(before.waxing).toBe(true);
  const full = moonOver({ place }, at('2027-01-22T22:00'));
  expect(full.at.litShare).toBeGreaterThan(0.98);
  // Opposite to the sun: up between four and six in the afternoon there.
  expect(clock(full.riseMs ?? 0)).toMatch(/^1[5-7]:/);
  expect(full.lux).toBeGreaterThan(0.05);
  expect(full.lux).toBeLessThan(0.3);
  const after = moonOver({ place }, at('2027-01-25T02:00'));
  expect(after.waxing).toBe(false);
  expect(moonInWords(after, clock)).toMatch(/^Moon 9\d % lit, waning: (rises|sets) \d\d:\d\d/);
});

test('it is said in the order of the day, with its light while it is up', () => {
  const moon = moonOver({ place }, at('2027-01-22T22:00'));
  expect(moonInWords(moon, clock)).toMatch(
    /^Moon (99|100) % lit, \w+: sets 0\d:\d\d, rises 1\d:\d\d\.$/,
  );
  expect(moonNowInWords(moon, '22:00')).toMatch(
    /^At 22:00 it stands \d\d° high at 1?\d\d° \w+: 0\.[12] lx on open ground, EV −[34]\.\d, under a clear sky\.$/,
  );
  const down = moonOver({ place }, at('2027-01-22T12:00'));
  expect(down.ev).toBeUndefined();
  expect(moonNowInWords(down, '12:00')).toBe('At 12:00 it is down.');
  // By day it may stand there too, and lights nothing.
  const early = moonOver({ place }, at('2027-01-22T16:30'));
  expect(early.ev).toBeUndefined();
  expect(moonNowInWords(early, '16:30')).toMatch(
    /^At 16:30 it (is down|stands \d+° high at \d+° \w+)\.$/,
  );
  const byDay = moonOver({ place }, at('2027-04-16T18:50'));
  expect(moonNowInWords(byDay, '18:50')).toBe('At 18:50 it stands 33° high at 124° SE.');
  expect(moonInWords({ ...down, riseMs: undefined, setMs: undefined } as never, clock)).toMatch(
    /% lit, \w+\.$/,
  );
});
