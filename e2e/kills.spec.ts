import { chromium, type Browser, type Page } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { CHROMIUM } from '../scripts/chromium';
import { seeded } from '../scripts/seeded';
import { expect, test } from './app';
import { keptShoot } from './field';

/** Kills of the whole browser, and presses before each. Fifty by `npm run long`. */
const KILLS = Number(process.env.KILLS ?? 4);
const PRESSES = 10;
/** As long after the last press a kill may come, on a machine that is busy with other browsers, too. */
const WRITTEN_MS = 250;

interface Running {
  readonly page: Page;
  /** Kills it as the system does when memory is short: no word before, nothing tidied after. */
  readonly kill: () => Promise<void>;
}

/** A browser of our own, with a profile on the disk as people have. */
async function launch(profile: string): Promise<Running> {
  const portFile = path.join(profile, 'DevToolsActivePort');
  rmSync(portFile, { force: true });
  const process_: ChildProcess = spawn(
    CHROMIUM.executablePath,
    [
      ...CHROMIUM.args,
      '--headless',
      '--remote-debugging-port=0',
      `--user-data-dir=${profile}`,
      'about:blank',
    ],
    { detached: true, stdio: 'ignore' },
  );
  await expect.poll(() => existsSync(portFile), { timeout: 30_000 }).toBe(true);
  const [port] = readFileSync(portFile, 'utf8').split('\n');
  const browser: Browser = await chromium.connectOverCDP(`http://127.0.0.1:${port}`);
  const [context] = browser.contexts();
  const page = await context?.newPage();
  if (!page || process_.pid === undefined) throw new Error('the browser did not start');
  const { pid } = process_;
  await page.setViewportSize({ width: 390, height: 844 });
  return {
    page,
    kill: async () => {
      const gone = new Promise((resolve) => process_.once('exit', resolve));
      // The whole group: the browser, and every process it started.
      process.kill(-pid, 'SIGKILL');
      await gone;
      await browser.close().catch(() => undefined);
    },
  };
}

test(
  `the browser is killed ${KILLS} times in the midst of work and loses nothing`,
  { tag: '@once' },
  async ({ baseURL }, info) => {
    test.setTimeout(45_000 + KILLS * 20_000);
    const random = seeded(7);
    const profile = info.outputPath('profile');
    const done = { keeper: 0, behaviour: 0, readings: 0, stand: 0 };
    for (let kill = 0; kill <= KILLS; kill += 1) {
      const { page, kill: killNow } = await launch(profile);
      await page.goto(`${baseURL ?? ''}/shoot/demo-alder-reach/field`);
      const tap = (what: string | RegExp) => page.getByRole('button', { name: what }).click();
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
      for (let press = 0; kill < KILLS && press < PRESSES; press += 1) {
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
          await tap(/^From /);
          const places = page.getByRole('radio', { name: /^Hide(?:, side slot| window)$/ });
          await places.and(page.locator('[aria-checked="false"]')).click();
          done.stand += 1;
        }
      }
      // Three browsers share two cores here: the one that writes must have had its turn.
      await page.waitForTimeout(WRITTEN_MS);
      await killNow();
    }
  },
);
