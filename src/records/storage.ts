import AsyncStorage from '@react-native-async-storage/async-storage';
import { z } from 'zod';
import { parseRecordText, type Parsed } from './parse';
import {
  COLUMNS_MIGRATIONS,
  COLUMNS_VERSION,
  columnsSchema,
  FIRST_COLUMNS,
  type Columns,
} from './columns';
import { FIRST_QUICK, QUICK_MIGRATIONS, QUICK_VERSION, quickSchema, type Quick } from './quick';
import { FIRST_SHELF, SHELF_MIGRATIONS, SHELF_VERSION, shelfSchema, type Shelf } from './shelf';
import { SHOOT_MIGRATIONS, SHOOT_VERSION, shootSchema, type Shoot } from './shoot';

/**
 * Where records are kept: one AsyncStorage key a record, so that damage to one touches no other.
 * A record that can't be read is moved aside with its text whole and the reason, and reported.
 */

const ROOT = 'bright-perch';
const SHOOT_PREFIX = `${ROOT}/shoot/`;
const ASIDE_PREFIX = `${ROOT}/set-aside/`;
const SEEDED_KEY = `${ROOT}/seeded`;

const setAsideSchema = z.object({
  key: z.string(),
  reason: z.string(),
  text: z.string(),
  setAsideAt: z.string(),
});
/** A record that could not be read, kept whole. */
export type SetAside = z.infer<typeof setAsideSchema> & { readonly asideKey: string };

export const SHOOT_KIND = {
  schema: shootSchema,
  version: SHOOT_VERSION,
  migrations: SHOOT_MIGRATIONS,
};

/** A record of which one is kept, as it was left. */
export interface Single<T> {
  readonly key: string;
  readonly first: T;
  readonly kind: Parameters<typeof parseRecordText<T>>[1];
}

export const QUICK: Single<Quick> = {
  key: `${ROOT}/quick`,
  first: FIRST_QUICK,
  kind: { schema: quickSchema, version: QUICK_VERSION, migrations: QUICK_MIGRATIONS },
};
export const SHELF: Single<Shelf> = {
  key: `${ROOT}/shelf`,
  first: FIRST_SHELF,
  kind: { schema: shelfSchema, version: SHELF_VERSION, migrations: SHELF_MIGRATIONS },
};
export const COLUMNS: Single<Columns> = {
  key: `${ROOT}/columns`,
  first: FIRST_COLUMNS,
  kind: { schema: columnsSchema, version: COLUMNS_VERSION, migrations: COLUMNS_MIGRATIONS },
};

export const parseShoot = (text: string): Parsed<Shoot> => parseRecordText(text, SHOOT_KIND);

/** The id of the shoot that is kept under a key, if one is. */
export const shootIdOf = (key: string): string | undefined =>
  key.startsWith(SHOOT_PREFIX) ? key.slice(SHOOT_PREFIX.length) : undefined;

async function setAside(key: string, text: string, reason: string): Promise<void> {
  const entry = { key, reason, text, setAsideAt: new Date().toISOString() };
  await AsyncStorage.setItem(`${ASIDE_PREFIX}${key}/${Date.now()}`, JSON.stringify(entry));
  await AsyncStorage.removeItem(key);
}

async function textsUnder(prefix: string): Promise<readonly (readonly [string, string])[]> {
  const keys = (await AsyncStorage.getAllKeys()).filter((key) => key.startsWith(prefix));
  const pairs = await AsyncStorage.multiGet(keys);
  return pairs.filter((pair): pair is [string, string] => pair[1] !== null);
}

/** All shoots that can be read; those that can't are set aside on the way. */
export async function readShoots(): Promise<Shoot[]> {
  const shoots: Shoot[] = [];
  for (const [key, text] of await textsUnder(SHOOT_PREFIX)) {
    const parsed = parseShoot(text);
    const misfiled = parsed.ok && key !== SHOOT_PREFIX + parsed.record.id;
    if (parsed.ok && !misfiled) shoots.push(parsed.record);
    else await setAside(key, text, parsed.ok ? 'id: must match where it is kept' : parsed.reason);
  }
  return shoots.sort((a, b) => (a.startLocal < b.startLocal ? -1 : 1));
}

