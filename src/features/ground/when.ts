import { DateTime } from 'luxon';
import type { FacedScene, FaceSpan, LitScene, Span, SunOnFace } from '@/core';
import { runsOf, type Run } from '@/answers/runs';
import type { View } from '@/answers/view';

/** When the face has what light: a day hour by hour, and a year by thirds of its months. */

/** Every one of these days of a month is a row of the calendar. */
const DAYS_OF_MONTH = [1, 11, 21];

export interface CalendarDay extends Span {
  /** "2027-04-11". */
  readonly date: string;
  /** "11 Apr". */
  readonly name: string;
}

/** A local day from midnight to midnight; 23 or 25 hours when clocks change. */
export function calendarDay(date: string, timeZone: string): CalendarDay {
  const start = DateTime.fromISO(date, { zone: timeZone });
  return {
    date,
    name: start.setLocale('en-GB').toFormat('d LLL'),
    fromMs: start.toMillis(),
    toMs: start.plus({ days: 1 }).toMillis(),
  };
}

/** The first, the eleventh and the twenty-first of each month of a date's year. */
export function calendarOf(date: string, timeZone: string): readonly CalendarDay[] {
  const year = date.slice(0, 4);
  return Array.from({ length: 12 }, (_, month) =>
    DAYS_OF_MONTH.map((day) => {
      const two = (n: number) => String(n).padStart(2, '0');
      return calendarDay(`${year}-${two(month + 1)}-${two(day)}`, timeZone);
    }),
  ).flat();
}

/** Just what the sun on the face depends on: a lamp or the sky changes none of it. */
export const facedScene = (
  { sight }: View,
  { place, obstacles, boughs, target, faceAzimuthDeg }: LitScene,
): FacedScene => ({
  place,
  obstacles,
  ...(boughs && { boughs }),
  target,
  faceAzimuthDeg,
  viewAltitudeDeg: sight.elevationDeg,
});

export const SUN_WORDS: Readonly<Record<SunOnFace, string>> = {
  front: 'front light',
  side: 'side light',
  back: 'back light',
  high: 'high sun',
  shade: 'in shade',
  twilight: 'twilight',
  dark: 'dark',
};

/** "07:40 to 10:05 front light", for all of a day that is not dark. */
export const dayInWords = (
  spans: readonly FaceSpan[],
  clock: (ms: number) => string,
): readonly string[] =>
  spans
    .filter(({ sun }) => sun !== 'dark')
    .map(({ fromMs, toMs, sun }) => `${clock(fromMs)} to ${clock(toMs)} ${SUN_WORDS[sun]}`);

/** How the sun stands at a share of a day. */
export function sunAtShare(
  { fromMs, toMs }: Span,
  spans: readonly FaceSpan[],
  share: number,
): SunOnFace {
  const at = fromMs + (toMs - fromMs) * share;
  return spans.findLast((span) => span.fromMs <= at)?.sun ?? 'dark';
}

/** "1 Jan to 21 Feb twilight; 1 Mar to 11 Oct front light": one hour through the year. */
export function yearInWords(
  days: readonly CalendarDay[],
  found: readonly (readonly FaceSpan[])[],
  share: number,
): string {
  const told = days.map((day, i) => ({ ...day, sun: sunAtShare(day, found[i] ?? [], share) }));
  return runsOf(told, (a, b) => a.sun === b.sun)
    .map((run) => `${runInWords(run)} ${SUN_WORDS[run.first.sun]}`)
    .join('; ');
}

/** "1 Jan to 21 Feb", "1 Jan": the days of a run by name. */
export const runInWords = ({ first, last }: Run<{ readonly name: string }>): string =>
  first === last ? first.name : `${first.name} to ${last.name}`;
