import { turnRate } from './turning';

const still = { x: 0, y: 0, z: 0 };
const G = 9.81;

test('held upright, a turn about its long axis turns the view; clockwise from above is to the right', () => {
  const gravity = { x: 0, y: G, z: 0 };
  // Against the clock seen from above is to the left.
  expect(turnRate({ rates: { ...still, y: 30 }, gravity }).turnDeg).toBeCloseTo(-30);
  expect(turnRate({ rates: { ...still, x: 20 }, gravity }).upDeg).toBeCloseTo(20);
  expect(turnRate({ rates: { ...still, z: 20 }, gravity })).toEqual({
    turnDeg: expect.closeTo(0),
    upDeg: expect.closeTo(0),
  });
});

test('held level, its short axis is the vertical', () => {
  const gravity = { x: G, y: 0, z: 0 };
  expect(turnRate({ rates: { ...still, x: 30 }, gravity }).turnDeg).toBeCloseTo(-30);
});

test('tilted, only what goes about the vertical turns it', () => {
  const tilt = Math.PI / 6;
  const gravity = { x: 0, y: G * Math.cos(tilt), z: G * Math.sin(tilt) };
  const { turnDeg } = turnRate({ rates: { ...still, y: 30 }, gravity });
  expect(turnDeg).toBeCloseTo(-30 * Math.cos(tilt));
});

test('without gravity nothing is told', () => {
  expect(turnRate({ rates: { x: 1, y: 2, z: 3 }, gravity: still })).toEqual({
    turnDeg: 0,
    upDeg: 0,
  });
});
