import { DateTime } from 'luxon';
import {
  FORECAST_VERSION,
  forecastSchema,
  MOST_HOURS,
  type Forecast,
  type ForecastHour,
} from '@/records/forecast';
import { firstProblem, quoted, shortened } from '@/records/parse';
import {
  columnsOfJson,
  columnsOfText,
  refuse,
  Refused,
  TIME_HEAD,
  type Columns,
} from './forecast-columns';
import type { Air } from '@/records/day';
import { clockMinutes, dateOf, splitDateTime } from './written-time';

/**
 * A forecast out of a file or a pasted table: JSON of columns or of rows, as open services give it, or a table with
 * names over its columns. Times, shares and speeds are read as people and services write them; what can't be read is
 * named by its row and column, and then nothing is brought in. Documented in docs/shoot-file.md.
 */

export const LARGEST_FORECAST_BYTES = 1_000_000;
/** Sixteen days by the hour and more. */
const MOST_ROWS = 1000;
const HOUR_MS = 3_600_000;
/** So long before a shoot and after it hours are kept. */
const ABOUT_MS = 24 * HOUR_MS;
/** How far a forecast's cloud may be off either way, as a share of the sky. Common practice, no source. */
const CLOUD_OFF = 0.2;

/** The shoot that a forecast is read for. */
export interface ForecastAsked {
  readonly name: string;
  readonly startMs: number;
  readonly endMs: number;
  readonly date: string;
  readonly timeZone: string;
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  /** What is set by hand, for what the file does not say. */
  readonly air: Pick<Air, 'windMs' | 'temperatureC' | 'humidityPct' | 'rainMmH'>;
}

export type ForecastRead =
  | {
      readonly ok: true;
      readonly forecast: Forecast;
      /** What the file does not say, as set by hand: "wind", "rain". */
      readonly filled: readonly string[];
    }
  | { readonly ok: false; readonly reason: string };

type Figure = 'cloud' | 'wind' | 'temperature' | 'humidity' | 'rain' | 'visibility';

/** How columns are usually called; what is something else by nearly the same name. */
const HEADS: Readonly<Record<Figure, readonly [RegExp, RegExp]>> = {
  cloud: [/cloud|sky cover|cover/i, /low|mid|medium|high|base|top|ceiling/i],
  wind: [/wind/i, /gust|dir|bearing|chill/i],
  temperature: [/temp|^air\b/i, /dew|feel|apparent|soil|wet|max|min|surface/i],
  humidity: [/humid|^rh\b/i, /specific|absolute/i],
  rain: [/rain|precip/i, /prob|chance|likel/i],
  visibility: [/visib|seeing/i, /^$/],
};

const PLAIN = (value: number) => value;
/** Units by how they are written, and what makes them ours; the first is taken where none is told, unless it must be. */
const UNITS: Readonly<
  Record<
    Figure,
    {
      readonly must?: string;
      readonly units: readonly (readonly [RegExp, (value: number) => number])[];
    }
  >
