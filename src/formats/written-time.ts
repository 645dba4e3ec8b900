import { DateTime } from 'luxon';

/** Times, dates and durations as people write them in running orders. */

const MINUTES_A_DAY = 24 * 60;

/**
 * Minutes since midnight of "9:30", "09.30", "9h30", "0930", "9.30 pm", "9am", "noon"; nothing for
 * what is no time. Seconds are dropped.
 */
export function clockMinutes(written: string): number | undefined {
  const text = written.trim().toLowerCase().replace(/\s+/g, ' ');
  if (text === 'noon' || text === 'midday') return 12 * 60;
  if (text === 'midnight') return 0;
  const half = /^(.*?) ?(a|p)\.?m\.?$/.exec(text);
  const bare = (half?.[1] ?? text).replace(/^at /, '').replace(/ ?(?:uhr|o'clock|hrs?|h)$/, '');
  const parts =
    /^(\d{1,2}) ?[:.h] ?(\d{2})(?:[:.]\d{2}(?:[.,]\d+)?)?$/.exec(bare) ??
    /^(\d{1,2})(\d{2})$/.exec(bare) ??
    (half || bare !== text ? /^(\d{1,2})()$/.exec(bare) : null);
  if (!parts) return undefined;
  const hours = Number(parts[1]);
  const minutes = Number(parts[2] || 0);
  if (minutes > 59) return undefined;
  if (half) {
    if (hours < 1 || hours > 12) return undefined;
    return ((hours % 12) + (half[2] === 'p' ? 12 : 0)) * 60 + minutes;
  }
  const total = hours * 60 + minutes;
  return total < MINUTES_A_DAY ? total : undefined;
}

export type DateOrder = 'dayFirst' | 'monthFirst';

const NAMED = [
  'd LLLL yyyy',
  'd LLL yyyy',
  'LLLL d yyyy',
  'LLL d yyyy',
  'd LLLL',
  'd LLL',
  'LLLL d',
  'LLL d',
];
const NUMBERED: Readonly<Record<DateOrder, readonly string[]>> = {
  dayFirst: ['d/M/yyyy', 'd/M/yy', 'd/M'],
  monthFirst: ['M/d/yyyy', 'M/d/yy', 'M/d'],
};
const WEEKDAY = /^(?:mon|tues?|wed(?:nes)?|thu(?:rs?)?|fri|sat(?:ur)?|sun)(?:day)?\b\.?,? */i;

/**
 * "2027-06-19" of a written date: "19/6/2027", "19.06.27", "Sat 19th June", "June 19, 2027". A date
 * without a year is in the year given.
 */
export function dateOf(written: string, order: DateOrder, year: number): string | undefined {
  const text = written
    .trim()
    .replace(WEEKDAY, '')
    .replace(/(\d)(?:st|nd|rd|th)\b/gi, '$1')
    .replace(/,/g, ' ')
    .replace(/\s+/g, ' ');
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$/.exec(text);
  const formats = iso ? ['yyyy/M/d'] : /[a-z]/i.test(text) ? NAMED : NUMBERED[order];
  const sought = /[a-z]/i.test(text)
    ? text.replace(/[-/.]/g, ' ').replace(/\s+/g, ' ').trim()
    : text.replace(/[-. ]+/g, '/').replace(/\/$/, '');
  for (const format of formats) {
    const read = DateTime.fromFormat(sought, format, { zone: 'utc', locale: 'en' });
    if (read.isValid) {
      return (/y/.test(format) ? read : read.set({ year })).toFormat('yyyy-MM-dd');
    }
  }
  return undefined;
}

/** Whether dates can only be read with the day (or the month) first; nothing when either may be. */
export function dateOrderOf(written: readonly string[]): DateOrder | undefined {
  for (const text of written) {
    const parts = /^(\d{1,2})[-/. ](\d{1,2})(?:[-/. ]\d{2,4})?$/.exec(text.trim());
    if (parts && Number(parts[1]) > 12) return 'dayFirst';
    if (parts && Number(parts[2]) > 12) return 'monthFirst';
  }
  return undefined;
}

/** A date and a time in one cell: "19/6/2027 9:30", "2027-06-19T09:30". */
export function splitDateTime(written: string): { readonly date?: string; readonly time: string } {
  const text = written.trim();
  const iso = /^(\d{4}-\d{1,2}-\d{1,2})[T ](.+?)(?:Z|[+-]\d{2}:?\d{2})?$/.exec(text);
  if (iso) return { date: iso[1] as string, time: iso[2] as string };
  const after =
    /^(.*\d(?:\D{0,3}[a-z]+\D{0,2}\d*|[/.-]\d+[/.-]\d+)),? +(?:at )?(\d{1,2}[:.h]?\d{0,2}(?::\d{2})? ?(?:[ap]\.?m\.?)?)$/i.exec(
      text,
    );
  return after ? { date: after[1] as string, time: after[2] as string } : { time: text };
}

/** Two figures with a colon are hours and minutes up to this many hours; beyond, minutes and seconds. */
const MOST_HOURS = 5;
const UNIT_MIN: readonly (readonly [RegExp, number])[] = [
  [/^h(?:ours?|rs?)?$/, 60],
  [/^(?:m|mins?|minutes?|['’′])$/, 1],
  [/^(?:s|secs?|seconds?|["”″])$/, 1 / 60],
];

/**
 * Minutes of "12", "12 min", "1h30", "1 h 30 min", "90 s", "0:12", "1:30:00", "2'30"; a bare figure is
 * minutes. Two figures with a colon are hours and minutes, or minutes and seconds from 5:00 on:
 * nothing in a running order lasts five hours.
 */
export function durationMinutes(written: string): number | undefined {
  const text = written
    .trim()
    .toLowerCase()
    .replace(',', '.')
    .replace(/^(?:about|ca\.?|~) ?/, '');
  const clock = /^(\d{1,2}):(\d{2})(?::(\d{2}))?$/.exec(text);
  if (clock) {
    const [first, second, third] = clock.slice(1).map(Number) as [number, number, number];
    if (clock[3] !== undefined) return first * 60 + second + third / 60 || undefined;
    return (first < MOST_HOURS ? first * 60 + second : first + second / 60) || undefined;
  }
  if (/^\d+(?:\.\d+)?$/.test(text)) return Number(text) || undefined;
  let left = text;
  let total = 0;
  let unit = 0;
  while (left) {
    const part = /^(\d+(?:\.\d+)?) ?([a-z'’′"”″]*)\.? *(?:and )?/.exec(left);
    if (!part) return undefined;
    const named = UNIT_MIN.find(([pattern]) => pattern.test(part[2] as string))?.[1];
    // "1h30": what follows hours without a unit is minutes.
    const each = named ?? (part[2] === '' && unit > 0 ? unit / 60 : undefined);
    if (each === undefined) return undefined;
    total += Number(part[1]) * each;
    unit = each;
    left = left.slice(part[0].length);
  }
  return total || undefined;
}
