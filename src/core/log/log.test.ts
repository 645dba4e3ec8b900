import fc from 'fast-check';
import { burstsOf } from './bursts';
import { clockOffset } from './clock';
import { meanInterval } from './mean';
import { panSigma, panSigmaInterval } from './rates';

test('a burst is frames without a pause between them; a lone frame is none', () => {
  expect(burstsOf([0, 100, 200, 5000, 9000, 9100])).toEqual([
    { from: 0, to: 2 },
    { from: 4, to: 5 },
  ]);
  expect(burstsOf([])).toEqual([]);
  expect(() => burstsOf([5, 1])).toThrow('timesMs[1] 1: must not be before 5');
});

test('bursts hold every frame that has a neighbour, and none twice', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 4000 }), { maxLength: 60 }), (pauses) => {
      let ms = 0;
      const times = pauses.map((pause) => (ms += pause));
      const within = burstsOf(times).flatMap(({ from, to }) =>
        Array.from({ length: to - from + 1 }, (_, i) => from + i),
      );
      expect(new Set(within).size).toBe(within.length);
      const near = times.flatMap((at, i) => {
        const apart = [at - (times[i - 1] ?? -1e9), (times[i + 1] ?? 1e9) - at];
        return Math.min(...apart) <= 1200 ? [i] : [];
      });
      expect(within).toEqual(near);
    }),
  );
});

/** Presses at uneven intervals, each judged some seconds after it. */
const evening = (offsetS: number, seed: readonly number[]) => {
  let ms = 1_800_000_000_000;
  const presses = seed.map((gapS) => (ms += (15 + gapS) * 1000));
  return {
    frames: presses.flatMap((at) => [at - 400, at - 200, at]).map((at) => at - offsetS * 1000),
    taps: presses.filter((_, i) => i % 2 === 0).map((at, i) => at + (3 + (i % 3)) * 1000),
  };
};

test('a camera’s clock that stands off by any amount is found from taps after its frames', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -40_000, max: 40_000 }),
      fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 12, maxLength: 60 }),
      (offsetS, seed) => {
        const { frames, taps } = evening(offsetS, seed);
        const found = clockOffset(frames, taps);
        expect(found?.matched).toBe(taps.length);
        // Within the glance that a tap takes.
        expect(Math.abs((found?.offsetS ?? 1e9) - offsetS)).toBeLessThanOrEqual(6);
      },
    ),
    { numRuns: 40 },
  );
});

test('taps that no frames go with tell nothing', () => {
  const { frames } = evening(0, [10, 300, 40, 800, 120, 60, 500]);
  expect(clockOffset(frames, [])).toBeUndefined();
  expect(clockOffset([], [1, 2, 3])).toBeUndefined();
  const elsewhere = Array.from({ length: 20 }, (_, i) => 1_800_000_000_000 + 777_777 * i * i);
  expect(clockOffset(frames, elsewhere)).toBeUndefined();
});

test('one value has no interval; equal values have one of no width', () => {
  expect(meanInterval([2])).toEqual({ mean: 2, low: -Infinity, high: Infinity, count: 1 });
  expect(meanInterval([2, 2, 2])).toEqual({ mean: 2, low: 2, high: 2, count: 3 });
  expect(() => meanInterval([])).toThrow('values');
});

test('the interval of a sigma holds it, and narrows as frames are added', () => {
  const frames = (times: number) =>
    Array.from({ length: 10 * times }, (_, i) => ({ streakMm: 1.2, sharp: i % 5 < 2 }));
  const [few, many] = [
    panSigmaInterval({ frames: frames(1) }),
    panSigmaInterval({ frames: frames(20) }),
  ];
  expect(few.rate).toBeCloseTo(panSigma({ frames: frames(1) }), 10);
  expect(few.low).toBeLessThan(few.rate);
  expect(few.high).toBeGreaterThan(few.rate);
  expect(many.high / many.low).toBeLessThan(few.high / few.low / 2);
});

test('a tap before any frame is no frame’s tap', () => {
  const { frames, taps } = evening(0, [10, 300, 40, 800, 120, 60, 500, 20, 90, 400]);
  const early = (frames[0] as number) - 40_000;
  const found = clockOffset(frames, [early, ...taps], 30);
  expect(found?.matched).toBe(taps.length);
  expect(Math.abs(found?.offsetS ?? 1e9)).toBeLessThanOrEqual(6);
});
