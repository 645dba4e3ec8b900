import { halfCircle } from '../quantity/angles';
import { turned } from './frame';
import { toGeographic, toLocal, type GeoPoint } from './geodesy';
import { bearingDeg, type Point2 } from './vector';

/** A point known both on the plan and on the globe. */
export interface KnownPoint {
  readonly plan: Point2;
  readonly globe: GeoPoint;
}

export interface Placing {
  /** Where the plan's origin lies. */
  readonly origin: GeoPoint;
  /** How far the whole plan must be turned clockwise. */
  readonly turnDeg: number;
  /** How much longer the two points are apart on the globe than on the plan. */
  readonly misfitM: number;
}

const NEAREST_M = 1;
const FURTHEST_M = 10_000;

/**
 * Where a plan lies and how it is turned, from two of its points: the bearing between them is
 * taken whole, their distance is not (a plan to scale keeps its scale) but what it misses by is
 * told; the middle between them falls in place.
 * @throws RangeError for points under 1 m or over 10 km apart, on the plan or on the globe
 */
export function placeByTwoPoints(a: KnownPoint, b: KnownPoint): Placing {
  const onGlobe = toLocal(b.globe, a.globe);
  const globeM = Math.hypot(onGlobe.x, onGlobe.y);
  const planM = Math.hypot(b.plan.x - a.plan.x, b.plan.y - a.plan.y);
  for (const [where, apartM] of [
    ['on the plan', planM],
    ['on the globe', globeM],
  ] as const) {
    if (apartM < NEAREST_M || apartM > FURTHEST_M) {
      throw new RangeError(
        `The two points are ${apartM.toFixed(1)} m apart ${where}: must be from ${NEAREST_M} to ${FURTHEST_M} m`,
      );
    }
  }
  const turnDeg = halfCircle(bearingDeg({ x: 0, y: 0 }, onGlobe) - bearingDeg(a.plan, b.plan));
  const middle = turned({ x: (a.plan.x + b.plan.x) / 2, y: (a.plan.y + b.plan.y) / 2 }, turnDeg);
  const middleOnGlobe = toGeographic({ x: onGlobe.x / 2, y: onGlobe.y / 2 }, a.globe);
  return {
    origin: toGeographic({ x: -middle.x, y: -middle.y }, middleOnGlobe),
    turnDeg,
    misfitM: globeM - planM,
  };
}
