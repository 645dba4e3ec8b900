import fc from 'fast-check';
import { sunPosition } from '../sun';
import {
  clearingHeight,
  firstBackdrop,
  insidePolygon,
  personObstacle,
  shadeTimes,
  shadowOnGround,
  shadowTip,
  sightBlocks,
  sunBlocked,
  treeObstacle,
  wallObstacles,
} from '.';

const wall = (y: number, heightM: number) => ({
  heightM,
  footprint: [
    { x: -50, y },
    { x: 50, y },
    { x: 50, y: y + 1 },
    { x: -50, y: y + 1 },
  ],
});
const camera = { x: 0, y: 0, z: 1.5 };
const head = { x: 0, y: 40, z: 1.7 };

test('a wall half way blocks when it is over the line, and says by how much', () => {
  const [block] = sightBlocks(camera, head, [wall(20, 3)]);
  expect(block?.distanceM).toBeCloseTo(20, 9);
  expect(block?.lineHeightM).toBeCloseTo(1.6, 9);
  expect(block?.overM).toBeCloseTo(1.4, 9);
  expect(sightBlocks(camera, head, [wall(20, 1.5)])).toEqual([]);
  expect(sightBlocks(camera, head, [wall(60, 9)])).toEqual([]);
});

test('nearest first; a camera high up looks over', () => {
  const walls = [wall(30, 5), wall(10, 5)];
  expect(sightBlocks(camera, head, walls).map(({ distanceM }) => Math.round(distanceM))).toEqual([
    10, 30,
  ]);
  expect(sightBlocks({ ...camera, z: 40 }, head, [wall(10, 5)])).toEqual([]);
});

test('the first thing behind, unless the line passes over it', () => {
  const found = firstBackdrop(camera, head, [wall(80, 6), wall(60, 1)]);
  // At 60 m the line is 1.8 m up: over the low wall.
  expect(found?.distanceM).toBeCloseTo(80, 9);
  expect(found?.behindSubjectM).toBeCloseTo(40, 9);
  expect(firstBackdrop({ ...camera, z: 0.2 }, { ...head, z: 9 }, [wall(80, 6)])).toBeUndefined();
});

test('looking down, the ground comes before what is further off', () => {
  const high = { x: 0, y: 0, z: 10 };
  expect(firstBackdrop(high, { x: 0, y: 40, z: 1 }, [wall(50, 6)])).toBeUndefined();
  expect(firstBackdrop(high, { x: 0, y: 40, z: 1 }, [wall(42, 6)])?.distanceM).toBeCloseTo(42, 9);
});

test('get low: the camera that just lifts a head over trees, and none that must go underground', () => {
  // Head 1.8 m at 10 m, trees 8 m at 60 m: (1.8·6 − 8)/5, by hand.
  const shot = { headM: 1.8, headDistanceM: 10, topM: 8, topDistanceM: 60 };
  expect(clearingHeight(shot)).toBeCloseTo(0.56, 9);
  expect(clearingHeight({ ...shot, topM: 14 })).toBeLessThan(0);
  // At that height the line over the head meets the tree tops exactly.
  const rise = (1.8 - 0.56) / 10;
  expect(0.56 + rise * 60).toBeCloseTo(8, 9);
});

test('a tree covers the area of its crown, a wall follows its line, a person stands where he stands', () => {
  const area = (points: readonly { x: number; y: number }[]) =>
    Math.abs(
      points.reduce((sum, a, i) => {
        const b = points[(i + 1) % points.length] as { x: number; y: number };
        return sum + a.x * b.y - b.x * a.y;
      }, 0) / 2,
    );
  expect(area(treeObstacle({ x: 3, y: 4 }, 6, 9).footprint)).toBeCloseTo(Math.PI * 9, 6);
  const pieces = wallObstacles(
    [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 10, y: 5 },
    ],
    0.2,
    2,
  );
  expect(pieces.map(({ footprint }) => area(footprint))).toEqual([
    expect.closeTo(2, 9),
    expect.closeTo(1, 9),
  ]);
  expect(area(personObstacle({ x: 0, y: 0 }).footprint)).toBeCloseTo(Math.PI * 0.0625, 6);
});

