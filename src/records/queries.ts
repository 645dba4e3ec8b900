import {
  queryOptions,
  replaceEqualDeep,
  useQuery,
  useQueryClient,
  type QueryClient,
} from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import { onWrittenElsewhere } from './between-tabs';
import { byStart, type Summary } from './list';
import { LIST_KEY, noteSaveTrouble, reasonOf, type Seed } from './list-queries';
import { pendingWrites, type PendingWrites } from './pending-writes';
import { askToKeep, storageUse } from './room';
import { setUpSchemas } from './set-up';
import type { Shoot } from './shoot';
import {
  bringBack,
  discardSetAside,
  readKept,
  readNewest,
  readSetAside,
  readShoot,
  readShoots,
  refusalOf,
  removeShoot,
  seedOnce,
  shootIdOf,
  shootKey,
  writeKept,
  type Any,
  type Kept,
  type SetAside,
} from './storage';
import { summaryOf } from './summary';

/** All shoots whole, for what learns from them; and each that is open. */
const SHOOTS_KEY = ['shoots'] as const;
const OPEN_KEYS = ['shoot'] as const;
const openKey = (id: string) => [...OPEN_KEYS, id] as const;
const SET_ASIDE_KEY = ['set-aside'] as const;
/** After this long a page is taken to be drawn. */
const QUIET_MS = 1500;

/** Shows a shoot's state wherever it is shown; nothing when it is gone. */
function showShoot(client: QueryClient, id: string, shoot: Shoot | null): void {
  client.setQueryData<Shoot | null>(openKey(id), shoot);
  const put = <T extends Pick<Summary, 'id' | 'startLocal' | 'title'>>(
    list: readonly T[] | undefined,
    entry: T | null,
  ): T[] | undefined => {
    if (!list) return undefined;
    const at = list.findIndex((other) => other.id === id);
    const old = list[at];
    if (old && entry && byStart(old, entry) === 0) return list.with(at, entry);
    const others = list.filter((other) => other.id !== id);
    return entry ? [...others, entry].sort(byStart) : others;
  };
  client.setQueryData<Shoot[]>(SHOOTS_KEY, (list) => put(list, shoot));
  client.setQueryData<Summary[]>(LIST_KEY, (list) => list && put(list, shoot && summaryOf(shoot)));
}

/** Shows a record's state, whatever record it is. */
function show(client: QueryClient, key: string, record: Any | undefined): void {
  const id = shootIdOf(key);
  if (id !== undefined) showShoot(client, id, (record as Shoot | undefined) ?? null);
  else if (record) client.setQueryData([key], record);
  else void client.invalidateQueries({ queryKey: [key] });
}

const writersByClient = new WeakMap<QueryClient, PendingWrites>();

/** What writes the changes of a page. */
export function writerOf(client: QueryClient): PendingWrites {
  const known = writersByClient.get(client);
  if (known) return known;
  const writer = pendingWrites({
    failed: (error) => noteSaveTrouble(client, reasonOf(error)),
    saved: () => {
      noteSaveTrouble(client, null);
      askToKeep();
    },
    written: (key, now) => show(client, key, now),
  });
  writersByClient.set(client, writer);
  return writer;
}

/** Everything a page has read is read again; what is being read of a shoot may be of before, and counts for nothing. */
async function readAnew(client: QueryClient): Promise<void> {
  await client.cancelQueries({ queryKey: OPEN_KEYS });
  await client.invalidateQueries();
}

/** Something could not be read: it is told of, and is on the list no more. What waits to be written is. */
async function tellSetAside(client: QueryClient): Promise<void> {
  await writerOf(client).flush();
  await Promise.all(
    [SET_ASIDE_KEY, LIST_KEY].map((queryKey) => client.invalidateQueries({ queryKey })),
  );
}

