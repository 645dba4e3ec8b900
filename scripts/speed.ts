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

/**
 * A phone, by what it works out: four times slower than the machine the goals were set on with nobody else on it
 * (93 000). A page is slowed to this, by less when others have a share of the machine already.
 */
const PHONE_SUNS_PER_SECOND = 23_000;

/** How many times slower than the machine at this speed a phone is. */
export const timesSlower = (perSecond: number): number =>
  Math.max(1, perSecond / PHONE_SUNS_PER_SECOND);

const FLANK_MS = 400;
/** A run holds when the machine, before and after, is as fast as this share of what is asked of it. */
const HOLDS = 0.85;
let bestPerSecond = 0;

/** How long is waited, for all of some runs, until others let the machine be, and how often it is looked. */
const PATIENCE_MS = 600_000;
const LOOK_AGAIN_MS = 2000;

/** The machine's speed at this moment. */
export function speedNow(): number {
  const perSecond = sunsPerSecond(FLANK_MS);
  bestPerSecond = Math.max(bestPerSecond, perSecond);
  return perSecond;
}

/** The machine's speed as soon as it is as fast as it was at its best, or when there is no patience left. */
async function speedWhenQuiet(untilMs: number): Promise<number> {
  for (;;) {
    const perSecond = speedNow();
    if (perSecond >= HOLDS * bestPerSecond || performance.now() > untilMs) return perSecond;
    await new Promise((done) => setTimeout(done, LOOK_AGAIN_MS));
  }
}

/**
 * So many runs of what is measured in which the machine's speed held: `steady`, it was the same before and after, as
 * what is slowed to a phone's asks for; `quiet`, it was the best there is, as what is not slowed asks for, and each
 * begins when it is. Runs that others disturbed are done again, up to three times as many or as long as there is
 * patience; then those are taken in which it held best.
 * @param measure one run, given the machine's speed before it, in sun positions a second
 * @returns the runs, and in words how many had to be done and between which speeds those taken were
 */
export async function heldRuns<T>(
  hold: 'steady' | 'quiet',
  count: number,
  measure: (perSecond: number) => Promise<T>,
): Promise<{ readonly runs: readonly T[]; readonly told: string }> {
  const done: { readonly run: T; readonly slow: number; readonly fast: number }[] = [];
  const held = ({ slow, fast }: { readonly slow: number; readonly fast: number }) =>
    slow / (hold === 'quiet' ? bestPerSecond : fast);
  const untilMs = performance.now() + PATIENCE_MS;
  while (
    done.filter((one) => held(one) >= HOLDS).length < count &&
    (done.length < 3 * count || performance.now() < untilMs)
  ) {
    const before = hold === 'quiet' ? await speedWhenQuiet(untilMs) : speedNow();
    const run = await measure(before);
    const after = speedNow();
    done.push({ run, slow: Math.min(before, after), fast: Math.max(before, after) });
  }
  const taken = done.sort((a, b) => held(b) - held(a)).slice(0, count);
  const [slowest, fastest] = [
    Math.min(...taken.map(({ slow }) => slow)),
    Math.max(...taken.map(({ fast }) => fast)),
  ];
  return {
    runs: taken.map(({ run }) => run),
    told: `(${count} of ${done.length} runs, ${rounded(slowest)} to ${rounded(fastest)} suns a second)`,
  };
}
