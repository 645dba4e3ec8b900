import { openDevice, ROOT } from './device';
import { readSummary, type Summary } from './list';

/**
 * What a shoot answered when it was last looked at, as its line of answer said it: seen again while its page is
 * fetched and set up. It holds for one state of the record; a shoot that was changed since has none.
 * @example
 * await keepLastAnswer({ id, updatedAt, shutter: '1/1000', aperture: 'f/2.8', iso: 'ISO 800', now: 'good to the end', then: '' });
 */
export interface LastAnswer {
  readonly id: string;
  /** Of the record it was computed from. */
  readonly updatedAt: string;
  /** As engraved: "1/1250", "f/2.8", "ISO 3200". */
  readonly shutter: string;
  readonly aperture: string;
  readonly iso: string;
  /** How long it holds, in two short lines. */
  readonly now: string;
  readonly then: string;
}

export const LAST_ANSWER_PREFIX = `${ROOT}last-answer/`;

/** By hand, as with summaries: it is read before any package has been. */
function lastAnswerFrom(written: string | undefined): LastAnswer | undefined {
  if (written === undefined) return undefined;
  try {
    const read = JSON.parse(written) as Partial<LastAnswer> | null;
    const { id, updatedAt, shutter, aperture, iso, now, then } = read ?? {};
    const texts = [id, updatedAt, shutter, aperture, iso, now, then];
    return texts.every((text) => typeof text === 'string') ? (read as LastAnswer) : undefined;
  } catch {
    return undefined;
  }
}

/** What is known of a shoot before its page has been fetched. */
export interface Known {
  readonly summary: Summary;
  readonly answer?: LastAnswer;
}

/** Where it is not kept yet, what ships with the app. */
export interface Shipped {
  readonly summaries: readonly Summary[];
  readonly answers: readonly LastAnswer[];
}

export async function readKnown(id: string, shipped: Shipped): Promise<Known | undefined> {
  const key = LAST_ANSWER_PREFIX + id;
  const [kept, texts] = await Promise.all([
    readSummary(id),
    openDevice().then((device) => device.read([key])),
  ]);
  const summary = kept ?? shipped.summaries.find((one) => one.id === id);
  if (!summary) return undefined;
  const own = [lastAnswerFrom(texts.get(key)), shipped.answers.find((one) => one.id === id)];
  const answer = own.find((one) => one?.id === id && one.updatedAt === summary.updatedAt);
  return { summary, ...(answer && { answer }) };
}

/** Without room for it nothing is lost: the page computes it anyway. */
export async function keepLastAnswer(answer: LastAnswer): Promise<void> {
  const device = await openDevice();
  const key = LAST_ANSWER_PREFIX + answer.id;
  const text = JSON.stringify(answer);
  if ((await device.read([key])).get(key) === text) return;
  await device.change({ [key]: text }).catch(() => undefined);
}
