import {
  Body,
  SearchAltitude,
  SearchHourAngle,
  SearchRiseSet,
  type Observer,
} from 'astronomy-engine';
import { observerAt, type Place } from './position';
import { msOf } from './zone';

/** Moments of one local day; those that do not happen (polar day and night) are absent. */
export interface SunEvents {
  readonly astronomicalDawn?: Date;
  readonly nauticalDawn?: Date;
  readonly civilDawn?: Date;
  readonly rise?: Date;
  readonly culmination?: Date;
  readonly set?: Date;
  readonly civilDusk?: Date;
  readonly nauticalDusk?: Date;
  readonly astronomicalDusk?: Date;
}

export const RISING = 1;
export const SETTING = -1;
/** Altitude of the sun's centre at the end of each twilight, by definition. */
const TWILIGHT_ALTITUDES_DEG = { civil: -6, nautical: -12, astronomical: -18 } as const;

const DAY_MS = 86_400_000;

interface LocalDay {
  readonly start: Date;
  readonly end: Date;
  readonly lengthDays: number;
}

/** A local calendar day: 23 to 25 hours, from midnight to midnight by the clocks there. */
export function localDay(date: string, timeZone: string): LocalDay {
  const day = Date.parse(`${date}T00:00Z`);
  if (Number.isNaN(day) || new Date(day).toISOString().slice(0, 10) !== date) {
    throw new RangeError(`date ${date}: must be a day such as 2026-09-11`);
  }
  const next = new Date(day + DAY_MS).toISOString().slice(0, 10);
  const [start, end] = [msOf(`${date}T00:00`, timeZone), msOf(`${next}T00:00`, timeZone)];
  return { start: new Date(start), end: new Date(end), lengthDays: (end - start) / DAY_MS };
}

function crossing(observer: Observer, direction: number, day: LocalDay, altitudeDeg: number) {
  return SearchAltitude(Body.Sun, observer, direction, day.start, day.lengthDays, altitudeDeg)
    ?.date;
}

/**
 * Rise, set, culmination and twilights within one local calendar day, 23 to 25 hours long where
 * clocks change. Rise and set are of the upper limb with standard refraction.
 * @param date local day, "YYYY-MM-DD"
 * @throws RangeError for an unknown zone, a date that is none, or a place off the globe.
 */
export function sunEvents({
  date,
  timeZone,
  ...place
}: Place & { readonly date: string; readonly timeZone: string }): SunEvents {
  const observer = observerAt(place);
  const day = localDay(date, timeZone);
  const { civil, nautical, astronomical } = TWILIGHT_ALTITUDES_DEG;
  const culmination = SearchHourAngle(Body.Sun, observer, 0, day.start).time.date;
  const found = {
    astronomicalDawn: crossing(observer, RISING, day, astronomical),
    nauticalDawn: crossing(observer, RISING, day, nautical),
    civilDawn: crossing(observer, RISING, day, civil),
    rise: SearchRiseSet(Body.Sun, observer, RISING, day.start, day.lengthDays)?.date,
    culmination: culmination < day.end ? culmination : undefined,
    set: SearchRiseSet(Body.Sun, observer, SETTING, day.start, day.lengthDays)?.date,
    civilDusk: crossing(observer, SETTING, day, civil),
    nauticalDusk: crossing(observer, SETTING, day, nautical),
    astronomicalDusk: crossing(observer, SETTING, day, astronomical),
  };
  return Object.fromEntries(Object.entries(found).filter(([, when]) => when !== undefined));
}
