import type { Scene } from '@/core';
import { drawLineView } from './line-view';

/** What a pen was told to draw. */
function recordingPen() {
  const drawn: { kind: string; at: number[]; ink: string }[] = [];
  const pen = {
    fillStyle: '',
    strokeStyle: '',
    lineWidth: 0,
    lineCap: '',
    path: [] as number[],
    beginPath() {
      this.path = [];
    },
    moveTo(x: number, y: number) {
      this.path.push(x, y);
    },
    lineTo(x: number, y: number) {
      this.path.push(x, y);
    },
    closePath: () => undefined,
    ellipse(...at: number[]) {
      this.path = at;
    },
    fill() {
      drawn.push({ kind: 'fill', at: [...this.path], ink: this.fillStyle });
    },
    stroke() {
      drawn.push({ kind: 'stroke', at: [...this.path, this.lineWidth], ink: this.strokeStyle });
    },
    fillRect(...at: number[]) {
      drawn.push({ kind: 'rect', at, ink: this.fillStyle });
    },
  };
  return { drawn, pen: pen as unknown as CanvasRenderingContext2D };
}

const SENSOR = { widthMm: 36, heightMm: 24, widthPx: 6000, heightPx: 4000 };
const EYE = { x: 0, y: 0, z: 1.5 };
const AIM = { x: 0, y: 20, z: 1.5 };
const PAPER = { white: [1, 1, 1], black: [0, 0, 0] } as const;
const sceneOf = (more: Partial<Scene> = {}): Scene => ({
  camera: {
    ...{ position: EYE, aim: AIM, focalMm: 100, aperture: 4, shutterS: 1 / 500, shakeS: 1 },
    ...{ sensor: SENSOR, orientation: 'level' },
  },
  exposure: { ev: 10, lossStops: 0, liftStops: 0, isoStops: 0 },
  light: {
    ...{ toSun: { x: 0, y: 0, z: 1 }, sunLux: 0, skyLux: 0, cloud: 0, subjectSkyView: 0.5 },
    ...{ lampLux: 100, groundReflectance: 0.2, share: 1, indoors: false },
  },
  ground: { material: 'ground', reflectance: 0.2 },
  solids: [],
  figure: {} as Scene['figure'],
  others: [],
  ...more,
});
const drawnOf = (view: Partial<Parameters<typeof drawLineView>[1]>) => {
  const { drawn, pen } = recordingPen();
  drawLineView(pen, {
    ...{ scene: sceneOf(), aim: AIM, figures: [], widthPx: 360, heightPx: 240, paper: PAPER },
    ...view,
  });
  return drawn;
};
/** Thin lens: 100 mm focused at 20 m stands 100.5 mm off; a metre there is 5.025 mm of 36, on 360 px 50.25. */
const PX_PER_M = (360 / 36) * ((100 * 20000) / (20000 - 100) / 20);

test('what is aimed at lies in the middle, as large as a thin lens has it', () => {
  const ball = drawnOf({ balls: [{ middle: AIM, radiusM: 0.5 }] }).find(
    ({ kind }) => kind === 'fill',
  );
  expect(ball?.at.slice(0, 4)).toEqual([
    expect.closeTo(180, 6),
    expect.closeTo(120, 6),
    expect.closeTo(PX_PER_M / 2, 6),
    expect.closeTo(PX_PER_M / 2, 6),
  ]);
});

test('the ground ends level with the eye, and higher when one looks down', () => {
  const horizon = (aim: typeof AIM) => drawnOf({ aim })[1]?.at[1] ?? NaN;
  expect(horizon(AIM)).toBeCloseTo(120, 3);
  // A metre down at twenty: as far as that metre is long.
  expect(horizon({ ...AIM, z: 0.5 })).toBeCloseTo(120 - PX_PER_M, 0);
});

test('turned to the right, what stood in the middle goes to the left', () => {
  const turned = { x: 2, y: 20, z: 1.5 };
  const ball = drawnOf({ aim: turned, balls: [{ middle: AIM, radiusM: 0.1 }] }).find(
    ({ kind }) => kind === 'fill',
  );
  expect(ball?.at[0]).toBeCloseTo(180 - 2 * PX_PER_M, -1);
});

test('the nearer hides the farther, and nothing behind the lens is drawn', () => {
  const ball = (y: number, radiusM: number) => ({ middle: { x: 0, y, z: 1.5 }, radiusM });
  const drawn = drawnOf({ balls: [ball(20, 0.5), ball(40, 0.7), ball(-5, 1)] }).filter(
    ({ kind }) => kind === 'fill',
  );
  expect(drawn.map(({ at }) => Math.round(at[2] ?? 0))).toEqual([
    Math.round((PX_PER_M * 0.7) / 2),
    Math.round(PX_PER_M * 0.5),
  ]);
});

test('a wall that begins behind the camera is cut, not lost', () => {
  const wall = {
    ...{ shape: 'prism' as const, fromM: 0, toM: 2, material: 'stone' as const, reflectance: 0.3 },
    footprint: [
      { x: 1, y: -10 },
      { x: 1, y: 30 },
    ],
  };
  const drawn = drawnOf({ scene: sceneOf({ solids: [wall] }) }).filter(
    ({ kind }) => kind === 'fill',
  );
  expect(drawn.length).toBeGreaterThan(0);
  const far = drawn[0]?.at ?? [];
  // Its far end: a metre aside at thirty.
  expect(Math.min(...far.filter((_, i) => i % 2 === 0))).toBeCloseTo(180 + (PX_PER_M * 20) / 30, 0);
});

test('lines of the ground lie under what stands on it, and are as broad as they are', () => {
  const line = {
    ...{ shape: 'painted' as const, widthM: 0.2, material: 'line' as const, reflectance: 0.7 },
    points: [
      { x: -2, y: 20 },
      { x: 2, y: 20 },
    ],
  };
  const drawn = drawnOf({
    scene: sceneOf({ solids: [line] }),
    balls: [{ middle: AIM, radiusM: 1 }],
  });
  const [stroke, ball] = drawn.slice(2);
  expect(stroke?.kind).toBe('stroke');
  expect(stroke?.at.at(-1)).toBeCloseTo(0.2 * PX_PER_M, 0);
  expect(ball?.kind).toBe('fill');
});
