import { eventSchema, type DayEventRecord } from '@/records/day';

/** How an event that goes on is dropped into, as tables and calendars have it: so many visits of so many minutes. */

type EventWindow = NonNullable<DayEventRecord['window']>;

/** "3 of 10 min". */
export const windowWritten = ({ visits, visitMin }: EventWindow): string =>
  `${visits} of ${visitMin} min`;

/** What was written; nothing where it says none that an event may have. */
export function windowFrom(written: string): EventWindow | undefined {
  const found = /^\s*(\d{1,3})\s*(?:of|x|×)\s*(\d{1,3})\s*(?:min(?:utes?)?)?\s*$/i.exec(written);
  if (!found) return undefined;
  const read = eventSchema.shape.window.safeParse({
    visits: Number(found[1]),
    visitMin: Number(found[2]),
  });
  return read.success ? read.data : undefined;
}
