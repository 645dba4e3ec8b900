import { trialShoot } from '@/records/fixtures/trial-shoot';
import { viewOf } from './view';

/** Marks and places of the pool, the mat and the vault, as the trade uses them: common practice, no source. */

function seen(template: string, markId: string, positionId: string) {
  const shoot = trialShoot(template, 0);
  const looking = viewOf({ ...shoot, choice: { ...shoot.choice, markId, positionId } });
  if (!looking.ok) throw new Error(`${markId} from ${positionId}: ${looking.trouble.kind}`);
  const { camera, aim, faceOffDeg } = looking.view;
  const level = Math.hypot(camera.x - aim.x, camera.y - aim.y);
  return { faceOffDeg, aboveDeg: (Math.atan2(camera.z - aim.z, level) * 180) / Math.PI };
}

test.each(['pool-50', 'pool-25'])(
  '%s: backstroke is seen from above, the face turned to it',
  (pool) => {
    const { faceOffDeg, aboveDeg } = seen(pool, 'backstroke', 'stands-right');
    expect(aboveDeg).toBeGreaterThan(8);
    expect(faceOffDeg).toBeLessThan(60);
  },
);

test.each(['pool-50', 'pool-25'])(
  '%s: freestyle from the side they breathe to, slightly ahead',
  (pool) => {
    for (const [mark, near, far] of [
      ['freestyle', 'side-right', 'side-left'],
      ['freestyle-left', 'side-left', 'side-right'],
    ] as const) {
      expect(seen(pool, mark, near).faceOffDeg).toBeLessThan(45);
      expect(seen(pool, mark, far).faceOffDeg).toBeGreaterThan(90);
    }
  },
);

test.each(['pool-50', 'pool-25'])('%s: breaststroke head-on and low', (pool) => {
  const { faceOffDeg, aboveDeg } = seen(pool, 'breaststroke', 'head-on');
  expect(faceOffDeg).toBeLessThan(20);
  expect(aboveDeg).toBeLessThan(10);
});

test.each(['pool-50', 'pool-25'])(
  '%s: whoever has touched looks at the board, from under it',
  (pool) => {
    for (const mark of ['reaction-start', 'reaction-turn']) {
      expect(seen(pool, mark, 'gallery').faceOffDeg).toBeLessThan(40);
      expect(seen(pool, mark, 'gallery').aboveDeg).toBeGreaterThan(0);
    }
  },
);

test('a high jumper’s face comes over on the side the leg decides', () => {
  const off = (mark: string, place: string) => seen('athletics-track', mark, place).faceOffDeg;
  for (const [mark, near, far] of [
    ['high-jump', 'high-jump-far', 'high-jump-far-left'],
    ['high-jump-right', 'high-jump-far-left', 'high-jump-far'],
  ] as const) {
    expect(off(mark, near)).toBeLessThan(off(mark, far));
    expect(off(mark, near)).toBeLessThan(60);
  }
});

test('a vaulter turned over the bar shows the face to a place that there is', () => {
  const { positions } = trialShoot('athletics-track', 0);
  const offs = positions.map(({ id }) => seen('athletics-track', 'vault', id).faceOffDeg);
  expect(Math.min(...offs)).toBeLessThan(60);
});
