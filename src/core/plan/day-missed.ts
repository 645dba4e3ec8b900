import type { DayEvent } from './day';
import { gapAfter, type Chosen, type Visit } from './day-solver';

/** Why an event is not in the route, for the interface to put in words. */
export type MissedReason =
  | { readonly kind: 'forbidden' }
  | { readonly kind: 'noPosition' }
  /** Worth nothing: no value, no quality, or its quota filled by others. */
  | { readonly kind: 'worthNothing' }
  /** Runs while another is shot or waited for. */
  | { readonly kind: 'overlap'; readonly withEvent: string }
  /** Too little time to walk between it and a neighbour in the route. */
  | {
      readonly kind: 'walk';
      readonly otherEvent: string;
      readonly needMs: number;
      readonly haveMs: number;
    };

/** The gap between two visits, in either order; negative when they overlap. */
const gapBetween = (a: Where, b: Where): number => Math.max(gapAfter(a, b), gapAfter(b, a));

type Where = Pick<Chosen, 'visit' | 'place'>;

/** Whether one runs, or calls one who stays, while the other is shot. */
const clash = (a: Visit, b: Visit): boolean =>
  Math.max(b.stayByMs - a.event.endMs, a.stayByMs - b.event.endMs) < 0;

/**
 * The reason nearest to hand: ruled out, nowhere to stand, overlaps what is shot, no time to walk;
 * when none of these holds, what it would add is worth nothing.
 */
export function missedReason(
  event: DayEvent,
  visits: readonly Visit[],
  chosen: readonly Chosen[],
  walkMs: readonly Float64Array[],
): MissedReason {
  if (event.forbidden) return { kind: 'forbidden' };
  const visit = visits.find((entry) => entry.event.id === event.id);
  if (!visit || visit.places.length === 0) return { kind: 'noPosition' };
  const overlapping = chosen
    .filter((entry) => clash(visit, entry.visit))
    .sort((a, b) => b.value - a.value)[0];
  if (overlapping) return { kind: 'overlap', withEvent: overlapping.visit.event.id };
  // Of the place that comes nearest to fitting, the neighbour it fails on.
  const worstOf = (place: number) =>
    chosen
      .map((entry) => ({
        otherEvent: entry.visit.event.id,
        needMs: (walkMs[entry.place] as Float64Array)[place] as number,
        haveMs: gapBetween({ visit, place }, entry),
      }))
      .sort((a, b) => b.needMs - b.haveMs - (a.needMs - a.haveMs))[0];
  const nearest = visit.places
    .map(({ place }) => worstOf(place))
    .filter((entry) => entry !== undefined)
    .sort((a, b) => a.needMs - a.haveMs - (b.needMs - b.haveMs))[0];
  return nearest && nearest.needMs > nearest.haveMs
    ? { kind: 'walk', ...nearest }
    : { kind: 'worthNothing' };
}
