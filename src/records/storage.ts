import { z } from 'zod';
import type { Captions } from './captions';
import type { Columns } from './columns';
import type { Practice } from './practice';
import type { Quick } from './quick';
import type { Shelf } from './shelf';
import { CAPTIONS, COLUMNS, PRACTICE, QUICK, SHELF, type Kind, type Single } from './singles';
import { announce } from './between-tabs';
import { changedOnto } from './changes';
import { openDevice, ROOT } from './device';
import { byStart, SEEDED_KEY, SHOOT_PREFIX, SUMMARY_PREFIX, type Summary } from './list';
import { LAST_ANSWER_PREFIX } from './last-answer';
import { underLock } from './locks';
import { firstProblem, parseRecordText, type Parsed } from './parse';
import { newId } from './new-id';
import { SHOOT_VERSION, shootSchema, type Shoot } from './shoot';
import { SHOOT_MIGRATIONS } from './shoot-migrations';
import { summaryOf } from './summary';

/**
 * Where records are kept: a key a record, so that damage to one touches no other. Nothing is written but
 * through its schema. A record that can't be read is moved aside with its text whole and the reason.
 */

const ASIDE_PREFIX = `${ROOT}set-aside/`;

export const SHOOT_KIND: Kind<Shoot> = {
  schema: shootSchema,
  version: SHOOT_VERSION,
  migrations: SHOOT_MIGRATIONS,
};

const SINGLES = [QUICK, SHELF, COLUMNS, PRACTICE, CAPTIONS] as const;

export const shootKey = (id: string): string => SHOOT_PREFIX + id;
/** The id of the shoot that is kept under a key, if one is. */
export const shootIdOf = (key: string): string | undefined =>
  key.startsWith(SHOOT_PREFIX) ? key.slice(SHOOT_PREFIX.length) : undefined;

/** What a key holds is one of these. */
export type Any = Shoot | Quick | Shelf | Columns | Practice | Captions;

/** @throws RangeError for a key that no record has */
export function kindOf(key: string): Kind<Any> {
  if (shootIdOf(key) !== undefined) return SHOOT_KIND as Kind<Any>;
  const single = SINGLES.find((entry) => entry.key === key);
  if (!single) throw new RangeError(`key ${key}: must be that of a record`);
  return single.kind as Kind<Any>;
}

/** What stands under a key before anything was written: of that of which there is always one. */
export const firstOf = (key: string): Any | undefined =>
  SINGLES.find((entry) => entry.key === key)?.first;

/** A record as it was last read or written here, with its text. */
interface Known {
  readonly text: string;
  readonly record: Any;
}
const known = new Map<string, Known>();

const problems = new WeakMap<object, string | undefined>();

/** Why a record would be refused, if it would. Asked once of each state. */
export function refusalOf(key: string, record: object): string | undefined {
  if (!problems.has(record)) {
    const checked = kindOf(key).schema.safeParse(record);
    problems.set(record, checked.success ? undefined : firstProblem(checked.error));
  }
  return problems.get(record);
}

/** A change that can't be kept, with the field and what it must be. */
export class Refused extends Error {}

export const setAsideSchema = z.strictObject({
  key: z.string().max(200),
  reason: z.string().max(1000),
  text: z.string(),
  setAsideAt: z.string().max(40),
});
/** A record that could not be read, kept whole. */
export type SetAside = z.infer<typeof setAsideSchema> & { readonly asideKey: string };

/** What lies beside a shoot and can be made anew from it. */
const BESIDE_PREFIXES = [SUMMARY_PREFIX, LAST_ANSWER_PREFIX] as const;

/** What goes when a record goes: itself, and what lies beside it. */
const goneTexts = (key: string): Record<string, null> => {
  const id = shootIdOf(key);
  const beside = id === undefined ? [] : BESIDE_PREFIXES.map((prefix) => prefix + id);
  return Object.fromEntries([key, ...beside].map((gone) => [gone, null]));
};

/** What found no room to be set aside: it stays where it is, and is told of from here. */
const asideHere = new Map<string, SetAside>();

async function setAside(key: string, text: string, reason: string): Promise<void> {
  const device = await openDevice();
  const entry = { key, reason, text, setAsideAt: new Date().toISOString() };
  const asideKey = `${ASIDE_PREFIX}${key}/${Date.now()}`;
  try {
    await device.change({ [asideKey]: JSON.stringify(entry), ...goneTexts(key) });
    asideHere.delete(key);
  } catch {
    asideHere.set(key, { ...entry, asideKey: key });
  }
}

