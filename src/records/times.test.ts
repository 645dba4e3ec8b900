import fc from 'fast-check';
import { DateTime } from 'luxon';
import { DEMO_SHOOTS } from '@/demo';
import { dayOf } from './day-said';
import { atMsOf, clockOf, hoursOf, localMinuteOf, msOf } from './times';
import type { Shoot } from './shoot';

const [larkmoor] = DEMO_SHOOTS as [Shoot];

test('a wall clock at a place is a moment, and back', () => {
  const ms = msOf('2027-04-16T18:30', 'Europe/London');
  expect(new Date(ms).toISOString()).toBe('2027-04-16T17:30:00.000Z');
  expect(localMinuteOf(ms, 'Europe/London')).toBe('2027-04-16T18:30');
  expect(clockOf(ms, 'Asia/Kathmandu')).toBe('23:15');
  expect(dayOf('2027-04-16T18:30')).toBe('Friday 16 April 2027');
});

test('the ribbon runs half an hour beyond both ends', () => {
  const hours = hoursOf(larkmoor);
  expect(hours.startMs - hours.fromMs).toBe(30 * 60_000);
  expect(hours.toMs - hours.endMs).toBe(30 * 60_000);
  expect(hours.lampsFromMs).toBe(msOf('2027-04-16T20:00', 'Europe/London'));
});

test('a minute outside the ribbon is looked at from its end', () => {
  const hours = hoursOf(larkmoor);
  expect(atMsOf({ ...larkmoor, atLocal: '2027-04-16T03:00' }, hours)).toBe(hours.fromMs);
  expect(atMsOf({ ...larkmoor, atLocal: '2029-01-01T03:00' }, hours)).toBe(hours.toMs);
});

test('a shoot across the change of clocks is as long as it really is', () => {
  const night = { ...larkmoor, startLocal: '2027-03-28T00:30', endLocal: '2027-03-28T02:30' };
  const { startMs, endMs } = hoursOf(night);
  expect((endMs - startMs) / 3.6e6).toBe(1);
});

test('minutes before and after a change of clocks are told apart, as luxon tells them', () => {
  for (const [zone, around] of [
    ['Europe/London', '2027-03-28T01:00:00Z'],
    ['Europe/London', '2027-10-31T01:00:00Z'],
    ['Australia/Lord_Howe', '2027-04-03T15:00:00Z'],
    ['America/St_Johns', '2027-11-07T04:30:00Z'],
  ] as const) {
    for (let minute = -90; minute <= 90; minute += 1) {
      const ms = Date.parse(around) + minute * 60_000;
      expect(localMinuteOf(ms, zone)).toBe(
        DateTime.fromMillis(ms, { zone }).toFormat("yyyy-MM-dd'T'HH:mm"),
      );
    }
  }
});

test('a wall clock is the moment luxon says, wherever the clocks show it once', () => {
  const zones = ['Europe/London', 'America/New_York', 'Asia/Kathmandu', 'Pacific/Apia', 'UTC'];
  fc.assert(
    fc.property(
      fc.constantFrom(...zones),
      fc.integer({ min: Date.UTC(2026, 0, 1), max: Date.UTC(2030, 0, 1) }),
      (zone, at) => {
        const ms = Math.floor(at / 60_000) * 60_000;
        const local = localMinuteOf(ms, zone);
        const hours = [ms - 3_600_000, ms + 3_600_000].map((other) => localMinuteOf(other, zone));
        fc.pre(!hours.includes(local));
        expect(msOf(local, zone)).toBe(ms);
        expect(msOf(local, zone)).toBe(DateTime.fromISO(local, { zone }).toMillis());
      },
    ),
    { numRuns: 1000 },
  );
});

test('a minute that clocks skip is a moment all the same', () => {
  const skipped = msOf('2027-03-28T01:30', 'Europe/London');
  expect(skipped).toBe(Date.parse('2027-03-28T01:30:00Z'));
});
