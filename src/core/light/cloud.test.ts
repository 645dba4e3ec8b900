import { cloudAt, skyAt, skyNamed } from './cloud';
import { correctedLight } from './corrected';
import { lightOnSubject, type LitScene } from './subject';

const HOUR_MS = 3_600_000;
const NOON = Date.UTC(2027, 5, 21, 12);
const cloud = [0, 1, 2].map((hour) => ({
  timeMs: NOON + hour * HOUR_MS,
  low: 0.2 * hour,
  expected: 0.4 * hour,
  high: 0.5 * hour,
}));

describe('cloud hour by hour', () => {
  test('runs straight between the hours, and is unknown outside them', () => {
    expect(cloudAt(cloud, NOON)).toEqual({ low: 0, expected: 0, high: 0 });
    const between = cloudAt(cloud, NOON + 1.5 * HOUR_MS);
    expect(between?.low).toBeCloseTo(0.3, 9);
    expect(between?.expected).toBeCloseTo(0.6, 9);
    expect(between?.high).toBeCloseTo(0.75, 9);
    expect(cloudAt(cloud, NOON - 1)).toBeUndefined();
    expect(cloudAt(cloud, NOON + 3 * HOUR_MS)).toBeUndefined();
    expect(() => cloudAt([], NOON)).toThrow('cloud');
  });
  test('outside them the sky set by hand holds', () => {
    expect(skyAt({ sky: 'partly', cloud }, NOON + HOUR_MS)).toBeCloseTo(0.4, 9);
    expect(skyAt({ sky: 'partly', cloud }, NOON + 5 * HOUR_MS)).toBe('partly');
    expect(skyAt({ sky: 'clear' }, NOON)).toBe('clear');
  });
  test('has the name one would give it', () => {
    expect([0.1, 0.5, 0.95, 'overcast' as const].map(skyNamed)).toEqual([
      'clear',
      'partly',
      'overcast',
      'overcast',
    ]);
  });
});

const SCENE: LitScene = {
  place: { latitudeDeg: 52, longitudeDeg: 0 },
  sky: 'clear',
  groundReflectance: 0.2,
  obstacles: [],
  target: { x: 0, y: 0, z: 1.5 },
  faceAzimuthDeg: 180,
  lampLux: 0,
};

describe('light under cloud hour by hour', () => {
  const under = (share: number, spread = 0) =>
    lightOnSubject(
      {
        ...SCENE,
        cloud: [0, 1].map((hour) => ({
          timeMs: NOON + hour * HOUR_MS,
          low: Math.max(0, share - spread),
          expected: share,
          high: Math.min(1, share + spread),
        })),
      },
      NOON,
    );
  test('is the named skies’ at their shares', () => {
    for (const [share, sky] of [
      [0, 'clear'],
      [0.5, 'partly'],
      [1, 'overcast'],
    ] as const) {
      expect(under(share).ev.expected).toBeCloseTo(
        lightOnSubject({ ...SCENE, sky }, NOON).ev.expected,
        9,
      );
    }
  });
  test('is sure under a clear sky, and takes in a cloud before the sun under a broken one', () => {
    const clear = under(0).ev;
    expect(clear.high - clear.low).toBe(0);
    const broken = under(0.5, 0.2).ev;
    expect(broken.low).toBeLessThan(broken.expected - 0.5);
    expect(broken.high).toBeGreaterThan(broken.expected);
  });
});

describe('light corrected by readings', () => {
  const lit = lightOnSubject(SCENE, NOON);
  const heard = { timeMs: NOON, ev: lit.ev.expected - 1, sigmaStops: 0.2, scene: SCENE };
  test('without any is the forecast itself', () => {
    expect(correctedLight(SCENE)(NOON)).toEqual(lit);
  });
  test('a stop less measured pulls it down, most at its own minute, and says how sure it is', () => {
    const lightAt = correctedLight(SCENE, [heard]);
    const here = lightAt(NOON);
    expect(here.correction?.offsetStops).toBeLessThan(-0.6);
    expect(here.correction?.offsetStops).toBeGreaterThan(-1);
    expect(here.ev.expected).toBeCloseTo(
      lit.ev.expected + (here.correction?.offsetStops ?? NaN),
      9,
    );
    const later = lightAt(NOON + 3 * HOUR_MS);
    expect(later.correction?.offsetStops).toBeGreaterThan(here.correction?.offsetStops ?? NaN);
    expect(later.correction?.sigmaStops).toBeGreaterThan(here.correction?.sigmaStops ?? NaN);
    expect(here.daylightLux).toBe(lit.daylightLux);
  });
});
