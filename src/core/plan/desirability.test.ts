import {
  backdropDesirability,
  exposureDesirability,
  faceDesirability,
  lightDesirability,
  walkDesirability,
} from './desirability';

/** The wishes as model.md words them; their middles are common practice, no source. */

test('a layered background is wanted half blurred: too sharp and too soft are both off', () => {
  const best = backdropDesirability(0.012, 'layered');
  expect(best).toBe(1);
  for (const stops of [1, 2, 3]) {
    const soft = backdropDesirability(0.012 * 2 ** stops, 'layered');
    const sharp = backdropDesirability(0.012 / 2 ** stops, 'layered');
    expect(soft).toBeCloseTo(1 - stops / 4, 9);
    expect(sharp).toBeCloseTo(soft, 9);
  }
  expect(backdropDesirability(0.012 * 2 ** 9, 'layered')).toBe(
    backdropDesirability(0.012 * 2 ** 5, 'layered'),
  );
});

test('washed out wants four hundredths of the frame; whoever wants any has it', () => {
  expect(backdropDesirability(0.04, 'washed')).toBe(1);
  expect(backdropDesirability(0.2, 'washed')).toBe(1);
  expect(backdropDesirability(0.02, 'washed')).toBeCloseTo(0.5, 9);
  expect(backdropDesirability(0, 'any')).toBe(1);
});

test('stops in hand are wished for, missing ones are not, and a long walk halves it', () => {
  expect(exposureDesirability(0)).toBeCloseTo(0.6, 2);
  expect(exposureDesirability(1)).toBeCloseTo(0.9, 1);
  expect(exposureDesirability(-1)).toBeCloseTo(0.2, 1);
  expect(walkDesirability(0)).toBe(1);
  expect(walkDesirability(600)).toBeCloseTo(0.5, 9);
});

// By hand, from the curve as it is written down: 0.05 + 0.95·(1 + cos(π·off/to))/2, 0.525 half way.
describe('an angle wanted and an angle had', () => {
  test.each([
    ['front', 0, 1],
    ['front', 60, 0.525],
    ['front', 180, 0.05],
    ['threeQuarter', 40, 1],
    ['threeQuarter', 100, 0.525],
    ['profile', 90, 1],
    ['profile', 30, 0.525],
    ['profile', 150, 0.525],
    ['any', 180, 1],
  ] as const)('a face wanted %s, seen %d° off, is worth %d', (wanted, offDeg, worth) => {
    expect(faceDesirability(offDeg, wanted)).toBeCloseTo(worth, 9);
  });

  test.each([
    ['front', 20, 1],
    ['front', 75, 0.525],
    ['front', 150, 0.05],
    ['side', 85, 1],
    ['side', 30, 0.525],
    ['side', 140, 0.525],
    ['back', 150, 1],
    ['back', 95, 0.525],
  ] as const)('light wanted %s, had at %d°, is worth %d', (wanted, phaseDeg, worth) => {
    expect(lightDesirability(phaseDeg, true, wanted)).toBeCloseTo(worth, 9);
    expect(lightDesirability(phaseDeg, false, wanted)).toBeCloseTo(0.6, 9);
    expect(lightDesirability(phaseDeg, true, 'any')).toBe(1);
  });
});