test('the tip of a 10 m post’s shadow under a sun at 15° in the west lies 37.32 m east', () => {
  const tip = shadowTip({ x: 1, y: 2 }, 10, { azimuthDeg: 270, altitudeDeg: 15 });
  expect(tip?.x).toBeCloseTo(38.32, 2);
  expect(tip?.y).toBeCloseTo(2, 9);
  expect(shadowTip({ x: 0, y: 0 }, 10, { azimuthDeg: 270, altitudeDeg: -1 })).toBeUndefined();
});

test('shade reaches a mark when the sun sinks behind the stand, found to ten seconds', () => {
  const place = { latitudeDeg: 53.12, longitudeDeg: -1.87 };
  const stand = {
    heightM: 9,
    footprint: [
      { x: -40, y: -300 },
      { x: -30, y: -300 },
      { x: -30, y: 300 },
      { x: -40, y: 300 },
    ],
  };
  const fromMs = Date.parse('2027-04-16T14:00:00Z');
  const toMs = Date.parse('2027-04-16T18:30:00Z');
  const point = { x: 0, y: 0, z: 1.5 };
  const spans = shadeTimes({ point, obstacles: [stand], place, fromMs, toMs });
  expect(spans).toHaveLength(1);
  const begins = spans[0]?.fromMs ?? NaN;
  const at = (ms: number) => sunBlocked(point, sunPosition({ time: ms, ...place }), [stand]);
  expect(at(begins - 10_000)).toBe(false);
  expect(at(begins + 10_000)).toBe(true);
  // By hand: the top is 7.5 m over the eye and 30 m west, further along the sun's slant.
  const sun = sunPosition({ time: begins, ...place });
  const reach = 30 / Math.sin(((360 - sun.azimuthDeg) * Math.PI) / 180);
  expect(Math.tan((sun.altitudeDeg * Math.PI) / 180)).toBeCloseTo(7.5 / reach, 2);
});

test('a point is blocked just when it lies in the drawn shadow', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -80, max: 80, noNaN: true }),
      fc.double({ min: -80, max: 80, noNaN: true }),
      fc.double({ min: 0, max: 360, noNaN: true }),
      fc.double({ min: 5, max: 80, noNaN: true }),
      (x, y, azimuthDeg, altitudeDeg) => {
        const tree = treeObstacle({ x: 0, y: 0 }, 8, 6);
        const sun = { azimuthDeg, altitudeDeg };
        const [shadow = []] = shadowOnGround(tree, sun);
        expect(sunBlocked({ x, y, z: 0 }, sun, [tree])).toBe(insidePolygon({ x, y }, shadow));
      },
    ),
    { numRuns: 500 },
  );
});

test('a camera under a roof looks out from within it', () => {
  // Standing in a hide whose roof is over the line: it blocks from the camera on.
  const hide = {
    heightM: 3,
    footprint: [
      { x: -2, y: -2 },
      { x: 2, y: -2 },
      { x: 2, y: 2 },
      { x: -2, y: 2 },
    ],
  };
  const [block] = sightBlocks(camera, head, [hide]);
  expect(block?.distanceM).toBeLessThanOrEqual(2);
  // In an L of two arms, in one of them: out of it, and into the other further on.
  const hook = {
    heightM: 3,
    footprint: [
      { x: -1, y: -1 },
      { x: 4, y: -1 },
      { x: 4, y: 12 },
      { x: -1, y: 12 },
      { x: -1, y: 10 },
      { x: 2, y: 10 },
      { x: 2, y: 1 },
      { x: -1, y: 1 },
    ],
  };
  const low = { heightM: 1.55, footprint: hook.footprint };
  expect(sightBlocks(camera, head, [hook])).toHaveLength(1);
  expect(sightBlocks({ ...camera, y: 5 }, head, [hook])[0]?.distanceM).toBeCloseTo(5, 9);
  // Only over the far arm is the line lower than its top.
  expect(sightBlocks({ ...camera, z: 1.9 }, { ...head, z: 0.7 }, [low])[0]?.distanceM).toBeCloseTo(
    11.67,
    0,
  );
});
