import { oneOf, within } from '../check';
import { cosDeg, sinDeg } from '../quantity/angles';

export type Sky = 'clear' | 'partly' | 'overcast';

export interface Daylight {
  /** Sunlight on a surface square to it. */
  readonly directNormalLux: number;
  /** Skylight on level ground. */
  readonly diffuseHorizontalLux: number;
  /** Both together on level ground. */
  readonly globalHorizontalLux: number;
}

/**
 * IES daylight availability, illuminances in lux: sun c in 127 500·exp(−c·m), sky A + B·sin^C h.
 * Source: Gillette, Pierpoint & Treado 1984; IES Lighting Handbook. Quoted from memory.
 */
const IES_SUN_LUX = 127_500;
const IES: Readonly<Record<Sky, { c: number; aLux: number; bLux: number; power: number }>> = {
  clear: { c: 0.21, aLux: 800, bLux: 15_500, power: 0.5 },
  partly: { c: 0.8, aLux: 300, bLux: 45_000, power: 1 },
  overcast: { c: Infinity, aLux: 300, bLux: 21_000, power: 1 },
};

/**
 * Clear-sky total on level ground, log10 lux = a + b·x + c·x² + d·x³ with x = altitude/90.
 * Source: Janiczek & DeYoung 1987, US Naval Observatory Circular 171. Quoted from memory.
 */
const TWILIGHT_AND_DAY: readonly {
  readonly fromDeg: number;
  readonly cubic: readonly [number, number, number, number];
}[] = [
  { fromDeg: 20, cubic: [3.74, 3.97, -4.07, 1.47] },
  { fromDeg: 5, cubic: [3.05, 13.28, -45.98, 64.33] },
  { fromDeg: -0.8, cubic: [2.88, 22.26, -207.64, 1034.3] },
  { fromDeg: -5, cubic: [2.88, 21.81, -258.11, -858.36] },
  { fromDeg: -12, cubic: [2.7, 12.17, -431.69, -1899.83] },
  { fromDeg: -18, cubic: [13.84, 262.72, 1447.42, 2797.93] },
];
const NIGHT_BELOW_DEG = -18;
const RATIO_HELD_BELOW_DEG = 5;

/**
 * Optical air mass. Source: Kasten & Young 1989, Applied Optics 28, 4735.
 * @param altitudeDeg apparent altitude, 0 to 90
 */
export function airMass(altitudeDeg: number): number {
  within('altitudeDeg', altitudeDeg, 0, 90);
  return 1 / (sinDeg(altitudeDeg) + 0.50572 * (altitudeDeg + 6.07995) ** -1.6364);
}

/** Clear-sky total on level ground in lux; held at its −18° value through the night. */
function clearTotalLux(sunAltitudeDeg: number): number {
  const altitudeDeg = Math.max(sunAltitudeDeg, NIGHT_BELOW_DEG);
  const piece = TWILIGHT_AND_DAY.find(({ fromDeg }) => altitudeDeg >= fromDeg);
  const [a, b, c, d] = (piece as (typeof TWILIGHT_AND_DAY)[number]).cubic;
  const x = altitudeDeg / 90;
  return 10 ** (a + x * (b + x * (c + x * d)));
}

/** The handbook's own direct and diffuse light on level ground, before scaling to the total. */
function iesHorizontalLux(sky: Sky, altitudeDeg: number): { direct: number; diffuse: number } {
  const { c, aLux, bLux, power } = IES[sky];
  const sine = sinDeg(altitudeDeg);
  return {
    direct: c === Infinity ? 0 : IES_SUN_LUX * Math.exp(-c * airMass(altitudeDeg)) * sine,
    diffuse: aLux + bLux * sine ** power,
  };
}

/**
 * Share of the clear-sky total that a sky leaves. The handbook's curves were fitted to a sun well
 * up; taken to the horizon they would darken an overcast sunrise by half a stop within a minute.
 * So their ratio is held at its 5° value below that.
 */
