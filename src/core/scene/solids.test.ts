import { obstaclesOf, type FeatureOf, type SiteFeature } from '../site/feature';
import { raised } from '../site/raised';
import { siteSolids } from './solids';

const GROUND = { material: 'ground', reflectance: 0.2 } as const;

test('a branch is wood, and as many leaves as take their share of a line', () => {
  const branch: FeatureOf<'branch'> = {
    ...{ id: 'b', name: 'Branch', kind: 'branch', heightM: 2, tipM: 2 },
    points: [
      { x: -1, y: 0 },
      { x: 1, y: 0 },
    ],
    ...{ thickMm: 30, spreadM: 0.6, leafTakes: 0.6, leafFrom: 5, leafTo: 10 },
  };
  const [wood, ...leaves] = siteSolids([branch], [], 7, GROUND);
  expect(wood).toMatchObject({ shape: 'rod', radiusM: 0.015, from: { x: -1, y: 0, z: 2 } });
  expect(siteSolids([branch], [], 1, GROUND)).toEqual([wood]);
  // Level lines across it: the mean of 0.4^(way through) over the round, against what the balls let past.
  let [open, expected, lines] = [0, 0, 0];
  for (let x = -0.95; x < 0.95; x += 0.01) {
    for (let z = 1.705; z < 2.3; z += 0.01) {
      const way = 2 * Math.sqrt(0.09 - (z - 2) ** 2);
      expected += 0.4 ** (way / 0.6);
      lines += 1;
      const isHit = leaves.some(
        (leaf) =>
          leaf.shape === 'ellipsoid' &&
          Math.hypot(leaf.middle.x - x, leaf.middle.z - z) < leaf.radiiM.x,
      );
      if (!isHit) open += 1;
    }
  }
  expect(Math.abs(open - expected) / lines).toBeLessThan(0.1);
});

test('each tree of a row up a slope is drawn as high as it is counted', () => {
  const points = [2, 18].map((x) => ({ x, y: 4 }));
  const things: readonly SiteFeature[] = [
    {
      ...{ id: 's', name: 'Bank', kind: 'slope', heightsM: [0, 2] },
      points: [0, 20].map((x) => ({ x, y: 0 })),
    },
    { ...{ id: 't', name: 'Row', kind: 'tree', heightM: 8, crownM: 5 }, points },
  ];
  const [, row] = raised(things) as readonly [SiteFeature, SiteFeature];
  const tops = siteSolids([row], [], 7, GROUND).flatMap((solid) =>
    solid.shape === 'ellipsoid' ? [solid.middle.z + solid.radiiM.z] : [],
  );
  expect(tops[0]).toBeCloseTo(8.2, 9);
  expect(tops[1]).toBeCloseTo(9.8, 9);
  expect(obstaclesOf(row).map(({ heightM }) => heightM)).toEqual([8.2, 9.8]);
});
