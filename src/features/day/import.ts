import type { CalendarEvent, EventNote } from '@/formats/order-ics';
import { sameEventKey } from '@/formats/order-csv';
import type { DayEventRecord } from '@/records/day';
import { windowNamed } from '@/presets/event-windows';
import { withEvents } from '@/records/edit-events';
import type { Shoot } from '@/records/shoot';
import { whoInWords, type DayLine } from '@/features/shoot/day-lines';
import type { LightCell } from './light-column';

/** Bringing a running order into a shoot, and what goes out with one. */

export interface Merged {
  readonly shoot: Shoot;
  readonly added: number;
  readonly changed: number;
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
function known(entries: DayEventRecord['entries'], { people }: Pick<Shoot, 'people'>) {
  return entries.map((entry) => {
    const sought = entry.name.toLowerCase();
    const person = people.find(
      ({ name, number }) => name.toLowerCase() === sought || (number && number === entry.name),
    );
    return person ? { ...entry, personId: person.id, name: person.name } : entry;
  });
}

/** How an event that is brought in is dropped into, by its name; nothing where it is too short for that. */
export function usualWindow({
  name,
  durationMin,
}: Pick<DayEventRecord, 'name' | 'durationMin'>): DayEventRecord['window'] {
  const { window } = windowNamed(name) ?? {};
  return window && durationMin > window.visitMin ? { ...window } : undefined;
}

/** What of a file goes on and is dropped into, as far as names tell. */
export function goesOnInWords(
  events: readonly Pick<DayEventRecord, 'name' | 'durationMin'>[],
): string {
  const names = [...new Set(events.filter(usualWindow).map(({ name }) => name))];
  if (names.length === 0) return '';
  const more = names.length > 3 ? ` and ${names.length - 3} more` : '';
  return `Taken to go on, and dropped into: ${names.slice(0, 3).join('; ')}${more}. Change that in the event.`;
}

/**
 * The shoot with events of a file: one that is there already takes the file's times and people and
 * keeps what was said of it here; the others are new, with what they give for all. Nothing is done when
 * they are more than a day holds.
 * @param newId makes an id
 */
export function merged(
  shoot: Shoot,
  events: readonly CalendarEvent[],
  given: Pick<DayEventRecord, 'shotId' | 'markId'>,
  newId: () => string,
): Merged {
  const byId = new Map(shoot.events.map((event) => [event.id, event]));
  const byKey = new Map(shoot.events.map((event) => [sameEventKey(event), event]));
  let changed = 0;
  const put = events.map((event): DayEventRecord => {
    const { id, ...fresh } = event;
    const there = (id === undefined ? undefined : byId.get(id)) ?? byKey.get(sameEventKey(fresh));
    const entries = known(fresh.entries, shoot);
    if (there) {
      changed += 1;
      const { lateMin: _late, ...kept } = there;
      return {
        ...kept,
        startLocal: fresh.startLocal,
        durationMin: fresh.durationMin,
        ...(entries.length > 0 && { entries }),
      };
    }
    const window = usualWindow(fresh);
    const owed = entries.some(({ personId }) => personId);
    return {
      ...fresh,
      entries,
      worth: owed && fresh.worth === 'should' ? 'must' : fresh.worth,
      ...(window && { window }),
      ...given,
      id: newId(),
    };
  });
  const next = withEvents(shoot, put);
  return next === shoot
    ? { shoot, added: 0, changed: 0 }
    : { shoot: next, added: put.length - changed, changed };
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
    lines: [
      ...whoInWords(line.event, shoot),
      line.why,
      ...(line.leaveMs === undefined ? [] : [`Leave by ${clock(line.leaveMs)}.`]),
      ...(line.event.window ? [] : [`Second call ${clock(line.secondMs)}.`]),
      ...(cell ? [`${cell.shutter}, ${cell.aperture}, ${cell.iso}; EV ${cell.ev}.`] : []),
    ].filter(Boolean),
  };
}
