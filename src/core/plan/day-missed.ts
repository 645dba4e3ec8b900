import { bisector } from 'd3-array';
import type { DayEvent } from './day';
import {
  beginningsOf,
  canBegin,
  gapAfter,
  untilOf,
  type Chosen,
  type Stay,
  type Visit,
} from './day-visits';

/**
 * Why an event is not in the route, for the interface to put in words. What is named is all that is lacking: were it
 * granted, the event could be shot, and the rest of the route with it.
 */
export type MissedReason =
  | { readonly kind: 'forbidden' }
  | { readonly kind: 'noPosition' }
  /** Its window is shorter than a visit. */
  | { readonly kind: 'tooShort' }
  /** Whoever could shoot it is not on the ground in time. */
  | { readonly kind: 'notYetThere' }
  /** Worth nothing: no value, no quality, or its quota filled by others. */
  | { readonly kind: 'worthNothing' }
  /** Runs while others are shot or waited for: these would have to be given up. */
  | { readonly kind: 'overlap'; readonly withEvents: readonly string[]; readonly then: Then }
  /** Too little time to walk between it and one neighbour in the route. */
  | {
      readonly kind: 'walk';
      readonly otherEvent: string;
      readonly needMs: number;
      readonly haveMs: number;
      readonly then: Then;
    };

/** Where and when it would be shot were that granted. */
export interface Then {
  readonly positionId: string;
  readonly fromMs: number;
  readonly untilMs: number;
  /** Who of several would shoot it. */
  readonly shooterId?: string;
}

/** Why it is missed, and what mending that would cost: nothing to give up mends some. */
export interface Miss {
  readonly reason: MissedReason;
  readonly cost: number;
}

type Walks = readonly Float64Array[];

type InTheWay = Chosen & { readonly haveMs: number; readonly needMs: number };

interface Blocked {
  readonly stay: Stay;
  readonly by: readonly InTheWay[];
  readonly cost: number;
}

/** The day that an event is missing from. */
export interface Missing {
  readonly visits: readonly Visit[];
  readonly chosen: readonly Chosen[];
  readonly walkMs: Walks;
  /** What is lost with a stay: its worth, and whatever it alone keeps of promises. */
  readonly costOf: (given: Chosen) => number;
  readonly nameOf: (place: number) => string;
  readonly shooterId?: string;
}

const ORDER = bisector<Stay, Stay>((a, b) => a.fromMs - b.fromMs || a.untilMs - b.untilMs);

/** What of the route would have to be given up for a stay, so that the rest can still be walked: its neighbours, as far as need be. */
function blocked(
  stay: Stay,
  chosen: readonly Chosen[],
  walkMs: Walks,
  costOf: Missing['costOf'],
): Blocked {
  const by: InTheWay[] = [];
  const isInTheWay = (one: Chosen, before: Stay, after: Stay): boolean => {
    const needMs = (walkMs[before.place] as Float64Array)[after.place] as number;
    const haveMs = gapAfter(before, after);
    if (needMs > haveMs) by.push({ ...one, haveMs, needMs });
    return needMs > haveMs;
  };
  const at = ORDER.right(chosen, stay);
  for (let i = at - 1; i >= 0 && isInTheWay(chosen[i] as Chosen, chosen[i] as Stay, stay);) i -= 1;
  for (let i = at; i < chosen.length && isInTheWay(chosen[i] as Chosen, stay, chosen[i] as Stay);) {
    i += 1;
  }
  return { stay, by, cost: by.reduce((sum, given) => sum + costOf(given), 0) };
}

/** Whether two stays lie apart in time, so that only the way between them, or a call, is in the way. */
const apart = (a: Stay, b: Stay): boolean => a.untilMs <= b.fromMs || b.untilMs <= a.fromMs;

/**
 * The reason that is cheapest to mend: ruled out, nowhere to stand, what of the route would have to be given up for it,
 * a walk that it lacks the time for among them; when nothing stands in its way, what it would add is worth nothing.
 */
export function missedReason(
  event: DayEvent,
  { visits, chosen, walkMs, costOf, nameOf, shooterId }: Missing,
): Miss {
  const never = (kind: 'forbidden' | 'noPosition' | 'tooShort' | 'notYetThere'): Miss => ({
    reason: { kind },
    // Of two who can't have it, one who would serve it says more.
    cost: kind === 'noPosition' ? Infinity : Number.MAX_VALUE,
  });
  if (event.forbidden) return never('forbidden');
  const visit = visits.find((entry) => entry.event.id === event.id);
  if (!visit || visit.places.length === 0) return never('noPosition');
  const beginnings = beginningsOf(event);
  if (beginnings.length === 0) return never('tooShort');
  const lacks = ({ by }: Blocked): number =>
    by.reduce((sum, { needMs, haveMs }) => sum + needMs - haveMs, 0);
  const [cheapest] = beginnings
    .flatMap((fromMs) =>
      visit.places
        .filter(
          (stand) =>
            canBegin(visit, stand, fromMs) ||
            chosen.some(({ place, untilMs }) => place === stand.place && untilMs <= fromMs),
        )
        .map(({ place }) =>
          blocked(
            { visit, place, fromMs, untilMs: untilOf(event, fromMs) },
            chosen,
            walkMs,
            costOf,
          ),
        ),
    )
    .sort((a, b) => a.cost - b.cost || a.by.length - b.by.length || lacks(a) - lacks(b));
  if (!cheapest) return never('notYetThere');
  const { stay, by, cost } = cheapest;
  const [only, ...more] = by;
  if (!only) return { reason: { kind: 'worthNothing' }, cost };
  const then = {
    ...{ positionId: nameOf(stay.place), fromMs: stay.fromMs, untilMs: stay.untilMs },
    ...(shooterId !== undefined && { shooterId }),
  };
  if (more.length === 0 && apart(stay, only)) {
    const { visit: other, needMs, haveMs } = only;
    return { reason: { kind: 'walk', otherEvent: other.event.id, needMs, haveMs, then }, cost };
  }
  const named = by.map(({ visit: other }) => other.event.id);
  return { reason: { kind: 'overlap', withEvents: [...new Set(named)], then }, cost };
}
