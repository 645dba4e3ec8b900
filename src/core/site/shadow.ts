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
 * sun's direction by h/tan(altitude). Of a convex footprint that is one polygon, the hull of its
 * two ends; of another, pieces that overlap: both ends and the sweep of each side.
 * @returns polygons in metres; none when the sun is on or below the horizon
 * @throws RangeError for an obstacle that is none
 */
export function shadowOnGround(
  obstacle: Obstacle,
  sun: { readonly azimuthDeg: number; readonly altitudeDeg: number },
): readonly (readonly Point2[])[] {
  requireObstacle(obstacle);
  if (sun.altitudeDeg <= 0) return [];
  const { footprint } = obstacle;
  const reach = shadowLength(obstacle.heightM, sun.altitudeDeg);
  const away = scale(alongBearing(sun.azimuthDeg + 180), reach);
  const swept = ({ x, y }: Point2): Point2 => ({ x: x + away.x, y: y + away.y });
  if (isConvex(footprint)) {
    const corners = footprint.flatMap((corner) => [corner, swept(corner)]);
    const hull = polygonHull(corners.map(({ x, y }): [number, number] => [x, y])) ?? [];
    return [hull.map(([x, y]) => ({ x, y }))];
  }
  const sides = footprint.map((a, i) => {
    const b = footprint[(i + 1) % footprint.length] as Point2;
    return [a, b, swept(b), swept(a)];
  });
  return [footprint, ...sides, footprint.map(swept)];
}
