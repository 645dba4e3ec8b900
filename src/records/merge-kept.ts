import { MOST_COLUMNS } from './columns';
import { MOST_TRIES } from './practice';
import { MOST_ALWAYS, MOST_ON_SHELF } from './shelf';
import type { Kept } from './storage';

/** Entries of both, those of the second in place of the first's of the same id. */
function union<T extends { readonly id: string }>(
  first: readonly T[],
  second: readonly T[],
  newer: (a: T, b: T) => T,
): T[] {
  const all = new Map(first.map((entry) => [entry.id, entry]));
  for (const entry of second) {
    const known = all.get(entry.id);
    all.set(entry.id, known ? newer(known, entry) : entry);
  }
  return [...all.values()];
}

/**
 * What is here and what a backup holds, together: of a shoot that both have, the one changed last; of
 * the shelf and of practice, everything; the quick answer stays the one that is here.
 */
export function mergedKept(here: Kept, backup: Kept): Kept {
  return {
    shoots: union(here.shoots, backup.shoots, (a, b) => (b.updatedAt > a.updatedAt ? b : a)),
    quick: here.quick,
    shelf: {
      ...here.shelf,
      items: union(here.shelf.items, backup.shelf.items, (a) => a).slice(0, MOST_ON_SHELF),
      floors: { ...backup.shelf.floors, ...here.shelf.floors },
      always: [...new Set([...here.shelf.always, ...backup.shelf.always])].slice(0, MOST_ALWAYS),
    },
    practice: {
      ...here.practice,
      tries: union(here.practice.tries, backup.practice.tries, (a) => a)
        .sort((a, b) => (a.at < b.at ? -1 : 1))
        .slice(-MOST_TRIES),
    },
    // As the quick answer: as they are written here.
    captions: here.captions,
    // One text is set aside once.
    setAside: [...new Map([...here.setAside, ...backup.setAside].map((e) => [e.text, e])).values()],
    columns: {
      ...here.columns,
      byName: Object.fromEntries(
        Object.entries({ ...backup.columns.byName, ...here.columns.byName }).slice(-MOST_COLUMNS),
      ),
    },
  };
}

/** How a backup stands to what is here, for one to choose by. */
export function comparedKept(here: Kept, backup: Kept) {
  const known = new Map(here.shoots.map((shoot) => [shoot.id, shoot.updatedAt]));
  const both = backup.shoots.filter(({ id }) => known.has(id));
  return {
    shoots: backup.shoots.length,
    fresh: backup.shoots.length - both.length,
    newerHere: both.filter(({ id, updatedAt }) => (known.get(id) ?? '') > updatedAt).length,
    newerInBackup: both.filter(({ id, updatedAt }) => (known.get(id) ?? '') < updatedAt).length,
    onlyHere: here.shoots.filter(({ id }) => !backup.shoots.some((shoot) => shoot.id === id))
      .length,
  };
}
