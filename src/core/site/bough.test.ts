import fc from 'fast-check';
import {
  boughBehind,
  leafByMonth,
  monthOf,
  requireBough,
  sightThrough,
  sunThrough,
  type Bough,
} from './bough';
import { boughsOf, limitsOf, obstaclesOf, type FeatureOf } from './feature';
import { boughShadow } from './shadow';
import { alongBearing, point3 } from './vector';

/** From east to west, 2 m up: leaves of 0.5 m round it that take 60 % straight through in July, bare in January. */
const BOUGH: Bough = {
  id: 'b',
  from: point3(-1, 0, 2),
  to: point3(1, 0, 2),
  woodM: 0.03,
  leafRadiusM: 0.5,
  leafTakes: [0, 0, 0, 0.3, 0.6, 0.6, 0.6, 0.6, 0.6, 0.6, 0.3, 0],
};
const NO_WOOD = { ...BOUGH, woodM: 1e-9 };
const JULY = 7;
const JANUARY = 1;
const seen = (from: [number, number, number], to: [number, number, number], bough = NO_WOOD) =>
  sightThrough(point3(...from), point3(...to), 1, [bough], JULY);

test('leaves thin a line by the way it has through them', () => {
  // Through the middle, 1 m of leaves: 1 − 0.6.
  expect(seen([0, -5, 2], [0, 5, 2])).toBeCloseTo(0.4, 6);
  // 0.3 m over the middle: 2·√(0.5² − 0.3²) = 0.8 m, 0.4^0.8.
  expect(seen([0, -5, 2.3], [0, 5, 2.3])).toBeCloseTo(0.48045, 5);
  // At 45° to the branch: 1/sin 45° = 1.41421 m, 0.4^1.41421.
  expect(seen([-0.4, -0.4, 2], [0.4, 0.4, 2])).toBeCloseTo(0.4 ** 1.13137, 5);
  expect(seen([-0.9, -0.9, 2], [0.9, 0.9, 2])).toBeCloseTo(0.27367, 5);
  // From among them, and to one who sits among them: half.
  expect(seen([0, 0, 2], [0, 5, 2])).toBeCloseTo(Math.sqrt(0.4), 6);
  expect(seen([0, -5, 2], [0, 0, 2])).toBeCloseTo(Math.sqrt(0.4), 6);
  // Past its tip, over it, before it and behind the subject there is nothing.
  expect(seen([1.2, -5, 2], [1.2, 5, 2])).toBe(1);
  expect(seen([0, -5, 2.6], [0, 5, 2.6])).toBe(1);
  expect(seen([0, -5, 2], [0, -1, 2])).toBe(1);
  // Along it: all of its 2 m.
  expect(seen([-5, 0.1, 2], [5, 0.1, 2])).toBeCloseTo(0.4 ** 2, 6);
  expect(seen([-5, 0.6, 2], [5, 0.6, 2])).toBe(1);
});

test('in another month there are other leaves, and two branches take after each other', () => {
  const at = [point3(0, -5, 2), point3(0, 5, 2), 1] as const;
  expect(sightThrough(...at, [NO_WOOD], JANUARY)).toBeCloseTo(1, 6);
  expect(sightThrough(...at, [NO_WOOD], 4)).toBeCloseTo(0.7, 6);
  const further = { ...NO_WOOD, from: point3(-1, 2, 2), to: point3(1, 2, 2) };
  expect(sightThrough(...at, [NO_WOOD, further], JULY)).toBeCloseTo(0.16, 6);
  expect(sightThrough(...at, [], JULY)).toBe(1);
  expect(monthOf(Date.UTC(2027, 6, 15))).toBe(JULY);
});

