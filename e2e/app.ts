import { test as base, expect, type Page } from '@playwright/test';

/** A page whose console must stay free of errors. */
export const test = base.extend<{ page: Page }>({
  page: async ({ page }, run) => {
    const errors: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error') errors.push(message.text());
    });
    page.on('pageerror', (error) => errors.push(String(error)));
    await run(page);
    expect(errors).toEqual([]);
  },
});
export { expect };

/** What the page answers, as a user reads it. */
export interface Reading {
  readonly shutterPerSecond: number;
  readonly aperture: number;
  readonly iso: number;
  readonly ev: number;
  readonly fillPct: number;
  readonly distanceM: number;
}

const figure = (text: string, pattern: RegExp): number => Number(pattern.exec(text)?.[1]);

/** Waits until what was just changed is drawn: the store tells its readers a turn later. */
const drawn = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<void>((done) =>
        setTimeout(() => requestAnimationFrame(() => requestAnimationFrame(() => done())), 30),
      ),
  );

/** Reads the headline and the facts under it. */
export async function readAnswer(page: Page): Promise<Reading> {
  await drawn(page);
  const label = (await headline(page).getAttribute('aria-label')) ?? '';
  const text = await page.getByRole('region', { name: 'Answer' }).innerText();
  return {
    shutterPerSecond: figure(label, /1\/(\d+)/),
    aperture: figure(label, /f\/([\d.]+)/),
    iso: figure(label, /ISO (\d+)/),
    ev: figure(text, /\nEV (-?[\d.]+)/),
    fillPct: figure(text, /Frame fill\s+(\d+) %/),
    distanceM: figure(text, /Distance\s+([\d.]+) m/),
  };
}

export const headline = (page: Page) =>
  page.getByRole('region', { name: 'Answer' }).getByRole('img', { name: /^.+, f\/.+, ISO \d+$/ });
export const timeSlider = (page: Page) => page.getByRole('slider', { name: 'Time', exact: true });
export const positionHandle = (page: Page) =>
  page.getByRole('button', { name: /^Position .* to move it$/ });

export async function openLarkmoor(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('link', { name: /^Larkmoor, evening hockey/ }).click();
  await expect(headline(page)).toBeVisible();
}

/** Presses a button that asks for a file, and gives it one. */
export async function giveFile(
  page: Page,
  button: string,
  file: { readonly name: string; readonly mimeType: string; readonly text: string },
): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: button }).click(),
  ]);
  const { name, mimeType, text } = file;
  await chooser.setFiles({ name, mimeType, buffer: Buffer.from(text) });
}

/** Waits until changes that were put off have been written. */
export const settle = (page: Page) => page.waitForTimeout(400);
