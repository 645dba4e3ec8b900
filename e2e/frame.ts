/**
 * The true picture measured in its own pixels against what the core computes, within five in a hundred or a pixel:
 * scenes are made here, drawn by the browser, and their linear light is read back.
 */
import { test as base, expect, type Page } from '@playwright/test';
import { buildSync } from 'esbuild';
import path from 'node:path';
import type { Figure, MovingPart, Point3, Scene, Solid } from '../src/core';
import type { FrameRenderer } from '../src/figures/frame/renderer';

export const SENSOR = { widthMm: 36, heightMm: 24, widthPx: 6000, heightPx: 4000 };
export const WIDTH = 300;
export const HEIGHT = 200;
export const PX_PER_MM = WIDTH / SENSOR.widthMm;
export const GREY = 0.157;
export const LUX = 1000;
export const EYE: Point3 = { x: 0, y: 0, z: 1.5 };

export const body = (change: Partial<MovingPart> = {}): MovingPart => ({
  ...{ name: 'body', role: 'body', aheadM: 0, leftM: 0, upM: 0, bodyShare: 1 },
  ...change,
});

/** A grey ball at a distance to the north, that goes east at a speed. */
export const ballAt = (distanceM: number, diameterM: number, speedMs = 0): Figure => {
  const end = (upM: number) => ({ aheadM: 0, leftM: 0, upM, part: 'body' });
  return {
    subject: { heightM: diameterM, speedMs },
    parts: [body()],
    path: { position: { x: 0, y: distanceM, z: EYE.z }, headingDeg: 90 },
    facingDeg: 90,
    pieces: [
      {
        ...{ shape: 'ball', from: end(-diameterM / 2), to: end(diameterM / 2) },
        ...{ fromRadiusM: diameterM / 2, toRadiusM: diameterM / 2 },
        ...{ material: 'line', reflectance: GREY },
      },
    ],
  };
};
export const point = (at: Point3, radiusM: number): Solid => ({
  ...{ shape: 'ellipsoid', middle: at, radiiM: { x: radiusM, y: radiusM, z: radiusM } },
  ...{ material: 'line', reflectance: GREY },
});
export const NOBODY: Figure = { ...ballAt(1, 1), pieces: [] };

/** Everything lit evenly from all sides, on black ground under a black sky. */
export function sceneOf(
  focusM: number,
  camera: Partial<Scene['camera']> = {},
  rest: Partial<Omit<Scene, 'camera'>> = {},
): Scene {
  return {
    camera: {
      ...{ position: EYE, aim: { x: 0, y: focusM, z: EYE.z } },
      ...{ focalMm: 200, aperture: 22, shutterS: 1e-5, sensor: SENSOR },
      ...{ orientation: 'level', shakeS: 1e9, ...camera },
    },
    exposure: { ev: Math.log2(LUX / 2.5), lossStops: 0, liftStops: 0, isoStops: 0 },
    light: {
      ...{ toSun: { x: 0, y: 0, z: 1 }, sunLux: 0, skyLux: 0, cloud: 1, subjectSkyView: 0.5 },
      ...{ lampLux: LUX, groundReflectance: 0, share: 1, indoors: false },
    },
    ground: { material: 'line', reflectance: 0 },
    solids: [],
    figure: NOBODY,
    others: [],
    ...rest,
  };
}

export interface Drawn {
  /** Luminance, rows from the foot. */
  readonly light: readonly number[];
  /** Green of the picture as shown, 0 to 255, rows from the head. */
  readonly shown: readonly number[];
}
interface Drawing {
  readonly createFrameRenderer: (
    canvas: HTMLCanvasElement,
    paper: { white: number[]; black: number[] },
  ) => FrameRenderer;
  /** As in the app, one draws scene after scene: what it draws with is compiled once. */
  drawn?: { readonly canvas: HTMLCanvasElement; readonly frame: FrameRenderer };
}

export async function draw(page: Page, scene: Scene, samples: number): Promise<Drawn> {
  const { light, shown } = await page.evaluate(
    ([what, count, width, height]) => {
      const here = window as unknown as Drawing;
      if (!here.drawn) {
        const canvas = document.createElement('canvas');
        const paper = { white: [1, 1, 1], black: [0, 0, 0] };
        here.drawn = { canvas, frame: here.createFrameRenderer(canvas, paper) };
      }
      const { canvas, frame } = here.drawn;
      frame.load(what, width, height);
      frame.cast();
      for (let i = 0; i < count; i += 1) frame.sample();
      frame.show();
      const linear = frame.linear();
      const flat = document.createElement('canvas');
      [flat.width, flat.height] = [width, height];
      const pen = flat.getContext('2d') as CanvasRenderingContext2D;
      pen.drawImage(canvas, 0, 0);
      const { data } = pen.getImageData(0, 0, width, height);
      return {
        // As they are in memory: to write out so many numbers takes longer than to draw them.
        light: Float32Array.from(
          { length: width * height },
          (_, i) =>
            0.2126 * (linear[4 * i] as number) +
            0.7152 * (linear[4 * i + 1] as number) +
            0.0722 * (linear[4 * i + 2] as number),
        ),
        shown: Uint8Array.from({ length: width * height }, (_, i) => data[4 * i + 1] as number),
      };
    },
    [scene, samples, WIDTH, HEIGHT] as const,
  );
  return { light: Array.from(light), shown: Array.from(shown) };
}

export const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);
export const column = ({ light }: Drawn, x: number) =>
  Array.from({ length: HEIGHT }, (_, y) => light[y * WIDTH + x] as number);
/** Light of each column, all rows together. */
export const across = (drawn: Drawn) =>
  Array.from({ length: WIDTH }, (_, x) => sum(column(drawn, x)));
/** How wide a profile is: its sum over its height. */
export const widthOf = (profile: readonly number[]): number => sum(profile) / Math.max(...profile);
/** Light of the nine pixels in the middle, in the mean. */
export const middleOf = ({ light }: Drawn): number =>
  sum(
    [-1, 0, 1].flatMap((dy) =>
      [-1, 0, 1].map((dx) => light[(HEIGHT / 2 + dy) * WIDTH + WIDTH / 2 + dx] as number),
    ),
  ) / 9;
/** Diameter of an even disc in the middle: its light over its brightness is its area. */
export const discPx = (drawn: Drawn): number =>
  2 * Math.sqrt(sum(drawn.light) / middleOf(drawn) / Math.PI);

/** Within five in a hundred, or a pixel. */
export function expectNear(measuredPx: number, computedPx: number): void {
  expect(Math.abs(measuredPx - computedPx)).toBeLessThan(Math.max(1, computedPx * 0.05));
}

export const test = base.extend<{ readonly drawing: Page }>({
  drawing: async ({ page }, run) => {
    const root = path.resolve(__dirname, '..');
    const { outputFiles } = buildSync({
      stdin: {
        contents:
          "import { createFrameRenderer } from '@/figures/frame/renderer'; window.createFrameRenderer = createFrameRenderer;",
        resolveDir: root,
        loader: 'ts',
      },
      ...{ bundle: true, write: false, format: 'iife', alias: { '@': path.join(root, 'src') } },
    });
    await page.goto('about:blank');
    await page.addScriptTag({ content: outputFiles[0]?.text ?? '' });
    await run(page);
  },
});
