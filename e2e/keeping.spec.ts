import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { expect, giveFile, headline, readAnswer, settle, test } from './app';

const shoots = (page: Page) => page.getByRole('list', { name: 'Shoots' }).getByRole('listitem');
const more = async (page: Page, title: string, task: string) => {
  await page.getByRole('button', { name: `More for ${title}` }).click();
  await page.getByRole('button', { name: task, exact: true }).click();
};
const restore = (page: Page, text: string) =>
  giveFile(page, 'Restore a backup', { name: 'backup.json', mimeType: 'application/json', text });
const LARKMOOR = 'Larkmoor, evening hockey';
const ALDER = 'Alder Reach, kingfisher hide';

test(
  'everything goes out as one file and comes back: put together, in place, undone, refused',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/');
    await expect(shoots(page)).toHaveCount(3);
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Back everything up' }).click(),
    ]);
    expect(download.suggestedFilename()).toMatch(/^bright-perch-\d{4}-\d\d-\d\d\.backup\.json$/);
    const text = await readFile(await download.path(), 'utf8');
    await more(page, ALDER, 'Delete');
    await more(page, LARKMOOR, 'Duplicate');
    await expect(shoots(page)).toHaveCount(3);
    // A cut file changes nothing.
    await restore(page, text.slice(0, -200));
    await expect(
      page.getByText(/File refused: the file is not JSON, or it is cut off/),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Close this note' }).click();
    // Put together: what was deleted is back, what is new stays.
    await restore(page, text);
    const sheet = page.getByRole('dialog', { name: 'Restore a backup' });
    await expect(sheet).toContainText('with 3 shoots: 1 not here');
    await expect(sheet).toContainText('1 shoot here is not in it');
    await sheet.getByRole('button', { name: 'Merge' }).click();
    await expect(shoots(page)).toHaveCount(4);
    // In place: only what the backup has, after a reload too; and it can be undone.
    await restore(page, text);
    await sheet.getByRole('button', { name: 'Put it in place of all that is here' }).click();
    await expect(shoots(page)).toHaveCount(3);
    await expect(page.getByText(`${LARKMOOR} (copy)`)).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(shoots(page)).toHaveCount(4);
    await page.reload();
    await expect(shoots(page)).toHaveCount(4);
    await expect(page.getByText(`${LARKMOOR} (copy)`)).toHaveCount(1);
    await expect(page.getByText(/^\d+(\.\d)? [kM]B of \d+(\.\d)? [GT]B used\.$/)).toBeVisible();
  },
);

test('two tabs of one shoot overwrite nothing', { tag: '@once' }, async ({ page }) => {
  await page.goto('/shoot/demo-larkmoor/kit');
  await expect(headline(page)).toBeVisible();
  const other = await page.context().newPage();
  await other.goto('/shoot/demo-larkmoor/light');
  await expect(headline(other)).toBeVisible();
  const before = await readAnswer(other);
  // One tab takes another lens; the other sees it, and changes the sky. A tab behind another one sleeps.
  await page.bringToFront();
  await page
    .getByRole('radiogroup', { name: 'Converter', exact: true })
    .getByRole('radio', { name: '2x' })
    .click();
  await other.bringToFront();
  await expect
    .poll(async () => (await readAnswer(other)).fillPct)
    .toBeGreaterThan(before.fillPct * 1.8);
  await other.getByRole('button', { name: 'Change sky' }).click();
  await other.getByRole('radio', { name: 'Overcast' }).click();
  await other.keyboard.press('Escape');
  await page.bringToFront();
  await expect.poll(async () => (await readAnswer(page)).ev).toBeLessThan(before.ev - 1);
  // Undo here takes back what was done here, and leaves what the other tab did.
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect
    .poll(async () => (await readAnswer(page)).fillPct)
    .toBeLessThan(before.fillPct * 1.2);
  expect((await readAnswer(page)).ev).toBeLessThan(before.ev - 1);
  await page.getByRole('button', { name: 'Redo', exact: true }).click();
  await settle(page);
  await page.reload();
  await expect(headline(page)).toBeVisible();
  const after = await readAnswer(page);
  expect(after.fillPct).toBeGreaterThan(before.fillPct * 1.8);
  expect(after.ev).toBeLessThan(before.ev - 1);
  // A shoot deleted in one tab is gone in the other, and the page says so.
  await page.goto('/');
  await more(page, LARKMOOR, 'Delete');
  await other.bringToFront();
  await expect(other.getByText('No such shoot here')).toBeVisible();
});
