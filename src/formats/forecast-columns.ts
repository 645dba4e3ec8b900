import Papa from 'papaparse';
import { shortened } from '@/records/parse';

/** A forecast's file as columns, whatever form it comes in: JSON of columns or of rows, or a table. */

/** Why a file is refused, in words for who opened it. */
export class Refused extends Error {}
export const refuse = (reason: string): never => {
  throw new Refused(reason);
};

type Cell = string | number | null | undefined;

/** A file as columns: each with its unit if one is told, and cells with where each stands. */
export interface Columns {
  readonly heads: readonly { readonly name: string; readonly unit: string }[];
  readonly rows: readonly { readonly where: string; readonly cells: readonly Cell[] }[];
  /** Zone of times that have none of their own. */
  readonly zone: string;
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const cellOf = (value: unknown): Cell =>
  typeof value === 'number' || typeof value === 'string' ? value : undefined;

export const TIME_HEAD = /^(?:time|times|hour|date|datetime|valid|from|dt|when)\b|^date ?time/i;
const headWords = (key: string) => key.replace(/[_-]+/g, ' ').trim();

export function columnsOfJson(raw: unknown, timeZone: string): Columns {
  const top = isObject(raw) ? raw : {};
  const offset = Number(top.utc_offset_seconds);
  const zone = Number.isFinite(offset)
    ? `UTC${offset < 0 ? '-' : '+'}${Math.floor(Math.abs(offset) / 3600)}:${String(Math.floor((Math.abs(offset) % 3600) / 60)).padStart(2, '0')}`
    : timeZone;
  const inside = Array.isArray(raw) ? [['', raw] as const] : Object.entries(top);
  for (const [key, value] of inside) {
    if (Array.isArray(value) && value.some(isObject)) {
      const names = [...new Set(value.flatMap((row) => (isObject(row) ? Object.keys(row) : [])))];
      if (!names.some((name) => TIME_HEAD.test(headWords(name)))) continue;
      return {
        heads: names.map((name) => ({ name: headWords(name), unit: '' })),
        rows: value.map((row, i) => ({
          where: `${key || 'row'} ${i + 1}`,
          cells: names.map((name) => cellOf(isObject(row) ? row[name] : undefined)),
        })),
        zone,
      };
    }
    if (!isObject(value)) continue;
    const lists = Object.entries(value).filter(([, list]) => Array.isArray(list));
    const timed = lists.find(([name]) => TIME_HEAD.test(headWords(name)));
    if (!timed) continue;
    const count = (timed[1] as unknown[]).length;
    const uneven = lists.find(([, list]) => (list as unknown[]).length !== count);
    if (uneven) {
      refuse(
        `${key}.${shortened(uneven[0])} has ${(uneven[1] as unknown[]).length} values and ${timed[0]} ${count}: they must be as many`,
      );
    }
    const units = isObject(top[`${key}_units`]) ? (top[`${key}_units`] as object) : {};
    const unitOf = (name: string) =>
      String((units as Readonly<Record<string, unknown>>)[name] ?? '');
    return {
      heads: lists.map(([name]) => ({ name: headWords(name), unit: unitOf(name) })),
      rows: Array.from({ length: count }, (_, i) => ({
        where: `${key} ${i + 1}`,
        cells: lists.map(([, list]) => cellOf((list as unknown[])[i])),
      })),
      zone,
    };
  }
  return refuse('there are no hours in it: a list of rows or of columns, one of them the time');
}

export function columnsOfText(text: string, timeZone: string): Columns {
  const lines = text.split(/\r?\n/);
  const delimited = lines.some((line) => /[,;\t|]/.test(line));
  const parts = lines.some((line) => /\S {2,}\S/.test(line)) ? / {2,}/g : / +/g;
  const { data } = Papa.parse<string[]>(
    delimited ? text : lines.map((line) => line.trim().replace(parts, '\t')).join('\n'),
    { skipEmptyLines: false, delimitersToGuess: ['\t', ';', '|', ','] },
  );
  const all = data
    .map((cells, i) => ({ line: i + 1, cells: cells.map((cell) => cell.trim()) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
  const at = all.findIndex(
    ({ cells }) => cells.length > 1 && cells.some((cell) => TIME_HEAD.test(headWords(cell))),
  );
  const head = all[at];
  if (!head) {
    return refuse('no line names its columns: write one such as “time; cloud %; wind m/s” over it');
  }
  return {
    heads: head.cells.map((name) => ({ name: headWords(name), unit: '' })),
    rows: all.slice(at + 1).map(({ line, cells }) => ({ where: `line ${line}`, cells })),
    zone: timeZone,
  };
}
