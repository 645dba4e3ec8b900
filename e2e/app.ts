import { readFile } from 'node:fs/promises';
import { test as base, expect, type Locator, type Page } from '@playwright/test';

/** Values that no one put into words. */
const UNSAID = /\[object |\bundefined\b|\bNaN\b/;

/** A page whose console must stay free of errors, and that says nothing but words where a test leaves it. */
export const test = base.extend<{ page: Page }>({
  page: async ({ page }, run) => {
    const errors: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error') errors.push(message.text());
    });
    page.on('pageerror', (error) => errors.push(String(error)));
    await run(page);
    // The browser is handed on to the next test: what was allowed here is not allowed there.
    await page.context().clearPermissions();
    expect(errors).toEqual([]);
    const said = page.isClosed() ? '' : await page.evaluate(() => document.body.innerText);
    expect(said).not.toMatch(UNSAID);
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

const whole = (page: Page) => page.getByRole('region', { name: 'The whole answer' });
const line = (page: Page) => page.getByRole('region', { name: 'Answer', exact: true });

/** Looks at the whole answer: beside the plan, or on a phone behind its line, which is closed again after. */
export async function inAnswer<T>(page: Page, look: (answer: Locator) => Promise<T>): Promise<T> {
  await expect(whole(page).or(line(page)).first()).toBeVisible();
  if (await whole(page).isVisible()) return look(whole(page));
  const opens = line(page).locator('[aria-haspopup=dialog]');
  // Where the answer is all the page is about, it stands there whole.
  if ((await opens.count()) === 0) return look(line(page));
  await opens.click();
  const found = await look(page.getByRole('dialog', { name: 'The answer' }));
  if (await whole(page).isVisible()) await page.keyboard.press('Escape');
  await expect(whole(page)).toBeHidden();
  return found;
}

/** Reads the headline and the facts under it. */
export async function readAnswer(page: Page): Promise<Reading> {
  await drawn(page);
  const label = (await headline(page).getAttribute('aria-label')) ?? '';
  const text = await inAnswer(page, (answer) => answer.innerText());
  return {
    shutterPerSecond: figure(label, /1\/(\d+)/),
    aperture: figure(label, /f\/([\d.]+)/),
    iso: figure(label, /ISO (\d+)/),
    ev: figure(text, /\nEV (-?[\d.]+)/),
    fillPct: figure(text, /Frame fill\s+(\d+) %/),
    distanceM: figure(text, /Distance\s+([\d.]+) m/),
  };
}

/** Shutter, aperture and ISO: in the answer beside the plan, or in its line on a phone. */
export const headline = (page: Page) =>
  line(page).or(whole(page)).first().locator('[role=img][aria-label*=", ISO "]');

/** What a press saves: the file's name and its text. */
export async function savedBy(page: Page, press: () => Promise<void>) {
  const [download] = await Promise.all([page.waitForEvent('download'), press()]);
  const text = await readFile(await download.path(), 'utf8');
  return { name: download.suggestedFilename(), text };
}

/** A step by its address. */
export const stepName = (id: string): string => id.charAt(0).toUpperCase() + id.slice(1);

/** Goes to a step as a thumb does: by its name beside the open one, or by the list of all. */
export async function goTo(page: Page, step: string): Promise<void> {
  const steps = page.getByRole('navigation', { name: 'Steps' });
  const beside = steps.getByRole('link', { name: step, exact: true });
  await expect(steps).toBeVisible();
  if (await beside.isVisible()) {
    await beside.click();
  } else {
    await steps.getByRole('button', { name: /: show all steps$/ }).click();
    await page
      .getByRole('dialog', { name: 'Steps' })
      .getByRole('link', { name: new RegExp(`^${step}\\b`) })
      .click();
  }
  // The step before stands until the next is put together.
  await expect(page).toHaveURL(new RegExp(`/shoot/[^/]+/${step.toLowerCase()}\\b`));
  await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
}

/** Whether the page is a phone's: what stands beside the plan on a wide screen lies a press deeper there. */
export const onPhone = (page: Page): boolean => (page.viewportSize()?.width ?? 0) < 1000;

/** Opens a tool of the ground; on a wide screen most stand open in its column. */
export async function groundTool(page: Page, name: string): Promise<void> {
  if (!onPhone(page)) return;
  await page
    .getByRole('toolbar', { name: 'Ground' })
    .getByRole('button', { name, exact: true })
    .click();
}

/** Opens a row of a list, which shows what lies a press deeper. */
export const openRow = (page: Page, name: string) =>
  page
    .getByRole('listitem')
    .getByRole('button', { name: new RegExp(`^${name}`) })
    .click();

/** A part of a step that has an address of its own. */
export const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: /^Parts of / }).getByRole('link', { name, exact: true });
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

/** Types where a new shoot is: the field has the focus once the ground is chosen. */
export async function typePlace(page: Page, text: string): Promise<void> {
  await expect(page.getByLabel('Place', { exact: true })).toBeFocused();
  await page.keyboard.type(text);
}

/** Waits until changes that were put off have been written. */
export const settle = (page: Page) => page.waitForTimeout(400);

/** What is said of a new shoot. */
export interface NewShoot {
  /** As its tile says. */
  readonly ground: string;
  /** Coordinates in any form. */
  readonly at: string;
  readonly date: string;
  readonly start?: string;
  readonly end?: string;
  readonly title?: string;
}

/** Fills in a new shoot, all but the last press. */
export async function sayNewShoot(
  page: Page,
  { ground, at, date, start = '14:00', end = '16:00', title }: NewShoot,
): Promise<void> {
  await page.getByRole('button', { name: ground, exact: true }).click();
  const field = (label: string) => page.getByLabel(label, { exact: true });
  await field('Place').fill(at);
  await page.getByRole('button', { name: /^Take \d/ }).click();
  await field('Date').fill(date);
  await field('Start').fill(start);
  await field('End').fill(end);
  if (title) await field('Title').fill(title);
}

/** Makes a new shoot from nothing. */
export async function makeShoot(page: Page, said: NewShoot): Promise<void> {
  await page.goto('/new');
  await sayNewShoot(page, said);
  await page.getByRole('button', { name: 'Make the shoot' }).click();
  await expect(page.getByRole('img', { name: /^Ground plan/ })).toBeVisible();
}

/** Holds back what a worker works out, as a slow phone does, until what this gives lets it go. */
export async function holdBack(page: Page, worker: string): Promise<() => void> {
  let letGo = () => undefined as void;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.context().route(new RegExp(`/${worker}-[0-9a-f]+\\.js`), async (route) => {
    await held;
    await route.continue();
  });
  return letGo;
}
