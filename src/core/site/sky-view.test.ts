import fc from 'fast-check';
import { seeded } from '../../../scripts/seeded';
import { leafByMonth, sunThrough, type Bough } from './bough';
import { skySeen, skyThrough } from './sky-view';
import { point3 } from './vector';

const BIRD = point3(0, 0, 2);
const LEAVES = leafByMonth(5, 9).map((leaf) => 0.8 * leaf);
const over = (z: number, more: Partial<Bough> = {}): Bough => ({
  ...{ id: 'a', from: point3(-2, 1, z), to: point3(2, 1, z), woodM: 0.04, leafRadiusM: 0.7 },
  ...{ leafTakes: LEAVES, ...more },
});

test('in the open all of the sky comes; a branch behind the face takes nothing of it', () => {
  expect(skyThrough(BIRD, 0, [], 7)).toBe(1);
  expect(skySeen(BIRD, 0, { obstacles: [] }, 7)).toBeCloseTo(0.5, 6);
  expect(skyThrough(BIRD, 0, [over(4, { from: point3(-2, -3, 4), to: point3(2, -3, 4) })], 7)).toBe(
    1,
  );
});

test('by hand: leaves all over the sky leave what each line is left by them', () => {
  // Within a very long, very thick branch along the face's own line, every line comes out through the same leaves: its
  // radius, which is half of a line through the middle. What is left of that half is √(1 − 0.8).
  const roof: Bough = {
    ...{ id: 'a', from: point3(0, -1e5, 2), to: point3(0, 1e5, 2), woodM: 1e-9 },
    ...{ leafRadiusM: 5, leafTakes: LEAVES },
  };
  // Lines along the branch have more of it; those straight up and aside just that.
  const share = skyThrough(BIRD, 90, [roof], 7);
  expect(share).toBeLessThan(Math.sqrt(0.2));
  expect(share).toBeGreaterThan(0.8 * Math.sqrt(0.2));
});

test('it is the mean of what lines over the sky are left, each by the cosine on the face', () => {
  const chance = seeded(5);
  const boughs = [over(3.5), over(5, { from: point3(-1, 4, 5), to: point3(3, 2, 6) })];
  for (const faceDeg of [0, 40, 300]) {
    let [sum, weights] = [0, 0];
    for (let i = 0; i < 20_000; i += 1) {
      const aside = -90 + 180 * chance();
      // Evenly over the half-sphere, by height.
      const up = (Math.asin(chance()) * 180) / Math.PI;
      const weight = Math.cos((aside * Math.PI) / 180) * Math.cos((up * Math.PI) / 180);
      const line = { azimuthDeg: faceDeg + aside, altitudeDeg: up };
      sum += weight * sunThrough(BIRD, line, boughs, 7);
      weights += weight;
    }
    expect(skyThrough(BIRD, faceDeg, boughs, 7)).toBeCloseTo(sum / weights, 1);
    expect(Math.abs(skyThrough(BIRD, faceDeg, boughs, 7) - sum / weights)).toBeLessThan(0.02);
  }
});

test('another branch never gives light, nor do leaves; a turn of the face changes it by little', () => {
  const at = fc.integer({ min: -40, max: 40 }).map((n) => n / 10);
  const high = fc.integer({ min: 5, max: 80 }).map((n) => n / 10);
  const bough = fc
    .tuple(at, at, high, at, at, high)
    .filter(([a, b, c, d, e, f]) => Math.hypot(a - d, b - e, c - f) > 0.1)
    .map(([a, b, c, d, e, f]) => over(0, { from: point3(a, b, c), to: point3(d, e, f) }));
  fc.assert(
    fc.property(
      fc.array(bough, { minLength: 1, maxLength: 6 }),
      fc.integer({ min: 0, max: 359 }),
      (boughs, faceDeg) => {
        const share = skyThrough(BIRD, faceDeg, boughs, 7);
        expect(share).toBeGreaterThanOrEqual(0);
        expect(share).toBeLessThanOrEqual(skyThrough(BIRD, faceDeg, boughs.slice(1), 7) + 1e-12);
        expect(share).toBeLessThanOrEqual(skyThrough(BIRD, faceDeg, boughs, 1) + 1e-12);
        const turned = skyThrough(BIRD, faceDeg + 10, boughs, 7);
        expect(Math.abs(Math.log2((turned + 0.05) / (share + 0.05)))).toBeLessThan(0.5);
      },
    ),
    { numRuns: 60 },
  );
});
