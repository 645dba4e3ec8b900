import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { setTimeout } from 'node:timers/promises';
import { settle } from './app';
import { keptText } from './kept';

/** Practice as it is played. */

export const KEY = 'bright-perch/practice';
export const pad = (page: Page, name: RegExp) => page.getByRole('button', { name });
export const panPad = (page: Page) => pad(page, /press to let it run/);
export const again = (page: Page) => page.getByRole('button', { name: 'Again', exact: true });
export const verdict = (page: Page) => page.locator('[aria-live=polite]').first();

interface KeptTry {
  readonly task?: string;
  readonly measuredDeg?: number;
  readonly kind: string;
  readonly by?: string;
  readonly rateError?: number;
  readonly lateS?: number;
  readonly shootId?: string;
}
const triesNow = async (page: Page): Promise<readonly KeptTry[]> => {
  const text = await keptText(page, KEY);
  return text === null ? [] : (JSON.parse(text) as { tries: readonly KeptTry[] }).tries;
};

/** What was kept, once there is so much of it: a busy page writes late. */
export async function triesOf(page: Page, count = 1): Promise<readonly KeptTry[]> {
  await expect.poll(async () => (await triesNow(page)).length).toBeGreaterThanOrEqual(count);
  await settle(page);
  return triesNow(page);
}

/** Long enough for a subject to pass, and the time at which it is in the middle, seconds. */
const LASTS_S = 2.5;
const MIDDLE_S = 1.7;
const EACH_MS = 20;

/** When a hand's event came about, as the browser counts it: a busy machine hands it over later. */
export const now = (): number => Date.now() / 1000;

/** A hand that goes evenly over the page whether the page keeps up or not, and presses on its way. */
export async function goEvenly(
  page: Page,
  { from, to }: { readonly from: number; readonly to: number },
  move: (x: number) => void,
  press: () => void,
): Promise<void> {
  const beganMs = performance.now();
  let pressed = false;
  for (;;) {
    const forS = (performance.now() - beganMs) / 1000;
    if (forS > LASTS_S) break;
    move(from + ((to - from) * forS) / LASTS_S);
    if (!pressed && forS > MIDDLE_S) {
      pressed = true;
      press();
    }
    await setTimeout(EACH_MS);
  }
}

/** A mouse that goes evenly over the page, and clicks. */
export async function swingByMouse(page: Page): Promise<void> {
  const box = await panPad(page).boundingBox();
  if (!box) throw new Error('no pad');
  const [x0, y] = [box.x + 40, box.y + box.height / 2];
  const client = await page.context().newCDPSession(page);
  const send = (type: 'mouseMoved' | 'mousePressed', x: number) =>
    void client.send('Input.dispatchMouseEvent', {
      ...{ type, x, y, button: 'left', buttons: 1, timestamp: now() },
      ...(type === 'mousePressed' && { clickCount: 1 }),
    });
  send('mouseMoved', x0);
  send('mousePressed', x0);
  let at = x0;
  await goEvenly(
    page,
    { from: x0, to: x0 + 0.8 * ((page.viewportSize()?.width ?? 0) - x0) },
    (x) => {
      at = x;
      send('mouseMoved', x);
    },
    () => send('mousePressed', at),
  );
  await page.mouse.up();
}

const MOST_SWINGS = 4;
/** Even over the page is a fifth too slow in the middle, where it turns fastest. */
const WELL = 0.7;

/** Swings until one was read as it was made: a busy machine hands a hand's readings over too late. What was kept. */
export async function swingWell(
  page: Page,
  swing: (page: Page) => Promise<void>,
  wellWithin = WELL,
): Promise<readonly KeptTry[]> {
  const unpressed = page.getByText('Not pressed: judged as it passed the middle.');
  for (let made = 1; ; made += 1) {
    await swing(page);
    await expect(again(page)).toBeVisible();
    const tries = await triesOf(page, made);
    expect(tries).toHaveLength(made);
    const well =
      Math.abs(tries.at(-1)?.rateError ?? 9) < wellWithin && !(await unpressed.isVisible());
    if (well) return tries;
    expect(made, 'swings missed').toBeLessThan(MOST_SWINGS);
    await again(page).click();
    await expect(panPad(page)).toBeVisible();
  }
}

/** Gives a picture to be read back, one of the demo's unless it says what is in it. */
export async function readFan(
  page: Page,
  name: string,
  buffer = readFileSync(`public/demo-pictures/${name}`),
) {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Read a picture back' }).click(),
  ]);
  await chooser.setFiles({ name, mimeType: 'image/jpeg', buffer });
}
