import { msOf, zoneOffsetMs } from '@/core';
import type { Shoot } from './shoot';

export { msOf };

/** Looked at before the start and after the end. */
export const MARGIN_MINUTES = 30;

/** Longest shoot there may be. */
export const MOST_DAYS = 60;
const DAY_MS = 86_400_000;

/**
 * Whether a shoot ends after it starts, by the clocks of its place: a night in which they change may have
 * them the other way round. And not later than {@link MOST_DAYS} days on.
 */
export function endsAfterStart({
  startLocal,
  endLocal,
  place,
}: Pick<Shoot, 'startLocal' | 'endLocal' | 'place'>): boolean {
  const lastsMs = msOf(endLocal, place.timeZone) - msOf(startLocal, place.timeZone);
  return lastsMs > 0 && lastsMs <= MOST_DAYS * DAY_MS;
}

/** Milliseconds to the wall-clock minute at a place, "2027-04-16T18:30". */
export const localMinuteOf = (ms: number, timeZone: string): string =>
  new Date(ms + zoneOffsetMs(ms, timeZone)).toISOString().slice(0, 16);

/** As {@link localMinuteOf}, to the second: "2027-04-16T18:30:05". */
export const localSecondOf = (ms: number, timeZone: string): string =>
  new Date(ms + zoneOffsetMs(ms, timeZone)).toISOString().slice(0, 19);

/** Minutes since midnight of a wall-clock minute. */
export const minutesOfDay = (local: string): number =>
  Number(local.slice(11, 13)) * 60 + Number(local.slice(14, 16));

/** "20:05" at a place. */
export const clockOf = (ms: number, timeZone: string): string =>
  localMinuteOf(ms, timeZone).slice(11);

/** A shoot's hours as moments. */
export interface ShootHours {
  readonly startMs: number;
  readonly endMs: number;
  /** The ends of the time ribbon: start and end with a margin. */
  readonly fromMs: number;
  readonly toMs: number;
  readonly lampsFromMs?: number;
}

export function hoursOf({
  startLocal,
  endLocal,
  place: { timeZone },
  light: { lampsFromLocal },
}: Pick<Shoot, 'startLocal' | 'endLocal' | 'place' | 'light'>): ShootHours {
  const startMs = msOf(startLocal, timeZone);
  const endMs = msOf(endLocal, timeZone);
  return {
    startMs,
    endMs,
    fromMs: startMs - MARGIN_MINUTES * 60_000,
    toMs: endMs + MARGIN_MINUTES * 60_000,
    ...(lampsFromLocal && { lampsFromMs: msOf(lampsFromLocal, timeZone) }),
  };
}

/** The moment being looked at, kept within the ribbon. */
export function atMsOf({ atLocal, place }: Shoot, { fromMs, toMs }: ShootHours): number {
  return Math.min(toMs, Math.max(fromMs, msOf(atLocal, place.timeZone)));
}