/** A shoot; null when there is none of that id, or none that can be read. */
export function useShoot(id: string, seed: Seed) {
  const client = useQueryClient();
  return useQuery({
    queryKey: openKey(id),
    queryFn: async () => {
      await setUpSchemas();
      await seedOnce(seed.shoots);
      // What found no room to be written yet is what it is.
      const waits = writerOf(client).waiting(shootKey(id))?.to as Shoot | undefined;
      const shoot = waits ?? (await readShoot(id));
      if (!shoot) await tellSetAside(client);
      return shoot;
    },
    staleTime: Infinity,
    gcTime: Infinity,
  });
}

/** All shoots whole, read once. Damaged ones are set aside while reading. */
const allShoots = (client: QueryClient, seed: Seed) =>
  queryOptions({
    queryKey: SHOOTS_KEY,
    queryFn: async () => {
      await seedOnce(seed.shoots);
      const kept = new Map((await readShoots()).map((shoot) => [shoot.id, shoot]));
      const listed = client.getQueryData<Summary[]>(LIST_KEY) ?? [];
      // What is open may be ahead of what is written: changed, new, or gone.
      const shoots = [...new Set([...kept.keys(), ...listed.map(({ id }) => id)])].flatMap((id) => {
        const open = client.getQueryData<Shoot | null>(openKey(id));
        return open === null ? [] : (open ?? kept.get(id) ?? []);
      });
      if (listed.some(({ id }) => !shoots.some((shoot) => shoot.id === id))) {
        await tellSetAside(client);
      }
      return shoots.sort(byStart);
    },
    staleTime: Infinity,
  });

export const useShoots = (seed: Seed) => useQuery(allShoots(useQueryClient(), seed));

export const useSetAside = () =>
  useQuery({ queryKey: SET_ASIDE_KEY, queryFn: readSetAside, staleTime: Infinity });

/** How a change is to be taken. */
interface ChangeHow {
  /** Under the hand: many a second, checked when it is written. */
  readonly checkLater?: boolean;
}

/**
 * Changes a record that is shown: seen at once, written a moment later. One that changes nothing writes
 * nothing; one that the record's schema refuses is not made, and why is said. Answers with what was and
 * what is, if that differs.
 */
export function changeRecord<T extends Any>(
  client: QueryClient,
  key: string,
  before: T,
  wanted: T,
  { checkLater = false }: ChangeHow = {},
): T {
  const after = replaceEqualDeep(before, wanted);
  if (after === before) return before;
  const problem = checkLater ? undefined : refusalOf(key, after);
  if (problem !== undefined) {
    noteSaveTrouble(client, problem);
    return before;
  }
  show(client, key, after);
  writerOf(client).put(key, { from: before, to: after }, checkLater);
  return after;
}

