import { above, atLeast, within } from '../check';
import { toDegrees } from '../quantity/angles';
import { frameHeightMm, type FrameOrientation, type Sensor } from './sensor';

/**
 * Distance from lens to sensor in mm when focused at `distanceM`: f·d/(d − f), thin lens.
 * @throws RangeError if the distance is not beyond the focal length
 */
export function imageDistanceMm(focalMm: number, distanceM: number): number {
  above('focalMm', focalMm, 0);
  above('distanceM', distanceM, focalMm / 1000);
  const distanceMm = distanceM * 1000;
  return (focalMm * distanceMm) / (distanceMm - focalMm);
}

/** @throws RangeError if the subject is nearer than the lens focuses */
export function requireFocus(distanceM: number, nearestFocusM: number): void {
  atLeast('distanceM', distanceM, nearestFocusM);
}

/**
 * Size of the image on the sensor in mm: f·H/(d − f), thin lens, distance from the lens.
 * @throws RangeError for sizes or lengths not above 0, or a subject inside the focal length
 */
export function imageSize({
  sizeM,
  distanceM,
  focalMm,
}: {
  readonly sizeM: number;
  readonly distanceM: number;
  readonly focalMm: number;
}): number {
  above('sizeM', sizeM, 0);
  return (sizeM / distanceM) * imageDistanceMm(focalMm, distanceM);
}

export interface FieldOfView {
  readonly horizontalDeg: number;
  readonly verticalDeg: number;
  readonly diagonalDeg: number;
  /** Extent of the subject's plane that the frame takes in, when a distance is given. */
  readonly widthM?: number;
  readonly heightM?: number;
}

/**
 * Angles the frame takes in, level: 2·atan(s/2v), v the distance from lens to sensor; focused at
 * infinity unless a distance is given.
 */
export function fieldOfView({
  sensor,
  focalMm,
  distanceM,
}: {
  readonly sensor: Sensor;
  readonly focalMm: number;
  readonly distanceM?: number;
}): FieldOfView {
  above('focalMm', focalMm, 0);
  const v = distanceM === undefined ? focalMm : imageDistanceMm(focalMm, distanceM);
  const angle = (sizeMm: number) => 2 * toDegrees(Math.atan(sizeMm / (2 * v)));
  return {
    horizontalDeg: angle(sensor.widthMm),
    verticalDeg: angle(sensor.heightMm),
    diagonalDeg: angle(Math.hypot(sensor.widthMm, sensor.heightMm)),
    ...(distanceM !== undefined && {
      widthM: (sensor.widthMm / v) * distanceM,
      heightM: (sensor.heightMm / v) * distanceM,
    }),
  };
}

interface Framing {
  readonly sizeM: number;
  readonly distanceM: number;
  readonly focalMm: number;
  readonly sensor: Sensor;
  readonly orientation?: FrameOrientation;
}

/** Share of the frame's height that the subject's height takes: 1 fills it, above 1 is cut. */
export function frameFill({ orientation = 'level', sensor, ...view }: Framing): number {
  return imageSize(view) / frameHeightMm(sensor, orientation);
}

/** Pixels along the subject's height, before any cropping; more than fit the frame are not counted. */
export function pixelsOnSubject({ orientation = 'level', ...view }: Framing): number {
  const framePx = orientation === 'level' ? view.sensor.heightPx : view.sensor.widthPx;
  return Math.min(1, frameFill({ ...view, orientation })) * framePx;
}

/** Focal length in mm that makes the subject fill the wanted share of the frame's height. */
export function focalForFill({
  sizeM,
  distanceM,
  sensor,
  fill,
  orientation = 'level',
}: Omit<Framing, 'focalMm'> & { readonly fill: number }): number {
  above('fill', fill, 0);
  above('sizeM', sizeM, 0);
  above('distanceM', distanceM, 0);
  const imageMm = fill * frameHeightMm(sensor, orientation);
  return (imageMm * distanceM * 1000) / (sizeM * 1000 + imageMm);
}

/** Distance in metres at which the subject fills the wanted share of the frame's height. */
export function distanceForFill({
  sizeM,
  focalMm,
  sensor,
  fill,
  orientation = 'level',
}: Omit<Framing, 'distanceM'> & { readonly fill: number }): number {
  above('fill', fill, 0);
  above('sizeM', sizeM, 0);
  above('focalMm', focalMm, 0);
  const imageMm = fill * frameHeightMm(sensor, orientation);
  return (focalMm * (sizeM * 1000 + imageMm)) / imageMm / 1000;
}

/**
 * What must be kept of the frame for the subject to fill the wanted share of its height.
 * @returns kept fraction of each side (1: no crop) and the megapixels left
 */
export function cropFor({
  fill,
  wantedFill,
  sensor,
}: {
  readonly fill: number;
  readonly wantedFill: number;
  readonly sensor: Sensor;
}): { readonly keptFraction: number; readonly megapixels: number } {
  above('fill', fill, 0);
  within('wantedFill', wantedFill, 1e-3, 1);
  const keptFraction = Math.min(1, fill / wantedFill);
  return { keptFraction, megapixels: (sensor.widthPx * sensor.heightPx * keptFraction ** 2) / 1e6 };
}

/** Lenses that focus inside hide their extension below a tenth of life size; from a fifth on it counts. */
const EXTENSION_COUNTS = { from: 0.1, whole: 0.2 } as const;

/**
 * Light that focusing near costs in stops, 2·log2(1 + m), m the image over the subject: a stop at half
 * life size, two at life size. Standard textbook form; where it begins to count is common practice.
 * @throws RangeError as {@link imageDistanceMm}
 */
export function extensionLossStops(focalMm: number, distanceM: number): number {
  const magnification = imageDistanceMm(focalMm, distanceM) / (distanceM * 1000);
  const { from, whole } = EXTENSION_COUNTS;
  const counts = Math.min(1, Math.max(0, (magnification - from) / (whole - from)));
  return counts * 2 * Math.log2(1 + magnification);
}
