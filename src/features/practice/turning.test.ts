import { hearTurning, turnRate } from './turning';

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

describe('sensors', () => {
  const listeners = new Map<string, (event: unknown) => void>();
  beforeAll(() =>
    Object.assign(globalThis, {
      DeviceMotionEvent: class {},
      window: {
        addEventListener: (name: string, hear: (event: unknown) => void) =>
          void listeners.set(name, hear),
        removeEventListener: (name: string) => void listeners.delete(name),
      },
    }),
  );
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  test('that say nothing for three seconds are none, and are listened to no more', async () => {
    const heard = hearTurning(() => undefined);
    const refused = expect(heard).rejects.toThrow('no motion came');
    await Promise.resolve();
    expect(listeners.has('devicemotion')).toBe(true);
    jest.advanceTimersByTime(3000);
    await refused;
    expect(listeners.has('devicemotion')).toBe(false);
  });

  test('that speak are heard until told to stop, each reading for the time since the last', async () => {
    const turned: number[] = [];
    const heard = hearTurning((_ms, { turnDeg }) => turned.push(turnDeg));
    await Promise.resolve();
    const speak = (timeStamp: number) =>
      listeners.get('devicemotion')?.({
        timeStamp,
        rotationRate: { alpha: 0, beta: 0, gamma: -40 },
        accelerationIncludingGravity: { x: 0, y: G, z: 0 },
      });
    [1000, 1050, 1100].forEach(speak);
    // A silence of a second is no turn of a second.
    speak(2100);
    expect(turned).toEqual([0, 2, 2, 10].map((deg) => expect.closeTo(deg, 9)));
    (await heard)();
    expect(listeners.has('devicemotion')).toBe(false);
  });
});
