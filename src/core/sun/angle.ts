import { finite } from '../check';
import { cosDeg, halfCircle, sinDeg, toDegrees } from '../quantity/angles';

export type SunSide = 'left' | 'right' | 'centre';

export interface SunAngle {
  /** 0: sun behind the camera (front light); 90: side light; 180: sun in the frame (back light). */
  readonly phaseDeg: number;
  /** On which side of the camera's view the light comes from. */
  readonly side: SunSide;
}

const CENTRE_WITHIN_DEG = 0.5;
/** Warn when the sun is nearer to the frame's corner than this. Common practice, no source. */
const SUN_WARNING_DEG = 10;

/** A sun nearer to the lens's axis than this must not be looked at through it: half the diagonal's view, and 10°. */
export const sunWarningDeg = (diagonalMm: number, focalMm: number): number =>
  toDegrees(Math.atan(diagonalMm / (2 * focalMm))) + SUN_WARNING_DEG;

/** Off the camera's axis, front light ends here and back light begins there. Common practice, no source. */
const FRONT_TO_DEG = 45;
const BACK_FROM_DEG = 110;

/** A sun higher than this lights from above: brows and brims shade the face. Common practice, no source. */
const HIGH_SUN_DEG = 55;

export type LightSide = 'front' | 'side' | 'back' | 'high';

/** What a sun is called as the camera sees it: front light to 45°, side to 110°, back beyond; high above 55°. */
export function lightSide(phaseDeg: number, sunAltitudeDeg: number): LightSide {
  if (sunAltitudeDeg > HIGH_SUN_DEG) return 'high';
  if (phaseDeg <= FRONT_TO_DEG) return 'front';
  return phaseDeg <= BACK_FROM_DEG ? 'side' : 'back';
}

/**
 * How the sun stands to a camera that looks along a bearing. The phase angle is the one at the
 * subject between the directions to the sun and to the camera, by the spherical law of cosines.
 * @param viewAzimuthDeg bearing from camera to subject
 * @param viewAltitudeDeg elevation of that line, upwards positive
 */
export function sunAngleFrom(
  viewAzimuthDeg: number,
  viewAltitudeDeg: number,
  sun: { readonly azimuthDeg: number; readonly altitudeDeg: number },
): SunAngle {
  finite('viewAzimuthDeg', viewAzimuthDeg);
  finite('viewAltitudeDeg', viewAltitudeDeg);
  const aside = halfCircle(sun.azimuthDeg - viewAzimuthDeg);
  const cosine =
    sinDeg(viewAltitudeDeg) * sinDeg(sun.altitudeDeg) +
    cosDeg(viewAltitudeDeg) * cosDeg(sun.altitudeDeg) * cosDeg(aside);
  const phaseDeg = 180 - toDegrees(Math.acos(Math.min(1, Math.max(-1, cosine))));
  const offCentre = Math.min(Math.abs(aside), 180 - Math.abs(aside));
  return {
    phaseDeg,
    side: offCentre < CENTRE_WITHIN_DEG ? 'centre' : aside > 0 ? 'right' : 'left',
  };
}
