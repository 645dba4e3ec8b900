import fc from 'fast-check';
import { asRectangle, measure, rectangleCorners, withCornerMoved } from './measure';

test('a 3-4-5 triangle: 12 m round, 6 square metres', () => {
  const corners = [
    { x: 0, y: 0 },
    { x: 0, y: 4 },
    { x: 3, y: 0 },
  ];
  const { legs, lengthM, areaM2 } = measure([...corners, { x: 0, y: 0 }]);
  expect(legs.map((leg) => leg.lengthM)).toEqual([4, 5, 3]);
  expect(legs[0]?.bearingDeg).toBe(0);
  expect(legs[2]?.bearingDeg).toBe(270);
  expect(lengthM).toBe(12);
  expect(areaM2).toBe(6);
});

test('one point has no length, two no area', () => {
  expect(measure([{ x: 5, y: 5 }])).toEqual({ legs: [], lengthM: 0, areaM2: 0 });
  expect(
    measure([
      { x: 0, y: 0 },
      { x: 9, y: 0 },
    ]).areaM2,
  ).toBe(0);
});

const side = fc.double({ min: 0.5, max: 200, noNaN: true });
const metre = fc.double({ min: -300, max: 300, noNaN: true });
const rectangle = fc.record({
  middle: fc.record({ x: metre, y: metre }),
  widthM: side,
  depthM: side,
  bearingDeg: fc.double({ min: 0, max: 359.9, noNaN: true }),
});

test('a rectangle is known again from its corners', () => {
  fc.assert(
    fc.property(rectangle, (made) => {
      const found = asRectangle(rectangleCorners(made));
      expect(found?.widthM).toBeCloseTo(made.widthM, 6);
      expect(found?.depthM).toBeCloseTo(made.depthM, 6);
      expect(found?.middle.x).toBeCloseTo(made.middle.x, 6);
      const turned = Math.abs((((found?.bearingDeg ?? NaN) - made.bearingDeg + 540) % 360) - 180);
      expect(turned).toBeLessThan(1e-6);
    }),
  );
});

test('what has no right angles, or not four corners, is none', () => {
  const [a, b, c, d] = rectangleCorners({
    middle: { x: 0, y: 0 },
    widthM: 10,
    depthM: 4,
    bearingDeg: 30,
  }) as [{ x: number; y: number }, ...{ x: number; y: number }[]];
  expect(asRectangle([a, b, c] as never)).toBeUndefined();
  expect(asRectangle([a, b, { x: 9, y: 9 }, d] as never)).toBeUndefined();
  expect(asRectangle([a, a, c, c] as never)).toBeUndefined();
});

test('a corner moved keeps the corner across from it, the bearing, and comes where it is wished', () => {
  fc.assert(
    fc.property(rectangle, fc.integer({ min: 0, max: 3 }), metre, metre, (made, index, x, y) => {
      const corners = rectangleCorners(made);
      const still = corners[(index + 2) % 4] as { x: number; y: number };
      const moved = withCornerMoved(corners, index, { x, y }) ?? [];
      const found = asRectangle(moved);
      expect(found).toBeDefined();
      const near = (p: { x: number; y: number }) =>
        Math.min(...moved.map((q) => Math.hypot(q.x - p.x, q.y - p.y)));
      expect(near(still)).toBeLessThan(1e-6);
      // Wished so near the other corner that a side would vanish, it keeps a hand's breadth.
      expect(near({ x, y })).toBeLessThan(0.15);
    }),
  );
});

test('a corner of what is no rectangle is left to be moved alone', () => {
  const kite = [
    { x: 0, y: 0 },
    { x: 2, y: 3 },
    { x: 0, y: 8 },
    { x: -2, y: 3 },
  ];
  expect(withCornerMoved(kite, 0, { x: 1, y: 1 })).toBeUndefined();
});
