import { untilInDays } from './day-said';

test.each([
  ['2026-11-27T12:00', 'In 140 days'],
  ['2027-04-15T23:59', 'Tomorrow'],
  ['2027-04-16T00:01', 'In 18 hours'],
  ['2027-04-16T17:45', 'Within the hour'],
  ['2027-04-16T18:30', 'Now'],
  ['2027-04-16T20:45', 'Now'],
  ['2027-04-16T20:46', 'Earlier today'],
  ['2027-04-17T00:00', 'Yesterday'],
  ['2027-04-28T08:00', '12 days ago'],
])('at %s it is said: %s', (nowLocal, said) => {
  expect(untilInDays('2027-04-16T18:30', '2027-04-16T20:45', nowLocal)).toBe(said);
});

test('past midnight the end counts, not the day it began', () => {
  expect(untilInDays('2027-04-16T22:00', '2027-04-17T02:00', '2027-04-17T01:00')).toBe('Now');
  expect(untilInDays('2027-04-16T22:00', '2027-04-17T02:00', '2027-04-17T03:00')).toBe(
    'Earlier today',
  );
});
