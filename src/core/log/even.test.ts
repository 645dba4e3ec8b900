import fc from 'fast-check';
import { flickerPairs, liftsFor, SEEN_STOPS, type ExposedFrame } from './even';

const press = (evs: readonly number[], levels?: readonly number[]): ExposedFrame[] =>
  evs.map((ev, i) => ({
    ...{ atMs: 1000 + i * 100, ev },
    ...(levels && { levelStops: levels[i] as number }),
  }));
const rounded = (stops: readonly number[]) => stops.map((one) => Math.round(one * 100) / 100);

test('exposed for 0.7 stop more light than there was: all are lifted 0.7', () => {
  const asked = { expected: 10, sigmaStops: 0.3 };
  expect(rounded(liftsFor(press([10.7, 10.7, 10.7]), asked))).toEqual([0.7, 0.7, 0.7]);
  expect(rounded(liftsFor(press([9.2, 9.2]), asked))).toEqual([-0.8, -0.8]);
});

test('less than is known of the light is not told, nor less than a click', () => {
  expect(liftsFor(press([10.7]), { expected: 10, sigmaStops: 0.8 })).toEqual([0]);
  expect(liftsFor(press([10.3]), { expected: 10, sigmaStops: 0.1 })).toEqual([0]);
  expect(rounded(liftsFor(press([10.34]), { expected: 10, sigmaStops: 0.1 }))).toEqual([0.34]);
  expect(rounded(liftsFor(press([10.7]), { expected: 10, sigmaStops: 0.69 }))).toEqual([0.7]);
});

test('without a plan the neighbours are the measure: one that took less light is lifted to them', () => {
  expect(rounded(liftsFor(press([10, 10, 11, 10])))).toEqual([0, 0, 1, 0]);
});

test('pictures that were measured are held against each other by that, not by their dials', () => {
  // The dials never moved; one came out 0.8 darker and one 0.5 brighter.
  expect(rounded(liftsFor(press([10, 10, 10, 10, 10], [0, 0, -0.8, 0, 0.5])))).toEqual([
    0, 0, 0.8, 0, -0.5,
  ]);
  // Where one was not measured, none is: what was measured of the rest is no measure of it.
  const [first, ...rest] = press([10, 10, 10], [0, -0.8, 0]);
  const { levelStops: _unknown, ...unmeasured } = first as ExposedFrame;
  expect(liftsFor([unmeasured, ...rest])).toEqual([0, 0, 0]);
});

test('off the plan and off the neighbours add up', () => {
  const asked = { expected: 10, sigmaStops: 0.2 };
  expect(rounded(liftsFor(press([10.5, 10.5, 10.5], [1, 0.2, 1]), asked))).toEqual([0.5, 1.3, 0.5]);
});

test('after the lifts no frame is a click or more off the middle of its press', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 1, maxLength: 12 }),
      (levels) => {
        const frames = press(
          levels.map(() => 10),
          levels,
        );
        const evened = liftsFor(frames).map((lift, i) => (levels[i] as number) + lift);
        const middle = [...levels].sort((a, b) => a - b);
        const half = middle.length / 2;
        const median =
          ((middle[Math.ceil(half) - 1] as number) + (middle[Math.floor(half)] as number)) / 2;
        expect(evened.every((level) => Math.abs(level - median) < SEEN_STOPS + 1e-6)).toBe(true);
      },
    ),
  );
});

test('two frames beside each other that came out unlike with the same dials were lit by lamps at two moments', () => {
  const [pair, ...others] = flickerPairs(press([8, 8, 8, 8], [0.1, 0.1, -0.7, -0.7]));
  expect(others).toEqual([]);
  expect(pair).toMatchObject({ brighter: 1, darker: 2 });
  expect(pair?.stops).toBeCloseTo(0.8, 9);
});

test('a dial that was turned between them is no flicker: the light was the same', () => {
  // A stop more exposure, a stop brighter.
  expect(flickerPairs(press([9, 8], [0, 1]))).toEqual([]);
  // A stop more exposure, and no brighter: the light fell.
  expect(flickerPairs(press([9, 8], [0, 0]))).toMatchObject([{ brighter: 0, darker: 1, stops: 1 }]);
});

test('without measured pictures a meter that jumped says so; each frame is in one pair', () => {
  expect(flickerPairs(press([8, 8.7, 8]))).toEqual([
    { brighter: 1, darker: 0, stops: expect.closeTo(0.7, 9) },
  ]);
});

test('frames further apart than lamps explain, or alike to less than a click, are no pair', () => {
  const [a, b] = press([8, 9]) as [ExposedFrame, ExposedFrame];
  expect(flickerPairs([a, { ...b, atMs: a.atMs + 401 }])).toEqual([]);
  expect(flickerPairs([a, { ...b, atMs: a.atMs + 400 }])).toHaveLength(1);
  expect(flickerPairs(press([8, 8.3]))).toEqual([]);
  expect(flickerPairs(press([8, 8 + 1 / 3]))).toHaveLength(1);
  expect(flickerPairs(press([8]))).toEqual([]);
});

test('what is no number is refused by name', () => {
  expect(() => liftsFor([])).toThrow('press of length 0');
  expect(() => liftsFor(press([8, NaN]))).toThrow('press[1].ev NaN');
  expect(() => liftsFor(press([8]), { expected: NaN, sigmaStops: 0 })).toThrow('asked.expected');
  expect(() => liftsFor(press([8]), { expected: 8, sigmaStops: -1 })).toThrow('asked.sigmaStops');
});
