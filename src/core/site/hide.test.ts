import fc from 'fast-check';
import { firstBackdrop, sightBlocks } from './clearance';
import { obstaclesOf, type FeatureOf } from './feature';
import { offSquareDeg, openingsOf, swingsOf, wallPieces, wallsOf, type HideWindow } from './hide';
import { rectangleCorners } from './measure';
import { alongBearing, point3, type Point2 } from './vector';

/** A hide 3 m wide and 2 m deep about the origin, looking north; worked out by hand on squared paper. */
const corners = (bearingDeg = 0): readonly Point2[] =>
  rectangleCorners({ middle: { x: 0, y: 0 }, widthM: 3, depthM: 2, bearingDeg });
const FRONT = 2;
const window = (more: Partial<HideWindow> = {}): HideWindow => ({
  ...{ wall: FRONT, asideM: 0, widthM: 1, sillM: 0.9, heightM: 0.4, pane: 'open', ...more },
});
const hide = (windows?: readonly HideWindow[], bearingDeg = 0): FeatureOf<'hide'> => ({
  ...{ kind: 'hide', id: 'hide', name: 'Hide', points: corners(bearingDeg), heightM: 2.2 },
  ...(windows && { windows }),
});
const blocksFrom = (
  feature: FeatureOf<'hide'>,
  seat: Point2 & { z: number },
  to: Point2 & { z: number },
) => sightBlocks(seat, to, obstaclesOf(feature));

test('the walls of a footprint look outwards, whichever way its corners run', () => {
  const looks = (points: readonly Point2[]) =>
    wallsOf(points).map(({ looksDeg }) => Math.round(looksDeg) % 360);
  expect(looks(corners())).toEqual([180, 90, 0, 270]);
  expect(looks([...corners()].reverse())).toEqual([0, 90, 180, 270]);
  expect(looks(corners(250))).toEqual([70, 340, 250, 160]);
  expect(wallsOf(corners()).map(({ lengthM }) => lengthM)).toEqual([3, 2, 3, 2]);
});

test('an opening lies in its wall, to the right as one looks out, and ends where that ends', () => {
  expect(openingsOf(corners(), [window({ asideM: 0.5 })])).toEqual([
    { left: { x: 0, y: 1 }, right: { x: 1, y: 1 }, sillM: 0.9, headM: 1.3, pane: 'open' },
  ]);
  const [cut] = openingsOf(corners(), [window({ asideM: 1.3 })]);
  expect(cut?.left.x).toBeCloseTo(0.8, 9);
  expect(cut?.right.x).toBeCloseTo(1.5, 9);
  expect(openingsOf(corners(), [window({ asideM: 3 }), window({ wall: 7 })])).toEqual([]);
  expect(() => openingsOf(corners(), [window({ widthM: 0 })])).toThrow('window.widthM 0');
  expect(() => openingsOf(corners(), [window({ sillM: -1 })])).toThrow('window.sillM -1');
});

test('from a seat the jambs, the sill and the lintel bound what a lens can swing to', () => {
  // 0.5 m behind the wall: half a metre to each jamb is 45°; sill 0.2 m lower, lintel 0.2 m higher: 21.8°.
  const [solid] = obstaclesOf(hide([window()]));
  if (!solid) throw new Error('must be an obstacle');
  const [swing] = swingsOf(point3(0, 0.5, 1.1), solid);
  expect(swing?.fromDeg).toBeCloseTo(315, 9);
  expect(swing?.turnDeg).toBeCloseTo(90, 9);
  expect(swing?.lowestDeg).toBeCloseTo(-21.801, 3);
  expect(swing?.highestDeg).toBeCloseTo(21.801, 3);
  expect(swingsOf(point3(0, 0, 1), { footprint: corners(), heightM: 2 })).toEqual([]);
});

test('sitting in it blocks what its walls block, and nothing else', () => {
  const seat = point3(0, 0.5, 1.1);
  const one = hide([window()]);
  expect(blocksFrom(one, seat, point3(0, 12, 1.1))).toEqual([]);
  // Just inside and just outside the right jamb, at 45°.
  expect(blocksFrom(one, seat, point3(9.9, 10.5, 1.1))).toEqual([]);
  expect(blocksFrom(one, seat, point3(10.1, 10.5, 1.1))).toMatchObject([
    { fromWithin: true, lineHeightM: 1.1, overM: 1.1 },
  ]);
  // 20 m off: 0.2 m in 0.5 m down is 8 m in 20.
  expect(blocksFrom(one, point3(0, 0.5, 9), point3(0, 20.5, 8))).toEqual([]);
  expect(blocksFrom(one, seat, point3(0, 2.5, 0.31))).toEqual([]);
  expect(blocksFrom(one, seat, point3(0, 2.5, 0.29))).toMatchObject([{ fromWithin: true }]);
  // Behind it is a wall; with no window told, one sees out all round.
  expect(blocksFrom(one, seat, point3(0, -8, 1.1))).toHaveLength(1);
  expect(blocksFrom(hide(), seat, point3(0, -8, 1.1))).toEqual([]);
  expect(blocksFrom(hide([]), seat, point3(3, -8, 1.1))).toEqual([]);
  // To one outside it is as solid as ever.
  expect(blocksFrom(one, point3(0, -5, 1), point3(0, 5, 1))).toMatchObject([{ distanceM: 4 }]);
  expect(blocksFrom(one, point3(0, -5, 1), point3(0, 5, 1))[0]).not.toHaveProperty('fromWithin');
});

