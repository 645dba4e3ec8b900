import { above, atLeast, within } from '../check';
import { toDegrees } from '../quantity/angles';

/** Standard gravity. Source: CGPM 1901. */
export const GRAVITY_MS2 = 9.80665;

/**
 * How long a jump hangs: the time around its top within which it rises or falls slower than
 * `toleranceMs` metres a second, 2·v/g. Source: uniform acceleration, standard gravity.
 * @throws RangeError for a tolerance not above 0
 */
export function apexWindow({ toleranceMs }: { readonly toleranceMs: number }): number {
  return (2 * above('toleranceMs', toleranceMs, 0)) / GRAVITY_MS2;
}

/**
 * A burst through a moment: the chance that a frame falls in it, min(1, window × frames a second)
 * when the start is not timed, and how far the subject moves between two frames.
 * @throws RangeError for a rate not above 0, or a negative window or speed
 */
export function burst({
  fps,
  windowS,
  speedMs,
}: {
  readonly fps: number;
  readonly windowS: number;
  readonly speedMs: number;
}): { readonly chance: number; readonly gapM: number } {
  above('fps', fps, 0);
  atLeast('windowS', windowS, 0);
  atLeast('speedMs', speedMs, 0);
  return { chance: Math.min(1, windowS * fps), gapM: speedMs / fps };
}

/**
 * Greatest speed of a wing tip: π × beats a second × sweep × length, a stroke that swings evenly
 * to and fro through `sweepRad`.
 * @throws RangeError for values not above 0, or a sweep beyond a full turn
 */
export function wingTipSpeed({
  beatsPerS,
  sweepRad,
  lengthM,
}: {
  readonly beatsPerS: number;
  readonly sweepRad: number;
  readonly lengthM: number;
}): number {
  above('beatsPerS', beatsPerS, 0);
  within('sweepRad', above('sweepRad', sweepRad, 0), 0, 2 * Math.PI);
  above('lengthM', lengthM, 0);
  return Math.PI * beatsPerS * sweepRad * lengthM;
}

/**
 * How far a shutter that reads line after line leans an upright subject: image speed × the part of
 * the readout that its height takes.
 * @param heightShare share of the frame's height the subject takes, 0 to 1
 * @throws RangeError for a height or readout not above 0, a negative speed, a share outside 0 to 1
 */
export function rollingShutterSkew({
  imageSpeedMmS,
  readoutS,
  frameHeightMm,
  heightShare = 1,
}: {
  readonly imageSpeedMmS: number;
  readonly readoutS: number;
  readonly frameHeightMm: number;
  readonly heightShare?: number;
}): { readonly skewMm: number; readonly leanDeg: number } {
  atLeast('imageSpeedMmS', imageSpeedMmS, 0);
  above('readoutS', readoutS, 0);
  above('frameHeightMm', frameHeightMm, 0);
  within('heightShare', heightShare, 0, 1);
  return {
    skewMm: imageSpeedMmS * readoutS * heightShare,
    leanDeg: toDegrees(Math.atan((imageSpeedMmS * readoutS) / frameHeightMm)),
  };
}

/**
 * How much a shutter that reads column after column, as in a camera held upright, draws out or squeezes what
 * moves across: moving with the reading it is met later and later, 1/(1 − v·t/w) as long; against it
 * 1/(1 + v·t/w). Sheared it is not.
 * @param frameAcrossMm the frame's size in the direction of both
 * @returns shares of its own length: 0.03 is 3 % longer; Infinity where it keeps up with the reading
 * @throws RangeError for a size or readout not above 0, or a negative speed
 */
export function rollingShutterStretch({
  imageSpeedMmS,
  readoutS,
  frameAcrossMm,
}: {
  readonly imageSpeedMmS: number;
  readonly readoutS: number;
  readonly frameAcrossMm: number;
}): { readonly longer: number; readonly shorter: number } {
  atLeast('imageSpeedMmS', imageSpeedMmS, 0);
  above('readoutS', readoutS, 0);
  above('frameAcrossMm', frameAcrossMm, 0);
  const share = (imageSpeedMmS * readoutS) / frameAcrossMm;
  return { longer: share < 1 ? share / (1 - share) : Infinity, shorter: share / (1 + share) };
}