test('a branch behind a subject is what it stands before, leaves in summer and wood in winter', () => {
  // Looking north past (0, −3, 2): its leaves begin at −0.5, its wood lies at 0.
  const from = (x: number, z: number, month: number, rise = 0, bough = BOUGH) =>
    boughBehind(point3(x, -3, z), { x: 0, y: 1 }, rise, [bough], month)?.behindM;
  expect(from(0, 2, JULY)).toBeCloseTo(2.5, 6);
  expect(from(0, 2, JANUARY)).toBeCloseTo(3, 6);
  // 0.3 m over its middle the way among leaves is 0.8 m, from −0.4 on: 1 − 0.4^0.8 is half and more.
  expect(from(0, 2.3, JULY)).toBeCloseTo(2.6, 6);
  // At 0.4 m it is 0.6 m, 1 − 0.4^0.6 = 0.42: looked through. Bare wood is as thick as it is.
  expect(from(0, 2.4, JULY)).toBeUndefined();
  expect(from(0, 2.014, JANUARY)).toBeCloseTo(3, 6);
  expect(from(0, 2.016, JANUARY)).toBeUndefined();
  // Past its tip; before the subject, not behind; and it sits in it.
  expect(from(1.1, 2, JULY)).toBeUndefined();
  const behindOnly = (y: number) =>
    boughBehind(point3(0, y, 2), { x: 0, y: 1 }, 0, [BOUGH], JULY)?.behindM;
  expect(behindOnly(0.6)).toBeUndefined();
  expect(behindOnly(-0.3)).toBeUndefined();
  // Looked up at from 1 m: a rise of 1 in 3 meets the wood 3 m further on, level.
  expect(from(0, 1, JANUARY, 1 / 3)).toBeCloseTo(3, 2);
  // The nearest of two.
  const near = { ...BOUGH, id: 'near', from: point3(-1, -2, 2), to: point3(1, -2, 2) };
  const both = boughBehind(point3(0, -3, 2), { x: 0, y: 1 }, 0, [BOUGH, near], JULY);
  expect(both?.bough.id).toBe('near');
  expect(both?.behindM).toBeCloseTo(0.5, 6);
});

test('wood hides the strip of a disc that lies behind it', () => {
  const at = [point3(0, -5, 2), point3(0, 5, 2)] as const;
  // Half way to a disc of 1 m, 3 cm stand for 6 cm: 0.12 radii either side of its middle,
  // (2/π)·(0.06·√(1 − 0.06²) + asin 0.06) = 0.07635.
  expect(sightThrough(...at, 1, [BOUGH], JANUARY)).toBeCloseTo(1 - 0.07635, 4);
  // A disc twice the size loses about half as much of itself, one of 3 cm all.
  expect(sightThrough(...at, 2, [BOUGH], JANUARY)).toBeCloseTo(1 - 0.0382, 3);
  expect(sightThrough(...at, 0.03, [BOUGH], JANUARY)).toBeCloseTo(0, 6);
  // 0.3 m over it the strip lies past the edge.
  expect(sightThrough(point3(0, -5, 2.3), point3(0, 5, 2.3), 1, [BOUGH], JANUARY)).toBe(1);
  expect(() => sightThrough(at[0], at[0], 1, [BOUGH], JULY)).toThrow('distanceM 0');
  expect(() => sightThrough(...at, 0, [BOUGH], JULY)).toThrow('sizeM 0');
});

test('wood before the sun takes the strip of its disc', () => {
  // 4.2426 m up the line to a sun at 45° the disc is 2·4.2426·tan 0.2666° = 39.5 mm across.
  const over = (woodM: number): Bough => ({
    ...{ ...BOUGH, from: point3(-1, -3, 3), to: point3(1, -3, 3), woodM },
  });
  const sun = { azimuthDeg: 180, altitudeDeg: 45 };
  const left = (woodM: number, z = 0) => sunThrough(point3(0, 0, z), sun, [over(woodM)], JANUARY);
  expect(left(0.04)).toBeCloseTo(0, 6);
  // 20 mm of it: 0.5066 radii either side, 1 − (2/π)·(0.5066·√(1 − 0.5066²) + asin 0.5066) = 0.3837.
  expect(left(0.02)).toBeCloseTo(0.3837, 3);
  // 5 cm further down it has passed the disc.
  expect(left(0.02, -0.05)).toBe(1);
  expect(sunThrough(point3(0, 0, 0), sun, [over(1e-9)], JULY)).toBeCloseTo(0.4, 6);
  expect(sunThrough(point3(0, 0, 0), { azimuthDeg: 0, altitudeDeg: 45 }, [over(0.04)], 1)).toBe(1);
  expect(sunThrough(point3(0, 0, 0), sun, [], 1)).toBe(1);
});

