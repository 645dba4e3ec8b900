import { rollup } from 'd3-array';
import { above, atLeast, finite, nonEmpty, within } from '../check';
import { missedReason, type MissedReason } from './day-missed';
import { planRoute } from './day-solver';
import { gapAfter, type Chosen, type Visit } from './day-visits';
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
  /** From when until when it is shot: of a window, the visit. */
  readonly fromMs: number;
  readonly untilMs: number;
  /** In place by the second call; when one comes, to a window. */
  readonly readyByMs: number;
  readonly walkM: number;
  readonly walkMs: number;
  /** Time in hand before the call (before the start, for one who stays); Infinity for the first. */
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
   * By how much a better day could be, at the most, where so much could be had in so many ways that not all were tried:
   * so many promises more, and beside those so much more value. Absent where there is none better.
   */
  readonly atMostMore?: { readonly promises: number; readonly value: number };
  /** What the planner learned of this day: it plans nearly the same day faster with it. */
  readonly prices: Readonly<Record<string, number>>;
}

function checkDay(
  events: readonly DayEvent[],
  positions: readonly DayPosition[],
  quotas: readonly Quota[],
): void {
  nonEmpty('positions', positions);
  const known = new Set(positions.map(({ id }) => id));
  positions.forEach(({ id, x, y }) => {
    finite(`positions.${id}.x`, x);
    finite(`positions.${id}.y`, y);
  });
  if (known.size < positions.length) {
    throw new RangeError(`positions of length ${positions.length}: must have ids of their own`);
  }
  const ids = new Set<string>();
  for (const { id, startMs, endMs, value, from, window, group } of events) {
    if (ids.has(id)) throw new RangeError(`event ${id}: must not stand twice`);
    ids.add(id);
    finite(`event ${id} startMs`, startMs);
    above(`event ${id} endMs`, endMs, startMs);
    atLeast(`event ${id} value`, value, 0);
    if (window) {
      above(`event ${id} window.visitMs`, window.visitMs, 0);
      within(`event ${id} window.againShare`, window.againShare, 0, 1);
      if (![1, 2, 3].includes(window.most)) {
        throw new RangeError(`event ${id} window.most ${window.most}: must be 1, 2 or 3`);
      }
      if (group !== undefined) {
        throw new RangeError(`event ${id} group ${group}: must be absent for a window`);
      }
    }
    for (const { positionId, quality } of from) {
      within(`event ${id} quality`, quality, 0, 1);
      if (!known.has(positionId)) {
        throw new RangeError(`event ${id} position ${positionId}: must be one of the positions`);
      }
    }
  }
  quotas.forEach(({ group, need, beyondShare }) => {
    atLeast(`quota ${group} need`, need, 0);
    within(`quota ${group} beyondShare`, beyondShare, 0, 1);
    if (!Number.isInteger(need)) throw new RangeError(`quota ${group} need ${need}: must be whole`);
  });
}

function checkDebts(debts: readonly Debt[], events: readonly DayEvent[]): void {
  const known = new Set(events.map(({ id }) => id));
  for (const debt of debts) {
    const stranger = debt.events.find((id) => !known.has(id));
    if (stranger !== undefined) {
      throw new RangeError(`debt ${debt.id} event ${stranger}: must be one of the events`);
    }
  }
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
): Route {
  above('walkSpeedMs', walkSpeedMs, 0);
  atLeast('leadTimes.secondCallMs', leadTimes.secondCallMs, 0);
  checkDay(events, positions, quotas);
  checkDebts(debts, events);
  const leadOf = (id: string) => leadTimes.byEvent?.[id] ?? leadTimes.secondCallMs;
  const placeOf = new Map(positions.map(({ id }, place) => [id, place]));
  const visits: readonly Visit[] = events
    .filter(({ forbidden }) => !forbidden)
    .map((event) => ({
      event,
      readyByMs: event.startMs - atLeast(`lead of ${event.id}`, leadOf(event.id), 0),
      stayByMs: event.startMs - (leadTimes.stayingIsReady ? 0 : leadOf(event.id)),
      places: event.from
        .filter(({ positionId }) => !event.pinnedTo || positionId === event.pinnedTo)
        .map(({ positionId, quality }) => ({
          place: placeOf.get(positionId) as number,
          quality,
        })),
    }));
  const walkMs = positions.map((a) =>
    Float64Array.from(
      positions.map((b) => (Math.hypot(a.x - b.x, a.y - b.y) / walkSpeedMs) * 1000),
    ),
  );
  const { chosen, atMostMore, prices } = planRoute(
    visits,
    walkMs,
    quotas,
    debts,
    before && {
      prices: before.prices,
      stays: before.stops.flatMap(({ eventId, positionId, fromMs }) => {
        const place = placeOf.get(positionId);
        return place === undefined ? [] : [{ eventId, place, fromMs }];
      }),
    },
  );
  const stops = chosen.map((stay, i): Stop => {
    const { visit, place, value, fromMs, untilMs } = stay;
    const before = chosen[i - 1];
    const walk = before ? ((walkMs[before.place] as Float64Array)[place] as number) : 0;
    return {
      eventId: visit.event.id,
      positionId: (positions[place] as DayPosition).id,
      fromMs,
      untilMs,
      readyByMs: visit.event.window ? fromMs : visit.readyByMs,
      walkMs: walk,
      walkM: (walk / 1000) * walkSpeedMs,
      slackMs: before ? gapAfter(before, stay) - walk : Infinity,
      value,
    };
  });
  const taken = new Set(stops.map(({ eventId }) => eventId));
  const most = 1 + stops.reduce((sum, stop) => sum + stop.value, 0);
  const promises = events.filter(({ mustHave }) => mustHave).map(({ id }) => [id]);
  /** By event of which there is one stay: how many promises nothing else keeps. */
  const alone = rollup(
    [...promises, ...debts.map((debt) => debt.events)].flatMap((ids) => {
      const [only, ...more] = stops.filter(({ eventId }) => ids.includes(eventId));
      return only && more.length === 0 ? [only.eventId] : [];
    }),
    (same) => same.length,
    (id) => id,
  );
  const costOf = ({ visit, value }: Chosen): number =>
    value + (alone.get(visit.event.id) ?? 0) * most;
  const missed = events
    .filter(({ id }) => !taken.has(id))
    .map((event) => ({
      eventId: event.id,
      reason: missedReason(event, {
        ...{ visits, chosen, walkMs, costOf },
        nameOf: (place) => (positions[place] as DayPosition).id,
      }),
    }));
  return {
    stops,
    value: stops.reduce((sum, stop) => sum + stop.value, 0),
    missed,
    mustHavesMissed: events
      .filter(({ id, mustHave }) => mustHave && !taken.has(id))
      .map(({ id }) => id),
    debtsMissed: debts
      .filter((debt) => !debt.events.some((id) => taken.has(id)))
      .map(({ id }) => id),
    ...(atMostMore && { atMostMore }),
    prices,
  };
}
