import { above, within } from '../check';
import { skyAt } from '../light/cloud';
import { CLOUD_FRACTION, isSunless, lightOnSubject, type LitScene } from '../light';
import { illuminanceFromEv } from '../quantity/ev';
import { sinDeg } from '../quantity/angles';
import { sunBlocked } from '../site/obstacle';
import { alongBearing, point3, type Point3 } from '../site/vector';
import { skyNits, sunForSky } from './sky';

/** How bright what is behind a subject is against it, in stops over a mid-grey face in its light. */

/** A face of middle reflectance, as a meter takes it. */
const MID_REFLECTANCE = 0.18;

export interface BehindLight {
  /** Stops brighter than the subject; negative where it is darker. */
  readonly stopsOver: number;
  /** Whether the sun is on it. */
  readonly sunlit: boolean;
}

const faceLuxOf = (scene: LitScene, timeMs: number): number =>
  illuminanceFromEv(lightOnSubject(scene, timeMs).ev.expected);

const stopsBetween = (behindLux: number, reflectance: number, faceLux: number): number =>
  Math.log2((behindLux * reflectance) / (faceLux * MID_REFLECTANCE));

/** Something upright is looked at from so far before it, so that it does not shade itself. */
const BEFORE_IT_M = 0.05;

/**
 * Something upright behind the subject, lit as it stands there and seen from the same way.
 * @param at where the line of sight meets it
 * @throws RangeError for a reflectance outside 0 to 1
 */
export function uprightBehind(
  scene: LitScene,
  at: Point3,
  reflectance: number,
  timeMs: number,
): BehindLight {
  within('reflectance', reflectance, 0, 1);
  const out = alongBearing(scene.faceAzimuthDeg);
  const target = point3(at.x + out.x * BEFORE_IT_M, at.y + out.y * BEFORE_IT_M, Math.max(0, at.z));
  const there = lightOnSubject({ ...scene, target }, timeMs);
  const lux = illuminanceFromEv(there.ev.expected);
  return {
    stopsOver: stopsBetween(lux, reflectance, faceLuxOf(scene, timeMs)),
    sunlit: there.sunlit,
  };
}

/** Ground behind the subject, lit as if it were level. @param at where the line of sight comes down on it */
export function groundBehind(
  scene: LitScene,
  at: Point3,
  reflectance: number,
  timeMs: number,
): BehindLight {
  within('reflectance', reflectance, 0, 1);
  const { sun, daylight, lampLux } = lightOnSubject(scene, timeMs);
  const up = Math.max(0, sinDeg(sun.altitudeDeg));
  const sunlit = !isSunless(scene) && up > 0 && !sunBlocked(at, sun, scene.obstacles);
  const lux =
    daylight.diffuseHorizontalLux + (sunlit ? daylight.directNormalLux * up : 0) + lampLux;
  return {
    stopsOver: stopsBetween(Math.max(lux, Number.MIN_VALUE), reflectance, faceLuxOf(scene, timeMs)),
    sunlit: sunlit && daylight.directNormalLux > 0,
  };
}

/** How blue the sky is in a direction: where a clear sky is dark it is deep, where it is bright it is white. */
export type SkyDepth = 'deep' | 'blue' | 'pale' | 'white' | 'grey';

/** Luminance against the mean of the sky, in stops, under which it is deep, blue, pale. Common practice, no source. */
const DEPTHS = { deep: -0.8, blue: 0, pale: 0.9 } as const;
/** More cloud than this, and what is looked at is cloud. */
const GREY_FROM = 0.6;
/** Cloud between lifts the blue towards white by so many stops at most. No source. */
const HAZE_STOPS = 1.5;

/**
 * How blue the sky is where it is looked at, by the luminance of the CIE's clear sky there against its mean.
 * @param toward unit vector, above the horizon, @param cloud 0 to 1
 */
export function skyDepth(toward: Point3, toSun: Point3, cloud: number): SkyDepth {
  within('cloud', cloud, 0, 1);
  above('toward.z', toward.z, 0);
  if (cloud > GREY_FROM) return 'grey';
  const sun = sunForSky(toSun);
  const clear = { skyLux: 1, cloud: 0, toSun: sun };
  const overMean = Math.log2(skyNits(clear, toward) * Math.PI);
  const said = overMean + (HAZE_STOPS * cloud) / GREY_FROM;
  if (said < DEPTHS.deep) return 'deep';
  if (said < DEPTHS.blue) return 'blue';
  return said < DEPTHS.pale ? 'pale' : 'white';
}

/** Open sky behind the subject. @param toward unit vector of the line of sight, above the horizon */
export function skyBehind(
  scene: LitScene,
  toward: Point3,
  timeMs: number,
): BehindLight & { readonly depth: SkyDepth } {
  const { sun, daylight } = lightOnSubject(scene, timeMs);
  const sky = skyAt(scene, timeMs);
  const cloud = typeof sky === 'number' ? sky : CLOUD_FRACTION[sky];
  const toSun = alongBearing(sun.azimuthDeg, sun.altitudeDeg);
  const nits = skyNits({ skyLux: daylight.diffuseHorizontalLux, cloud, toSun }, toward);
  const lux = Math.max(nits, Number.MIN_VALUE) * Math.PI;
  return {
    stopsOver: stopsBetween(lux, 1, faceLuxOf(scene, timeMs)),
    sunlit: false,
    depth: skyDepth(toward, toSun, cloud),
  };
}
