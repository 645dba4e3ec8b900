import { DEMO_SHOOTS } from '@/demo';
import { atMsOf, clockOf, dayOf, hoursOf, localMinuteOf, msOf } from './times';
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
