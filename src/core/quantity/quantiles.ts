import { above, within } from '../check';

/** Points of distributions that intervals are made of: normal, Student's t, chi-squared. */

/** How much of a distribution a two-sided interval holds. */
export type Level = 0.9 | 0.95;

/** Two-sided points of the normal distribution. */
export const Z = { 0.9: 1.6448536269514722, 0.95: 1.959963984540054 } as const;

/**
 * Two-sided points of Student's t for 1 to 10 degrees of freedom. Source: Fisher & Yates, Statistical Tables,
 * table III; from memory.
 */
const T = {
  0.9: [6.314, 2.92, 2.353, 2.132, 2.015, 1.943, 1.895, 1.86, 1.833, 1.812],
  0.95: [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228],
} as const;

/**
 * Student's t that an interval of this level reaches to. Beyond the table: Cornish and Fisher's expansion. Source:
 * Abramowitz & Stegun 26.7.5.
 * @param degrees of freedom, whole
 */
export function studentT(degrees: number, level: Level): number {
  above('degrees', degrees, 0);
  const known = T[level][degrees - 1];
  if (known !== undefined) return known;
  const z = Z[level];
  return (
    z +
    (z ** 3 + z) / (4 * degrees) +
    (5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * degrees ** 2) +
    (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / (384 * degrees ** 3)
  );
}

/**
 * The two points of chi-squared that hold a level of it between them, as much left over at either end. Source: Wilson &
 * Hilferty 1931, Proc. Nat. Acad. Sci. 17, 684; Abramowitz & Stegun 26.4.17. Within 3 % from 2 degrees of freedom on.
 * @param degrees of freedom, at least 1; they need not be whole
 */
export function chiSquaredBetween(
  degrees: number,
  level: Level,
): { readonly low: number; readonly high: number } {
  within('degrees', degrees, 1, 1e9);
  const spread = 2 / (9 * degrees);
  const at = (z: number) => degrees * Math.max(0, 1 - spread + z * Math.sqrt(spread)) ** 3;
  return { low: at(-Z[level]), high: at(Z[level]) };
}
