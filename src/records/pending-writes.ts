import { writeShoot } from './storage';
import type { Shoot } from './shoot';

/**
 * Writes that wait a moment, so that a drag writes once; the last state of each record wins.
 * `flush` writes all now: before the page goes away. What could not be written is tried again with it.
 */
const WAIT_MS = 250;
/** While changes keep coming, as under a drag, this long at most. */
const LONGEST_MS = 1000;

export interface PendingWrites {
  put: (shoot: Shoot) => void;
  forget: (id: string) => void;
  /** The state of a record that waits to be written. */
  waiting: (id: string) => Shoot | undefined;
  /** All states that wait. */
  all: () => readonly Shoot[];
  flush: () => Promise<void>;
}

export function pendingWrites(
  onError: (error: unknown) => void,
  write: (shoot: Shoot) => Promise<void> = writeShoot,
  onSaved: () => void = () => undefined,
): PendingWrites {
  const waiting = new Map<string, Shoot>();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let dueMs: number | undefined;
  const flush = async () => {
    clearTimeout(timer);
    dueMs = undefined;
    const shoots = [...waiting.values()];
    waiting.clear();
    const results = await Promise.allSettled(shoots.map((shoot) => write(shoot)));
    results.forEach((result, i) => {
      const shoot = shoots[i];
      if (result.status === 'fulfilled' || !shoot) return;
      // It waits for the next flush, unless a later state of it does.
      if (!waiting.has(shoot.id)) waiting.set(shoot.id, shoot);
      onError(result.reason);
    });
    if (shoots.length > 0 && results.every(({ status }) => status === 'fulfilled')) onSaved();
  };
  return {
    put: (shoot) => {
      waiting.set(shoot.id, shoot);
      const nowMs = Date.now();
      dueMs ??= nowMs + LONGEST_MS;
      clearTimeout(timer);
      timer = setTimeout(() => void flush(), Math.min(WAIT_MS, dueMs - nowMs));
    },
    forget: (id) => void waiting.delete(id),
    waiting: (id) => waiting.get(id),
    all: () => [...waiting.values()],
    flush,
  };
}
