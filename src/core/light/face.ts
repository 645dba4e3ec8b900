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
  /** How much of the sun reaches the surface, 0 to 1; all of it unless said. */
  readonly directShare?: number;
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
  directShare = 1,
}: FaceLight): number {
  finite('faceAzimuthDeg', faceAzimuthDeg);
  within('faceTiltDeg', faceTiltDeg, 0, 180);
  within('skyView', skyView, 0, 1);
  within('groundReflectance', groundReflectance, 0, 1);
  within('directShare', directShare, 0, 1);
  const direct =
    directShare *
    daylight.directNormalLux *
    Math.max(0, cosineOfIncidence(sun, faceAzimuthDeg, faceTiltDeg));
  const groundView = 1 - openSkyView(faceTiltDeg);
  return (
    direct +
    daylight.diffuseHorizontalLux * skyView +
    groundReflectance * daylight.globalHorizontalLux * groundView
  );
}
