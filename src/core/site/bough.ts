import { above, within } from '../check';
import { tanDeg } from '../quantity/angles';
import { alongBearing, length, scale, subtract, type Point3 } from './vector';

/**
 * Branches: thin wood with leaves round it, which take a share of a line that passes and no more. Leaves thin a line
 * by the way it has through them (Beer-Lambert, as light through any cloud of small things); wood hides a strip of
 * what lies behind it.
 */

/** One straight piece of a branch. */
export interface Bough {
  /** Of the thing on the ground that it is part of. */
  readonly id: string;
  readonly from: Point3;
  readonly to: Point3;
  readonly woodM: number;
  /** How far its leaves reach round it; 0 is bare wood. */
  readonly leafRadiusM: number;
  /** Share that its leaves take of a line straight through their middle, from January to December. */
  readonly leafTakes: readonly number[];
}

/** From how much of the sun on something is called sunlit, and less than what is called open. Common practice, no source. */
export const SUNLIT_SHARE = 0.5;
export const FLECKS = { from: 0.1, to: 0.9 } as const;
/** A branch that hides a smaller share of a subject is not in the way. Common practice, no source. */
export const HIDES_FROM = 0.03;
/** Leaves that take less of a line through them are looked through, and are no background. Common practice, no source. */
const LOOKS_SOLID = 0.5;

/** The sun's half-width in the sky, 0.2666°: usual mean value, from memory. */
const SUN_RADIUS_DEG = 0.2666;
/** Farther along a line no branch of a ground lies. */
export const FARTHEST_M = 10_000;
/** Nearer than this to where a line begins it is the thing itself. */
const AT_IT_M = 1e-6;

/** @throws RangeError for a branch without length or thickness, or shares that are none */
export function requireBough({ from, to, woodM, leafRadiusM, leafTakes }: Bough): void {
  above('length of a branch', length(subtract(to, from)), 0);
  above('woodM', woodM, 0);
  within('leafRadiusM', leafRadiusM, 0, FARTHEST_M);
  leafTakes.forEach((share) => within('leafTakes', share, 0, 1));
}

/** How a line passes a branch: the way it has among the leaves, how far it misses the wood, and where. */
interface Passing {
  readonly amongLeavesM: number;
  readonly missM: number;
  readonly atM: number;
  /** Where it comes among the leaves. */
  readonly leavesFromM: number;
}

/** @param toward a unit vector, @param untilM where the line ends */
function passing(start: Point3, toward: Point3, untilM: number, bough: Bough): Passing | undefined {
  const { from, to } = bough;
  // In plain numbers: a view asks it of every branch, and vectors would be made and thrown away.
  const lengthM = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
  const ax = (to.x - from.x) / lengthM;
  const ay = (to.y - from.y) / lengthM;
  const az = (to.z - from.z) / lengthM;
  const ox = start.x - from.x;
  const oy = start.y - from.y;
  const oz = start.z - from.z;
  const along = toward.x * ax + toward.y * ay + toward.z * az;
  const out0 = ox * ax + oy * ay + oz * az;
  // Beside its ends a branch is not there: only between them the line counts.
  let [low, high] = [0, untilM];
  if (Math.abs(along) < 1e-9) {
    if (out0 < 0 || out0 > lengthM) return undefined;
  } else {
    const foot = -out0 / along;
    const tip = (lengthM - out0) / along;
    low = Math.max(low, Math.min(foot, tip));
    high = Math.min(high, Math.max(foot, tip));
    if (low > high) return undefined;
  }
  // Square of the distance from the axis: c + 2·b·s + a·s².
  const a = 1 - along * along;
  const b = ox * toward.x + oy * toward.y + oz * toward.z - out0 * along;
  const c = ox * ox + oy * oy + oz * oz - out0 * out0;
  const squareAt = (m: number) => Math.max(0, c + 2 * b * m + a * m * m);
  const atM = Math.min(high, Math.max(low, a < 1e-9 ? low : -b / a));
  const [leavesFromM, leavesToM] = amongLeaves(bough.leafRadiusM, a, b, c, low, high);
  return {
    leavesFromM,
    amongLeavesM: leavesToM - leavesFromM,
    missM: Math.sqrt(squareAt(atM)),
    atM,
  };
}

/** From where to where a line is nearer than the leaves reach, between two points of it; twice the first where it never is. */
function amongLeaves(
  radiusM: number,
  a: number,
  b: number,
  c: number,
  low: number,
  high: number,
): readonly [number, number] {
  const over = c - radiusM * radiusM;
  if (a < 1e-9) return over < 0 ? [low, high] : [low, low];
  const root = b * b - a * over;
  if (root <= 0) return [low, low];
  const half = Math.sqrt(root) / a;
  const from = Math.max(low, -b / a - half);
  return [from, Math.max(from, Math.min(high, -b / a + half))];
}

