import { DateTime } from 'luxon';
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

/** Wall-clock minute, "2027-04-16T18:30". */
export const localMinute = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'must be a minute such as 2027-04-16T18:30')
  .refine((value) => DateTime.fromISO(value).isValid, 'must be a real date and time');
