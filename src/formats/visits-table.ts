import { writeCells } from './csv';

/** What was watched at a place and who came, a quarter of an hour a row, for other programs. */

export interface VisitsRow {
  readonly fromLocal: string;
  readonly watchedH: number;
  readonly visits: number;
  readonly mark: string;
  readonly sky: string;
  readonly shoot: string;
}

const COLUMNS = ['From', 'Watched minutes', 'Visits', 'Mark', 'Sky', 'Shoot'] as const;

export const writeVisits = (rows: readonly VisitsRow[]): string =>
  writeCells([
    COLUMNS,
    ...[...rows]
      .sort((a, b) => (a.fromLocal < b.fromLocal ? -1 : a.fromLocal > b.fromLocal ? 1 : 0))
      .map(({ fromLocal, watchedH, visits, mark, sky, shoot }) => [
        ...[fromLocal, Math.round(watchedH * 60), visits, mark, sky, shoot],
      ]),
  ]);
