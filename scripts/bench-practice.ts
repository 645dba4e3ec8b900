import { chromium } from '@playwright/test';
import path from 'node:path';
import { createApp } from '../server/app';
import { listenOnFreePort } from '../server/listen';
import { CHROMIUM } from './chromium';
import { scriptWhile } from './script-time';

/** What a pan costs the page while it is followed: script for each frame drawn, at home and on the richest demo. */

const RUNS = 4;
/** From the start to the press and the follow-through. */
const LASTS_MS = 2100;

export async function benchPractice(): Promise<void> {
  const app = createApp(path.resolve(__dirname, '../dist'), () => []);
  const { server, port } = await listenOnFreePort(app, 0, console.log);
  const browser = await chromium.launch(CHROMIUM);
  console.log('script for each frame while a pan is followed (goal: 20 ms at the 95th)');
  for (const [name, at, viewport] of [
    ['phone, at home', '/practice/pan', { width: 390, height: 844 }],
    ['phone, Larkmoor', '/shoot/demo-larkmoor/practice/pan', { width: 390, height: 844 }],
    ['wide, Larkmoor', '/shoot/demo-larkmoor/practice/pan', { width: 1280, height: 800 }],
  ] as const) {
    const page = await browser.newPage({ viewport });
    await page.goto(`http://127.0.0.1:${port}${at}`);
    const pad = page.getByRole('button', { name: /press to let it run/ });
    const costs: number[] = [];
    for (let run = 0; run < RUNS; run += 1) {
      await pad.waitFor();
      await page.waitForTimeout(1500);
      await pad.focus();
      const found = await scriptWhile(page, async () => {
        await page.keyboard.press('Enter');
        await page.waitForTimeout(LASTS_MS);
      });
      // What comes after the frame that was made is not the pan's.
      costs.push(...found);
      await page.getByRole('button', { name: 'Again', exact: true }).click();
    }
    costs.sort((a, b) => a - b);
    const of = (share: number) =>
      (costs[Math.min(costs.length - 1, Math.floor(share * costs.length))] ?? NaN).toFixed(1);
    console.log(
      `${name.padEnd(20)} ${of(0.5)} ms median, ${of(0.95)} ms at the 95th, ${costs.length} frames in ${RUNS} pans of ${LASTS_MS / 1000} s`,
    );
    await page.close();
  }
  await browser.close();
  server.close();
}
