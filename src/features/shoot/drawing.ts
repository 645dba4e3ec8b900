import {
  bareSlope,
  boughShadowOnSlope,
  boughsOf,
  fieldOfView,
  monthOf,
  type Bough,
  obstaclesOf,
  point3,
  type Obstacle,
  raised,
  shadowOnSlope,
  slopeShade,
  sunBlocked,
  type Point2,
  type SiteFeature,
  type Sky,
  type SubjectLight,
} from '@/core';
import type { PlanLight, PlanSight } from '@/figures/plan-types';
import type { AlongSight } from '@/answers/along-sight';
import { postShade } from '@/answers/sun-on-ground';
import type { View } from '@/answers/view';
import { bearingInWords, metres, sunInWords } from './words';

/** Ground kept in view beyond position and mark when looking close, as a share of their distance. */
const CLOSE_MARGIN = 0.45;

/** The position, the mark and what is just around them. */
export function closeExtent({ camera, aim, sight }: View): readonly Point2[] {
  const around = Math.max(3, sight.distanceM * CLOSE_MARGIN);
  return [camera, aim].flatMap(({ x, y }) => [
    { x: x - around, y: y - around },
    { x: x + around, y: y + around },
  ]);
}

/** A hill shades the whole ground at once: it is far off. */
const hills = (features: readonly SiteFeature[]) =>
  features.filter(({ kind }) => kind === 'hill').flatMap(obstaclesOf);
const MIDDLE = point3(0, 0);

const SUN_STRENGTH = { clear: 1, partly: 0.55, overcast: 0 } as const;

type Polygons = readonly (readonly Point2[])[];
type Sun = Pick<SubjectLight['sun'], 'azimuthDeg' | 'altitudeDeg'>;
const lastShadows = new WeakMap<
  Obstacle | Bough,
  { readonly sun: Sun; readonly polygons: Polygons }
>();

/** What something shades, found anew once it or the sun has moved. */
function shadowOf<T extends Obstacle | Bough>(thing: T, sun: Sun, found: () => Polygons): Polygons {
  const last = lastShadows.get(thing);
  if (last?.sun.azimuthDeg === sun.azimuthDeg && last.sun.altitudeDeg === sun.altitudeDeg) {
    return last.polygons;
  }
  const polygons = found();
  lastShadows.set(thing, { sun, polygons });
  return polygons;
}

/** What of a minute's light the plan shows. */
export type ShownLight = Pick<SubjectLight, 'indoors' | 'underLeaves' | 'lampLux'> & {
  readonly sun: Sun;
};

/** What a minute's sun shades and dapples, on a slope as it lies. */
function shadeOnGround(
  features: readonly SiteFeature[],
  sun: Sun,
  atMs: number,
): { readonly shadows: Polygons; readonly dapples: Polygons } {
  const slope = bareSlope(features);
  const things = raised(features).filter(({ kind }) => kind !== 'hill' && kind !== 'slope');
  const shadows = things
    .flatMap(obstaclesOf)
    .flatMap((thing) => shadowOf(thing, sun, () => shadowOnSlope(thing, sun, slope)));
  // No two moments have exactly the same sun: the month need not be kept beside it.
  const month = monthOf(atMs);
  const dapples = things
    .flatMap(boughsOf)
    .flatMap((bough) => shadowOf(bough, sun, () => boughShadowOnSlope(bough, sun, month, slope)));
  return { shadows: slope ? [...shadows, ...slopeShade(slope, sun)] : shadows, dapples };
}

/** What the minute's light does to the plan. */
export function planLight(
  {
    sky,
    features,
    atMs,
  }: { readonly sky: Sky; readonly features: readonly SiteFeature[]; readonly atMs: number },
  light: ShownLight,
): PlanLight {
  const { sun } = light;
  const up = sun.altitudeDeg > 0 && !light.indoors && !light.underLeaves;
  const behindHill = up && hills(features).some((hill) => sunBlocked(MIDDLE, sun, [hill]));
  const sunStrength = up && !behindHill ? SUN_STRENGTH[sky] : 0;
  return {
    sunAzimuthDeg: sun.azimuthDeg,
    sunAltitudeDeg: sun.altitudeDeg,
    sunStrength,
    ...(sunStrength > 0 ? shadeOnGround(features, sun, atMs) : { shadows: [], dapples: [] }),
    strips: sunStrength > 0 ? postShade(features, sun) : [],
    lampsOn: light.lampLux > 0,
    label: light.indoors
      ? 'Under a roof'
      : `${sunInWords(sun)}${behindHill ? ', behind the hill' : ''}${light.underLeaves ? ', over the canopy' : ''}`,
  };
}

export function planSight(
  { camera, aim, sight, body, focalMm, through }: View,
  { blocks, back, swings }: AlongSight,
): PlanSight {
  const { horizontalDeg } = fieldOfView({ sensor: body.sensor, focalMm });
  const levelM = Math.hypot(aim.x - camera.x, aim.y - camera.y);
  const along = (m: number): Point2 => ({
    x: camera.x + ((aim.x - camera.x) * m) / levelM,
    y: camera.y + ((aim.y - camera.y) * m) / levelM,
  });
  const [block] = blocks;
  return {
    blockedAt: block && along(block.distanceM),
    back: back && along(back.distanceM),
    twice: along(2 * levelM),
    // Of the window looked out of; of all while a wall is in the way.
    jambs: swings
      .filter(({ opening }) => !through || opening === through.opening)
      .map(({ opening }) => [opening.left, opening.right] as const),
    from: camera,
    to: aim,
    label: `${metres(sight.distanceM)} · ${bearingInWords(sight.bearingDeg)}`,
    horizontalDeg,
  };
}
