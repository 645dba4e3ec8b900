import { above, nonEmpty } from '../check';
import { alongBearing, type Point2, type Point3 } from './vector';
import { sinDeg, tanDeg, toDegrees, toRadians } from '../quantity/angles';

/** Something that stands on the ground with upright walls and a flat top: a stand, a wall, a hide. */
export interface Obstacle {
  readonly footprint: readonly Point2[];
  readonly heightM: number;
}

/** @throws RangeError for a footprint under three corners or a height not above 0 */
export function requireObstacle({ footprint, heightM }: Obstacle): void {
  nonEmpty('footprint', footprint, 3);
  above('heightM', heightM, 0);
}

/**
 * Distances along a level ray at which it enters or leaves a polygon, in order. A ray that starts
 * inside has an odd number of them.
 */
export function crossings(from: Point2, toward: Point2, polygon: readonly Point2[]): number[] {
  const found: number[] = [];
  polygon.forEach((a, i) => {
    const b = polygon[(i + 1) % polygon.length] as Point2;
    const sideA = (a.x - from.x) * toward.y - (a.y - from.y) * toward.x;
    const sideB = (b.x - from.x) * toward.y - (b.y - from.y) * toward.x;
    if (sideA > 0 === sideB > 0) return;
    const share = sideA / (sideA - sideB);
    const x = a.x + (b.x - a.x) * share - from.x;
    const y = a.y + (b.y - a.y) * share - from.y;
    const distance = x * toward.x + y * toward.y;
    if (distance >= 0) found.push(distance);
  });
  return found.sort((a, b) => a - b);
}

/**
 * Elevation in degrees below which the view from a point along a bearing is blocked; 0 if open.
 * A point under or within an obstacle's walls sees nothing of the sky there: 90.
 */
export function skylineDeg(
  point: Point3,
  azimuthDeg: number,
  obstacles: readonly Obstacle[],
): number {
  const toward = alongBearing(azimuthDeg);
  return obstacles.reduce((highest, obstacle) => {
    const riseM = obstacle.heightM - point.z;
    if (riseM <= 0) return highest;
    const distances = crossings(point, toward, obstacle.footprint);
    if (distances.length === 0) return highest;
    if (distances.length % 2 === 1) return 90;
    return Math.max(highest, toDegrees(Math.atan2(riseM, distances[0] as number)));
  }, 0);
}

/** Whether an obstacle stands between a point and the sun's centre. */
export function sunBlocked(
  point: Point3,
  sun: { readonly azimuthDeg: number; readonly altitudeDeg: number },
  obstacles: readonly Obstacle[],
): boolean {
  obstacles.forEach(requireObstacle);
  return sun.altitudeDeg < skylineDeg(point, sun.azimuthDeg, obstacles);
}

const SKY_SLICE_DEG = 2.5;

/**
 * Sky view factor of an upright surface among obstacles: 0.5 in the open. The half-circle before
 * it is taken in slices; each sees ½(π/2 − α − sin α·cos α) of an even sky above a skyline α,
 * weighted by the cosine of its bearing off the surface's own (exact within a slice).
 */
export function skyViewOfFace(
  point: Point3,
  faceAzimuthDeg: number,
  obstacles: readonly Obstacle[],
): number {
  obstacles.forEach(requireObstacle);
  let view = 0;
  for (let aside = -90; aside < 90; aside += SKY_SLICE_DEG) {
    const skyline = toRadians(
      skylineDeg(point, faceAzimuthDeg + aside + SKY_SLICE_DEG / 2, obstacles),
    );
    const above = (Math.PI / 2 - skyline - Math.sin(skyline) * Math.cos(skyline)) / 2;
    view += (above * (sinDeg(aside + SKY_SLICE_DEG) - sinDeg(aside))) / Math.PI;
  }
  return view;
}

/**
 * Length in metres of the shadow that a height throws on level ground: h/tan(altitude).
 * Check: 10 m under a sun at 15° is 37.32 m.
 * @throws RangeError unless height and altitude are above 0 and the sun below the zenith
 */
export function shadowLength(heightM: number, sunAltitudeDeg: number): number {
  above('heightM', heightM, 0);
  above('sunAltitudeDeg', sunAltitudeDeg, 0);
  return sunAltitudeDeg >= 90 ? 0 : heightM / tanDeg(sunAltitudeDeg);
}
