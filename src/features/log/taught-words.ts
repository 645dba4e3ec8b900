import { tiredBy } from '@/answers/season';
import { areApart, ratesBy, tells, type Quarter, type RateRow } from '@/answers/taught';
import { percent } from '@/features/shoot/words';

/** What is said of what a log teaches. */

export const SKY_NAMES = {
  clear: 'clear',
  partly: 'partly covered',
  overcast: 'overcast',
} as const;

/** By three months, from March on. */
export const SEASON_NAMES = [
  'March to May',
  'June to August',
  'September to November',
  'December to February',
] as const;

export const QUARTER_NAMES: Readonly<Record<Quarter, string>> = {
  first: 'First quarter of the time',
  between: 'In between',
  last: 'Last quarter',
};

/** "EV 10 to 12". */
export const lightBandInWords = (band: number): string => `EV ${band} to ${band + 2}`;

/** A share with its interval, or that too few say nothing. */
export const rateInWords = (row: RateRow): string =>
  tells(row)
    ? `${percent(row.rate)}, ${percent(row.low)} to ${percent(row.high)}`
    : `too few to tell: anything from ${percent(row.low)} to ${percent(row.high)}`;

/** Whether fewer presses gave a keeper when tired; nothing where either quarter says nothing. */
export function tiredInWords(rows: readonly RateRow<Quarter>[]): string | undefined {
  const [first, last] = (['first', 'last'] as const).map((quarter) =>
    rows.find(({ name }) => name === quarter),
  );
  if (!first || !last || !tells(first) || !tells(last)) return undefined;
  if (!areApart(first, last)) return 'First and last quarter are not told apart: it may be chance.';
  return tiredBy(rows)
    ? `Fewer presses gave a keeper in the last quarter, by more than chance: ${percent(last.rate)} after ${percent(first.rate)}. The next plan is offered a rest before it.`
    : `More presses gave a keeper in the last quarter, by more than chance: ${percent(last.rate)} after ${percent(first.rate)}.`;
}

/** "3 shoots, 120 presses, 31 gave a keeper: 26 %, 19 % to 34 %". */
export function seasonInWords(
  shoots: number,
  presses: readonly { readonly kept: boolean }[],
): string {
  const [row] = ratesBy(presses, () => 'all');
  const of = `${shoots} ${shoots === 1 ? 'shoot' : 'shoots'}`;
  return row
    ? `${of}, ${row.of} presses, ${row.kept} gave a keeper: ${rateInWords(row)}`
    : `${of}, no pictures`;
}
