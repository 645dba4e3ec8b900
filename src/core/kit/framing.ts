import { above, atLeast, nonEmpty, within } from '../check';
import { cropFor, distanceForFill, focalForFill, frameFill } from '../optics/image';
import { focalRange, widestApertureAt, type Lens } from '../optics/lens';
import type { FrameOrientation, Sensor } from '../optics/sensor';

/** A lens, converter and all, on a body. */
export interface Combination {
  readonly lens: Lens;
  readonly sensor: Sensor;
}

/** What is to be framed: its height, from how far, and the share of the frame's height it should take. */
export interface FramingWanted {
  readonly sizeM: number;
  readonly distanceM: number;
  readonly fill: number;
  readonly orientation?: FrameOrientation;
}

/** What a combination makes of a framing, and what would mend it. */
export interface Framed {
  /** `frames`: as wanted; `short`: too small even at its longest; `long`: too large at its shortest. */
  readonly verdict: 'frames' | 'short' | 'long' | 'tooNear';
  /** Where a zoom stands for it. */
  readonly focalMm: number;
  readonly fill: number;
  readonly widestAperture: number;
  /** Metres to go closer for the framing wanted with that focal length; negative: to step back. */
  readonly closerM: number;
  /** Megapixels left when the frame is cropped to the framing wanted; all of them when it need not be. */
  readonly croppedMegapixels: number;
  /** Focal length that would frame it from here. */
  readonly wantedMm: number;
}

/** A converter can carry the focal length past the nearest focus: figures begin just beyond it. */
const JUST_BEYOND = 1.001;

/** A framing this close to what is wanted is as wanted. */
export const FRAMED_SHARE = 0.97;

/**
 * How a lens frames a subject: zoomed to the framing wanted as far as it goes.
 * @throws RangeError for sizes, distances or fills not above 0, or a fill above 1.5
 */
export function framed(
  { lens, sensor }: Combination,
  { sizeM, distanceM, fill, orientation = 'level' }: FramingWanted,
): Framed {
  within('fill', above('fill', fill, 0), 0, 1.5);
  const { shortestMm, longestMm } = focalRange(lens);
  const wantedMm = focalForFill({ sizeM, distanceM, sensor, fill, orientation });
  const focalMm = Math.min(longestMm, Math.max(shortestMm, wantedMm));
  // Nearer than it focuses there is no picture to measure: what it gives from where it does focus counts.
  const focusM = Math.max(distanceM, lens.nearestFocusM, (focalMm / 1000) * JUST_BEYOND);
  const here = frameFill({ sizeM, distanceM: focusM, focalMm, sensor, orientation });
  const wantedFromM = distanceForFill({ sizeM, focalMm, sensor, fill, orientation });
  const verdict =
    distanceM < lens.nearestFocusM
      ? 'tooNear'
      : here < fill * FRAMED_SHARE
        ? 'short'
        : here > fill / FRAMED_SHARE
          ? 'long'
          : 'frames';
  return {
    verdict,
    focalMm,
    fill: here,
    widestAperture: widestApertureAt(lens, focalMm),
    closerM: distanceM - Math.max(wantedFromM, lens.nearestFocusM),
    croppedMegapixels: cropFor({
      fill: Math.min(1, here),
      wantedFill: Math.min(1, fill),
      sensor,
    }).megapixels,
    wantedMm,
  };
}

/** How far a framing is from what was wanted, in stops of length. */
const missBy = ({ fill }: Framed, wanted: number): number => Math.abs(Math.log2(fill / wanted));

const ORDER = { frames: 0, long: 1, short: 1, tooNear: 2 } as const;

/**
 * Of several combinations the one that serves a framing best: one that frames it, the widest
 * aperture first; else the one that misses by least.
 * @returns its index and what it makes of the framing
 * @throws RangeError without combinations, or as {@link framed}
 */
export function bestFramed(
  combinations: readonly Combination[],
  wanted: FramingWanted,
): { readonly index: number; readonly framed: Framed } {
  nonEmpty('combinations', combinations);
  const all = combinations.map((combination, index) => ({
    index,
    framed: framed(combination, wanted),
  }));
  const better = (a: Framed, b: Framed): number =>
    ORDER[a.verdict] - ORDER[b.verdict] ||
    (a.verdict === 'frames'
      ? a.widestAperture - b.widestAperture
      : missBy(a, wanted.fill) - missBy(b, wanted.fill));
  return all.reduce((best, next) => (better(next.framed, best.framed) < 0 ? next : best));
}

/** Distances over which a lens frames a subject: from too large to too small. */
export interface FramingRange {
  readonly nearM: number;
  readonly farM: number;
}

/**
 * From where to where a combination frames a subject between two fills: the nearest at its shortest
 * focal length, the farthest at its longest.
 * @throws RangeError for fills not above 0 or least above most
 */
export function framingRange(
  { lens, sensor }: Combination,
  {
    sizeM,
    leastFill,
    mostFill,
    orientation = 'level',
  }: {
    readonly sizeM: number;
    readonly leastFill: number;
    readonly mostFill: number;
    readonly orientation?: FrameOrientation;
  },
): FramingRange {
  above('leastFill', leastFill, 0);
  atLeast('mostFill', mostFill, leastFill);
  const { shortestMm, longestMm } = focalRange(lens);
  const at = (focalMm: number, fill: number) =>
    distanceForFill({ sizeM, focalMm, sensor, fill, orientation });
  const nearM = Math.max(lens.nearestFocusM, at(shortestMm, mostFill));
  return { nearM, farM: Math.max(nearM, at(longestMm, leastFill)) };
}

/** Where one changes from the longer lens to the shorter as play comes closer. */
export interface TakeOver {
  /** Change at this distance: the middle, in stops, of what both frame. */
  readonly atM: number;
  /** Metres of ground that neither frames; 0 where the two meet or overlap. */
  readonly gapM: number;
}

/** @param far range of the longer lens, @param near of the shorter */
export function takeOver(far: FramingRange, near: FramingRange): TakeOver {
  above('far.nearM', far.nearM, 0);
  above('near.farM', near.farM, 0);
  return {
    atM: Math.sqrt(far.nearM * near.farM),
    gapM: Math.max(0, far.nearM - near.farM),
  };
}
