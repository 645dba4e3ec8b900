import { queryOptions, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { openDevice, readWhileOpening, type Device } from './device';
import { byStart, isSeeded, readList, type Summary } from './list';
import type { Shoot } from './shoot';

/**
 * What the list of shoots asks: the first page, which needs no more of the records than their summaries.
 * All else about records is in `queries.ts`.
 */

export const LIST_KEY = ['list'] as const;
export const SAVE_TROUBLE_KEY = ['save-trouble'] as const;

/** Says on every page that a save failed, and why. */
export const noteSaveTrouble = (client: QueryClient, trouble: string | null): void =>
  void client.setQueryData(SAVE_TROUBLE_KEY, trouble);

export const reasonOf = (error: unknown): string =>
  error instanceof Error ? error.message : String(error);

/** The records put in when this storage is opened for the first time, and what the list says of them. */
export interface Seed {
  readonly shoots: () => Promise<readonly Shoot[]>;
  readonly summaries: readonly Summary[];
}

/** All shoots as the list shows them, in the order of their start; at the first start those that will be put in. */
async function listOf(seed: Seed, device?: Device): Promise<Summary[]> {
  const [listed, seeded] = await Promise.all([readList(device), isSeeded(device)]);
  if (seeded) return listed;
  const fresh = seed.summaries.filter(({ id }) => !listed.some((other) => other.id === id));
  return [...listed, ...fresh].sort(byStart);
}

/** What was read before there was a page to show it; it is taken once. */
let ahead: Promise<Summary[]> | undefined;

const shootList = (seed: Seed) =>
  queryOptions({
    queryKey: LIST_KEY,
    queryFn: () => {
      const read = ahead ?? listOf(seed);
      ahead = undefined;
      return read;
    },
    staleTime: Infinity,
  });

/** Reads the list while the app is still being put together, if that is the page it opens on. */
export function readListAhead(seed: Seed): void {
  if (window.location.pathname !== '/') return;
  ahead = readWhileOpening((device) => listOf(seed, device));
  // The page that takes it says what it lacks.
  ahead.catch(() => undefined);
}

/** Takes what was read ahead, before the page that shows it is put together. */
export function takeListAhead(client: QueryClient, seed: Seed): void {
  if (ahead) void client.prefetchQuery(shootList(seed));
}

/** The list of shoots. */
export function useShootList(seed: Seed) {
  const client = useQueryClient();
  const list = useQuery(shootList(seed));
  const shown = list.data !== undefined;
  useEffect(() => {
    if (!shown) return;
    const put = async () => {
      if (await isSeeded()) return;
      const { seedOnce } = await import('./storage');
      await seedOnce(seed.shoots);
      await client.invalidateQueries({ queryKey: LIST_KEY });
    };
    put().catch((error: unknown) => noteSaveTrouble(client, reasonOf(error)));
  }, [shown, client, seed]);
  return list;
}

/** Why the last save failed, if it did. */
export const useSaveTrouble = () =>
  useQuery<string | null>({
    queryKey: SAVE_TROUBLE_KEY,
    queryFn: () => null,
    staleTime: Infinity,
  }).data;

/** Why nothing is kept beyond this page, if so. */
export const useOnlyHere = () =>
  useQuery({
    queryKey: ['only-here'],
    queryFn: async () => (await openDevice()).onlyHere ?? null,
    staleTime: Infinity,
  }).data;
