import { DateTime } from 'luxon';
import type { Shade } from '@/answers/shades-on';
import { inALine } from '@/records/day-said';
import { percent } from './words';

/** Whose shade lies on a mark when, in words. */

const day = (date: string): string => DateTime.fromISO(date).setLocale('en-GB').toFormat('d LLLL');

/** "07:10 to 07:40, until 20 May"; "all these hours, all year". */
export function shadeInWords(
  { spans, leastShare, untilDate }: Omit<Shade, 'name'>,
  { startMs, endMs }: { readonly startMs: number; readonly endMs: number },
  clock: (ms: number) => string,
  today: string,
): string {
  const all = spans.some(({ fromMs, toMs }) => fromMs <= startMs && toMs >= endMs);
  const hours = all
    ? 'all these hours'
    : inALine(spans.map(({ fromMs, toMs }) => `${clock(fromMs)} to ${clock(toMs)}`));
  const season =
    untilDate === undefined
      ? 'all year'
      : untilDate === today
        ? 'for the last day'
        : `until ${day(untilDate)}`;
  const dappled =
    leastShare === undefined ? '' : `; dappled, ${percent(leastShare)} of the sun at the least`;
  return `${hours}, ${season}${dappled}`;
}
