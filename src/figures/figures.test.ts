import fc from 'fast-check';
import { daylight } from '@/core';
import tokens from '@/ui/tokens.json';
import { ballLux, spotAt, ballStrokes, ballTone, looksAlike, type BallLight } from './ball-shading';
import { placeLabels } from './labels';
import { inwardTicks } from './line-work';
import { fitTurned, fitView, scaleBarM, scaleOf, viewAfter } from './plan-scale';
import { scoreContours } from './score-contours';
import { tonesOf } from './tone';

const light = (change: Partial<BallLight> = {}): BallLight => ({
  daylight: daylight({ sunAltitudeDeg: 20, sky: 'clear' }),
  sun: { azimuthDeg: 270, altitudeDeg: 20 },
  sunShare: 1,
  groundReflectance: 0.2,
  lampLux: 0,
  toCameraDeg: 180,
  ...change,
});

/** How bright the ball is at a point. */
const luxAt = (under: BallLight, right: number, up: number) => ballLux(under, spotAt(right, up));

describe('lit ball, camera to the south', () => {
  test('a western sun lights its left side', () => {
    expect(luxAt(light(), -0.8, 0)).toBeGreaterThan(luxAt(light(), 0.8, 0) * 4);
  });
  test('a sun behind the camera lights its middle, one before it its rim only', () => {
    const front = light({ sun: { azimuthDeg: 180, altitudeDeg: 20 } });
    const back = light({ sun: { azimuthDeg: 0, altitudeDeg: 20 } });
    expect(luxAt(front, 0, 0)).toBeGreaterThan(luxAt(back, 0, 0) * 4);
    expect(luxAt(back, 0, 0.99)).toBeGreaterThan(luxAt(back, 0, 0) * 2);
  });
  test('in shade it is evenly toned, left as right', () => {
    const shade = light({ sunShare: 0 });
    expect(luxAt(shade, -0.7, 0.2)).toBeCloseTo(luxAt(shade, 0.7, 0.2), 6);
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
    expect(looksAlike(evening, { ...evening, sunShare: 0 })).toBe(false);
    expect(looksAlike(evening, { ...evening, lampLux: 2000 })).toBe(false);
  });
  test('tone is 0 at the brightest and 1 where deep', () => {
    const brightest = luxAt(light(), -0.9, 0.3);
    expect(ballTone(brightest, brightest)).toBe(0);
    const night = light({ daylight: daylight({ sunAltitudeDeg: -18, sky: 'clear' }) });
    expect(ballTone(luxAt(night, 0, 0), brightest)).toBe(1);
  });
});

const coordinate = fc.double({ min: -300, max: 300, noNaN: true });
const bearing = fc.double({ min: 0, max: 359, noNaN: true });

test('a plan fits its picture whichever way is up, and maps back to the metres it came from', () => {
  const points = fc.array(fc.record({ x: coordinate, y: coordinate }), {
    minLength: 1,
    maxLength: 9,
  });
  fc.assert(
    fc.property(points, bearing, (list, upDeg) => {
      const scale = scaleOf(fitView(list, 390, 280, { upDeg }), 390, 280);
      for (const point of list) {
        const px = scale.toPx(point);
        expect(px.x).toBeGreaterThanOrEqual(20);
        expect(px.x).toBeLessThanOrEqual(370);
        expect(px.y).toBeGreaterThanOrEqual(20);
        expect(px.y).toBeLessThanOrEqual(260);
        expect(scale.toMetres(px).x).toBeCloseTo(point.x, 6);
        expect(scale.toMetres(px).y).toBeCloseTo(point.y, 6);
      }
    }),
  );
});

test.each([
  [0, { x: 0, y: 10 }],
  [90, { x: 10, y: 0 }],
  [225, { x: -7, y: -7 }],
])('with %d° up, what lies that way is above the middle', (upDeg, point) => {
  const { toPx } = scaleOf({ middle: { x: 0, y: 0 }, pxPerM: 4, upDeg }, 300, 300);
  expect(toPx(point).x).toBeCloseTo(150, 0);
  expect(toPx(point).y).toBeLessThan(120);
});

test('what the fingers took hold of stays under them, dragged, pinched and turned', () => {
  const px = fc.record({
    x: fc.double({ min: 0, max: 390, noNaN: true }),
    y: fc.double({ min: 0, max: 280, noNaN: true }),
  });
  const zoom = fc.double({ min: 0.2, max: 5, noNaN: true });
  fc.assert(
    fc.property(px, px, zoom, bearing, bearing, (about, by, wanted, turnDeg, upDeg) => {
      const view = { middle: { x: 12, y: -40 }, pxPerM: 3, upDeg };
      const held = scaleOf(view, 390, 280).toMetres(about);
      const after = viewAfter(view, { about, by, zoom: wanted, turnDeg }, 390, 280);
      const now = scaleOf(after, 390, 280).toPx(held);
      expect(now.x).toBeCloseTo(about.x + by.x, 6);
      expect(now.y).toBeCloseTo(about.y + by.y, 6);
      expect(after.pxPerM).toBeCloseTo(3 * wanted, 9);
    }),
  );
});

