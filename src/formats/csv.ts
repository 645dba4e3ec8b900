import Papa from 'papaparse';

/** A spreadsheet runs a cell that begins like this, some also where the sign is a wide one. */
const RUNS = /^[=+\-@\t\r＝＋－＠]/;

type Cell = string | number;

/** Rows as a CSV table (RFC 4180) that no spreadsheet takes for a formula. */
export const writeCells = (rows: readonly (readonly Cell[] | Record<string, Cell>)[]): string =>
  `${Papa.unparse(rows as Cell[][], { escapeFormulae: RUNS, newline: '\r\n' })}\r\n`;
