import fc from 'fast-check';
import { fitClock, lagOf, type ClockEvidence } from './clock';
import { fitClockPieces } from './clock-pieces';

const START_MS = 1_800_000_000_000;
const DAY_MS = 86_400_000;

/** Presses at uneven intervals, each judged some seconds after it; the camera stands off and may run off. */
function day({
  offsetS,
  perDayS = 0,
  gapsS,
  tapped = (i) => i % 2 === 0,
}: {
  readonly offsetS: number;
  readonly perDayS?: number;
  readonly gapsS: readonly number[];
  readonly tapped?: (press: number) => boolean;
}) {
  let ms = START_MS;
  const presses = gapsS.map((gapS) => (ms += (15 + gapS) * 1000));
  const cameraMs = (at: number) => at - 1000 * (offsetS + (perDayS * (at - START_MS)) / DAY_MS);
  return {
    presses,
    framesMs: presses.flatMap((at) => [at - 400, at - 200, at]).map(cameraMs),
    // After 3, 4, 5 and 6 seconds in turn.
    tapsMs: presses.filter((_, i) => tapped(i)).map((at, i) => at + (3 + (i % 4)) * 1000),
  };
}

/** Uneven, and the same in every run. */
const gaps = (count: number): readonly number[] =>
  Array.from({ length: count }, (_, i) => 40 + ((i * i * 7919 + i * 104_729) % 613));

test('a camera’s clock that stands off by any amount is found, to within what it says', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -40_000, max: 40_000 }),
      fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 16, maxLength: 60 }),
      (offsetS, gapsS) => {
        const { framesMs, tapsMs } = day({ offsetS, gapsS });
        const found = fitClock({ framesMs, tapsMs });
        expect(found?.ties.length).toBe(tapsMs.length);
        expect(found?.of).toBe(tapsMs.length);
        expect(Math.abs((found?.offsetS ?? 1e9) - offsetS)).toBeLessThanOrEqual(2);
        expect(found?.withinS).toBeLessThanOrEqual(5);
      },
    ),
    { numRuns: 6 },
  );
});

test('of taps a third may be of something else', () => {
  const { framesMs, tapsMs, presses } = day({ offsetS: 3800, gapsS: gaps(40) });
  const strays = presses.filter((_, i) => i % 4 === 1).map((at) => at + 31_000);
  const found = fitClock({ framesMs, tapsMs: [...tapsMs, ...strays].sort((a, b) => a - b) });
  expect(Math.abs((found?.offsetS ?? 1e9) - 3800)).toBeLessThanOrEqual(2);
  expect(found?.of).toBe(30);
});

test('taps that no frames go with tell nothing, nor does nothing at all', () => {
  const { framesMs } = day({ offsetS: 0, gapsS: [10, 300, 40, 800, 120, 60, 500] });
  expect(fitClock({ framesMs, tapsMs: [] })).toBeUndefined();
  expect(() => fitClock({ framesMs: [], tapsMs: [1, 2, 3] })).toThrow('framesMs');
  const elsewhere = Array.from({ length: 20 }, (_, i) => START_MS + 777_777 * i * i);
  expect(fitClock({ framesMs, tapsMs: elsewhere })).toBeUndefined();
});

test('a date that was never set is found by whole days and the hours of one', () => {
  const offsetS = 3000 * 86_400 + 4 * 3600 + 55;
  const { framesMs, tapsMs } = day({ offsetS, gapsS: gaps(30) });
  expect(Math.abs((fitClock({ framesMs, tapsMs })?.offsetS ?? 1e12) - offsetS)).toBeLessThanOrEqual(
    2,
  );
});

test('a clock that runs off is told from one that does not', () => {
  const gapsS = gaps(120);
  const even = day({ offsetS: 60, gapsS, tapped: () => true });
  expect(fitClock(even)?.perDayS).toBe(0);
  const off = day({ offsetS: 60, perDayS: 30, gapsS, tapped: () => true });
  const found = fitClock(off);
  expect(found?.perDayS).toBeGreaterThan(18);
  expect(found?.perDayS).toBeLessThan(42);
  // By it every tap follows a picture, from the first to the last.
  expect(found?.ties.length).toBe(off.tapsMs.length);
  // In the middle of the pictures it stands as it does there.
  const middleS = 60 + (30 * ((found?.atMs ?? 0) - START_MS)) / DAY_MS;
  expect(Math.abs((found?.offsetS ?? 1e9) - middleS)).toBeLessThanOrEqual(2);
});

