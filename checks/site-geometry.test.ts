/** Shadows and lines of sight worked by hand; FIH pitch dimensions, quoted from memory. */
import {
  insidePolygon,
  shadowLength,
  shadowOnGround,
  sightLine,
  skylineDeg,
  skyViewOfFace,
  sunBlocked,
} from '@/core';
import { HOCKEY, HOCKEY_LINES } from '@/presets/grounds/hockey';

const WALL = {
  footprint: [
    { x: -50, y: 10 },
    { x: 50, y: 10 },
    { x: 50, y: 11 },
    { x: -50, y: 11 },
  ],
  heightM: 5,
};

test('a 10 m post under a sun at 15° throws 37.32 m', () => {
  expect(shadowLength(10, 15)).toBeCloseTo(37.32, 2);
});

test('a sun due north at 45° throws the wall 5 m to the south', () => {
  const [shadow = []] = shadowOnGround(WALL, { azimuthDeg: 0, altitudeDeg: 45 });
  expect(Math.min(...shadow.map(({ y }) => y))).toBeCloseTo(5, 9);
  expect(Math.max(...shadow.map(({ y }) => y))).toBeCloseTo(11, 9);
  expect(Math.max(...shadow.map(({ x }) => x))).toBeCloseTo(50, 9);
});

test('no shadow from a sun on or below the horizon', () => {
  expect(shadowOnGround(WALL, { azimuthDeg: 0, altitudeDeg: 0 })).toEqual([]);
});

test('a hollow footprint shades just the ground from which it hides the sun', () => {
  const hollow = {
    footprint: [
      { x: 0, y: 0 },
      { x: 8, y: 0 },
      { x: 2, y: 2 },
      { x: 0, y: 8 },
    ],
    heightM: 2,
  };
  const sun = { azimuthDeg: 222, altitudeDeg: 31 };
  const pieces = shadowOnGround(hollow, sun);
  let shaded = 0;
  for (let x = -4.03; x < 12; x += 0.37) {
    for (let y = -4.07; y < 12; y += 0.41) {
      const drawn = pieces.some((piece) => insidePolygon({ x, y }, piece));
      expect({ x, y, drawn }).toEqual({ x, y, drawn: sunBlocked({ x, y, z: 0 }, sun, [hollow]) });
      if (drawn) shaded += 1;
    }
  }
  expect(shaded).toBeGreaterThan(100);
});

test('the wall blocks the sun below the line over its top, and not above', () => {
  const eye = { x: 0, y: 0, z: 1.5 };
  // Top of the near face: 3.5 m up at 10 m, 19.29°.
  expect(skylineDeg(eye, 0, [WALL])).toBeCloseTo(19.29, 2);
  expect(sunBlocked(eye, { azimuthDeg: 0, altitudeDeg: 19.2 }, [WALL])).toBe(true);
  expect(sunBlocked(eye, { azimuthDeg: 0, altitudeDeg: 19.4 }, [WALL])).toBe(false);
  expect(sunBlocked(eye, { azimuthDeg: 180, altitudeDeg: 5 }, [WALL])).toBe(false);
  expect(sunBlocked({ x: 0, y: 0, z: 5.5 }, { azimuthDeg: 0, altitudeDeg: 1 }, [WALL])).toBe(false);
  expect(sunBlocked({ x: 0, y: 10.5, z: 1 }, { azimuthDeg: 0, altitudeDeg: 80 }, [WALL])).toBe(
    true,
  );
});

test('an open upright face sees half the sky; a long wall of angle α before it leaves ½(1 − sin α)', () => {
  const eye = { x: 0, y: 0, z: 0 };
  expect(skyViewOfFace(eye, 0, [])).toBeCloseTo(0.5, 12);
  const endless = {
    footprint: [
      { x: -1e5, y: 10 },
      { x: 1e5, y: 10 },
      { x: 1e5, y: 11 },
      { x: -1e5, y: 11 },
    ],
    heightM: 10,
  };
  // An infinite wall whose top stands 45° up: view factor of the rest, ½(1 − sin 45°), textbook.
  expect(skyViewOfFace(eye, 0, [endless])).toBeCloseTo(0.5 * (1 - Math.SQRT1_2), 3);
  expect(skyViewOfFace(eye, 180, [endless])).toBeCloseTo(0.5, 6);
});

test('3 m east, 4 m north and 12 m up is 13 m away at 036.87°', () => {
  const sight = sightLine({ x: 0, y: 0, z: 0 }, { x: 3, y: 4, z: 12 });
  expect(sight.distanceM).toBe(13);
  expect(sight.bearingDeg).toBeCloseTo(36.87, 2);
  expect(sight.elevationDeg).toBeCloseTo(67.38, 2);
});

describe('FIH pitch', () => {
  const line = (name: string) => HOCKEY_LINES.filter((entry) => entry.name === name);
  test('is 91.40 by 55.00 m', () => {
    const points = line('boundary').flatMap((entry) => entry.points);
    const span = (axis: 'x' | 'y') =>
      Math.max(...points.map((p) => p[axis])) - Math.min(...points.map((p) => p[axis]));
    expect(span('y')).toBeCloseTo(91.4, 9);
    expect(span('x')).toBeCloseTo(55, 9);
  });
  test('has circles whose every point is 14.63 m from its goal post, joined by 3.66 m', () => {
    expect(HOCKEY.circleRadiusM).toBe(14.63);
    for (const circle of line('circle')) {
      const end = Math.sign(circle.points[0]?.y ?? NaN);
      for (const { x, y } of circle.points) {
        const post = Math.min(1.83, Math.max(-1.83, x));
        expect(Math.hypot(x - post, y - end * 45.7)).toBeCloseTo(14.63, 6);
        expect(Math.abs(y)).toBeLessThanOrEqual(45.7 + 1e-9);
      }
    }
  });
  test('has a 23 m line 22.90 m and a spot 6.475 m from each back line', () => {
    expect(line('23 m line').map(({ points }) => 45.7 - Math.abs(points[0]?.y ?? NaN))).toEqual([
      expect.closeTo(22.9, 9),
      expect.closeTo(22.9, 9),
    ]);
    expect(line('penalty spot').map(({ points }) => 45.7 - Math.abs(points[0]?.y ?? NaN))).toEqual([
      expect.closeTo(6.475, 9),
      expect.closeTo(6.475, 9),
    ]);
  });
});
