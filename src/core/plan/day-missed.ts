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

/** The day that an event is missing from. */
export interface Missing {
  readonly visits: readonly Visit[];
  readonly chosen: readonly Chosen[];
  readonly walkMs: Walks;
  /** What is lost with each stay: its worth, and whatever it alone keeps of promises. */
  readonly costs: readonly number[];
  readonly nameOf: (place: number) => string;
  readonly shooterId?: string;
}

const ORDER = bisector<Stay, Stay>((a, b) => a.fromMs - b.fromMs || a.untilMs - b.untilMs);

const walkBetween = (before: Stay, after: Stay, walkMs: Walks): number =>
  (walkMs[before.place] as Float64Array)[after.place] as number;

/** How an event could be had, and what of the route would have to be given up for it. */
interface Instead {
  readonly stay: Stay;
  /** What is in the way, in the route: from this one up to that. */
  readonly from: number;
  readonly to: number;
  readonly cost: number;
  /** By how much the time falls short in all. */
  readonly lacksMs: number;
}

/** What would have to be given up so that the rest can still be walked: the neighbours, as far as need be. */
function instead(stay: Stay, { chosen, costs, walkMs }: Missing): Instead {
  let cost = 0;
  let lacksMs = 0;
  const isInTheWay = (at: number, before: Stay, after: Stay): boolean => {
    const lacks = walkBetween(before, after, walkMs) - gapAfter(before, after);
    if (lacks <= 0) return false;
    cost += costs[at] as number;
    lacksMs += lacks;
    return true;
  };
  const at = ORDER.right(chosen, stay);
  let from = at;
  while (from > 0 && isInTheWay(from - 1, chosen[from - 1] as Stay, stay)) from -= 1;
  let to = at;
  while (to < chosen.length && isInTheWay(to, stay, chosen[to] as Stay)) to += 1;
  return { stay, from, to, cost, lacksMs };
}

/** The least to give up, then the fewest, then the least time short. */
const isCheaper = (a: Instead, b: Instead): boolean =>
  (a.cost - b.cost || a.to - a.from - (b.to - b.from) || a.lacksMs - b.lacksMs) < 0;

/** Whether two stays lie apart in time, so that only the way between them, or a call, is in the way. */
const apart = (a: Stay, b: Stay): boolean => a.untilMs <= b.fromMs || b.untilMs <= a.fromMs;

/**
 * The reason that is cheapest to mend: ruled out, nowhere to stand, what of the route would have to be given up for it,
 * a walk that it lacks the time for among them; when nothing stands in its way, what it would add is worth nothing.
 */
export function missedReason(event: DayEvent, missing: Missing): Miss {
  const { visits, chosen, walkMs, nameOf, shooterId } = missing;
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
  let cheapest: Instead | undefined;
  for (const fromMs of beginnings) {
    for (const stand of visit.places) {
      const { place } = stand;
      const isThere = () => chosen.some((one) => one.place === place && one.untilMs <= fromMs);
      if (!canBegin(visit, stand, fromMs) && !isThere()) continue;
      const one = instead({ visit, place, fromMs, untilMs: untilOf(event, fromMs) }, missing);
      if (!cheapest || isCheaper(one, cheapest)) cheapest = one;
    }
  }
  if (!cheapest) return never('notYetThere');
  const { stay, from, to, cost } = cheapest;
  const by = chosen.slice(from, to);
  const [only, ...more] = by;
  if (!only) return { reason: { kind: 'worthNothing' }, cost };
  const then = {
    ...{ positionId: nameOf(stay.place), fromMs: stay.fromMs, untilMs: stay.untilMs },
    ...(shooterId !== undefined && { shooterId }),
  };
  if (more.length === 0 && apart(stay, only)) {
    const [first, next] = only.fromMs < stay.fromMs ? [only, stay] : [stay, only];
    const needMs = walkBetween(first, next, walkMs);
    const haveMs = gapAfter(first, next);
    return {
      reason: { kind: 'walk', otherEvent: only.visit.event.id, needMs, haveMs, then },
      cost,
    };
  }
  const named = by.map(({ visit: other }) => other.event.id);
  return { reason: { kind: 'overlap', withEvents: [...new Set(named)], then }, cost };
}
