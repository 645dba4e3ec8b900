import type { BackdropDetail, FeatureOf, Point2 } from '@/core';
import type { GroundLine, TemplateMark } from './types';

/** Drawing blocks in a ground's own axes. */

export const FOOT_M = 0.3048;
export const YARD_M = 0.9144;

export const at = (x: number, y: number): Point2 => ({ x, y });

/** Corners of an upright rectangle, from its south-west corner round. */
export const rectangle = (minX: number, minY: number, maxX: number, maxY: number): Point2[] => [
  at(minX, minY),
  at(maxX, minY),
  at(maxX, maxY),
  at(minX, maxY),
];

export const closed = (points: readonly Point2[]): Point2[] => [...points, points[0] as Point2];

const ARC_STEP_DEG = 5;

/** Points of an arc, angles as on a compass: 0° along +y, clockwise. */
export function arc(centre: Point2, radiusM: number, fromDeg: number, toDeg: number): Point2[] {
  const steps = Math.max(1, Math.round(Math.abs(toDeg - fromDeg) / ARC_STEP_DEG));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = ((fromDeg + ((toDeg - fromDeg) * i) / steps) * Math.PI) / 180;
    return at(centre.x + radiusM * Math.sin(angle), centre.y + radiusM * Math.cos(angle));
  });
}

export const circle = (centre: Point2, radiusM: number): Point2[] => arc(centre, radiusM, 0, 360);

export const line = (
  name: string,
  points: readonly Point2[],
  weight: GroundLine['weight'] = 'marking',
): GroundLine => ({ name, points, weight });

/** A small cross where a spot is painted. */
export const spot = (name: string, { x, y }: Point2): GroundLine =>
  line(name, [at(x - 0.3, y), at(x + 0.3, y)], 'boundary');

/** A line across a ground of that width. */
export const across = (y: number, widthM: number): Point2[] => [
  at(-widthM / 2, y),
  at(widthM / 2, y),
];

/** The same lines at the other end: turned half round about the middle. */
export const bothEnds = (lines: readonly GroundLine[]): GroundLine[] => [
  ...lines,
  ...lines.map((entry) => ({ ...entry, points: entry.points.map(({ x, y }) => at(-x, -y)) })),
];

/** Coach and those who wait, beside the ground. Common practice, no source. */
export const bench = (
  place: Point2,
  facingDeg: number,
  name = 'Coach and bench',
): TemplateMark => ({
  id: 'bench',
  name,
  ...place,
  headingDeg: facingDeg,
  facingDeg,
  subjectId: 'standing',
});

/** Ground where nobody may stand, and why in its name. */
export const keepOut = (
  id: string,
  name: string,
  points: readonly Point2[],
): FeatureOf<'keepOut'> => ({ id, name, kind: 'keepOut', points });

/** What usually stands behind. Common practice, no source. */
export const backdrop = (
  id: string,
  name: string,
  points: readonly Point2[],
  heightM: number,
  detail: BackdropDetail,
): FeatureOf<'backdrop'> => ({ id, name, kind: 'backdrop', points, heightM, detail });

/** A wood, a hedge, reeds: what covers an area up to a height. */
export const trees = (
  id: string,
  name: string,
  points: readonly Point2[],
  heightM: number,
): FeatureOf<'trees'> => ({ id, name, kind: 'trees', points, heightM });

/** Chain link as it is usually bought: 50 mm mesh of 3 mm wire, posts of 60 mm every 3 m. */
export const chainLink = (
  id: string,
  name: string,
  points: readonly Point2[],
  heightM: number,
): FeatureOf<'fence'> => ({
  id,
  name,
  kind: 'fence',
  points,
  heightM,
  meshPitchMm: 50,
  wireMm: 3,
  postSpacingM: 3,
  postWidthMm: 60,
});
