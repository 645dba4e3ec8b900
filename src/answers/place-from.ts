import {
  alongBearing,
  bearingDeg as bearingBetween,
  fullCircle,
  halfCircle,
  type Point2,
} from '@/core';
import type { Shoot } from '@/records/shoot';

/** Where something stands, told from where something else does: as one measures with a tape and a compass. */

/** What a place can be told from, or a line be looked along. */
export interface Fixed extends Point2 {
  /** Its list and its id there. */
  readonly key: string;
  readonly name: string;
}

const middleOf = (points: readonly Point2[]): Point2 => ({
  x: points.reduce((sum, { x }) => sum + x, 0) / points.length,
  y: points.reduce((sum, { y }) => sum + y, 0) / points.length,
});

/** All that stands or lies on a ground, by name: marks, positions and things, the latter by their middle. */
export const fixedOf = ({
  marks,
  positions,
  features,
}: Pick<Shoot, 'marks' | 'positions' | 'features'>): readonly Fixed[] => [
  ...marks.map(({ id, name, x, y }) => ({ key: `marks/${id}`, name, x, y })),
  ...positions.map(({ id, name, x, y }) => ({ key: `positions/${id}`, name, x, y })),
  ...features
    .filter(({ points }) => points.length > 0)
    .map(({ id, name, points }) => ({ key: `features/${id}`, name, ...middleOf(points) })),
];

/** Metres and a direction from something: a true bearing, or degrees right of the line to something else. */
export interface From {
  readonly distanceM: number;
  /** True bearing; right of the line, left is negative, where one is given. */
  readonly angleDeg: number;
}

/** True bearing of the line that an angle counts from: north without one. */
const lineDeg = (origin: Point2, towards: Point2 | undefined): number =>
  towards ? bearingBetween(origin, towards) : 0;

/** Where something stands as told from something else. The inverse of {@link placedFrom}. */
export function toldFrom(place: Point2, origin: Point2, towards?: Point2): From {
  const distanceM = Math.hypot(place.x - origin.x, place.y - origin.y);
  const bearing = distanceM > 0 ? bearingBetween(origin, place) : 0;
  const angle = bearing - lineDeg(origin, towards);
  return { distanceM, angleDeg: towards ? halfCircle(angle) : fullCircle(angle) };
}

/** The place that lies so far from something, that way. */
export function placedFrom(
  { distanceM, angleDeg }: From,
  origin: Point2,
  towards?: Point2,
): Point2 {
  const { x, y } = alongBearing(lineDeg(origin, towards) + angleDeg);
  return { x: origin.x + distanceM * x, y: origin.y + distanceM * y };
}
