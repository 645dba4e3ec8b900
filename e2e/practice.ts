import type { Page } from '@playwright/test';
import { settle } from './app';
import { keptText } from './kept';

/** Practice as it is played. */

export const KEY = 'bright-perch/practice';
export const pad = (page: Page, name: RegExp) => page.getByRole('button', { name });
export const panPad = (page: Page) => pad(page, /press to let it run/);
export const again = (page: Page) => page.getByRole('button', { name: 'Again', exact: true });
export const verdict = (page: Page) => page.locator('[aria-live=polite]').first();

interface KeptTry {
  readonly kind: string;
  readonly by?: string;
  readonly rateError?: number;
  readonly lateS?: number;
  readonly shootId?: string;
}
export const triesOf = async (page: Page): Promise<readonly KeptTry[]> => {
  await settle(page);
  const text = await keptText(page, KEY);
  return text === null ? [] : (JSON.parse(text) as { tries: readonly KeptTry[] }).tries;
};

/** A mouse that goes evenly over the page, and presses by Space after a while. */
export async function swingByMouse(page: Page): Promise<void> {
  const box = await panPad(page).boundingBox();
  if (!box) throw new Error('no pad');
  const width = page.viewportSize()?.width ?? 0;
  const [x0, y] = [box.x + 40, box.y + box.height / 2];
  const roomPx = 0.85 * (width - x0);
  await page.mouse.move(x0, y);
  await page.mouse.down();
  const beganMs = Date.now();
  let pressed = false;
  for (;;) {
    const forS = (Date.now() - beganMs) / 1000;
    if (forS > 2.5) break;
    await page.mouse.move(x0 + (roomPx * forS) / 2.7, y);
    if (!pressed && forS > 1.7) {
      pressed = true;
      await page.keyboard.press('Space');
    }
  }
  await page.mouse.up();
}