/** Share of a disc of radius 1 that lies on one side of a line so far off its middle. */
function discBefore(off: number): number {
  if (off <= -1) return 0;
  if (off >= 1) return 1;
  return 0.5 + (off * Math.sqrt(1 - off * off) + Math.asin(off)) / Math.PI;
}

/** What a branch's leaves leave of a line that passes them. */
const leavesLeave = ({ amongLeavesM }: Passing, bough: Bough, month: number): number =>
  amongLeavesM > 0
    ? (1 - (bough.leafTakes[month - 1] ?? 0)) ** (amongLeavesM / (2 * bough.leafRadiusM))
    : 1;

/**
 * What comes past one branch of a disc of some half-width, as an angle, at the end of a line; 1 is all of it.
 * @param toward a unit vector, @param month 1 to 12
 */
export function past(
  start: Point3,
  toward: Point3,
  untilM: number,
  halfWidth: number,
  bough: Bough,
  month: number,
): number {
  const met = passing(start, toward, untilM, bough);
  if (!met) return 1;
  const leaves = leavesLeave(met, bough, month);
  if (met.atM < AT_IT_M) return leaves;
  const unitAt = met.atM * halfWidth;
  const [off, half] = [met.missM / unitAt, bough.woodM / 2 / unitAt];
  return leaves * (1 - discBefore(off + half) + discBefore(off - half));
}

const MONTHS = 12;
/** In the month before full leaf and after it there is this much. Common practice, no source. */
const LEAFING = 0.5;

/** Share of full leaf in each month, from January to December. */
export const leafByMonth = (from: number, to: number): readonly number[] =>
  Array.from({ length: MONTHS }, (_, i) => {
    const after = (months: number) => (months + 2 * MONTHS) % MONTHS;
    const isFull = (month: number) => after(month - from) <= after(to - from);
    if (isFull(i + 1)) return 1;
    return isFull(i) || isFull(i + 2) ? LEAFING : 0;
  });

/** The month of a moment, 1 to 12, by universal time. */
export const monthOf = (timeMs: number): number => new Date(timeMs).getUTCMonth() + 1;

/**
 * Share of the sun that comes to a point past branches: 1 where none is in the way. Flecks are evened out: under leaves
 * it is what a face gets in the mean.
 * @param month 1 to 12
 */
export function sunThrough(
  point: Point3,
  sun: { readonly azimuthDeg: number; readonly altitudeDeg: number },
  boughs: readonly Bough[],
  month: number,
): number {
  if (boughs.length === 0) return 1;
  const toward = alongBearing(sun.azimuthDeg, sun.altitudeDeg);
  const half = tanDeg(SUN_RADIUS_DEG);
  return boughs.reduce(
    (share, bough) => share * past(point, toward, FARTHEST_M, half, bough, month),
    1,
  );
}

/**
 * Share of a subject that is seen past branches: what leaves leave of the line to its middle, less the strip that wood
 * hides of a disc of its size.
 * @param sizeM across the subject, @param month 1 to 12
 * @throws RangeError for a camera at the subject, or a size not above 0
 */
export function sightThrough(
  camera: Point3,
  aim: Point3,
  sizeM: number,
  boughs: readonly Bough[],
  month: number,
): number {
  if (boughs.length === 0) return 1;
  const reach = subtract(aim, camera);
  const distanceM = above('distanceM', length(reach), 0);
  const toward = scale(reach, 1 / distanceM);
  const half = above('sizeM', sizeM, 0) / 2 / distanceM;
  return boughs.reduce(
    (share, bough) => share * past(camera, toward, distanceM, half, bough, month),
    1,
  );
}

/** A branch that a line meets beyond what it aims at, and how far beyond, level. */
export interface BoughBehind {
  readonly bough: Bough;
  readonly behindM: number;
}

/**
 * The first branch behind a subject's middle: its leaves where they can't be looked through, or its wood. None that
 * the subject is in or on.
 * @param risePerM and `toward` the line as it goes on from the aim: its rise a level metre, a level unit vector
 * @param month 1 to 12
 */
export function boughBehind(
  aim: Point3,
  toward: Pick<Point3, 'x' | 'y'>,
  risePerM: number,
  boughs: readonly Bough[],
  month: number,
): BoughBehind | undefined {
  const level = 1 / Math.hypot(1, risePerM);
  const line = { x: toward.x * level, y: toward.y * level, z: risePerM * level };
  let first: BoughBehind | undefined;
  for (const bough of boughs) {
    const met = passing(aim, line, FARTHEST_M, bough);
    if (!met) continue;
    const isSolid = 1 - leavesLeave(met, bough, month) >= LOOKS_SOLID;
    if (!isSolid && met.missM > bough.woodM / 2) continue;
    const behindM = (isSolid ? met.leavesFromM : met.atM) * level;
    if (behindM > AT_IT_M && (!first || behindM < first.behindM)) first = { bough, behindM };
  }
  return first;
}
