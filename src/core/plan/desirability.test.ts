import { backdropDesirability, exposureDesirability, walkDesirability } from './desirability';

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
