import type { Page } from '@playwright/test';
import { expect } from './app';

/** The drawing page, as its users name what is on it. */

export const plan = (page: Page) => page.getByRole('group', { name: /^Plan\./ });
export const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' });
export const field = (page: Page, label: string) => page.getByLabel(label, { exact: true });
export const things = (page: Page) => page.getByRole('list', { name: 'On the ground' });

export async function openDrawing(page: Page, shoot = 'demo-larkmoor'): Promise<void> {
  await page.goto(`/shoot/${shoot}/draw`);
  await expect(button(page, 'Add to the ground')).toBeVisible();
}

export async function take(page: Page, kind: string): Promise<void> {
  await button(page, 'Add to the ground').click();
  await button(page, kind).click();
}

/** A place on the plan, as shares of its width and height. */
export async function spot(page: Page, across: number, down: number) {
  const box = await plan(page).boundingBox();
  if (!box) throw new Error('no plan');
  return { x: box.x + box.width * across, y: box.y + box.height * down };
}

export async function tapPlan(page: Page, across: number, down: number): Promise<void> {
  const { x, y } = await spot(page, across, down);
  await page.mouse.click(x, y);
}

export async function drag(
  page: Page,
  from: { x: number; y: number },
  by: { x: number; y: number },
) {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + by.x / 2, from.y + by.y / 2, { steps: 4 });
  await page.mouse.move(from.x + by.x, from.y + by.y, { steps: 4 });
  await page.mouse.up();
}

export const middleOf = async (page: Page, name: RegExp) => {
  const box = await button(page, name).boundingBox();
  if (!box) throw new Error('not on the page');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

export const fill = async (page: Page, label: string, value: string) => {
  await field(page, label).fill(value);
  await field(page, label).press('Enter');
};
