import type { FramingRange } from '@/core';
import type { TwoBodies } from '@/answers/two-bodies';
import type { View } from '@/answers/view';
import type { PlanRing } from '@/figures/plan-types';
import { written } from '@/ui/units';

/** Two bodies, in words and as rings on the plan. */

const span = ({ nearM, farM }: FramingRange): string =>
  `${written(nearM, 'm', 0)} to ${written(farM, 'm', 0)}`;

/** What to do with the two, in sentences. */
export function twoBodiesInWords({ far, near, change }: TwoBodies): readonly string[] {
  return [
    `${far.name}: from ${span(far)}.`,
    `${near.name}: from ${span(near)}.`,
    change.gapM > 0
      ? `Between ${written(near.farM, 'm', 0)} and ${written(far.nearM, 'm', 0)} neither frames it: a zoom or a converter would.`
      : `Change at ${written(change.atM, 'm', 0)} as it comes closer.`,
  ];
}

/** The two on the plan: the farthest of each, and where to change from one to the other. */
export function bodyRings({ far, near, change }: TwoBodies, view: View): readonly PlanRing[] {
  const at = { x: view.camera.x, y: view.camera.y };
  const ring = (radiusM: number, text: string, heavy: boolean): PlanRing => ({
    at,
    radiusM,
    towardsDeg: view.sight.bearingDeg,
    text: `${text} ${written(radiusM, 'm', 0)}`,
    heavy,
  });
  return change.gapM > 0
    ? [
        ring(near.farM, `${near.name} to`, false),
        ring(far.nearM, `${far.name} from`, false),
        ring(far.farM, `${far.name} to`, false),
      ]
    : [ring(change.atM, 'change at', true), ring(far.farM, `${far.name} to`, false)];
}
