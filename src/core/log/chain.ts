import { nonEmpty } from '../check';

/** One link of a chain: how well each of its readings fits what was seen, as logs. */
export interface Link {
  readonly fits: readonly number[];
}

const sumOfLogs = (logs: readonly number[]): number => {
  let most = -Infinity;
  for (const log of logs) most = Math.max(most, log);
  if (most === -Infinity) return -Infinity;
  let sum = 0;
  for (const log of logs) sum += Math.exp(log - most);
  return most + Math.log(sum);
};

/**
 * How likely each reading of each link is, given all the others: the forward-backward sums of a chain in which only
 * neighbours speak of each other. Source: Baum et al. 1970, Ann. Math. Stat. 41, 164.
 * @param links in order, each with a reading or more
 * @param step how well reading `b` of link `i` follows reading `a` of the link before, as a log
 * @returns for each link shares that add up to one
 * @throws RangeError for a link without readings
 */
export function chainShares(
  links: readonly Link[],
  step: (i: number, a: number, b: number) => number,
): readonly (readonly number[])[] {
  links.forEach(({ fits }, i) => nonEmpty(`links[${i}].fits`, fits));
  // Each pair of neighbours is asked once: forwards and backwards go by the same.
  const steps = links.map(({ fits }, i) =>
    (links[i - 1]?.fits ?? []).map((_, a) => fits.map((_fit, b) => step(i, a, b))),
  );
  const forward: number[][] = [];
  links.forEach(({ fits }, i) => {
    const before = forward[i - 1];
    const own = steps[i] ?? [];
    forward.push(
      fits.map((fit, b) =>
        before ? fit + sumOfLogs(before.map((sum, a) => sum + (own[a]?.[b] ?? 0))) : fit,
      ),
    );
  });
  let after: readonly number[] | undefined;
  const found: (readonly number[])[] = [];
  for (let i = links.length - 1; i >= 0; i -= 1) {
    const own = forward[i] ?? [];
    const next = links[i + 1]?.fits;
    const later = after;
    const onward = steps[i + 1] ?? [];
    const back = own.map((_, a) =>
      next && later
        ? sumOfLogs(next.map((fit, b) => (onward[a]?.[b] ?? 0) + fit + (later[b] ?? 0)))
        : 0,
    );
    after = back;
    const all = own.map((sum, a) => sum + (back[a] ?? 0));
    const total = sumOfLogs(all);
    found.push(all.map((log) => Math.exp(log - total)));
  }
  return found.reverse();
}
