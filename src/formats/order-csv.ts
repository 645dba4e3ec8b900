import { COLUMN_MEANINGS, type ColumnMeaning } from '@/records/columns';
import { windowNamed } from '@/presets/event-strands';
import { FIRST_EVENT, type DayEventRecord } from '@/records/day';
import { minutesOn, startOf } from '@/records/edit-events';
import type { Shoot } from '@/records/shoot';
import { writeCells } from './csv';
import { windowFrom, windowWritten } from './written-window';
import type { Table } from './table';
import { heatName, personName } from './written-names';
import {
  clockMinutes,
  dateOf,
  dateOrderOf,
  durationMinutes,
  splitDateTime,
  type DateOrder,
} from './written-time';

/** Running orders as tables: read whatever the columns are called, written so that they read back. */

const NAMES: readonly (readonly [RegExp, ColumnMeaning])[] = [
  [/^(?:date|day)$/, 'date'],
  [/^(?:sur|last|family)[ -]?names?$/, 'surname'],
  [/^(?:first|given|fore)[ -]?names?$/, 'given'],
  [/^(?:end|finish|until|to)(?:s| time)?$/, 'end'],
  [
    /^(?:event|race) ?(?:no\.?|number|#|nr\.?)$|^seed|^result|^place$|^points$|^year$|^grade$/,
    'skip',
  ],
  [/(?:start|time|off\b|begin)/, 'start'],
  [/(?:duration|length|takes|minutes)/, 'duration'],
  [/(?:heat|round|flight|section)/, 'heat'],
  [/^(?:bib|cap|number|no\.?|nr\.?|hip)(?: ?(?:no\.?|number|#))?$/, 'number'],
  [/(?:lane|station|bahn)/, 'lane'],
  [/(?:priority|worth)/, 'worth'],
  [/^visits?$/, 'visits'],
  [/^(?:school|club|team|affiliation|verein|clubs?\/schools?)$/, 'team'],
  [/(?:athlete|crew|competitor|swimmer|runner|team|who|people|names?$)/, 'who'],
  [/(?:event|race|title|what|^div\.?$|division|gender|sex|class|age ?group|category)/, 'name'],
];
/** What an event is called may stand in several columns: "Girls", "100 m". */
const MANY: ReadonlySet<ColumnMeaning> = new Set(['name']);

/** What each column most likely means: as it was last read, else by its name. None but parts of a name is taken twice. */
export function guessMeanings(
  columns: readonly string[],
  remembered: Readonly<Record<string, ColumnMeaning>>,
): readonly ColumnMeaning[] {
  const taken = new Set<ColumnMeaning>();
  const take = (meaning: ColumnMeaning | undefined): ColumnMeaning => {
    if (!meaning || meaning === 'skip' || (taken.has(meaning) && !MANY.has(meaning))) return 'skip';
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
  const instead = (from: ColumnMeaning, to: ColumnMeaning, when: (column: string) => boolean) => {
    const at = read.findIndex((meaning, i) => meaning === from && when(columns[i] ?? ''));
    if (at >= 0) read[at] = to;
  };
  // "Name" alone is what the event is called; and where nobody is named, crews go by their clubs.
  if (!taken.has('name')) instead('who', 'name', (column) => /^names?$/i.test(column));
  if (!['who', 'surname'].some((meaning) => read.includes(meaning as ColumnMeaning))) {
    instead('team', 'who', () => true);
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
  /** Heats without a time of their own, put one after the other. */
  readonly carried: number;
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

/** What a row says before it is an event. */
interface Written {
  readonly name: string;
  readonly heat: string;
  readonly date: string;
  readonly time: string;
  readonly duration: string;
  readonly end: string;
  readonly worth: string;
  readonly visits: string;
  readonly entries: DayEventRecord['entries'];
}

const wordFor = (what: string, written: string): string => `${what} “${short(written)}”`;

function laneOf(written: string): number | undefined {
  if (!written) return undefined;
  const lane = Number(/^\D*(\d{1,2})$/.exec(written)?.[1] ?? Number.NaN);
  if (!(lane <= 40)) throw new Wrong(`${wordFor('lane', written)} is no number up to 40`);
  return lane;
}

const clockOf = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

function timeOf(written: string): number {
  const minutes = clockMinutes(written);
  if (minutes !== undefined) return minutes;
  throw new Wrong(
    written
      ? `${wordFor('start', written)} is no time; write 14:30 or 2.30 pm`
      : 'there is no starting time',
  );
}

/** How long it takes: as written, until its end, or as events of its name do. */
function lastsOf({ duration, end, name }: Written, startMin: number): number {
  if (duration) {
    const minutes = durationMinutes(duration);
    if (minutes !== undefined && minutes <= 1440) return minutes;
    throw new Wrong(`${wordFor('duration', duration)} is none; write 12 min or 1h30`);
  }
  if (end) {
    const until = clockMinutes(splitDateTime(end).time);
    if (until !== undefined && until > startMin) return until - startMin;
    throw new Wrong(`${wordFor('end', end)} is no time after the start; write 15:45`);
  }
  return windowNamed(name)?.durationMin ?? FIRST_EVENT.durationMin;
}

/**
 * Events from a table: a row that can't be read is named, with what to write instead. Rows of one
 * event (a row an athlete) become one event; what only its first row says holds for those under it, and heats without a
 * time of their own follow on each other.
 * @param days first and last date of the shoot; rows of other days are counted and left
 */
export function readOrder(
  { columns, rows }: Table,
  meanings: readonly ColumnMeaning[],
  { days, order }: { readonly days: readonly [string, string]; readonly order?: DateOrder },
): OrderRead {
  const at = Object.fromEntries(
    COLUMN_MEANINGS.map((meaning) => [
      meaning,
      meanings.flatMap((entry, i) => (entry === meaning ? [i] : [])),
    ]),
  ) as unknown as Record<ColumnMeaning, readonly number[]>;
  const cellOf = (cells: readonly string[], meaning: ColumnMeaning): string =>
    at[meaning]
      .map((i) => cells[i] ?? '')
      .filter(Boolean)
      .join(' ');
  const writtenDates = rows.flatMap(({ cells }) => {
    const date = cellOf(cells, 'date') || splitDateTime(cellOf(cells, 'start')).date;
    return date ? [date] : [];
  });
  // “Marsh & Holm AC” is one club: only a column that says it names several is split at such words.
  const several = at.who.some((i) => SEVERAL.test(columns[i] ?? ''));
  const found = dateOrderOf(writtenDates);
  const dateOrder = found ?? order ?? 'dayFirst';
  const year = Number(days[0].slice(0, 4));

  const dayOfRow = (written: string): string => {
    if (!written) return days[0];
    const date = dateOf(written, dateOrder, year);
    if (!date)
      throw new Wrong(`${wordFor('date', written)} is no date; write 19/6/2027 or 19 June`);
    return date;
  };
  const entriesOf = (cells: readonly string[]): DayEventRecord['entries'] => {
    const both = [cellOf(cells, 'given'), cellOf(cells, 'surname')].filter(Boolean);
    const names = (
      both.length > 0 ? personName([...both].reverse().join(', ')) : cellOf(cells, 'who')
    )
      .split(several ? /[;\n/&]| and / : /[;\n]/)
      .map((entry) => personName(entry).slice(0, 80))
      .filter(Boolean)
      .slice(0, 40);
    const lane = laneOf(cellOf(cells, 'lane'));
    const number = cellOf(cells, 'number').slice(0, 12);
    const team = cellOf(cells, 'team').slice(0, 80);
    return names.map((name) => ({
      name,
      ...(lane !== undefined && { lane }),
      ...(number && { number }),
      ...(team && { team }),
    }));
  };
  /** What the rows above hold for those under them. */
  let above: { readonly written: Written; readonly nextLocal: string } | undefined;
  const writtenIn = (cells: readonly string[]): Written => {
    const start = splitDateTime(cellOf(cells, 'start'));
    const own: Written = {
      name: cellOf(cells, 'name'),
      heat: heatName(cellOf(cells, 'heat')),
      date: cellOf(cells, 'date') || (start.date ?? ''),
      time: start.time,
      duration: cellOf(cells, 'duration'),
      end: cellOf(cells, 'end'),
      worth: cellOf(cells, 'worth').toLowerCase(),
      visits: cellOf(cells, 'visits'),
      entries: entriesOf(cells),
    };
    const before = above?.written;
    const isMore = own.heat !== '' || own.entries.length > 0;
    if (!before || (own.name ? own.name !== before.name : !isMore)) return own;
    const same = !own.heat || own.heat === before.heat;
    return {
      ...own,
      name: before.name,
      heat: own.heat || before.heat,
      date: own.date || before.date,
      duration: own.duration || before.duration,
      end: own.end || (same ? before.end : ''),
      worth: own.worth || before.worth,
      visits: own.visits || (same ? before.visits : ''),
    };
  };
  let carried = 0;
  const eventOf = (cells: readonly string[]): OrderedEvent | undefined => {
    const written = writtenIn(cells);
    const { name, heat, worth, visits, entries } = written;
    const date = dayOfRow(written.date);
    if (date < days[0] || date > days[1]) return undefined;
    if (!name) throw new Wrong('the event has no name');
    const before = above?.written.name === name && !written.time ? above : undefined;
    const follows = before && before.written.heat !== heat;
    const startLocal = before
      ? follows
        ? before.nextLocal
        : `${date}T${before.written.time}`
      : `${date}T${clockOf(timeOf(written.time))}`;
    if (worth && !Object.hasOwn(WORTH, worth)) {
      throw new Wrong(`${wordFor('worth', worth)} must be must, should or could`);
    }
    const window = visits ? windowFrom(visits) : undefined;
    if (visits && !window) {
      throw new Wrong(`${wordFor('visits', visits)} are none; write 3 of 10 min`);
    }
    const startMin = timeOf(startLocal.slice(11));
    const durationMin = lastsOf(written, startMin);
    if (follows) carried += 1;
    above = {
      written: { ...written, time: startLocal.slice(11) },
      nextLocal: minutesOn(startLocal, Math.ceil(durationMin)),
    };
    return {
      name: name.slice(0, 120),
      startLocal,
      durationMin,
      ...(heat && { heat }),
      entries,
      worth: WORTH[worth] ?? FIRST_EVENT.worth,
      ...(window && { window }),
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
          known ? { ...known, entries: withoutTwins([...known.entries, ...event.entries]) } : event,
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
    carried,
    ambiguous:
      found === undefined && writtenDates.some((date) => /^\d{1,2}[-/. ]\d{1,2}\b/.test(date)),
  };
}

/** A row that stands twice names nobody twice. */
const withoutTwins = (entries: DayEventRecord['entries']): DayEventRecord['entries'] =>
  [...new Map(entries.map((entry) => [JSON.stringify(entry), entry])).values()].slice(0, 40);

/** Two events of one name, heat and time are the same event. */
export const sameEventKey = ({ name, heat = '', startLocal }: OrderedEvent): string =>
  `${name.toLowerCase()}|${heat.toLowerCase()}|${startLocal}`;

/** The order of a day as CSV; it reads back as it is. */
export function writeOrder({ events }: Pick<Shoot, 'events'>): string {
  const rows = events.flatMap((event) => {
    const line = ({
      name = '',
      lane,
      number,
      team,
    }: Partial<DayEventRecord['entries'][number]>) => ({
      Date: startOf(event).slice(0, 10),
      Start: startOf(event).slice(11),
      Duration: `${Number(event.durationMin.toFixed(2))} min`,
      Event: event.name,
      Heat: event.heat ?? '',
      Lane: lane ?? '',
      Bib: number ?? '',
      Who: name,
      Club: team ?? '',
      Worth: event.worth,
      Visits: event.window ? windowWritten(event.window) : '',
    });
    return event.entries.length > 0 ? event.entries.map((entry) => line(entry)) : [line({})];
  });
  return writeCells(rows);
}