test('what one sits in is never behind the subject', () => {
  const seat = point3(0, 0.5, 1.1);
  expect(firstBackdrop(seat, point3(0, 9, 1.1), obstaclesOf(hide([window()])))).toBeUndefined();
  expect(firstBackdrop(seat, point3(0, 0.7, 1.1), obstaclesOf(hide()))).toBeUndefined();
});

test('turning hide, seat and subject together changes nothing', () => {
  const angle = fc.integer({ min: 0, max: 359 });
  const place = fc.double({ min: -0.9, max: 0.9, noNaN: true });
  fc.assert(
    fc.property(
      angle,
      angle,
      place,
      place,
      fc.double({ min: 0.3, max: 2, noNaN: true }),
      (turn, towards, x, y, z) => {
        const at = (deg: number) => {
          const [ahead, right] = [alongBearing(deg), alongBearing(deg + 90)];
          const to = alongBearing(deg + towards);
          const seat = point3(right.x * x + ahead.x * y, right.y * x + ahead.y * y, z);
          const met = blocksFrom(
            hide([window({ widthM: 1.7, asideM: -0.3 })], deg),
            seat,
            point3(seat.x + to.x * 15, seat.y + to.y * 15, 0.6),
          );
          return met[0]?.distanceM ?? 0;
        };
        const [still, turned] = [at(0), at(turn)];
        // On the very jamb rounding may say either.
        if (still > 0 && turned > 0) expect(turned).toBeCloseTo(still, 6);
        else if (still !== turned) expect(Math.abs(at(turn + 1e-7) - turned)).toBeLessThan(9);
      },
    ),
  );
});

test('a line off the square of a window is so far off it', () => {
  const [opening] = openingsOf(corners(), [window()]);
  if (!opening) throw new Error('must be an opening');
  expect([0, 30, 330, 75, 180].map((deg) => Math.round(offSquareDeg(deg, opening)))).toEqual([
    0, 30, 30, 75, 0,
  ]);
});

test('what is left of the walls and what the windows take are the walls, to the square centimetre', () => {
  const areaOf = (pieces: ReturnType<typeof wallPieces>) =>
    pieces.reduce(
      (sum, { from, to, lowM, highM }) =>
        sum + Math.hypot(to.x - from.x, to.y - from.y) * (highM - lowM),
      0,
    );
  // 10 m round, 2.2 m high.
  expect(areaOf(wallPieces(corners(), 2.2, []))).toBeCloseTo(22, 9);
  expect(areaOf(wallPieces(corners(), 2.2, [window()]))).toBeCloseTo(22 - 0.4, 9);
  // One over the other, one through the eaves, two that overlap by 0.5 m x 0.2 m.
  const all = [
    window({ wall: 0, sillM: 0.3 }),
    window({ wall: 0, sillM: 1.2 }),
    window({ wall: 1, sillM: 2, heightM: 1 }),
    window({ wall: 3 }),
    window({ wall: 3, asideM: 0.5, sillM: 1.1 }),
  ];
  expect(areaOf(wallPieces(corners(), 2.2, all))).toBeCloseTo(22 - 0.8 - 0.2 - 0.8 + 0.1, 9);
});

test('a curtain drawn to a gap leaves the gap in the middle, and one wider than the window all of it', () => {
  const spanOf = (more: Partial<HideWindow>) =>
    openingsOf(corners(), [window(more)]).map(({ left, right }) => [left.x, right.x]);
  expect(spanOf({ curtainM: 0.3 })).toEqual([[expect.closeTo(-0.15, 9), expect.closeTo(0.15, 9)]]);
  expect(spanOf({ curtainM: 2 })).toEqual(spanOf({}));
  expect(() => spanOf({ curtainM: 0 })).toThrow(/window\.curtainM/);
  // 0.4 m to the side at the window, half a metre off: through it without the curtain, not with it.
  const from = { x: 0, y: 0.5, z: 1.1 };
  const to = { x: 8, y: 10.5, z: 1.1 };
  expect(blocksFrom(hide([window()]), from, to)).toEqual([]);
  expect(blocksFrom(hide([window({ curtainM: 0.3 })]), from, to)).toHaveLength(1);
});
