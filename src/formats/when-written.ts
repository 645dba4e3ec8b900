import { DateTime, Info } from 'luxon';
import { clockMinutes, dateOf, type DateOrder } from './written-time';

/** Days and times as a person writes them, and as their locale writes them back. */

/** What was read, or what was understood and what is missing. */
export type Read<T> = { readonly value: T } | { readonly problem: string };

/** Whether the person's locale puts the month before the day. */
export function localeOrder(locale?: string): DateOrder {
  const parts = new Intl.DateTimeFormat(locale, { dateStyle: 'short' }).formatToParts(0);
  const at = (type: string) => parts.findIndex((part) => part.type === type);
  return at('month') < at('day') ? 'monthFirst' : 'dayFirst';
}

const utcMs = (date: string) => Date.parse(`${date}T12:00Z`);

/** "28/11/2026", as the locale writes it, in figures. */
export const dayInFigures = (date: string, locale?: string): string =>
  new Intl.DateTimeFormat(locale, {
    ...({ year: 'numeric', month: '2-digit', day: '2-digit' } as const),
    timeZone: 'UTC',
    numberingSystem: 'latn',
    calendar: 'gregory',
  }).format(utcMs(date));

/** "7:00 PM" or "19:00", as the locale writes it. */
export const clockInFigures = (minutes: number, locale?: string): string =>
  new Intl.DateTimeFormat(locale, { timeStyle: 'short', timeZone: 'UTC', numberingSystem: 'latn' })
    .format(minutes * 60_000)
    .replace(/\s/g, ' ');

/** "19:00" of minutes since midnight. */
export const clockWritten = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

const WEEKDAYS = Info.weekdays('long', { locale: 'en' }).map((name) => name.toLowerCase());
const MONTHS = Info.months('long', { locale: 'en' });

/** The next day of a name after a day: "sat", "next saturday". */
function namedDay(text: string, today: DateTime): string | undefined {
  const name = text.replace(/^(?:next|this|on) +/, '').replace(/\.$/, '');
  if (name.length < 3) return undefined;
  const weekday = WEEKDAYS.findIndex((known) => known.startsWith(name)) + 1;
  if (weekday === 0) return undefined;
  const ahead = (weekday - today.weekday + 7) % 7 || 7;
  return today.plus({ days: ahead }).toISODate() ?? undefined;
}

/** What of a date was understood: "May and 2027". */
function partsUnderstood(
  text: string,
): { readonly has: string; readonly lacks: string } | undefined {
  const month = MONTHS.find((name) => new RegExp(`\\b${name.slice(0, 3)}`, 'i').test(text));
  const year = /\b\d{4}\b/.exec(text)?.[0];
  const day = /\b([1-9]|[12]\d|3[01])(?:st|nd|rd|th)?\b/.exec(text)?.[0];
  const has = [day, month, year].filter((part) => part !== undefined);
  if (has.length === 0) return undefined;
  const lacks = !day ? 'the day' : 'the month';
  return day && month ? undefined : { has: has.join(' '), lacks };
}

/** Day, month and year of a date in figures, whether or not there is such a day. */
function figuresRead(text: string, order: DateOrder) {
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$/.exec(text);
  if (iso) return { day: Number(iso[3]), month: Number(iso[2]), year: iso[1] as string };
  const parts = /^(\d{1,2})[-/. ]+(\d{1,2})[-/. ]+(\d{2,4})$/.exec(text);
  if (!parts) return undefined;
  const [first, second] = [Number(parts[1]), Number(parts[2])];
  const [day, month] = order === 'dayFirst' ? [first, second] : [second, first];
  return { day, month, year: parts[3] as string };
}

/**
 * A day as written: "22.05.2027", "9/3/2027" by the locale's order, "9/22/2027" by the only one there is, "22 May", "tomorrow", "Sat". Without a
 * year the next such day is meant.
 * @param todayIso the day it is there
 */
export function dayRead(written: string, todayIso: string, locale?: string): Read<string> {
  const text = written.trim().toLowerCase().replace(/\s+/g, ' ');
  const today = DateTime.fromISO(todayIso, { zone: 'utc' });
  if (!text) return { problem: 'the day is missing' };
  if (text === 'today' || text === 'tonight') return { value: todayIso };
  if (text === 'tomorrow') return { value: today.plus({ days: 1 }).toISODate() ?? todayIso };
  const named = namedDay(text, today);
  if (named) return { value: named };
  // Points stand after the day wherever they are written so.
  const order = /^\d{1,2}\. ?\d/.test(text) ? 'dayFirst' : localeOrder(locale);
  // What is no day in the usual order may be one in the other: it is read back in words.
  const other = order === 'dayFirst' ? 'monthFirst' : 'dayFirst';
  const inYear = (year: number) => dateOf(written, order, year) ?? dateOf(written, other, year);
  const found = inYear(today.year);
  if (found) {
    const hasYear = /\d{4}|[-/.]\d\d?[-/.]\d\d\b/.test(text);
    if (hasYear || found >= todayIso) return { value: found };
    return { value: inYear(today.year + 1) ?? found };
  }
  const figures = figuresRead(text, order);
  if (figures) {
    const { day, month, year } = figures;
    const name = MONTHS[month - 1];
    return {
      problem: name
        ? `read as ${day} ${name} ${year}: there is no such day`
        : `read as day ${day}, month ${month}: there is no such month`,
    };
  }
  const parts = partsUnderstood(text);
  return {
    problem: parts
      ? `${parts.has} is understood; ${parts.lacks} is missing`
      : `write the day such as ${dayInFigures(todayIso, locale)}, 22 May or Saturday`,
  };
}

/** A time as written, in minutes since midnight: "7:00 pm", "19.30", "1930", "noon". */
export function clockRead(written: string, what: string, locale?: string): Read<number> {
  const text = written.trim();
  if (!text) return { problem: `the ${what} is missing` };
  const minutes = clockMinutes(text);
  if (minutes !== undefined) return { value: minutes };
  const hour = /^(\d{1,2})$/.exec(text)?.[1];
  if (hour && Number(hour) < 24) {
    return { problem: `${hour} is understood as the hour; write ${hour}:00, or am or pm after it` };
  }
  const clock = /^(\d{1,2})[:.h](\d{2})/.exec(text);
  if (clock && Number(clock[2]) > 59) return { problem: `there is no minute ${clock[2]}` };
  if (clock) return { problem: `there is no hour ${clock[1]}` };
  return { problem: `write the time such as ${clockInFigures(18 * 60 + 30, locale)}` };
}
