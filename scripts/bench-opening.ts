import { chromium, type Browser, type BrowserContext, type Page } from '@playwright/test';
import path from 'node:path';
import { createApp } from '../server/app';
import { listenOnFreePort } from '../server/listen';
import { CHROMIUM } from './chromium';
import { heldRuns, speedNow, timesSlower } from './speed';

/** A phone on a slow line: 1.6 Mbps, 150 ms. */
const BYTES_A_SECOND = 1_600_000 / 8;
const LATENCY_MS = 150;
/** Each is opened this often while the machine is not shared, and the middle told. */
const RUNS = 5;

/** What is looked for in the page, and how many of it. */
interface Mark {
  readonly css: string;
  readonly count?: number;
}

const middle = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1] as number;

/** Opened before, as by anyone who comes back: the app is kept by the browser's service worker. */
async function openedBefore(context: BrowserContext, url: string, { css }: Mark): Promise<void> {
  const page = await context.newPage();
  await page.goto(url);
  await page.locator(css).first().waitFor();
  await page.evaluate(async () => {
    const { active } = await navigator.serviceWorker.ready;
    while (active?.state !== 'activated') await new Promise((done) => setTimeout(done, 100));
  });
  // What was last seen is kept, and the browser has put away what it compiled.
  await page.waitForTimeout(3000);
  await page.close();
}

async function throttled(page: Page, cold: boolean, slower: number): Promise<void> {
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Network.setCacheDisabled', { cacheDisabled: cold });
  await session.send('Network.emulateNetworkConditions', {
    ...{ offline: false, latency: LATENCY_MS },
    ...{ downloadThroughput: BYTES_A_SECOND, uploadThroughput: BYTES_A_SECOND },
  });
  await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
}

/**
 * Notes in the page when the frame ends that first shows each mark, and the longest task. To ask from outside takes up
 * the page: it is slowed like the rest of it.
 */
function watch(marks: Readonly<Record<string, Mark>>): void {
  const kept = window as unknown as { seenMs: Record<string, number>; longestMs: number };
  kept.seenMs = {};
  kept.longestMs = 0;
  const waiting = new Map(Object.entries(marks));
  const watching = new MutationObserver(() => {
    for (const [name, { css, count = 1 }] of waiting) {
      if (document.querySelectorAll(css).length < count) continue;
      waiting.delete(name);
      requestAnimationFrame(() => {
        // What has been asked for before the frame has its turn when the frame is drawn.
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => {
          kept.seenMs[name] = performance.timeOrigin + performance.now();
        };
        port2.postMessage(undefined);
      });
    }
    if (waiting.size === 0) watching.disconnect();
  });
  watching.observe(document, {
    ...{ childList: true, subtree: true, attributes: true, attributeFilter: ['aria-label'] },
  });
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries())
      kept.longestMs = Math.max(kept.longestMs, duration);
  }).observe({ type: 'longtask', buffered: true });
}

/**
 * Waits until all is seen. Asked in one short line: to wait in Playwright's way has the page compile a script of its
 * own first, 0.1 to 0.2 s of a slowed processor in the middle of what is timed.
 */
async function allSeen(page: Page, count: number): Promise<void> {
  const session = await page.context().newCDPSession(page);
  for (;;) {
    await new Promise((done) => setTimeout(done, 500));
    const asked = await session.send('Runtime.evaluate', {
      expression: 'Object.keys(window.seenMs ?? {}).length',
    });
    if (asked.result.value === count) return;
  }
}

/** Opens an address and times what is seen, from the moment it was asked for, with what comes behind it. */
async function opened<Name extends string>(
  page: Page,
  url: string,
  marks: Readonly<Record<Name, Mark>>,
): Promise<Record<Name | 'longest', number>> {
  await page.addInitScript(watch, marks as Readonly<Record<string, Mark>>);
  const start = Date.now();
  await page.goto(url, { waitUntil: 'commit' });
  await allSeen(page, Object.keys(marks).length);
  // What comes behind it, too, may hold up a thumb.
  await page.waitForTimeout(1000);
  const { seenMs, longestMs } = await page.evaluate(() => {
    const kept = window as unknown as { seenMs: Record<string, number>; longestMs: number };
    return { seenMs: kept.seenMs, longestMs: kept.longestMs };
  });
  const since = Object.entries(seenMs).map(([name, ms]) => [name, ms - start] as const);
  return { ...Object.fromEntries(since), longest: longestMs } as Record<Name | 'longest', number>;
}

const SEASON = 200;

const OUTLINE: Mark = { css: '#outline' };
const ROW: Mark = { css: '[role=listitem]' };
const ANSWER: Mark = { css: '[role=img][aria-label*=", f/"][aria-label*=", ISO "]' };
/** The shoot's own page stands, and can be pressed. */
const OPEN_SHOOT: Mark = { css: '[aria-label="Answer"]' };

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
  await openedBefore(context, base, ROW);
  const filling = await context.newPage();
  await filling.goto(base);
  await fillSeason(filling);
  await filling.close();
  const { runs, told } = await heldRuns('quiet', RUNS, async () => {
    const page = await context.newPage();
    const times = await opened(page, base, { first: ROW, all: { ...ROW, count: SEASON } });
    await page.close();
    return times;
  });
  await context.close();
  const [firstMs, allMs] = (['first', 'all'] as const).map((mark) =>
    Math.round(middle(runs.map((ms) => ms[mark]))),
  );
  console.log(
    `${`a list of ${SEASON} shoots, not slowed`.padEnd(44)} first rows ${firstMs} ms, all ${allMs} ms ${told}`,
  );
}

