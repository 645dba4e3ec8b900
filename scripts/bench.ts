import { chromium, type CDPSession, type Page } from '@playwright/test';
import { cpus } from 'node:os';
import path from 'node:path';
import { lightSeries, sunPosition } from '@/core';
import { DEMO_SHOOTS } from '@/demo';
import { answerAt } from '@/features/plan/answer';
import { viewOf } from '@/features/plan/view';
import type { Shoot } from '@/records/shoot';
import { hoursOf } from '@/records/times';
import { createApp } from '../server/app';
import { listenOnFreePort } from '../server/listen';
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
    return seen.ok && answerAt(seen.view, larkmoor.choice, minute(i));
  });
  const seen = viewOf(larkmoor);
  if (!seen.ok) throw new Error(seen.problem);
  const { view } = seen;
  const scrub = perSecond((i) => answerAt(view, larkmoor.choice, minute(i)));
  const series = perSecond(() =>
    lightSeries({ scene: view.scene, fromMs: hours.fromMs, toMs: hours.toMs, stepS: 60 }),
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
