import { checkDay } from './day-checks';
import type { MissedReason } from './day-missed';
import type { AtMostMore } from './day-more';
import { routeOf, staysOf, visitsOf, walksOf } from './day-route';
import { planRoute } from './day-solver';
import type { Point2 } from '../site/vector';

/** What goes on for a while and may be dropped into: a long jump, a warm-up. */
export interface EventWindow {
  /** How long one stays at a time. */
  readonly visitMs: number;
  /** How often one may come, 1 to 3. */
  readonly most: number;
  /** What each visit is worth against the one before, 0 to 1. */
  readonly againShare: number;
}

/** Something to be photographed: a heat at its fixed time, or a window to be dropped into. */
export interface DayEvent {
  readonly id: string;
  readonly startMs: number;
  readonly endMs: number;
  /** What it is worth to have it. */
  readonly value: number;
  /** Positions it can be shot from, and how well, 0 to 1. */
  readonly from: readonly { readonly positionId: string; readonly quality: number }[];
  /** Promised: comes before any sum of values. */
  readonly mustHave?: boolean;
  /** It goes on from start to end, and one comes when it suits; at a fixed time when absent. */
  readonly window?: EventWindow;
  /** Kind of picture this gives, for quotas; a window has none. */
  readonly group?: string;
  /** Shoot it from here and nowhere else. */
  readonly pinnedTo?: string;
  /** Leave it out. */
  readonly forbidden?: boolean;
}

export interface DayPosition extends Point2 {
  readonly id: string;
}

/** Common lead before the start, for an event without its own. */
export interface LeadTimes {
  /** The second call before the start: one is in place by then. */
  readonly secondCallMs: number;
  /** By event, where its second call is earlier or later. */
  readonly byEvent?: Readonly<Record<string, number>>;
  /**
   * Whether one who has not moved is ready until the start itself: heats that follow each other are
   * then shot from one place. Off unless asked: in place by the second call, wherever one was.
   */
  readonly stayingIsReady?: boolean;
}

/** After `need` events of a group, one more is worth only `beyondShare` of its value. */
export interface Quota {
  readonly group: string;
  readonly need: number;
  readonly beyondShare: number;
}

/** A picture owed of someone. Whichever of these events is shot meets it; that comes before any sum of values. */
export interface Debt {
  readonly id: string;
  readonly events: readonly string[];
}

export interface Stop {
  readonly eventId: string;
  readonly positionId: string;
  /** Who of several shoots it. */
  readonly shooterId?: string;
  /** From when until when it is shot: of a window, the visit, and as long as nothing else asks for one. */
  readonly fromMs: number;
  readonly untilMs: number;
  /** In place by the second call; when one comes, to a window. */
  readonly readyByMs: number;
  readonly walkM: number;
  readonly walkMs: number;
  /** Time in hand before the call (before the start, for one who stays), were no visit longer than asked; Infinity for the first. */
  readonly slackMs: number;
  /** What it brings here, quality and quota counted. */
  readonly value: number;
}

export interface Route {
  readonly stops: readonly Stop[];
  readonly value: number;
  readonly missed: readonly { readonly eventId: string; readonly reason: MissedReason }[];
  /** Promised events that can't be had with the others promised. */
  readonly mustHavesMissed: readonly string[];
  /** Debts that no stop meets. */
  readonly debtsMissed: readonly string[];
  /**
   * By how much a better day could be, at the most, where so much could be had in so many ways that not all were tried.
   * Absent where there is none better.
   */
  readonly atMostMore?: AtMostMore;
  /** What the planner learned of this day: it plans nearly the same day faster with it. */
  readonly prices: Readonly<Record<string, number>>;
}

/**
 * The route of most value through a day: which events from which positions, walking between them
 * and in place by the second call; windows visited on whole minutes, up to so often. Dynamic programming over
 * events and positions (and over how far each quota is filled, how often each open window was visited, and which debts
 * are met). Promises come before any sum of values: most of debts and promised events together, then most value.
 * Exact among such routes unless `atMostMore` says how much better one might be.
 * @param walkSpeedMs metres a second, straight between positions
 * @param debts who is owed; one that nothing meets is named in `debtsMissed`
 * @param before a route of nearly the same day, as before a pin or a late start: planned faster, and no worse
 * @param quickly takes the first look for the best: a day that can be walked, with how much better one might be
 * @returns stops in order, the value, and what is missed with the reason
 * @throws RangeError for events, positions, quotas or debts that make no sense
 */
export function planDay(
  events: readonly DayEvent[],
  positions: readonly DayPosition[],
  walkSpeedMs: number,
  leadTimes: LeadTimes,
  quotas: readonly Quota[] = [],
  debts: readonly Debt[] = [],
  before?: Pick<Route, 'stops' | 'prices'>,
  quickly = false,
): Route {
  const asked = { events, positions, walkSpeedMs, leadTimes, quotas, debts };
  checkDay(asked);
  const visits = visitsOf(asked);
  const walkMs = walksOf(asked);
  const { chosen, atMostMore, prices } = planRoute(
    visits,
    walkMs,
    quotas,
    debts,
    before && { prices: before.prices, stays: staysOf(before, positions) },
    quickly,
  );
  return {
    ...routeOf(asked, walkMs, [{ visits, chosen }]),
    ...(atMostMore && { atMostMore }),
    prices,
  };
}
