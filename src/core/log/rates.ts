import { above, atLeast, nonEmpty, within } from '../check';
import { Z } from '../quantity/quantiles';
import { erf } from '../quantity/special';

export interface Rate {
  readonly rate: number;
  readonly low: number;
  readonly high: number;
}

/**
 * A share from counts with Wilson's score interval: honest for few frames and for none kept.
 * Source: Wilson 1927, J. Amer. Stat. Assoc. 22, 209. Check: 4 of 10 is 0.168 to 0.687 at 95 %.
 * @throws RangeError unless 0 ≤ successes ≤ trials and trials ≥ 1
 */
export function wilsonInterval({
  successes,
  trials,
  z = Z[0.95],
}: {
  readonly successes: number;
  readonly trials: number;
  readonly z?: number;
}): Rate {
  atLeast('trials', trials, 1);
  within('successes', successes, 0, trials);
  above('z', z, 0);
  const rate = successes / trials;
  const z2 = z * z;
  const centre = (rate + z2 / (2 * trials)) / (1 + z2 / trials);
  const half =
    (z * Math.sqrt((rate * (1 - rate)) / trials + z2 / (4 * trials * trials))) / (1 + z2 / trials);
  return {
    rate,
    low: successes === 0 ? 0 : centre - half,
    high: successes === trials ? 1 : centre + half,
  };
}

/** One panned frame: how far its background was drawn out, and whether the subject was sharp. */
export interface PanFrame {
  readonly streakMm: number;
  readonly sharp: boolean;
}

const SIGMA_LOW = 0.001;
const SIGMA_HIGH = 2;
const SIGMA_STEPS = 60;
/** A newcomer's sigma with the weight of this many frames, before any are known. No source. */
const PRIOR_SIGMA = 0.15;
const PRIOR_SPREAD = 0.7;

/** How likely judged frames are under the log of a sigma, up to a constant. */
function likelihoodOf(frames: readonly PanFrame[], cocMm: number): (logSigma: number) => number {
  nonEmpty('frames', frames);
  above('cocMm', cocMm, 0);
  frames.forEach(({ streakMm }, i) => above(`frames[${i}].streakMm`, streakMm, 0));
  return (logSigma) => {
    const sigma = Math.exp(logSigma);
    const prior = -(((logSigma - Math.log(PRIOR_SIGMA)) / PRIOR_SPREAD) ** 2) / 2;
    return frames.reduce((sum, { streakMm, sharp }) => {
      const chance = erf((2 * cocMm) / (streakMm * sigma * Math.SQRT2));
      return sum + Math.log(Math.max(1e-12, sharp ? chance : 1 - chance));
    }, prior);
  };
}

interface Judged {
  readonly frames: readonly PanFrame[];
  readonly cocMm?: number;
}

/**
 * A person's panning sigma from judged frames: the value under which what was seen is likeliest,
 * with a wide lognormal prior about 0.15, so that ten sharp frames don't mean perfection. Sharp
 * means within two circles of confusion, as in `pan`.
 * @throws RangeError without frames, or for a streak or circle not above 0
 */
export function panSigma({ frames, cocMm = 0.03 }: Judged): number {
  const logLikelihood = likelihoodOf(frames, cocMm);
  // The likelihood has one top: close in on it by thirds.
  let low = Math.log(SIGMA_LOW);
  let high = Math.log(SIGMA_HIGH);
  for (let step = 0; step < SIGMA_STEPS; step += 1) {
    const a = low + (high - low) / 3;
    const b = high - (high - low) / 3;
    if (logLikelihood(a) < logLikelihood(b)) low = a;
    else high = b;
  }
  return Math.exp((low + high) / 2);
}

/** Half of the 95 % point of chi-squared with one degree of freedom. */
const LIKELIHOOD_DROP = Z[0.95] ** 2 / 2;

/**
 * The sigma with its 95 % interval: where the likelihood has fallen by half of chi-squared's 95 %
 * point from its top. Source: Wilks 1938, Ann. Math. Stat. 9, 60.
 * @throws RangeError as `panSigma`
 */
export function panSigmaInterval({ frames, cocMm = 0.03 }: Judged): Rate {
  const logLikelihood = likelihoodOf(frames, cocMm);
  const rate = panSigma({ frames, cocMm });
  const floor = logLikelihood(Math.log(rate)) - LIKELIHOOD_DROP;
  const edge = (outer: number) => {
    let [out, within] = [Math.log(outer), Math.log(rate)];
    if (logLikelihood(out) >= floor) return outer;
    for (let step = 0; step < SIGMA_STEPS; step += 1) {
      const middle = (out + within) / 2;
      if (logLikelihood(middle) < floor) out = middle;
      else within = middle;
    }
    return Math.exp(within);
  };
  return { rate, low: edge(SIGMA_LOW), high: edge(SIGMA_HIGH) };
}

/** Chance of at most `count` events when `mean` are expected. Source: Poisson 1837. */
function poissonAtMost(count: number, mean: number): number {
  let logTerm = -mean;
  let sum = 0;
  for (let k = 0; k <= count; k += 1) {
    if (k > 0) logTerm += Math.log(mean / k);
    sum += Math.exp(logTerm);
  }
  return Math.min(1, sum);
}

/** The mean at which that chance falls to `chance`: it falls as the mean rises, so by halving. */
function meanForChance(count: number, chance: number): number {
  let low = 0;
  let high = count + 10 * Math.sqrt(count + 1) + 10;
  for (let step = 0; step < 80; step += 1) {
    const middle = (low + high) / 2;
    if (poissonAtMost(count, middle) > chance) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

const MOST_VISITS = 100_000;
/** What lies outside a two-sided 95 % interval, at each end. */
const TAIL = 0.025;

/**
 * Visits an hour from a count over watched hours, with the exact 95 % Poisson interval.
 * Source: Garwood 1936, Biometrika 28, 437.
 * @throws RangeError for a count that is not whole from 0 to 100 000, or hours not above 0
 */
export function visitsPerHour({
  visits,
  hours,
}: {
  readonly visits: number;
  readonly hours: number;
}): Rate {
  within('visits', visits, 0, MOST_VISITS);
  if (!Number.isInteger(visits)) throw new RangeError(`visits ${visits}: must be a whole number`);
  above('hours', hours, 0);
  return {
    rate: visits / hours,
    low: visits === 0 ? 0 : meanForChance(visits - 1, 1 - TAIL) / hours,
    high: meanForChance(visits, TAIL) / hours,
  };
}
