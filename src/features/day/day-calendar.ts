import { writeCalendar } from '@/formats/order-ics';
import type { Shoot } from '@/records/shoot';
import type { DayLine } from '@/features/shoot/day-lines';
import { noteFor } from './import';
import type { LightCells } from './light-column';

/** What a calendar of the day is made from. */
export interface CalendarOf {
  readonly shoot: Shoot;
  readonly lines: readonly DayLine[];
  /** Whose it is, of several: then it has what they shoot and nothing else. */
  readonly who?: string | undefined;
  readonly cells: LightCells;
  readonly clock: (ms: number) => string;
  /** When it is written. */
  readonly stampMs: number;
}

/** The day as a calendar: where to stand, whom to find, what to set, and when to leave. */
export function dayCalendar({ shoot, lines, who, cells, clock, stampMs }: CalendarOf): string {
  const byId = new Map(lines.map((line) => [line.event.id, line]));
  const theirs = who ? lines.filter(({ status }) => status === 'shoot') : lines;
  return writeCalendar(
    {
      ...shoot,
      ...(who && { title: `${shoot.title}, ${who}` }),
      events: theirs.map(({ event }) => event),
    },
    (event) => {
      const line = byId.get(event.id);
      if (!line) return { lines: [] };
      const cell = line.stop && cells(event, line.stop);
      return noteFor(shoot, line, cell, clock);
    },
    stampMs,
  );
}
