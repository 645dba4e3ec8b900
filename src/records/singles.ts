import {
  CAPTIONS_MIGRATIONS,
  CAPTIONS_VERSION,
  captionsSchema,
  FIRST_CAPTIONS,
  type Captions,
} from './captions';
import {
  COLUMNS_MIGRATIONS,
  COLUMNS_VERSION,
  columnsSchema,
  FIRST_COLUMNS,
  type Columns,
} from './columns';
import {
  FIRST_PRACTICE,
  PRACTICE_MIGRATIONS,
  PRACTICE_VERSION,
  practiceSchema,
  type Practice,
} from './practice';
import { FIRST_QUICK, QUICK_MIGRATIONS, QUICK_VERSION, quickSchema, type Quick } from './quick';
import { FIRST_SHELF, SHELF_MIGRATIONS, SHELF_VERSION, shelfSchema, type Shelf } from './shelf';
import { ROOT } from './device';
import type { parseRecordText } from './parse';

/** Records of which one is kept. */

export type Kind<T> = Parameters<typeof parseRecordText<T>>[1];

/** A record of which one is kept, as it was left. */
export interface Single<T> {
  readonly key: string;
  readonly first: T;
  readonly kind: Kind<T>;
}

export const QUICK: Single<Quick> = {
  key: `${ROOT}quick`,
  first: FIRST_QUICK,
  kind: { schema: quickSchema, version: QUICK_VERSION, migrations: QUICK_MIGRATIONS },
};
export const SHELF: Single<Shelf> = {
  key: `${ROOT}shelf`,
  first: FIRST_SHELF,
  kind: { schema: shelfSchema, version: SHELF_VERSION, migrations: SHELF_MIGRATIONS },
};
export const COLUMNS: Single<Columns> = {
  key: `${ROOT}columns`,
  first: FIRST_COLUMNS,
  kind: { schema: columnsSchema, version: COLUMNS_VERSION, migrations: COLUMNS_MIGRATIONS },
};
export const PRACTICE: Single<Practice> = {
  key: `${ROOT}practice`,
  first: FIRST_PRACTICE,
  kind: { schema: practiceSchema, version: PRACTICE_VERSION, migrations: PRACTICE_MIGRATIONS },
};
export const CAPTIONS: Single<Captions> = {
  key: `${ROOT}captions`,
  first: FIRST_CAPTIONS,
  kind: { schema: captionsSchema, version: CAPTIONS_VERSION, migrations: CAPTIONS_MIGRATIONS },
};