test('the way through leaves is what steps of a millimetre add up to', () => {
  const coordinate = fc.double({ min: -2, max: 2, noNaN: true });
  fc.assert(
    fc.property(
      coordinate,
      coordinate,
      coordinate,
      fc.nat(359),
      fc.integer({ min: -80, max: 80 }),
      (x, y, z, azimuthDeg, altitudeDeg) => {
        const start = point3(x, y, z + 2);
        const toward = alongBearing(azimuthDeg, altitudeDeg);
        let steps = 0;
        for (let i = 0; i < 6000; i += 1) {
          const m = (i + 0.5) / 1000;
          const [px, py, pz] = [
            start.x + toward.x * m,
            start.y + toward.y * m,
            start.z + toward.z * m,
          ];
          if (Math.abs(px) <= 1 && Math.hypot(py, pz - 2) < 0.5) steps += 1;
        }
        const end = point3(start.x + toward.x * 6, start.y + toward.y * 6, start.z + toward.z * 6);
        expect(
          -Math.log(sightThrough(start, end, 1, [NO_WOOD], JULY)) / -Math.log(0.4),
        ).toBeCloseTo(steps / 1000, 2);
      },
    ),
    { numRuns: 60 },
  );
});

test('leaves come and go with the months, across the year’s end too', () => {
  expect(leafByMonth(5, 10)).toEqual([0, 0, 0, 0.5, 1, 1, 1, 1, 1, 1, 0.5, 0]);
  expect(leafByMonth(11, 4)).toEqual([1, 1, 1, 1, 0.5, 0, 0, 0, 0, 0.5, 1, 1]);
  expect(leafByMonth(1, 12)).toEqual(Array(12).fill(1));
  expect(leafByMonth(12, 1)).toEqual([1, 0.5, 0, 0, 0, 0, 0, 0, 0, 0, 0.5, 1]);
});

const BRANCH: FeatureOf<'branch'> = {
  ...{ id: 'b', name: 'Branch', kind: 'branch', heightM: 3, tipM: 1.5 },
  points: [
    { x: 0, y: 0 },
    { x: 2, y: 0 },
    { x: 2, y: 1 },
  ],
  ...{ thickMm: 40, spreadM: 0.8, leafTakes: 0.5, leafFrom: 5, leafTo: 10 },
};

test('a branch falls evenly from its stem to its tip, is no wall, and one may stand under it', () => {
  const [first, second, ...more] = boughsOf(BRANCH);
  expect(more).toEqual([]);
  expect(first).toMatchObject({
    ...{ id: 'b', from: { x: 0, y: 0, z: 3 }, to: { x: 2, y: 0, z: 2 } },
    ...{ woodM: 0.04, leafRadiusM: 0.4 },
  });
  expect(second).toMatchObject({ from: { x: 2, y: 0, z: 2 }, to: { x: 2, y: 1, z: 1.5 } });
  expect(first?.leafTakes[6]).toBe(0.5);
  expect(boughsOf(BRANCH)[0]).toBe(first);
  expect(obstaclesOf(BRANCH)).toEqual([]);
  expect(limitsOf([BRANCH])).toEqual([]);
  // Two points that lie on each other are no branch.
  const none = { ...BRANCH, points: BRANCH.points.slice(0, 1).concat(BRANCH.points.slice(0, 1)) };
  expect(boughsOf(none)).toEqual([]);
  expect(boughsOf({ ...BRANCH, kind: 'wall' } as never)).toEqual([]);
  expect(() => requireBough({ ...BOUGH, woodM: 0 })).toThrow('woodM 0');
  expect(() => requireBough({ ...BOUGH, leafTakes: [2] })).toThrow('leafTakes 2');
  expect(() => requireBough({ ...BOUGH, to: BOUGH.from })).toThrow('length of a branch 0');
});

test('its shade lies where the sun throws its leaves, in winter where it throws the wood', () => {
  const sun = { azimuthDeg: 180, altitudeDeg: 45 };
  const shade = boughShadow(BOUGH, sun, JULY);
  const [xs, ys] = [shade.map(({ x }) => x), shade.map(({ y }) => y)];
  // 2 m high: 2 m to the north; 0.5 m across, 0.5/sin 45° = 0.707 m along the sun.
  expect(Math.max(...xs)).toBeCloseTo(1.5, 6);
  expect(Math.min(...xs)).toBeCloseTo(-1.5, 6);
  expect(Math.max(...ys)).toBeCloseTo(2.7071, 3);
  expect(Math.min(...ys)).toBeCloseTo(1.2929, 3);
  const bare = boughShadow(BOUGH, sun, JANUARY).map(({ y }) => y);
  expect(Math.max(...bare) - Math.min(...bare)).toBeCloseTo(0.03 / Math.sin(Math.PI / 4), 4);
  expect(boughShadow(BOUGH, { ...sun, altitudeDeg: -1 }, JULY)).toEqual([]);
});
