import { buildSync } from 'esbuild';
import path from 'node:path';
import { chromium, type Page } from 'playwright';
import { pictured } from '../src/answers/pictured';
import type { Scene } from '../src/core';
import { DEMO_SHOOTS } from '../src/demo';
import type { Paper } from '../src/figures/frame/paper';
import type { FrameRenderer } from '../src/figures/frame/renderer';
import { msOf } from '../src/records/times';
import { started } from './bench-server';
import { CHROMIUM } from './chromium';

/** The frame through the lens, drawn by software: its samples, a picture a move, and what it costs the page. */

const ROOT = path.resolve(__dirname, '..');
const SIZE = { widthPx: 390, heightPx: 260 };
const SAMPLES = 64;
const MOVES = 60;
const BEST_OF = 3;

interface Drawing {
  readonly createFrameRenderer: (canvas: HTMLCanvasElement, paper: Paper) => FrameRenderer;
}

/** Milliseconds for one frame of so many samples, and for so many frames of one sample each, as while dragging. */
const drawn = (page: Page, scene: Scene) =>
  page.evaluate(
    ([what, { widthPx, heightPx }, samples, moves]) => {
      const { createFrameRenderer } = window as unknown as Drawing;
      const paper = { white: [1, 1, 1], black: [0, 0, 0] } as const;
      const frame = createFrameRenderer(document.createElement('canvas'), paper);
      const { camera } = what;
      const moved = Array.from({ length: moves }, (_, i) => ({
        ...what,
        camera: { ...camera, position: { ...camera.position, x: camera.position.x + i * 0.1 } },
      }));
      // The first makes all ready, the second is the whole frame, the rest are the drag.
      const doneMs: number[] = [];
      for (const [turn, one] of [what, what, ...moved].entries()) {
        frame.load(one, widthPx, heightPx);
        frame.cast();
        for (let i = 0; i < (turn === 1 ? samples : 1); i += 1) frame.sample();
        frame.linear();
        doneMs.push(performance.now());
      }
      const [readyMs = 0, wholeDoneMs = 0] = doneMs;
      const wholeMs = wholeDoneMs - readyMs;
      const moveMs = ((doneMs.at(-1) ?? 0) - wholeDoneMs) / moves;
      frame.dispose();
      return { wholeMs, moveMs };
    },
    [scene, SIZE, SAMPLES, MOVES] as const,
  );

/** Nothing stands there, and nobody. */
const emptied = (scene: Scene): Scene => ({
  ...scene,
  solids: [],
  others: [],
  figure: { ...scene.figure, pieces: [] },
});

async function best(page: Page, scene: Scene) {
  const runs = [];
  for (let i = 0; i < BEST_OF; i += 1) runs.push(await drawn(page, scene));
  return {
    wholeMs: Math.min(...runs.map(({ wholeMs }) => wholeMs)),
    moveMs: Math.min(...runs.map(({ moveMs }) => moveMs)),
  };
}

/** Tasks of the page's own thread over 50 ms from the press on the lens until the picture is done. */
async function longTasks(page: Page, base: string): Promise<readonly number[]> {
  await page.goto(`${base}/shoot/demo-larkmoor/ground`);
  await page.getByRole('toolbar', { name: 'Ground' }).waitFor();
  await page.waitForTimeout(2500);
  await page.evaluate(() => {
    const kept: number[] = [];
    (window as unknown as { kept: number[] }).kept = kept;
    new PerformanceObserver((list) =>
      list.getEntries().forEach(({ duration }) => kept.push(Math.round(duration))),
    ).observe({ entryTypes: ['longtask'] });
  });
  await page.getByRole('button', { name: 'Lens', exact: true }).click();
  await page.waitForTimeout(9000);
  return page.evaluate(() => (window as unknown as { kept: number[] }).kept);
}

export async function benchFrames(): Promise<void> {
  const { outputFiles } = buildSync({
    stdin: {
      contents:
        "import { createFrameRenderer } from '@/figures/frame/renderer'; window.createFrameRenderer = createFrameRenderer;",
      resolveDir: ROOT,
      loader: 'ts',
    },
    ...{ bundle: true, write: false, format: 'iife', alias: { '@': path.join(ROOT, 'src') } },
  });
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await page.goto('about:blank');
  await page.addScriptTag({ content: outputFiles[0]?.text ?? '' });
  for (const shoot of DEMO_SHOOTS) {
    const picture = pictured(shoot, msOf(shoot.atLocal, shoot.place.timeZone));
    if (!picture) throw new Error('every demo shoot must be seen');
    const full = await best(page, picture.scene);
    const empty = await best(page, emptied(picture.scene));
    console.log(
      `frames: ${shoot.title}: ${SAMPLES} samples ${(full.wholeMs / 1000).toFixed(1)} s (empty ${(empty.wholeMs / 1000).toFixed(1)} s); while dragging ${(1000 / full.moveMs).toFixed(0)} frames a second, ${(full.moveMs / empty.moveMs).toFixed(2)} × the time of an empty scene`,
    );
  }
  const { base, stop } = await started();
  const long = await longTasks(page, base);
  console.log(`frames: tasks over 50 ms while the lens is taken up: ${long.join(', ') || 'none'}`);
  stop();
  await browser.close();
}
