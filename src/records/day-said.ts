import type { DayEventRecord } from './day';

const SAID = new Intl.DateTimeFormat('en-GB', {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
  timeZone: 'UTC',
});

/** "Friday 16 April 2027" for a wall-clock minute. */
export const dayOf = (localMinute: string): string =>
  SAID.format(Date.parse(`${localMinute}Z`)).replace(',', '');

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const wallMs = (localMinute: string): number => Date.parse(`${localMinute}Z`);
const dayNumber = (localMinute: string): number => Math.floor(wallMs(localMinute) / DAY_MS);

/** "In 140 days", "Tomorrow", "In 3 hours", "Now", "12 days ago": all by one wall clock. */
export function untilInDays(startLocal: string, endLocal: string, nowLocal: string): string {
  if (nowLocal > endLocal) {
    const days = dayNumber(nowLocal) - dayNumber(endLocal);
    if (days === 0) return 'Earlier today';
    return days === 1 ? 'Yesterday' : `${days} days ago`;
  }
  if (nowLocal >= startLocal) return 'Now';
  const days = dayNumber(startLocal) - dayNumber(nowLocal);
  if (days > 0) return days === 1 ? 'Tomorrow' : `In ${days} days`;
  const hours = Math.round((wallMs(startLocal) - wallMs(nowLocal)) / HOUR_MS);
  return hours <= 1 ? 'Within the hour' : `In ${hours} hours`;
}

/** "heat 3", "final": what a heat is called. */
export const heatTitle = (heat: string): string =>
  /^\d+$/.test(heat) ? `heat ${heat}` : heat.toLowerCase();

/** What an event is called: with its heat. */
export const eventTitle = ({ name, heat }: Pick<DayEventRecord, 'name' | 'heat'>): string =>
  heat ? `${name}, ${heatTitle(heat)}` : name;

const LISTS = new Intl.ListFormat('en-GB');
/** "A, B and C". */
export const inALine = (names: readonly string[]): string => LISTS.format(names);
