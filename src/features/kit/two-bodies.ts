import { framingRange, takeOver, withConverter, type FramingRange, type TakeOver } from '@/core';
import type { View } from '@/features/plan/view';
import type { PlanRing } from '@/figures/plan-types';
import { bodyOf, lensOf } from '@/records/kit';
import type { Shoot } from '@/records/shoot';
import { written } from '@/ui/units';

/** Two bodies, a lens on each: from where to where each frames the subject, and where to change. */

/** Framing from this share of what is wanted is still worth the frame. No source. */
const LEAST_SHARE = 0.6;
/** A subject larger than this is cut. No source. */
const MOST_FILL = 0.95;
const WANTED_FILL = 0.6;

export interface WornRange extends FramingRange {
  readonly name: string;
}

export interface TwoBodies {
  readonly far: WornRange;
  readonly near: WornRange;
  readonly change: TakeOver;
}

/** The range of each body from a view, the longer first; nothing without a second body. */
export function twoBodies(kit: Shoot['kit'], view: View): TwoBodies | undefined {
  const { second, bag } = kit;
  if (!second) return undefined;
  const wanted = view.shot?.fill ?? WANTED_FILL;
  const rangeOf = (worn: NonNullable<Shoot['kit']['second']>): WornRange => {
    const lens = lensOf({ ...worn, bag });
    return {
      name: `${lens.name}${worn.converter > 1 ? ` with ${worn.converter}x` : ''}`,
      ...framingRange(
        { lens: withConverter(lens, worn.converter), sensor: bodyOf({ ...worn, bag }).sensor },
        {
          sizeM: view.subject.heightM,
          leastFill: wanted * LEAST_SHARE,
          mostFill: Math.max(MOST_FILL, wanted),
          orientation: view.orientation,
        },
      ),
    };
  };
  const [a, b] = [rangeOf(kit), rangeOf(second)];
  const [far, near] = a.farM >= b.farM ? [a, b] : [b, a];
  return { far, near, change: takeOver(far, near) };
}

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
