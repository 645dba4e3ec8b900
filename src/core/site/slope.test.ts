import fc from 'fast-check';
import { sightBlocks } from './clearance';
import { skyViewOfFace, sunBlocked } from './obstacle';
import {
  groundHeightM,
  meetsGround,
  slopeContours,
  slopeCorners,
  slopeCrests,
  slopeFaces,
  slopeOf,
} from './slope';
import { point3 } from './vector';

/** A bank: level, 3 m up over 10 m to the north, level again. Figures by hand. */
const BANK = slopeOf({
  points: [
    { x: 0, y: 0 },
    { x: 0, y: 10 },
  ],
  heightsM: [1, 4],
});

test('heights count from the lowest, go evenly from corner to corner, and on level past the ends', () => {
  const ridge = slopeOf({
    points: [
      { x: 0, y: 0 },
      { x: 0, y: 10 },
      { x: 0, y: 20 },
    ],
    heightsM: [1, 4, 3],
  });
  const at = (x: number, y: number) => groundHeightM(ridge, { x, y });
  expect([at(0, -9), at(7, 0), at(-50, 5), at(0, 10), at(3, 15), at(0, 99)]).toEqual([
    0, 0, 1.5, 3, 2.5, 2,
  ]);
});

test('ground is level across its line, whichever way that runs', () => {
  // 3-4-5: 50 m long, 5 m up; 30 m to its right at half way it is as high as half way.
  const slope = slopeOf({
    points: [
      { x: 0, y: 0 },
      { x: 30, y: 40 },
    ],
    heightsM: [0, 5],
  });
  expect(groundHeightM(slope, { x: 15 + 24, y: 20 - 18 })).toBeCloseTo(2.5, 9);
  expect(groundHeightM(slope, { x: 15 - 24, y: 20 + 18 })).toBeCloseTo(2.5, 9);
});

test('a corner off the straight counts where it lies abreast of it; a line back to its beginning is level', () => {
  const bent = slopeOf({
    points: [
      { x: 0, y: 0 },
      { x: 10, y: 5 },
      { x: 0, y: 20 },
    ],
    heightsM: [0, 2, 2],
  });
  expect(groundHeightM(bent, { x: -40, y: 2.5 })).toBeCloseTo(1, 9);
  const round = slopeOf({
    points: [
      { x: 0, y: 0 },
      { x: 10, y: 5 },
      { x: 0, y: 0 },
    ],
    heightsM: [0, 2, 1],
  });
  expect(groundHeightM(round, { x: 10, y: 5 })).toBe(0);
  expect(slopeCrests(round)).toEqual([]);
});

test('a crest is in the way from low, and not from a metre higher', () => {
  const steps = slopeCrests(BANK);
  const subject = point3(0, 20, 3.5);
  // Over the crest, 20 of 30 m on, the line from 1.5 m is at 1.5 + 2 * 20/30 = 2.83 m.
  const [block] = sightBlocks(point3(0, -10, 1.5), subject, steps);
  expect(block?.overM).toBeCloseTo(0.167, 2);
  // From 2.5 m it is at 3.17 m.
  expect(sightBlocks(point3(0, -10, 2.5), subject, steps)).toEqual([]);
});

test('rising ground keeps a low sun off', () => {
  const steps = slopeCrests(BANK);
  const foot = point3(0, 0, 1);
  // The crest stands 2 m over it, 10 m off: 11.31°.
  expect(sunBlocked(foot, { azimuthDeg: 0, altitudeDeg: 11.2 }, steps)).toBe(true);
  expect(sunBlocked(foot, { azimuthDeg: 0, altitudeDeg: 11.4 }, steps)).toBe(false);
  expect(sunBlocked(foot, { azimuthDeg: 180, altitudeDeg: 1 }, steps)).toBe(false);
  expect(skyViewOfFace(foot, 0, steps)).toBeLessThan(0.45);
  expect(skyViewOfFace(foot, 180, steps)).toBeCloseTo(0.5, 3);
});

test('a line that comes down meets the ground where it is', () => {
  // 1 − m/10 = 3 m/10: m = 2.5.
  expect(meetsGround(BANK, point3(0, 0, 1), { x: 0, y: 1 }, -0.1)).toBeCloseTo(2.5, 9);
  // From the level, 1 m down in 10.
  expect(meetsGround(BANK, point3(0, -5, 1), { x: 0, y: -1 }, -0.1)).toBeCloseTo(10, 9);
  // Over the crest at 3.5 m and down on the level top: 0.5 m in 5.
  expect(meetsGround(BANK, point3(0, 10, 3.5), { x: 0, y: 1 }, -0.1)).toBeCloseTo(5, 9);
  // Along the bank it stays as high as it was; up, it never comes down.
  expect(meetsGround(BANK, point3(0, 5, 2), { x: 1, y: 0 }, 0)).toBeUndefined();
  expect(meetsGround(BANK, point3(0, -5, 1), { x: 0, y: 1 }, 1)).toBeUndefined();
});

