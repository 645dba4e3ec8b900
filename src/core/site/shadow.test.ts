import fc from 'fast-check';
import { polygonArea, polygonContains, polygonHull } from 'd3-polygon';
import { shadowOnGround } from './shadow';
import type { Point2 } from './vector';

const pair = ({ x, y }: Point2): [number, number] => [x, y];
const SUN = { azimuthDeg: 180, altitudeDeg: 45 };
const square = [
  { x: 0, y: 0 },
  { x: 2, y: 0 },
  { x: 2, y: 2 },
  { x: 0, y: 2 },
];

test('by hand: a 3 m cube-sided block under a sun at 45° in the south shades 3 m to the north', () => {
  const [shadow] = shadowOnGround({ footprint: square, heightM: 3 }, SUN);
  expect(Math.abs(polygonArea((shadow ?? []).map(pair)))).toBeCloseTo(2 * 5, 9);
  expect(Math.max(...(shadow ?? []).map(({ y }) => y))).toBeCloseTo(5, 9);
  expect(Math.min(...(shadow ?? []).map(({ y }) => y))).toBeCloseTo(0, 9);
});

test('of a convex footprint it is the hull of both ends, whichever way its corners go round', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          x: fc.double({ min: -20, max: 20, noNaN: true }),
          y: fc.double({ min: -20, max: 20, noNaN: true }),
        }),
        { minLength: 3, maxLength: 12 },
      ),
      fc.double({ min: 0, max: 359, noNaN: true }),
      fc.double({ min: 5, max: 80, noNaN: true }),
      fc.boolean(),
      (cloud, azimuthDeg, altitudeDeg, reversed) => {
        const hull = polygonHull(cloud.map(pair));
        // Points all on a line have no footprint.
        fc.pre(hull !== null && Math.abs(polygonArea(hull)) > 0.5);
        const corners = (hull ?? []).map(([x, y]) => ({ x, y }));
        const footprint = reversed ? corners.reverse() : corners;
        const [shadow = [], ...more] = shadowOnGround(
          { footprint, heightM: 4 },
          { azimuthDeg, altitudeDeg },
        );
        expect(more).toEqual([]);
        const reach = 4 / Math.tan((altitudeDeg * Math.PI) / 180);
        const turn = ((azimuthDeg + 180) * Math.PI) / 180;
        const far = footprint.map(({ x, y }): [number, number] => [
          x + Math.sin(turn) * reach,
          y + Math.cos(turn) * reach,
        ]);
        const wanted = polygonHull([...footprint.map(pair), ...far]) ?? [];
        expect(Math.abs(polygonArea(shadow.map(pair)))).toBeCloseTo(
          Math.abs(polygonArea(wanted)),
          5,
        );
      },
    ),
  );
});

test('a footprint that turns back is shaded in pieces that leave no gap', () => {
  const ell = [
    { x: 0, y: 0 },
    { x: 6, y: 0 },
    { x: 6, y: 2 },
    { x: 2, y: 2 },
    { x: 2, y: 6 },
    { x: 0, y: 6 },
  ];
  const pieces = shadowOnGround({ footprint: ell, heightM: 3 }, SUN);
  expect(pieces.length).toBeGreaterThan(1);
  const shaded = (x: number, y: number) =>
    pieces.some((piece) => polygonContains(piece.map(pair), [x, y]));
  for (const [x, y] of [
    [1, 1],
    [1, 8.5],
    [5, 4.5],
    [4, 3],
  ] as const) {
    expect(shaded(x, y)).toBe(true);
  }
  expect(shaded(5, 5.5)).toBe(false);
  expect(shaded(1, -0.5)).toBe(false);
});

test('there is none under a sun that is down', () => {
  expect(shadowOnGround({ footprint: square, heightM: 3 }, { ...SUN, altitudeDeg: 0 })).toEqual([]);
});
