import { jot, strikeOut } from './journal';
import { Refused, writeChange, writeLast, type Any, type Change } from './storage';
import { changedOnto } from './changes';

/**
 * Writes of what changed, a record at a time: the first at once, those that follow together a moment later,
 * so that a drag writes a few times a second. What could not be written waits for the next.
 */
const WAIT_MS = 250;

/** What a record became when it was written: with what other tabs did, or as it was when refused. */
export type Told = (key: string, now: Any | undefined) => void;

export interface PendingWrites {
  /** @param drag many a second come: only the writes themselves are kept, not each of them */
  put: (key: string, change: Change, drag?: boolean) => void;
  forget: (key: string) => void;
  /** What waits to be written of a record. */
  waiting: (key: string) => Change | undefined;
  /** States that wait, by key. */
  all: () => ReadonlyMap<string, Any>;
  /** Another tab has written: what waits here is to be done to that. Answers with the state it gives. */
  rebase: (key: string, newest: Any) => Any;
  flush: () => Promise<void>;
  /** Writes all there is without asking other tabs: the page goes away. */
  flushLast: () => void;
}

export interface Writers {
  readonly write: (key: string, change: Change) => Promise<Any | undefined>;
  readonly writeLast: (records: ReadonlyMap<string, Any>) => Promise<void>;
}

export function pendingWrites(
  told: {
    readonly failed: (error: unknown) => void;
    readonly saved: () => void;
    readonly written: Told;
  },
  { write, writeLast: last }: Writers = { write: writeChange, writeLast },
): PendingWrites {
  const waiting = new Map<string, Change>();
  /** What is being written of each record. */
  const writing = new Map<string, Change>();
  /** The last write of each record, which the next waits for. */
  const busy = new Map<string, Promise<void>>();
  /** Could not be written: tried again with the next change, not over and over. */
  const failed = new Set<string>();
  let timer: ReturnType<typeof setTimeout> | undefined;

  const rebase = (key: string, newest: Any): Any => {
    const mine = waiting.get(key);
    if (!mine?.from) return mine?.to ?? newest;
    const to = changedOnto(mine.from, mine.to, newest);
    waiting.set(key, { from: newest, to });
    return to;
  };

  async function writeOne(key: string): Promise<boolean> {
    const change = waiting.get(key);
    if (!change) return true;
    waiting.delete(key);
    failed.delete(key);
    writing.set(key, change);
    try {
      const record = await write(key, change);
      if (record !== change.to) told.written(key, record && rebase(key, record));
      return true;
    } catch (error) {
      if (error instanceof Refused) {
        told.written(key, change.from);
        waiting.delete(key);
      } else {
        const later = waiting.get(key);
        waiting.set(key, { from: change.from, to: later?.to ?? change.to });
        failed.add(key);
      }
      told.failed(error);
      return false;
    } finally {
      writing.delete(key);
      if (!waiting.has(key)) strikeOut(key);
    }
  }

  const flush = async () => {
    const keys = [...waiting.keys()];
    const results = await Promise.all(
      keys.map((key) => {
        const mine = (busy.get(key) ?? Promise.resolve()).then(() => writeOne(key));
        const done = mine.then(() => undefined);
        busy.set(key, done);
        return mine;
      }),
    );
    if (keys.length > 0 && results.every(Boolean)) told.saved();
  };

  /** Writes what gathered meanwhile, for as long as anything does. */
  const gather = () => {
    timer = setTimeout(() => {
      timer = undefined;
      if (![...waiting.keys()].some((key) => !failed.has(key))) return;
      gather();
      void flush();
    }, WAIT_MS);
  };

  return {
    put: (key, { from, to }, drag = false) => {
      const before = waiting.get(key);
      const change = { from: before ? before.from : from, to };
      waiting.set(key, change);
      const since = writing.get(key) ?? change;
      if (!drag) jot(key, since.from, to);
      failed.delete(key);
      if (timer !== undefined) return;
      gather();
      void flush();
    },
    forget: (key) => {
      waiting.delete(key);
      strikeOut(key);
    },
    waiting: (key) => waiting.get(key),
    all: () => new Map([...waiting].map(([key, { to }]) => [key, to])),
    rebase,
    flush,
    flushLast: () => {
      const records = new Map([...waiting].map(([key, { to }]) => [key, to]));
      if (records.size > 0) void last(records).catch(told.failed);
    },
  };
}