const STEPS = ['Light', 'Settings', 'Kit', 'Day', 'Field', 'Log'] as const;

const LOOKED_AT_MS = 4000;

/**
 * From a press on the next step to the end of the frame in which it stands, and to the end of that in which the focus
 * is on its heading: by then all that comes with another address is done. Both within the page.
 */
const stepTo = (page: Page, name: string): Promise<readonly [number, number]> =>
  page.evaluate(async (step) => {
    const links = [...document.querySelectorAll<HTMLElement>('[aria-label="Steps"] a')];
    const link = links.find(({ textContent }) => textContent === step);
    if (!link) throw new Error(`no way to ${step}`);
    const start = performance.now();
    // Asked for before the page's own, a frame begins here first: its end is told before what the page does then.
    const stands = (async () => {
      while (document.querySelector('[aria-label="Steps"] [aria-current]')?.textContent !== step)
        await new Promise(requestAnimationFrame);
    })();
    const focused = new Promise<void>((done, fail) => {
      setTimeout(() => fail(new Error(`${step} does not come`)), 10_000);
      // The focus lands on the heading of what has come; on that of what goes it may rest before.
      const leaving = document.querySelector('[role=main] :is(h2, [role=heading])');
      const watching = new AbortController();
      document.addEventListener(
        'focusin',
        ({ target }) => {
          if (target === leaving) return;
          watching.abort();
          done();
        },
        { signal: watching.signal },
      );
    });
    const drawn = [stands, focused].map(async (begins) => {
      await begins;
      // The frame that has begun ends before anything else has its turn.
      return new Promise<number>((done) => {
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => done(performance.now() - start);
        port2.postMessage(undefined);
      });
    });
    link.click();
    return Promise.all(drawn) as Promise<[number, number]>;
  }, name);

/** How long a step takes to follow a press, on a slow processor, once the app is there. */
export const benchSteps = (): Promise<void> => served(changeSteps);

async function changeSteps(browser: Browser, base: string): Promise<void> {
  const times = new Map(STEPS.map((step) => [step, [] as (readonly [number, number])[]]));
  for (let run = 0; run < RUNS; run++) {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      // What keeps the app for later is at work the first time, not the second.
      serviceWorkers: 'block',
    });
    const page = await context.newPage();
    await page.goto(`${base}/shoot/demo-larkmoor/ground`);
    await page.getByRole('navigation', { name: 'Steps' }).waitFor();
    // The other steps are fetched while one looks at the first.
    await page.waitForTimeout(6000);
    const session = await context.newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: timesSlower(speedNow()) });
    for (const step of STEPS) {
      times.get(step)?.push(await stepTo(page, step));
      // One looks at a step before one presses the next.
      await page.waitForTimeout(LOOKED_AT_MS);
    }
    await context.close();
  }
  const told = (which: 0 | 1) =>
    [...times].map(([step, ms]) => `${step} ${Math.round(middle(ms.map((m) => m[which])))}`);
  console.log(`${'from a press to the next step, drawn'.padEnd(44)} ${told(0).join(', ')} ms`);
  console.log(`${'until the focus is on its heading'.padEnd(44)} ${told(1).join(', ')} ms`);
}

/** Cold and warm opening on a slow phone: outline, list, first answer, longest task. */
export const benchOpening = (): Promise<void> => served(openings);

async function openings(browser: Browser, base: string): Promise<void> {
  const once = async (slower: number, at: string, seen: Mark, alive: Mark, warm: boolean) => {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      serviceWorkers: warm ? 'allow' : 'block',
    });
    if (warm) await openedBefore(context, base + at, alive);
    const opening = await context.newPage();
    await throttled(opening, !warm, slower);
    const times = await opened(opening, base + at, { outline: OUTLINE, seen, alive });
    await context.close();
    return times;
  };
  const row = async (what: string, at: string, seen: Mark, alive: Mark, warm: boolean) => {
    const { runs, told } = await heldRuns('steady', RUNS, (perSecond) =>
      once(timesSlower(perSecond), at, seen, alive, warm),
    );
    const [outline, shown, pressed, longest] = (
      ['outline', 'seen', 'alive', 'longest'] as const
    ).map((mark) => Math.round(middle(runs.map((run) => run[mark]))));
    console.log(
      `${what.padEnd(32)} outline ${outline} ms, seen ${shown} ms, alive ${pressed} ms, longest task ${longest} ms ${told}`,
    );
  };
  console.log(
    `opening, a processor four times slower than 93 000 suns a second, 1.6 Mbps, ${LATENCY_MS} ms:`,
  );
  const ground = '/shoot/demo-larkmoor/ground';
  for (const warm of [false, true]) {
    const how = warm ? 'warm' : 'cold';
    await row(`the list, ${how}`, '/', ROW, ROW, warm);
    await row(`a shoot’s first answer, ${how}`, ground, ANSWER, OPEN_SHOOT, warm);
  }
  await openSeason(browser, base);
}

/** Measures against the built app on a server of its own. */
async function served(measure: (browser: Browser, base: string) => Promise<void>): Promise<void> {
  const { server, port } = await listenOnFreePort(
    createApp(path.resolve(__dirname, '../dist'), () => []),
    0,
    console.log,
  );
  const browser = await chromium.launch(CHROMIUM);
  await measure(browser, `http://127.0.0.1:${port}`);
  await browser.close();
  server.closeAllConnections();
  await new Promise<void>((resolve) => server.close(() => resolve()));
}
