import { imageDistanceMm } from '../optics/image';
import type { Sensor } from '../optics/sensor';
import { cross, dot, length, subtract, unit, UP, type Point2, type Point3 } from '../site/vector';

/** A camera that stands still and looks at a point it is focused on. */
export interface Camera {
  readonly position: Point3;
  readonly aim: Point3;
  readonly focalMm: number;
  readonly sensor: Sensor;
}

/** Image of a point in mm from the middle of the sensor, right and up; none behind the lens. */
export type Project = (point: Point3) => Point2 | undefined;

/**
 * Central projection through the lens on to the sensor, thin lens focused at the aim.
 * @throws RangeError if the aim is within the focal length of the camera
 */
export function projector({ position, aim, focalMm }: Camera): Project {
  const toAim = subtract(aim, position);
  const scaleMm = imageDistanceMm(focalMm, length(toAim));
  const forward = unit(toAim);
  const level = cross(forward, UP);
  const right = length(level) > 1e-9 ? unit(level) : { x: 1, y: 0, z: 0 };
  const up = cross(right, forward);
  return (point) => {
    const ray = subtract(point, position);
    const depthM = dot(ray, forward);
    if (depthM <= focalMm / 1000) return undefined;
    const mmPerM = scaleMm / depthM;
    return { x: mmPerM * dot(ray, right), y: mmPerM * dot(ray, up) };
  };
}

/** Scale of the image at a point in front of the lens, mm on the sensor for a metre across the sight. */
export function imageScale({ position, aim, focalMm }: Camera): (point: Point3) => number {
  const toAim = subtract(aim, position);
  const scaleMm = imageDistanceMm(focalMm, length(toAim));
  const forward = unit(toAim);
  return (point) => scaleMm / Math.max(focalMm / 1000, dot(subtract(point, position), forward));
}
