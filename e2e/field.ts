import { expect, type Page } from '@playwright/test';

/** What the field does, as a thumb does it. */

/** Sets the page's clock, once for all its pages, to run on from a moment. */
export const clockAt = (page: Page, moment: string) => page.clock.install({ time: moment });

export const settingsNow = (page: Page) =>
  page.getByRole('region', { name: 'Settings now' }).getByRole('img', { name: /^.+, f\/.+, ISO/ });

export async function openField(page: Page, shoot: string): Promise<void> {
  await page.goto(`/shoot/${shoot}/field`);
  await expect(settingsNow(page)).toBeVisible();
}

export const keeperButton = (page: Page) => page.getByRole('button', { name: /^Keeper/ });

/** Keepers of the shot in hand, as the button counts them. */
export const keepersShown = async (page: Page): Promise<number> =>
  Number(/Keeper\D*(\d+)/.exec(await keeperButton(page).innerText())?.[1]);
