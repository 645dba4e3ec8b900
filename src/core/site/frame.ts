import { polygonContains } from 'd3-polygon';
import { cosDeg, sinDeg } from '../quantity/angles';
import type { Point2 } from './vector';

/**
 * A point of a ground's own axes (y along its long axis, x to the right of it) in metres east and
 * north, for a long axis that points along a true bearing.
 */
export function turned<P extends Point2>(point: P, bearingDeg: number): P {
  const { x, y } = point;
  return {
    ...point,
    // Plus 0 turns −0 into 0, which a JSON file keeps.
    x: x * cosDeg(bearingDeg) + y * sinDeg(bearingDeg) + 0,
    y: y * cosDeg(bearingDeg) - x * sinDeg(bearingDeg) + 0,
  };
}

/** Whether a point lies within a polygon; points on its edge may count either way. */
export const insidePolygon = (point: Point2, polygon: readonly Point2[]): boolean =>
  polygonContains(
    polygon.map(({ x, y }) => [x, y]),
    [point.x, point.y],
  );
