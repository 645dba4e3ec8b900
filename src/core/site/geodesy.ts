import { within } from '../check';
import { cosDeg, halfCircle, sinDeg, toDegrees, toRadians } from '../quantity/angles';
import type { Point2 } from './vector';

/** A point on the globe, WGS 84. */
export interface GeoPoint {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
}

const WGS84_RADIUS_M = 6_378_137;
const WGS84_FLATTENING = 1 / 298.257223563;
const ECCENTRICITY_SQUARED = WGS84_FLATTENING * (2 - WGS84_FLATTENING);
/** Nearer to a pole than this, east and west lose their meaning. */
const FURTHEST_LATITUDE_DEG = 89.9;

function checkPoint(field: string, { latitudeDeg, longitudeDeg }: GeoPoint): void {
  within(`${field}.latitudeDeg`, latitudeDeg, -FURTHEST_LATITUDE_DEG, FURTHEST_LATITUDE_DEG);
  within(`${field}.longitudeDeg`, longitudeDeg, -180, 180);
}

/** Metres to a radian of latitude and of longitude at a latitude, on the ellipsoid. */
function metresPerRadian(latitudeDeg: number): { north: number; east: number } {
  const curve = 1 - ECCENTRICITY_SQUARED * sinDeg(latitudeDeg) ** 2;
  return {
    north: (WGS84_RADIUS_M * (1 - ECCENTRICITY_SQUARED)) / curve ** 1.5,
    east: (WGS84_RADIUS_M / Math.sqrt(curve)) * cosDeg(latitudeDeg),
  };
}

/**
 * A point in metres east and north of an origin: equirectangular with the ellipsoid's own radii at
 * the middle latitude. Within 5 km of the origin it misses a geodesic by under 0.1 m up to 70°.
 * Crosses the date line.
 * @throws RangeError for a latitude beyond ±89.9 or a longitude beyond ±180
 */
export function toLocal(point: GeoPoint, origin: GeoPoint): Point2 {
  checkPoint('point', point);
  checkPoint('origin', origin);
  const { north, east } = metresPerRadian((point.latitudeDeg + origin.latitudeDeg) / 2);
  return {
    x: toRadians(halfCircle(point.longitudeDeg - origin.longitudeDeg)) * east,
    y: toRadians(point.latitudeDeg - origin.latitudeDeg) * north,
  };
}

/** The inverse of {@link toLocal}. @throws RangeError for an origin as there */
export function toGeographic(local: Point2, origin: GeoPoint): GeoPoint {
  checkPoint('origin', origin);
  let latitudeDeg = origin.latitudeDeg;
  // The middle latitude depends on the answer: two rounds settle it to a micrometre.
  for (let round = 0; round < 3; round += 1) {
    const { north } = metresPerRadian((latitudeDeg + origin.latitudeDeg) / 2);
    latitudeDeg = origin.latitudeDeg + toDegrees(local.y / north);
  }
  const { east } = metresPerRadian((latitudeDeg + origin.latitudeDeg) / 2);
  return {
    latitudeDeg,
    longitudeDeg: halfCircle(origin.longitudeDeg + toDegrees(local.x / east)),
  };
}
