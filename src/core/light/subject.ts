import { evFromIlluminance } from '../quantity/ev';
import { FLECKS, monthOf, SUNLIT_SHARE, sunThrough, type Bough } from '../site/bough';
import { sunBlocked, type Obstacle } from '../site/obstacle';
import { skySeen } from '../site/sky-view';
import type { Point3 } from '../site/vector';
import { sunPosition, type Instant, type Place, type SunPosition } from '../sun/position';
import { cloudAt, skyAt, skyNamed, type SkyOver } from './cloud';
import type { Daylight, Sky } from './daylight';
import { illuminanceOnFace } from './face';
import { daylightOver, isSunless, type Roofed } from './windows';

/** Everything that lights one subject, but the time. */
export interface LitScene extends SkyOver, Roofed {
  readonly place: Place;
  readonly groundReflectance: number;
  readonly obstacles: readonly Obstacle[];
  /** Branches with their leaves; none unless said. */
  readonly boughs?: readonly Bough[];
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
  /** Whether the sun's centre is up, nothing stands in its way, and branches leave half of it. */
  readonly sunlit: boolean;
  /** How much of the sun comes past what stands and what hangs there, 0 to 1, cloud apart. */
  readonly sunShare: number;
  readonly indoors: boolean;
  /** Under leaves that let no sun through but in flecks. */
  readonly underLeaves?: true;
  readonly skyView: number;
  readonly daylightLux: number;
  readonly lampLux: number;
  readonly ev: EvRange;
}

/** How far overcast light strays either side in stops: EV 11.5 to 13 in practice, no source. */
const OVERCAST_SPREAD_STOPS = 0.75;
/** How far light under leaves strays either side, between a gap and a trunk. Common practice, no source. */
const CANOPY_SPREAD_STOPS = 1;

/** Cloud between these shares leaves gaps that the sun comes and goes through. No source. */
const GAPS = { from: 0.1, to: 0.9 } as const;

/** Lamp light at a moment: none before the lamps burn. */
export const lampsAt = (
  { lampLux, lampsFromMs }: Pick<LitScene, 'lampLux' | 'lampsFromMs'>,
  timeMs: number,
): number => (lampsFromMs === undefined || timeMs >= lampsFromMs ? lampLux : 0);

/** How much of the sun comes to a scene's subject past all that stands and hangs there; 0 while it is down. */
export function sunShareOn(
  { target, obstacles, boughs = [] }: Pick<LitScene, 'target' | 'obstacles' | 'boughs'>,
  sun: Pick<SunPosition, 'azimuthDeg' | 'altitudeDeg'>,
  timeMs: number,
): number {
  if (sun.altitudeDeg <= 0 || sunBlocked(target, sun, obstacles)) return 0;
  return sunThrough(target, sun, boughs, monthOf(timeMs));
}

const skyViews = new WeakMap<LitScene, { readonly month: number; readonly view: number }>();

/** How much of the sky the face of a scene sees, whatever the hour: found once for each scene and its leaves. */
function skyViewOf(scene: LitScene, timeMs: number): number {
  const month = monthOf(timeMs);
  const known = skyViews.get(scene);
  if (known?.month === month) return known.view;
  const view = skySeen(scene.target, scene.faceAzimuthDeg, scene, month);
  skyViews.set(scene, { month, view });
  return view;
}

const lights = new WeakMap<LitScene, { readonly timeMs: number; readonly light: SubjectLight }>();

/**
 * Light on a subject's face as the camera sees it, at one moment: sun if it reaches the face, the
 * part of the sky the face sees between obstacles, light off the ground, and lamps; under a roof
 * lamps and what windows let in. The range is
 * sun in and out under broken cloud, a spread of practice under overcast, none under a clear sky;
 * with cloud hour by hour, what its least and most cover leave, and a cloud before the sun.
 * Asked again for the same scene and minute, it is what was found before.
 * @throws RangeError as the functions it stands on
 */
export function lightOnSubject(scene: LitScene, time: Instant): SubjectLight {
  const timeMs = Number(time);
  const known = lights.get(scene);
  if (known?.timeMs === timeMs) return known.light;
  const light = foundLight(scene, time);
  lights.set(scene, { timeMs, light });
  return light;
}

function foundLight(scene: LitScene, time: Instant): SubjectLight {
  const sun = sunPosition({ time, ...scene.place });
  const skyView = skyViewOf(scene, Number(time));
  const { indoors = false } = scene;
  const sunShare = isSunless(scene) ? 0 : sunShareOn(scene, sun, Number(time));
  const underLeaves = !indoors && scene.canopyShare !== undefined;
  const lampLux = lampsAt(scene, Number(time));
  const luxUnder = (sky: Sky | number, directShare: number) =>
    illuminanceOnFace({
      daylight: daylightOver(scene, sun.altitudeDeg, sky),
      sun,
      faceAzimuthDeg: scene.faceAzimuthDeg,
      skyView,
      groundReflectance: scene.groundReflectance,
      directShare,
    });
  const evUnder = (lux: number) => evFromIlluminance(lux + lampLux);
  const sky = skyAt(scene, Number(time));
  const daylightLux = luxUnder(sky, sunShare);
  const expected = evUnder(daylightLux);
  const cloud = scene.cloud?.length ? cloudAt(scene.cloud, Number(time)) : undefined;
  const range = (lux: readonly number[]): EvRange => {
    const evs = lux.map(evUnder);
    return { low: Math.min(expected, ...evs), expected, high: Math.max(expected, ...evs) };
  };
  // Leaves let the whole sun through here and none there: a face meets both.
  const shares = sunShare > FLECKS.from && sunShare < FLECKS.to ? [0, 1] : [sunShare];
  const inSun = (under: Sky | number) => shares.map((share) => luxUnder(under, share));
  return {
    sun,
    daylight: daylightOver(scene, sun.altitudeDeg, sky),
    sunlit: sunShare >= SUNLIT_SHARE && skyNamed(sky) !== 'overcast',
    sunShare,
    indoors,
    ...(underLeaves && { underLeaves }),
    skyView,
    daylightLux,
    lampLux,
    ev: underLeaves
      ? range([daylightLux * 2 ** -CANOPY_SPREAD_STOPS, daylightLux * 2 ** CANOPY_SPREAD_STOPS])
      : cloud
        ? range([
            ...inSun(cloud.low),
            ...inSun(cloud.high),
            ...(cloud.high > GAPS.from && cloud.low < GAPS.to ? [luxUnder(cloud.high, 0)] : []),
          ])
        : {
            clear: range(shares.length > 1 ? inSun(sky) : []),
            partly: range([luxUnder('partly', 0), ...inSun('clear')]),
            overcast: range([
              daylightLux * 2 ** -OVERCAST_SPREAD_STOPS,
              daylightLux * 2 ** OVERCAST_SPREAD_STOPS,
            ]),
          }[scene.sky],
  };
}
