import type { Point2 } from '@/core';
import { chance } from './chance';

/** How far a made-up venue strays from the forecast, and a corner of it from the rest, in stops. */
const VENUE_STOPS = 0.9;
const CORNER_STOPS = 0.6;
const CORNER_M = 15;

/**
 * A stand-in for a light meter: the computed light, off by what this venue and this corner of it
 * always are. It measures nothing, and whoever shows it says so.
 */
export function simulatedMeter({
  ev,
  at,
  venue,
}: {
  readonly ev: number;
  readonly at: Point2;
  /** Id of the shoot: another venue strays another way. */
  readonly venue: string;
}): number {
  const corner = `${venue} ${Math.round(at.x / CORNER_M)} ${Math.round(at.y / CORNER_M)}`;
  const off = VENUE_STOPS * (chance(venue) - 0.5) * 2 * 0.6 + CORNER_STOPS * (chance(corner) - 0.5);
  return Number((ev + off).toFixed(1));
}