> = {
  cloud: {
    units: [
      [/%|percent/i, (value) => value / 100],
      [/okta|\/ ?8|eighth/i, (value) => value / 8],
      [/tenth|\/ ?10/i, (value) => value / 10],
    ],
  },
  wind: {
    must: 'm/s, km/h, mph or kn',
    units: [
      [/m ?\/ ?s|mps|ms-1/i, PLAIN],
      [/km ?\/ ?h|kmh|kph/i, (value) => value / 3.6],
      [/mph|mp ?\/ ?h|mi ?\/ ?h/i, (value) => value * 0.44704],
      [/kn|kt/i, (value) => (value * 1852) / 3600],
    ],
  },
  temperature: {
    must: '°C or °F',
    units: [
      [/°? ?c\b|celsius/i, PLAIN],
      [/°? ?f\b|fahrenheit/i, (value) => ((value - 32) * 5) / 9],
      [/\bk\b|kelvin/i, (value) => value - 273.15],
    ],
  },
  humidity: { units: [[/%|percent/i, PLAIN]] },
  rain: {
    units: [
      [/mm|l ?\/ ?m/i, PLAIN],
      [/inch|\bin\b|"/i, (value) => value * 25.4],
    ],
  },
  visibility: {
    must: 'km, m or mi',
    units: [
      [/km/i, PLAIN],
      [/\bmi|mile/i, (value) => value * 1.609344],
      [/\bm\b|met(?:er|re)/i, (value) => value / 1000],
    ],
  },
};

/** What each figure may be in our units, as the record has it. */
const RANGES: Readonly<Record<Figure, readonly [number, number, string]>> = {
  cloud: [0, 1, '%'],
  wind: [0, 120, 'm/s'],
  temperature: [-90, 60, '°C'],
  humidity: [0, 100, '%'],
  rain: [0, 400, 'mm an hour'],
  visibility: [0, 300, 'km'],
};

const NUMBER = /^([+-]?\d+(?:[.,]\d+)?)\s*(.*)$/;

interface Column {
  readonly index: number;
  readonly name: string;
  /** The unit that is told for all of it. */
  readonly told: ((value: number) => number) | undefined;
}

function unitIn(figure: Figure, text: string): ((value: number) => number) | undefined {
  return UNITS[figure].units.find(([pattern]) => pattern.test(text))?.[1];
}

function columnOf(figure: Figure, { heads, rows }: Columns): Column | undefined {
  const [is, isnt] = HEADS[figure];
  const index = heads.findIndex(({ name }) => is.test(name) && !isnt.test(name));
  const head = heads[index];
  if (!head) return undefined;
  // What is left of the name beside the word itself may tell the unit.
  const told = unitIn(figure, head.unit) ?? unitIn(figure, head.name.replace(is, ' '));
  if (told || figure !== 'cloud') return { index, name: head.name, told };
  const values = rows.map(({ cells }) => Number(String(cells[index] ?? '').replace(',', '.')));
  const isShare = values.every((value) => !(value > 1)) && values.some((value) => value % 1 > 0);
  return { index, name: head.name, told: isShare ? PLAIN : (value) => value / 100 };
}

function valueIn(
  figure: Figure,
  { index, name, told }: Column,
  row: Columns['rows'][number],
): number {
  const cell = row.cells[index];
  const here = `${row.where}, ${shortened(name)}`;
  if (cell === undefined || cell === null || cell === '') return refuse(`${here}: is empty`);
  const parts = NUMBER.exec(String(cell).replace('−', '-'));
  if (!parts) return refuse(`${here}: ${quoted(cell)} is no number`);
  const { must, units } = UNITS[figure];
  const own = parts[2] ? unitIn(figure, parts[2]) : undefined;
  if (parts[2] && !own) return refuse(`${here}: the unit of ${quoted(cell)} is not known`);
  const toOurs = own ?? told ?? (must ? undefined : units[0]?.[1]);
  if (!toOurs) {
    return refuse(`${shortened(name)}: say its unit in its name, ${must ?? ''}`);
  }
  const value = toOurs(Number((parts[1] as string).replace(',', '.')));
  const [least, most, unit] = RANGES[figure];
  if (value >= least && value <= most) return value;
  const times = unit === '%' && most === 1 ? 100 : 1;
  return refuse(`${here}: must be from ${least * times} to ${most * times} ${unit}`);
}

/** A column of dates beside one of times. */
const DATE_HEAD = /^(?:date|day)$/i;

/** Times of the rows; a bare clock time is on the shoot's day, and on the next where it goes back. */
function timesOf({ heads, rows, zone }: Columns, date: string): readonly number[] {
  const index = heads.findIndex(({ name }) => TIME_HEAD.test(name) && !DATE_HEAD.test(name));
  const dateIndex = heads.findIndex(({ name }) => DATE_HEAD.test(name));
  const year = Number(date.slice(0, 4));
  let [later, before] = [0, -1];
  return rows.map(({ where, cells }) => {
    const cell = cells[index];
    const here = `${where}, ${shortened(heads[index]?.name ?? 'time')}`;
    if (typeof cell === 'number' || /^\d{9,13}$/.test(String(cell))) {
      const value = Number(cell);
      return value < 1e11 ? value * 1000 : value;
    }
    const day = dateIndex < 0 ? '' : String(cells[dateIndex] ?? '');
    const text = `${day} ${String(cell ?? '')}`.trim();
    if (/^\d{4}-\d{2}-\d{2}T.*(?:Z|[+-]\d{2}:?\d{2})$/.test(text)) {
      const at = DateTime.fromISO(text);
      return at.isValid ? at.toMillis() : refuse(`${here}: ${quoted(text)} is no time`);
    }
    const split = splitDateTime(text);
    const minutes = clockMinutes(split.time);
    const on = split.date === undefined ? date : dateOf(split.date, 'dayFirst', year);
    if (minutes === undefined || on === undefined) {
      return refuse(`${here}: ${quoted(cell ?? '')} is no time; write 06:00 or 2027-05-08 06:00`);
    }
    if (split.date === undefined) {
      if (minutes <= before) later += 1;
      before = minutes;
    }
    const local = DateTime.fromISO(on, { zone }).plus({
      days: split.date === undefined ? later : 0,
    });
    const at = local.set({ hour: Math.floor(minutes / 60), minute: minutes % 60 });
    return at.isValid ? at.toMillis() : refuse(`${here}: ${quoted(text)} is no time`);
  });
}

const between = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));

