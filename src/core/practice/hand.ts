import { finite, nonEmpty } from '../check';
import { chiSquaredBetween, studentT } from '../quantity/quantiles';

/** A value with what it lies between, nine times in ten. */
export interface Between {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** What a hand does, by many tries: each figure with its 90 % interval, in the unit of the errors. */
export interface Hand {
  readonly count: number;
  /** How far it lies to one side: too fast, too late. */
  readonly bias: Between;
  /** How far it scatters about that. */
  readonly scatter: Between;
  /** Both together, about nothing: what a plan reckons with. */
  readonly sigma: Between;
}

const LEVEL = 0.9;

const within90 = (value: number, degrees: number): Between => {
  const { low, high } = chiSquaredBetween(degrees, LEVEL);
  return {
    value,
    low: value * Math.sqrt(degrees / high),
    high: low > 0 ? value * Math.sqrt(degrees / low) : Infinity,
  };
};

/**
 * Bias and scatter of a hand, apart and together. Bias by Student's t (Student 1908, Biometrika 6, 1), scatter by
 * chi-squared; both together as the root of the mean square, whose square is a noncentral chi-squared, taken as a
 * central one of as many degrees as have its mean and variance (Patnaik 1949, Biometrika 36, 202).
 * @param errors of each try, in any one unit; at least 2
 * @throws RangeError for fewer, or one that is no number
 */
export function handOf(errors: readonly number[]): Hand {
  nonEmpty('errors', errors, 2);
  errors.forEach((error, i) => finite(`errors[${i}]`, error));
  const count = errors.length;
  const mean = errors.reduce((sum, error) => sum + error, 0) / count;
  const variance = errors.reduce((sum, error) => sum + (error - mean) ** 2, 0) / (count - 1);
  const scatter = Math.sqrt(variance);
  const half = (studentT(count - 1, LEVEL) * scatter) / Math.sqrt(count);
  const meanSquare = errors.reduce((sum, error) => sum + error ** 2, 0) / count;
  // The mean's own chance looks like one part of it, which is taken off.
  const off = variance > 0 ? Math.max(0, (count * mean ** 2) / variance - 1) : Infinity;
  const degrees = Number.isFinite(off) ? (count + off) ** 2 / (count + 2 * off) : 1e9;
  return {
    count,
    bias: { value: mean, low: mean - half, high: mean + half },
    scatter: within90(scatter, count - 1),
    sigma: within90(Math.sqrt(meanSquare), Math.min(1e9, degrees)),
  };
}
