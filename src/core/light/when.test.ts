import fc from 'fast-check';
import { shadeTimes } from '../site/shade';
import { sunPosition } from '../sun/position';
import { faceSpans, sunOnFace, type FacedScene } from './when';

const OPEN: FacedScene = {
  place: { latitudeDeg: 52, longitudeDeg: 0 },
  obstacles: [],
  target: { x: 0, y: 0, z: 1.5 },
  faceAzimuthDeg: 180,
  viewAltitudeDeg: 0,
};
const at = (clock: string, day = '2027-06-21') => Date.parse(`${day}T${clock}Z`);
const DAY = { fromMs: at('00:00'), toMs: at('00:00', '2027-06-22') };
const wallTo = (y: number) => ({
  heightM: 8,
  footprint: [
    { x: -50, y },
    { x: 50, y },
    { x: 50, y: y - 1 },
    { x: -50, y: y - 1 },
  ],
});

test('by hand: a face to the south has the sun behind the camera at noon, high over it in June', () => {
  // 61° high at noon in June, 15° in December: 90 − 52 ± 23.4.
  expect(sunOnFace(OPEN, at('12:00'))).toBe('high');
  expect(sunOnFace(OPEN, at('12:00', '2027-12-21'))).toBe('front');
  expect(sunOnFace({ ...OPEN, faceAzimuthDeg: 0 }, at('12:00', '2027-12-21'))).toBe('back');
  // Near 06:30 by the sun it stands about due east.
  expect(sunOnFace(OPEN, at('07:10'))).toBe('side');
});

test('midnight in winter is dark; an hour after sunset in June at 52° is still twilight', () => {
  expect(sunOnFace(OPEN, at('00:00', '2027-12-21'))).toBe('dark');
  expect(sunOnFace(OPEN, at('20:45'))).toBe('twilight');
});

test('a wall close to the south keeps the low winter sun off, not the high one of June', () => {
  const walled = { ...OPEN, obstacles: [wallTo(-10)] };
  expect(sunOnFace(walled, at('12:00', '2027-12-21'))).toBe('shade');
  expect(sunOnFace(walled, at('12:00'))).toBe('high');
});

test('shade in the spans is the shade that the site finds, to twenty seconds', () => {
  const walled = { ...OPEN, obstacles: [wallTo(-10)] };
  const day = { fromMs: at('00:00', '2027-12-21'), toMs: at('00:00', '2027-12-22') };
  const spans = faceSpans(walled, day, 300_000).filter(({ sun }) => sun === 'shade');
  const known = shadeTimes({
    point: walled.target,
    obstacles: walled.obstacles,
    place: walled.place,
    ...day,
  });
  expect(spans).toHaveLength(known.length);
  spans.forEach(({ fromMs, toMs }, i) => {
    expect(Math.abs(fromMs - (known[i]?.fromMs ?? 0))).toBeLessThan(20_000);
    expect(Math.abs(toMs - (known[i]?.toMs ?? 0))).toBeLessThan(20_000);
  });
});

test('spans fill the time without a gap, no two alike side by side', () => {
  fc.assert(
    fc.property(
      fc.record({
        latitudeDeg: fc.double({ min: -66, max: 66, noNaN: true }),
        faceAzimuthDeg: fc.double({ min: 0, max: 359, noNaN: true }),
        y: fc.double({ min: -40, max: -2, noNaN: true }),
      }),
      ({ latitudeDeg, faceAzimuthDeg, y }) => {
        const scene = {
          ...OPEN,
          place: { latitudeDeg, longitudeDeg: 0 },
          faceAzimuthDeg,
          obstacles: [wallTo(y)],
        };
        const spans = faceSpans(scene, DAY, 900_000);
        expect(spans[0]?.fromMs).toBe(DAY.fromMs);
        expect(spans.at(-1)?.toMs).toBe(DAY.toMs);
        spans.slice(1).forEach((span, i) => {
          expect(span.fromMs).toBe(spans[i]?.toMs);
          expect(span.sun).not.toBe(spans[i]?.sun);
        });
        for (const { fromMs, toMs, sun } of spans) {
          if (toMs - fromMs > 1_000_000) {
            const up = sunPosition({ time: (fromMs + toMs) / 2, ...scene.place }).altitudeDeg > 0;
            expect(sun === 'twilight' || sun === 'dark').toBe(!up);
          }
        }
      },
    ),
    { numRuns: 25 },
  );
});

test.each([
  [{ fromMs: 10, toMs: 10 }, 60_000, /^toMs/],
  [DAY, 10, /^stepMs/],
])('a span or step that makes no sense is refused by name', (span, step, reason) => {
  expect(() => faceSpans(OPEN, span, step)).toThrow(reason);
});
