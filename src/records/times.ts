import { DateTime } from 'luxon';
import type { Shoot } from './shoot';

const LOCAL_MINUTE = "yyyy-MM-dd'T'HH:mm";
/** Looked at before the start and after the end. */
export const MARGIN_MINUTES = 30;

/** Wall-clock minute at a place to milliseconds since 1970 UTC. */
export const msOf = (localMinute: string, timeZone: string): number =>
  DateTime.fromISO(localMinute, { zone: timeZone }).toMillis();

/** Milliseconds to the wall-clock minute at a place. */
export const localMinuteOf = (ms: number, timeZone: string): string =>
  DateTime.fromMillis(ms, { zone: timeZone }).toFormat(LOCAL_MINUTE);

/** "20:05" at a place. */
export const clockOf = (ms: number, timeZone: string): string =>
  DateTime.fromMillis(ms, { zone: timeZone }).toFormat('HH:mm');

/** "Friday 16 April 2027" for a wall-clock minute. */
export const dayOf = (localMinute: string): string =>
  DateTime.fromISO(localMinute).setLocale('en-GB').toFormat('cccc d LLLL yyyy');

export interface ShootTimes {
  readonly startMs: number;
  readonly endMs: number;
  /** The ends of the time ribbon: start and end with a margin. */
  readonly fromMs: number;
  readonly toMs: number;
  readonly atMs: number;
  readonly lampsFromMs?: number;
}

export function timesOf(shoot: Shoot): ShootTimes {
  const { timeZone } = shoot.place;
  const startMs = msOf(shoot.startLocal, timeZone);
  const endMs = msOf(shoot.endLocal, timeZone);
  const fromMs = startMs - MARGIN_MINUTES * 60_000;
  const toMs = endMs + MARGIN_MINUTES * 60_000;
  const { lampsFromLocal } = shoot.light;
  return {
    startMs,
    endMs,
    fromMs,
    toMs,
    atMs: Math.min(toMs, Math.max(fromMs, msOf(shoot.atLocal, timeZone))),
    ...(lampsFromLocal && { lampsFromMs: msOf(lampsFromLocal, timeZone) }),
  };
}
