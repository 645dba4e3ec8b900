import { range } from 'd3-array';
import { hazeContrast, mistIn, sunEvents, type MistOn } from '@/core';
import { airAt, type AirHour } from '@/records/air';
import type { Shoot } from '@/records/shoot';
import { hoursOf } from '@/records/times';
import type { AlongSight } from './along-sight';
import type { View } from './view';

/** Mist about a sunrise, and what the air leaves of a picture's contrast. */

type Weathered = Pick<Shoot, 'air' | 'light'>;

const HOUR_MS = 3_600_000;
/** Mist is asked about so long before and after sunrise. Common practice, no source. */
const ABOUT_RISE_H = { before: 2, after: 3 } as const;

/** Mist in the weather of an hour. */
export const mistOf = ({ temperatureC, humidityPct, windMs }: AirHour): MistOn =>
  mistIn({
    temperatureC: Math.max(-45, temperatureC),
    relativeHumidityPct: Math.max(1, humidityPct),
    windMs,
  });

export interface MistHour extends MistOn {
  readonly atMs: number;
  readonly windMs: number;
}

/** Mist hour by hour about the sunrise within a shoot; none for a shoot that has no sunrise. */
export function mistHours(
  shoot: Weathered & Pick<Shoot, 'place' | 'startLocal' | 'endLocal'>,
): readonly MistHour[] {
  if (shoot.light.indoors) return [];
  const { startMs, endMs } = hoursOf(shoot);
  const rise = sunEvents({ date: shoot.startLocal.slice(0, 10), ...shoot.place }).rise?.getTime();
  if (rise === undefined) return [];
  const fromMs = Math.max(startMs, rise - ABOUT_RISE_H.before * HOUR_MS);
  const toMs = Math.min(endMs, rise + ABOUT_RISE_H.after * HOUR_MS);
  return range(fromMs, toMs + 1, HOUR_MS).map((atMs) => {
    const air = airAt(shoot, atMs);
    return { atMs, windMs: air.windMs, ...mistOf(air) };
  });
}

/** How far one sees at a minute, metres; nothing where nobody said. */
export function visibilityM(shoot: Weathered, atMs: number): number | undefined {
  const { visibilityKm } = airAt(shoot, atMs);
  return visibilityKm === undefined || visibilityKm === 0 ? undefined : visibilityKm * 1000;
}

/** Contrast that the air leaves of the subject, and of what is behind it; nothing where nobody said how far one sees. */
export function contrastLeft(
  shoot: Weathered,
  { sight }: Pick<View, 'sight'>,
  back: AlongSight['back'],
  atMs: number,
): { readonly subject: number; readonly behind: number | undefined } | undefined {
  const seenM = visibilityM(shoot, atMs);
  if (seenM === undefined) return undefined;
  const left = (distanceM: number) => hazeContrast({ distanceM, visibilityM: seenM });
  return { subject: left(sight.distanceM), behind: back && left(back.distanceM) };
}
