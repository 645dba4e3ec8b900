import fc from 'fast-check';
import { distanceToLine, nearestOnSegment, segmentsOf, snapPoint, type Segment } from './snap';

const WALL: Segment = [
  { x: 0, y: 0 },
  { x: 10, y: 0 },
];
const REACH = { reachM: 1, gridM: 5 };

test.each([
  ['a corner', { x: 0.4, y: 0.5 }, { x: 0, y: 0 }, 'corner'],
  ['the line between corners', { x: 4.2, y: 0.9 }, { x: 4.2, y: 0 }, 'line'],
  ['the grid where nothing is drawn', { x: 4.6, y: 9.5 }, { x: 5, y: 10 }, 'grid'],
  ['nothing', { x: 2.5, y: 7.5 }, { x: 2.5, y: 7.5 }, 'nothing'],
] as const)('a point is drawn to %s', (_what, at, point, to) => {
  expect(snapPoint(at, [WALL], REACH)).toMatchObject({ point, to });
});

test('of two corners in reach the nearer one is taken', () => {
  const short: Segment = [
    { x: 0, y: 0 },
    { x: 0.8, y: 0 },
  ];
  expect(snapPoint({ x: 0.7, y: 0.1 }, [short], REACH).point).toEqual({ x: 0.8, y: 0 });
});

const coordinate = fc.double({ min: -100, max: 100, noNaN: true });
const point = fc.record({ x: coordinate, y: coordinate });

test('a point never moves further than the reach, and snapping twice changes nothing', () => {
  fc.assert(
    fc.property(point, fc.array(fc.tuple(point, point), { maxLength: 6 }), (at, segments) => {
      const once = snapPoint(at, segments, REACH);
      expect(Math.hypot(once.point.x - at.x, once.point.y - at.y)).toBeLessThanOrEqual(1 + 1e-9);
      if (once.to === 'corner') {
        expect(snapPoint(once.point, segments, REACH).point).toEqual(once.point);
      }
    }),
  );
});

test('the nearest point of a piece is nearer than any other of it', () => {
  fc.assert(
    fc.property(point, point, point, fc.double({ min: 0, max: 1, noNaN: true }), (p, a, b, t) => {
      const best = nearestOnSegment(p, [a, b]);
      const other = { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t };
      const away = (q: typeof p) => Math.hypot(q.x - p.x, q.y - p.y);
      expect(away(best)).toBeLessThanOrEqual(away(other) + 1e-9);
    }),
  );
});

test('an area has a piece for each corner, a line one fewer', () => {
  const corners = [
    { x: 0, y: 0 },
    { x: 4, y: 0 },
    { x: 0, y: 3 },
  ];
  expect(segmentsOf(corners, true)).toHaveLength(3);
  expect(segmentsOf(corners, false)).toHaveLength(2);
  expect(segmentsOf([{ x: 1, y: 1 }], true)).toHaveLength(0);
});

test('distance to a line: to its nearest piece, to its only point, to nothing', () => {
  const line = [
    { x: 0, y: 0 },
    { x: 10, y: 0 },
    { x: 10, y: 10 },
  ];
  expect(distanceToLine({ x: 13, y: 6 }, line)).toBe(3);
  expect(distanceToLine({ x: 3, y: 4 }, [{ x: 0, y: 0 }])).toBe(5);
  expect(distanceToLine({ x: 3, y: 4 }, [])).toBe(Infinity);
});

test('no reach and no grid is refused by name', () => {
  expect(() => snapPoint({ x: 0, y: 0 }, [], { reachM: 0, gridM: 1 })).toThrow(/^reachM 0/);
  expect(() => snapPoint({ x: 0, y: 0 }, [], { reachM: 1, gridM: -1 })).toThrow(/^gridM -1/);
});
