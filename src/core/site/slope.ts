import { finite, nonEmpty } from '../check';
import { clipped } from './clip';
import { insidePolygon } from './frame';
import type { Obstacle } from './obstacle';
import type { Point2, Point3 } from './vector';

/** Ground that is not level: heights along a line, the same across it as far as one sees. */

/** As it is drawn: a line of points, and how high the ground is at each against the others. */
export interface SlopeLine {
  readonly points: readonly Point2[];
  readonly heightsM: readonly number[];
}

/** Where the ground is how high, along a level line from a point; the lowest is 0. */
export interface Slope {
  readonly from: Point2;
  /** Level unit vector. */
  readonly along: Point2;
  /** In order along the line. Before the first and past the last the ground goes on level. */
  readonly corners: readonly { readonly alongM: number; readonly heightM: number }[];
  /** Level floors on it: who is in a hide stands on the hide's. */
  readonly floors?: readonly { readonly footprint: readonly Point2[]; readonly heightM: number }[];
}

/** How far along its line a slope has a point, in metres. */
export const alongOf = ({ from, along }: Pick<Slope, 'from' | 'along'>, { x, y }: Point2): number =>
  (x - from.x) * along.x + (y - from.y) * along.y;

/**
 * The ground of a line of heights. A line that bends is taken straight from its first point to its last: each
 * corner counts where it lies abreast of that; one that ends where it began is level.
 * @throws RangeError for under two points, or not a height for each
 */
export function slopeOf({ points, heightsM }: SlopeLine): Slope {
  nonEmpty('points', points, 2);
  const [from, last] = [points[0], points.at(-1)] as [Point2, Point2];
  const lengthM = Math.hypot(last.x - from.x, last.y - from.y);
  const along =
    lengthM === 0
      ? { x: 0, y: 1 }
      : { x: (last.x - from.x) / lengthM, y: (last.y - from.y) / lengthM };
  const heights = points.map((_, i) => finite(`heightsM[${i}]`, heightsM[i] ?? NaN));
  const lowest = Math.min(...heights);
  const corners = points.map((point, i) => ({
    alongM: alongOf({ from, along }, point),
    heightM: lengthM === 0 ? 0 : (heights[i] as number) - lowest,
  }));
  return { from, along, corners: corners.sort((a, b) => a.alongM - b.alongM) };
}

/** How high the ground is at a point, in metres over its lowest. */
export function groundHeightM(slope: Slope, point: Point2): number {
  const at = alongOf(slope, point);
  let before = slope.corners[0] as Slope['corners'][number];
  for (const corner of slope.corners) {
    if (corner.alongM > at) {
      if (corner === before) return corner.heightM;
      const share = (at - before.alongM) / (corner.alongM - before.alongM);
      return before.heightM + (corner.heightM - before.heightM) * share;
    }
    before = corner;
  }
  return before.heightM;
}

/** Level distances along a ray at which it crosses the slope's corners, in order. @param toward level unit vector */
export function slopeCorners(slope: Slope, from: Point2, toward: Point2): readonly number[] {
  const up = toward.x * slope.along.x + toward.y * slope.along.y;
  const start = alongOf(slope, from);
  // Along a line of one height it crosses none.
  if (Math.abs(up) < 1e-9) return [];
  return slope.corners
    .map(({ alongM }) => (alongM - start) / up)
    .filter((m) => m > 0)
    .sort((a, b) => a - b);
}

/**
 * Where a straight line comes down to the ground; nothing where it never does.
 * @param from a point of it over the ground, @param toward level unit vector
 * @returns level distance from that point
 */
export function meetsGround(
  slope: Slope,
  from: Point3,
  toward: Point2,
  risePerM: number,
): number | undefined {
  const overM = (m: number) =>
    from.z +
    risePerM * m -
    groundHeightM(slope, { x: from.x + toward.x * m, y: from.y + toward.y * m });
  let [before, over] = [0, overM(0)];
  for (const at of slopeCorners(slope, from, toward)) {
    const next = overM(at);
    if (over > 0 && next <= 0) return before + ((at - before) * over) / (over - next);
    [before, over] = [at, next];
  }
  // Past the last corner the ground is level.
  return risePerM < 0 && over > 0 ? before + over / -risePerM : undefined;
}

/** How high one stands at a point: on the floor of what one is in, else on the ground. */
export const footingM = (slope: Slope, point: Point2): number =>
  slope.floors?.find(({ footprint }) => insidePolygon(point, footprint))?.heightM ??
  groundHeightM(slope, point);

/** So far to either side a slope reaches. */
const ABREAST_M = 1000;
const THIN_M = 0.01;
const LEAST_M = 0.01;

const pointAt = ({ from, along }: Slope, alongM: number, abreastM: number): Point2 => ({
  x: from.x + along.x * alongM + along.y * abreastM,
  y: from.y + along.y * alongM - along.x * abreastM,
});

/** The ground between two places along a slope's line, as far to either side as it reaches; without end where they are. */
export function abreastOf(slope: Slope, fromM: number, toM: number): readonly Point2[] {
  const [back, front] = [Math.max(fromM, -ABREAST_M), Math.min(toM, ABREAST_M)];
  return [
    pointAt(slope, back, -ABREAST_M),
    pointAt(slope, back, ABREAST_M),
    pointAt(slope, front, ABREAST_M),
    pointAt(slope, front, -ABREAST_M),
  ];
}

