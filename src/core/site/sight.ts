import { bearingDeg, elevationDeg, length, subtract, type Point3 } from './vector';

export interface SightLine {
  /** Straight from camera to subject, heights included. */
  readonly distanceM: number;
  /** From camera to subject, clockwise from true north. */
  readonly bearingDeg: number;
  /** Of the line above level. */
  readonly elevationDeg: number;
}

/** The line from camera to subject. @throws RangeError if they are the same point. */
export function sightLine(camera: Point3, subject: Point3): SightLine {
  const distanceM = length(subtract(subject, camera));
  if (!(distanceM > 0)) {
    throw new RangeError(
      `distanceM ${distanceM}: must be above 0, camera and subject are one point`,
    );
  }
  return {
    distanceM,
    bearingDeg: bearingDeg(camera, subject),
    elevationDeg: elevationDeg(camera, subject),
  };
}
