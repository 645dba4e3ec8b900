import { median, range, shuffler } from 'd3-array';
import { CUES, type Signs } from '@/presets/cues';
import type { LogEntry } from '@/records/log';

/** Signs before a moment: put in order, and timed. */

/** What one's own log says of what follows what. */
export interface Follows {
  readonly first: string;
  readonly then: string;
  /** The middle of the times between them. */
  readonly afterS: number;
  readonly count: number;
}

/** What comes later than this after something does not come of it. No source. */
const LONGEST_S = 120;
/** Seen so often, it may be counted on. No source. */
const FEWEST = 3;

/** What was seen to follow what in a log, the surest first. */
export function followsIn(entries: readonly LogEntry[]): readonly Follows[] {
  const seen = entries
    .flatMap((entry) =>
      entry.kind === 'behaviour' && !entry.rehearsed
        ? { name: entry.name, atS: Date.parse(`${entry.atLocal}Z`) / 1000 }
        : [],
    )
    .sort((a, b) => a.atS - b.atS);
  const gaps = new Map<string, number[]>();
  seen.slice(1).forEach(({ name, atS }, i) => {
    const before = seen[i];
    if (!before || before.name === name || atS - before.atS > LONGEST_S) return;
    const key = JSON.stringify([before.name, name]);
    gaps.set(key, [...(gaps.get(key) ?? []), atS - before.atS]);
  });
  return [...gaps]
    .filter(([, all]) => all.length >= FEWEST)
    .map(([key, all]) => {
      const [first, then] = JSON.parse(key) as [string, string];
      return { first, then, afterS: median(all) ?? 0, count: all.length };
    })
    .sort((a, b) => b.count - a.count);
}

/** The signs of a subject; all of them at home. */
export function signsFor(
  subject: { readonly id: string; readonly basedOn?: string } | undefined,
): readonly Signs[] {
  if (!subject) return CUES;
  const own = subject.basedOn ?? subject.id;
  return CUES.filter(({ subjects }) => subjects.includes(own));
}

/** What a log says as signs to be timed. */
export const asSigns = ({ first, then, afterS }: Follows): Signs => ({
  ...{ id: 'own', name: `${first}, then ${then}`, subjects: [] },
  signs: [
    { text: first, beforeS: afterS },
    { text: then, beforeS: 0 },
  ],
});

/** The order in which signs are shown: mixed, and never as they come. */
export function mixed(count: number, chance: () => number): readonly number[] {
  const order = shuffler(chance)(range(count));
  return order.every((sign, i) => sign === i) ? [...order.slice(1), 0] : order;
}

/** How many of the signs stand in their place. */
export const inPlace = (order: readonly number[]): number =>
  order.filter((sign, i) => sign === i).length;

/** One waits no longer than this for the first sign, and times run so much slower or faster than usual. No source. */
const LONGEST_BEFORE_S = 6;
const VARIES = 0.2;

/**
 * When each sign comes, once: the moment is 0. What takes longer than one waits is drawn together; no two times are
 * alike.
 */
export function runOf({ signs }: Pick<Signs, 'signs'>, chance: () => number): readonly number[] {
  const pace = 1 + VARIES * (2 * chance() - 1);
  const first = signs[0]?.beforeS ?? 0;
  const share = Math.min(1, LONGEST_BEFORE_S / (first * pace));
  // What is near the moment keeps its time: that is what is learned.
  return signs.map(({ beforeS }) => {
    const s = beforeS * pace;
    return s <= 2 || share === 1
      ? -s
      : -(2 + ((s - 2) * (LONGEST_BEFORE_S - 2)) / (first * pace - 2));
  });
}
