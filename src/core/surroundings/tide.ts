import { finite } from '../check';

/** High or low water: when, and how high it stands. */
export interface Water {
  readonly timeMs: number;
  readonly heightM: number;
}

/**
 * How high the water stands at a moment between a high and a low water: by half a cosine from the one to the other.
 * As the rule of twelfths rounds it: 1/12, 3/12, 6/12, 9/12, 11/12 of the range after each sixth of the time. Source:
 * usual practice of tide tables, from memory.
 * @param waters in order of time
 * @returns nothing before the first and after the last
 * @throws RangeError for a height that is not finite
 */
export function waterHeightM(waters: readonly Water[], timeMs: number): number | undefined {
  const at = waters.findIndex((water, i) => {
    const next = waters[i + 1];
    return next !== undefined && water.timeMs <= timeMs && timeMs <= next.timeMs;
  });
  const [from, to] = [waters[at], waters[at + 1]];
  if (!from || !to) return undefined;
  finite('heightM', from.heightM);
  finite('heightM', to.heightM);
  const share = to.timeMs === from.timeMs ? 0 : (timeMs - from.timeMs) / (to.timeMs - from.timeMs);
  return from.heightM + ((to.heightM - from.heightM) * (1 - Math.cos(Math.PI * share))) / 2;
}

/** From when to when ground lies under water. */
export interface UnderWater {
  readonly fromMs: number;
  readonly toMs: number;
}

/** When ground so high lies under water, between the first and the last of what is known; met to the second. */
export function underWater(waters: readonly Water[], groundM: number): readonly UnderWater[] {
  const spans: { fromMs: number; toMs: number }[] = [];
  waters.slice(1).forEach((to, i) => {
    const from = waters[i] as Water;
    const [low, high] = [from, to].map(({ heightM }) => heightM) as [number, number];
    if (low < groundM && high < groundM) return;
    const meetsMs = () => {
      // 1 − cos πx = 2 · share of the rise.
      const share = Math.acos(1 - (2 * (groundM - low)) / (high - low)) / Math.PI;
      return from.timeMs + (to.timeMs - from.timeMs) * share;
    };
    const fromMs = low >= groundM ? from.timeMs : meetsMs();
    const toMs = high >= groundM ? to.timeMs : meetsMs();
    const last = spans.at(-1);
    if (last && last.toMs === fromMs) last.toMs = toMs;
    else spans.push({ fromMs, toMs });
  });
  return spans;
}
