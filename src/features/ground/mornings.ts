import { DateTime } from 'luxon';
import type { FaceSpan, Mist } from '@/core';
import { inALine } from '@/records/day-said';
import { mistOf } from '@/answers/mist';
import type { Forecast } from '@/records/forecast';
import { runsOf } from '@/answers/runs';
import { calendarDay, runInWords, type CalendarDay } from './when';

/** In which weeks a face has front light early in the day, and which mornings are the best. */

/** What counts as morning, as a share of the day's clock: photographers of birds sit until about then. No source. */
const MORNING_UNTIL_HOUR = 9;
const MINUTE_MS = 60_000;
/** As many mornings are named. */
const MOST_MORNINGS = 3;

/** A morning by how long the face has front light in it. */
export interface Morning {
  /** Which of the calendar's days. */
  readonly row: number;
  readonly name: string;
  readonly frontMin: number;
  /** All that is light of it, until nine by the clock there. */
  readonly spans: readonly FaceSpan[];
}

/** A day's spans from its dawn to nine, and how long of that is front light. */
function morningOf(
  day: CalendarDay,
  row: number,
  spans: readonly FaceSpan[],
  timeZone: string,
): Morning {
  const untilMs = DateTime.fromISO(day.date, { zone: timeZone })
    .set({ hour: MORNING_UNTIL_HOUR })
    .toMillis();
  const early = spans
    .filter(({ fromMs, sun }) => fromMs < untilMs && sun !== 'dark')
    .map((span) => ({ ...span, toMs: Math.min(span.toMs, untilMs) }));
  const frontMs = early
    .filter(({ sun }) => sun === 'front')
    .reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0);
  return { row, name: day.name, frontMin: Math.round(frontMs / MINUTE_MS), spans: early };
}

/** The mornings of a year, in the order of its days. */
export const morningsOf = (
  days: readonly CalendarDay[],
  found: readonly (readonly FaceSpan[])[],
  timeZone: string,
): readonly Morning[] => days.map((day, i) => morningOf(day, i, found[i] ?? [], timeZone));

/** "40 min", "2 h", "2 h 10 min". */
function lasting(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  return [hours > 0 ? `${hours} h` : '', rest > 0 ? `${rest} min` : ''].filter(Boolean).join(' ');
}

/** The weeks with front light in the morning: "21 Mar to 21 Sep; most on 11 Jun, 2 h 10 min". */
export function seasonInWords(mornings: readonly Morning[]): string {
  const isFront = ({ frontMin }: Morning) => frontMin > 0;
  const runs = runsOf(mornings, (a, b) => isFront(a) === isFront(b)).filter(({ first }) =>
    isFront(first),
  );
  if (runs.length === 0) return 'on no day of the year';
  const most = mornings.reduce((a, b) => (b.frontMin > a.frontMin ? b : a));
  const weeks = inALine(runs.map(runInWords));
  return `${weeks}; most on ${most.name}, ${lasting(most.frontMin)}`;
}

/** The best mornings from a date on, to the year's end and round it; the soonest of equal ones first. */
export function bestMornings(
  mornings: readonly Morning[],
  days: readonly CalendarDay[],
  fromDate: string,
): readonly Morning[] {
  const first = days.findIndex(({ date }) => date >= fromDate);
  const ahead = first < 0 ? mornings : [...mornings.slice(first), ...mornings.slice(0, first)];
  return ahead
    .filter(({ frontMin }) => frontMin > 0)
    .sort((a, b) => b.frontMin - a.frontMin)
    .slice(0, MOST_MORNINGS);
}

/** Days that a forecast covers up to nine in the morning, from a date on. */
export function forecastDays(
  { hours }: Pick<Forecast, 'hours'>,
  timeZone: string,
  fromDate: string,
): readonly CalendarDay[] {
  const dates = hours.map(({ time }) => DateTime.fromISO(time, { zone: timeZone }));
  const covered = dates.filter(({ hour }) => hour === MORNING_UNTIL_HOUR - 1);
  return [...new Set(covered.map((at) => at.toISODate() ?? ''))]
    .filter((date) => date >= fromDate)
    .map((date) => calendarDay(date, timeZone));
}

/** What a forecast says of a morning. */
export interface ForecastMorning extends Morning {
  readonly date: string;
  /** Mean share of cloud while it is light before nine; nothing where the forecast has no such hour. */
  readonly cloud: number | undefined;
  /** The most mist of those hours. */
  readonly mist: Mist;
}

const MIST_RANK: Readonly<Record<Mist, number>> = { none: 0, possible: 1, likely: 2 };

const HOUR_MS = 60 * MINUTE_MS;

/** The mornings that a forecast covers, that with most front light under a clear sky first. */
export function forecastMornings(
  days: readonly CalendarDay[],
  found: readonly (readonly FaceSpan[])[],
  { hours }: Pick<Forecast, 'hours'>,
  timeZone: string,
): readonly ForecastMorning[] {
  const made = morningsOf(days, found, timeZone).map((morning, i): ForecastMorning => {
    const [from, to] = [morning.spans[0]?.fromMs ?? 0, morning.spans.at(-1)?.toMs ?? 0];
    const within = hours.filter(({ time }) => {
      const at = Date.parse(time);
      return at > from - HOUR_MS && at <= to;
    });
    const cloud =
      within.length > 0
        ? within.reduce((sum, hour) => sum + hour.cloud, 0) / within.length
        : undefined;
    const mist = within
      .map((hour) => mistOf(hour).mist)
      .reduce<Mist>((a, b) => (MIST_RANK[b] > MIST_RANK[a] ? b : a), 'none');
    return { ...morning, date: days[i]?.date ?? '', cloud, mist };
  });
  const clearMin = ({ frontMin, cloud = 1 }: ForecastMorning) => frontMin * (1 - cloud);
  return [...made].sort((a, b) => clearMin(b) - clearMin(a));
}

/** "2 h 10 min of front light; cloud 20 %; mist possible": why a morning is good or not. */
export function reasonsInWords({ frontMin, cloud, mist }: ForecastMorning): string {
  return [
    frontMin > 0 ? `${lasting(frontMin)} of front light` : 'no front light before 09:00',
    cloud === undefined ? '' : `cloud ${Math.round(cloud * 100)} %`,
    mist === 'none' ? '' : `mist ${mist}`,
  ]
    .filter(Boolean)
    .join('; ');
}
