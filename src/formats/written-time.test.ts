import fc from 'fast-check';
import { clockMinutes, dateOf, dateOrderOf, durationMinutes, splitDateTime } from './written-time';

test.each([
  ['9:30', 570],
  ['09.30', 570],
  ['9h30', 570],
  ['0930', 570],
  ['930', 570],
  ['9:30:45', 570],
  ['9.30 am', 570],
  ['9:30 p.m.', 1290],
  ['9am', 540],
  ['12 am', 0],
  ['12.15pm', 735],
  ['noon', 720],
  ['at 14:05', 845],
  ['14 h', 840],
  [' 23:59 ', 1439],
] as const)('the time %p is read', (written, minutes) => {
  expect(clockMinutes(written)).toBe(minutes);
});

test.each(['', 'after lunch', '25:00', '9:75', '13pm', '9', '12345', '=1+1', '9:3'])(
  '%p is no time',
  (written) => {
    expect(clockMinutes(written)).toBeUndefined();
  },
);

test('every minute of the day is read back from each way of writing it', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1439 }), (minute) => {
      const [h, m] = [Math.floor(minute / 60), minute % 60];
      const mm = String(m).padStart(2, '0');
      const half = `${h % 12 || 12}:${mm} ${h < 12 ? 'am' : 'pm'}`;
      for (const written of [
        `${h}:${mm}`,
        `${h}.${mm}`,
        `${String(h).padStart(2, '0')}${mm}`,
        half,
      ]) {
        expect(clockMinutes(written)).toBe(minute);
      }
    }),
  );
});

test.each([
  ['2027-06-19', '2027-06-19'],
  ['19/6/2027', '2027-06-19'],
  ['19.06.27', '2027-06-19'],
  ['19-06-2027', '2027-06-19'],
  ['19 June 2027', '2027-06-19'],
  ['Sat 19th June', '2027-06-19'],
  ['Saturday, 19 Jun 2027', '2027-06-19'],
  ['June 19, 2027', '2027-06-19'],
  ['19-Jun-2027', '2027-06-19'],
  ['19.6.', '2027-06-19'],
] as const)('the date %p is read', (written, date) => {
  expect(dateOf(written, 'dayFirst', 2027)).toBe(date);
});

test('which comes first, day or month, is as told, and found where only one can be', () => {
  expect(dateOf('6/7/2027', 'dayFirst', 2027)).toBe('2027-07-06');
  expect(dateOf('6/7/2027', 'monthFirst', 2027)).toBe('2027-06-07');
  expect(dateOf('6/19/2027', 'dayFirst', 2027)).toBeUndefined();
  expect(dateOrderOf(['6/7/2027', '6/19/2027'])).toBe('monthFirst');
  expect(dateOrderOf(['19.6.27'])).toBe('dayFirst');
  expect(dateOrderOf(['6/7/2027', 'later'])).toBeUndefined();
});

test.each(['', 'tomorrow', '31/2/2027', '2027-13-01', '99'])('%p is no date', (written) => {
  expect(dateOf(written, 'dayFirst', 2027)).toBeUndefined();
});

test.each([
  ['2027-06-19T09:30', { date: '2027-06-19', time: '09:30' }],
  ['2027-06-19 09:30:00Z', { date: '2027-06-19', time: '09:30:00' }],
  ['19/6/2027 9:30', { date: '19/6/2027', time: '9:30' }],
  ['Sat 19 June 9.30 am', { date: 'Sat 19 June', time: '9.30 am' }],
  ['19 June 2027, 9:30', { date: '19 June 2027', time: '9:30' }],
  ['9:30', { time: '9:30' }],
  ['9.30 am', { time: '9.30 am' }],
] as const)('%p is taken apart', (written, parts) => {
  expect(splitDateTime(written)).toEqual(parts);
});

test.each([
  ['12', 12],
  ['12 min', 12],
  ['1h30', 90],
  ['1 h 30 min', 90],
  ['1 hour and 15 minutes', 75],
  ['90 s', 1.5],
  ['0:12', 12],
  ['1:30', 90],
  ['1:30:00', 90],
  ['12:30', 12.5],
  ["2'30", 2.5],
  ['1,5 h', 90],
  ['about 20 mins', 20],
] as const)('the duration %p is read', (written, minutes) => {
  expect(durationMinutes(written)).toBeCloseTo(minutes, 9);
});

test.each(['', '0', 'long', '12 apples', '-5', '1h30x'])('%p is no duration', (written) => {
  expect(durationMinutes(written)).toBeUndefined();
});

test('no text stops the reading', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 40 }), (written) => {
      for (const read of [clockMinutes(written), durationMinutes(written)]) {
        if (read !== undefined) expect(Number.isFinite(read)).toBe(true);
      }
      expect(dateOf(written, 'dayFirst', 2027) ?? '2027-01-01').toMatch(/^\d{4}-\d{2}-\d{2}$/);
      expect(typeof splitDateTime(written).time).toBe('string');
    }),
    { numRuns: 400 },
  );
});
