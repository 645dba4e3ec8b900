import { z } from 'zod';
import { openDevice, ROOT } from './device';
import { id, localMinute, text } from './shape';

/**
 * What the list of shoots says of each: kept beside the record, in the same transaction, so that a list of
 * two hundred is read without reading two hundred shoots. It is made anew from the record when missing.
 * @example
 * const summary = summarySchema.parse(summaryOf(shoot));
 */

export const SUMMARY_VERSION = 1;
export const SUMMARY_PREFIX = `${ROOT}summary/`;
export const SHOOT_PREFIX = `${ROOT}shoot/`;
export const SEEDED_KEY = `${ROOT}seeded`;

const path = z.string().max(400_000);
const boxed = z.number().min(-1).max(101);

export const summarySchema = z.strictObject({
  version: z.literal(SUMMARY_VERSION),
  id,
  title: text(120),
  startLocal: localMinute,
  endLocal: localMinute,
  updatedAt: z.iso.datetime(),
  /** The ground in a box of 100: paths of lines and areas, and where one may stand. */
  sketch: z.strictObject({
    lines: path,
    solids: path,
    places: z.array(z.strictObject({ x: boxed, y: boxed })).max(400),
  }),
});
export type Summary = z.infer<typeof summarySchema>;

function summaryFrom(written: string | undefined): Summary | undefined {
  if (written === undefined) return undefined;
  try {
    return summarySchema.safeParse(JSON.parse(written)).data;
  } catch {
    return undefined;
  }
}

/** Earliest first. */
export const byStart = (
  a: { readonly startLocal: string },
  b: { readonly startLocal: string },
): number => (a.startLocal < b.startLocal ? -1 : 1);

/** All shoots as the list shows them. Those without a summary are read whole, and get one. */
export async function readList(seed: () => Promise<void>): Promise<Summary[]> {
  const device = await openDevice();
  if (!(await device.read([SEEDED_KEY])).has(SEEDED_KEY)) await seed();
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
