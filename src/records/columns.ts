import { z } from 'zod';
import { text } from './shape';

/**
 * What the columns of running orders were read as, by the names they had: the next table of the same
 * club is read without asking. One is kept.
 * @example
 * const columns = columnsSchema.parse({ version: 1, byName: { race: 'name', off: 'start' } });
 */

export const COLUMNS_VERSION = 1;
/** Names beyond this many are forgotten, the oldest first. */
export const MOST_COLUMNS = 200;

export const COLUMN_MEANINGS = [
  'skip',
  'name',
  'start',
  'date',
  'duration',
  'end',
  'heat',
  'lane',
  'number',
  'who',
  'surname',
  'given',
  'team',
  'worth',
  'visits',
] as const;
export type ColumnMeaning = (typeof COLUMN_MEANINGS)[number];

export const columnsSchema = z.strictObject({
  version: z.literal(COLUMNS_VERSION),
  byName: z
    .record(text(200), z.enum(COLUMN_MEANINGS))
    .refine((all) => Object.keys(all).length <= MOST_COLUMNS, {
      message: `must have at most ${MOST_COLUMNS} columns`,
    }),
});
export type Columns = z.infer<typeof columnsSchema>;

/** What lifts a record of version n to n + 1, at index n − 1. */
export const COLUMNS_MIGRATIONS = [];

export const FIRST_COLUMNS: Columns = { version: COLUMNS_VERSION, byName: {} };