/** What can be done to shoots. Every change is seen at once and written a moment later. */
export function useShootActions() {
  const client = useQueryClient();
  return useMemo(() => {
    const writer = writerOf(client);
    return {
      add: (shoot: Shoot) => {
        const problem = refusalOf(shootKey(shoot.id), shoot);
        if (problem !== undefined) {
          noteSaveTrouble(client, problem);
          return;
        }
        showShoot(client, shoot.id, shoot);
        writer.put(shootKey(shoot.id), { from: undefined, to: shoot });
      },
      /** Changes an open shoot. Answers with its states before and after; nothing when they are the same. */
      update: (id: string, change: (shoot: Shoot) => Shoot, how?: ChangeHow) => {
        const before = client.getQueryData<Shoot | null>(openKey(id));
        if (!before) return undefined;
        const wanted = replaceEqualDeep(before, change(before));
        if (wanted === before) return undefined;
        const stamped = { ...wanted, updatedAt: new Date().toISOString() };
        const after = changeRecord(client, shootKey(id), before, stamped, how);
        return after === before ? undefined : { before, after };
      },
      /** Changes a shoot that may not be open. Answers with it as it was; nothing when it is gone or the change refused. */
      change: async (id: string, how: (shoot: Shoot) => Shoot): Promise<Shoot | undefined> => {
        const shoot = client.getQueryData<Shoot | null>(openKey(id)) ?? (await readShoot(id));
        if (!shoot) return undefined;
        const changed = { ...how(shoot), updatedAt: new Date().toISOString() };
        return changeRecord(client, shootKey(id), shoot, changed) === shoot ? undefined : shoot;
      },
      /** A shoot whole, open or not. */
      whole: async (id: string): Promise<Shoot | null> =>
        client.getQueryData<Shoot | null>(openKey(id)) ?? readShoot(id),
      all: (seed: Seed) => client.ensureQueryData(allShoots(client, seed)),
      remove: (id: string) => {
        writer.forget(shootKey(id));
        showShoot(client, id, null);
        // There is room again for what did not fit.
        void removeShoot(id).then(() => writer.flush());
      },
      /** Writes what waits, before anything else happens: no tap is lost with the page. */
      keepNow: () => void writer.flush(),
      discardSetAside: async (asideKey: string) => {
        await discardSetAside(asideKey);
        await client.invalidateQueries({ queryKey: SET_ASIDE_KEY });
      },
      /** Answers with why a text can't be a record again, if it can't. */
      bringBack: async (entry: SetAside, text: string) => {
        const trouble = await bringBack(entry, text).catch(reasonOf);
        if (trouble === undefined) await readAnew(client);
        return trouble;
      },
    };
  }, [client]);
}

/** Everything out and in: for a backup. */
export function useSafeKeeping() {
  const client = useQueryClient();
  return useMemo(
    () => ({
      take: async (): Promise<Kept> => {
        await writerOf(client).flush();
        const kept = await readKept();
        // What does not fit into the browser goes into the file none the less.
        const unsaved = [...writerOf(client).all().values()].filter(
          (record): record is Shoot => 'marks' in record,
        );
        const others = kept.shoots.filter(({ id }) => !unsaved.some((shoot) => shoot.id === id));
        return { ...kept, shoots: [...others, ...unsaved] };
      },
      /** @throws what the storage threw, with everything as it was */
      put: async (kept: Kept) => {
        await writerOf(client).flush();
        await writeKept(kept);
        await readAnew(client);
      },
    }),
    [client],
  );
}

/** Reads all shoots through once the page is quiet, so that a damaged one is told of before it is needed. */
export function useReadThrough(seed: Seed): void {
  const client = useQueryClient();
  useEffect(() => {
    const timer = setTimeout(() => void client.prefetchQuery(allShoots(client, seed)), QUIET_MS);
    return () => clearTimeout(timer);
  }, [client, seed]);
}

/** Bytes in use and room there is, asked again when shoots change. */
export function useStorageUse(shoots: readonly Summary[] | undefined) {
  return useQuery({
    queryKey: ['storage-use', shoots?.map(({ updatedAt }) => updatedAt).join()],
    queryFn: storageUse,
    enabled: shoots !== undefined,
    gcTime: 0,
  }).data;
}

/** What another tab wrote is taken over, with what waits here done to it. */
export async function takeOver(client: QueryClient, key: string | null): Promise<void> {
  if (key === null) {
    await readAnew(client);
    return;
  }
  const { before, now } = await readNewest(key);
  if (now === before) return;
  const writer = writerOf(client);
  if (!now) {
    writer.forget(key);
    show(client, key, undefined);
  } else {
    show(client, key, writer.rebase(key, now));
  }
}

/** Keeps a page true to what other tabs write, and writes what waits when it is hidden or left; until told to stop. */
export function keepTrue(client: QueryClient): () => void {
  const stopHearing = onWrittenElsewhere((key) => void takeOver(client, key));
  const flush = () => void writerOf(client).flush();
  const leave = () => writerOf(client).flushLast();
  window.addEventListener('pagehide', leave);
  document.addEventListener('visibilitychange', flush);
  return () => {
    stopHearing();
    window.removeEventListener('pagehide', leave);
    document.removeEventListener('visibilitychange', flush);
  };
}
