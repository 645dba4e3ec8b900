import { finite, within } from '../check';
import { cosDeg } from '../quantity/angles';
import { cosineOfIncidence, type Daylight } from './daylight';

export interface FaceLight {
  readonly daylight: Daylight;
  readonly sun: { readonly azimuthDeg: number; readonly altitudeDeg: number };
  /** Direction the surface looks, clockwise from true north. */
  readonly faceAzimuthDeg: number;
  /** 0 looks straight up, 90 (the default) is upright, 180 looks down. */
  readonly faceTiltDeg?: number;
  /** Share of the surface's light that an even sky would send it: 0.5 for an open upright face. */
  readonly skyView?: number;
  readonly groundReflectance: number;
  /** Whether the sun reaches the surface. */
  readonly directVisible?: boolean;
}

/** View factor of an open sky from a surface of that tilt; the rest is ground. */
export const openSkyView = (faceTiltDeg: number): number => (1 + cosDeg(faceTiltDeg)) / 2;

/**
 * Illuminance on a surface in lux: sun × cosine of incidence + sky × sky view + ground-reflected
 * light × ground view. An even sky and a level, even ground are taken.
 * Source: isotropic-sky transposition (Liu & Jordan 1963).
 * @throws RangeError for a tilt outside 0–180, or a share outside 0–1.
 */
export function illuminanceOnFace({
  daylight,
  sun,
  faceAzimuthDeg,
  faceTiltDeg = 90,
  skyView = openSkyView(faceTiltDeg),
  groundReflectance,
  directVisible = true,
}: FaceLight): number {
  finite('faceAzimuthDeg', faceAzimuthDeg);
  within('faceTiltDeg', faceTiltDeg, 0, 180);
  within('skyView', skyView, 0, 1);
  within('groundReflectance', groundReflectance, 0, 1);
  const direct = directVisible
    ? daylight.directNormalLux * Math.max(0, cosineOfIncidence(sun, faceAzimuthDeg, faceTiltDeg))
    : 0;
  const groundView = 1 - openSkyView(faceTiltDeg);
  return (
    direct +
    daylight.diffuseHorizontalLux * skyView +
    groundReflectance * daylight.globalHorizontalLux * groundView
  );
}
