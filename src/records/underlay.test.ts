import fc from 'fast-check';
import { DEMO_SHOOTS } from '@/demo';
import { readShootFile, writeShootFile } from '@/formats/shoot-json';
import { turnGround } from './edit-ground';
import { laidUnder, topIsNorth, withoutUnderlay, withUnderlay } from './edit-underlay';
import { jpegText } from './fixtures/jpeg';
import { onKnownGround } from './new-shoot';
import { seriesApart, withSeries } from './series';
import { shootSchema, type Shoot } from './shoot';
import {
  apartLimitsM,
  HANDS,
  MOST_PICTURE_CHARACTERS,
  newUnderlay,
  pinsApartM,
  pinsOnGround,
  underlaySchema,
  withPinAt,
  withPinsApart,
  withTop,
  type Underlay,
} from './underlay';

const [larkmoor] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const MAP: Underlay = newUnderlay(
  { name: 'map of the club.png', jpeg: jpegText(800, 400), widthPx: 800, heightPx: 400 },
  [
    { x: -50, y: 3 },
    { x: 50, y: -3 },
  ],
);

test('a picture newly laid lies where it is put, with its pins in its middle, half its width apart', () => {
  expect(underlaySchema.parse(MAP)).toEqual(MAP);
  expect(pinsOnGround(MAP)).toEqual([
    { x: -25, y: 0 },
    { x: 25, y: 0 },
  ]);
  expect(pinsApartM(MAP)).toBe(50);
});

test('a ground longer than the picture is high makes it wider; a single point, as narrow as it may be', () => {
  const { name, jpeg, widthPx, heightPx } = MAP;
  const over = (points: readonly { x: number; y: number }[]) =>
    newUnderlay({ name, jpeg, widthPx, heightPx }, points);
  const tall = over([
    { x: 10, y: 0 },
    { x: 30, y: 90 },
  ]);
  expect(tall).toMatchObject({ x: 20, y: 45, widthM: 180, topDeg: 0 });
  expect(over([{ x: 4, y: 5 }])).toMatchObject({ x: 4, y: 5, widthM: 1 });
});

test('set: a pin goes over the picture, and the picture stays', () => {
  const set = withPinAt(MAP, 1, { x: 40, y: 20 }, 'set');
  expect(set.pins[1].across).toBeCloseTo(0.9, 9);
  expect(set.pins[1].down).toBeCloseTo(0.1, 9);
  expect(set).toEqual({ ...MAP, pins: [MAP.pins[0], set.pins[1]] });
  const [spotA] = withPinAt(MAP, 0, { x: -40, y: 0 }, 'set').pins;
  expect(spotA.across).toBeCloseTo(0.1, 9);
  // On the other pin it says nothing: it stays.
  expect(withPinAt(MAP, 1, { x: -25, y: 0 }, 'set')).toBe(MAP);
});

test.each(['turn', 'stretch'] as const)('%s: A takes the whole picture along', (hand) => {
  const moved = withPinAt(MAP, 0, { x: -20, y: 7 }, hand);
  expect(moved).toEqual({ ...MAP, x: 5, y: 7 });
});

test('turn: B turns it about A, at its size', () => {
  const turned = withPinAt(MAP, 1, { x: -25, y: 80 }, 'turn');
  const [a, b] = pinsOnGround(turned);
  expect(a.x).toBeCloseTo(-25, 9);
  expect(b.x).toBeCloseTo(-25, 9);
  expect(b.y).toBeCloseTo(50, 9);
  expect(turned.widthM).toBeCloseTo(100, 9);
  expect(turned.topDeg).toBeCloseTo(270, 9);
});

test('stretch: B comes to lie where it is put', () => {
  const laid = withPinAt(MAP, 1, { x: -25, y: 80 }, 'stretch');
  const [, b] = pinsOnGround(laid);
  expect(b.y).toBeCloseTo(80, 9);
  expect(laid.widthM).toBeCloseTo(160, 9);
});

test('by a known length it is stretched about A; its limits are those of its width', () => {
  const laid = withPinsApart(MAP, 91.4);
  expect(pinsOnGround(laid)[0].x).toBeCloseTo(-25, 9);
  expect(pinsApartM(laid)).toBeCloseTo(91.4, 9);
  expect(apartLimitsM(MAP)).toEqual({ least: 0.5, most: 10_000 });
  expect(withPinsApart(MAP, 10_000.1)).toBe(MAP);
  expect(withPinsApart(MAP, 0.4)).toBe(MAP);
});

test('turned by a figure, A stays where it is', () => {
  const turned = withTop(MAP, 30);
  expect(turned.topDeg).toBe(30);
  expect(pinsOnGround(turned)[0].x).toBeCloseTo(-25, 9);
  expect(pinsOnGround(turned)[0].y).toBeCloseTo(0, 9);
});

