import { sinDeg } from '../quantity/angles';
import type { Bough } from './bough';
import { scale, alongBearing, type Point2, type Point3 } from './vector';
import { requireObstacle, shadowLength, type Obstacle } from './obstacle';

/** Which way a polygon goes round, if it never turns back: 1 left-handed, −1 right-handed, else 0. */
export function wayRound(polygon: readonly Point2[]): number {
  let way = 0;
  let [a, b] = [polygon.at(-2), polygon.at(-1)] as [Point2, Point2];
  for (const c of polygon) {
    const turn = Math.sign((b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x));
    if (turn !== 0 && turn === -way) return 0;
    if (turn !== 0) way = turn;
    [a, b] = [b, c];
  }
  return way;
}

/**
 * A convex polygon swept along a vector: its far end where its sides look that way, its near end
 * where they don't, both where they turn. @param way as {@link wayRound}
 */
function sweptConvex(polygon: readonly Point2[], away: Point2, way: number): readonly Point2[] {
  const looksAway = (from: Point2, to: Point2): boolean =>
    way * ((to.y - from.y) * away.x - (to.x - from.x) * away.y) > 0;
  const hull: Point2[] = [];
  const last = polygon.length - 1;
  let before = looksAway(polygon[last - 1] as Point2, polygon[last] as Point2);
  polygon.forEach((_, i) => {
    const corner = polygon[(i + last) % polygon.length] as Point2;
    const after = looksAway(corner, polygon[i] as Point2);
    const far = { x: corner.x + away.x, y: corner.y + away.y };
    if (before) hull.push(far);
    if (!before || !after) hull.push(corner);
    if (!before && after) hull.push(far);
    before = after;
  });
  return hull;
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
  const way = wayRound(footprint);
  if (way !== 0) return [sweptConvex(footprint, away, way)];
  const sides = footprint.map((a, i) => {
    const b = footprint[(i + 1) % footprint.length] as Point2;
    return [a, b, swept(b), swept(a)];
  });
  return [footprint, ...sides, footprint.map(swept)];
}

const ROUND_CORNERS = 16;
const ROUND: readonly Point2[] = Array.from({ length: ROUND_CORNERS }, (_, i) => {
  const turn = (2 * Math.PI * i) / ROUND_CORNERS;
  return { x: Math.cos(turn), y: Math.sin(turn) };
});

/**
 * The ground that a branch dapples: what its leaves reach, or its bare wood, as the sun throws it. A ball of radius r
 * throws an ellipse, r across the sun's bearing and r/sin(altitude) along it, and the branch is that swept along.
 * @param month 1 to 12, @returns corners in metres; none while the sun is down
 */
export function boughShadow(
  { from, to, woodM, leafRadiusM, leafTakes }: Bough,
  sun: { readonly azimuthDeg: number; readonly altitudeDeg: number },
  month: number,
): readonly Point2[] {
  if (sun.altitudeDeg <= 0) return [];
  const radiusM = leafTakes[month - 1] ? Math.max(woodM / 2, leafRadiusM) : woodM / 2;
  const away = alongBearing(sun.azimuthDeg + 180);
  const thrown = ({ x, y, z }: Point3): Point2 => {
    const reachM = z > 0 ? shadowLength(z, sun.altitudeDeg) : 0;
    return { x: x + away.x * reachM, y: y + away.y * reachM };
  };
  const [start, end] = [thrown(from), thrown(to)];
  const alongM = radiusM / sinDeg(sun.altitudeDeg);
  const ellipse = ROUND.map((corner) => {
    const [long, across] = [alongM * corner.x, radiusM * corner.y];
    return {
      x: start.x + away.x * long - away.y * across,
      y: start.y + away.y * long + away.x * across,
    };
  });
  return sweptConvex(ellipse, { x: end.x - start.x, y: end.y - start.y }, wayRound(ellipse));
}
