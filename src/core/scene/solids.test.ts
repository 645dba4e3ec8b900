import type { FeatureOf } from '../site/feature';
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
