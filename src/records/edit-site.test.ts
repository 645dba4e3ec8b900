import fc from 'fast-check';
import { DEMO_SHOOTS } from '@/demo';
import { GROUND_TEMPLATES } from '@/presets/grounds';
import { throwSwitch, turnGround } from './edit-ground';
import {
  addItem,
  anchorOf,
  cannotRemove,
  changeItem,
  itemOf,
  moveItem,
  removeItem,
  withoutPoint,
  withPointAdded,
  withPointMoved,
  type ItemList,
} from './edit-site';
import { trialShoot } from './fixtures/trial-shoot';
import { MOST_ENTRIES, shootSchema, type Feature, type Shoot } from './shoot';

const [larkmoor, alder] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const whole = (shoot: Shoot) =>
  shootSchema.safeParse(JSON.parse(JSON.stringify(shoot))).error?.issues ?? [];
const featureOf = (shoot: Shoot, id: string) => itemOf(shoot, { list: 'features', id }) as Feature;

test('a thing moved there and back is where it was, and nothing else has moved', () => {
  const ref = { list: 'features', id: 'west-stand' } as const;
  const there = moveItem(larkmoor, ref, 7, -3);
  expect(anchorOf(featureOf(there, 'west-stand'))?.x).toBeCloseTo(
    (anchorOf(featureOf(larkmoor, 'west-stand'))?.x ?? NaN) + 7,
    9,
  );
  expect(featureOf(there, 'oak')).toBe(featureOf(larkmoor, 'oak'));
  const back = moveItem(there, ref, -7, 3);
  featureOf(back, 'west-stand').points.forEach(({ x, y }, i) => {
    const was = featureOf(larkmoor, 'west-stand').points[i];
    expect(x).toBeCloseTo(was?.x ?? NaN, 9);
    expect(y).toBeCloseTo(was?.y ?? NaN, 9);
  });
});

test('nothing can be moved out of reach of the site', () => {
  const moved = moveItem(larkmoor, { list: 'marks', id: 'attack' }, 1e9, -1e9);
  expect(itemOf(moved, { list: 'marks', id: 'attack' })).toMatchObject({ x: 5000, y: -5000 });
  expect(whole(moved)).toEqual([]);
});

test('a rectangle keeps its right angles when a corner is dragged; another shape moves one corner', () => {
  const stand = withPointMoved(featureOf(larkmoor, 'west-stand'), 2, { x: 0, y: 40 });
  const [a, b, , d] = stand.points as [Point, Point, Point, Point];
  const dot = (b.x - a.x) * (d.x - a.x) + (b.y - a.y) * (d.y - a.y);
  expect(dot).toBeCloseTo(0, 6);
  // The corner across from it holds still, and its sides stay square.
  const before = featureOf(larkmoor, 'west-stand').points;
  expect(stand.points[0]).toEqual(before[0]);
  expect(stand.points[1]).not.toEqual(before[1]);
  const path = withPointMoved(featureOf(larkmoor, 'spectators'), 1, { x: 1, y: 2 });
  expect(path.points[1]).toEqual({ x: 1, y: 2 });
  expect(path.points[0]).toEqual(featureOf(larkmoor, 'spectators').points[0]);
});
type Point = { x: number; y: number };

test('points are put in and taken out, but never fewer than the shape needs', () => {
  const path = featureOf(larkmoor, 'spectators');
  const more = withPointAdded(path, 0, { x: 9, y: 9 });
  expect(more.points).toHaveLength(path.points.length + 1);
  expect(more.points[1]).toEqual({ x: 9, y: 9 });
  expect(withoutPoint(more, 1).points).toEqual(path.points);
  const fence = featureOf(larkmoor, 'south-fence');
  expect(withoutPoint(fence, 0)).toBe(fence);
});

test('the windows of a hide stay in their walls when corners come and go', () => {
  const points = [
    { x: 0, y: 0 },
    { x: 3, y: 0 },
    { x: 3, y: 2 },
    { x: 0, y: 2 },
  ];
  const hide = {
    ...{ kind: 'hide' as const, id: 'h', name: 'Hide', points, heightM: 2 },
    windows: [0, 1, 3].map((wall) => ({
      ...{ wall, asideM: 0, widthM: 1, sillM: 1, heightM: 0.4, pane: 'open' as const },
    })),
  };
  const walls = (feature: Feature) =>
    feature.kind === 'hide' ? feature.windows?.map(({ wall }) => wall) : undefined;
  const more = withPointAdded(hide, 1, { x: 4, y: 1 });
  expect(walls(more)).toEqual([0, 1, 4]);
  expect(walls(withoutPoint(more, 2))).toEqual([0, 1, 3]);
  // The first corner gone, its two walls are one: the last.
  expect(walls(withoutPoint(hide, 0))).toEqual([2, 0, 2]);
  expect(walls(withoutPoint(hide, 1))).toEqual([0, 0, 2]);
});

test('the last mark and the last position stay, and it says why', () => {
  const one: Shoot = { ...larkmoor, marks: larkmoor.marks.slice(0, 1) };
  const ref = { list: 'marks', id: 'attack' } as const;
  expect(cannotRemove(one, ref)).toMatch(/only mark/);
  expect(removeItem(one, ref)).toBe(one);
  expect(cannotRemove(larkmoor, ref)).toBeUndefined();
});

