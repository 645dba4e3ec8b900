import { MOST_EVENTS, MOST_LATE_MIN, type DayEventRecord } from './day';
import type { Shoot } from './shoot';

/** Changes of the order of a day. Events stand in the order of their starts. */

const MINUTE_MS = 60_000;
const asMs = (localMinute: string): number => Date.parse(`${localMinute}Z`);

/** Wall-clock minute some minutes on. */
export const minutesOn = (localMinute: string, minutes: number): string =>
  new Date(asMs(localMinute) + Math.round(minutes) * MINUTE_MS).toISOString().slice(0, 16);

/** Minutes by the wall clock from one minute to another. */
export const minutesBetween = (from: string, to: string): number =>
  (asMs(to) - asMs(from)) / MINUTE_MS;

/** When an event starts as things stand: by the programme, and as late as it runs. */
export const startOf = ({ startLocal, lateMin = 0 }: DayEventRecord): string =>
  minutesOn(startLocal, lateMin);

/** Events in the order of their starts; those that start together as they stood. */
export const inOrder = (events: readonly DayEventRecord[]): DayEventRecord[] =>
  events
    .map((event) => ({ event, start: startOf(event) }))
    .sort((a, b) => (a.start < b.start ? -1 : a.start > b.start ? 1 : 0))
    .map(({ event }) => event);

/** The shoot with events put in, each in place of the one of its id. More than fit are refused. */
export function withEvents(shoot: Shoot, added: readonly DayEventRecord[]): Shoot {
  const fresh = new Map(added.map((event) => [event.id, event]));
  const kept = shoot.events.map((event) => fresh.get(event.id) ?? event);
  const known = new Set(shoot.events.map(({ id }) => id));
  const events = [...kept, ...added.filter(({ id }) => !known.has(id))];
  return events.length > MOST_EVENTS ? shoot : { ...shoot, events: inOrder(events) };
}

/** What is set for many events at once; nothing takes away what was there. */
export type ManySet = Partial<
  Pick<DayEventRecord, 'worth' | 'shotId' | 'markId' | 'pinnedTo' | 'leftOut' | 'cancelled'>
>;

export const withMany = (shoot: Shoot, ids: ReadonlySet<string>, set: ManySet): Shoot => ({
  ...shoot,
  events: shoot.events.map((event) =>
    ids.has(event.id)
      ? (Object.fromEntries(
          Object.entries({ ...event, ...set }).filter(([, value]) => value !== undefined),
        ) as DayEventRecord)
      : event,
  ),
});

export const withoutEvent = (shoot: Shoot, id: string): Shoot => ({
  ...shoot,
  events: shoot.events.filter((event) => event.id !== id),
});

/** The event as late as fits, in whole minutes; on time is not written. */
function late({ lateMin: _before, ...event }: DayEventRecord, minutes: number): DayEventRecord {
  const held = Math.min(MOST_LATE_MIN, Math.max(-MOST_LATE_MIN, Math.round(minutes)));
  return held === 0 ? event : { ...event, lateMin: held };
}

/** A race of many laps is dropped into as well, but keeps the time of the track. No source. */
const GOES_ON_FROM_MIN = 45;

/** What runs late together: heats at their times, or what goes on beside them. */
export type Strand = 'timed' | 'goesOn';
export const strandOf = ({
  window,
  durationMin,
}: Pick<DayEventRecord, 'window' | 'durationMin'>): Strand =>
  window && durationMin >= GOES_ON_FROM_MIN ? 'goesOn' : 'timed';

/** Everything of a strand that starts at a minute or after it, so many minutes later (or earlier). */
export const restShifted = (
  shoot: Shoot,
  fromLocal: string,
  minutes: number,
  strand: Strand = 'timed',
): Shoot => ({
  ...shoot,
  events: inOrder(
    shoot.events.map((event) =>
      startOf(event) >= fromLocal && strandOf(event) === strand
        ? late(event, (event.lateMin ?? 0) + minutes)
        : event,
    ),
  ),
});

/** An event starts at a minute, and whatever follows it in its strand keeps its distance. */
export function startsAt(shoot: Shoot, id: string, atLocal: string): Shoot {
  const event = shoot.events.find((entry) => entry.id === id);
  if (!event) return shoot;
  const from = startOf(event);
  return restShifted(shoot, from, minutesBetween(from, atLocal), strandOf(event));
}

/** The next event at a minute or after it. */
export const nextFrom = (
  events: readonly DayEventRecord[],
  atLocal: string,
): DayEventRecord | undefined => events.find((event) => startOf(event) >= atLocal);

/**
 * An event taken to another place in the order. The starting times stay where they are, as heats
 * keep their slots; the events between move up or down by one. What goes on has no slot: it stays as it is.
 */
export function reordered(
  events: readonly DayEventRecord[],
  from: number,
  to: number,
): DayEventRecord[] {
  const moved = events[from];
  if (!moved || moved.window || to < 0 || to >= events.length) return [...events];
  const timed = events.filter(({ window }) => !window);
  if (timed.length === events.length) return inSlots(events, from, to);
  const passed = events.filter((event) => event !== moved).slice(0, to);
  const slot = passed.filter(({ window }) => !window).length;
  return inOrder([
    ...inSlots(timed, timed.indexOf(moved), slot),
    ...events.filter(({ window }) => window),
  ]);
}

function inSlots(events: readonly DayEventRecord[], from: number, to: number): DayEventRecord[] {
  const order = [...events];
  order.splice(to, 0, ...order.splice(from, 1));
  return order.map((event, i) => {
    const slot = events[i];
    if (!slot || slot.id === event.id) return event;
    return late({ ...event, startLocal: slot.startLocal }, slot.lateMin ?? 0);
  });
}

/** The shoot with its events, watches and shooters on marks, shots, people and positions that there are. */
export function withValidEvents(shoot: Shoot): Shoot {
  const { events, watches, marks, shooters } = shoot;
  if (events.length + watches.length + shooters.length === 0) return shoot;
  const ids = (entries: readonly { readonly id: string }[]) => new Set(entries.map(({ id }) => id));
  const there = {
    markId: ids(marks),
    shotId: ids(shoot.shots),
    pinnedTo: ids(shoot.positions),
  };
  const people = ids(shoot.people);
  const valid = (event: DayEventRecord): DayEventRecord => {
    const lost = (['markId', 'shotId', 'pinnedTo'] as const).filter((key) => {
      const meant = event[key];
      return meant !== undefined && !there[key].has(meant);
    });
    const strangers = event.entries.some(({ personId }) => personId && !people.has(personId));
    if (lost.length === 0 && !strangers) return event;
    const kept = Object.fromEntries(
      Object.entries(event).filter(([key]) => !(lost as readonly string[]).includes(key)),
    ) as DayEventRecord;
    return {
      ...kept,
      entries: event.entries.map(({ personId, ...entry }) =>
        personId && people.has(personId) ? { ...entry, personId } : entry,
      ),
    };
  };
  const first = marks[0]?.id ?? '';
  return {
    ...shoot,
    events: events.map(valid),
    shooters: shooters.map(({ atPositionId, ...shooter }) =>
      atPositionId && there.pinnedTo.has(atPositionId) ? { ...shooter, atPositionId } : shooter,
    ),
    watches: watches.map((watch) =>
      there.markId.has(watch.markId) ? watch : { ...watch, markId: first },
    ),
  };
}
