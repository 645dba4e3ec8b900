import { least } from 'd3-array';
import { FRAMED_SHARE } from '../kit/framing';
import { CUT_FROM } from './desirability';
import type { PositionScore, ScoreWhy } from './score';

/** What makes a place a weak one for a picture: the one rule for Day, Kit and whoever else asks. */

/** Of the fill wanted at least this is there: less is no more than a rescue by a crop. No source. */
const LEAST_OF_FILL = 0.6;
/** Further off the face than this the back of a head is seen. No source. */
const MOST_OFF_FACE_DEG = 110;
/** A place that serves less well than this is weak, whatever it is for. No source. */
const WEAK_BELOW = 0.3;
/** What is had from a weak place counts this much. No source. */
export const WEAK_COUNTS = 0.5;
/** One that serves less well than this is no place for it. No source. */
export const LEAST_QUALITY = 0.05;

/**
 * Whether a subject fills too little of the frame for what is wanted, crop and all, or is cut though that was not wanted.
 * @param fill and what is wanted, shares of the frame's height
 */
export const fillIsWeak = (fill: number, wanted: number): boolean =>
  fill < LEAST_OF_FILL * wanted || fill > Math.max(CUT_FROM, wanted) / FRAMED_SHARE;

/** What is worst about a place, where it is weak. */
export function weakness({
  total,
  parts,
}: Pick<PositionScore, 'total' | 'parts'>): ScoreWhy | undefined {
  if (total < LEAST_QUALITY) return undefined;
  const lacking = parts.find(
    ({ why }) =>
      why.kind === 'comesAtYou' ||
      (why.kind === 'fills' && fillIsWeak(why.fill, why.wanted)) ||
      (why.kind === 'faceOff' && why.offDeg > MOST_OFF_FACE_DEG),
  );
  if (lacking) return lacking.why;
  return total < WEAK_BELOW ? least(parts, ({ desirability }) => desirability)?.why : undefined;
}