/** What a key holds; nothing when there is none, or when it had to be set aside. */
async function readKey(key: string): Promise<Any | undefined> {
  const text = (await (await openDevice()).read([key])).get(key);
  if (text === undefined) {
    known.delete(key);
    return undefined;
  }
  const before = known.get(key);
  if (before?.text === text) return before.record;
  const parsed = parseRecordText(text, kindOf(key));
  const misfiled = parsed.ok && 'id' in parsed.record && shootKey(parsed.record.id) !== key;
  if (!parsed.ok || misfiled) {
    await setAside(key, text, parsed.ok ? 'id: must match where it is kept' : parsed.reason);
    return undefined;
  }
  known.set(key, { text, record: parsed.record });
  return parsed.record;
}

export const parseShoot = (text: string): Parsed<Shoot> => parseRecordText(text, SHOOT_KIND);

export const readShoot = async (id: string): Promise<Shoot | null> =>
  ((await readKey(shootKey(id))) as Shoot | undefined) ?? null;

async function shootIds(): Promise<string[]> {
  const keys = await (await openDevice()).keys();
  return keys.flatMap((key) => shootIdOf(key) ?? []);
}

/** All shoots that can be read; those that can't are set aside on the way. */
export async function readShoots(): Promise<Shoot[]> {
  const shoots: Shoot[] = [];
  for (const id of await shootIds()) {
    const shoot = await readShoot(id);
    if (shoot) shoots.push(shoot);
  }
  return shoots.sort(byStart);
}

/** What is written of a record: itself, and what the list says of it. */
export const textsOf = (key: string, record: Any, text: string): Record<string, string> => ({
  [key]: text,
  ...('marks' in record && { [SUMMARY_PREFIX + record.id]: JSON.stringify(summaryOf(record)) }),
});

/** Summaries of shoots that have none, made and kept. */
export async function summarised(ids: readonly string[]): Promise<Summary[]> {
  const summaries: Summary[] = [];
  for (const id of ids) {
    const shoot = await readShoot(id);
    if (shoot) summaries.push(summaryOf(shoot));
  }
  const texts = summaries.map((summary) => [SUMMARY_PREFIX + summary.id, JSON.stringify(summary)]);
  // Without room for them they are made again next time.
  await (await openDevice()).change(Object.fromEntries(texts)).catch(() => undefined);
  return summaries;
}

/** From one state of a record to another; to nothing when it is taken away, from nothing when new. */
export interface Change {
  readonly from: Any | undefined;
  readonly to: Any;
}

/**
 * Writes what changed onto the newest state there is, whoever wrote that, and answers with what is kept
 * now; nothing when another tab took the record away.
 * @throws Refused when it would not be a record any more; what the storage threw when it does not fit
 */
export async function writeChange(key: string, change: Change): Promise<Any | undefined> {
  return underLock(key, async () => {
    const device = await openDevice();
    const wasHere = known.has(key);
    const newest = await readKey(key);
    if (newest === undefined && change.from !== undefined && wasHere) return undefined;
    const alone = newest === undefined || change.from === undefined || newest === change.to;
    const record = alone ? change.to : changedOnto(change.from, change.to, newest);
    const problem = refusalOf(key, record);
    if (problem !== undefined) throw new Refused(problem);
    const text = JSON.stringify(record);
    if (known.get(key)?.text !== text) await device.change(textsOf(key, record, text));
    known.set(key, { text, record });
    announce(key);
    return record;
  });
}

/**
 * Writes states as they are, asking no other tab first: when the page goes away there is no time to wait
 * for a lock. What can't be written is lost with the page.
 */
export async function writeLast(records: ReadonlyMap<string, Any>): Promise<void> {
  const sound = [...records].filter(([key, record]) => refusalOf(key, record) === undefined);
  if (sound.length === 0) return;
  const written = sound.map(([key, record]) => ({ key, record, text: JSON.stringify(record) }));
  const texts = written.map(({ key, record, text }) => textsOf(key, record, text));
  await (await openDevice()).change(Object.assign({}, ...texts));
  written.forEach(({ key, record, text }) => known.set(key, { text, record }));
}

export async function removeShoot(id: string): Promise<void> {
  const key = shootKey(id);
  await underLock(key, async () => {
    await (await openDevice()).change(goneTexts(key));
    known.delete(key);
    asideHere.delete(key);
    announce(key);
  });
}

/** A single record as it was left, or as it begins. One that can't be read is set aside. */
export const readSingle = async <T extends Any>({ key, first }: Single<T>): Promise<T> =>
  ((await readKey(key)) as T | undefined) ?? first;

/** What was set aside, newest first. An entry damaged in turn is shown with its text as it is. */
export async function readSetAside(): Promise<SetAside[]> {
  const device = await openDevice();
  const keys = (await device.keys()).filter((key) => key.startsWith(ASIDE_PREFIX));
  const entries = [...(await device.read(keys))].map(([asideKey, text]): SetAside => {
    try {
      return { ...setAsideSchema.parse(JSON.parse(text)), asideKey };
    } catch {
      return { asideKey, key: asideKey, reason: 'unreadable', text, setAsideAt: '' };
    }
  });
  return [...entries, ...asideHere.values()].sort((a, b) => (a.setAsideAt < b.setAsideAt ? 1 : -1));
}

