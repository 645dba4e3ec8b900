import { framingRange, takeOver, withConverter, type FramingRange, type TakeOver } from '@/core';
import { type View } from './view';
import { wantedFill } from './wanted';
import { bodyOf, lensOf } from '@/records/kit';
import type { Shoot } from '@/records/shoot';

/** Two bodies, a lens on each: from where to where each frames the subject, and where to change. */

/** Framing from this share of what is wanted is still worth the frame. No source. */
const LEAST_SHARE = 0.6;
/** A subject larger than this is cut. No source. */
const MOST_FILL = 0.95;

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
  const wanted = wantedFill(view);
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
