import { z } from 'zod';

/** Shapes that several records share. */

export const text = (max: number) => z.string().trim().min(1, 'must not be empty').max(max);
export const id = z.string().regex(/^[\w-]{1,40}$/, 'must be 1 to 40 letters, digits, - or _');
/** Nothing lies further than this from the site's origin, east or north. */
export const REACH_M = 5000;
export const metres = z.number().min(-REACH_M).max(REACH_M);
export const bearing = z.number().min(0).lt(360);
export const presetId = (list: readonly { readonly id: string }[]) =>
  z.enum(list.map((entry) => entry.id) as [string, ...string[]]);

/** Whether a wall-clock time of a whole date is one that calendars have: no 30 February, no 25:00. */
const isReal = (value: string): boolean => {
  const ms = Date.parse(`${value}Z`);
  return !Number.isNaN(ms) && new Date(ms).toISOString().startsWith(value);
};
const localTime = (pattern: RegExp, allowed: string) =>
  z.string().regex(pattern, `must be ${allowed}`).refine(isReal, 'must be a real date and time');

/** Wall-clock minute, "2027-04-16T18:30". */
export const localMinute = localTime(
  /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/,
  'a minute such as 2027-04-16T18:30',
);

/** Wall-clock second, "2027-04-16T18:30:05": of no zone but the place's. */
export const localSecond = localTime(
  /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}$/,
  'a second such as 2027-04-16T18:30:05',
);
