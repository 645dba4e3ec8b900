import { chromium, type Browser, type Page } from '@playwright/test';
import path from 'node:path';
import { createApp } from '../server/app';
import { listenOnFreePort } from '../server/listen';
import { CHROMIUM } from './chromium';

/** A phone on a slow line: a processor four times slower, 1.6 Mbps, 150 ms. */
const SLOWER = 4;
const BYTES_A_SECOND = 1_600_000 / 8;
const LATENCY_MS = 150;
/** Each is opened this often, and the middle told: the machine is shared. */
const RUNS = 5;

const middle = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1] as number;

async function throttled(page: Page, cold: boolean): Promise<void> {
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Network.setCacheDisabled', { cacheDisabled: cold });
  await session.send('Network.emulateNetworkConditions', {
    ...{ offline: false, latency: LATENCY_MS },
    ...{ downloadThroughput: BYTES_A_SECOND, uploadThroughput: BYTES_A_SECOND },
  });
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
}

/** Opens an address and times what is seen, from the moment it was asked for. */
async function opened(page: Page, url: string, seen: (page: Page) => Promise<unknown>) {
  await page.addInitScript(() => {
    const kept = window as unknown as { longest: number };
    kept.longest = 0;
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) kept.longest = Math.max(kept.longest, duration);
    }).observe({ type: 'longtask', buffered: true });
  });
  const start = Date.now();
  await page.goto(url, { waitUntil: 'commit' });
  await page.locator('#outline, [role=listitem], h1').first().waitFor();
  const outlineMs = Date.now() - start;
  await seen(page);
  const seenMs = Date.now() - start;
  const longestMs = await page.evaluate(() => (window as unknown as { longest: number }).longest);
  return { outlineMs, seenMs, longestMs };
}

const SEASON = 200;

/** Puts copies of a demo shoot beside it until there are a season's. */
const fillSeason = (page: Page): Promise<void> =>
  page.evaluate(
    (count) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('bright-perch');
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = () => {
          const transaction = opening.result.transaction('entries', 'readwrite');
          const store = transaction.objectStore('entries');
          transaction.oncomplete = () => resolve();
          for (const kind of ['shoot', 'summary']) {
            const reading = store.get(`bright-perch/${kind}/demo-larkmoor`);
            reading.onsuccess = () => {
              for (let i = 3; i < count; i++) {
                const text = String(reading.result).replace('"demo-larkmoor"', `"copy-${i}"`);
                store.put(text, `bright-perch/${kind}/copy-${i}`);
              }
            };
          }
        };
      }),
    SEASON,
  );

/** How long a list of a season's shoots takes, on a line and a processor as they are. */
async function openSeason(browser: Browser, base: string): Promise<void> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const first = await context.newPage();
  await first.goto(base);
  await first.getByRole('listitem').first().waitFor();
  await first.getByRole('region', { name: 'Safe keeping' }).waitFor();
  await fillSeason(first);
  await first.close();
  const times: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    const page = await context.newPage();
    const start = Date.now();
    await page.goto(base, { waitUntil: 'commit' });
    await page
      .getByRole('listitem')
      .nth(SEASON - 1)
      .waitFor();
    times.push(Date.now() - start);
    await page.close();
  }
  await context.close();
  console.log(`${`a list of ${SEASON} shoots, not slowed`.padEnd(44)} seen ${middle(times)} ms`);
}

/** Cold and warm opening on a slow phone: outline, list, first answer, longest task. */
export async function benchOpening(): Promise<void> {
  const { server, port } = await listenOnFreePort(
    createApp(path.resolve(__dirname, '../dist')),
    0,
    console.log,
  );
  const base = `http://127.0.0.1:${port}`;
  const browser = await chromium.launch(CHROMIUM);
  const list = (page: Page) => page.getByRole('listitem').first().waitFor();
  const answer = (page: Page) =>
    page
      .getByRole('img', { name: /^.+, f\/.+, ISO \d+$/ })
      .first()
      .waitFor();
  const once = async (at: string, seen: typeof list, warm: boolean) => {
    const context = await browser.newContext({
      ...{ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' },
    });
    if (warm) {
      const first = await context.newPage();
      await first.goto(base + at);
      await seen(first);
      await first.close();
    }
    const page = await context.newPage();
    await throttled(page, !warm);
    const times = await opened(page, base + at, seen);
    await context.close();
    return times;
  };
  const row = async (what: string, at: string, seen: typeof list, warm: boolean) => {
    const runs: Awaited<ReturnType<typeof once>>[] = [];
    for (let run = 0; run < RUNS; run++) runs.push(await once(at, seen, warm));
    const [outline, shown, longest] = (['outlineMs', 'seenMs', 'longestMs'] as const).map((what) =>
      Math.round(middle(runs.map((run) => run[what]))),
    );
    console.log(
      `${what.padEnd(44)} outline ${outline} ms, seen ${shown} ms, longest task ${longest} ms`,
    );
  };
  console.log(`opening, processor ${SLOWER}x slower, 1.6 Mbps, ${LATENCY_MS} ms:`);
  await row('the list, cold', '/', list, false);
  await row('a shoot’s first answer, cold', '/shoot/demo-larkmoor/ground', answer, false);
  await row('the list, warm', '/', list, true);
  await row('a shoot’s first answer, warm', '/shoot/demo-larkmoor/ground', answer, true);
  await openSeason(browser, base);
  await browser.close();
  server.closeAllConnections();
  await new Promise<void>((resolve) => server.close(() => resolve()));
}
