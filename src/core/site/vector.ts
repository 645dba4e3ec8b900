import { cosDeg, fullCircle, sinDeg, toDegrees } from '../quantity/angles';

/** Metres east, north and up from the site's origin. */
export interface Point3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}
/** Metres east and north. */
export interface Point2 {
  readonly x: number;
  readonly y: number;
}

export const point3 = (x: number, y: number, z = 0): Point3 => ({ x, y, z });
export const add = (a: Point3, b: Point3): Point3 => point3(a.x + b.x, a.y + b.y, a.z + b.z);
export const subtract = (a: Point3, b: Point3): Point3 => point3(a.x - b.x, a.y - b.y, a.z - b.z);
export const scale = (a: Point3, by: number): Point3 => point3(a.x * by, a.y * by, a.z * by);
export const dot = (a: Point3, b: Point3): number => a.x * b.x + a.y * b.y + a.z * b.z;
export const length = (a: Point3): number => Math.hypot(a.x, a.y, a.z);
export const cross = (a: Point3, b: Point3): Point3 =>
  point3(a.y * b.z - a.z * b.y, a.z * b.x - a.x * b.z, a.x * b.y - a.y * b.x);
export const unit = (a: Point3): Point3 => scale(a, 1 / length(a));

/** Distance in metres from a point to a path through points in space; Infinity for no points. */
export function distanceToPath(point: Point3, path: readonly Point3[]): number {
  return path.reduce((least, from, i) => {
    const along = subtract(path[i + 1] ?? from, from);
    const square = dot(along, along);
    const share = square === 0 ? 0 : dot(subtract(point, from), along) / square;
    const near = add(from, scale(along, Math.min(1, Math.max(0, share))));
    return Math.min(least, length(subtract(point, near)));
  }, Infinity);
}

export const UP: Point3 = point3(0, 0, 1);

/** Unit vector along a compass bearing, raised by an elevation. */
export const alongBearing = (bearingDeg: number, elevationDeg = 0): Point3 =>
  point3(
    sinDeg(bearingDeg) * cosDeg(elevationDeg),
    cosDeg(bearingDeg) * cosDeg(elevationDeg),
    sinDeg(elevationDeg),
  );

/** True bearing from one point to another, clockwise from north. */
export const bearingDeg = (from: Point2, to: Point2): number =>
  fullCircle(toDegrees(Math.atan2(to.x - from.x, to.y - from.y)));

/** Elevation of the line from one point to another above level. */
export const elevationDeg = (from: Point3, to: Point3): number =>
  toDegrees(Math.atan2(to.z - from.z, Math.hypot(to.x - from.x, to.y - from.y)));
