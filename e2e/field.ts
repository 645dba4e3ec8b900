import { expect, type BrowserContext, type Page } from '@playwright/test';
import type { Shoot } from '../src/records/shoot';
import { settle } from './app';
import { keptText } from './kept';

/** What the field does, as a thumb does it. */

/** Has a page's clock stand at a moment when it opens, and run on from there. */
export const opensAt = (page: Page | BrowserContext, moment: string): Promise<unknown> =>
  page.addInitScript((at) => {
    const shift = Date.parse(at) - Date.now();
    const Real = Date;
    // As the page's own clock would be, were it that day.
    globalThis.Date = class extends Real {
      constructor(...args: [] | [number | string | Date]) {
        if (args.length === 0) super(Real.now() + shift);
        else super(...(args as [number]));
      }
      static override now = () => Real.now() + shift;
    } as DateConstructor;
  }, moment);

export const settingsNow = (page: Page) =>
  page.getByRole('region', { name: 'Settings now' }).getByRole('img', { name: /^.+, f\/.+, ISO/ });

export async function openField(page: Page, shoot: string): Promise<void> {
  await page.goto(`/shoot/${shoot}/field`);
  await expect(settingsNow(page)).toBeVisible();
}

/** Takes another shot, place or memory slot in hand. */
export async function take(
  page: Page,
  what: 'Shot' | 'From' | 'Slot',
  name: string,
): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${what} `) }).click();
  await page.getByRole('radio', { name, exact: true }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

/** On the day: waits until what the plan is at has come into the hand. */
export async function planInHand(page: Page): Promise<void> {
  await expect(page.getByRole('button', { name: 'I am elsewhere' })).toBeVisible({
    timeout: 30_000,
  });
  await settle(page);
}

/**
 * Watches a part of the page from now on.
 * @returns what tells whether it has said its words all the time
 */
export async function watched(page: Page, part: string, words: string) {
  await page.evaluate(
    ([label, said]) => {
      const whole = document.querySelector<HTMLElement>(`[aria-label="${label}"]`);
      if (!whole) throw new Error(`${label} must be there`);
      const look = () => {
        if (!whole.textContent.includes(said)) whole.dataset['gone'] = 'yes';
      };
      look();
      new MutationObserver(look).observe(whole, {
        ...{ childList: true, subtree: true, characterData: true },
      });
    },
    [part, words] as const,
  );
  const whole = page.locator(`[aria-label="${part}"]`);
  return async () => (await whole.getAttribute('data-gone')) === null;
}

export const keeperButton = (page: Page) => page.getByRole('button', { name: /^Keeper/ });

/** Keepers of the shot in hand, as the button counts them. */
export const keepersShown = async (page: Page): Promise<number> =>
  Number(/Keeper\D*(\d+)/.exec(await keeperButton(page).innerText())?.[1]);

/** A shoot as the browser keeps it: long series lie beside it. */
export const keptShoot = async (page: Page, id: string): Promise<Shoot> =>
  JSON.parse((await keptText(page, `bright-perch/shoot/${id}`)) ?? 'null') as Shoot;
