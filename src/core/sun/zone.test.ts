import fc from 'fast-check';
import { DateTime } from 'luxon';
import { isTimeZone, msOf, zoneOffsetMs } from './zone';

const ZONES = [
  'Europe/London',
  'America/New_York',
  'Asia/Kathmandu',
  'Australia/Lord_Howe',
  'Pacific/Apia',
  'UTC',
];
const moments = fc.integer({ min: Date.UTC(1972, 0), max: Date.UTC(2060, 0) });

test('clocks are as far ahead as luxon says, at any moment', () => {
  fc.assert(
    fc.property(fc.constantFrom(...ZONES), moments, (zone, ms) => {
      expect(zoneOffsetMs(ms, zone)).toBe(DateTime.fromMillis(ms, { zone }).offset * 60_000);
    }),
  );
});

test('a day is as long as luxon says where clocks change', () => {
  const midnight = (date: string) => msOf(`${date}T00:00`, 'Europe/London');
  expect((midnight('2027-03-29') - midnight('2027-03-28')) / 3_600_000).toBe(23);
  expect((midnight('2027-11-01') - midnight('2027-10-31')) / 3_600_000).toBe(25);
});

test('a zone that is none is named', () => {
  expect(isTimeZone('Mars/Base')).toBe(false);
  expect(() => zoneOffsetMs(0, 'Mars/Base')).toThrow(
    'timeZone Mars/Base: must be an IANA zone such as Europe/London',
  );
});
