import { finite, nonEmpty } from '../check';

/** A mean with its two-sided 95 % interval; no interval from a single value. */
export interface Mean {
  readonly mean: number;
  readonly low: number;
  readonly high: number;
  readonly count: number;
}

/**
 * Two-sided 95 % points of Student's t for 1 to 10 degrees of freedom. Source: Fisher & Yates,
 * Statistical Tables, table III; from memory.
 */
const T_95 = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228];
const Z_95 = 1.959963984540054;

/** Beyond the table: Cornish and Fisher's expansion. Source: Abramowitz & Stegun 26.7.5. */
function t95(degrees: number): number {
  const known = T_95[degrees - 1];
  if (known !== undefined) return known;
  const z = Z_95;
  return (
    z +
    (z ** 3 + z) / (4 * degrees) +
    (5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * degrees ** 2) +
    (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / (384 * degrees ** 3)
  );
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
  const half = t95(count - 1) * Math.sqrt(variance / count);
  return { mean, low: mean - half, high: mean + half, count };
}
