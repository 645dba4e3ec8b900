import oldStore, {
  createAsyncStorage,
  type AsyncStorage,
} from '@react-native-async-storage/async-storage';

import { leftBehind, openJournal } from './journal';
import { seriesApart, seriesIn, withSeries } from './series';

/**
 * Where texts are kept, by key: IndexedDB, a database of our own. Where the browser keeps nothing they live
 * as long as the page. What an older version of the app kept is carried over once.
 */

export const ROOT = 'bright-perch/';
const DATABASE = 'bright-perch';
const CARRIED_KEY = `${ROOT}carried-over`;

type Store = Pick<AsyncStorage, 'getMany' | 'setMany' | 'removeMany' | 'getAllKeys'>;

export interface Device {
  /** Keys that hold something. */
  readonly keys: () => Promise<string[]>;
  /** Texts by key, without those that hold nothing. */
  readonly read: (keys: readonly string[]) => Promise<Map<string, string>>;
  /** Puts texts in place, and takes away those that are null: all in one transaction, or none. */
  readonly change: (texts: Readonly<Record<string, string | null>>) => Promise<void>;
  /** Why nothing is kept beyond this page, if so. */
  readonly onlyHere?: string;
}

/** Holds nothing: what is taken away in a transaction with what is put. */
const GONE = '';
const SERIES_PREFIX = `${ROOT}series/`;
const seriesKey = (key: string, name: string): string => `${SERIES_PREFIX}${key}/${name}`;

function deviceOver(store: Store, onlyHere?: string): Device {
  const textsAt = async (keys: readonly string[]): Promise<Map<string, string>> => {
    const found = await store.getMany([...keys]);
    return new Map(
      Object.entries(found).filter((pair): pair is [string, string] => Boolean(pair[1])),
    );
  };
  const recordKeys = async () =>
    (await store.getAllKeys()).filter((key) => !key.startsWith(SERIES_PREFIX));
  return {
    keys: recordKeys,
    read: async (keys) => {
      const texts = await textsAt(keys);
      const wanted = [...texts].flatMap(([key, text]) =>
        seriesIn(text).map((name) => ({ key, name })),
      );
      if (wanted.length === 0) return texts;
      const lying = await textsAt(wanted.map(({ key, name }) => seriesKey(key, name)));
      const whole = (key: string, text: string): string => {
        const own = seriesIn(text).flatMap((name) => {
          const series = lying.get(seriesKey(key, name));
          return series === undefined ? [] : [[name, series] as const];
        });
        return withSeries(text, new Map(own));
      };
      return new Map([...texts].map(([key, text]) => [key, whole(key, text)]));
    },
    change: async (texts) => {
      const lying = (await store.getAllKeys()).filter((key) => key.startsWith(SERIES_PREFIX));
      const put: Record<string, string> = {};
      const gone: string[] = [];
      for (const [key, text] of Object.entries(texts)) {
        const apart = seriesApart(text ?? GONE);
        put[key] = apart.text;
        if (text === null) gone.push(key);
        const before = new Set(lying.filter((other) => other.startsWith(seriesKey(key, ''))));
        for (const [name, series] of apart.series) {
          const at = seriesKey(key, name);
          if (!before.delete(at)) put[at] = series;
        }
        before.forEach((at) => (put[at] = GONE));
        gone.push(...before);
      }
      await store.setMany(put);
      // They hold nothing already; that they are named no more is tidiness.
      if (gone.length > 0) await store.removeMany(gone).catch(() => undefined);
    },
    ...(onlyHere !== undefined && { onlyHere }),
  };
}

/** A store that lives as long as the page. */
function memoryStore(texts: Readonly<Record<string, string>>): Store {
  const held = new Map(Object.entries(texts));
  return {
    getAllKeys: async () => [...held.keys()],
    getMany: async (keys) => Object.fromEntries(keys.map((key) => [key, held.get(key) ?? null])),
    setMany: async (entries) =>
      Object.entries(entries).forEach(([key, text]) => held.set(key, text)),
    removeMany: async (keys) => keys.forEach((key) => held.delete(key)),
  };
}

/** Records of an older version; how the page looks stays where it was. */
const OLD_RECORD = /^bright-perch\/(shoot\/|set-aside\/|(quick|shelf|columns|seeded)$)/;

/** What an older version of the app kept; nothing where the browser refuses to say. */
async function oldTexts(): Promise<Record<string, string>> {
  try {
    const keys = (await oldStore.getAllKeys()).filter((key) => OLD_RECORD.test(key));
    const found = Object.entries(await oldStore.getMany(keys));
    return Object.fromEntries(found.filter((pair): pair is [string, string] => pair[1] !== null));
  } catch {
    return {};
  }
}

/**
 * Carries over what an older version kept, checks that it arrived, and only then clears it away there. Answers whether
 * there was anything to do.
 * @throws what the new store threw: the old one is untouched then
 */
async function carriedOver(disk: Device): Promise<boolean> {
  const there = await disk.read([CARRIED_KEY]);
  if (there.has(CARRIED_KEY)) return false;
  const old = await oldTexts();
  const known = new Set(await disk.keys());
  const fresh = Object.entries(old).filter(([key]) => !known.has(key));
  await disk.change({ ...Object.fromEntries(fresh), [CARRIED_KEY]: new Date().toISOString() });
  const arrived = await disk.read(fresh.map(([key]) => key));
  if (fresh.some(([key, text]) => arrived.get(key) !== text)) {
    throw new Error('what was kept before did not arrive whole');
  }
  await oldStore.removeMany(Object.keys(old)).catch(() => undefined);
  return true;
}

/** Does to the records what pages that died had only jotted down, and answers whether there was anything. */
async function recovered(disk: Device): Promise<boolean> {
  const { jottings, strike } = await leftBehind();
  if (jottings.length === 0) return false;
  const { recover } = await import('./recover');
  await recover(disk, jottings);
  strike();
  return true;
}

interface Opening {
  /** The disk itself, before it is known whether anything is to be put in. */
  readonly disk: Device;
  /** What is worked with, and whether it is the disk as it was found. */
  readonly opened: Promise<{ readonly device: Device; readonly asFound: boolean }>;
}

async function openedOver(disk: Device): Opening['opened'] {
  try {
    const [carried] = await Promise.all([carriedOver(disk), openJournal()]);
    const recalled = await recovered(disk);
    return { device: disk, asFound: !carried && !recalled };
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    return { device: deviceOver(memoryStore(await oldTexts()), why), asFound: false };
  }
}

let opening: Opening | undefined;

function begun(): Opening {
  if (!opening) {
    const disk = deviceOver(createAsyncStorage(DATABASE));
    opening = { disk, opened: openedOver(disk) };
  }
  return opening;
}

/** The device, opened when it is first asked for. */
export const openDevice = async (): Promise<Device> => (await begun().opened).device;

/** What is read while the device is being opened: read again where opening it put something in. */
export async function readWhileOpening<T>(read: (device: Device) => Promise<T>): Promise<T> {
  const { disk, opened } = begun();
  const early = read(disk);
  // A disk that can't be read is not worked with; what is says so itself.
  early.catch(() => undefined);
  const { device, asFound } = await opened;
  return asFound ? early : read(device);
}

/** Opens it anew. For tests: a page does so by being loaded. */
export const reopenDevice = (): void => {
  opening = undefined;
};
