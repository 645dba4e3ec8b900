import { insidePolygon, rectangleCorners, type SiteFeature } from '@/core';
import { DEMO_SHOOTS } from '@/demo';
import type { Mark, Position, Shoot } from '@/records/shoot';
import { marksInSun, ownShadow, ownShadowOn, postShade } from './sun-on-ground';

const [larkmoor, alder] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const WEST_LOW = { azimuthDeg: 270, altitudeDeg: 10 };
const wall: SiteFeature = {
  id: 'wall',
  name: 'Wall',
  kind: 'wall',
  heightM: 4,
  points: [
    { x: -10, y: -20 },
    { x: -10, y: 20 },
  ],
};
const mark = (x: number): Mark => ({
  id: `at${x}`,
  name: 'Mark',
  x,
  y: 0,
  headingDeg: 0,
  facingDeg: 0,
  subjectId: 'standing',
});

const alone = (marks: readonly Mark[]) => ({ marks: [...marks], subjects: [] });

test('by hand: a 4 m wall under a sun at 10° shades 22.7 m; a head-high middle less', () => {
  // 4 m / tan 10° = 22.7 m of ground; at half a person, (4 − 0.9) / tan 10° = 17.6 m.
  const lit = marksInSun(alone([mark(-12), mark(5), mark(9), mark(14)]), [wall], WEST_LOW, 0);
  expect(lit).toEqual(['at-12', 'at9', 'at14']);
  expect(marksInSun(alone([mark(14)]), [wall], { ...WEST_LOW, altitudeDeg: -1 }, 0)).toEqual([]);
});

test('one casts a shadow away from the sun, but none from within a hide or at its window', () => {
  const [shadow = []] = ownShadow({ x: 0, y: 0 }, [wall], WEST_LOW);
  // 1.75 m / tan 10° = 9.9 m.
  expect(Math.max(...shadow.map(({ x }) => x))).toBeGreaterThan(9.5);
  expect(Math.max(...shadow.map(({ x }) => x))).toBeLessThan(10.5);
  const hide = alder.features.find(({ kind }) => kind === 'hide') as SiteFeature;
  const within = alder.positions.filter(
    (position) => ownShadow(position, alder.features, WEST_LOW).length === 0,
  );
  expect(within.length).toBeGreaterThan(0);
  const [middle] = hide.points as [Position];
  expect(ownShadow(middle, alder.features, WEST_LOW)).toEqual([]);
  expect(insidePolygon({ x: 0, y: 0 }, hide.points)).toBe(false);
});

test('it lies on a mark that one stands before, the sun behind; not on one aside', () => {
  const [position] = larkmoor.positions as [Position];
  const at = (x: number, y: number): Position => ({ ...position, x, y });
  expect(ownShadowOn(at(-4, 0), mark(0), [], WEST_LOW)).toBe(true);
  expect(ownShadowOn(at(-14, 0), mark(0), [], WEST_LOW)).toBe(false);
  expect(ownShadowOn(at(-4, 3), mark(0), [], WEST_LOW)).toBe(false);
  expect(ownShadowOn(at(-4, 0), mark(0), [], { ...WEST_LOW, altitudeDeg: -2 })).toBe(false);
  // Who sits in a tent throws no shadow of their own.
  const tent: SiteFeature = {
    ...{ kind: 'hide', id: 'tent', name: 'Tent', heightM: 1.6 },
    points: rectangleCorners({ middle: { x: -4, y: 0 }, widthM: 1.5, depthM: 1.5, bearingDeg: 0 }),
  };
  expect(ownShadowOn(at(-4, 0), mark(0), [tent], WEST_LOW)).toBe(false);
});

test('only fences have posts to shade them', () => {
  expect(postShade([wall], WEST_LOW)).toEqual([]);
  expect(postShade(larkmoor.features, WEST_LOW).length).toBeGreaterThan(5);
});

test('more posts than can be told apart throw no strips, and take no time', () => {
  const fence = (lengthM: number): SiteFeature => ({
    ...{ id: 'f', name: 'Wire', kind: 'fence', heightM: 3, meshPitchMm: 50, wireMm: 3 },
    ...{
      postSpacingM: 0.2,
      postWidthMm: 60,
      points: [
        { x: 0, y: 0 },
        { x: lengthM, y: 0 },
      ],
    },
  });
  const south = { azimuthDeg: 180, altitudeDeg: 30 };
  expect(postShade([fence(500)], south)).toHaveLength(2501);
  expect(postShade([fence(500), fence(500)], south)).toEqual([]);
});
