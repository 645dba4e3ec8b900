import { polygonHull } from 'd3-polygon';
import { scale, alongBearing, type Point2 } from './vector';
import { requireObstacle, shadowLength, type Obstacle } from './obstacle';

function isConvex(polygon: readonly Point2[]): boolean {
  const turns = polygon.map((a, i) => {
    const b = polygon[(i + 1) % polygon.length] as Point2;
    const c = polygon[(i + 2) % polygon.length] as Point2;
    return Math.sign((b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x));
  });
  return !(turns.includes(1) && turns.includes(-1));
}

/**
 * The ground that an obstacle shades, its own footprint included: the footprint swept along the
 * sun's direction by h/tan(altitude), the convex hull of its two ends.
 * @returns corners in metres, or none when the sun is on or below the horizon
 * @throws RangeError for a footprint that is not convex, or an obstacle that is none
 */
export function shadowOnGround(
  obstacle: Obstacle,
  sun: { readonly azimuthDeg: number; readonly altitudeDeg: number },
): readonly Point2[] | undefined {
  requireObstacle(obstacle);
  if (!isConvex(obstacle.footprint)) {
    throw new RangeError(`footprint of ${obstacle.footprint.length} corners: must be convex`);
  }
  if (sun.altitudeDeg <= 0) return undefined;
  const reach = shadowLength(obstacle.heightM, sun.altitudeDeg);
  const away = scale(alongBearing(sun.azimuthDeg + 180), reach);
  const corners = obstacle.footprint.flatMap(({ x, y }): [number, number][] => [
    [x, y],
    [x + away.x, y + away.y],
  ]);
  return (polygonHull(corners) ?? []).map(([x, y]) => ({ x, y }));
}
