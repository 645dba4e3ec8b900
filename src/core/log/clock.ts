import { median } from 'd3-array';
import { above } from '../check';

/** How far a camera's clock stands off, and how many of the taps speak for it. */
export interface ClockOffset {
  /** Add this to the camera's time. */
  readonly offsetS: number;
  readonly matched: number;
  readonly of: number;
}

/** A tap follows its frame by a glance at the screen. Common practice, no source. */
const LAG_S = 4;
/** Taps later than this after a frame speak of another. */
const WITHIN_S = 10;
/** Fewer taps than this, or a smaller share of them, may agree by chance. */
const FEWEST = 3;
const LEAST_SHARE = 0.5;
/** Pairs of a tap and a frame that are looked at: taps are thinned out beyond. */
const MOST_PAIRS = 4_000_000;

/** How many of the taps have a frame within reach at an offset; the later of two frames counts. */
function lagsAt(
  frames: readonly number[],
  taps: readonly number[],
  offsetS: number,
): readonly number[] {
  let at = 0;
  return taps.flatMap((tap) => {
    while (at < frames.length && (frames[at] ?? 0) + offsetS <= tap) at += 1;
    const lag = tap - ((frames[at - 1] ?? -Infinity) + offsetS);
    return lag <= WITHIN_S ? [lag] : [];
  });
}

/**
 * How far a camera's clock stands from the place's, from taps that each follow a frame by some seconds:
 * the offset under which most taps have a frame just before them, and among such the one that lags
 * them by a usual glance. Nothing when too few agree.
 * @param framesMs camera times, in order @param tapsMs the place's own times, in order
 * @param mostS the largest offset looked for
 * @throws RangeError when mostS is not above 0
 */
export function clockOffset(
  framesMs: readonly number[],
  tapsMs: readonly number[],
  mostS = 14 * 3600,
): ClockOffset | undefined {
  above('mostS', mostS, 0);
  if (tapsMs.length < FEWEST || framesMs.length === 0) return undefined;
  // A burst is one moment: its last frame is what a glance judges.
  const ends = framesMs.filter((at, i) => (framesMs[i + 1] ?? Infinity) - at > 1500);
  const every = Math.max(1, Math.ceil((ends.length * tapsMs.length) / MOST_PAIRS));
  const frames = ends.map((ms) => ms / 1000);
  const taps = tapsMs.map((ms) => ms / 1000);
  const votes = new Map<number, number>();
  for (let i = 0; i < taps.length; i += every) {
    const own = new Set<number>();
    for (const frame of frames) {
      const bin = Math.floor(((taps[i] ?? 0) - frame) / WITHIN_S);
      if (Math.abs(bin * WITHIN_S) > mostS) continue;
      own.add(bin);
      own.add(bin - 1);
    }
    own.forEach((bin) => votes.set(bin, (votes.get(bin) ?? 0) + 1));
  }
  const most = Math.max(0, ...votes.values());
  const likely = [...votes].filter(([, count]) => count >= most * 0.8).slice(0, 200);
  let best: { readonly offsetS: number; readonly count: number; readonly off: number } | undefined;
  for (const [bin] of likely) {
    // One bin reaches over a window before and after: every whole second of it is tried.
    for (let offsetS = (bin - 1) * WITHIN_S; offsetS <= (bin + 1) * WITHIN_S; offsetS += 1) {
      const lags = lagsAt(frames, taps, offsetS);
      const off = Math.abs((median(lags) ?? 0) - LAG_S);
      const better =
        !best || lags.length > best.count || (lags.length === best.count && off < best.off);
      if (better) best = { offsetS: Math.round(offsetS), count: lags.length, off };
    }
  }
  if (!best || best.count < FEWEST || best.count < LEAST_SHARE * taps.length) return undefined;
  return { offsetS: best.offsetS, matched: best.count, of: taps.length };
}
