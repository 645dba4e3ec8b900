import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import { pendingWrites, type PendingWrites } from './pending-writes';
import type { Shoot } from './shoot';
import {
  discardSetAside,
  readKept,
  readSetAside,
  readShoots,
  removeShoot,
  seedOnce,
  storageUse,
  writeKept,
  writeShoot,
  type Kept,
} from './storage';

export const SHOOTS_KEY = ['shoots'] as const;
const SET_ASIDE_KEY = ['set-aside'] as const;
const SAVE_TROUBLE_KEY = ['save-trouble'] as const;

/** Says on every page that a save failed, and why. */
export const noteSaveTrouble = (client: QueryClient, error: unknown): void =>
  void client.setQueryData(SAVE_TROUBLE_KEY, String(error));

/** The records shown when this storage is opened for the first time. */
export type Seed = readonly Shoot[];

const writersByClient = new WeakMap<QueryClient, PendingWrites>();

/** What writes the changes of a page. */
export function writerOf(client: QueryClient): PendingWrites {
  const known = writersByClient.get(client);
  if (known) return known;
  const writer = pendingWrites(
    (error) => noteSaveTrouble(client, error),
    writeShoot,
    () => void client.setQueryData(SAVE_TROUBLE_KEY, null),
  );
  writersByClient.set(client, writer);
  return writer;
}

/** All shoots, in the order of their start. Damaged ones are set aside while reading. */
export function useShoots(seed: Seed) {
  const client = useQueryClient();
  return useQuery({
    queryKey: SHOOTS_KEY,
    queryFn: async () => {
      await seedOnce(async () => {
        await Promise.all(seed.map(writeShoot));
      });
      const shoots = await readShoots();
      await client.invalidateQueries({ queryKey: SET_ASIDE_KEY });
      return shoots;
    },
    staleTime: Infinity,
  });
}

export const useSetAside = () =>
  useQuery({ queryKey: SET_ASIDE_KEY, queryFn: readSetAside, staleTime: Infinity });

/** Why the last save failed, if it did. */
export const useSaveTrouble = () =>
  useQuery<string | null>({
    queryKey: SAVE_TROUBLE_KEY,
    queryFn: () => null,
    staleTime: Infinity,
  }).data;

/** What can be done to shoots. Every change is seen at once and written a moment later. */
export function useShootActions() {
  const client = useQueryClient();
  return useMemo(() => {
    const writer = writerOf(client);
    const setShoots = (change: (shoots: Shoot[]) => Shoot[]) =>
      client.setQueryData<Shoot[]>(SHOOTS_KEY, (shoots = []) => change(shoots));
    return {
      add: (shoot: Shoot) => {
        writer.put(shoot);
        // Where no list has been read yet, it is read with this one in it: it must not become the whole list.
        if (!client.getQueryData(SHOOTS_KEY)) {
          void writer.flush();
          return;
        }
        setShoots((shoots) =>
          [...shoots, shoot].sort((a, b) => (a.startLocal < b.startLocal ? -1 : 1)),
        );
      },
      update: (id: string, change: (shoot: Shoot) => Shoot) =>
        setShoots((shoots) =>
          shoots.map((shoot) => {
            if (shoot.id !== id) return shoot;
            const next = { ...change(shoot), updatedAt: new Date().toISOString() };
            writer.put(next);
            return next;
          }),
        ),
      remove: (id: string) => {
        writer.forget(id);
        setShoots((shoots) => shoots.filter((shoot) => shoot.id !== id));
        // There is room again for what did not fit.
        void removeShoot(id).then(() => writer.flush());
      },
      /** Writes what waits, before anything else happens: no tap is lost with the page. */
      keepNow: () => void writer.flush(),
      discardSetAside: async (asideKey: string) => {
        await discardSetAside(asideKey);
        await client.invalidateQueries({ queryKey: SET_ASIDE_KEY });
      },
    };
  }, [client]);
}

/** Everything out and in: for a backup. */
export function useSafeKeeping() {
  const client = useQueryClient();
  return useMemo(() => {
    const put = async (kept: Kept) => {
      await writerOf(client).flush();
      await writeKept(kept);
      // Whatever a page has read of it is read again.
      await client.invalidateQueries();
    };
    return {
      take: async (): Promise<Kept> => {
        await writerOf(client).flush();
        const kept = await readKept();
        // What does not fit into the browser goes into the file none the less.
        const unsaved = writerOf(client).all();
        const others = kept.shoots.filter(({ id }) => !unsaved.some((shoot) => shoot.id === id));
        return { ...kept, shoots: [...others, ...unsaved] };
      },
      /** @throws what the storage threw, with everything as it was */
      put,
    };
  }, [client]);
}

const STORAGE_KEY = ['storage-use'] as const;

/** Characters in use, read again when shoots change. */
export function useStorageUse(shoots: readonly Shoot[] | undefined): number | undefined {
  return useQuery({
    queryKey: [...STORAGE_KEY, shoots?.length, shoots?.map(({ updatedAt }) => updatedAt).join()],
    queryFn: storageUse,
    enabled: shoots !== undefined,
    gcTime: 0,
  }).data;
}

/** Writes what waits when the page is hidden or left. */
export function useFlushOnLeave() {
  const client = useQueryClient();
  useEffect(() => {
    const flush = () => void writerOf(client).flush();
    window.addEventListener('pagehide', flush);
    document.addEventListener('visibilitychange', flush);
    return () => {
      window.removeEventListener('pagehide', flush);
      document.removeEventListener('visibilitychange', flush);
    };
  }, [client]);
}
