import fc from 'fast-check';
import { DateTime } from 'luxon';
import {
  clockInFigures,
  clockRead,
  clockWritten,
  dayInFigures,
  dayRead,
  localeOrder,
} from './when-written';

/** A Friday. */
const TODAY = '2026-11-27';

test.each([
  ['2027-05-22', '2027-05-22'],
  ['22.05.2027', '2027-05-22'],
  ['22/5/27', '2027-05-22'],
  ['9/3/2027', '2027-03-09'],
  ['22 May 2027', '2027-05-22'],
  ['Sat 22nd May, 2027', '2027-05-22'],
  ['May 22, 2027', '2027-05-22'],
  // Without a year it is the next such day.
  ['22 May', '2027-05-22'],
  ['28 Nov', '2026-11-28'],
  ['27/11', '2026-11-27'],
  ['today', TODAY],
  ['Tonight', TODAY],
  ['tomorrow', '2026-11-28'],
  ['Sat', '2026-11-28'],
  ['next saturday', '2026-11-28'],
  // On a Friday, Friday is the next one.
  ['friday', '2026-12-04'],
])('%s is read', (written, date) => {
  expect(dayRead(written, TODAY, 'en-GB')).toEqual({ value: date });
});

test('figures go by the order of the locale, and what can be read one way only is read so', () => {
  expect(localeOrder('en-GB')).toBe('dayFirst');
  expect(localeOrder('de')).toBe('dayFirst');
  expect(localeOrder('en-US')).toBe('monthFirst');
  expect(dayRead('9/3/2027', TODAY, 'en-US')).toEqual({ value: '2027-09-03' });
  for (const locale of ['en-US', 'en-GB']) {
    expect(dayRead('9/22/2027', TODAY, locale)).toEqual({ value: '2027-09-22' });
    expect(dayRead('22/9/2027', TODAY, locale)).toEqual({ value: '2027-09-22' });
    // With points the day comes first, here and there.
    expect(dayRead('3.9.2027', TODAY, locale)).toEqual({ value: '2027-09-03' });
    expect(dayRead('9. 3. 2027', TODAY, locale)).toEqual({ value: '2027-03-09' });
  }
});

test.each([
  ['', /the day is missing/],
  ['May 2027', /^May 2027 is understood; the day is missing$/],
  ['22', /^22 is understood; the month is missing$/],
  ['31/2/2027', /read as 31 February 2027: there is no such day/],
  ['2027-02-30', /read as 30 February 2027: there is no such day/],
  ['13/13/2027', /read as day 13, month 13: there is no such month/],
  ['soonish', /write the day such as 27\/11\/2026/],
])('of "%s" it says what is understood and what is missing', (written, said) => {
  const read = dayRead(written, TODAY, 'en-GB');
  expect('problem' in read && read.problem).toMatch(said);
});

test.each([
  ['7:00 pm', 19 * 60],
  ['7pm', 19 * 60],
  ['19.30', 19 * 60 + 30],
  ['1930', 19 * 60 + 30],
  ['19h30', 19 * 60 + 30],
  ['noon', 12 * 60],
  ['midnight', 0],
  ['12:15 am', 15],
])('%s is a time', (written, minutes) => {
  expect(clockRead(written, 'start')).toEqual({ value: minutes });
});

test.each([
  ['', /the start is missing/],
  ['7', /^7 is understood as the hour; write 7:00, or am or pm after it$/],
  ['25:00', /there is no hour 25/],
  ['19:75', /there is no minute 75/],
  ['later', /write the time such as 18:30/],
])('of the time "%s" it says what is wrong', (written, said) => {
  const read = clockRead(written, 'start', 'en-GB');
  expect('problem' in read && read.problem).toMatch(said);
});

test('what a locale writes is read back as the same day and minute', () => {
  const days = fc.integer({ min: 0, max: 3650 });
  const locales = fc.constantFrom('en-GB', 'en-US', 'de', 'fr', 'ja', 'sv', 'pt-BR', 'es', 'nl');
  fc.assert(
    fc.property(days, fc.integer({ min: 0, max: 1439 }), locales, (ahead, minutes, locale) => {
      const date = DateTime.fromISO(TODAY).plus({ days: ahead }).toISODate() as string;
      expect(dayRead(dayInFigures(date, locale), TODAY, locale)).toEqual({ value: date });
      expect(clockRead(clockInFigures(minutes, locale), 'start')).toEqual({ value: minutes });
      expect(clockRead(clockWritten(minutes), 'start')).toEqual({ value: minutes });
    }),
  );
});

test('no text makes it throw', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 40 }), (text) => {
      const read = dayRead(text, TODAY);
      if ('value' in read) expect(DateTime.fromISO(read.value).isValid).toBe(true);
      const clock = clockRead(text, 'end');
      if ('value' in clock) expect(clock.value).toBeLessThan(1440);
    }),
    { numRuns: 1000 },
  );
});
