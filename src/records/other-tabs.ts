import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { SHOOTS_KEY, writerOf } from './queries';
import type { Shoot } from './shoot';
import { COLUMNS, parseShoot, QUICK, SHELF, shootIdOf } from './storage';

/**
 * The same records open in several tabs. What one tab writes, the browser tells the others: they take it
 * over, so that their next change builds on it and overwrites nothing.
 */

type Heard = (id: string) => void;
const listeners = new Set<Heard>();

/** Calls when another tab has changed a shoot, until it is told to stop. */
export function onOtherTab(heard: Heard): () => void {
  listeners.add(heard);
  return () => void listeners.delete(heard);
}

const SINGLES: ReadonlySet<string> = new Set([QUICK.key, SHELF.key, COLUMNS.key]);

/** The list with a shoot as another tab has written it, or without it. */
export function takenOver(
  shoots: readonly Shoot[],
  id: string,
  written: Shoot | undefined,
): Shoot[] {
  const others = shoots.filter((shoot) => shoot.id !== id);
  if (!written) return others;
  return [...others, written].sort((a, b) => (a.startLocal < b.startLocal ? -1 : 1));
}

/** What is to be done about a record that another tab has written or removed. */
export function hearOtherTab(
  client: QueryClient,
  { key, newValue }: Pick<StorageEvent, 'key' | 'newValue'>,
): void {
  if (key === null || SINGLES.has(key)) {
    void client.invalidateQueries(key === null ? {} : { queryKey: [key] });
    return;
  }
  const id = shootIdOf(key);
  if (id === undefined) return;
  const parsed = newValue === null ? undefined : parseShoot(newValue);
  // Another version of the app may write what this one can't read: that stays in its tab.
  if (parsed && !parsed.ok) return;
  const written = parsed?.record;
  const waiting = writerOf(client).waiting(id);
  if (waiting && written && waiting.updatedAt > written.updatedAt) return;
  writerOf(client).forget(id);
  client.setQueryData<Shoot[]>(SHOOTS_KEY, (shoots) => shoots && takenOver(shoots, id, written));
  listeners.forEach((heard) => heard(id));
}

/** Listens to the other tabs. */
export function useOtherTabs(): void {
  const client = useQueryClient();
  useEffect(() => {
    const hear = (event: StorageEvent) => hearOtherTab(client, event);
    window.addEventListener('storage', hear);
    return () => window.removeEventListener('storage', hear);
  }, [client]);
}