/** Rise a metre of the ground on one side of a corner; level past the ends, upright where two corners are abreast. */
function steepness(
  before: Slope['corners'][number] | undefined,
  after: Slope['corners'][number] | undefined,
): number {
  if (!before || !after) return 0;
  const rise = after.heightM - before.heightM;
  return rise === 0 ? 0 : rise / (after.alongM - before.alongM);
}

/**
 * The ground's crests as thin walls across it, as high as they are. Ground of straight pieces stands highest against
 * a straight line at a corner at which it bends down: walls there hide and shade just what the ground does.
 */
export function slopeCrests(slope: Slope): readonly Obstacle[] {
  const { corners } = slope;
  return corners.flatMap((corner, i) => {
    const { alongM, heightM } = corner;
    const bendsDown = steepness(corners[i - 1], corner) > steepness(corner, corners[i + 1]);
    if (!bendsDown || heightM < LEAST_M) return [];
    return [{ heightM, footprint: abreastOf(slope, alongM - THIN_M / 2, alongM + THIN_M / 2) }];
  });
}

/** What of a polygon lies between two places along a slope's line, either of which may be without end. */
export function cutBetween(
  slope: Slope,
  polygon: readonly Point2[],
  fromM: number,
  toM: number,
): readonly Point2[] {
  let kept = polygon;
  if (Number.isFinite(fromM)) kept = clipped(kept, (point) => alongOf(slope, point) - fromM);
  if (Number.isFinite(toM)) kept = clipped(kept, (point) => toM - alongOf(slope, point));
  return kept;
}

/** What goes up a slope is cut where the ground has risen by this: it is half of it too high or too low at the most. */
const STEP_M = 0.5;

/**
 * Something that goes up and down with the ground, in level pieces: cut across the slope at its corners and at every
 * half metre of rise, each as high over the ground as the whole.
 */
export function upTheSlope(slope: Slope, { footprint, heightM }: Obstacle): readonly Obstacle[] {
  const places = footprint.map((point) => alongOf(slope, point));
  const [least, most] = [Math.min(...places), Math.max(...places)];
  const within = slope.corners.filter(({ alongM }) => alongM > least && alongM < most);
  const ends = [least, ...within.map(({ alongM }) => alongM), most];
  return ends.slice(1).flatMap((endM, i) => {
    const startM = ends[i] as number;
    const heightAt = (alongM: number) => groundHeightM(slope, pointAt(slope, alongM, 0));
    const steps = Math.max(1, Math.ceil(Math.abs(heightAt(endM) - heightAt(startM)) / STEP_M));
    return Array.from({ length: steps }, (_, step): Obstacle => {
      const [fromM, toM] = [step, step + 1].map((k) => startM + ((endM - startM) * k) / steps) as [
        number,
        number,
      ];
      return {
        footprint: cutBetween(slope, footprint, fromM, toM),
        heightM: heightM + heightAt((fromM + toM) / 2),
      };
    }).filter((piece) => piece.footprint.length > 2);
  });
}

/** Lines of one height across the ground, evenly spaced in height, on every rise and fall; so many on the whole at most. */
export function slopeContours(slope: Slope, most: number): readonly (readonly [Point2, Point2])[] {
  const { corners } = slope;
  const rises = corners.slice(1).map((to, i) => ({ from: corners[i] as typeof to, to }));
  const climbM = rises.reduce((sum, { from, to }) => sum + Math.abs(to.heightM - from.heightM), 0);
  if (climbM === 0) return [];
  const everyM = climbM / most;
  return rises.flatMap(({ from, to }) => {
    const rise = to.heightM - from.heightM;
    const count = Math.round(Math.abs(rise) / everyM);
    return Array.from({ length: count }, (_, i) => {
      const at = from.alongM + ((to.alongM - from.alongM) * (i + 0.5)) / count;
      return [pointAt(slope, at, -ABREAST_M), pointAt(slope, at, ABREAST_M)] as const;
    });
  });
}

/** The ground's flat pieces, corner by corner; none where it lies at its lowest, which is the level ground. */
export function slopeFaces(slope: Slope): readonly (readonly [Point3, Point3, Point3, Point3])[] {
  const { corners } = slope;
  const [first, last] = [corners[0], corners.at(-1)] as [
    Slope['corners'][number],
    Slope['corners'][number],
  ];
  const all = [
    { ...first, alongM: first.alongM - ABREAST_M },
    ...corners,
    { ...last, alongM: last.alongM + ABREAST_M },
  ];
  return all.slice(1).flatMap((to, i) => {
    const from = all[i] as Slope['corners'][number];
    if (Math.max(from.heightM, to.heightM) < LEAST_M) return [];
    const at = ({ alongM, heightM }: typeof from, abreastM: number): Point3 => ({
      ...pointAt(slope, alongM, abreastM),
      z: heightM,
    });
    return [
      [at(from, ABREAST_M), at(to, ABREAST_M), at(to, -ABREAST_M), at(from, -ABREAST_M)] as const,
    ];
  });
}
