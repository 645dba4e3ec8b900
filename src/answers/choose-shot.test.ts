import { DEMO_SHOOTS } from '@/demo';
import type { Shoot } from '@/records/shoot';
import { newShoot } from '@/records/new-shoot';
import { withShot, zoomedToBegin } from './choose-shot';
import { viewOf } from './view';

const [larkmoor] = DEMO_SHOOTS as [Shoot];
const shotOf = (name: RegExp) => {
  const found = larkmoor.shots.find((shot) => name.test(shot.name));
  if (!found) throw new Error('must be there');
  return found;
};

test('a shot taken up brings its mark, its way of holding and nothing held', () => {
  const shot = shotOf(/penalty corner/);
  const held = { ...larkmoor, choice: { ...larkmoor.choice, held: { iso: 800 } } };
  const taken = withShot(held, shot);
  expect(taken.choice).toMatchObject({
    shotId: shot.id,
    markId: shot.markId,
    orientation: shot.orientation,
    held: {},
  });
  expect(withShot(taken, undefined).choice.shotId).toBeUndefined();
});

test('a lens that somebody brings is zoomed to the first place; the one a ground knows stays as it is', () => {
  const brief = {
    ...{ title: 'Wall', template: 'climbing-wall', latitudeDeg: 53, longitudeDeg: -2 },
    ...{ timeZone: 'Europe/London', bearingDeg: 0 },
    ...{ startLocal: '2027-03-20T12:00', endLocal: '2027-03-20T20:00' },
  };
  const usual = newShoot(brief, 'wall', '2027-01-01T00:00:00.000Z');
  expect(zoomedToBegin(usual)).toBe(usual);
  const long = { ...usual, kit: { ...usual.kit, lensId: '100-400-5.6', focalMm: 400 } };
  expect(zoomedToBegin(long).kit.focalMm).toBe(100);
  const near = { ...usual, kit: { ...usual.kit, lensId: '24-70-2.8', focalMm: 70 } };
  const seen = viewOf(zoomedToBegin(near));
  // Filled to six tenths of the frame, or as far as it goes.
  expect(seen.ok && seen.view.fill).toBeCloseTo(0.6, 1);
});

test('from a place that reaches it one stays; from one that does not one goes where the lens does', () => {
  const shot = shotOf(/penalty corner/);
  const near = larkmoor.choice.positionId;
  expect(withShot(larkmoor, shot).choice.positionId).toBe(near);
  // From three hundred metres off no zoom to 200 mm fills the frame: the nearer place is taken.
  const far = {
    ...(larkmoor.positions[0] as Shoot['positions'][number]),
    id: 'far',
    x: 0,
    y: -300,
  };
  const away: Shoot = {
    ...larkmoor,
    positions: [far, ...larkmoor.positions],
    choice: { ...larkmoor.choice, positionId: 'far' },
  };
  const taken = withShot(away, shot);
  expect(taken.choice.positionId).not.toBe('far');
  const seen = viewOf(taken);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  expect(seen.view.fill).toBeGreaterThan(0.8 * shot.fill);
});

test('of places that all reach it well enough, more than enough counts no more', () => {
  const shot = shotOf(/penalty corner/);
  const taken = withShot(larkmoor, shot);
  const seen = viewOf(taken);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  expect(seen.view.fill).toBeLessThan(1.25 * shot.fill);
});
