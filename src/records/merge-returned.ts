import type { DayEventRecord, Watch } from './day';
import { withValidEvents } from './edit-events';
import { frameKey, framesOf, inOrder, withFrames } from './edit-log';
import type { LogEntry } from './log';
import type { Shoot } from './shoot';

/**
 * A shoot that comes back from another phone: what happened there joins what happened here, by the ids of what was logged;
 * the plan stays the one that is here.
 */

/** Parts of a plan that may differ. */
const PLAN_PARTS = [
  ...(['brief', 'shots', 'ground', 'features', 'marks', 'positions', 'subjects'] as const),
  ...(['light', 'kit', 'shooters', 'day', 'nature', 'air'] as const),
] as const;
export type PlanPart = (typeof PLAN_PARTS)[number] | 'hours' | 'events' | 'people';

/** What a shoot that came back has that is not here. */
export interface Returned {
  readonly entries: readonly LogEntry[];
  readonly readings: Shoot['readings'];
  /** Pictures whose figures are not here. */
  readonly frames: number;
  readonly watches: readonly Watch[];
  /** Events that were said to run late, or to be off, there. */
  readonly late: readonly DayEventRecord[];
  readonly off: readonly DayEventRecord[];
  /** Who was scratched there. */
  readonly scratched: Shoot['people'];
  /** People that what was logged there names. */
  readonly people: Shoot['people'];
  /** Parts of the plan that are others there: they stay as they are here. */
  readonly plan: readonly PlanPart[];
}

const byId = <T extends { readonly id: string }>(list: readonly T[]): ReadonlyMap<string, T> =>
  new Map(list.map((entry) => [entry.id, entry]));
const newIn = <T extends { readonly id: string }>(here: readonly T[], back: readonly T[]): T[] => {
  const known = byId(here);
  return back.filter(({ id }) => !known.has(id));
};
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What of an event is its plan, not what happened to it. */
const plannedOf = ({ lateMin: _late, cancelled: _off, ...event }: DayEventRecord) => event;
const peoplePlanned = (people: Shoot['people']) =>
  people.map(({ scratched: _out, ...person }) => person);

/** How a shoot that came back differs from the one that is here. */
export function returnedOf(here: Shoot, back: Shoot): Returned {
  const entries = newIn(here.log.entries, back.log.entries);
  const known = new Set(framesOf(here).map(frameKey));
  const events = byId(here.events);
  const watches = byId(here.watches);
  const people = byId(here.people);
  const named = new Set(
    entries.flatMap((entry) =>
      entry.kind === 'keeper'
        ? (entry.personIds ?? [])
        : entry.kind === 'athlete' && entry.personId
          ? [entry.personId]
          : [],
    ),
  );
  const newer = back.updatedAt > here.updatedAt;
  const differs: readonly (PlanPart | false)[] = [
    !same([here.startLocal, here.endLocal], [back.startLocal, back.endLocal]) && 'hours',
    ...PLAN_PARTS.map((part) => !same(here[part], back[part]) && part),
    !same(here.events.map(plannedOf), back.events.map(plannedOf)) && 'events',
    !same(peoplePlanned(here.people), peoplePlanned(back.people)) && 'people',
  ];
  return {
    entries,
    readings: newIn(here.readings, back.readings),
    frames: framesOf(back).filter((frame) => !known.has(frameKey(frame))).length,
    watches: back.watches.filter((watch) => !same(watch, watches.get(watch.id))),
    late: back.events.filter(({ id, lateMin = 0 }) => {
      const event = events.get(id);
      return newer && event !== undefined && (event.lateMin ?? 0) !== lateMin;
    }),
    off: back.events.filter(({ id, cancelled }) => {
      const event = events.get(id);
      return cancelled && event !== undefined && !event.cancelled;
    }),
    scratched: back.people.filter(({ id, scratched }) => {
      const person = people.get(id);
      return scratched && person !== undefined && !person.scratched;
    }),
    people: back.people.filter(({ id }) => named.has(id) && !people.has(id)),
    plan: differs.filter((part) => part !== false),
  };
}

/** Whether anything happened there that is not here. */
export const isNews = (returned: Returned): boolean =>
  returned.frames > 0 ||
  (['entries', 'readings', 'watches', 'late', 'off', 'scratched'] as const).some(
    (what) => returned[what].length > 0,
  );

/** Hours watched on both phones: all visits, as long as either watched. */
function joined(here: Watch, back: Watch): Watch {
  const { open: _going, ...watch } = here;
  return {
    ...watch,
    fromLocal: here.fromLocal < back.fromLocal ? here.fromLocal : back.fromLocal,
    toLocal: here.toLocal > back.toLocal ? here.toLocal : back.toLocal,
    visitsLocal: [...new Set([...here.visitsLocal, ...back.visitsLocal])].sort(),
    ...(here.open && back.open && { open: true as const }),
  };
}

/**
 * The shoot that is here with what happened on the other phone. Nothing that is here goes away; what is more than a shoot
 * holds is refused when it is kept.
 */
export function withReturned(here: Shoot, back: Shoot): Shoot {
  const news = returnedOf(here, back);
  const late = byId(news.late);
  const off = byId(news.off);
  const out = byId(news.scratched);
  const watches = byId(news.watches);
  const known = byId(here.watches);
  const merged: Shoot = {
    ...here,
    people: [
      ...here.people.map((person) =>
        out.has(person.id) ? { ...person, scratched: true as const } : person,
      ),
      ...news.people,
    ],
    readings: [...here.readings, ...news.readings],
    watches: [
      ...here.watches.map((watch) => {
        const theirs = watches.get(watch.id);
        return theirs ? joined(watch, theirs) : watch;
      }),
      ...news.watches.filter(({ id }) => !known.has(id)),
    ],
    events: here.events.map((event): DayEventRecord => {
      const { lateMin: _late, ...rest } = event;
      const theirs = late.get(event.id);
      const lateMin = theirs ? theirs.lateMin : event.lateMin;
      return {
        ...rest,
        ...(lateMin !== undefined && { lateMin }),
        ...(off.has(event.id) && { cancelled: true as const }),
      };
    }),
    log: {
      ...here.log,
      entries: [...inOrder([...here.log.entries, ...news.entries])],
      clocks: [
        ...here.log.clocks,
        ...back.log.clocks.filter(({ name }) => !here.log.clocks.some((one) => one.name === name)),
      ],
    },
  };
  const keptHere = new Map(framesOf(here).map((frame) => [frameKey(frame), frame]));
  const fresh = framesOf(back).filter((frame) => !keptHere.has(frameKey(frame)));
  return withValidEvents(fresh.length > 0 ? withFrames(merged, fresh) : merged);
}
