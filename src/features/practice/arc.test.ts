import { broughtTo, drawnArc, FIRST_ARC, gripAt, type Arc } from './arc';

/** An arc over a picture: from the top, with the hands of a clock. */

const SIZE = { widthPx: 300, heightPx: 200 };
const arc: Arc = { acrossShare: 0.5, downShare: 0.5, fromDeg: 0, sweepDeg: 90 };

test('from twelve o’clock over a quarter to three', () => {
  const { hub, from, to, radiusPx } = drawnArc(arc, SIZE);
  expect(hub).toEqual({ x: 150, y: 100 });
  expect(from.x).toBeCloseTo(150, 9);
  expect(from.y).toBeCloseTo(100 - radiusPx, 9);
  expect(to.x).toBeCloseTo(150 + radiusPx, 9);
  expect(to.y).toBeCloseTo(100, 9);
});

test('a finger takes the nearer end within its reach, else the hub', () => {
  const { from, to, hub } = drawnArc(arc, SIZE);
  expect(gripAt(arc, SIZE, { x: from.x + 20, y: from.y })).toBe('from');
  expect(gripAt(arc, SIZE, { x: to.x, y: to.y - 27 })).toBe('to');
  expect(gripAt(arc, SIZE, { x: to.x, y: to.y - 29 })).toBe('hub');
  expect(gripAt(arc, SIZE, hub)).toBe('hub');
  // Ends that lie on one another: the one that is nearer.
  const thin = { ...arc, sweepDeg: 10 };
  const ends = drawnArc(thin, SIZE);
  expect(gripAt(thin, SIZE, { x: ends.to.x + 5, y: ends.to.y })).toBe('to');
  expect(gripAt(thin, SIZE, { x: ends.from.x - 5, y: ends.from.y })).toBe('from');
});

test('an end is brought round the hub, and the other stays', () => {
  // At six o'clock.
  expect(broughtTo(arc, 'to', SIZE, { x: 150, y: 160 })).toEqual({ ...arc, sweepDeg: 180 });
  // At nine: from nine to three is half a round.
  expect(broughtTo(arc, 'from', SIZE, { x: 80, y: 100 })).toEqual({
    ...arc,
    ...{ fromDeg: 270, sweepDeg: 180 },
  });
  // Never nothing, never a whole round.
  expect(broughtTo(arc, 'to', SIZE, { x: 150, y: 20 }).sweepDeg).toBe(1);
  expect(broughtTo(arc, 'to', SIZE, { x: 149.9, y: 20 }).sweepDeg).toBe(359);
});

test('the hub comes to the finger, and stays in the picture', () => {
  expect(broughtTo(FIRST_ARC, 'hub', SIZE, { x: 75, y: 150 })).toEqual({
    ...FIRST_ARC,
    ...{ acrossShare: 0.25, downShare: 0.75 },
  });
  expect(broughtTo(FIRST_ARC, 'hub', SIZE, { x: -20, y: 500 })).toMatchObject({
    ...{ acrossShare: 0, downShare: 1 },
  });
});
