import { tzOffset } from '@date-fns/tz/tzOffset';

/**
 * Clocks on the wall at a place, and moments. Offsets come from the platform's own table of zones, by
 * `@date-fns/tz`, which is small enough for the first answer to wait for.
 */

const MINUTE_MS = 60_000;
const KNOWN_OFFSETS = 1024;
/** Clocks change on the quarter hour, so an offset holds for the quarter it was found in. */
const QUARTER_MS = 15 * MINUTE_MS;
const knownOffsets = new Map<string, number>();

const MOST_ZONES = 64;
const knownZones = new Set<string>();

/** Whether there is such a zone, "Europe/London". */
export function isTimeZone(timeZone: string): boolean {
  if (knownZones.has(timeZone)) return true;
  try {
    new Intl.DateTimeFormat('en', { timeZone });
  } catch {
    return false;
  }
  if (knownZones.size >= MOST_ZONES) knownZones.clear();
  knownZones.add(timeZone);
  return true;
}

/**
 * How far clocks at a place are ahead of UTC at a moment, milliseconds.
 * @param ms since 1970 UTC
 * @throws RangeError for an unknown zone
 */
export function zoneOffsetMs(ms: number, timeZone: string): number {
  const key = `${Math.floor(ms / QUARTER_MS)} ${timeZone}`;
  const known = knownOffsets.get(key);
  if (known !== undefined) return known;
  if (!isTimeZone(timeZone)) {
    throw new RangeError(`timeZone ${timeZone}: must be an IANA zone such as Europe/London`);
  }
  const offset = Math.round(tzOffset(timeZone, new Date(ms))) * MINUTE_MS;
  if (knownOffsets.size >= KNOWN_OFFSETS) knownOffsets.clear();
  knownOffsets.set(key, offset);
  return offset;
}

/**
 * Wall-clock minute (or second) at a place to milliseconds since 1970 UTC. Of an hour that clocks show twice it
 * is one of the two; of an hour they skip, the same minute by the clocks before.
 * @throws RangeError for an unknown zone
 */
export function msOf(localMinute: string, timeZone: string): number {
  const asUtc = Date.parse(`${localMinute}Z`);
  const first = zoneOffsetMs(asUtc, timeZone);
  const second = zoneOffsetMs(asUtc - first, timeZone);
  const third = zoneOffsetMs(asUtc - second, timeZone);
  return asUtc - (second === third ? second : Math.min(second, third));
}
