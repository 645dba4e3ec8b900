import { DateTime } from 'luxon';
import type { Shoot } from './shoot';

const LOCAL_MINUTE = "yyyy-MM-dd'T'HH:mm";
/** Looked at before the start and after the end. */
export const MARGIN_MINUTES = 30;

const KNOWN_MOMENTS = 1024;
const knownMoments = new Map<string, number>();

/** Wall-clock minute at a place to milliseconds since 1970 UTC. Remembered: a drag asks again. */
export function msOf(localMinute: string, timeZone: string): number {
  const key = `${localMinute} ${timeZone}`;
  const known = knownMoments.get(key);
  if (known !== undefined) return known;
  const ms = DateTime.fromISO(localMinute, { zone: timeZone }).toMillis();
  if (knownMoments.size >= KNOWN_MOMENTS) knownMoments.clear();
  knownMoments.set(key, ms);
  return ms;
}

/** Milliseconds to the wall-clock minute at a place. */
export const localMinuteOf = (ms: number, timeZone: string): string =>
  DateTime.fromMillis(ms, { zone: timeZone }).toFormat(LOCAL_MINUTE);

/** "20:05" at a place. */
export const clockOf = (ms: number, timeZone: string): string =>
  DateTime.fromMillis(ms, { zone: timeZone }).toFormat('HH:mm');

/** "Friday 16 April 2027" for a wall-clock minute. */
export const dayOf = (localMinute: string): string =>
  DateTime.fromISO(localMinute).setLocale('en-GB').toFormat('cccc d LLLL yyyy');

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
