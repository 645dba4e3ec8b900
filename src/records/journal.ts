import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { newId } from './new-id';

/**
 * What is being written, jotted down in the very turn of a tap: a browser that dies a moment later has it
 * none the less. The record itself follows through its lock and its schema, and then the jotting is struck
 * out. What a dead page left is done to the records when the next page opens.
 */

const DATABASE = 'bright-perch-journal';
const STORE = 'jottings';

/** The parts of a record that a change touches, before and after; all of it when the record is new. */
export interface Jotting {
  readonly tab: string;
  readonly key: string;
  readonly from: Readonly<Record<string, unknown>> | undefined;
  readonly to: Readonly<Record<string, unknown>>;
}

interface Journal extends DBSchema {
  [STORE]: { key: string; value: Jotting };
}

const TAB = newId();
const tabLock = (tab: string): string => `bright-perch/tab/${tab}`;
const locks = () => (globalThis as { readonly navigator?: Navigator }).navigator?.locks;

/** The page that stood in this very tab before, which is gone whatever the browser still holds of it. */
const SESSION_KEY = 'bright-perch/tab';
function tabBefore(): string | undefined {
  try {
    const before = sessionStorage.getItem(SESSION_KEY);
    sessionStorage.setItem(SESSION_KEY, TAB);
    return before === null || before === TAB ? undefined : before;
  } catch {
    return undefined;
  }
}
let before: string | undefined;

let journal: IDBPDatabase<Journal> | undefined;

/** Opens the journal, and has this page known as alive for as long as it is. None where there is no room. */
export async function openJournal(): Promise<void> {
  if (journal || typeof indexedDB === 'undefined') return;
  before = tabBefore();
  try {
    journal = await openDB<Journal>(DATABASE, 1, {
      upgrade: (database) => void database.createObjectStore(STORE),
    });
    void locks()?.request(tabLock(TAB), () => new Promise(() => undefined));
  } catch {
    journal = undefined;
  }
}

/** Does something to the journal and asks that it be kept, in this turn. A journal that can't is done without. */
function inJournal(work: (store: IDBObjectStore) => void): void {
  if (!journal) return;
  try {
    const transaction = journal.transaction(STORE, 'readwrite', { durability: 'relaxed' });
    transaction.done.catch(() => undefined);
    work(transaction.store as unknown as IDBObjectStore);
    transaction.commit();
  } catch {
    // Full, or closed by the browser: the record's own write says so.
  }
}

/** Jots a change down: only what differs. */
export function jot(key: string, from: object | undefined, to: object): void {
  const before = from as Jotting['from'];
  const after = to as Jotting['to'];
  const touched = Object.keys({ ...from, ...to }).filter((name) => before?.[name] !== after[name]);
  const part = (record: Jotting['to']) =>
    Object.fromEntries(touched.flatMap((name) => (name in record ? [[name, record[name]]] : [])));
  const jotting: Jotting = {
    ...{ tab: TAB, key },
    from: before && part(before),
    to: before ? part(after) : after,
  };
  inJournal((store) => void store.put(jotting, `${TAB}/${key}`));
}

/** Strikes a change out: it is written. */
export const strikeOut = (key: string): void =>
  inJournal((store) => void store.delete(`${TAB}/${key}`));

/** What pages that are gone have left, and a way to strike it all out. */
export async function leftBehind(): Promise<{
  readonly jottings: readonly Jotting[];
  readonly strike: () => void;
}> {
  const all = (await journal?.getAll(STORE).catch(() => [])) ?? [];
  // The locks are asked only of what may be another tab's.
  const held = all.length > 0 ? ((await locks()?.query())?.held ?? []) : [];
  const alive = new Set(held.map(({ name }) => name));
  const jottings = all.filter(
    ({ tab }) => tab !== TAB && (tab === before || !alive.has(tabLock(tab))),
  );
  return {
    jottings,
    strike: () =>
      inJournal((store) => jottings.forEach(({ tab, key }) => void store.delete(`${tab}/${key}`))),
  };
}
