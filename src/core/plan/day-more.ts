import type { Counted, Digit } from './day-states';

/** How much better a plan might be than the one that was found, by the most that can be had at all. */

/** So many promises more at the most, and so much more value, whatever becomes of the promises. */
export interface AtMostMore {
  readonly promises: number;
  readonly value: number;
}

/** As many promises as can be kept at all, each by itself. */
export function mostPromises(
  digits: readonly Digit[],
  counted: ReadonlyMap<string, Counted>,
): number {
  const owed = digits.reduce((sum, digit) => sum + (digit.kind === 'debt' ? digit.promises : 0), 0);
  return [...counted.values()].reduce((sum, { alone }) => sum + alone, owed);
}

/** What is lost to rounding. */
const TINY = 1e-10;

/**
 * How much more there might be. A better plan may keep a promise more and bring less beside it, so what promises there
 * could be is reckoned from nothing beside them.
 * @param highest the most that promises and value come to, a promise counting `promised`
 * @param mostKept as many promises as there are, @param mostValue the most value, promises left aside
 */
export function atMostMore(
  { kept, value }: { readonly kept: number; readonly value: number },
  most: {
    readonly highest: number;
    readonly promised: number;
    readonly mostKept: number;
    readonly mostValue: number;
  },
): AtMostMore {
  const { highest, promised, mostKept, mostValue } = most;
  const reached = Math.floor((highest + TINY) / promised);
  return {
    promises: Math.max(0, Math.min(mostKept, reached) - kept),
    value: Math.max(0, Math.min(highest - kept * promised, mostValue) - value),
  };
}
