import { atLeast, within } from '../check';
import type { Technique } from '../exposure/technique';

/**
 * Share of frames that are kept, by technique: a night of football gives 25 to 30 of 1000; what
 * stands still gives more, a pan less. Common practice, no source, but for the first.
 */
export const KEEPER_RATE: Readonly<Record<Technique, number>> = {
  freeze: 0.0275,
  pan: 0.02,
  streak: 0.05,
  still: 0.1,
  silhouette: 0.1,
  story: 0.2,
  reaction: 0.05,
  portrait: 0.2,
};

/**
 * Frames to expect for what is owed: the count of each shot over its keeper rate.
 * @throws RangeError for a negative count or a rate outside 0–1
 */
export function framesExpected(
  owed: readonly {
    readonly count: number;
    readonly technique: Technique;
    readonly rate?: number;
  }[],
): number {
  return owed.reduce((sum, { count, technique, rate = KEEPER_RATE[technique] }) => {
    atLeast('count', count, 0);
    within('rate', rate, 1e-4, 1);
    return sum + Math.ceil(count / rate);
  }, 0);
}

/** File size of one frame, in megabytes, by the form it is kept in. */
export const frameMb = (
  form: 'raw' | 'jpeg' | 'both',
  { rawMb, jpegMb }: { readonly rawMb: number; readonly jpegMb: number },
): number => (form === 'raw' ? rawMb : form === 'jpeg' ? jpegMb : rawMb + jpegMb);
