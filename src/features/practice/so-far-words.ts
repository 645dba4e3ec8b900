import { FEWEST_TRIES } from '@/answers/practised';
import { wilsonInterval, Z } from '@/core';
import { percent } from '@/features/shoot/words';

/** What a try is called, one and many, and one that was good: "swing", "swings", "sharp". */
export interface Counted {
  readonly one: string;
  readonly many: string;
  readonly good: string;
}

/** "12 swings: 7 sharp". */
export const countedInWords = (right: number, of: number, { one, many, good }: Counted): string =>
  `${of} ${of === 1 ? one : many}: ${right} ${good}`;

/** "12 answers: 7 right; of all yours that may be 35 % to 78 %." */
export function shareInWords(right: number, of: number, counted: Counted): string {
  const said = countedInWords(right, of, counted);
  if (of < FEWEST_TRIES) return `${said}.`;
  const { low, high } = wilsonInterval({ successes: right, trials: of, z: Z[0.9] });
  return `${said}; of all yours that may be ${percent(low)} to ${percent(high)}.`;
}
