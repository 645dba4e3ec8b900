import { above } from '../check';
import { spansWhere, type Span } from '../sun/horizon';
import type { SunPosition } from '../sun/position';
import { FLECKS, monthOf, sunThrough, type Bough } from './bough';
import { sunBlocked, type Obstacle } from './obstacle';
import type { Point3 } from './vector';

/** Shade on a point by whose it is. */

export type SunAt = (timeMs: number) => Pick<SunPosition, 'azimuthDeg' | 'altitudeDeg'>;

/** All that stands and hangs of one owner. */
export interface Owned {
  readonly obstacles: readonly Obstacle[];
  readonly boughs?: readonly Bough[];
}

/** A span in which one owner keeps the sun off a point. */
export interface ShadeBy extends Span {
  /** Its place in the list of owners. */
  readonly owner: number;
}

const STEP_MS = 60_000;
const TOLERANCE_MS = 10_000;

/** How much of the sun an owner leaves a point, 0 to 1; all of it while it is down. */
export function leavesOfSun(
  sunAt: SunAt,
  timeMs: number,
  point: Point3,
  { obstacles, boughs = [] }: Owned,
): number {
  const sun = sunAt(timeMs);
  if (sun.altitudeDeg <= 0) return 1;
  return sunBlocked(point, sun, obstacles) ? 0 : sunThrough(point, sun, boughs, monthOf(timeMs));
}

/** A branch that takes less than a tenth is no shade. */
const shadesAt = (...asked: Parameters<typeof leavesOfSun>): boolean =>
  leavesOfSun(...asked) < FLECKS.to;

/**
 * Who keeps the sun off a point when, the sun being up: two at once are both told. In order of their beginning, ends
 * found to ten seconds; shade that comes and goes within a minute may be missed.
 * @throws RangeError for an end not after the start, or an obstacle that is none
 */
export function shadesBy(
  point: Point3,
  owners: readonly Owned[],
  sunAt: SunAt,
  { fromMs, toMs }: Span,
): readonly ShadeBy[] {
  above('toMs', toMs, fromMs);
  return owners
    .flatMap((owned, owner) =>
      spansWhere(
        (timeMs) => shadesAt(sunAt, timeMs, point, owned),
        { fromMs, toMs },
        { stepMs: STEP_MS, toleranceMs: TOLERANCE_MS },
      ).map((span) => ({ ...span, owner })),
    )
    .sort((a, b) => a.fromMs - b.fromMs);
}

/** Most shades last longer: these few moments are looked at first. */
const COARSE_STEP_MS = 5 * 60_000;

/** Whether one owner keeps the sun off a point at any minute of a span. */
export function shadesWithin(
  point: Point3,
  owned: Owned,
  sunAt: SunAt,
  { fromMs, toMs }: Span,
): boolean {
  for (const stepMs of [COARSE_STEP_MS, STEP_MS]) {
    for (let at = fromMs; at <= toMs; at += stepMs) {
      if (shadesAt(sunAt, at, point, owned)) return true;
    }
  }
  return false;
}

/** Days running, and the hours of each; asked for one by one. */
export interface DayRow {
  readonly count: number;
  readonly spanOn: (day: number) => Span;
}

/**
 * On which day of a row of days an owner's shade is first gone from a point: its place in the row; nothing where it
 * comes on every one of them.
 */
export function goneOn(
  point: Point3,
  owned: Owned,
  sunAt: SunAt,
  { count, spanOn }: DayRow,
): number | undefined {
  for (let day = 0; day < count; day += 1) {
    if (!shadesWithin(point, owned, sunAt, spanOn(day))) return day;
  }
  return undefined;
}
