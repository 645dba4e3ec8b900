import { alongBearing, type Point3 } from '@/core';

const LEAST_CLOSEST_M = 0.5;

/** Where a subject's line passes the camera closest, and how far past that point the subject is. */
export interface Passing {
  readonly closestM: number;
  readonly offsetM: number;
}

/** A subject's line past the camera: how near it comes, and how far off that point it is. */
export function passing(headingDeg: number, camera: Point3, aim: Point3): Passing {
  const ahead = alongBearing(headingDeg);
  const from = { x: aim.x - camera.x, y: aim.y - camera.y };
  return {
    closestM: Math.max(LEAST_CLOSEST_M, Math.abs(from.x * ahead.y - from.y * ahead.x)),
    offsetM: from.x * ahead.x + from.y * ahead.y,
  };
}
