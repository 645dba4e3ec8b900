import { rollup } from 'd3-array';
import type { DayEvent, DayPosition, Route, Stop } from './day';
import type { DayAsked } from './day-checks';
import { missedReason, type Miss } from './day-missed';
import { gapAfter, type Chosen, type Stand, type Visit } from './day-visits';

/** From what is asked to what a planner takes, and back to what is told. */

/** How long each walk between two positions takes, by their places in the list. */
export const walksOf = ({
  positions,
  walkSpeedMs,
}: Pick<DayAsked, 'positions' | 'walkSpeedMs'>): readonly Float64Array[] =>
  positions.map((a) =>
    Float64Array.from(
      positions.map((b) => (Math.hypot(a.x - b.x, a.y - b.y) / walkSpeedMs) * 1000),
    ),
  );

/** The events that may be taken. @param standOf more about a place, or nothing where it is none for this shooter */
export function visitsOf(
  { events, positions, leadTimes }: Pick<DayAsked, 'events' | 'positions' | 'leadTimes'>,
  standOf: (event: DayEvent, stand: Stand) => Stand | undefined = (_event, stand) => stand,
): readonly Visit[] {
  const leadOf = (id: string) => leadTimes.byEvent?.[id] ?? leadTimes.secondCallMs;
  const placeOf = new Map(positions.map(({ id }, place) => [id, place]));
  return events
    .filter(({ forbidden }) => !forbidden)
    .map((event) => ({
      event,
      readyByMs: event.startMs - leadOf(event.id),
      stayByMs: event.startMs - (leadTimes.stayingIsReady ? 0 : leadOf(event.id)),
      places: event.from
        .filter(({ positionId }) => !event.pinnedTo || positionId === event.pinnedTo)
        .flatMap(({ positionId, quality }): readonly Stand[] => {
          const stand = standOf(event, { place: placeOf.get(positionId) as number, quality });
          return stand ? [stand] : [];
        }),
    }));
}

/** The stays of a route of before, as far as their positions are there. */
export const staysOf = (
  { stops }: Pick<Route, 'stops'>,
  positions: readonly DayPosition[],
): readonly {
  readonly eventId: string;
  readonly place: number;
  readonly fromMs: number;
  readonly shooterId?: string;
}[] =>
  stops.flatMap(({ eventId, positionId, fromMs, shooterId }) => {
    const place = positions.findIndex(({ id }) => id === positionId);
    return place < 0 ? [] : [{ eventId, place, fromMs, ...(shooterId && { shooterId }) }];
  });

/** One shooter's way through the day. */
export interface Way {
  readonly shooterId?: string;
  /** All that they may take. */
  readonly visits: readonly Visit[];
  readonly chosen: readonly Chosen[];
}

/** Until when one may stay: a window is not left before it ends, or before the next thing asks for it. */
function stayUntil(
  stay: Chosen,
  next: Chosen | undefined,
  walkMs: readonly Float64Array[],
): number {
  const { event } = stay.visit;
  if (!event.window) return stay.untilMs;
  if (!next) return event.endMs;
  const inHandMs =
    gapAfter(stay, next) - ((walkMs[stay.place] as Float64Array)[next.place] as number);
  return Math.min(event.endMs, stay.untilMs + Math.max(0, inHandMs));
}

/** Where one is when, with the walks between. */
const stopsOf = (
  { shooterId, chosen }: Way,
  { positions, walkSpeedMs }: DayAsked,
  walkMs: readonly Float64Array[],
): readonly Stop[] =>
  chosen.map((stay, i): Stop => {
    const { visit, place, value, fromMs } = stay;
    const before = chosen[i - 1];
    const walk = before ? ((walkMs[before.place] as Float64Array)[place] as number) : 0;
    return {
      eventId: visit.event.id,
      positionId: (positions[place] as DayPosition).id,
      ...(shooterId !== undefined && { shooterId }),
      fromMs,
      untilMs: stayUntil(stay, chosen[i + 1], walkMs),
      readyByMs: visit.event.window ? fromMs : visit.readyByMs,
      walkMs: walk,
      walkM: (walk / 1000) * walkSpeedMs,
      slackMs: before ? gapAfter(before, stay) - walk : Infinity,
      value,
    };
  });

/** The day as it is told: stops in order, what they bring, and what is missed with the reason that is cheapest to mend. */
export function routeOf(
  asked: DayAsked,
  walkMs: readonly Float64Array[],
  ways: readonly Way[],
): Omit<Route, 'atMostMore' | 'prices'> {
  const { events, positions, debts } = asked;
  const stops = ways
    .flatMap((way) => stopsOf(way, asked, walkMs))
    .sort((a, b) => a.fromMs - b.fromMs);
  const taken = new Set(stops.map(({ eventId }) => eventId));
  const value = stops.reduce((sum, stop) => sum + stop.value, 0);
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
  const costOf = ({ visit, value: brings }: Chosen): number =>
    brings + (alone.get(visit.event.id) ?? 0) * (1 + value);
  const nameOf = (place: number) => (positions[place] as DayPosition).id;
  const missings = ways.map(({ shooterId, visits, chosen }) => ({
    ...{ visits, chosen, walkMs, nameOf, costs: chosen.map(costOf) },
    ...(shooterId !== undefined && { shooterId }),
  }));
  const missOf = (event: DayEvent): Miss =>
    missings
      .map((missing) => missedReason(event, missing))
      .reduce((best, miss) => (miss.cost < best.cost ? miss : best));
  return {
    stops,
    value,
    missed: events
      .filter(({ id }) => !taken.has(id))
      .map((event) => ({ eventId: event.id, reason: missOf(event).reason })),
    mustHavesMissed: events
      .filter(({ id, mustHave }) => mustHave && !taken.has(id))
      .map(({ id }) => id),
    debtsMissed: debts
      .filter((debt) => !debt.events.some((id) => taken.has(id)))
      .map(({ id }) => id),
  };
}
