import { sunPosition } from '@/core';
import { DEMO_SHOOTS } from '@/demo';
import type { Shoot } from '@/records/shoot';
import { hoursOf } from '@/records/times';

const MEASURE_MS = 1500;

/** Operations a second, after a warm-up. */
export function perSecond(work: (i: number) => unknown, measureMs = MEASURE_MS): number {
  for (let i = 0; i < 20; i += 1) work(i);
  const start = performance.now();
  let count = 0;
  while (performance.now() - start < measureMs) {
    work(count);
    count += 1;
  }
  return (count * 1000) / (performance.now() - start);
}

export const rounded = (value: number): string => value.toPrecision(3);

const [larkmoor] = DEMO_SHOOTS as [Shoot];
const { fromMs } = hoursOf(larkmoor);

/** How fast the machine is at this moment, to set beside each figure: others may have a share of it. */
export const sunsPerSecond = (measureMs?: number): number =>
  perSecond(
    (i) => sunPosition({ time: fromMs + (i % 180) * 60_000, ...larkmoor.place }),
    measureMs,
  );

const FLANK_MS = 400;
/** A run is quiet when the machine is as fast as this share of its best, before and after. */
const QUIET = 0.85;
let bestPerSecond = 0;

/**
 * So many runs of what is measured, others on the machine at rest: those that had to share it are told apart by the
 * machine's speed about them, and done again, up to three times as many. Then the least shared ones are taken.
 * @returns the runs, and in words how fast the machine was in the slowest of them and how many had to be done
 */
export async function quietRuns<T>(
  count: number,
  measure: () => Promise<T>,
): Promise<{ readonly runs: readonly T[]; readonly told: string }> {
  const done: { readonly run: T; readonly perSecond: number }[] = [];
  const quiet = () => done.filter((one) => one.perSecond >= QUIET * bestPerSecond);
  let before = sunsPerSecond(FLANK_MS);
  while (quiet().length < count && done.length < 3 * count) {
    const run = await measure();
    const after = sunsPerSecond(FLANK_MS);
    bestPerSecond = Math.max(bestPerSecond, before, after);
    done.push({ run, perSecond: Math.min(before, after) });
    before = after;
  }
  const taken = done.sort((a, b) => b.perSecond - a.perSecond).slice(0, count);
  const slowest = Math.min(...taken.map((one) => one.perSecond));
  return {
    runs: taken.map(({ run }) => run),
    told: `(${count} of ${done.length} runs, ${rounded(slowest)} suns a second or more)`,
  };
}
