import { fixedOf } from '@/answers/place-from';
import { FEATURE_SHAPE, measure, type Point2 } from '@/core';
import type { PlanDraft } from '@/figures/plan-types';
import type { ItemRef } from '@/records/edit-site';
import type { Shoot } from '@/records/shoot';
import { metres } from './words';

/** Lengths that stand on the plan while something is moved or shaped. */

/** The length of each leg, at its middle. */
export const legWords = (points: readonly Point2[]): PlanDraft['words'] =>
  measure(points).legs.map(({ lengthM }, i) => {
    const [a, b] = [points[i] as Point2, points[i + 1] as Point2];
    return { at: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }, text: metres(lengthM) };
  });

/** Things whose distance is shown from the one in hand. */
const NEAREST = 2;

/** Lines from a point in hand to the two things nearest to it, with their lengths. */
export function nearestTo(
  { marks, positions, features }: Pick<Shoot, 'marks' | 'positions' | 'features'>,
  { list, id }: ItemRef,
): PlanDraft | undefined {
  // The middle of a long thing is nowhere one measures from.
  const small = features.filter(
    ({ kind, id: own }) => kind === 'hide' || FEATURE_SHAPE[kind] === 'point' || own === id,
  );
  const all = fixedOf({ marks, positions, features: small });
  const held = all.find(({ key }) => key === `${list}/${id}`);
  if (!held) return undefined;
  const [a, b] = all
    .filter(({ key, x, y }) => key !== held.key && Math.hypot(x - held.x, y - held.y) > 0.05)
    .sort((one, other) => apartM(held, one) - apartM(held, other))
    .slice(0, NEAREST);
  const points = [a, held, b].flatMap((at) => (at ? [{ x: at.x, y: at.y }] : []));
  return points.length > 1 ? { points, closed: false, words: legWords(points) } : undefined;
}

const apartM = (a: Point2, b: Point2): number => Math.hypot(a.x - b.x, a.y - b.y);
