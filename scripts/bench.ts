import { chromium, type Browser, type CDPSession, type Page } from '@playwright/test';
import { cpus } from 'node:os';
import path from 'node:path';
import { lightSeries, sunPosition } from '@/core';
import { DEMO_SHOOTS } from '@/demo';
import { answerAt } from '@/features/plan/answer';
import { sceneOf, viewOf } from '@/features/plan/view';
import type { Shoot } from '@/records/shoot';
import { hoursOf } from '@/records/times';
import { createApp } from '../server/app';
import { listenOnFreePort } from '../server/listen';
import { openCrowded } from './bench-drawing';
import { benchSearchAndDay } from './bench-search';
import { CHROMIUM } from './chromium';

const [larkmoor] = DEMO_SHOOTS as [Shoot];
const MEASURE_MS = 1500;

/** Operations a second, after a warm-up. */
function perSecond(work: (i: number) => unknown): number {
  for (let i = 0; i < 20; i += 1) work(i);
  const start = performance.now();
  let count = 0;
  while (performance.now() - start < MEASURE_MS) {
    work(count);
    count += 1;
  }
  return (count * 1000) / (performance.now() - start);
}

const rounded = (value: number): string => value.toPrecision(3);
const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;

function benchCore(): void {
  const hours = hoursOf(larkmoor);
  const minute = (i: number) => hours.fromMs + (i % 180) * 60_000;
  const sun = perSecond((i) => sunPosition({ time: minute(i), ...larkmoor.place }));
  const full = perSecond((i) => {
    const seen = viewOf(larkmoor);
    return seen.ok && answerAt(seen.view, larkmoor, minute(i));
  });
  const seen = viewOf(larkmoor);
  if (!seen.ok) throw new Error(seen.problem);
  const { view } = seen;
  const scrub = perSecond((i) => answerAt(view, larkmoor, minute(i)));
  const series = perSecond(() =>
    lightSeries({
      scene: sceneOf(view, larkmoor.features),
      fromMs: hours.fromMs,
      toMs: hours.toMs,
      stepS: 60,
    }),
  );
  const minutes = (hours.toMs - hours.fromMs) / 60_000 + 1;
  const row = (name: string, value: number, suns: number) =>
    console.log(
      `${name.padEnd(44)} ${rounded(value).padStart(9)} /s   ${rounded(suns)} sun calls each`,
    );
  row('bare sun position', sun, 1);
  row('full answer (geometry, motion, light, settings)', full, sun / full);
  row('answer at another minute', scrub, sun / scrub);
  row(`ribbon series, ${minutes} minutes`, series, sun / series);
  row('ribbon series, a minute of it', series * minutes, sun / (series * minutes));
}

/** Milliseconds of script, style and layout since the last call, from the browser's own counters. */
async function taskTime(session: CDPSession): Promise<{ script: number; task: number }> {
  const { metrics } = await session.send('Performance.getMetrics');
  const of = (name: string) => (metrics.find((m) => m.name === name)?.value ?? 0) * 1000;
  return { script: of('ScriptDuration'), task: of('TaskDuration') };
}

async function dragCosts(
  page: Page,
  move: (i: number) => Promise<void>,
  steps: number,
): Promise<number[]> {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const costs: number[] = [];
  let last = await taskTime(session);
  for (let i = 0; i < steps; i += 1) {
    await move(i);
    await page.evaluate(
      () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))),
    );
    const now = await taskTime(session);
    costs.push(now.script - last.script);
    last = now;
  }
  return costs.sort((a, b) => a - b);
}

