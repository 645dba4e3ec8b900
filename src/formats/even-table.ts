import { writeCells } from './csv';

/** What pictures ask for in the evening, a picture a row, to lie beside the files. */

export interface EvenRow {
  readonly file: string;
  readonly camera: string;
  /** Wall clock of the place. */
  readonly takenLocal: string;
  /** Counted from 1 in order of time. */
  readonly run: number;
  readonly of: string;
  readonly liftStops?: number;
  /** The neighbour that the lamps lit otherwise. */
  readonly flickersWith?: string;
  readonly keptFraction?: number;
  readonly megapixels?: number;
  readonly turnDeg?: number;
}

const COLUMNS = [
  'File',
  'Camera',
  'Taken',
  'Run',
  'Of',
  'Lift, stops',
  'Lamps flickered beside',
  'Crop, % of each side',
  'Megapixels left',
  'Turn clockwise, degrees',
] as const;

const tenths = (value: number | undefined): number | '' =>
  // A figure that rounds to nothing is written without a sign.
  value === undefined ? '' : Math.round(value * 10) / 10 + 0;

export const writeEvenTable = (rows: readonly EvenRow[]): string =>
  writeCells([
    COLUMNS,
    ...rows.map((row) => [
      ...[row.file, row.camera, row.takenLocal, row.run, row.of],
      ...[tenths(row.liftStops), row.flickersWith ?? ''],
      row.keptFraction === undefined ? '' : Math.round(row.keptFraction * 100),
      ...[tenths(row.megapixels), tenths(row.turnDeg)],
    ]),
  ]);
