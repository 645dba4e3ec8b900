import { finite, nonEmpty } from '../check';
import { studentT } from '../quantity/quantiles';

/** A mean with its two-sided 95 % interval; no interval from a single value. */
export interface Mean {
  readonly mean: number;
  readonly low: number;
  readonly high: number;
  readonly count: number;
}

/**
 * The mean of values with Student's interval. Source: Student 1908, Biometrika 6, 1.
 * @throws RangeError without values, or for one that is no number
 */
export function meanInterval(values: readonly number[]): Mean {
  nonEmpty('values', values);
  values.forEach((value, i) => finite(`values[${i}]`, value));
  const count = values.length;
  const mean = values.reduce((sum, value) => sum + value, 0) / count;
  if (count === 1) return { mean, low: -Infinity, high: Infinity, count };
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (count - 1);
  const half = studentT(count - 1, 0.95) * Math.sqrt(variance / count);
  return { mean, low: mean - half, high: mean + half, count };
}
