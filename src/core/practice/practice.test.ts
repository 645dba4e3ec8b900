import fc from 'fast-check';
import { chiSquaredBetween, studentT } from '../quantity/quantiles';
import { burstChance, handOf, judgeSwing, pressEarly, rungAfter, type AimAt } from '.';

/** Even chances from a seed (Marsaglia's xorshift, 2003), and normal ones by Box and Muller (1958). */
function chances(seed: number) {
  let state = seed >>> 0 || 1;
  const even = () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 2 ** 32;
  };
  const normal = () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even());
  return { even, normal };
}

describe('points of distributions', () => {
  // Fisher & Yates, Statistical Tables, table IV (chi-squared, 5 and 95 %); from memory.
  test.each([
    [4, 0.711, 9.488],
    [9, 3.325, 16.919],
    [20, 10.851, 31.41],
    [30, 18.493, 43.773],
  ])('chi-squared of %d degrees lies from %d to %d, nine times in ten', (degrees, low, high) => {
    const found = chiSquaredBetween(degrees, 0.9);
    // Within 3 %, as is said.
    expect(Math.abs(found.low / low - 1)).toBeLessThan(0.03);
    expect(found.high / high).toBeCloseTo(1, 2);
  });
  // The same, table III.
  test.each([
    [1, 0.9, 6.314],
    [10, 0.95, 2.228],
    [20, 0.9, 1.725],
    [20, 0.95, 2.086],
    [60, 0.95, 2],
  ] as const)('Student’s t of %d degrees at %d is %d', (degrees, level, t) => {
    expect(studentT(degrees, level)).toBeCloseTo(t, 2);
  });
  test('what has no degrees of freedom is refused by name', () => {
    expect(() => studentT(0, 0.9)).toThrow(/^degrees 0: must be above 0/);
    expect(() => chiSquaredBetween(0.5, 0.9)).toThrow(/^degrees 0.5: must be from 1/);
  });
});

describe('a hand', () => {
  test.each([
    [0, 0.1],
    [0.05, 0.08],
    [-0.12, 0.05],
    [0.02, 0.2],
  ])(
    'of bias %d and scatter %d lies within its 90 %% intervals 85 to 95 times in 100',
    (bias, scatter) => {
      const { normal } = chances(Math.round(1e6 * (1 + bias + scatter)));
      const truth = { bias, scatter, sigma: Math.hypot(bias, scatter) };
      const held = { bias: 0, scatter: 0, sigma: 0 };
      const RUNS = 500;
      for (let run = 0; run < RUNS; run += 1) {
        const hand = handOf(Array.from({ length: 16 }, () => bias + scatter * normal()));
        for (const key of ['bias', 'scatter', 'sigma'] as const) {
          const { low, high } = hand[key];
          if (low <= truth[key] && truth[key] <= high) held[key] += 1;
        }
      }
      for (const key of ['bias', 'scatter', 'sigma'] as const) {
        expect(held[key] / RUNS).toBeGreaterThanOrEqual(0.85);
        expect(held[key] / RUNS).toBeLessThanOrEqual(0.95);
      }
    },
  );
  test('hand-worked: 1, 2, 3 lean by 2, scatter by 1, and are off by the root of 14/3', () => {
    const { bias, scatter, sigma, count } = handOf([1, 2, 3]);
    expect(count).toBe(3);
    expect(bias.value).toBe(2);
    // Student's t of 2 degrees, 2.92, over the root of 3.
    expect(bias.high).toBeCloseTo(2 + 2.92 / Math.sqrt(3), 6);
    expect(scatter.value).toBe(1);
    expect(sigma.value).toBeCloseTo(Math.sqrt(14 / 3), 9);
  });
  test('that never errs the same has no doubt about it', () => {
    const { sigma, scatter } = handOf([0.1, 0.1, 0.1]);
    expect(scatter.high).toBeCloseTo(0, 12);
    expect(sigma.low).toBeCloseTo(0.1, 3);
    expect(sigma.high).toBeCloseTo(0.1, 3);
  });
  test('of one try is refused', () => {
    expect(() => handOf([1])).toThrow(/^errors of length 1: must be at least 2 long/);
    expect(() => handOf([1, NaN])).toThrow(/^errors\[1\] NaN/);
  });
});