export async function discardSetAside(asideKey: string): Promise<void> {
  await (await openDevice()).change({ [asideKey]: null });
  asideHere.delete(asideKey);
}

/**
 * Brings a record that was set aside back, as its text now says. A shoot whose id is taken meanwhile, or
 * was never its own, gets a new one. Answers with why it can't be, if it can't: nothing is changed then.
 */
export async function bringBack(entry: SetAside, text: string): Promise<string | undefined> {
  const single = SINGLES.find(({ key }) => key === entry.key);
  const parsed = parseRecordText(text, single ? kindOf(single.key) : (SHOOT_KIND as Kind<Any>));
  if (!parsed.ok) return parsed.reason;
  const device = await openDevice();
  const { record } = parsed;
  const wanted = 'marks' in record ? shootKey(record.id) : entry.key;
  const taken = 'marks' in record && wanted !== entry.key && (await device.read([wanted])).size > 0;
  const back = taken ? { ...record, id: newId() } : record;
  const key = 'marks' in back ? shootKey(back.id) : entry.key;
  const gone = entry.asideKey === key ? {} : { [entry.asideKey]: null };
  await device.change({ ...gone, ...textsOf(key, back, JSON.stringify(back)) });
  known.delete(key);
  asideHere.delete(entry.key);
  announce(null);
  return undefined;
}

/** All that is kept. */
export interface Kept {
  readonly shoots: readonly Shoot[];
  readonly quick: Quick;
  readonly shelf: Shelf;
  readonly columns: Columns;
  readonly practice: Practice;
  readonly captions: Captions;
  /** What could not be read and was set aside. */
  readonly setAside: readonly Omit<SetAside, 'asideKey'>[];
}

export const readKept = async (): Promise<Kept> => ({
  shoots: await readShoots(),
  quick: await readSingle(QUICK),
  shelf: await readSingle(SHELF),
  columns: await readSingle(COLUMNS),
  practice: await readSingle(PRACTICE),
  captions: await readSingle(CAPTIONS),
  setAside: (await readSetAside()).map(({ asideKey: _key, ...entry }) => entry),
});

/**
 * Puts a whole state in place of the one there is, in one transaction. What was set aside here stays.
 * @throws what the storage threw, with everything as it was
 */
export async function writeKept({
  shoots,
  quick,
  shelf,
  columns,
  practice,
  captions,
  setAside: aside,
}: Kept) {
  const device = await openDevice();
  const mine = (key: string) =>
    [SHOOT_PREFIX, ...BESIDE_PREFIXES].some((prefix) => key.startsWith(prefix)) ||
    SINGLES.some((single) => single.key === key);
  const gone = (await device.keys()).filter(mine);
  const records: [string, Any][] = [
    ...shoots.map((shoot): [string, Any] => [shootKey(shoot.id), shoot]),
    [QUICK.key, quick],
    [SHELF.key, shelf],
    [COLUMNS.key, columns],
    [PRACTICE.key, practice],
    [CAPTIONS.key, captions],
  ];
  const held = new Set((await readSetAside()).map(({ text }) => text));
  await device.change({
    ...Object.fromEntries(gone.map((key) => [key, null])),
    ...Object.assign(
      {},
      ...records.map(([key, record]) => textsOf(key, record, JSON.stringify(record))),
    ),
    ...Object.fromEntries(
      aside
        .filter(({ text }) => !held.has(text))
        .map((entry, i) => [
          `${ASIDE_PREFIX}${entry.key}/${Date.now() + i}`,
          JSON.stringify(entry),
        ]),
    ),
  });
  known.clear();
  announce(null);
}

/** Puts the first shoots in, once in the life of this storage. */
export async function seedOnce(seed: () => Promise<readonly Shoot[]>): Promise<void> {
  await underLock(SEEDED_KEY, async () => {
    const device = await openDevice();
    if ((await device.read([SEEDED_KEY])).has(SEEDED_KEY)) return;
    const shoots = await seed();
    const texts = shoots.map((shoot) => textsOf(shootKey(shoot.id), shoot, JSON.stringify(shoot)));
    await device.change(Object.assign({ [SEEDED_KEY]: new Date().toISOString() }, ...texts));
  });
}

/** The state a record has on the device now, as far as it was last read here, and as it is there. */
export async function readNewest(
  key: string,
): Promise<{ readonly before: Any | undefined; readonly now: Any | undefined }> {
  const before = known.get(key)?.record;
  const now = await readKey(key);
  return { before, now };
}
