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
