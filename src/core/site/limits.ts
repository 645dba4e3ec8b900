import { above, nonEmpty, within } from '../check';
import { insidePolygon } from './frame';
import { alongBearing, type Point2 } from './vector';

/** Opening angle of each throw's landing sector. Source: World Athletics, Technical Rules 32.9, quoted from memory. */
export const THROW_SECTOR_DEG = {
  shot: 34.92,
  discus: 34.92,
  hammer: 34.92,
  javelin: 28.96,
} as const;
export type Throw = keyof typeof THROW_SECTOR_DEG;

const ARC_STEPS = 12;

/**
 * Ground that a throw may land on, as a polygon from the circle's centre (or the arc's) outwards.
 * @param bearingDeg true bearing of the sector's middle line
 * @param lengthM reach; farther than the farthest throw expected
 * @param marginDeg added at each side: a throw that misses the sector still flies
 * @throws RangeError for a reach not above 0 or a margin outside 0–60
 */
export function throwSector({
  kind,
  origin,
  bearingDeg,
  lengthM,
  marginDeg = 0,
}: {
  readonly kind: Throw;
  readonly origin: Point2;
  readonly bearingDeg: number;
  readonly lengthM: number;
  readonly marginDeg?: number;
}): readonly Point2[] {
  above('lengthM', lengthM, 0);
  within('marginDeg', marginDeg, 0, 60);
  const half = THROW_SECTOR_DEG[kind] / 2 + marginDeg;
  const arc = Array.from({ length: ARC_STEPS + 1 }, (_, i) => {
    const along = alongBearing(bearingDeg - half + (2 * half * i) / ARC_STEPS);
    return { x: origin.x + along.x * lengthM, y: origin.y + along.y * lengthM };
  });
  return [origin, ...arc];
}

/** Ground that may not be entered, or that may not be left. */
export interface Limit {
  readonly name: string;
  readonly area: readonly Point2[];
  /** `out`: stay out of it (field of play, sector, landing pit). `in`: stay within it. */
  readonly keep: 'out' | 'in';
}

/** Why one may not stand somewhere: within what is to be kept out of, or out of what is to be kept within. */
export interface Refusal {
  readonly kind: 'inside' | 'outside';
  readonly name: string;
}

/**
 * Reasons why one may not stand at a point; none when it is allowed. Officials and the venue have
 * the last word.
 * @throws RangeError for an area under three corners
 */
export function refusals(point: Point2, limits: readonly Limit[]): readonly Refusal[] {
  return limits.flatMap(({ name, area, keep }): readonly Refusal[] => {
    nonEmpty(`area of ${name}`, area, 3);
    const inside = insidePolygon(point, area);
    if (keep === 'out') return inside ? [{ kind: 'inside', name }] : [];
    return inside ? [] : [{ kind: 'outside', name }];
  });
}
