import { writeCells } from './csv';

/** A shoot's log as a table and as JSON, names in place of ids, for other programs. docs/shoot-file.md */
export const LOG_FORMAT = 'bright-perch/log';
export const LOG_FORMAT_VERSION = 1;

/** One thing that was done: an entry, a reading, or a picture. What does not apply is left out. */
export interface LogRow {
  /** Wall clock of the place, "2027-04-16T19:04:10". */
  readonly atLocal: string;
  readonly kind: string;
  readonly what: string;
  readonly shot?: string;
  readonly mark?: string;
  readonly position?: string;
  readonly event?: string;
  readonly file?: string;
  readonly camera?: string;
  readonly shutterS?: number;
  readonly aperture?: number;
  readonly iso?: number;
  readonly focalMm?: number;
  readonly ev?: number;
  readonly stars?: number;
  readonly kept?: boolean;
  readonly rehearsed?: boolean;
}

const COLUMNS = [
  ['atLocal', 'Time'],
  ['kind', 'Kind'],
  ['what', 'What'],
  ['shot', 'Shot'],
  ['mark', 'Mark'],
  ['position', 'Position'],
  ['event', 'Event'],
  ['file', 'File'],
  ['camera', 'Camera'],
  ['shutterS', 'Shutter s'],
  ['aperture', 'Aperture'],
  ['iso', 'ISO'],
  ['focalMm', 'Focal length mm'],
  ['ev', 'EV'],
  ['stars', 'Stars'],
  ['kept', 'Kept'],
  ['rehearsed', 'Rehearsed'],
] as const satisfies readonly (readonly [keyof LogRow, string])[];

const cell = (value: LogRow[keyof LogRow]): string | number =>
  value === undefined ? '' : typeof value === 'boolean' ? (value ? 'yes' : 'no') : value;

export const writeLogTable = (rows: readonly LogRow[]): string =>
  writeCells([
    COLUMNS.map(([, name]) => name),
    ...rows.map((row) => COLUMNS.map(([key]) => cell(row[key]))),
  ]);

export const writeLogJson = (
  about: { readonly shoot: string; readonly timeZone: string },
  rows: readonly LogRow[],
): string =>
  `${JSON.stringify({ format: LOG_FORMAT, version: LOG_FORMAT_VERSION, ...about, rows }, null, 2)}\n`;
