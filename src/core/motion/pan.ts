import { above, atLeast, finite, within } from '../check';
import { imageDistanceMm } from '../optics/image';
import { FULL_FRAME_WIDTH_MM } from '../optics/sensor';
import { toDegrees } from '../quantity/angles';
import { erf } from '../quantity/special';

/** Circle of confusion in mm for full frame where none is given. Common practice. */
const FULL_FRAME_COC_MM = 0.03;
/** Blur of the tracked subject that still counts as sharp, in circles of confusion. */
export const PAN_SHARP_CIRCLES = 2;

/** How sure one wants to be of a sharp frame when counting frames. */
const WANTED_CHANCE = 0.9;

export interface PanRequest {
  readonly speedMs: number;
  /** Distance of the subject's line from the camera where it passes closest. */
  readonly closestM: number;
  /** How far along its line the subject is from that closest point; either sign. */
  readonly offsetM: number;
  readonly focalMm: number;
  readonly shutterS: number;
  /** Standard deviation of the photographer's relative rate error; 0.10 is one in ten. */
  readonly skillSigma: number;
  readonly cocMm?: number;
  readonly frameWidthMm?: number;
}

export interface Pan {
  /** Rate the camera must turn at. */
  readonly rateDegS: number;
  /** Length the background is drawn out to. */
  readonly streakMm: number;
  readonly streakShare: number;
  /** Chance that one frame holds the subject to two circles of confusion. */
  readonly sharpChance: number;
  /** Frames to take for nine chances in ten of at least one sharp; Infinity if hopeless. */
  readonly framesFor90: number;
}

/** Frames needed for nine chances in ten of at least one success. */
export function framesForNineInTen(chance: number): number {
  within('chance', chance, 0, 1);
  if (chance >= WANTED_CHANCE) return 1;
  return chance > 0 ? Math.ceil(Math.log(1 - WANTED_CHANCE) / Math.log1p(-chance)) : Infinity;
}

/**
 * A pan along a straight line: rate ω = v·D/(D² + x²), background streak f′·ω·t with f′ the lens's
 * distance from the sensor when focused there, residual on the subject = streak × relative rate
 * error, the error normal with the person's own sigma, so that the chance of a sharp frame is
 * erf(2c/(streak·σ·√2)). Check: 21 mph at 10 m is 53.79 °/s; 100 mm at 1/60 s draws 1.58 mm; 0.296
 * at σ 0.10.
 * @throws RangeError for a speed, distance, focal length, time or sigma not above 0 (speed and sigma may be 0)
 */
export function pan({
  speedMs,
  closestM,
  offsetM,
  focalMm,
  shutterS,
  skillSigma,
  cocMm = FULL_FRAME_COC_MM,
  frameWidthMm = FULL_FRAME_WIDTH_MM,
}: PanRequest): Pan {
  atLeast('speedMs', speedMs, 0);
  above('closestM', closestM, 0);
  finite('offsetM', offsetM);
  above('shutterS', shutterS, 0);
  atLeast('skillSigma', skillSigma, 0);
  above('cocMm', cocMm, 0);
  above('frameWidthMm', frameWidthMm, 0);
  const distanceM = Math.hypot(closestM, offsetM);
  const rateRadS = (speedMs * closestM) / distanceM ** 2;
  const streakMm = imageDistanceMm(focalMm, distanceM) * rateRadS * shutterS;
  const spreadMm = streakMm * skillSigma;
  const sharpChance = spreadMm > 0 ? erf((PAN_SHARP_CIRCLES * cocMm) / (spreadMm * Math.SQRT2)) : 1;
  return {
    rateDegS: toDegrees(rateRadS),
    streakMm,
    streakShare: streakMm / frameWidthMm,
    sharpChance,
    framesFor90: framesForNineInTen(sharpChance),
  };
}

export interface PanArc {
  /** Turn before the closest point and after it, margin included. */
  readonly beforeDeg: number;
  readonly afterDeg: number;
  readonly totalDeg: number;
}

/**
 * The arc a pan sweeps, for the room one needs to swing: from picking the subject up to following
 * it through, with a margin at each end.
 * @param fromM where it is picked up along its line, from the closest point; before is negative
 * @throws RangeError if the line does not run from `fromM` on to `toM`
 */
export function panArc({
  closestM,
  fromM,
  toM,
  marginDeg = 10,
}: {
  readonly closestM: number;
  readonly fromM: number;
  readonly toM: number;
  readonly marginDeg?: number;
}): PanArc {
  above('closestM', closestM, 0);
  finite('fromM', fromM);
  above('toM', toM, fromM);
  atLeast('marginDeg', marginDeg, 0);
  const at = (alongM: number) => toDegrees(Math.atan2(alongM, closestM));
  const beforeDeg = marginDeg - at(fromM);
  const afterDeg = marginDeg + at(toM);
  return { beforeDeg, afterDeg, totalDeg: beforeDeg + afterDeg };
}