function cloudShare(sky: Sky, sunAltitudeDeg: number): number {
  const altitudeDeg = Math.max(RATIO_HELD_BELOW_DEG, sunAltitudeDeg);
  const clear = iesHorizontalLux('clear', altitudeDeg);
  const here = iesHorizontalLux(sky, altitudeDeg);
  return (here.direct + here.diffuse) / (clear.direct + clear.diffuse);
}

/** Part of a sky's light on level ground that comes straight from the sun. */
function directShare(sky: Sky, sunAltitudeDeg: number): number {
  if (sunAltitudeDeg <= 0) return 0;
  const { direct, diffuse } = iesHorizontalLux(sky, sunAltitudeDeg);
  return direct / (direct + diffuse);
}

function daylightUnder(sunAltitudeDeg: number, sky: Sky): Daylight {
  const globalHorizontalLux = clearTotalLux(sunAltitudeDeg) * cloudShare(sky, sunAltitudeDeg);
  const direct = globalHorizontalLux * directShare(sky, sunAltitudeDeg);
  return {
    directNormalLux: sunAltitudeDeg > 0 ? direct / sinDeg(sunAltitudeDeg) : 0,
    diffuseHorizontalLux: globalHorizontalLux - direct,
    globalHorizontalLux,
  };
}

/** Cloud that a named sky stands for. */
export const CLOUD_FRACTION: Readonly<Record<Sky, number>> = { clear: 0, partly: 0.5, overcast: 1 };

function mix(a: Daylight, b: Daylight, share: number): Daylight {
  const blend = (key: keyof Daylight) => a[key] + (b[key] - a[key]) * share;
  return {
    directNormalLux: blend('directNormalLux'),
    diffuseHorizontalLux: blend('diffuseHorizontalLux'),
    globalHorizontalLux: blend('globalHorizontalLux'),
  };
}

/**
 * Daylight from twilight to noon. The clear total is Janiczek & DeYoung's at every altitude; the
 * split into sun and sky, and what cloud takes, are the IES ratios; all is diffuse below the
 * horizon. No moonlight. Steps where the published pieces meet stay under 0.15 stop.
 * @param sunAltitudeDeg geometric altitude, −90 to 90
 * @param sky a named sky, or a cloud fraction 0 (clear) through 0.5 (partly) to 1 (overcast)
 * @throws RangeError outside those ranges
 */
export function daylight({
  sunAltitudeDeg,
  sky,
}: {
  readonly sunAltitudeDeg: number;
  readonly sky: Sky | number;
}): Daylight {
  within('sunAltitudeDeg', sunAltitudeDeg, -90, 90);
  if (typeof sky !== 'number') {
    return daylightUnder(sunAltitudeDeg, oneOf('sky', sky, ['clear', 'partly', 'overcast']));
  }
  within('sky', sky, 0, 1);
  const [from, to] =
    sky <= CLOUD_FRACTION.partly
      ? (['clear', 'partly'] as const)
      : (['partly', 'overcast'] as const);
  const share = (sky - CLOUD_FRACTION[from]) / (CLOUD_FRACTION[to] - CLOUD_FRACTION[from]);
  return mix(daylightUnder(sunAltitudeDeg, from), daylightUnder(sunAltitudeDeg, to), share);
}

/** Reflectances of ground under daylight. Common practice, round values. */
export const GROUND_REFLECTANCE = {
  grass: 0.2,
  snow: 0.8,
  drySand: 0.3,
  water: 0.08,
  clayTrack: 0.2,
  hallWood: 0.4,
  ice: 0.7,
} as const;
export type GroundSurface = keyof typeof GROUND_REFLECTANCE;

/** Cosine of the angle between a surface's normal and the sun; negative when it faces away. */
export function cosineOfIncidence(
  sun: { readonly azimuthDeg: number; readonly altitudeDeg: number },
  faceAzimuthDeg: number,
  faceTiltDeg: number,
): number {
  return (
    cosDeg(faceTiltDeg) * sinDeg(sun.altitudeDeg) +
    sinDeg(faceTiltDeg) * cosDeg(sun.altitudeDeg) * cosDeg(sun.azimuthDeg - faceAzimuthDeg)
  );
}
