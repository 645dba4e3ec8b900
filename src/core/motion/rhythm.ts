import { above, atLeast, within } from '../check';
import { imageDistanceMm } from '../optics/image';
import { cosDeg } from '../quantity/angles';

/** What repeats, falls or turns while the shutter is open, and what passes through the focus. */

/**
 * Streak that something draws across the frame as it falls or flies by: speed × time, imaged by a
 * thin lens focused at its distance.
 * @returns length on the sensor, and over the frame's height
 * @throws RangeError for a negative speed, or lengths and times not above 0
 */
export function passingStreak({
  speedMs,
  distanceM,
  focalMm,
  shutterS,
  frameHeightMm,
}: {
  readonly speedMs: number;
  readonly distanceM: number;
  readonly focalMm: number;
  readonly shutterS: number;
  readonly frameHeightMm: number;
}): { readonly streakMm: number; readonly shareOfFrame: number } {
  atLeast('speedMs', speedMs, 0);
  above('shutterS', shutterS, 0);
  above('frameHeightMm', frameHeightMm, 0);
  const streakMm = (speedMs * shutterS * imageDistanceMm(focalMm, distanceM)) / distanceM;
  return { streakMm, shareOfFrame: streakMm / frameHeightMm };
}

/** Degrees of its cycle that something turns in the exposure: a spinning ball, a beating wing. */
export function turnDuring({
  perS,
  shutterS,
}: {
  readonly perS: number;
  readonly shutterS: number;
}): number {
  return 360 * atLeast('perS', perS, 0) * above('shutterS', shutterS, 0);
}

/**
 * A burst over whole cycles, so that one frame falls near any phase wanted.
 * @returns frames to take, and the widest a phase can be missed by, as a share of a cycle
 * @throws RangeError for rates or cycles not above 0
 */
export function burstOverCycles({
  perS,
  fps,
  cycles = 1,
}: {
  readonly perS: number;
  readonly fps: number;
  readonly cycles?: number;
}): { readonly frames: number; readonly missedByCycles: number } {
  above('perS', perS, 0);
  above('fps', fps, 0);
  above('cycles', cycles, 0);
  return {
    frames: Math.ceil((cycles * fps) / perS) + 1,
    missedByCycles: Math.min(0.5, perS / fps / 2),
  };
}

/**
 * How long a subject stays within the depth of field as it crosses the plane of focus.
 * @param awayDeg angle between its way and the line of sight: 0 straight at the camera
 * @returns seconds; Infinity when it crosses the frame at one distance, or stands
 * @throws RangeError for a depth not above 0, a negative speed, an angle outside 0–180
 */
export function timeInFocus({
  depthM,
  speedMs,
  awayDeg,
}: {
  readonly depthM: number;
  readonly speedMs: number;
  readonly awayDeg: number;
}): number {
  above('depthM', depthM, 0);
  atLeast('speedMs', speedMs, 0);
  within('awayDeg', awayDeg, 0, 180);
  const closingMs = speedMs * Math.abs(cosDeg(awayDeg));
  return closingMs > 1e-6 ? depthM / closingMs : Infinity;
}