test('events at uneven times tell the hour without a tap, and say how loosely', () => {
  const startsS = [0, 700, 2100, 2600, 4400, 6900, 7300, 9800, 12_000, 15_500];
  const eventsMs = startsS.map(
    (at) => [START_MS + at * 1000, START_MS + (at + 120) * 1000] as const,
  );
  const framesMs = startsS.flatMap((at) =>
    [10, 40, 80].map((after) => START_MS + (at + after - 3600) * 1000),
  );
  const found = fitClock({ framesMs, tapsMs: [], eventsMs });
  expect(found?.ties).toEqual([]);
  expect(Math.abs((found?.offsetS ?? 1e9) - 3600)).toBeLessThanOrEqual(found?.withinS ?? 0);
  expect(found?.withinS).toBeGreaterThanOrEqual(50);
});

test('two cameras let off together stand at the same second', () => {
  const { presses } = day({ offsetS: 0, gapsS: gaps(60) });
  const evidence: ClockEvidence = {
    framesMs: presses.filter((_, i) => i % 2 === 0).map((at) => at - 7_212_000),
    tapsMs: [],
    othersMs: presses,
  };
  const found = fitClock(evidence);
  expect(Math.abs((found?.offsetS ?? 1e9) - 7212)).toBeLessThanOrEqual(2);
});

test('a clock set back is cut by the order of its pictures, one set on by the taps', () => {
  const { framesMs, tapsMs } = day({ offsetS: 200, gapsS: gaps(60), tapped: () => true });
  const half = 90;
  const shifted = (byMs: number) => framesMs.map((ms, i) => (i < half ? ms : ms + byMs));
  const pieces = (byMs: number) =>
    fitClockPieces({ framesMs: shifted(byMs), tapsMs }).map(({ from, fit }) => [
      from,
      Math.round(fit.offsetS / 10),
    ]);
  expect(pieces(0)).toEqual([[0, 20]]);
  expect(pieces(-3_600_000)).toEqual([
    [0, 20],
    [half, 380],
  ]);
  expect(pieces(3_600_000)).toEqual([
    [0, 20],
    [half, -340],
  ]);
  expect(fitClockPieces({ framesMs: [], tapsMs })).toEqual([]);
  // Two old pictures among them, out of their order, are no clock set back.
  const strayed = [...framesMs.slice(0, half), START_MS - 9e7, START_MS - 8e7];
  const found = fitClockPieces({ framesMs: [...strayed, ...framesMs.slice(half)], tapsMs });
  expect(found.map(({ from, fit }) => [from, Math.round(fit.offsetS / 10)])).toEqual([[0, 20]]);
});

test('how long one glances is learned from a clock that is known', () => {
  expect(lagOf([2, 2, 2, 2].map((lagS) => ({ lagS })))).toBeUndefined();
  const lag = lagOf([7, 7, 7, 7, 7, 60, -3].map((lagS) => ({ lagS })));
  expect(lag?.mean).toBeCloseTo(7, 9);
  // 7 · 0.45 / √5.
  expect(lag?.sd).toBeCloseTo(1.4087, 3);
  // Known to some seconds by one clock, the next is lined up by it.
  const gapsS = gaps(30);
  const slow = day({ offsetS: 100, gapsS, tapped: () => true });
  const late = slow.tapsMs.map((ms) => ms + 3000);
  const [plain, taught] = [undefined, { mean: 7.4, sd: 0.3 }].map((lagS) =>
    fitClock({ ...slow, tapsMs: late, ...(lagS && { lagS }) }),
  );
  expect(Math.abs((taught?.offsetS ?? 1e9) - 100)).toBeLessThanOrEqual(1);
  expect(taught?.withinS).toBeLessThan(plain?.withinS ?? 0);
});
