import type { Span } from '../sun/horizon';
import { sunTrack } from '../sun/track';
import { shadeTimes } from './shade';
import { goneOn, shadesBy, shadesWithin, type Owned, type SunAt } from './shade-by';
import { point3 } from './vector';

/** A sun that goes once round in a day at 45°, bearing 0 at midnight: 15° an hour. */
const EVEN: SunAt = (ms) => ({ azimuthDeg: (ms / 86_400_000) * 360, altitudeDeg: 45 });
const H = 3_600_000;
const owned = (obstacles: Owned['obstacles']): Owned => ({ obstacles });
/** A wall 2 m east of the point, from 2 m south of it to 2 m north, and one 2 m south from east to west. */
const EAST = owned([
  {
    footprint: [
      { x: 2, y: -2 },
      { x: 2.1, y: -2 },
      { x: 2.1, y: 2 },
      { x: 2, y: 2 },
    ],
    heightM: 9,
  },
]);
const SOUTH = owned([
  {
    footprint: [
      { x: -2, y: -2.1 },
      { x: 2, y: -2.1 },
      { x: 2, y: -2 },
      { x: -2, y: -2 },
    ],
    heightM: 9,
  },
]);
const AT = point3(0, 0);

test('each shade has its owner and its hours', () => {
  // The east wall from bearing 45° to 135°: 03:00 to 09:00; the south wall from 135° to 225°.
  const shades = shadesBy(AT, [SOUTH, EAST], EVEN, { fromMs: 0, toMs: 24 * H });
  expect(shades.map(({ owner }) => owner)).toEqual([1, 0]);
  const [first, second] = shades;
  expect((first?.fromMs ?? 0) / H).toBeCloseTo(3, 1);
  expect((first?.toMs ?? 0) / H).toBeCloseTo(9, 1);
  expect((second?.fromMs ?? 0) / H).toBeCloseTo(9, 1);
  expect((second?.toMs ?? 0) / H).toBeCloseTo(15, 1);
  expect(() => shadesBy(AT, [EAST], EVEN, { fromMs: 5, toMs: 5 })).toThrow('toMs 5');
});

test('two that shade at once are both told, and no sun casts no shade', () => {
  const both = shadesBy(AT, [EAST, EAST], EVEN, { fromMs: 4 * H, toMs: 5 * H });
  expect(both).toEqual([0, 1].map((owner) => ({ owner, fromMs: 4 * H, toMs: 5 * H })));
  const night: SunAt = (ms) => ({ ...EVEN(ms), altitudeDeg: -1 });
  expect(shadesBy(AT, [EAST], night, { fromMs: 0, toMs: 24 * H })).toEqual([]);
  expect(shadesWithin(AT, EAST, night, { fromMs: 0, toMs: 24 * H })).toBe(false);
});

test('all owners together shade as one list of obstacles does', () => {
  const place = { latitudeDeg: 52.4, longitudeDeg: -2.9 };
  const span = { fromMs: Date.UTC(2027, 4, 8, 4), toMs: Date.UTC(2027, 4, 8, 20) };
  const sums = (spans: readonly { fromMs: number; toMs: number }[]) =>
    spans.reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0) / 60_000;
  for (const owner of [EAST, SOUTH]) {
    const mine = shadesBy(AT, [owner], sunTrack(place), span);
    const old = shadeTimes({ point: AT, obstacles: owner.obstacles, place, ...span });
    expect(mine).toHaveLength(old.length);
    expect(Math.abs(sums(mine) - sums(old))).toBeLessThan(1);
  }
});

test('it is gone on the first day that it does not come', () => {
  // The sun higher by a degree a day: over the wall, 9 m at 2 m and more, from 77.5° on.
  const rising: SunAt = (ms) => ({ azimuthDeg: 90, altitudeDeg: 70 + Math.floor(ms / (24 * H)) });
  const days = Array.from({ length: 12 }, (_, i) => ({
    fromMs: i * 24 * H + 6 * H,
    toMs: i * 24 * H + 9 * H,
  }));
  const first = (count: number) => ({ count, spanOn: (day: number) => days[day] as Span });
  expect(goneOn(AT, EAST, rising, first(12))).toBe(8);
  expect(goneOn(AT, EAST, rising, first(8))).toBeUndefined();
  expect(goneOn(AT, SOUTH, rising, first(12))).toBe(0);
});
