import Papa from 'papaparse';
import { startOf } from '@/records/edit-events';
import { COLUMN_MEANINGS, type ColumnMeaning } from '@/records/columns';
import { windowNamed } from '@/presets/event-windows';
import { FIRST_EVENT, MOST_EVENTS, type DayEventRecord } from '@/records/day';
import type { Shoot } from '@/records/shoot';
import { writeCells } from './csv';
import {
  clockMinutes,
  dateOf,
  dateOrderOf,
  durationMinutes,
  splitDateTime,
  type DateOrder,
} from './written-time';

/** Running orders as tables: read whatever the columns are called, written so that they read back. */

export const LARGEST_TABLE_BYTES = 5_000_000;
const MOST_COLUMNS = 60;

export interface OrderTable {
  readonly columns: readonly string[];
  /** Cells as text, and the line of the file that each row is from. */
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
}

export type TableRead =
  | { readonly ok: true; readonly table: OrderTable }
  | { readonly ok: false; readonly reason: string };

const refuse = (reason: string) => ({ ok: false as const, reason });

/** A cell without the mark that keeps a spreadsheet from running it. */
const plain = (cell: string): string => cell.trim().replace(/^'(?=[=+\-@\t＝＋－＠])/, '');

/** A table from CSV, tabs or semicolons; its first row names the columns unless it holds a time. */
export function readTable(text: string): TableRead {
  if (text.length > LARGEST_TABLE_BYTES) return refuse('the file is over 5 MB');
  if (text.includes('\u0000')) return refuse('the file is not text: save it as CSV');
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: false,
    delimitersToGuess: [',', ';', '\t', '|'],
  });
  const broken = errors.find(({ type }) => type === 'Quotes');
  if (broken) {
    return refuse(`row ${(broken.row ?? 0) + 1}: a quotation mark is opened and not closed`);
  }
  const lines = data
    .map((cells, i) => ({ line: i + 1, cells: cells.map(plain) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
  const [head, ...rest] = lines;
  if (!head) return refuse('the file is empty');
  const wide = Math.max(...lines.slice(0, 50).map(({ cells }) => cells.length));
  if (wide > MOST_COLUMNS)
    return refuse(`row 1: over ${MOST_COLUMNS} columns; no running order has so many`);
  const named = !head.cells.some((cell) => clockMinutes(splitDateTime(cell).time) !== undefined);
  const rows = named ? rest : lines;
  if (rows.length === 0) return refuse('there are names of columns and no rows under them');
  if (rows.length > MOST_EVENTS)
    return refuse(`over ${MOST_EVENTS} rows: leave out the other days`);
  const columns = Array.from(
    { length: wide },
    (_, i) => (named && head.cells[i]) || `Column ${i + 1}`,
  );
  return { ok: true, table: { columns, rows } };
}

const NAMES: readonly (readonly [RegExp, ColumnMeaning])[] = [
  [/^(?:date|day)$/, 'date'],
  [/(?:start|time|off\b|begin)/, 'start'],
  [/(?:duration|length|takes|minutes)/, 'duration'],
  [/(?:heat|round)/, 'heat'],
  [/(?:lane|bib|station)/, 'lane'],
  [/(?:priority|worth)/, 'worth'],
  [/(?:athlete|crew|competitor|swimmer|runner|team|who|people|names?$)/, 'who'],
  [/(?:event|race|title|what)/, 'name'],
];

/** What each column most likely means: as it was last read, else by its name. None is taken twice. */
export function guessMeanings(
  columns: readonly string[],
  remembered: Readonly<Record<string, ColumnMeaning>>,
): readonly ColumnMeaning[] {
  const taken = new Set<ColumnMeaning>();
  const take = (meaning: ColumnMeaning | undefined): ColumnMeaning => {
    if (!meaning || meaning === 'skip' || taken.has(meaning)) return 'skip';
    taken.add(meaning);
    return meaning;
  };
  const guesses = columns.map((column) => {
    const known = columnKey(column);
    return Object.hasOwn(remembered, known) ? take(remembered[known]) : undefined;
  });
  const read = columns.map((column, i) => {
    const sought = column.trim().toLowerCase();
    return guesses[i] ?? take(NAMES.find(([pattern]) => pattern.test(sought))?.[1]);
  });
  // "Name" alone is what the event is called.
  const name = read.indexOf('who');
  if (!taken.has('name') && name >= 0 && /^names?$/i.test(columns[name] ?? '')) {
    return read.map((meaning, i) => (i === name ? 'name' : meaning));
  }
  return read;
}

/** What a column is remembered by. */
export const columnKey = (column: string): string => column.trim().toLowerCase().slice(0, 200);

/** An event as a file has it, before it is one of the shoot's. */
export type OrderedEvent = Omit<DayEventRecord, 'id'>;

export interface OrderProblem {
  readonly line: number;
  readonly reason: string;
}

export interface OrderRead {
  readonly events: readonly OrderedEvent[];
  readonly problems: readonly OrderProblem[];
  /** Rows of other days. */
  readonly elsewhere: number;
  /** Whether a date could be read either way round. */
  readonly ambiguous: boolean;
}

const WORTH: Readonly<Record<string, DayEventRecord['worth']>> = {
  must: 'must',
  should: 'should',
  could: 'could',
  high: 'must',
  medium: 'should',
  low: 'could',
  '1': 'must',
  '2': 'should',
  '3': 'could',
};
const short = (text: string): string => (text.length > 40 ? `${text.slice(0, 40)}…` : text);

/** A column of more than one name each. */
const SEVERAL =
  /(?:athletes|crews|competitors|swimmers|runners|teams|people|names|pairs?|doubles)$/i;

class Wrong extends Error {}

/**
 * Events from a table: a row that can't be read is named, with what to write instead. Rows of one
 * event (a row an athlete) become one event.
 * @param days first and last date of the shoot; rows of other days are counted and left
 */
export function readOrder(
  { columns, rows }: OrderTable,
  meanings: readonly ColumnMeaning[],
  { days, order }: { readonly days: readonly [string, string]; readonly order?: DateOrder },
): OrderRead {
  const at = Object.fromEntries(
    COLUMN_MEANINGS.map((meaning) => [meaning, meanings.indexOf(meaning)]),
  ) as Record<ColumnMeaning, number>;
  const cellOf = (cells: readonly string[], meaning: ColumnMeaning): string =>
    at[meaning] < 0 ? '' : (cells[at[meaning]] ?? '');
  const writtenDates = rows.flatMap(({ cells }) => {
    const date = cellOf(cells, 'date') || splitDateTime(cellOf(cells, 'start')).date;
    return date ? [date] : [];
  });
  // “Marsh & Holm AC” is one club: only a column that says it names several is split at such words.
  const several = SEVERAL.test(columns[at.who] ?? '');
  const found = dateOrderOf(writtenDates);
  const dateOrder = found ?? order ?? 'dayFirst';
  const year = Number(days[0].slice(0, 4));

  const dayOfRow = (cells: readonly string[], inStart: string | undefined): string => {
    const written = cellOf(cells, 'date') || inStart;
    if (!written) return days[0];
    const date = dateOf(written, dateOrder, year);
    if (!date) throw new Wrong(`date “${short(written)}” is no date; write 19/6/2027 or 19 June`);
    return date;
  };
  const eventOf = (cells: readonly string[]): OrderedEvent | undefined => {
    const written = splitDateTime(cellOf(cells, 'start'));
    const date = dayOfRow(cells, written.date);
    if (date < days[0] || date > days[1]) return undefined;
    const name = cellOf(cells, 'name');
    if (!name) throw new Wrong('the event has no name');
    const minutes = clockMinutes(written.time);
    if (minutes === undefined) {
      throw new Wrong(
        written.time
          ? `start “${short(written.time)}” is no time; write 14:30 or 2.30 pm`
          : 'there is no starting time',
      );
    }
    const duration = cellOf(cells, 'duration');
    const durationMin = duration
      ? durationMinutes(duration)
      : (windowNamed(name)?.durationMin ?? FIRST_EVENT.durationMin);
    if (durationMin === undefined || durationMin > 1440) {
      throw new Wrong(`duration “${short(duration)}” is none; write 12 min or 1h30`);
    }
    const lane = cellOf(cells, 'lane');
    const laneNumber = lane ? Number(/^\D*(\d{1,2})$/.exec(lane)?.[1] ?? Number.NaN) : undefined;
    if (laneNumber !== undefined && !(laneNumber <= 40)) {
      throw new Wrong(`lane “${short(lane)}” is no number up to 40`);
    }
    const worth = cellOf(cells, 'worth').toLowerCase();
    if (worth && !Object.hasOwn(WORTH, worth)) {
      throw new Wrong(`worth “${short(worth)}” must be must, should or could`);
    }
    const heat = cellOf(cells, 'heat').slice(0, 40);
    const who = cellOf(cells, 'who')
      .split(several ? /[;\n/&]| and / : /[;\n]/)
      .map((entry) => entry.trim().slice(0, 80))
      .filter(Boolean)
      .slice(0, 40);
    const clock = `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
    return {
      name: name.slice(0, 120),
      startLocal: `${date}T${clock}`,
      durationMin,
      ...(heat && { heat }),
      entries: who.map((entry) => ({
        name: entry,
        ...(laneNumber !== undefined && { lane: laneNumber }),
      })),
      worth: WORTH[worth] ?? FIRST_EVENT.worth,
    };
  };

  const events = new Map<string, OrderedEvent>();
  const problems: OrderProblem[] = [];
  let elsewhere = 0;
  for (const { line, cells } of rows) {
    try {
      const event = eventOf(cells);
      if (!event) elsewhere += 1;
      else {
        const key = sameEventKey(event);
        const known = events.get(key);
        events.set(
          key,
          known ? { ...known, entries: [...known.entries, ...event.entries].slice(0, 40) } : event,
        );
      }
    } catch (error) {
      if (!(error instanceof Wrong)) throw error;
      problems.push({ line, reason: error.message });
    }
  }
  return {
    events: [...events.values()],
    problems,
    elsewhere,
    ambiguous:
      found === undefined && writtenDates.some((date) => /^\d{1,2}[-/. ]\d{1,2}\b/.test(date)),
  };
}

/** Two events of one name, heat and time are the same event. */
export const sameEventKey = ({ name, heat = '', startLocal }: OrderedEvent): string =>
  `${name.toLowerCase()}|${heat.toLowerCase()}|${startLocal}`;

/** The order of a day as CSV; it reads back as it is. */
export function writeOrder({ events }: Pick<Shoot, 'events'>): string {
  const rows = events.flatMap((event) => {
    const line = (who: string, lane: number | undefined) => ({
      Date: startOf(event).slice(0, 10),
      Start: startOf(event).slice(11),
      Duration: `${Number(event.durationMin.toFixed(2))} min`,
      Event: event.name,
      Heat: event.heat ?? '',
      Lane: lane ?? '',
      Who: who,
      Worth: event.worth,
    });
    return event.entries.length > 0
      ? event.entries.map(({ name, lane }) => line(name, lane))
      : [line('', undefined)];
  });
  return writeCells(rows);
}
