import fc from 'fast-check';
import { underWater, waterHeightM } from './tide';

const HOUR_MS = 3_600_000;
/** Low at 0 h, high of 4 m at 6 h, low at 12 h. */
const DAY = [
  { timeMs: 0, heightM: 0 },
  { timeMs: 6 * HOUR_MS, heightM: 4 },
  { timeMs: 12 * HOUR_MS, heightM: 0.5 },
];

test('it rises as the rule of twelfths says, to a twentieth of the range', () => {
  // One twelfth in the first hour, two in the second, three in the third and fourth, two, one. From memory.
  [0, 1, 3, 6, 9, 11, 12].forEach((twelfths, hour) =>
    expect(Math.abs((waterHeightM(DAY, hour * HOUR_MS) ?? NaN) - (4 * twelfths) / 12)).toBeLessThan(
      0.08,
    ),
  );
  expect(waterHeightM(DAY, 3 * HOUR_MS)).toBeCloseTo(2, 9);
  expect(waterHeightM(DAY, -1)).toBeUndefined();
  expect(waterHeightM(DAY, 13 * HOUR_MS)).toBeUndefined();
});

test('ground half way up is reached half way, and free again on the other side', () => {
  const [span, ...more] = underWater(DAY, 2);
  expect(more).toEqual([]);
  expect(span?.fromMs).toBeCloseTo(3 * HOUR_MS, -3);
  // (4 − 2) of 3.5 m down: acos(1 − 8/7)/π = 0.5456 of six hours.
  expect((span?.toMs ?? 0) / HOUR_MS).toBeCloseTo(9.273, 2);
  expect(underWater(DAY, 4.1)).toEqual([]);
  expect(underWater(DAY, -1)).toEqual([{ fromMs: 0, toMs: 12 * HOUR_MS }]);
});

test('at its edges the water stands as high as the ground', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.6, max: 3.9, noNaN: true }), (groundM) => {
      const [span] = underWater(DAY, groundM);
      expect(waterHeightM(DAY, span?.fromMs ?? NaN)).toBeCloseTo(groundM, 6);
      expect(waterHeightM(DAY, span?.toMs ?? NaN)).toBeCloseTo(groundM, 6);
    }),
  );
});