/** A subject that goes round evenly, and a hand read 60 times a second. */
const evenly = (degS: number) => (timeS: number) => ({ turnDeg: degS * timeS, upDeg: 0 });
const handAt = (
  fromS: number,
  toS: number,
  at: (timeS: number) => { turnDeg: number; upDeg: number },
): AimAt[] =>
  Array.from({ length: Math.round((toS - fromS) * 60) + 1 }, (_, i) => {
    const timeS = fromS + i / 60;
    return { timeS, ...at(timeS) };
  });

describe('a swing', () => {
  const subjectAt = evenly(40);
  const judged = (track: AimAt[], shutterS = 1 / 60) =>
    judgeSwing({ track, subjectAt, pressS: 0, shutterS });

  test('a tenth too fast is a tenth too fast, whatever the open time', () => {
    for (const shutterS of [1 / 250, 1 / 30, 1 / 4]) {
      const swing = judged(
        handAt(-1, 0.6, (t) => ({ turnDeg: 44 * t, upDeg: 0 })),
        shutterS,
      );
      expect(swing?.rateError).toBeCloseTo(0.1, 6);
    }
  });
  test('where it looked, how long it followed, and that it stopped at the press', () => {
    const swing = judged(
      handAt(-1, 0.6, (t) => ({ turnDeg: t < -0.5 ? -20 : t > 0.1 ? 4 : 40 * t, upDeg: 1 })),
    );
    expect(swing?.off).toEqual({ turnDeg: expect.closeTo(0, 6), upDeg: expect.closeTo(1, 6) });
    expect(swing?.beforeS).toBeGreaterThan(0.38);
    expect(swing?.beforeS).toBeLessThan(0.52);
    expect(swing?.afterS).toBeLessThan(0.12);
  });
  test('a press that doubles the rate for an instant is a jerk; an even one is none', () => {
    const jerked = judged(handAt(-1, 0.6, (t) => ({ turnDeg: (t > 0 ? 60 : 40) * t, upDeg: 0 })));
    expect(jerked?.jerk).toBeGreaterThan(0.4);
    expect(judged(handAt(-1, 0.6, evenly(40)))?.jerk).toBeCloseTo(0, 6);
  });
  test('up and down counts, an even rise does not', () => {
    const rising = judged(handAt(-1, 0.6, (t) => ({ turnDeg: 40 * t, upDeg: 3 * t })));
    expect(rising?.wobbleDeg).toBeCloseTo(0, 6);
    const waving = judged(
      handAt(-1, 0.6, (t) => ({ turnDeg: 40 * t, upDeg: Math.sin(2 * Math.PI * 5 * t) })),
    );
    // The root of the mean square of a sine.
    expect(waving?.wobbleDeg).toBeCloseTo(Math.SQRT1_2, 1);
  });
  test('pixels of a third of a degree do not hide the rate', () => {
    const swing = judged(
      handAt(-1, 0.6, (t) => ({ turnDeg: Math.round(44 * t * 3) / 3, upDeg: 0 })),
    );
    expect(Math.abs((swing?.rateError ?? 1) - 0.1)).toBeLessThan(0.05);
  });
  test('a hand not read about the press is judged by nothing; times out of order are refused', () => {
    expect(judged(handAt(-1, -0.5, evenly(40)))).toBeUndefined();
    expect(() =>
      judged([...handAt(-1, 0, evenly(40)), { timeS: -2, turnDeg: 0, upDeg: 0 }]),
    ).toThrow(/^track\[61\].timeS -2: must not be before/);
  });
  test('hands of a known bias and scatter are found again by their swings, jitter and all', () => {
    const { normal } = chances(77);
    const errors = Array.from({ length: 200 }, () => {
      const rate = 40 * (1 + 0.06 + 0.09 * normal());
      const track = handAt(-1, 0.6, (t) => ({
        turnDeg: rate * t + 0.05 * normal(),
        upDeg: 0.05 * normal(),
      }));
      return judgeSwing({ track, subjectAt, pressS: 0, shutterS: 1 / 60 })?.rateError ?? NaN;
    });
    const { bias, scatter } = handOf(errors);
    expect(bias.value).toBeCloseTo(0.06, 1.5);
    expect(scatter.value).toBeGreaterThan(0.08);
    expect(scatter.value).toBeLessThan(0.105);
  });
});

