import { polygonArea } from 'd3-polygon';
import { obstaclesOf, boughsOf, limitsOf, type FeatureOf, type SiteFeature } from './feature';
import { rectangleCorners } from './measure';
import { baseM, cameraAt, groundUnderM, onGround, raised, slopeIn } from './raised';

/** 2 m up over 20 m to the east. */
const SLOPE: FeatureOf<'slope'> = {
  ...{ id: 'slope', name: 'Bank', kind: 'slope', heightsM: [0, 2] },
  points: [
    { x: 0, y: 0 },
    { x: 20, y: 0 },
  ],
};
const TREE: FeatureOf<'tree'> = {
  ...{ id: 'tree', name: 'Oak', kind: 'tree', heightM: 8, crownM: 5 },
  points: [{ x: 10, y: 3 }],
};
const HIDE: FeatureOf<'hide'> = {
  ...{ id: 'hide', name: 'Hide', kind: 'hide', heightM: 2 },
  points: rectangleCorners({ middle: { x: 20, y: 0 }, widthM: 2, depthM: 2, bearingDeg: 0 }),
  windows: [{ wall: 0, asideM: 0, widthM: 1, sillM: 0.9, heightM: 0.4, pane: 'open' }],
};
const BRANCH: FeatureOf<'branch'> = {
  ...{ id: 'branch', name: 'Bough', kind: 'branch', heightM: 2, tipM: 1.5 },
  ...{ thickMm: 30, spreadM: 0.6, leafTakes: 0.6, leafFrom: 5, leafTo: 10 },
  points: [
    { x: 5, y: 0 },
    { x: 10, y: 0 },
  ],
};
const ALL: readonly SiteFeature[] = [SLOPE, TREE, HIDE, BRANCH];
const high = <K extends SiteFeature['kind']>(kind: K) =>
  raised(ALL).find((feature) => feature.kind === kind) as FeatureOf<K>;

test('things are as high as they stand: the ground under them is added', () => {
  expect(high('tree').heightM).toBe(9);
  expect(baseM(high('tree'))).toBe(1);
  expect(baseM(TREE)).toBe(0);
  // Its corners lie at 1.9 and 2 m, the ground being level past the line's end.
  expect(high('hide').heightM).toBeCloseTo(3.95, 9);
  expect(high('hide').windows?.[0]?.sillM).toBeCloseTo(0.9 + 1.95, 9);
  expect(obstaclesOf(high('hide'))[0]?.openings?.[0]?.sillM).toBeCloseTo(2.85, 9);
  // A branch at each of its ends.
  expect(boughsOf(high('branch'))).toMatchObject([{ from: { z: 2.5 }, to: { z: 2.5 } }]);
});

test('walls, woods and rows of trees go up with the ground, a stand does not', () => {
  const along = [2, 18].map((x) => ({ x, y: 4 }));
  const box = rectangleCorners({ middle: { x: 10, y: -6 }, widthM: 16, depthM: 4, bearingDeg: 0 });
  const things: readonly SiteFeature[] = [
    SLOPE,
    { ...{ id: 'w', name: 'Wall', kind: 'wall', heightM: 1.5 }, points: along },
    { ...{ id: 't', name: 'Wood', kind: 'trees', heightM: 6 }, points: box },
    { ...TREE, id: 'row', points: along },
    { ...{ id: 's', name: 'Stand', kind: 'stand', heightM: 4 }, points: box },
  ];
  const solid = (id: string) => {
    const made = raised(things).find((feature) => feature.id === id);
    if (!made) throw new Error('must be there');
    return obstaclesOf(made);
  };
  // One in ten: from 0.2 m to 1.8 m in steps of at most half a metre.
  for (const [id, heightM] of [
    ['w', 1.5],
    ['t', 6],
  ] as const) {
    const pieces = solid(id);
    expect(pieces.length).toBe(4);
    for (const piece of pieces) {
      for (const { x } of piece.footprint) {
        expect(Math.abs(piece.heightM - heightM - x / 10)).toBeLessThanOrEqual(0.25 + 1e-9);
      }
    }
    const areaOf = (list: readonly { x: number; y: number }[]) =>
      Math.abs(polygonArea(list.map(({ x, y }) => [x, y])));
    const whole = id === 'w' ? 16 * 0.2 : 16 * 4;
    expect(pieces.reduce((sum, { footprint }) => sum + areaOf(footprint), 0)).toBeCloseTo(whole, 6);
  }
  expect(solid('row').map(({ heightM }) => heightM)).toEqual([8.2, 9.8]);
  expect(solid('s').map(({ heightM }) => heightM)).toEqual([5]);
});

test('level ground changes nothing, and nothing is raised twice', () => {
  const level = [TREE, HIDE];
  expect(raised(level)).toBe(level);
  expect(slopeIn(level)).toBeUndefined();
  const once = raised(ALL);
  expect(raised(once)).toBe(once);
  expect(raised(ALL)).toBe(once);
  // What did not move is the same thing in another list, so that its obstacles need not be made again.
  expect(raised([...ALL, { ...TREE, id: 'other' }])[1]).toBe(once[1]);
});

test('who stands on it and what is held over it', () => {
  expect(groundUnderM(ALL, { x: 15, y: 9 })).toBeCloseTo(1.5, 9);
  expect(onGround(ALL, { x: 15, y: 0, feetM: 1 }).feetM).toBeCloseTo(2.5, 9);
  const standing = { x: -3, y: 0 };
  expect(onGround(ALL, standing)).toBe(standing);
  expect(cameraAt(ALL, { x: 5, y: 0, cameraHeightM: 1.5 })).toEqual({ x: 5, y: 0, z: 2 });
});

test('who sits in a hide sits on its floor, which is level', () => {
  // At its front corner the ground is at 1.9 m; the floor is at 1.95 m all over.
  expect(groundUnderM(ALL, { x: 19.2, y: 0 })).toBeCloseTo(1.95, 9);
  expect(groundUnderM(ALL, { x: 18.9, y: 0 })).toBeCloseTo(1.89, 9);
});

test('on boards one stands on them, on level ground too', () => {
  const boards: FeatureOf<'path'> = {
    ...{ id: 'b', name: 'Boardwalk', kind: 'path', deckM: 0.6 },
    points: [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
    ],
  };
  expect(groundUnderM([boards], { x: 5, y: 0.5 })).toBeCloseTo(0.6, 9);
  expect(groundUnderM([boards], { x: 5, y: 0.7 })).toBe(0);
  expect(groundUnderM([{ ...boards, deckM: 0 }], { x: 5, y: 0 })).toBe(0);
  // On the slope the deck is level over the middle of the ground under it: half a metre.
  expect(groundUnderM([SLOPE, boards], { x: 9, y: 0 })).toBeCloseTo(1.1, 9);
  expect(raised([boards, TREE])[1]?.kind === 'tree' && raised([boards, TREE])[1]).toMatchObject({
    heightM: 8,
  });
});

test('one may stand on a slope', () => {
  expect(limitsOf([SLOPE])).toEqual([]);
});
