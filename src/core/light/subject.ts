import { evFromIlluminance } from '../quantity/ev';
import { skyViewOfFace, sunBlocked, type Obstacle } from '../site/obstacle';
import type { Point3 } from '../site/vector';
import { sunPosition, type Instant, type Place, type SunPosition } from '../sun/position';
import { cloudAt, skyAt, skyNamed, type SkyOver } from './cloud';
import type { Daylight, Sky } from './daylight';
import { illuminanceOnFace } from './face';
import { daylightOver, type Roofed } from './windows';

/** Everything that lights one subject, but the time. */
export interface LitScene extends SkyOver, Roofed {
  readonly place: Place;
  readonly groundReflectance: number;
  readonly obstacles: readonly Obstacle[];
  /** The lit point of the subject, at its own height. */
  readonly target: Point3;
  /** Direction the upright surface looks: from the subject to the camera. */
  readonly faceAzimuthDeg: number;
  /** Lamp light on that surface, and from when it burns. */
  readonly lampLux: number;
  readonly lampsFromMs?: number;
}

export interface EvRange {
  readonly low: number;
  readonly expected: number;
  readonly high: number;
}

export interface SubjectLight {
  readonly sun: SunPosition;
  readonly daylight: Daylight;
  /** Whether the sun's centre is up and nothing stands in its way. */
  readonly sunlit: boolean;
  readonly indoors: boolean;
  readonly skyView: number;
  readonly daylightLux: number;
  readonly lampLux: number;
  readonly ev: EvRange;
}

/** How far overcast light strays either side in stops: EV 11.5 to 13 in practice, no source. */
const OVERCAST_SPREAD_STOPS = 0.75;

/** Cloud between these shares leaves gaps that the sun comes and goes through. No source. */
const GAPS = { from: 0.1, to: 0.9 } as const;

/** Lamp light at a moment: none before the lamps burn. */
export const lampsAt = (
  { lampLux, lampsFromMs }: Pick<LitScene, 'lampLux' | 'lampsFromMs'>,
  timeMs: number,
): number => (lampsFromMs === undefined || timeMs >= lampsFromMs ? lampLux : 0);

/**
 * Light on a subject's face as the camera sees it, at one moment: sun if it reaches the face, the
 * part of the sky the face sees between obstacles, light off the ground, and lamps; under a roof
 * lamps and what windows let in. The range is
 * sun in and out under broken cloud, a spread of practice under overcast, none under a clear sky;
 * with cloud hour by hour, what its least and most cover leave, and a cloud before the sun.
 * @throws RangeError as the functions it stands on
 */
export function lightOnSubject(scene: LitScene, time: Instant): SubjectLight {
  const sun = sunPosition({ time, ...scene.place });
  const skyView = skyViewOfFace(scene.target, scene.faceAzimuthDeg, scene.obstacles);
  const { indoors = false } = scene;
  const sunlit = !indoors && sun.altitudeDeg > 0 && !sunBlocked(scene.target, sun, scene.obstacles);
  const lampLux = lampsAt(scene, Number(time));
  const luxUnder = (sky: Sky | number, directVisible: boolean) =>
    illuminanceOnFace({
      daylight: daylightOver(scene, sun.altitudeDeg, sky),
      sun,
      faceAzimuthDeg: scene.faceAzimuthDeg,
      skyView,
      groundReflectance: scene.groundReflectance,
      directVisible,
    });
  const evUnder = (lux: number) => evFromIlluminance(lux + lampLux);
  const sky = skyAt(scene, Number(time));
  const daylightLux = luxUnder(sky, sunlit);
  const expected = evUnder(daylightLux);
  const cloud = scene.cloud?.length ? cloudAt(scene.cloud, Number(time)) : undefined;
  const range = (lux: readonly number[]): EvRange => {
    const evs = lux.map(evUnder);
    return { low: Math.min(expected, ...evs), expected, high: Math.max(expected, ...evs) };
  };
  return {
    sun,
    daylight: daylightOver(scene, sun.altitudeDeg, sky),
    sunlit: sunlit && skyNamed(sky) !== 'overcast',
    indoors,
    skyView,
    daylightLux,
    lampLux,
    ev: cloud
      ? range([
          luxUnder(cloud.low, sunlit),
          luxUnder(cloud.high, sunlit),
          ...(cloud.high > GAPS.from && cloud.low < GAPS.to ? [luxUnder(cloud.high, false)] : []),
        ])
      : {
          clear: range([]),
          partly: range([luxUnder('partly', false), luxUnder('clear', sunlit)]),
          overcast: range([
            daylightLux * 2 ** -OVERCAST_SPREAD_STOPS,
            daylightLux * 2 ** OVERCAST_SPREAD_STOPS,
          ]),
        }[scene.sky],
  };
}
