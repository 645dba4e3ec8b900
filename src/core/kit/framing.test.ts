import fc from 'fast-check';
import {
  bestFramed,
  framed,
  framingRange,
  takeOver,
  withConverter,
  type Combination,
  type Lens,
} from '..';

const FULL = { widthMm: 36, heightMm: 24, widthPx: 6000, heightPx: 4000 };
const lens = (focals: readonly (readonly [number, number])[], nearestFocusM = 1.5): Lens => ({
  focals: focals.map(([focalMm, widestAperture]) => ({ focalMm, widestAperture })),
  smallestAperture: 22,
  nearestFocusM,
});
const P300 = lens([[300, 4]]);
const ZOOM = lens(
  [
    [70, 2.8],
    [200, 2.8],
  ],
  1.2,
);
const on = (glass: Lens): Combination => ({ lens: glass, sensor: FULL });

test('a lens that is too short says how far to go and what a crop leaves', () => {
  // By hand: 300 f/4 with 1.4x is 420 mm. 1.8 m at 40 m: 420·1800/(40000 − 420) = 19.10 mm of 24.
  const seen = framed(on(withConverter(P300, 1.4)), { sizeM: 1.8, distanceM: 40, fill: 0.9 });
  expect(seen.verdict).toBe('short');
  expect(seen.fill).toBeCloseTo(19.1005 / 24, 4);
  // Filling 0.9 of 24 mm: 21.6 = 420·1800/(d − 420), so d = 35.42 m: 4.58 m closer.
  expect(seen.closerM).toBeCloseTo(40 - 35.42, 2);
  // Kept: 0.79585/0.9 of each side, so (0.88428)² of 24 MP.
  expect(seen.croppedMegapixels).toBeCloseTo(24 * 0.88428 ** 2, 2);
  expect(seen.widestAperture).toBeCloseTo(5.6, 6);
});

test('a zoom is turned to the framing wanted, and then it frames', () => {
  const seen = framed(on(ZOOM), { sizeM: 1.8, distanceM: 15, fill: 0.6 });
  expect(seen).toMatchObject({ verdict: 'frames', croppedMegapixels: 24 });
  expect(seen.fill).toBeCloseTo(0.6, 9);
});

test('too long says how far to step back; inside the nearest focus nothing is framed', () => {
  const seen = framed(on(P300), { sizeM: 1.8, distanceM: 10, fill: 0.6 });
  expect(seen.verdict).toBe('long');
  expect(seen.closerM).toBeLessThan(-20);
  expect(framed(on(P300), { sizeM: 0.1, distanceM: 1, fill: 0.6 }).verdict).toBe('tooNear');
});

test('of lenses that frame it the widest open serves; of those that do not, the one that misses by least', () => {
  const slow = lens([
    [100, 5],
    [400, 5.6],
  ]);
  const near = { sizeM: 1.8, distanceM: 15, fill: 0.6 };
  expect(bestFramed([on(slow), on(ZOOM), on(P300)], near).index).toBe(1);
  const far = { sizeM: 1.8, distanceM: 90, fill: 0.6 };
  expect(bestFramed([on(ZOOM), on(P300), on(slow)], far).index).toBe(2);
  expect(() => bestFramed([], near)).toThrow(/combinations of length 0/);
});

test('standing where it says frames the subject', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.05, max: 3, noNaN: true }),
      fc.double({ min: 3, max: 200, noNaN: true }),
      fc.double({ min: 0.1, max: 1, noNaN: true }),
      (sizeM, distanceM, fill) => {
        const seen = framed(on(ZOOM), { sizeM, distanceM, fill });
        if (seen.verdict !== 'short' && seen.verdict !== 'long') return;
        const there = framed(on(ZOOM), { sizeM, distanceM: distanceM - seen.closerM, fill });
        // Nearer than the lens focuses it cannot be.
        if (distanceM - seen.closerM > 1.2001) expect(there.verdict).toBe('frames');
      },
    ),
  );
});

test('a range runs from the shortest to the longest, never inside the nearest focus', () => {
  // By hand: d = f·(H + h)/h. At 70 mm filling 0.9·24 = 21.6 mm: 70·(1800 + 21.6)/21.6 = 5.903 m.
  // At 200 mm filling 0.4·24 = 9.6 mm: 200·(1800 + 9.6)/9.6 = 37.70 m.
  const range = framingRange(on(ZOOM), { sizeM: 1.8, leastFill: 0.4, mostFill: 0.9 });
  expect(range.nearM).toBeCloseTo(5.903, 3);
  expect(range.farM).toBeCloseTo(37.7, 2);
  expect(framingRange(on(ZOOM), { sizeM: 0.05, leastFill: 0.2, mostFill: 0.9 }).nearM).toBe(1.2);
});

test('lenses hand over in the middle of what both frame, and a gap between them is said', () => {
  expect(takeOver({ nearM: 20, farM: 80 }, { nearM: 5, farM: 45 })).toEqual({ atM: 30, gapM: 0 });
  expect(takeOver({ nearM: 50, farM: 80 }, { nearM: 5, farM: 32 })).toEqual({ atM: 40, gapM: 18 });
});

test('a fill that no frame has is refused by name', () => {
  const wanted = { sizeM: 1.8, distanceM: 15 };
  for (const fill of [0, -0.1, 1.51]) {
    expect(() => framed(on(ZOOM), { ...wanted, fill })).toThrow(/^fill /);
  }
  expect(framed(on(ZOOM), { ...wanted, fill: 1.5 }).verdict).toBeDefined();
});
