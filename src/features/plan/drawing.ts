import {
  fieldOfView,
  shadowOnGround,
  type Obstacle,
  type Point2,
  type Sky,
  type SubjectLight,
} from '@/core';
import type { PlanGround, PlanLight, PlanSight } from '@/figures/plan-types';
import { groundLines } from '@/presets/grounds';
import type { View } from './view';
import type { Shoot } from '@/records/shoot';
import { bearingInWords, metres, sunInWords } from './words';

/** What stands still on a shoot's ground. */
export function planGround({
  ground,
  features,
  obstacles,
}: Pick<Shoot, 'ground' | 'features' | 'obstacles'>): PlanGround {
  return {
    lines: groundLines(ground.template, ground.bearingDeg),
    features: features.map(({ kind, name, line }) => ({ kind, name, points: line })),
    obstacles,
  };
}

/** Entries with the chosen one told apart. */
export const withChosen = <T extends { readonly id: string }>(
  entries: readonly T[],
  chosen: T,
): readonly (T & { readonly chosen: boolean })[] =>
  entries.map((entry) => ({ ...entry, chosen: entry.id === chosen.id }));

/** Every point that must be on the picture. */
export function planExtent(
  { lines, features, obstacles }: PlanGround,
  { marks, positions }: Pick<Shoot, 'marks' | 'positions'>,
): readonly Point2[] {
  return [
    ...lines.flatMap(({ points }) => points),
    ...obstacles.flatMap(({ footprint }) => footprint),
    ...features.flatMap(({ points }) => points),
    ...marks,
    ...positions,
  ];
}

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

const SUN_STRENGTH = { clear: 1, partly: 0.55, overcast: 0 } as const;

/** What the minute's light does to the plan. */
export function planLight(
  { sky, obstacles }: { readonly sky: Sky; readonly obstacles: readonly Obstacle[] },
  light: SubjectLight,
): PlanLight {
  const { sun } = light;
  const sunStrength = sun.altitudeDeg > 0 && !light.indoors ? SUN_STRENGTH[sky] : 0;
  return {
    sunAzimuthDeg: sun.azimuthDeg,
    sunAltitudeDeg: sun.altitudeDeg,
    sunStrength,
    shadows: sunStrength > 0 ? obstacles.flatMap((obstacle) => shadowOnGround(obstacle, sun)) : [],
    lampsOn: light.lampLux > 0,
    label: light.indoors ? 'Under a roof' : sunInWords(sun),
  };
}

export function planSight({ camera, aim, sight, body, focalMm }: View): PlanSight {
  const { horizontalDeg } = fieldOfView({ sensor: body.sensor, focalMm });
  return {
    from: camera,
    to: aim,
    label: `${metres(sight.distanceM)} · ${bearingInWords(sight.bearingDeg)}`,
    horizontalDeg,
  };
}