/** Drags on a ground of 200 things: the position, the time, a tree, a corner, the plan itself. */
async function benchDrawing(
  browser: Browser,
  base: string,
  name: string,
  viewport: { readonly width: number; readonly height: number },
): Promise<void> {
  const measured = async (
    page: Page,
    what: string,
    from: { x: number; y: number },
    move: (i: number) => { x: number; y: number },
  ) => {
    const idle = quantile(await dragCosts(page, () => Promise.resolve(), 40), 0.5);
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    const costs = await dragCosts(
      page,
      (i) => {
        const by = move(i);
        return page.mouse.move(from.x + by.x, from.y + by.y);
      },
      120,
    );
    await page.mouse.up();
    await page.waitForTimeout(600);
    const net = (share: number) => (quantile(costs, share) - idle).toFixed(1);
    console.log(
      `${name}, 200 things, ${what}: script per move ${net(0.5)} ms median, ${net(0.95)} ms at the 95th (${idle.toFixed(1)} ms of measuring taken off)`,
    );
  };
  const middle = async (page: Page, label: RegExp | string) => {
    const box = await page.getByRole('button', { name: label }).first().boundingBox();
    if (!box) throw new Error(`${String(label)} is not on the page`);
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  const wobble = (i: number) => ({ x: -i * 0.25, y: Math.sin(i / 8) * 8 });

  const page = await browser.newPage({ viewport });
  await openCrowded(page, base, 'ground');
  await measured(
    page,
    'dragging the position',
    await middle(page, /^Position .* to move it$/),
    wobble,
  );
  const ribbon = await page.getByRole('slider', { name: 'Time', exact: true }).boundingBox();
  if (!ribbon) throw new Error('no ribbon');
  await measured(
    page,
    'dragging time',
    { x: ribbon.x + 20, y: ribbon.y + ribbon.height / 2 },
    (i) => ({ x: (i * (ribbon.width - 40)) / 120, y: 0 }),
  );
  await page.close();

  const drawing = await browser.newPage({ viewport });
  await openCrowded(drawing, base, 'draw');
  const plan = await drawing.getByRole('group', { name: /^Plan\./ }).boundingBox();
  if (!plan) throw new Error('no plan');
  const corner = { x: plan.x + plan.width * 0.96, y: plan.y + plan.height * 0.6 };
  await measured(drawing, 'panning the plan', corner, wobble);
  await drawing.getByRole('button', { name: 'Show the whole ground' }).click();
  for (const [what, thing, handle] of [
    ['dragging a tree', 'Oak', /^Oak\. Drag/],
    ['dragging the stand that shades the mark', 'West stand', /^West stand\. Drag/],
    ['dragging a corner', 'West stand', /^West stand, corner 1 /],
  ] as const) {
    await drawing.getByRole('button', { name: `Select ${thing}`, exact: true }).click();
    await measured(drawing, what, await middle(drawing, handle), wobble);
    await drawing.getByRole('button', { name: 'Let go of it' }).click();
  }
  await drawing.close();
}

async function benchBrowser(): Promise<void> {
  const app = createApp(path.resolve(__dirname, '../dist'));
  const { server, port } = await listenOnFreePort(app, 0, console.log);
  const browser = await chromium.launch(CHROMIUM);
  for (const [name, viewport] of [
    ['phone', { width: 390, height: 844 }],
    ['wide', { width: 1280, height: 800 }],
  ] as const) {
    const page = await browser.newPage({ viewport });
    await page.goto(`http://127.0.0.1:${port}/shoot/demo-larkmoor/ground`);
    const ribbon = await page.getByRole('slider', { name: 'Time', exact: true }).boundingBox();
    const handle = await page
      .getByRole('button', { name: /^Position .* to move it$/ })
      .boundingBox();
    if (!ribbon || !handle) throw new Error('the page has no ribbon or no position');
    await page.waitForTimeout(1500);
    // What the measuring itself runs in the page, with nothing moved: taken off each move.
    const idle = quantile(await dragCosts(page, () => Promise.resolve(), 60), 0.5);
    const report = (what: string, costs: readonly number[]) => {
      const net = (share: number) => (quantile(costs, share) - idle).toFixed(1);
      console.log(
        `${name}, ${what}: script per move ${net(0.5)} ms median, ${net(0.95)} ms at the 95th (${idle.toFixed(1)} ms of measuring taken off)`,
      );
    };

    const y = ribbon.y + ribbon.height / 2;
    await page.mouse.move(ribbon.x + 20, y);
    await page.mouse.down();
    report(
      'dragging time',
      await dragCosts(
        page,
        (i) => page.mouse.move(ribbon.x + 20 + (i * (ribbon.width - 40)) / 120, y),
        120,
      ),
    );
    await page.mouse.up();

    const from = { x: handle.x + handle.width / 2, y: handle.y + handle.height / 2 };
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    report(
      'dragging the position',
      await dragCosts(
        page,
        (i) => page.mouse.move(from.x - i * 0.25, from.y + Math.sin(i / 8) * 8),
        120,
      ),
    );
    await page.mouse.up();
    await page.close();
    await benchDrawing(browser, `http://127.0.0.1:${port}`, name, viewport);
  }
  await browser.close();
  server.close();
}

async function main(): Promise<void> {
  console.log(`${cpus()[0]?.model}, ${cpus().length} cores, Node ${process.version}\n`);
  benchCore();
  benchSearchAndDay();
  console.log('');
  await benchBrowser();
}

void main();
