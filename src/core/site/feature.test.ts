import fc from 'fast-check';
import { skylineDeg, skyViewOfFace, sunBlocked } from './obstacle';
import { refusals } from './limits';
import { hillObstacle, limitsOf, obstaclesOf, type SiteFeature } from './feature';
import { point3 } from './vector';

const feature = (rest: object) => ({ id: 'x', name: 'X', ...rest }) as SiteFeature;
const SQUARE = [
  { x: 0, y: 0 },
  { x: 10, y: 0 },
  { x: 10, y: 10 },
  { x: 0, y: 10 },
];
const LINE = SQUARE.slice(0, 2);

test.each([
  [feature({ kind: 'stand', points: SQUARE, heightM: 6 }), 1],
  [feature({ kind: 'trees', points: SQUARE, heightM: 6 }), 1],
  [feature({ kind: 'wall', points: SQUARE, heightM: 2 }), 3],
  [feature({ kind: 'backdrop', points: LINE, heightM: 2, detail: 'leaf' }), 1],
  [feature({ kind: 'tree', points: [{ x: 1, y: 1 }], heightM: 6, crownM: 4 }), 1],
  [feature({ kind: 'fence', points: LINE, heightM: 3 }), 0],
  [feature({ kind: 'lamp', points: [{ x: 1, y: 1 }], heightM: 15 }), 0],
  [feature({ kind: 'keepOut', points: SQUARE }), 0],
  [feature({ kind: 'path', points: LINE }), 0],
])('$kind stands in the way as so many walls', (thing, count) => {
  expect(obstaclesOf(thing)).toHaveLength(count);
  // The same thing gives the same obstacles, so that nothing that rests on them is made anew.
  expect(obstaclesOf(thing)).toBe(obstaclesOf(thing));
});

test('a hill stands up by its elevation within its bearings, from anywhere on the ground', () => {
  const hill = hillObstacle(
    feature({ kind: 'hill', points: [], fromDeg: 300, toDeg: 20, elevationDeg: 5 }) as never,
  );
  for (const at of [point3(0, 0, 1.5), point3(200, -150, 2)]) {
    for (const bearing of [305, 340, 0, 15]) {
      expect(skylineDeg(at, bearing, [hill])).toBeCloseTo(5, 1);
    }
    for (const bearing of [25, 90, 200, 290]) expect(skylineDeg(at, bearing, [hill])).toBe(0);
  }
  expect(sunBlocked(point3(0, 0), { azimuthDeg: 330, altitudeDeg: 4 }, [hill])).toBe(true);
  expect(sunBlocked(point3(0, 0), { azimuthDeg: 330, altitudeDeg: 6 }, [hill])).toBe(false);
});

test('one may not stand in a keep-out, a stand or a wood, but may in a hide', () => {
  const site = [
    feature({ kind: 'keepOut', name: 'the landing', points: SQUARE }),
    feature({ kind: 'hide', points: SQUARE, heightM: 2 }),
    feature({ kind: 'hill', points: [], fromDeg: 0, toDeg: 90, elevationDeg: 5 }),
  ];
  expect(refusals({ x: 5, y: 5 }, limitsOf(site))).toEqual([
    { kind: 'inside', name: 'the landing' },
  ]);
  expect(refusals({ x: 15, y: 5 }, limitsOf(site))).toEqual([]);
  const stand = feature({ kind: 'stand', name: 'the stand', points: SQUARE, heightM: 6 });
  expect(refusals({ x: 5, y: 5 }, limitsOf([stand]))).toEqual([
    { kind: 'inside', name: 'the stand' },
  ]);
});

const corner = fc.record({
  x: fc.integer({ min: -60_000, max: 60_000 }).map((mm) => mm / 1000),
  y: fc.integer({ min: -60_000, max: 60_000 }).map((mm) => mm / 1000),
});

test('within walls all round a face sees no sky, and never less than none', () => {
  const within = [{ footprint: SQUARE, heightM: 8 }];
  for (let faceDeg = 0; faceDeg < 360; faceDeg += 1) {
    const view = skyViewOfFace(point3(5, 5, 1.5), faceDeg, within);
    expect(view).toBeGreaterThanOrEqual(0);
    expect(view).toBeLessThan(1e-9);
  }
});

test('the sky a face sees among obstacles is what its skyline leaves, slice by slice', () => {
  const obstacle = fc.record({
    footprint: fc.array(corner, { minLength: 3, maxLength: 6 }),
    heightM: fc.double({ min: 0.5, max: 30, noNaN: true }),
  });
  fc.assert(
    fc.property(
      fc.array(obstacle, { maxLength: 6 }),
      fc.double({ min: 0, max: 360, noNaN: true }),
      (obstacles, faceDeg) => {
        const at = point3(0, 0, 1.5);
        const step = 2.5;
        let view = 0;
        for (let aside = -90; aside < 90; aside += step) {
          const up = (skylineDeg(at, faceDeg + aside + step / 2, obstacles) * Math.PI) / 180;
          const above = (Math.PI / 2 - up - Math.sin(up) * Math.cos(up)) / 2;
          const sin = (deg: number) => Math.sin((deg * Math.PI) / 180);
          view += (above * (sin(aside + step) - sin(aside))) / Math.PI;
        }
        expect(skyViewOfFace(at, faceDeg, obstacles)).toBeCloseTo(view, 9);
      },
    ),
  );
});
