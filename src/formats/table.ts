import Papa from 'papaparse';
import { MOST_EVENTS } from '@/records/day';
import { clockMinutes, splitDateTime } from './written-time';

/** Tables of others, whatever parts their columns and however many lines stand over them. */

export const LARGEST_TABLE_BYTES = 5_000_000;
const MOST_COLUMNS = 60;
/** A title and an address may stand over the names of the columns. */
const MOST_OVER = 12;

export interface Table {
  readonly columns: readonly string[];
  /** Cells as text, and the line of the file that each row is from. */
  readonly rows: readonly { readonly line: number; readonly cells: readonly string[] }[];
}

export type TableRead =
  { readonly ok: true; readonly table: Table } | { readonly ok: false; readonly reason: string };

const refuse = (reason: string) => ({ ok: false as const, reason });

/** A cell without the mark that keeps a spreadsheet from running it. */
const plain = (cell: string): string => cell.trim().replace(/^'(?=[=+\-@\t＝＋－＠])/, '');

/** Names that columns of running orders and rosters usually have. */
const USUAL =
  /^(?:(?:event|race|start|off|scheduled?) ?(?:time|no\.?|number|name)?|time|date|day|session|heat|round|lane|bib|cap|no\.?|number|name|athlete|swimmer|runner|crew|competitor|(?:sur|last|first|fore|given|family)[ -]?name|school|club|team|affiliation|division|gender|end|finish|duration|foot|hand)s?$/i;

/** A table from CSV, tabs or semicolons; a row of usual names heads it, else its first row unless that holds a time. */
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
  const all = data
    .map((cells, i) => ({ line: i + 1, cells: cells.map(plain) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
  const usual = ({ cells }: (typeof all)[number]) =>
    cells.filter((cell) => USUAL.test(cell)).length;
  const heading = all.slice(0, MOST_OVER).findIndex((row) => usual(row) >= 2);
  const lines = all.slice(Math.max(0, heading));
  const [head, ...rest] = lines;
  if (!head) return refuse('the file is empty');
  const wide = Math.max(...lines.slice(0, 50).map(({ cells }) => cells.length));
  if (wide > MOST_COLUMNS)
    return refuse(`row 1: over ${MOST_COLUMNS} columns; no running order has so many`);
  const named =
    heading >= 0 ||
    !head.cells.some((cell) => clockMinutes(splitDateTime(cell).time) !== undefined);
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
