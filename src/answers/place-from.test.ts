import fc from 'fast-check';
import { DEMO_SHOOTS } from '@/demo';
import type { Shoot } from '@/records/shoot';
import { fixedOf, placedFrom, toldFrom } from './place-from';

const HIDE = { x: 10, y: 20 };
const PERCH = { x: 10, y: 28 };

test('by tape and compass: so many metres, that way', () => {
  // 5 m due east of the hide.
  expect(placedFrom({ distanceM: 5, angleDeg: 90 }, HIDE)).toEqual({
    x: expect.closeTo(15, 9) as number,
    y: expect.closeTo(20, 9) as number,
  });
  expect(toldFrom({ x: 10, y: 15 }, HIDE)).toEqual({ distanceM: 5, angleDeg: 180 });
});

test('off a line: 4.2 m from the perch, 30° left of the way to the hide', () => {
  // The hide lies due south of the perch; 30° left of that, looking there, is 150°.
  const put = placedFrom({ distanceM: 4.2, angleDeg: -30 }, PERCH, HIDE);
  expect(put.x).toBeCloseTo(10 + 4.2 * Math.sin((150 * Math.PI) / 180), 9);
  expect(put.y).toBeCloseTo(28 + 4.2 * Math.cos((150 * Math.PI) / 180), 9);
  expect(put.x).toBeGreaterThan(PERCH.x);
});

test('what is told of a place leads back to it', () => {
  const metres = fc.double({ min: -500, max: 500, noNaN: true });
  const point = fc.record({ x: metres, y: metres });
  fc.assert(
    fc.property(point, point, fc.option(point, { nil: undefined }), (place, origin, towards) => {
      const told = toldFrom(place, origin, towards);
      const back = placedFrom(told, origin, towards);
      expect(Math.hypot(back.x - place.x, back.y - place.y)).toBeLessThan(1e-9 * 1000);
      if (towards) expect(Math.abs(told.angleDeg)).toBeLessThanOrEqual(180);
    }),
  );
});

test('all that a ground has can be told from, each once', () => {
  const [larkmoor] = DEMO_SHOOTS as [Shoot];
  const fixed = fixedOf(larkmoor);
  expect(new Set(fixed.map(({ key }) => key)).size).toBe(fixed.length);
  expect(fixed).toHaveLength(
    larkmoor.marks.length +
      larkmoor.positions.length +
      larkmoor.features.filter(({ points }) => points.length > 0).length,
  );
  const stand = larkmoor.features.find(({ id }) => id === 'west-stand');
  const [a, , c] = (stand?.points ?? []) as { x: number; y: number }[];
  const middle = fixed.find(({ key }) => key === 'features/west-stand');
  expect(middle?.x).toBeCloseTo(((a?.x ?? 0) + (c?.x ?? 0)) / 2, 6);
});
