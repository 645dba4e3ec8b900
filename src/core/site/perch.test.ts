import fc from 'fast-check';
import { distanceToPath, dot, length, point3, subtract, unit } from './vector';
import { landsAt, lastStops, onPerch, perchEnds, preFocus, squareToLens } from './perch';

/** A stick of 40 cm, a metre up, that points north from the middle of a garden. */
const STICK = {
  points: [{ x: 0, y: 0 }],
  heightM: 1,
  stick: { lengthM: 0.4, towardDeg: 0 },
};
const POST = { points: [{ x: 2, y: 3 }], heightM: 1.5 };

const near = (x: number, y: number, z: number) => ({
  x: expect.closeTo(x, 9),
  y: expect.closeTo(y, 9),
  z: expect.closeTo(z, 9),
});

test('a stick ends half its length either way, a post in its top', () => {
  expect(perchEnds(STICK)).toEqual([near(0, 0.2, 1), near(0, -0.2, 1)]);
  expect(perchEnds({ ...STICK, stick: { lengthM: 1, towardDeg: 90 } })).toEqual([
    near(0.5, 0, 1),
    near(-0.5, 0, 1),
  ]);
  expect(perchEnds(POST)).toEqual([near(2, 3, 1.5)]);
});

test('a place on a stick is its ends or its middle, and a point lies at the nearest of them', () => {
  expect(onPerch(STICK, -1)).toEqual({ x: expect.closeTo(0, 9), y: expect.closeTo(-0.2, 9) });
  expect(onPerch(STICK, 0)).toEqual({ x: 0, y: 0 });
  expect(onPerch(POST, 1)).toEqual({ x: 2, y: 3 });
  // Half way between end and middle, at 10 cm of 20, they part.
  expect(landsAt(STICK, { x: 0.1, y: 0.11 })).toBe(1);
  expect(landsAt(STICK, { x: 0.1, y: 0.09 })).toBe(0);
  expect(landsAt(STICK, { x: 0, y: -9 })).toBe(-1);
  expect(landsAt(POST, { x: 0, y: -9 })).toBe(0);
});

test('a path in space is as far off as its nearest point: beside it, or past its end', () => {
  const up = [point3(0, 0, 0), point3(0, 0, 2), point3(3, 0, 2)];
  expect(distanceToPath(point3(0, 1, 1), up)).toBeCloseTo(1, 9);
  expect(distanceToPath(point3(4, 0, 2), up)).toBeCloseTo(1, 9);
  // From (1, 0, 1) it is a metre to either leg; a plan alone would have it on the second.
  expect(distanceToPath(point3(1, 0, 1), up)).toBeCloseTo(1, 9);
  // A slanting leg: (0, 0, 0) to (1, 0, 1), from (1, 0, 0) at √½.
  expect(distanceToPath(point3(1, 0, 0), [point3(0, 0, 0), point3(1, 0, 1)])).toBeCloseTo(
    Math.SQRT1_2,
    9,
  );
  expect(distanceToPath(point3(1, 0, 0), [point3(1, 2, 0)])).toBeCloseTo(2, 9);
  expect(distanceToPath(point3(1, 0, 0), [])).toBe(Infinity);
});

/** 600 mm f/4, 10 m off: sharp from 9.969 to 10.031 m by the table of depth of field (checks). */
const LENS = { focalMm: 600, aperture: 4, cocMm: 0.03 };

test('focused on the far end of a stick that points at the lens, the near end is its whole length nearer', () => {
  const camera = point3(0, -9.8, 1);
  const on = preFocus({ ...LENS, camera, landing: point3(0, 0.2, 1), other: point3(0, -0.2, 1) });
  expect(on.offM).toBeCloseTo(-0.4, 9);
  expect(on.nearM).toBeCloseTo(0.031, 3);
  expect(on.farM).toBeCloseTo(0.031, 3);
  // By hand: 600²/4 · 0.4 / (9.6 · 9400) = 0.3989 mm, over 0.03 mm.
  expect(on.blurCircles).toBeCloseTo(13.3, 1);
  expect(on.sharp).toBe(false);
});

test('an end 2 cm further off lies within the depth, one 4 cm off does not', () => {
  const camera = point3(0, -10, 1);
  const landing = point3(0, 0, 1);
  expect(preFocus({ ...LENS, camera, landing, other: point3(0.3, 0.02, 1) }).sharp).toBe(true);
  expect(preFocus({ ...LENS, camera, landing, other: point3(0.3, 0.04, 1) }).sharp).toBe(false);
  expect(preFocus({ ...LENS, camera, landing, other: point3(0.3, -0.04, 1) }).sharp).toBe(false);
});

test('a stick turned square to the lens has both ends in one plane of focus, turned as little as may be', () => {
  const bearing = fc.double({ min: 0, max: 359.9, noNaN: true });
  const case_ = fc.record({
    towardDeg: bearing,
    lengthM: fc.double({ min: 0.1, max: 2, noNaN: true }),
    camera: fc.record({
      x: fc.double({ min: 3, max: 30, noNaN: true }),
      y: fc.double({ min: -30, max: 30, noNaN: true }),
    }),
    at: fc.constantFrom(1 as const, -1 as const),
  });
  fc.assert(
    fc.property(case_, ({ towardDeg, lengthM, camera, at }) => {
      const perch = { ...STICK, stick: { lengthM, towardDeg } };
      const turned = squareToLens(perch, camera, at) as number;
      const ends = perchEnds({ ...perch, stick: { lengthM, towardDeg: turned } });
      const [landing, other] = (at === 1 ? ends : [...ends].reverse()) as never as [
        ReturnType<typeof point3>,
        ReturnType<typeof point3>,
      ];
      const from = { ...camera, z: 2 };
      const axis = subtract(landing, from);
      expect(dot(subtract(other, from), unit(axis))).toBeCloseTo(length(axis), 6);
      const off = Math.abs(((turned - towardDeg + 540) % 360) - 180);
      expect(off).toBeLessThanOrEqual(180 - 90 + 0.001);
    }),
  );
});

test('a camera within half a stick has no way to look at both ends', () => {
  expect(squareToLens(STICK, { x: 0.1, y: 0 }, 1)).toBeUndefined();
  expect(squareToLens(POST, { x: 0, y: 0 }, 1)).toBeUndefined();
});

test('last stops lie on the straight way, half a metre to two before the food', () => {
  const stops = lastStops({ x: 0, y: 10 }, { x: 0, y: 4 });
  expect(stops).toHaveLength(16);
  expect(stops[0]).toEqual({ x: 0, y: expect.closeTo(4.5, 9) });
  expect(stops.at(-1)).toEqual({ x: 0, y: expect.closeTo(6, 9) });
  expect(lastStops({ x: 0, y: 4.8 }, { x: 0, y: 4 })).toHaveLength(4);
  expect(lastStops({ x: 0, y: 4.2 }, { x: 0, y: 4 })).toEqual([]);
});
