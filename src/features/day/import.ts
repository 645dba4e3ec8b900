import { group, max, min } from 'd3-array';
import type { CalendarEvent, EventNote } from '@/formats/order-ics';
import { sameEventKey } from '@/formats/order-csv';
import type { DayEventRecord } from '@/records/day';
import { heatName } from '@/formats/written-names';
import { marksNamed, windowNamed, worthNamed } from '@/presets/event-strands';
import { minutesOn, withEvents } from '@/records/edit-events';
import { endsAfterStart } from '@/records/times';
import { nameKey, personFinder } from '@/records/names';
import type { Shoot } from '@/records/shoot';
import { stayLines, whoInWords, type DayLine } from '@/features/shoot/day-lines';
import { eventTitle } from '@/records/day-said';
import { lensInWords, type LightCell } from './light-column';

/** Bringing a running order into a shoot, and what goes out with one. */

/** What a file would do to a running order, before any of it is done. */
export interface Merge {
  readonly fresh: readonly CalendarEvent[];
  /** Events that are there, each with what the file has of it. */
  readonly there: readonly { readonly event: DayEventRecord; readonly file: CalendarEvent }[];
  /** Events of the order that the file does not have. */
  readonly absent: readonly DayEventRecord[];
}

/** The date of the first and the last event that belong to a shoot. */
export const daysOf = ({
  startLocal,
  endLocal,
}: Pick<Shoot, 'startLocal' | 'endLocal'>): readonly [string, string] => [
  startLocal.slice(0, 10),
  endLocal.slice(0, 10),
];

/** Names of a running order found among the people of the brief. */
function known(entries: DayEventRecord['entries'], find: ReturnType<typeof personFinder>) {
  return entries.map((entry) => {
    const person = find(entry);
    return person ? { ...entry, personId: person.id, name: person.name } : entry;
  });
}

/** What a new event is worth: as its file says, else by its name. */
const usualWorth = (
  event: Pick<DayEventRecord, 'name' | 'heat' | 'worth'>,
): DayEventRecord['worth'] =>
  event.worth === 'should' ? worthNamed(eventTitle(event)) : event.worth;

/** What of a file counts less, as far as names tell. */
export function lessInWords(
  events: readonly Pick<DayEventRecord, 'name' | 'heat' | 'worth'>[],
): string {
  const less = events.filter((event) => event.worth === 'should' && usualWorth(event) === 'could');
  if (less.length === 0) return '';
  return `Taken to be worth less, as rounds before the one that counts: ${named(less)}. Change that in the event.`;
}

/** "Long jump; High jump; Discus and 1 more". */
function named(events: readonly Pick<DayEventRecord, 'name'>[]): string {
  const names = [...new Set(events.map(({ name }) => name))];
  const more = names.length > 3 ? ` and ${names.length - 3} more` : '';
  return `${names.slice(0, 3).join('; ')}${more}`;
}

/** How an event that is brought in is dropped into: as its file says, else by its name; nothing where it is too short for that. */
export function usualWindow({
  name,
  durationMin,
  window: own,
}: Pick<DayEventRecord, 'name' | 'durationMin' | 'window'>): DayEventRecord['window'] {
  if (own) return own;
  const { window } = windowNamed(name) ?? {};
  return window && durationMin > window.visitMin ? { ...window } : undefined;
}

/** What of a file goes on and is dropped into, as far as names tell. */
export function goesOnInWords(
  events: readonly Pick<DayEventRecord, 'name' | 'durationMin' | 'window'>[],
): string {
  const goOn = events.filter(usualWindow);
  if (goOn.length === 0) return '';
  return `Taken to go on, and dropped into: ${named(goOn)}. Change that in the event.`;
}

const namedKey = ({ name, heat = '' }: CalendarEvent | DayEventRecord): string =>
  `${name.trim().toLowerCase()}|${heatName(heat).toLowerCase()}`;

/** By a key, whatever alone has it. */
const alone = <T>(entries: readonly T[], keyOf: (entry: T) => string): ReadonlyMap<string, T> =>
  new Map(
    [...group(entries, keyOf)].flatMap(([key, [only, ...more]]) =>
      only && more.length === 0 ? [[key, only] as const] : [],
    ),
  );

/**
 * What of a file is there already: by its id, by name, heat and time, or moved, where name and heat are one event's alone.
 */
export function compared({ events }: Pick<Shoot, 'events'>, file: readonly CalendarEvent[]): Merge {
  const byId = new Map(events.map((event) => [event.id, event]));
  const byKey = new Map(events.map((event) => [sameEventKey(event), event]));
  const byName = alone(events, namedKey);
  const once = alone(file, namedKey);
  const fresh: CalendarEvent[] = [];
  const there: { event: DayEventRecord; file: CalendarEvent }[] = [];
  for (const entry of file) {
    const event =
      (entry.id === undefined ? undefined : byId.get(entry.id)) ??
      byKey.get(sameEventKey(entry)) ??
      (once.has(namedKey(entry)) ? byName.get(namedKey(entry)) : undefined);
    if (event) there.push({ event, file: entry });
    else fresh.push(entry);
  }
  const found = new Set(there.map(({ event }) => event.id));
  return { fresh, there, absent: events.filter(({ id }) => !found.has(id)) };
}

