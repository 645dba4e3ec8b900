import { Info } from 'luxon';
import type { FeatureOf } from '@/core';

/** How dense a branch's leaves are and when it has them, as one says it. Shares: common practice, no source. */

type Branch = FeatureOf<'branch'>;

export const LEAFINESS = [
  { value: 'bare', label: 'None: bare wood', takes: 0 },
  { value: 'thin', label: 'Thin: one sees through', takes: 0.35 },
  { value: 'usual', label: 'Usual: dappled light', takes: 0.6 },
  { value: 'dense', label: 'Dense: hardly a fleck', takes: 0.85 },
] as const;
export type Leafiness = (typeof LEAFINESS)[number]['value'];

/** The nearest that has a name. */
export const leafinessOf = ({ leafTakes }: Branch): Leafiness =>
  LEAFINESS.reduce((best, next) =>
    Math.abs(next.takes - leafTakes) < Math.abs(best.takes - leafTakes) ? next : best,
  ).value;

export const withLeafiness = (branch: Branch, leafiness: Leafiness): Branch => ({
  ...branch,
  leafTakes: LEAFINESS.find(({ value }) => value === leafiness)?.takes ?? branch.leafTakes,
});

const SEASONS = [
  { value: 'north', label: 'May to October', from: 5, to: 10 },
  { value: 'early', label: 'April to October', from: 4, to: 10 },
  { value: 'south', label: 'November to April', from: 11, to: 4 },
  { value: 'always', label: 'All year: evergreen', from: 1, to: 12 },
] as const;
/** A season by name, or the months that a file says. */
export type Leaves = (typeof SEASONS)[number]['value'] | 'own';

export const leavesOf = ({ leafFrom, leafTo }: Branch): Leaves =>
  SEASONS.find(({ from, to }) => from === leafFrom && to === leafTo)?.value ?? 'own';

const monthName = (month: number): string =>
  Info.months('long', { locale: 'en-GB' })[month - 1] ?? '';

/** The seasons to choose from, and a branch's own where it has another. */
export function leavesFor(branch: Branch): readonly { value: Leaves; label: string }[] {
  const { leafFrom, leafTo } = branch;
  const own = { value: 'own', label: `${monthName(leafFrom)} to ${monthName(leafTo)}` } as const;
  return leavesOf(branch) === 'own' ? [...SEASONS, own] : SEASONS;
}

export function withLeaves(branch: Branch, leaves: Leaves): Branch {
  const season = SEASONS.find(({ value }) => value === leaves);
  return season ? { ...branch, leafFrom: season.from, leafTo: season.to } : branch;
}
