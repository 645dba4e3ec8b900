import { z } from 'zod';
import { floorsSchema, kitItemSchema, withinLimits } from './kit';
import { text } from './shape';

/**
 * All the kit one has, to fill bags from, and what is always packed. One is kept.
 * @example
 * const shelf = shelfSchema.parse(FIRST_SHELF);
 */

export const SHELF_VERSION = 3;
/** Most things on the shelf, and most lines that are always packed. */
export const MOST_ON_SHELF = 200;
export const MOST_ALWAYS = 60;

export const shelfSchema = z
  .strictObject({
    version: z.literal(SHELF_VERSION),
    items: z.array(kitItemSchema).max(MOST_ON_SHELF),
    /** Lines of every packing list: keys, a sandwich. */
    always: z.array(text(80)).max(MOST_ALWAYS),
    /** Floors of one's own, for every shoot. */
    floors: floorsSchema,
  })
  .refine(({ items }) => new Set(items.map(({ id }) => id)).size === items.length, {
    path: ['items'],
    message: 'must not hold the same id twice',
  });
export type Shelf = z.infer<typeof shelfSchema>;

type Migration = (older: Record<string, unknown>) => unknown;

/** From version 2 on floors of one's own stay with the kit. */
const from1To2: Migration = (older) => ({ ...older, version: 2, floors: {} });

/** From version 3 on what lies on the shelf keeps the core's own limits. */
const from2To3: Migration = (older) => ({
  ...older,
  version: 3,
  items: Array.isArray(older.items) ? older.items.map(withinLimits) : [],
});

/** What lifts a record of version n to n + 1, at index n − 1. */
export const SHELF_MIGRATIONS: readonly Migration[] = [from1To2, from2To3];

export const FIRST_SHELF: Shelf = { version: SHELF_VERSION, items: [], always: [], floors: {} };
