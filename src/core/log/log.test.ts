import fc from 'fast-check';
import { burstEnds, burstsOf } from './bursts';
import { meanInterval } from './mean';
import { panSigma, panSigmaInterval } from './rates';

test('a burst is frames without a pause between them; a lone frame is none', () => {
  expect(burstsOf([0, 100, 200, 5000, 9000, 9100])).toEqual([
    { from: 0, to: 2 },
    { from: 4, to: 5 },
  ]);
  expect(burstsOf([])).toEqual([]);
  // Each press ends, a lone one too.
  expect(burstEnds([0, 100, 200, 5000, 9000, 9100])).toEqual([200, 5000, 9100]);
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
