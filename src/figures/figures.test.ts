import fc from 'fast-check';
import { daylight } from '@/core';
import tokens from '@/ui/tokens.json';
import { ballLux, ballStrokes, ballTone, looksAlike, type BallLight } from './ball-shading';
import { placeLabels } from './labels';
import { planScale, scaleBarM } from './plan-scale';
import { tonesOf } from './tone';

const light = (change: Partial<BallLight> = {}): BallLight => ({
  daylight: daylight({ sunAltitudeDeg: 20, sky: 'clear' }),
  sun: { azimuthDeg: 270, altitudeDeg: 20 },
  sunlit: true,
  groundReflectance: 0.2,
  lampLux: 0,
  toCameraDeg: 180,
  ...change,
});

describe('lit ball, camera to the south', () => {
  test('a western sun lights its left side', () => {
    expect(ballLux(light(), -0.8, 0)).toBeGreaterThan(ballLux(light(), 0.8, 0) * 4);
  });
  test('a sun behind the camera lights its middle, one before it its rim only', () => {
    const front = light({ sun: { azimuthDeg: 180, altitudeDeg: 20 } });
    const back = light({ sun: { azimuthDeg: 0, altitudeDeg: 20 } });
    expect(ballLux(front, 0, 0)).toBeGreaterThan(ballLux(back, 0, 0) * 4);
    expect(ballLux(back, 0, 0.99)).toBeGreaterThan(ballLux(back, 0, 0) * 2);
  });
  test('in shade it is evenly toned, left as right', () => {
    const shade = light({ sunlit: false });
    expect(ballLux(shade, -0.7, 0.2)).toBeCloseTo(ballLux(shade, 0.7, 0.2), 6);
  });
  test('strokes swell where it is dark', () => {
    const [stroke] = ballStrokes(light()).slice(5, 6);
    const halves = stroke?.points.map(({ half }) => half) ?? [];
    expect(halves[halves.length - 2]).toBeGreaterThan((halves[2] ?? NaN) * 2);
  });
  test('a minute of sun draws the same ball, another side or the lamps do not', () => {
    const evening = light({ sun: { azimuthDeg: 270, altitudeDeg: 20 } });
    const sun = (azimuthDeg: number, altitudeDeg: number) =>
      light({ sun: { azimuthDeg, altitudeDeg } });
    expect(looksAlike(evening, sun(270.3, 19.8))).toBe(true);
    expect(looksAlike(evening, sun(275, 20))).toBe(false);
    expect(looksAlike(evening, { ...evening, sunlit: false })).toBe(false);
    expect(looksAlike(evening, { ...evening, lampLux: 2000 })).toBe(false);
  });
  test('tone is 0 at the brightest and 1 where deep', () => {
    const brightest = ballLux(light(), -0.9, 0.3);
    expect(ballTone(brightest, brightest)).toBe(0);
    const night = light({ daylight: daylight({ sunAltitudeDeg: -18, sky: 'clear' }) });
    expect(ballTone(ballLux(night, 0, 0), brightest)).toBe(1);
  });
});

test('a plan fits its picture and maps back to the metres it came from', () => {
  const coordinate = fc.double({ min: -300, max: 300, noNaN: true });
  const points = fc.array(fc.record({ x: coordinate, y: coordinate }), {
    minLength: 1,
    maxLength: 9,
  });
  fc.assert(
    fc.property(points, (list) => {
      const scale = planScale(list, 390, 280);
      for (const point of list) {
        const px = scale.toPx(point);
        expect(px.x).toBeGreaterThanOrEqual(20);
        expect(px.x).toBeLessThanOrEqual(370);
        expect(px.y).toBeGreaterThanOrEqual(20);
        expect(px.y).toBeLessThanOrEqual(260);
        expect(scale.toMetres(px).x).toBeCloseTo(point.x, 6);
      }
    }),
  );
});

test('north is up', () => {
  const { toPx } = planScale(
    [
      { x: 0, y: 0 },
      { x: 10, y: 10 },
    ],
    300,
    300,
  );
  expect(toPx({ x: 0, y: 10 }).y).toBeLessThan(toPx({ x: 0, y: 0 }).y);
});

test.each([
  [2, 20],
  [0.5, 100],
  [30, 2],
])('at %d px a metre the bar is %d m', (pxPerM, metres) => {
  expect(scaleBarM(pxPerM, 60)).toBe(metres);
});

describe('labels', () => {
  const wish = (text: string, x: number, y: number, must = false) => ({
    text,
    at: { x, y },
    clearPx: 10,
    must,
  });
  test('two names at one place take different sides', () => {
    const [a, b] = placeLabels(
      [wish('Near perch', 200, 150), wish('Far perch', 200, 150)],
      390,
      280,
    );
    expect(a).toBeDefined();
    expect(b === undefined || b.y !== a?.y || b.x !== a?.x).toBe(true);
  });
  test('a name near the edge stays in the picture', () => {
    const [label] = placeLabels([wish('Behind the back line', 2, 278, true)], 390, 280);
    expect(label?.x).toBeGreaterThan(60);
    expect(label?.y).toBeLessThan(280);
  });
  test('where there is no room, what must be named is and the rest is left out', () => {
    const crowd = Array.from({ length: 40 }, (_, i) =>
      wish(`Mark ${i}`, 50 + (i % 4), 50, i === 39),
    );
    const placed = placeLabels(crowd, 120, 100);
    expect(placed.length).toBeLessThan(10);
    expect(placed.map(({ text }) => text)).toContain('Mark 39');
  });
});

test('more light is a lighter tone, by day and in the dark', () => {
  for (const inks of [tokens.day, tokens.dark]) {
    const red = (ev: number) => Number(/\d+/.exec(tonesOf(inks)(ev))?.[0]);
    expect(red(14)).toBeGreaterThan(red(9));
    expect(red(9)).toBeGreaterThan(red(4));
    expect(red(-20)).toBe(red(3));
  }
});