test('refuses a line without its heights', () => {
  const points = [
    { x: 0, y: 0 },
    { x: 0, y: 1 },
  ];
  expect(() => slopeOf({ points, heightsM: [0] })).toThrow(/heightsM\[1\] NaN: must be a finite/);
  expect(() => slopeOf({ points: points.slice(1), heightsM: [0] })).toThrow(/points/);
});

const spot = fc.record({
  x: fc.double({ min: -60, max: 60, noNaN: true }),
  y: fc.double({ min: -60, max: 60, noNaN: true }),
});
const line = fc
  .array(fc.tuple(spot, fc.double({ min: 0, max: 12, noNaN: true })), {
    minLength: 2,
    maxLength: 6,
  })
  .filter((all) => {
    const [a, b] = [all[0]?.[0], all.at(-1)?.[0]];
    return !!a && !!b && Math.hypot(a.x - b.x, a.y - b.y) > 5;
  })
  .map((all) => slopeOf({ points: all.map(([at]) => at), heightsM: all.map(([, m]) => m) }))
  // Two corners abreast of each other are a cliff: its foot and its top are both the ground there.
  .filter(({ corners }) =>
    corners.every(({ alongM }, i) => i === 0 || alongM - (corners[i - 1]?.alongM ?? 0) > 0.1),
  );

test('what its crests hide is what the ground hides, looked for along the line', () => {
  fc.assert(
    fc.property(
      line,
      spot,
      spot,
      fc.double({ min: 0.1, max: 4, noNaN: true }),
      fc.double({ min: 0.1, max: 4, noNaN: true }),
      (slope, from, to, up, aimUp) => {
        fc.pre(Math.hypot(to.x - from.x, to.y - from.y) > 2);
        const camera = point3(from.x, from.y, groundHeightM(slope, from) + up);
        const aim = point3(to.x, to.y, groundHeightM(slope, to) + aimUp);
        let over = -Infinity;
        for (let i = 1; i < 4000; i += 1) {
          const share = i / 4000;
          const at = { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share };
          const lineM = camera.z + (aim.z - camera.z) * share;
          over = Math.max(over, groundHeightM(slope, at) - lineM);
        }
        // Nearer to touching than a crest is thick, either may be said.
        fc.pre(Math.abs(over) > 0.05);
        expect(sightBlocks(camera, aim, slopeCrests(slope)).length > 0).toBe(over > 0);
      },
    ),
    { numRuns: 300 },
  );
});

test('its faces lie on it, and its corners are where a line crosses them', () => {
  fc.assert(
    fc.property(line, (slope) => {
      for (const face of slopeFaces(slope)) {
        for (const corner of face) expect(corner.z).toBeCloseTo(groundHeightM(slope, corner), 6);
      }
      const from = { x: slope.from.x - slope.along.x * 200, y: slope.from.y - slope.along.y * 200 };
      const found = slopeCorners(slope, from, slope.along);
      slope.corners.forEach(({ alongM }, i) => expect(found[i]).toBeCloseTo(200 + alongM, 6));
    }),
  );
});

test('a wall stands at each crest alone, and lines of one height between', () => {
  const ridge = slopeOf({
    points: [0, 10, 20, 30, 40].map((y) => ({ x: 0, y })),
    heightsM: [2, 0, 3, 4, 1],
  });
  // Where it falls from, its top, and not the foot nor the bend upwards.
  expect(slopeCrests(ridge).map(({ heightM }) => heightM)).toEqual([2, 3, 4]);
  // 2 m down, 3 and 1 up, 3 down: nine metres in nine lines.
  const lines = slopeContours(ridge, 9);
  expect(lines).toHaveLength(9);
  for (const [a, b] of lines) {
    expect(groundHeightM(ridge, a)).toBeCloseTo(groundHeightM(ridge, b), 9);
  }
  expect(
    slopeContours(
      slopeOf({
        points: [
          { x: 0, y: 0 },
          { x: 0, y: 1 },
        ],
        heightsM: [1, 1],
      }),
      6,
    ),
  ).toEqual([]);
});