describe('a ladder', () => {
  const tries = (signs: string, rung = 0) =>
    [...signs].map((sign) => ({ rung, good: sign === '+' }));
  test('goes down a rung when four of five were good, back when one or none was', () => {
    expect(rungAfter([], 6)).toBe(0);
    expect(rungAfter(tries('++++'), 6)).toBe(0);
    expect(rungAfter(tries('++-++'), 6)).toBe(1);
    expect(rungAfter([...tries('+++++'), ...tries('----+', 1)], 6)).toBe(0);
    expect(rungAfter([...tries('+++++'), ...tries('--+++', 1)], 6)).toBe(1);
  });
  test('ends at its hardest and easiest rung, and goes on from one taken by hand', () => {
    expect(rungAfter(tries('+++++', 5), 6)).toBe(5);
    expect(rungAfter(tries('-----'), 6)).toBe(0);
    expect(rungAfter(tries('+', 3), 6)).toBe(3);
  });
});

describe('a burst', () => {
  const moment = { windowS: 0.1, fps: 20, burstS: 0.5 };
  test('hand-worked: begun on time it has the moment; half a second late it has not', () => {
    expect(burstChance({ ...moment, biasS: 0, scatterS: 0 })).toBe(1);
    expect(burstChance({ ...moment, biasS: 0.5, scatterS: 0 })).toBe(0);
    expect(burstChance({ ...moment, biasS: 0.5, scatterS: 0, earlyS: 0.5 })).toBe(1);
    expect(burstChance({ ...moment, biasS: 0.3, scatterS: 0, preCaptureS: 0.5 })).toBe(1);
  });
  test('one frame in a moment of one deviation either way: erf(1/√2)', () => {
    // 68.27 % of a normal distribution, any handbook.
    expect(burstChance({ biasS: 0, scatterS: 0.05, windowS: 0.1, fps: 20, burstS: 0 })).toBeCloseTo(
      0.6827,
      2,
    );
  });
  test('slower than the moment, frames miss it by chance: a window of half the gap, half the time', () => {
    expect(
      burstChance({ biasS: -1, scatterS: 0.3, windowS: 0.05, fps: 10, burstS: 2.5 }),
    ).toBeCloseTo(0.5, 1);
  });
  test('against numbers drawn by chance', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.2, max: 0.4, noNaN: true }),
        fc.double({ min: 0.02, max: 0.2, noNaN: true }),
        fc.integer({ min: 5, max: 30 }),
        fc.double({ min: 0.02, max: 0.2, noNaN: true }),
        (biasS, scatterS, fps, windowS) => {
          const { normal } = chances(fps * 1000 + Math.round(windowS * 1e4));
          let hit = 0;
          const RUNS = 4000;
          for (let run = 0; run < RUNS; run += 1) {
            const begins = biasS + scatterS * normal();
            const frames = Array.from(
              { length: Math.floor(0.5 * fps + 1e-9) + 1 },
              (_, k) => begins + k / fps,
            );
            if (frames.some((at) => Math.abs(at) <= windowS / 2)) hit += 1;
          }
          const chance = burstChance({ biasS, scatterS, windowS, fps, burstS: 0.5 });
          expect(Math.abs(chance - hit / RUNS)).toBeLessThan(0.04);
        },
      ),
      { numRuns: 25 },
    );
  });
  test('pressing early pays back what a late hand loses, and never costs', () => {
    const late = { ...moment, biasS: 0.18, scatterS: 0.05 };
    const { earlyS, chance } = pressEarly(late);
    expect(chance).toBeGreaterThan(0.99);
    expect(chance).toBeGreaterThan(burstChance(late));
    expect(earlyS).toBeGreaterThan(0.2);
    expect(pressEarly({ ...moment, biasS: 0, scatterS: 0 })).toEqual({ earlyS: 0, chance: 1 });
  });
});
