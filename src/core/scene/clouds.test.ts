import { CLOUDS_SIDE, cloudSheet } from './clouds';

const sheet = cloudSheet();
const at = (x: number, y: number): number =>
  sheet[(y % CLOUDS_SIDE) * CLOUDS_SIDE + (x % CLOUDS_SIDE)] as number;
const all = Array.from({ length: CLOUDS_SIDE }, (_, i) => i);
const mean = (values: readonly number[]): number =>
  values.reduce((a, b) => a + b, 0) / values.length;

test.each([0.1, 0.3, 0.5, 0.8])('a cover of %s is just that share of the sheet', (cloud) => {
  const covered = sheet.filter((rank) => rank > 1 - cloud).length / sheet.length;
  expect(Math.abs(covered - cloud)).toBeLessThan(0.005);
});

test('what is at one edge goes on at the other, with no more of a step than elsewhere', () => {
  const stepFrom = (x: number) => mean(all.map((y) => Math.abs(at(x + 1, y) - at(x, y))));
  const inside = mean(all.slice(0, -1).map(stepFrom));
  expect(stepFrom(CLOUDS_SIDE - 1)).toBeLessThan(2 * inside);
  const downFrom = (y: number) => mean(all.map((x) => Math.abs(at(x, y + 1) - at(x, y))));
  expect(downFrom(CLOUDS_SIDE - 1)).toBeLessThan(2 * mean(all.slice(0, -1).map(downFrom)));
});

test('clouds are things of some size: near places are alike, far ones are not', () => {
  const alike = (by: number): number =>
    mean(all.flatMap((y) => all.map((x) => 12 * (at(x, y) - 0.5) * (at(x + by, y) - 0.5))));
  expect(alike(0)).toBeCloseTo(1, 1);
  expect(alike(2)).toBeGreaterThan(0.9);
  expect(Math.abs(alike(CLOUDS_SIDE / 2))).toBeLessThan(0.4);
});
