import { median } from 'd3-array';

/** An even beat to press on. Anyone keeps to it within a few hundredths: what is left is the device's delay. */

export const BEAT_S = 0.9;
export const BEATS = 8;
const FEWEST = 5;

/**
 * How late presses are on the beat they are nearest to, in the middle of them all.
 * @param pressesS from the first beat on, which is at 0 and not pressed for
 */
export function lateOnBeat(pressesS: readonly number[]): number | undefined {
  const lates = pressesS
    .filter((atS) => atS > BEAT_S / 2)
    .map((atS) => atS - Math.round(atS / BEAT_S) * BEAT_S);
  if (lates.length < FEWEST) return undefined;
  return Math.min(0.5, Math.max(-0.2, median(lates) ?? 0));
}
