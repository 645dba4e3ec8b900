import { fenceInSight, postStrips } from './fence';
import { point3 } from './vector';

const fence = {
  id: 'wire',
  name: 'Wire fence',
  kind: 'fence' as const,
  points: [
    { x: -10, y: 5 },
    { x: 10, y: 5 },
  ],
  heightM: 2,
  meshPitchMm: 50,
  wireMm: 3,
  postSpacingM: 2.5,
  postWidthMm: 100,
};

test('the line of sight passes through the wire where the two cross', () => {
  const found = fenceInSight(point3(0, 0, 1.6), point3(0, 30, 1), [fence]);
  expect(found?.fence.id).toBe('wire');
  expect(found?.distanceM).toBeCloseTo(5, 1);
});

test('of two fences the nearer counts, whichever is listed first', () => {
  const near = { ...fence, id: 'near', points: fence.points.map(({ x }) => ({ x, y: 2 })) };
  expect(fenceInSight(point3(0, 0, 1.6), point3(0, 30, 1), [fence, near])?.fence.id).toBe('near');
});

test('a camera above the wire, or a fence beyond the subject, has nothing in the way', () => {
  expect(fenceInSight(point3(0, 0, 6), point3(0, 30, 5), [fence])).toBeUndefined();
  expect(fenceInSight(point3(0, 0, 1.6), point3(0, 4, 1), [fence])).toBeUndefined();
  expect(fenceInSight(point3(20, 0, 1.6), point3(20, 30, 1), [fence])).toBeUndefined();
});

// By hand: w/cos φ. A fence that runs east faces south; φ is the sun's bearing off that.
test.each([
  [180, 0.1],
  [240, 0.2],
  [120, 0.2],
  [225, 0.1 * Math.SQRT2],
])('sun at %i°: each post shades %d m of the fence about itself', (azimuthDeg, widthM) => {
  const strips = postStrips(fence, { azimuthDeg, altitudeDeg: 20 });
  expect(strips).toHaveLength(9);
  strips.forEach(({ from, to, widthM: width }, i) => {
    expect(width).toBeCloseTo(widthM, 6);
    expect((from.x + to.x) / 2).toBeCloseTo(-10 + 2.5 * i, 6);
    expect(to.x - from.x).toBeCloseTo(widthM, 6);
    expect([from.y, to.y]).toEqual([5, 5]);
  });
});

test('no strips while the sun is down, or along the fence itself', () => {
  expect(postStrips(fence, { azimuthDeg: 180, altitudeDeg: -1 })).toEqual([]);
  expect(postStrips(fence, { azimuthDeg: 90.4, altitudeDeg: 20 })).toEqual([]);
  expect(postStrips(fence, { azimuthDeg: 269.6, altitudeDeg: 20 })).toEqual([]);
});