export async function writeShoot(shoot: Shoot): Promise<void> {
  await AsyncStorage.setItem(SHOOT_PREFIX + shoot.id, JSON.stringify(shoot));
}

export async function removeShoot(id: string): Promise<void> {
  await AsyncStorage.removeItem(SHOOT_PREFIX + id);
}

/** A single record as it was left, or as it begins. One that can't be read is set aside. */
export async function readSingle<T>({ key, first, kind }: Single<T>): Promise<T> {
  const text = await AsyncStorage.getItem(key);
  if (text === null) return first;
  const parsed = parseRecordText(text, kind);
  if (parsed.ok) return parsed.record;
  await setAside(key, text, parsed.reason);
  return first;
}

export async function writeSingle<T>({ key }: Single<T>, record: T): Promise<void> {
  await AsyncStorage.setItem(key, JSON.stringify(record));
}

/** What was set aside, newest first. An entry damaged in turn is shown with its text as it is. */
export async function readSetAside(): Promise<SetAside[]> {
  const entries = (await textsUnder(ASIDE_PREFIX)).map(([asideKey, text]): SetAside => {
    try {
      return { ...setAsideSchema.parse(JSON.parse(text)), asideKey };
    } catch {
      return { asideKey, key: asideKey, reason: 'unreadable', text, setAsideAt: '' };
    }
  });
  return entries.sort((a, b) => (a.setAsideAt < b.setAsideAt ? 1 : -1));
}

export async function discardSetAside(asideKey: string): Promise<void> {
  await AsyncStorage.removeItem(asideKey);
}

/** All that is kept but what was set aside. */
export interface Kept {
  readonly shoots: readonly Shoot[];
  readonly quick: Quick;
  readonly shelf: Shelf;
  readonly columns: Columns;
}

export const readKept = async (): Promise<Kept> => ({
  shoots: await readShoots(),
  quick: await readSingle(QUICK),
  shelf: await readSingle(SHELF),
  columns: await readSingle(COLUMNS),
});

/**
 * Puts a whole state in place of the one there is. When it does not fit, what was there is put back.
 * @throws what the storage threw, with everything as it was
 */
export async function writeKept({ shoots, quick, shelf, columns }: Kept): Promise<void> {
  const singles = [QUICK.key, SHELF.key, COLUMNS.key];
  const mine = (key: string) => key.startsWith(SHOOT_PREFIX) || singles.includes(key);
  const there = (await AsyncStorage.getAllKeys()).filter(mine);
  const before = (await AsyncStorage.multiGet(there)).filter(
    (pair): pair is [string, string] => pair[1] !== null,
  );
  const after: [string, string][] = [
    ...shoots.map((shoot): [string, string] => [SHOOT_PREFIX + shoot.id, JSON.stringify(shoot)]),
    [QUICK.key, JSON.stringify(quick)],
    [SHELF.key, JSON.stringify(shelf)],
    [COLUMNS.key, JSON.stringify(columns)],
  ];
  const kept = new Set(after.map(([key]) => key));
  const gone = there.filter((key) => !kept.has(key));
  try {
    await AsyncStorage.multiRemove(gone);
    for (const [key, text] of after) await AsyncStorage.setItem(key, text);
  } catch (error) {
    await AsyncStorage.multiRemove(after.map(([key]) => key));
    for (const [key, text] of before) await AsyncStorage.setItem(key, text);
    throw error;
  }
}

/** Characters that browsers let one page keep. Common practice, no source. */
export const STORAGE_CHARS = 5_000_000;

/** Characters in use. */
export async function storageUse(): Promise<number> {
  const keys = await AsyncStorage.getAllKeys();
  const pairs = await AsyncStorage.multiGet(keys);
  return pairs.reduce((sum, [key, text]) => sum + key.length + (text?.length ?? 0), 0);
}

/** Runs `seed` once in the life of this storage. */
export async function seedOnce(seed: () => Promise<void>): Promise<void> {
  if ((await AsyncStorage.getItem(SEEDED_KEY)) !== null) return;
  await seed();
  await AsyncStorage.setItem(SEEDED_KEY, new Date().toISOString());
}
