import { above, nonEmpty, within } from '../check';

/** One focal length of a lens and the widest aperture it has there. */
export interface FocalStop {
  readonly focalMm: number;
  readonly widestAperture: number;
}

export interface Lens {
  /** From short to long; one entry for a prime lens. */
  readonly focals: readonly FocalStop[];
  readonly smallestAperture: number;
  /** Nearest focus, from the sensor. */
  readonly nearestFocusM: number;
}

/**
 * A lens that can be: from short to long, each end opening at least as wide as it closes, focusing from
 * beyond its longest focal length.
 * @throws RangeError naming what can't be
 */
export function requireLens({ focals, smallestAperture, nearestFocusM }: Lens): void {
  nonEmpty('focals', focals);
  let longestMm = 0;
  for (const { focalMm, widestAperture } of focals) {
    above('focalMm', focalMm, longestMm);
    above('widestAperture', widestAperture, 0);
    if (widestAperture > smallestAperture) {
      throw new RangeError(
        `widestAperture ${widestAperture}: must be at most ${smallestAperture}; a lens can’t open wider than it closes`,
      );
    }
    longestMm = focalMm;
  }
  // A thin lens makes no picture of what stands within its focal length.
  above('nearestFocusM', nearestFocusM, longestMm / 1000);
}

export const focalRange = ({ focals }: Lens): { shortestMm: number; longestMm: number } => {
  nonEmpty('focals', focals);
  return {
    shortestMm: (focals[0] as FocalStop).focalMm,
    longestMm: (focals[focals.length - 1] as FocalStop).focalMm,
  };
};

/**
 * Widest aperture at a focal length. Between listed focal lengths the narrower of the two holds,
 * since a lens closes somewhere between them.
 * @throws RangeError if the lens does not reach that focal length
 */
export function widestApertureAt(lens: Lens, focalMm: number): number {
  const { shortestMm, longestMm } = focalRange(lens);
  within('focalMm', focalMm, shortestMm - 1e-9, longestMm + 1e-9);
  const next = lens.focals.find((stop) => stop.focalMm >= focalMm - 1e-9);
  return (next as FocalStop).widestAperture;
}

/** Light a converter costs in stops, 2·log2(factor); marked 1 for 1.4× and 2 for 2×. */
export const converterLossStops = (factor: number): number =>
  2 * Math.log2(within('factor', factor, 1, 3));

/**
 * The lens with a converter behind it: focal lengths and aperture numbers times the factor,
 * nearest focus unchanged.
 * @throws RangeError for a factor outside 1–3
 */
export function withConverter(lens: Lens, factor: number): Lens {
  within('factor', factor, 1, 3);
  return {
    ...lens,
    focals: lens.focals.map(({ focalMm, widestAperture }) => ({
      focalMm: above('focalMm', focalMm, 0) * factor,
      widestAperture: above('widestAperture', widestAperture, 0) * factor,
    })),
    smallestAperture: lens.smallestAperture * factor,
  };
}