/** An hour's cloud with what a forecast may be off. */
export const cloudWithin = (cloud: number) => ({
  cloudLow: between(cloud - CLOUD_OFF, 0, 1),
  cloud,
  cloudHigh: between(cloud + CLOUD_OFF, 0, 1),
});

function hoursOf(
  columns: Columns,
  { date, air }: ForecastAsked,
): {
  readonly hours: readonly ForecastHour[];
  readonly filled: readonly string[];
} {
  const { rows } = columns;
  if (rows.length === 0) refuse('there are names of columns and no rows under them');
  if (rows.length > MOST_ROWS) refuse(`over ${MOST_ROWS} rows: leave out the other weeks`);
  const times = timesOf(columns, date);
  const cloud =
    columnOf('cloud', columns) ??
    refuse('no column is called cloud: without it there is no light to plan');
  const found = {
    wind: columnOf('wind', columns),
    temperature: columnOf('temperature', columns),
    humidity: columnOf('humidity', columns),
    rain: columnOf('rain', columns),
    visibility: columnOf('visibility', columns),
  };
  const hours = rows.map((row, i) => {
    const value = (figure: keyof typeof found, byHand: number) => {
      const column = found[figure];
      return column ? valueIn(figure, column, row) : byHand;
    };
    const timeMs = times[i] as number;
    if (i > 0 && timeMs <= (times[i - 1] as number)) {
      refuse(`${row.where}: its time must be later than that of the row before`);
    }
    return {
      time: new Date(timeMs).toISOString(),
      ...cloudWithin(valueIn('cloud', cloud, row)),
      windMs: value('wind', air.windMs),
      temperatureC: value('temperature', air.temperatureC),
      humidityPct: value('humidity', air.humidityPct),
      rainMmH: value('rain', air.rainMmH),
      ...(found.visibility && { visibilityKm: valueIn('visibility', found.visibility, row) }),
    };
  });
  const filled = (['wind', 'temperature', 'humidity', 'rain'] as const).filter(
    (figure) => !found[figure],
  );
  return { hours, filled };
}

const dayOf = (ms: number, zone: string) =>
  DateTime.fromMillis(ms, { zone, locale: 'en-GB' }).toFormat('d LLLL HH:mm');

function read(text: string, asked: ForecastAsked): ForecastRead {
  const { name, startMs, endMs, date, timeZone, latitudeDeg, longitudeDeg } = asked;
  let raw: unknown;
  if (/^\s*[[{]/.test(text)) {
    try {
      raw = JSON.parse(text);
    } catch {
      return refuse('it begins as JSON and is none: save it again, whole');
    }
  }
  const columns = raw === undefined ? columnsOfText(text, timeZone) : columnsOfJson(raw, timeZone);
  const { hours, filled } = hoursOf(columns, asked);
  const kept = hours.filter(({ time }) => {
    const at = Date.parse(time);
    return at >= startMs - ABOUT_MS && at <= endMs + ABOUT_MS;
  });
  const covers = kept.some(({ time }) => {
    const at = Date.parse(time);
    return at > startMs - HOUR_MS && at <= endMs;
  });
  if (!covers || kept.length < 2) {
    const [first, last] = [hours[0], hours.at(-1)];
    return refuse(
      `it runs from ${dayOf(Date.parse(first?.time ?? ''), timeZone)} to ${dayOf(Date.parse(last?.time ?? ''), timeZone)} and has no hour of this shoot`,
    );
  }
  const checked = forecastSchema.safeParse({
    ...{ version: FORECAST_VERSION, simulated: false, from: name, latitudeDeg, longitudeDeg, date },
    hours: kept.slice(0, MOST_HOURS),
  });
  if (checked.success) return { ok: true, forecast: checked.data, filled };
  return refuse(firstProblem(checked.error));
}

/** A forecast for a shoot out of a file's text or a pasted table, or why it is refused. */
export function readForecast(text: string, asked: ForecastAsked): ForecastRead {
  if (text.length > LARGEST_FORECAST_BYTES) return { ok: false, reason: 'it is over 1 MB' };
  try {
    return read(text, asked);
  } catch (error) {
    if (error instanceof Refused) return { ok: false, reason: error.message };
    throw error;
  }
}
