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
    .map((atS) => atS - Math.round(atS / BEAT_S) * BEAT_S)
    .sort((a, b) => a - b);
  if (lates.length < FEWEST) return undefined;
  const half = lates.length / 2;
  const middle = ((lates[Math.floor(half - 0.5)] ?? 0) + (lates[Math.floor(half)] ?? 0)) / 2;
  return Math.min(0.5, Math.max(-0.2, middle));
}
