/**
 * Intervals of the log against outside values: jstat's Student t (reference package), and the likelihood
 * of a panning sigma by a plain sum over a fine grid with jstat's error function.
 */
import { jStat } from 'jstat';
import { meanInterval, panSigmaInterval } from '@/core';

test.each([2, 3, 5, 9, 11, 12, 14, 25, 60, 400])(
  'Student’s interval of %d values agrees with jstat',
  (count) => {
    const values = Array.from({ length: count }, (_, i) => Math.sin(i * 1.7) + i / 50);
    const { mean, low, high } = meanInterval(values);
    const half =
      (jStat.studentt.inv(0.975, count - 1) * jStat.stdev(values, true)) / Math.sqrt(count);
    expect(mean).toBeCloseTo(jStat.mean(values), 10);
    expect((high - low) / 2 / half).toBeGreaterThan(0.999);
    expect((high - low) / 2 / half).toBeLessThan(1.001);
  },
);

test('a sigma’s interval is where a grid of likelihoods has fallen by 1.92', () => {
  const frames = Array.from({ length: 24 }, (_, i) => ({
    streakMm: 0.8 + (i % 4) * 0.4,
    sharp: i % 3 === 0,
  }));
  const logOf = (sigma: number) =>
    frames.reduce(
      (sum, { streakMm, sharp }) => {
        const chance = jStat.erf(0.06 / (streakMm * sigma * Math.SQRT2));
        return sum + Math.log(sharp ? chance : 1 - chance);
      },
      -(((Math.log(sigma) - Math.log(0.15)) / 0.7) ** 2) / 2,
    );
  const grid = Array.from({ length: 40_000 }, (_, i) => 0.001 * Math.exp(i / 5300));
  const logs = grid.map(logOf);
  const top = Math.max(...logs);
  const within = grid.filter((_, i) => (logs[i] ?? -Infinity) >= top - 1.9207);
  const { rate, low, high } = panSigmaInterval({ frames });
  expect(rate / (grid[logs.indexOf(top)] ?? 0)).toBeCloseTo(1, 2);
  expect(low / (within[0] ?? 0)).toBeCloseTo(1, 2);
  expect(high / (within.at(-1) ?? 0)).toBeCloseTo(1, 2);
});