/** What a file changes of an event that is there; nothing where it says the same. */
export function changeInWords({ event, file }: Merge['there'][number]): string {
  const was = event.startLocal.slice(11);
  const now = file.startLocal.slice(11);
  const who = (entries: DayEventRecord['entries']) =>
    entries
      .map(({ name, lane }) => `${nameKey(name)} ${lane ?? ''}`)
      .sort()
      .join('|');
  return [
    was === now ? '' : `${now} instead of ${was}`,
    event.durationMin === file.durationMin
      ? ''
      : `takes ${file.durationMin} min instead of ${event.durationMin}`,
    file.entries.length === 0 || who(event.entries) === who(file.entries)
      ? ''
      : event.entries.length === file.entries.length
        ? 'other names or lanes'
        : `${file.entries.length} in it instead of ${event.entries.length}`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** What an event gives by its name: the first promised shot at its mark, or else that mark. */
export function givenByName(
  name: string,
  { shots, marks }: Pick<Shoot, 'shots' | 'marks'>,
): Pick<DayEventRecord, 'shotId' | 'markId'> {
  const markId = marksNamed(name).find((id) => marks.some((mark) => mark.id === id));
  if (markId === undefined) return {};
  const shot = shots.find((entry) => entry.markId === markId);
  return shot ? { shotId: shot.id } : { markId };
}

/** What the new ones of a file give: all the same, or each by its name. */
export type Given = Pick<DayEventRecord, 'shotId' | 'markId'> | 'byName';

/**
 * The shoot with events of a file: one that is there already takes the file's times and people and
 * keeps what was said of it here; the others are new, with what they give. Nothing is done when
 * they are more than a day holds.
 * @param newId makes an id
 * @param drop takes away what the file does not have
 */
export function merged(
  shoot: Shoot,
  file: readonly CalendarEvent[],
  given: Given,
  newId: () => string,
  drop = false,
): Shoot {
  const find = personFinder(shoot.people);
  // Of whom pictures are owed is counted by itself; whoever is only to be found makes the event a promise.
  const sought = new Set(shoot.people.flatMap(({ id, owed }) => (owed ? [] : [id])));
  const { fresh, there, absent } = compared(shoot, file);
  const kept = there.map(({ event, file: { startLocal, durationMin, entries } }) => {
    const { lateMin: _late, ...rest } = event;
    const linked = known(entries, find);
    return { ...rest, startLocal, durationMin, ...(linked.length > 0 && { entries: linked }) };
  });
  const added = fresh.map(({ id: _none, ...event }): DayEventRecord => {
    const window = usualWindow(event);
    const entries = known(event.entries, find);
    const owed = entries.some(({ personId }) => personId && sought.has(personId));
    return {
      ...event,
      entries,
      worth: owed && event.worth === 'should' ? 'must' : usualWorth(event),
      ...(window && { window }),
      ...(given === 'byName' ? givenByName(event.name, shoot) : given),
      id: newId(),
    };
  });
  const gone = new Set(drop ? absent.map(({ id }) => id) : []);
  return withEvents(
    { ...shoot, ...hoursWith(shoot, file), events: shoot.events.filter(({ id }) => !gone.has(id)) },
    [...kept, ...added],
  );
}

/** The shoot's hours, grown so that all of an order lies in them. */
export function hoursWith(
  { startLocal, endLocal, place }: Pick<Shoot, 'startLocal' | 'endLocal' | 'place'>,
  file: readonly CalendarEvent[],
): Pick<Shoot, 'startLocal' | 'endLocal'> {
  const ends = file.map((event) => minutesOn(event.startLocal, Math.ceil(event.durationMin)));
  const grown = {
    startLocal: min([startLocal, ...file.map((event) => event.startLocal)]) as string,
    endLocal: max([endLocal, ...ends]) as string,
  };
  return endsAfterStart({ ...grown, place }) ? grown : { startLocal, endLocal };
}

/** What a calendar says beside an event: where to stand, who, when to leave, what to set. */
export function noteFor(
  shoot: Pick<Shoot, 'people' | 'positions'>,
  line: DayLine,
  cell: LightCell | undefined,
  clock: (ms: number) => string,
): EventNote {
  const where = shoot.positions.find(({ id }) => id === line.stop?.positionId)?.name;
  return {
    ...(where && { where }),
    // At the time to leave; for who is there already, at the call or when the visit begins.
    alarms: stayLines([line]).map((stay) => {
      const place = shoot.positions.find(({ id }) => id === stay.stop?.positionId)?.name ?? '';
      return stay.leaveMs === undefined
        ? { atMs: stay.secondMs, says: `${eventTitle(stay.event)}: stay at ${place}` }
        : { atMs: stay.leaveMs, says: `Leave for ${place}: ${eventTitle(stay.event)}` };
    }),
    lines: [
      ...whoInWords(line.event, shoot),
      line.why,
      lensInWords(cell),
      ...(line.leaveMs === undefined ? [] : [`Leave by ${clock(line.leaveMs)}.`]),
      ...(line.event.window ? [] : [`Second call ${clock(line.secondMs)}.`]),
      ...(cell ? [`${cell.shutter}, ${cell.aperture}, ${cell.iso}; EV ${cell.ev}.`] : []),
    ].filter(Boolean),
  };
}
