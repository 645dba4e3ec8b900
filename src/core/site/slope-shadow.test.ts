import fc from 'fast-check';
import { polygonContains } from 'd3-polygon';
import { leafByMonth, sunThrough, type Bough } from './bough';
import { sunBlocked } from './obstacle';
import { groundHeightM, slopeCrests, slopeOf, type Slope } from './slope';
import { boughShadowOnSlope, shadowOnSlope, slopeShade } from './slope-shadow';
import { point3, type Point2 } from './vector';

const inside = (polygons: readonly (readonly Point2[])[], { x, y }: Point2): boolean =>
  polygons.some((polygon) =>
    polygonContains(
      polygon.map((corner) => [corner.x, corner.y]),
      [x, y],
    ),
  );
const onSlope = (slope: Slope, at: Point2) => point3(at.x, at.y, groundHeightM(slope, at));
const NORTH = (heightsM: readonly number[], everyM = 10) =>
  slopeOf({ points: heightsM.map((_, i) => ({ x: 0, y: i * everyM })), heightsM });

test('by hand: up a slope a shadow is shorter, down it longer', () => {
  const post = (y: number, heightM: number) => ({
    heightM,
    footprint: [-1, 1].flatMap((x) => [
      { x, y: y - x / 100 },
      { x, y: y + x / 100 },
    ]),
  });
  const north = { azimuthDeg: 180, altitudeDeg: 45 };
  const farthest = (slope: Slope, heightM: number) =>
    Math.max(
      ...shadowOnSlope(post(10, heightM), north, slope)
        .flat()
        .map(({ y }) => y),
    );
  // 3 m high at 1 m of a rise of one in ten, sun at one in one: 3 = t + t/10 each way, t − t/10 down.
  const up = NORTH([0, 10], 100);
  expect(farthest(up, 1 + 3)).toBeCloseTo(10.01 + 2.999 / 1.1, 6);
  const down = NORTH([10, 0], 100);
  expect(farthest(down, 9 + 3)).toBeCloseTo(10.01 + 3.001 / 0.9, 6);
});

test('what is drawn in shade is what has no sun there, behind crests and things alike', () => {
  // Evenly spread: doubles as they come are nearly all next to nothing.
  const between = (min: number, max: number) =>
    fc.integer({ min: min * 1000, max: max * 1000 }).map((n) => n / 1000);
  const one = between(0, 1);
  fc.assert(
    fc.property(
      fc.array(between(0, 8), { minLength: 2, maxLength: 5 }),
      fc.record({ x: between(-8, 8), y: one, turn: one, high: one }),
      fc.record({
        azimuthDeg: between(0, 360),
        altitudeDeg: between(4, 80),
      }),
      fc.boolean(),
      fc.array(fc.tuple(one, one), { minLength: 40, maxLength: 40 }),
      (heights, thing, sun, turnsBack, spots) => {
        const slope = NORTH(heights);
        const longM = 10 * (heights.length - 1);
        const corners = turnsBack ? [3, 1, 3, 1, 3, 1] : [2, 2, 2, 2];
        const middle = { x: thing.x, y: thing.y * longM };
        const footprint = corners.map((radiusM, i) => {
          const angle = 2 * Math.PI * (thing.turn + i / corners.length);
          return {
            x: middle.x + radiusM * Math.cos(angle),
            y: middle.y + radiusM * Math.sin(angle),
          };
        });
        const obstacle = {
          footprint,
          heightM: groundHeightM(slope, middle) + 0.5 + 5 * thing.high,
        };
        const drawn = [...slopeShade(slope, sun), ...shadowOnSlope(obstacle, sun, slope)];
        const casts = [obstacle, ...slopeCrests(slope)];
        for (const [across, along] of spots) {
          const at = { x: middle.x + 24 * (across - 0.5), y: middle.y + 40 * (along - 0.5) };
          // A crest's wall is a centimetre thick.
          if (Math.abs(at.y / 10 - Math.round(at.y / 10)) < 0.002) continue;
          const point = onSlope(slope, at);
          // A hair off the edge counts either way.
          const hair = { ...point, z: point.z + 1e-3 };
          const dark = sunBlocked(point, sun, casts);
          if (sunBlocked(hair, sun, casts) !== dark) continue;
          expect({ at, inside: inside(drawn, at) }).toEqual({ at, inside: dark });
        }
      },
    ),
    { numRuns: 120 },
  );
});

test('a branch dapples just the ground from which the sun is seen through it', () => {
  const slope = NORTH([0, 4, 1, 1]);
  const bough: Bough = {
    ...{ id: 'a', from: point3(-2, 8, 6), to: point3(3, 11, 7), woodM: 0.05, leafRadiusM: 0.8 },
    leafTakes: leafByMonth(5, 9).map((leaf) => 0.6 * leaf),
  };
  for (const sun of [
    { azimuthDeg: 180, altitudeDeg: 35 },
    { azimuthDeg: 250, altitudeDeg: 22 },
    { azimuthDeg: 5, altitudeDeg: 50 },
  ]) {
    const drawn = boughShadowOnSlope(bough, sun, 7, slope);
    let [seen, agree] = [0, 0];
    for (let x = -20; x <= 20; x += 0.5) {
      for (let y = -10; y <= 40; y += 0.5) {
        const isThrough = sunThrough(onSlope(slope, { x, y }), sun, [bough], 7) < 0.999;
        const isDrawn = inside(drawn, { x, y });
        if (isThrough || isDrawn) seen += 1;
        if (isThrough && isDrawn) agree += 1;
      }
    }
    expect(seen).toBeGreaterThan(20);
    // Its ends are drawn round and counted flat.
    expect(agree / seen).toBeGreaterThan(0.7);
  }
  expect(boughShadowOnSlope(bough, { azimuthDeg: 180, altitudeDeg: -1 }, 7, slope)).toEqual([]);
  // Under a bank it dapples nothing on top of it, sunward.
  const low = { ...bough, from: point3(-2, 23, 2), to: point3(3, 24, 3) };
  const dappled = boughShadowOnSlope(
    low,
    { azimuthDeg: 180, altitudeDeg: 45 },
    7,
    NORTH([6, 6, 0, 0]),
  );
  expect(Math.min(...dappled.flat().map(({ y }) => y))).toBeGreaterThan(19);
});
