import { msOf } from '@/records/times';

/** How long it is to a shoot, in words. */

const HOUR_MS = 3_600_000;
const dayNumber = (local: string): number =>
  Math.floor(Date.parse(`${local.slice(0, 10)}T00:00Z`) / (24 * HOUR_MS));

/** "In 140 days", "Tomorrow", "In 3 hours", "Now", "12 days ago". @param nowMs the clock */
export function untilInDays(
  startLocal: string,
  endLocal: string,
  timeZone: string,
  nowMs: number,
): string {
  const [startMs, endMs] = [msOf(startLocal, timeZone), msOf(endLocal, timeZone)];
  if (nowMs >= startMs && nowMs <= endMs) return 'Now';
  // The place's own day: its midnight is not the device's.
  const localNow = new Date(nowMs + (Date.parse(`${startLocal}Z`) - startMs)).toISOString();
  if (nowMs > endMs) {
    const days = dayNumber(localNow) - dayNumber(endLocal);
    if (days === 0) return 'Earlier today';
    return days === 1 ? 'Yesterday' : `${days} days ago`;
  }
  const days = dayNumber(startLocal) - dayNumber(localNow);
  if (days === 0) {
    const hours = Math.max(1, Math.round((startMs - nowMs) / HOUR_MS));
    return hours === 1 ? 'In an hour' : `In ${hours} hours`;
  }
  return days === 1 ? 'Tomorrow' : `In ${days} days`;
}
