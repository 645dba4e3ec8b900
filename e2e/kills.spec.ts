import { chromium } from '@playwright/test';
import { CHROMIUM } from '../scripts/chromium';
import { expect, test } from './app';
import { keptShoot, openField } from './field';

/** Kills of the page, over both tests. */
const KILLS = 26;

/** The same chance in every run (mulberry32). */
function chance(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

for (const seed of [7, 11]) {
  test(
    `the page is killed ${KILLS} times in the midst of work and loses nothing (${seed})`,
    {
      tag: '@once',
    },
    async ({ baseURL }, info) => {
      test.setTimeout(150_000);
      const random = chance(seed);
      // A browser with a profile on the disk, as people have.
      const context = await chromium.launchPersistentContext(info.outputPath('profile'), {
        ...CHROMIUM,
        viewport: { width: 390, height: 844 },
        serviceWorkers: 'block',
        ...(baseURL && { baseURL }),
      });
      const done = { keeper: 0, behaviour: 0, readings: 0, stand: 0 };
      let page = await context.newPage();
      const tap = (what: string | RegExp) => page.getByRole('button', { name: what }).click();
      await openField(page, 'demo-alder-reach');
      for (let kill = 0; kill < KILLS; kill += 1) {
        for (let taps = Math.floor(random() * 3); taps >= 0; taps -= 1) {
          const what = random();
          if (what < 0.5) {
            await tap(/^Keeper/);
            done.keeper += 1;
          } else if (what < 0.7) {
            await tap('dives');
            done.behaviour += 1;
          } else if (what < 0.85) {
            await tap('Looked right');
            done.readings += 1;
          } else {
            await page
              .getByRole('radio', { name: kill % 2 ? 'Hide window' : 'Hide, side slot' })
              .click();
            done.stand += 1;
          }
        }
        await page.waitForTimeout(random() * 60);
        const gone = page.waitForEvent('crash');
        const session = await context.newCDPSession(page);
        session.send('Page.crash').catch(() => undefined);
        await gone;
        await page.close();
        page = await context.newPage();
        await page.goto('/shoot/demo-alder-reach/field', { waitUntil: 'commit' });
        // As the page counts them, which it does only once it has read what was kept.
        const keeper = page.getByRole('button', { name: /^Keeper/ });
        await keeper.waitFor();
        await expect(keeper).toHaveText(`Keeper${done.keeper}`);
        const { log, readings } = await keptShoot(page, 'demo-alder-reach');
        const count = (kind: string) => log.entries.filter((entry) => entry.kind === kind).length;
        expect({
          keeper: count('keeper'),
          behaviour: count('behaviour'),
          readings: readings.length,
          stand: count('stand'),
        }).toEqual(done);
      }
      await context.close();
    },
  );
}
