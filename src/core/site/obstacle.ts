import { above, nonEmpty } from '../check';
import { alongBearing, bearingDeg, type Point2, type Point3 } from './vector';
import { halfCircle, sinDeg, tanDeg, toDegrees } from '../quantity/angles';

/** A hole in a wall, between two points of it as one looks out and two heights. */
export interface Opening {
  readonly left: Point2;
  readonly right: Point2;
  readonly sillM: number;
  readonly headM: number;
  readonly pane: 'open' | 'net' | 'glass' | 'doubleGlass';
}

/** Something that stands on the ground with upright walls and a flat top: a stand, a wall, a hide. */
export interface Obstacle {
  readonly footprint: readonly Point2[];
  readonly heightM: number;
  /**
   * It is hollow: who sits in it sees out through these, and all round where there are none. From outside it is
   * solid all the same.
   */
  readonly openings?: readonly Opening[];
}

/** Rounding may not close the very edge of a window. */
const EDGE_M = 1e-9;

/** The opening that a line passes, out of what its camera sits in; nothing where it meets the wall. */
export const openingAt = (openings: readonly Opening[], at: Point3): Opening | undefined =>
  openings.find(({ left, right, sillM, headM }) => {
    if (at.z < sillM || at.z > headM) return false;
    const [x, y] = [right.x - left.x, right.y - left.y];
    const lengthM = Math.hypot(x, y);
    const alongM = ((at.x - left.x) * x + (at.y - left.y) * y) / lengthM;
    const offM = Math.abs((at.x - left.x) * y - (at.y - left.y) * x) / lengthM;
    return offM < 1e-6 && alongM >= -EDGE_M && alongM <= lengthM + EDGE_M;
  });

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
  let a = polygon[polygon.length - 1] as Point2;
  let sideA = (a.x - from.x) * toward.y - (a.y - from.y) * toward.x;
  for (const b of polygon) {
    const sideB = (b.x - from.x) * toward.y - (b.y - from.y) * toward.x;
    if (sideA > 0 !== sideB > 0) {
      const share = sideA / (sideA - sideB);
      const x = a.x + (b.x - a.x) * share - from.x;
      const y = a.y + (b.y - a.y) * share - from.y;
      const distance = x * toward.x + y * toward.y;
      if (distance >= 0) found.push(distance);
    }
    a = b;
    sideA = sideB;
  }
  return found.length > 1 ? found.sort((low, high) => low - high) : found;
}

const INSIDE = -1;

/**
 * The first of {@link crossings}, {@link INSIDE} when their number is odd, Infinity for none. It
 * makes nothing, since a sky view asks it for every obstacle and slice.
 */
function firstCrossing(from: Point2, toward: Point2, polygon: readonly Point2[]): number {
  let nearest = Infinity;
  let odd = false;
  let a = polygon[polygon.length - 1] as Point2;
  let sideA = (a.x - from.x) * toward.y - (a.y - from.y) * toward.x;
  for (const b of polygon) {
    const sideB = (b.x - from.x) * toward.y - (b.y - from.y) * toward.x;
    if (sideA > 0 !== sideB > 0) {
      const share = sideA / (sideA - sideB);
      const distance =
        (a.x + (b.x - a.x) * share - from.x) * toward.x +
        (a.y + (b.y - a.y) * share - from.y) * toward.y;
      if (distance >= 0) {
        odd = !odd;
        if (distance < nearest) nearest = distance;
      }
    }
    a = b;
    sideA = sideB;
  }
  return odd ? INSIDE : nearest;
}

/** How steeply an obstacle's top stands over a point along a ray; Infinity within its walls. */
function rise(point: Point3, toward: Point2, { footprint, heightM }: Obstacle): number {
  const riseM = heightM - point.z;
  if (riseM <= 0) return 0;
  const nearestM = firstCrossing(point, toward, footprint);
  return nearestM === INSIDE ? Infinity : riseM / nearestM;
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
  let steepest = 0;
  for (const obstacle of obstacles) steepest = Math.max(steepest, rise(point, toward, obstacle));
  return toDegrees(Math.atan(steepest));
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

/** Wider than this an obstacle may lie round a point: it is then looked for on every side. */
const WIDEST_HALF_DEG = 75;

/** How far either side of a bearing, degrees, an obstacle is seen from a point; generously. */
function seenBetween(point: Point2, { footprint }: Obstacle, aheadDeg: number): [number, number] {
  const [first] = footprint as readonly [Point2, ...Point2[]];
  const firstDeg = bearingDeg(point, first);
  let [least, most] = [0, 0];
  for (const corner of footprint) {
    if (corner.x === point.x && corner.y === point.y) return [-90, 90];
    const off = halfCircle(bearingDeg(point, corner) - firstDeg);
    if (off < least) least = off;
    if (off > most) most = off;
  }
  const half = (most - least) / 2 + 0.01;
  if (half > WIDEST_HALF_DEG) return [-90, 90];
  const middle = halfCircle(firstDeg + (most + least) / 2 - aheadDeg);
  return [middle - half, middle + half];
}

const SKY_SLICE_DEG = 2.5;
const SKY_SLICES = 180 / SKY_SLICE_DEG;

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
  const towards = Array.from({ length: SKY_SLICES }, (_, i) =>
    alongBearing(faceAzimuthDeg + asideOf(i)),
  );
  const steepest = new Float64Array(SKY_SLICES);
  for (const obstacle of obstacles) {
    if (obstacle.heightM <= point.z) continue;
    const [left, right] = seenBetween(point, obstacle, faceAzimuthDeg);
    const last = Math.min(SKY_SLICES - 1, Math.floor((right + 90) / SKY_SLICE_DEG - 0.5));
    for (let i = Math.max(0, Math.ceil((left + 90) / SKY_SLICE_DEG - 0.5)); i <= last; i += 1) {
      const up = rise(point, towards[i] as Point3, obstacle);
      if (up > (steepest[i] as number)) steepest[i] = up;
    }
  }
  let view = 0;
  steepest.forEach((up, i) => {
    const skyline = Math.atan(up);
    const above = (Math.PI / 2 - skyline - Math.sin(skyline) * Math.cos(skyline)) / 2;
    const half = SKY_SLICE_DEG / 2;
    view += (above * (sinDeg(asideOf(i) + half) - sinDeg(asideOf(i) - half))) / Math.PI;
  });
  // Under a roof all round the slices cancel to a hair under none.
  return Math.max(0, view);
}

/** Bearing of a slice's middle off the surface's own. */
const asideOf = (slice: number): number => -90 + (slice + 0.5) * SKY_SLICE_DEG;

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