test('what is taken away is no longer chosen', () => {
  const without = removeItem(larkmoor, { list: 'positions', id: larkmoor.choice.positionId });
  expect(without.positions).toHaveLength(larkmoor.positions.length - 1);
  expect(without.choice.positionId).toBe(without.positions[0]?.id);
  expect(whole(without)).toEqual([]);
});

test('a list that is full takes no more', () => {
  const lamp = featureOf(larkmoor, 'mast-nw');
  const full: Shoot = {
    ...larkmoor,
    features: Array.from({ length: MOST_ENTRIES }, (_, i) => ({ ...lamp, id: `lamp-${i}` })),
  };
  expect(addItem(full, 'features', { ...lamp, id: 'one-more' })).toBe(full);
});

const metre = fc.double({ min: -400, max: 400, noNaN: true });
const pick = fc.nat({ max: 99 });
const LISTS: readonly ItemList[] = ['marks', 'positions', 'features'];

test('whatever is done to the ground, the record stays whole', () => {
  const step = fc.record({
    what: fc.nat({ max: 6 }),
    list: fc.nat({ max: 2 }),
    pick,
    x: metre,
    y: metre,
  });
  fc.assert(
    fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
      const after = steps.reduce<Shoot>((shoot, { what, list: l, pick: p, x, y }, n) => {
        const list = LISTS[l] as ItemList;
        const item = shoot[list][p % Math.max(1, shoot[list].length)];
        if (!item) return shoot;
        const ref = { list, id: item.id };
        const feature = shoot.features[p % Math.max(1, shoot.features.length)] as Feature;
        switch (what) {
          case 0:
            return moveItem(shoot, ref, x, y);
          case 1:
            return removeItem(shoot, ref);
          case 2:
            return addItem(shoot, list, { ...item, id: `new-${n}` } as never);
          case 3:
            return turnGround(shoot, Math.abs(x) % 360);
          case 4:
            return changeItem(shoot, 'features', feature.id, (f) =>
              f.points.length ? withPointMoved(f, p % f.points.length, { x, y }) : f,
            );
          case 5:
            return changeItem(shoot, 'features', feature.id, (f) =>
              f.points.length > 1 ? withPointAdded(f, p % f.points.length, { x, y }) : f,
            );
          default:
            return changeItem(shoot, 'features', feature.id, (f) =>
              withoutPoint(f, p % Math.max(1, f.points.length)),
            );
        }
      }, alder);
      expect(whole(after)).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

describe('switches', () => {
  const switched = GROUND_TEMPLATES.flatMap(({ id, switches = [] }) =>
    switches.map((lever) => [id, lever.id] as const),
  );

  test('the batter, the take-off leg, the breathing side and the side of the baseline have one', () => {
    expect(switched.map(([, lever]) => lever)).toEqual(
      expect.arrayContaining(['batter-hand', 'take-off-leg', 'breathing-side', 'strong-hand']),
    );
  });

  test.each(switched)(
    '%s, %s: thrown, something changes; thrown twice, all is as before',
    (id, lever) => {
      const first = trialShoot(id);
      const over = throwSwitch(first, lever);
      expect(over.ground.thrown).toEqual([lever]);
      expect(over.marks).not.toEqual(first.marks);
      expect(whole(over)).toEqual([]);
      const again = throwSwitch(over, lever);
      again.marks.forEach((mark, i) => {
        expect(mark.x).toBeCloseTo(first.marks[i]?.x ?? NaN, 9);
        expect(mark.facingDeg).toBeCloseTo(first.marks[i]?.facingDeg ?? NaN, 9);
      });
      expect(again.ground.thrown).toEqual([]);
    },
  );

  test('a left-handed batter stands on the other side of the plate and faces third base', () => {
    const right = trialShoot('baseball-high-school', 0);
    const left = throwSwitch(right, 'batter-hand');
    const batter = (shoot: Shoot) => shoot.marks.find(({ id }) => id === 'batter');
    expect(batter(right)).toMatchObject({ x: -0.9, facingDeg: 75 });
    expect(batter(left)?.x).toBeCloseTo(0.9, 9);
    expect(batter(left)?.facingDeg).toBeCloseTo(285, 9);
    expect([right.choice.positionId, left.choice.positionId]).toEqual(['first-side', 'third-side']);
  });

  test('a swimmer who breathes the other way keeps the lane and turns the face', () => {
    const right = trialShoot('pool-50', 0);
    const left = throwSwitch(right, 'breathing-side');
    const swimmer = (shoot: Shoot) => shoot.marks.find(({ id }) => id === 'freestyle');
    expect(swimmer(left)).toMatchObject({ x: swimmer(right)?.x, headingDeg: 0, facingDeg: 290 });
    expect(left.choice.positionId).toBe('side-left');
  });

  test('a position that was taken away is not chosen by a switch', () => {
    const right = trialShoot('pool-50', 0);
    const without = removeItem(right, { list: 'positions', id: 'side-left' });
    const left = throwSwitch(without, 'breathing-side');
    expect(left.choice.positionId).toBe(without.choice.positionId);
  });

  test('a switch there is none of changes nothing', () => {
    const shoot = trialShoot('blank');
    expect(throwSwitch(shoot, 'batter-hand')).toBe(shoot);
  });
});