test('however its pins are dragged, it stays a picture that can be kept', () => {
  const metres = fc.double({ min: -20_000, max: 20_000, noNaN: true });
  const drag = fc.record({
    pin: fc.constantFrom(0, 1) as fc.Arbitrary<0 | 1>,
    to: fc.record({ x: metres, y: metres }),
    hand: fc.constantFrom(...HANDS),
  });
  fc.assert(
    fc.property(fc.array(drag, { minLength: 1, maxLength: 12 }), (drags) => {
      const laid = drags.reduce((now, { pin, to, hand }) => withPinAt(now, pin, to, hand), MAP);
      expect(underlaySchema.safeParse(laid).error?.issues ?? []).toEqual([]);
    }),
  );
});

const traced = laidUnder(larkmoor, MAP);

test('the ground turned, the picture is turned with what was traced over it', () => {
  const corner = larkmoor.positions[0];
  const pinned = laidUnder(larkmoor, {
    ...MAP,
    x: corner?.x ?? NaN,
    y: corner?.y ?? NaN,
  });
  const turned = turnGround(pinned, larkmoor.ground.bearingDeg + 40);
  expect(turned.underlay?.topDeg).toBeCloseTo(40, 9);
  expect(turned.underlay?.x).toBeCloseTo(turned.positions[0]?.x ?? NaN, 9);
  expect(turned.underlay?.y).toBeCloseTo(turned.positions[0]?.y ?? NaN, 9);
});

test('its top is north: the whole ground is turned until it is, and that is no guess any more', () => {
  const askew = { ...laidUnder(larkmoor, { ...MAP, topDeg: 25 }), guessed: ['bearing' as const] };
  const north = topIsNorth(askew);
  expect(north.underlay?.topDeg).toBe(0);
  expect(north.ground.bearingDeg).toBeCloseTo((larkmoor.ground.bearingDeg + 335) % 360, 9);
  expect(north.guessed).toEqual([]);
  // As it lay already, it is said all the same.
  const right = topIsNorth({ ...traced, guessed: ['bearing'] });
  expect(right.ground).toEqual(larkmoor.ground);
  expect(right.guessed).toEqual([]);
  expect(topIsNorth(larkmoor)).toBe(larkmoor);
});

test('taken away, what was drawn stays; changed where there is none, nothing is', () => {
  expect(withoutUnderlay(traced)).toEqual(larkmoor);
  expect(withUnderlay(larkmoor, () => MAP)).toBe(larkmoor);
  expect(withUnderlay(traced, (was) => ({ ...was, x: 1e6 })).underlay?.x).toBe(5000);
});

test('it goes out with the shoot, comes back the same, and comes along to a venue used before', () => {
  const back = readShootFile(writeShootFile(traced));
  expect(back.ok && back.record).toEqual(traced);
  expect(onKnownGround(larkmoor, traced).underlay).toEqual(MAP);
  expect('underlay' in onKnownGround(larkmoor, larkmoor)).toBe(false);
});

test('a tap writes the shoot without its picture', () => {
  const long = { ...MAP, jpeg: `${jpegText(800, 400).replace(/=+$/, '')}${'A'.repeat(200_000)}` };
  const text = JSON.stringify(laidUnder(larkmoor, long));
  const apart = seriesApart(text);
  expect(apart.text.length).toBeLessThan(text.length - 200_000);
  expect(withSeries(apart.text, apart.series)).toBe(text);
});

test.each([
  ['no JPEG', { jpeg: 'iVBORw0KGgoAAAANSUhEUgAA' }, 'underlay.jpeg'],
  ['markup in place of a picture', { jpeg: '/9j/"><script>' }, 'underlay.jpeg'],
  ['a picture larger than it says', { jpeg: jpegText(60_000, 60_000) }, 'underlay.jpeg'],
  ['a picture cut off in its head', { jpeg: '/9j/4AAQ' }, 'underlay.jpeg'],
  ['too long', { jpeg: `/9j/${'A'.repeat(MOST_PICTURE_CHARACTERS)}` }, 'underlay.jpeg'],
  ['too many pixels', { jpeg: jpegText(4000, 400), widthPx: 4000 }, 'underlay.widthPx'],
  ['no width on the ground', { widthM: 0 }, 'underlay.widthM'],
  ['both pins on one spot', { pins: [MAP.pins[0], MAP.pins[0]] }, 'underlay.pins'],
  ['unseen', { opacity: 0 }, 'underlay.opacity'],
] as const)('a shoot whose picture is wrong is refused: %s', (_, wrong, field) => {
  const broken = { ...larkmoor, underlay: { ...MAP, ...wrong } };
  const issues = shootSchema.safeParse(broken).error?.issues ?? [];
  expect(issues.map(({ path }) => path.join('.'))).toContain(field);
});
