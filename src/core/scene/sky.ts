import { above, within } from '../check';
import { dot, type Point3 } from '../site/vector';

/**
 * Luminance over the sky, so that level open ground gets what the light model says.
 * Source: CIE S 011 / ISO 15469 standard general sky: gradation 1 + a·exp(b / cos Z), indicatrix
 * 1 + c·(exp(d·χ) − exp(d·π/2)) + e·cos²χ. Parameters quoted from memory.
 */
export interface SkyKind {
  readonly a: number;
  readonly b: number;
  readonly c: number;
  readonly d: number;
  readonly e: number;
}
/** Type 12, the CIE's clear sky of low turbidity. */
export const CLEAR_SKY: SkyKind = { a: -1, b: -0.32, c: 10, d: -3, e: 0.45 };
/** Type 1, the CIE's overcast sky. */
export const OVERCAST_SKY: SkyKind = { a: 4, b: -0.7, c: 0, d: -1, e: 0 };

/** Lower than this above the horizon the gradation is taken as there. */
const LEAST_SIN = 0.01;

/** Luminance in a direction, in no unit yet. */
export function skyShape(
  { a, b, c, d, e }: SkyKind,
  sinHeight: number,
  cosFromSun: number,
): number {
  const fromSun = Math.acos(Math.max(-1, Math.min(1, cosFromSun)));
  const gradation = 1 + a * Math.exp(b / Math.max(LEAST_SIN, sinHeight));
  const indicatrix = 1 + c * (Math.exp(d * fromSun) - Math.exp((d * Math.PI) / 2));
  return gradation * (indicatrix + e * cosFromSun ** 2);
}

const RINGS = 24;
const TURNS = 48;

/** What {@link skyShape} gives level ground under such a sky: its integral times the cosine. */
export function skyOnLevel(kind: SkyKind, toSun: Point3): number {
  let sum = 0;
  for (let i = 0; i < RINGS; i += 1) {
    const height = ((i + 0.5) / RINGS) * (Math.PI / 2);
    const [up, level] = [Math.sin(height), Math.cos(height)];
    for (let j = 0; j < TURNS; j += 1) {
      const turn = (2 * Math.PI * (j + 0.5)) / TURNS;
      const toward = { x: level * Math.sin(turn), y: level * Math.cos(turn), z: up };
      sum += skyShape(kind, up, dot(toward, toSun)) * up * level;
    }
  }
  return sum * (Math.PI / 2 / RINGS) * ((2 * Math.PI) / TURNS);
}

/** The sun as the sky's pattern turns round it: not under the horizon. */
export const sunForSky = ({ x, y, z }: Point3): Point3 => {
  const up = Math.max(0, z);
  const level = Math.hypot(x, y);
  const share = level > 0 ? Math.sqrt(1 - up * up) / level : 0;
  return { x: x * share, y: y * share, z: up };
};

/**
 * Luminance of the sky in cd/m² in a direction above the horizon, blended between the clear and the overcast.
 * @param skyLux on level open ground
 * @param cloud 0 clear to 1 overcast
 * @throws RangeError for a share of cloud outside 0 to 1, or light below 0
 */
export function skyNits(
  {
    skyLux,
    cloud,
    toSun,
  }: { readonly skyLux: number; readonly cloud: number; readonly toSun: Point3 },
  toward: Point3,
): number {
  within('cloud', cloud, 0, 1);
  above('skyLux', skyLux, -Number.MIN_VALUE);
  const sun = sunForSky(toSun);
  const of = (kind: SkyKind) =>
    (skyLux * skyShape(kind, toward.z, dot(toward, sun))) / skyOnLevel(kind, sun);
  return of(CLEAR_SKY) * (1 - cloud) + of(OVERCAST_SKY) * cloud;
}
