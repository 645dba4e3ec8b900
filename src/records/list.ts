import { openDevice, ROOT, type Device } from './device';

/**
 * What the list of shoots says of each: kept beside the record, in the same transaction, so that a list of
 * two hundred is read without reading two hundred shoots. It is made anew from the record when missing.
 * @example
 * const summary: Summary = summaryOf(shoot);
 */

export const SUMMARY_VERSION = 2;
export const SUMMARY_PREFIX = `${ROOT}summary/`;
export const SHOOT_PREFIX = `${ROOT}shoot/`;
export const SEEDED_KEY = `${ROOT}seeded`;

const LOCAL_MINUTE = /^\d{4}-\d\d-\d\dT\d\d:\d\d$/;

/** The ground in a box of 100: paths of lines and areas, and where one may stand. */
interface Sketch {
  readonly lines: string;
  readonly solids: string;
  readonly places: readonly { readonly x: number; readonly y: number }[];
}

export interface Summary {
  readonly version: typeof SUMMARY_VERSION;
  readonly id: string;
  readonly title: string;
  readonly startLocal: string;
  readonly endLocal: string;
  /** Of the place: its clock says whether a shoot is on. */
  readonly timeZone: string;
  readonly updatedAt: string;
  readonly sketch: Sketch;
}

const isText = (value: unknown): value is string => typeof value === 'string';
const isPlace = (value: unknown): boolean =>
  Number.isFinite((value as Sketch['places'][number] | null)?.x) &&
  Number.isFinite((value as Sketch['places'][number] | null)?.y);

const zones = new Set<string>();

/** Whether there is a clock here for a zone. */
function isZone(name: string): boolean {
  if (zones.has(name)) return true;
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
  } catch {
    return false;
  }
  zones.add(name);
  return true;
}

/** By hand, so that the first page needs no package for it: what is not one is made anew from its record. */
function isSummary(value: unknown): value is Summary {
  const { version, sketch, ...texts } = (value ?? {}) as Partial<Summary>;
  const { id, title, startLocal, endLocal, timeZone, updatedAt } = texts;
  return (
    version === SUMMARY_VERSION &&
    [id, title, startLocal, endLocal, timeZone, updatedAt].every(isText) &&
    [sketch?.lines, sketch?.solids].every(isText) &&
    LOCAL_MINUTE.test(startLocal ?? '') &&
    isZone(timeZone as string) &&
    Array.isArray(sketch?.places) &&
    sketch.places.every(isPlace)
  );
}

function summaryFrom(written: string | undefined): Summary | undefined {
  if (written === undefined) return undefined;
  try {
    const read: unknown = JSON.parse(written);
    return isSummary(read) ? read : undefined;
  } catch {
    return undefined;
  }
}

/** Whether a shoot ships with the app. */
export const isDemo = ({ id }: { readonly id: string }): boolean => id.startsWith('demo-');

/** What places a shoot on the list. */
type Placed = Pick<Summary, 'startLocal' | 'title'>;

const ascending = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** Earliest first; at the same minute by title, so that a copy stands behind its original. */
export const byStart = (a: Placed, b: Placed): number =>
  ascending(a.startLocal, b.startLocal) || ascending(a.title, b.title);

/** Whether the first shoots were put in here once. */
export const isSeeded = async (device?: Device): Promise<boolean> =>
  (await (device ?? (await openDevice())).read([SEEDED_KEY])).has(SEEDED_KEY);

/** What the list says of one shoot, if that is kept. */
export async function readSummary(shootId: string): Promise<Summary | undefined> {
  const key = SUMMARY_PREFIX + shootId;
  const summary = summaryFrom((await (await openDevice()).read([key])).get(key));
  return summary?.id === shootId ? summary : undefined;
}

/** All shoots as the list shows them. Those without a summary are read whole, and get one. */
export async function readList(from?: Device): Promise<Summary[]> {
  const device = from ?? (await openDevice());
  const keys = await device.keys();
  const ids = keys
    .filter((key) => key.startsWith(SHOOT_PREFIX))
    .map((key) => key.slice(SHOOT_PREFIX.length));
  const texts = await device.read(ids.map((shootId) => SUMMARY_PREFIX + shootId));
  const summaries: Summary[] = [];
  const bare: string[] = [];
  for (const shootId of ids) {
    const summary = summaryFrom(texts.get(SUMMARY_PREFIX + shootId));
    if (summary?.id === shootId) summaries.push(summary);
    else bare.push(shootId);
  }
  if (bare.length > 0) {
    const { summarised } = await import('./storage');
    summaries.push(...(await summarised(bare)));
  }
  return summaries.sort(byStart);
}
