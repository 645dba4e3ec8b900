import { fieldOfView, shadowOnGround, type Point2, type SubjectLight } from '@/core';
import type { PlanDrawing, PlanLight, PlanSight } from '@/figures/plan-types';
import { groundLines } from '@/presets/ground-templates';
import { chosenMark, chosenPosition, type View } from './view';
import type { Shoot } from '@/records/shoot';
import { bearingInWords, metres, sunInWords } from './words';

/** What is drawn of a shoot's ground, whatever the time. */
export function planDrawing(shoot: Shoot): PlanDrawing {
  const mark = chosenMark(shoot);
  const position = chosenPosition(shoot);
  return {
    lines: groundLines(shoot.ground.template, shoot.ground.bearingDeg),
    features: shoot.features.map(({ kind, name, line }) => ({ kind, name, points: line })),
    obstacles: shoot.obstacles,
    marks: shoot.marks.map((entry) => ({ ...entry, chosen: entry === mark })),
    positions: shoot.positions.map((entry) => ({ ...entry, chosen: entry === position })),
  };
}

/** Every point that must be on the picture; positions first, so that the ground holds still. */
export function planExtent(shoot: Shoot): readonly Point2[] {
  const drawn = groundLines(shoot.ground.template, shoot.ground.bearingDeg);
  return [
    ...drawn.flatMap((line) => line.points),
    ...shoot.obstacles.flatMap((obstacle) => obstacle.footprint),
    ...shoot.features.flatMap((feature) => feature.line),
    ...shoot.marks,
    ...shoot.positions,
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
export function planLight(shoot: Shoot, light: SubjectLight): PlanLight {
  const { sun } = light;
  const sunStrength = sun.altitudeDeg > 0 ? SUN_STRENGTH[shoot.light.sky] : 0;
  return {
    sunAzimuthDeg: sun.azimuthDeg,
    sunAltitudeDeg: sun.altitudeDeg,
    sunStrength,
    shadows:
      sunStrength > 0
        ? shoot.obstacles
            .map((obstacle) => shadowOnGround(obstacle, sun))
            .filter((shadow) => shadow !== undefined)
        : [],
    lampsOn: light.lampLux > 0,
    label: sunInWords(sun),
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
