import type { Place } from '@/answers/search';
import { refusalsInWords } from '@/features/shoot/score-words';

const ofHundred = (total: number): number => Math.round(total * 100);

/** "Yours 62 of 100, the best 88." */
export function standInWords(
  mine: Pick<Place, 'total' | 'refusals'>,
  best: Pick<Place, 'total'> | undefined,
): string {
  const than = best ? `, the best ${ofHundred(best.total)}` : '';
  if (mine.refusals.length > 0) return `Off limits: ${refusalsInWords(mine.refusals)}${than}.`;
  if (best && mine.total >= best.total)
    return `Yours ${ofHundred(mine.total)} of 100: none better was found.`;
  return `Yours ${ofHundred(mine.total)} of 100${than}.`;
}
