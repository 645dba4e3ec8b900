/**
 * Abramowitz & Stegun (1964), tables 7.1 and 9.1 (quoted from memory), and the registry's packages
 * bessel and jstat.
 */
import { besselj } from 'bessel';
import { jStat } from 'jstat';
import { besselJ1, erf, sinc } from '@/core/quantity/special';

test.each([
  [0.5, 0.520_499_877_8],
  [1, 0.842_700_792_9],
  [2, 0.995_322_265],
])('erf(%d) is %d', (x, value) => {
  expect(erf(x)).toBeCloseTo(value, 9);
  expect(erf(-x)).toBe(-erf(x));
});

test('erf agrees with jstat from 0 to 6', () => {
  for (let x = 0; x <= 6; x += 0.05) expect(erf(x)).toBeCloseTo(jStat.erf(x), 8);
});

test.each([
  [1, 0.440_050_585_7],
  [3.831_706, 0],
  [5, -0.327_579_137_6],
])('J1(%d) is %d', (x, value) => {
  expect(besselJ1(x)).toBeCloseTo(value, 6);
  expect(besselJ1(-x)).toBeCloseTo(-value, 6);
});

test('J1 agrees with the bessel package from 0 to 40', () => {
  for (let x = 0; x <= 40; x += 0.1) expect(besselJ1(x)).toBeCloseTo(besselj(x, 1), 6);
});

test('sinc is 1 at 0 and 0 at whole numbers', () => {
  expect(sinc(0)).toBe(1);
  expect(sinc(0.5)).toBeCloseTo(2 / Math.PI, 12);
  expect(sinc(3)).toBeCloseTo(0, 12);
});
