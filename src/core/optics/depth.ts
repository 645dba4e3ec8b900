import { above } from '../check';

export interface DepthOfField {
  readonly nearM: number;
  /** Infinity from the hyperfocal distance on. */
  readonly farM: number;
  readonly hyperfocalM: number;
}

/**
 * Depth of field: hyperfocal H = f²/(N·c) + f; near s(H − f)/(H + s − 2f); far s(H − f)/(H − s).
 * Standard textbook form, distances from the lens.
 * @param cocMm circle of confusion on the sensor
 * @throws RangeError for values not above 0, or a distance inside the focal length
 */
export function depthOfField({
  focalMm,
  aperture,
  distanceM,
  cocMm,
}: {
  readonly focalMm: number;
  readonly aperture: number;
  readonly distanceM: number;
  readonly cocMm: number;
}): DepthOfField {
  above('focalMm', focalMm, 0);
  above('aperture', aperture, 0);
  above('cocMm', cocMm, 0);
  above('distanceM', distanceM, focalMm / 1000);
  const s = distanceM * 1000;
  const hyperfocal = focalMm ** 2 / (aperture * cocMm) + focalMm;
  const near = (s * (hyperfocal - focalMm)) / (hyperfocal + s - 2 * focalMm);
  const far = s >= hyperfocal ? Infinity : (s * (hyperfocal - focalMm)) / (hyperfocal - s);
  return { nearM: near / 1000, farM: far / 1000, hyperfocalM: hyperfocal / 1000 };
}

/** Depth that can be asked of a lens at a distance: none of it may lie within the focal length. */
export const depthWithin = (depthM: number, distanceM: number, focalMm: number): number =>
  Math.min(depthM, distanceM - focalMm / 1000);

/**
 * Widest aperture number whose depth of field takes in `depthM`, half before and half behind the
 * plane of focus: the condition near ≤ s − depth/2 solved for N (the near side is the tighter).
 * @throws RangeError as {@link depthOfField}
 */
export function apertureForDepth({
  focalMm,
  distanceM,
  depthM,
  cocMm,
}: {
  readonly focalMm: number;
  readonly distanceM: number;
  readonly depthM: number;
  readonly cocMm: number;
}): number {
  above('focalMm', focalMm, 0);
  above('depthM', depthM, 0);
  above('cocMm', cocMm, 0);
  above('distanceM', distanceM, focalMm / 1000 + depthM / 2);
  const s = distanceM * 1000;
  const near = s - depthM * 500;
  // near·(H + s − 2f) = s·(H − f)  →  H − f = near·(s − f)/(s − near)
  const reach = (near * (s - focalMm)) / (s - near);
  return focalMm ** 2 / (reach * cocMm);
}
