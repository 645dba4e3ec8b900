import { laidByTwo, spotAt, spotOnGround, type LaidPicture } from './underlay';
import fc from 'fast-check';
import { bearingDeg } from './vector';

/** Worked by hand: a square picture, 100 m wide, its middle 10 m east of the origin. */
const NORTH_UP: LaidPicture = { middle: { x: 10, y: 0 }, widthM: 100, topDeg: 0, aspect: 1 };

test.each([
  ['its middle', { across: 0.5, down: 0.5 }, { x: 10, y: 0 }],
  ['its top left', { across: 0, down: 0 }, { x: -40, y: 50 }],
  ['its bottom right', { across: 1, down: 1 }, { x: 60, y: -50 }],
])('of a picture with its top north, %s lies where one counts it', (_, spot, point) => {
  expect(spotOnGround(NORTH_UP, spot)).toEqual(point);
  expect(spotAt(NORTH_UP, point)).toEqual(spot);
});

test('turned a quarter clockwise, its top is in the east and its left in the north', () => {
  const east = { ...NORTH_UP, topDeg: 90, aspect: 0.5 };
  const top = spotOnGround(east, { across: 0.5, down: 0 });
  expect(top.x).toBeCloseTo(35, 9);
  expect(top.y).toBeCloseTo(0, 9);
  const left = spotOnGround(east, { across: 0, down: 0.5 });
  expect(left.x).toBeCloseTo(10, 9);
  expect(left.y).toBeCloseTo(50, 9);
});

test('a point beside the picture is taken for the edge nearest to it', () => {
  expect(spotAt(NORTH_UP, { x: 500, y: 0 })).toEqual({ across: 1, down: 0.5 });
  expect(spotAt(NORTH_UP, { x: 10, y: -500 })).toEqual({ across: 0.5, down: 1 });
});

test('two goals of a map, 3 across 4 down apart, lie on two goals of the ground', () => {
  // On the picture 0.3 right and 0.4 down: 0.5 of its width. On the ground 50 m due south: 100 m wide.
  const laid = laidByTwo(
    1,
    { spot: { across: 0.2, down: 0.2 }, ground: { x: 0, y: 0 } },
    { spot: { across: 0.5, down: 0.6 }, ground: { x: 0, y: -50 } },
  );
  expect(laid.widthM).toBeCloseTo(100, 9);
  // The line runs 143.13° on the picture (atan2(0.3, −0.4)) and 180° on the ground.
  expect(laid.topDeg).toBeCloseTo(36.8699, 4);
});

test('whatever the pins, both come to lie where they were put', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  const metres = fc.double({ min: -200, max: 200, noNaN: true });
  const pinned = fc.record({
    spot: fc.record({ across: share, down: share }),
    ground: fc.record({ x: metres, y: metres }),
  });
  fc.assert(
    fc.property(pinned, pinned, fc.double({ min: 0.3, max: 3, noNaN: true }), (a, b, aspect) => {
      fc.pre(Math.hypot(a.spot.across - b.spot.across, a.spot.down - b.spot.down) > 0.1);
      fc.pre(Math.hypot(a.ground.x - b.ground.x, a.ground.y - b.ground.y) > 5);
      const laid = laidByTwo(aspect, a, b);
      for (const { spot, ground } of [a, b]) {
        const there = spotOnGround(laid, spot);
        expect(Math.hypot(there.x - ground.x, there.y - ground.y)).toBeLessThan(1e-6);
        const back = spotAt(laid, ground);
        expect(Math.hypot(back.across - spot.across, back.down - spot.down)).toBeLessThan(1e-6);
      }
      // Stretched alike both ways: the bearing from A to B turns as the top does.
      const onPicture = bearingDeg(
        { x: a.spot.across, y: -a.spot.down * aspect },
        { x: b.spot.across, y: -b.spot.down * aspect },
      );
      const turned = (bearingDeg(a.ground, b.ground) - onPicture - laid.topDeg + 720) % 360;
      expect(Math.min(turned, 360 - turned)).toBeLessThan(1e-6);
    }),
  );
});

test.each([
  ['one spot', { across: 0.5, down: 0.5 }, { x: 10, y: 0 }, /same spot/],
  ['a picture of a kilometre a millimetre', { across: 0.6, down: 0.5 }, { x: 9000, y: 0 }, /wide/],
  ['a picture no wider than a hand', { across: 1, down: 0.5 }, { x: 0.1, y: 0 }, /wide/],
])('%s can’t be laid', (_, spot, ground, reason) => {
  const a = { spot: { across: 0.5, down: 0.5 }, ground: { x: 0, y: 0 } };
  expect(() => laidByTwo(1, a, { spot, ground })).toThrow(reason);
});