test('turned clockwise on the picture, what was above lies to the right', () => {
  const view = { middle: { x: 0, y: 0 }, pxPerM: 3, upDeg: 0 };
  const turned = viewAfter(
    view,
    { about: { x: 150, y: 150 }, by: { x: 0, y: 0 }, zoom: 1, turnDeg: 90 },
    300,
    300,
  );
  const north = scaleOf(turned, 300, 300).toPx({ x: 0, y: 10 });
  expect(north.x).toBeCloseTo(180, 6);
  expect(north.y).toBeCloseTo(150, 6);
});

test('no pinch goes beyond what can be drawn', () => {
  const view = { middle: { x: 0, y: 0 }, pxPerM: 3, upDeg: 0 };
  const pinch = (zoom: number) =>
    viewAfter(view, { about: { x: 0, y: 0 }, by: { x: 0, y: 0 }, zoom, turnDeg: 0 }, 300, 300);
  expect(pinch(1e9).pxPerM).toBe(400);
  expect(pinch(1e-9).pxPerM).toBe(0.02);
});

test('ticks of a keep-out stand on its inner side, whichever way it was drawn', () => {
  const square = [
    { x: 0, y: 0 },
    { x: 100, y: 0 },
    { x: 100, y: 100 },
    { x: 0, y: 100 },
  ];
  for (const corners of [square, [...square].reverse()]) {
    const ends = [...inwardTicks(corners).matchAll(/L([\d.-]+) ([\d.-]+)/g)].map(
      ([, x, y]) => [Number(x), Number(y)] as const,
    );
    expect(ends.length).toBeGreaterThan(30);
    for (const [x, y] of ends) expect(Math.min(x, y, 100 - x, 100 - y)).toBeCloseTo(5, 1);
  }
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

describe('contours of scores', () => {
  const area = { minX: -20, minY: 10, stepM: 2 };
  /** A cone: 1 in the middle of the cell at column 5, row 5, falling by 0.1 a cell. */
  const cone = Array.from({ length: 121 }, (_, i) =>
    Math.max(0, 1 - 0.1 * Math.hypot((i % 11) - 5, Math.floor(i / 11) - 5)),
  );
  const middle = { x: -20 + 5.5 * 2, y: 10 + 5.5 * 2 };
  test('ring the best place ever closer, at the distance where the score falls to their share', () => {
    const lines = scoreContours({ columns: 11, area, score: cone });
    expect(lines.map(({ share }) => share)).toEqual([0.4, 0.6, 0.8, 0.95]);
    for (const { share, rings } of lines.slice(1, 3)) {
      expect(rings).toHaveLength(1);
      for (const { x, y } of rings[0] ?? []) {
        expect(Math.abs(Math.hypot(x - middle.x, y - middle.y) - (1 - share) * 20)).toBeLessThan(
          0.45,
        );
      }
    }
  });
  test('two good places have a ring each', () => {
    const two = [0, 0, 0, 0, 0, 0, 1, 0, 0.9, 0, 0, 0, 0, 0, 0];
    const at80 = scoreContours({ columns: 5, area, score: two }).find(({ share }) => share === 0.8);
    expect(at80?.rings).toHaveLength(2);
  });
  test('there are none where nothing scores', () => {
    expect(scoreContours({ columns: 2, area, score: [0, 0, 0, 0] })).toEqual([]);
  });
});

describe('a plan turned to fill its picture', () => {
  const field = (widthM: number, lengthM: number, bearing: number) => {
    const turn = (x: number, y: number) => {
      const a = (bearing * Math.PI) / 180;
      return { x: x * Math.cos(a) + y * Math.sin(a), y: y * Math.cos(a) - x * Math.sin(a) };
    };
    return [-1, 1].flatMap((i) => [-1, 1].map((j) => turn((i * widthM) / 2, (j * lengthM) / 2)));
  };
  test('a long field lies along a tall picture, whichever way it points', () => {
    for (const bearing of [0, 30, 90, 120, 200, 340]) {
      const { upDeg, pxPerM } = fitTurned(field(50, 100, bearing), 390, 800, bearing);
      const along = (((upDeg - bearing) % 180) + 180) % 180;
      expect(Math.min(along, 180 - along)).toBeLessThanOrEqual(15);
      // 100 m in 800 px less twice the padding of 22, or nearly.
      expect(pxPerM).toBeGreaterThan(((800 - 44) / 100) * 0.85);
    }
  });
  test('north is never below the horizontal, and the ground never smaller than with north up', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            x: fc.integer({ min: -200, max: 200 }),
            y: fc.integer({ min: -200, max: 200 }),
          }),
          { minLength: 2, maxLength: 12 },
        ),
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: 200, max: 900 }),
        fc.integer({ min: 200, max: 900 }),
        (points, along, width, height) => {
          const turned = fitTurned(points, width, height, along);
          const north = fitView(points, width, height);
          expect(turned.pxPerM).toBeGreaterThanOrEqual(north.pxPerM - 1e-9);
          expect(Math.cos((turned.upDeg * Math.PI) / 180)).toBeGreaterThanOrEqual(-1e-9);
        },
      ),
    );
  });
  test('what would hardly gain is left with north up', () => {
    expect(fitTurned(field(100, 100, 3), 390, 400, 3).upDeg).toBe(0);
  });
});
