/**
 * Wilson (1927) interval: 4 of 10 from Newcombe (1998) style worked tables, quoted from memory;
 * exact Poisson limits by chi-squared from the registry's jstat package.
 */
import { jStat } from 'jstat';
import { pan, panSigma, visitsPerHour, wilsonInterval } from '@/core';

test.each([
  [4, 10, 0.1682, 0.6873],
  [0, 20, 0, 0.1611],
  [20, 20, 0.8389, 1],
  [28, 1000, 0.0194, 0.0402],
])('%d of %d is %d to %d at 95 %%', (successes, trials, low, high) => {
  const interval = wilsonInterval({ successes, trials });
  expect(interval.low).toBeCloseTo(low, 3);
  expect(interval.high).toBeCloseTo(high, 3);
  expect(interval.rate).toBe(successes / trials);
});

test('visits an hour: Poisson limits as by chi-squared', () => {
  for (const visits of [1, 3, 10, 40, 900]) {
    const { low, high } = visitsPerHour({ visits, hours: 2 });
    const exactLow = jStat.chisquare.inv(0.025, 2 * visits) / 4;
    const exactHigh = jStat.chisquare.inv(0.975, 2 * visits + 2) / 4;
    expect(Math.abs(low / exactLow - 1)).toBeLessThan(1e-5);
    expect(Math.abs(high / exactHigh - 1)).toBeLessThan(1e-5);
  }
  expect(visitsPerHour({ visits: 0, hours: 3 })).toMatchObject({ rate: 0, low: 0 });
});

test('panning sigma comes back from frames taken with it', () => {
  // As many sharp frames at each streak as the sigma's own chance says, out of forty.
  for (const sigma of [0.06, 0.1, 0.2]) {
    const frames = [0.4, 0.8, 1.6, 3.2].flatMap((streakMm) => {
      const { sharpChance } = pan({
        speedMs: 10,
        closestM: 10,
        offsetM: 0,
        focalMm: 100,
        shutterS: streakMm / (101.0101 * 1),
        skillSigma: sigma,
      });
      const sharp = Math.round(sharpChance * 40);
      return Array.from({ length: 40 }, (_, i) => ({ streakMm, sharp: i < sharp }));
    });
    expect(Math.abs(panSigma({ frames }) / sigma - 1)).toBeLessThan(0.08);
  }
});

test('a few sharp frames do not make a perfect hand', () => {
  const frames = Array.from({ length: 5 }, () => ({ streakMm: 1, sharp: true }));
  expect(panSigma({ frames })).toBeGreaterThan(0.02);
});
