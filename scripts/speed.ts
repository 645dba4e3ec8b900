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

/** The demo's shoot that is asked in every bench, and its hours. */
export const [larkmoor] = DEMO_SHOOTS as [Shoot];
export const hours = hoursOf(larkmoor);

/** A moment of them, another each time. */
export const minute = (i: number): number => hours.fromMs + (i % 180) * 60_000;

/** How fast the machine is at this moment, to set beside each figure: others may have a share of it. */
export const sunsPerSecond = (measureMs?: number): number =>
  perSecond((i) => sunPosition({ time: minute(i), ...larkmoor.place }), measureMs);

const FLANK_MS = 400;
/** A run is quiet when the machine is as fast as this share of its best, before and after. */
const QUIET = 0.85;
let bestPerSecond = 0;

/** How long is waited, for all of some runs, until others let the machine be, and how often it is looked. */
const PATIENCE_MS = 600_000;
const LOOK_AGAIN_MS = 2000;

const isQuiet = (perSecond: number): boolean => perSecond >= QUIET * bestPerSecond;

/** The machine's speed as soon as it is quiet, or when there is no patience left. */
async function speedWhenQuiet(untilMs: number): Promise<number> {
  for (;;) {
    const speed = sunsPerSecond(FLANK_MS);
    bestPerSecond = Math.max(bestPerSecond, speed);
    if (isQuiet(speed) || performance.now() > untilMs) return speed;
    await new Promise((done) => setTimeout(done, LOOK_AGAIN_MS));
  }
}

/**
 * So many runs of what is measured, others on the machine at rest: each begins when it is quiet. Those in which it was
 * shared all the same are told apart by its speed about them, and done again, up to three times as many or as long as
 * there is patience. Then the least shared ones are taken.
 * @returns the runs, and in words how fast the machine was in the slowest of them and how many had to be done
 */
export async function quietRuns<T>(
  count: number,
  measure: () => Promise<T>,
): Promise<{ readonly runs: readonly T[]; readonly told: string }> {
  const done: { readonly run: T; readonly perSecond: number }[] = [];
  const quiet = () => done.filter((one) => isQuiet(one.perSecond));
  const untilMs = performance.now() + PATIENCE_MS;
  while (quiet().length < count && (done.length < 3 * count || performance.now() < untilMs)) {
    const before = await speedWhenQuiet(untilMs);
    const run = await measure();
    const after = sunsPerSecond(FLANK_MS);
    bestPerSecond = Math.max(bestPerSecond, after);
    done.push({ run, perSecond: Math.min(before, after) });
  }
  const taken = done.sort((a, b) => b.perSecond - a.perSecond).slice(0, count);
  const slowest = Math.min(...taken.map((one) => one.perSecond));
  return {
    runs: taken.map(({ run }) => run),
    told: `(${count} of ${done.length} runs, ${rounded(slowest)} suns a second or more)`,
  };
}
