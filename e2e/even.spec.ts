import { readFile } from 'node:fs/promises';
import Papa from 'papaparse';
import type { Page } from '@playwright/test';
import { madeUpJpeg } from '../scripts/made-up-pictures';
import { expect, part, test } from './app';

/** What pictures ask for in the evening, so that those of one run look alike. */

const button = (page: Page, name: string) => page.getByRole('button', { name, exact: true });
const head = (page: Page) => page.getByRole('region', { name: 'To even out' }).getByRole('heading');
const run = (page: Page, of: RegExp) =>
  page
    .getByRole('list', { name: 'Runs' })
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: of }) });

async function readDemo(page: Page): Promise<void> {
  await page.goto('/shoot/demo-larkmoor/log');
  await button(page, 'Read the demo’s pictures').click();
  await expect(page.getByText('41 pictures read')).toBeVisible();
}

async function savedList(page: Page) {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    button(page, 'Save the list (CSV)').click(),
  ]);
  expect(download.suggestedFilename()).toBe('even-out-2027-04-16.csv');
  const text = await readFile(await download.path(), 'utf8');
  return Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;
}

test('run by run: what to lift, what a crop leaves; a wrong clock is said and leads to its mending', async ({
  page,
}) => {
  await readDemo(page);
  await part(page, 'Even out').click();
  await expect(page.getByRole('note')).toContainText('the clock of Full-frame body, 24 MP');
  await page.getByRole('link', { name: 'Set the clock in Pictures' }).click();
  await button(page, 'Set it right').click();
  await part(page, 'Even out').click();
  await expect(head(page)).toHaveText('1 of 12 to lift or bring down');
  await expect(page.getByRole('note')).toHaveCount(0);
  const pans = run(page, /Third quarter, from Sideline/);
  await expect(pans).toContainText('Lift 0.7 stop on LMR_0032.');
  await expect(pans).toContainText(/\d+ MP left after the crop to 45 % fill\./);
  await page.getByRole('radio', { name: 'All' }).click();
  await expect(head(page)).toHaveText('4 of 41 to lift or bring down');
  await expect(pans).toContainText('Lift 0.7 stop on these 4: LMR_0031, LMR_0032, LMR_0033 and');
  const rows = await savedList(page);
  expect(rows).toHaveLength(41);
  expect(rows.filter((row) => row['Lift, stops'] === '0.7').map(({ File }) => File)).toEqual(
    [31, 32, 33, 34].map((i) => `LMR_00${i}.jpg`),
  );
  // Nobody's camera said how it was held.
  expect(rows.every((row) => row['Turn clockwise, degrees'] === '')).toBe(true);
});

/** A grey JPEG as bytes in a text, drawn by the browser. */
const greyJpeg = (page: Page, value: number): Promise<string> =>
  page.evaluate((grey) => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [120, 80];
    const context = canvas.getContext('2d') as CanvasRenderingContext2D;
    context.fillStyle = `rgb(${grey} ${grey} ${grey})`;
    context.fillRect(0, 0, 120, 80);
    return atob((canvas.toDataURL('image/jpeg', 0.9).split(',') as [string, string])[1]);
  }, value);

test(
  'lamps that flicker are found in the pictures themselves',
  { tag: '@once' },
  async ({ page }) => {
    await readDemo(page);
    await button(page, 'Set it right').click();
    // 0.1812 and 0.1040 of white by IEC 61966-2-1: 0.8 stop apart.
    const [bright, dark] = [await greyJpeg(page, 118), await greyJpeg(page, 91)];
    const cameraMs = Date.parse('2027-04-16T20:12:00Z');
    const files = [bright, bright, dark, bright].map((small, i) => {
      const frame = {
        ...{ name: `B_000${i + 1}.jpg`, camera: 'Second body', cameraMs: cameraMs + 100 * i },
        ...{ shutterS: 1 / 1600, aperture: 2.8, iso: 6400, focalMm: 135, rating: 4 },
      };
      const buffer = madeUpJpeg(bright, { frame }, small);
      return { name: frame.name, mimeType: 'image/jpeg', buffer };
    });
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      button(page, 'Read pictures').click(),
    ]);
    await chooser.setFiles(files);
    await expect(page.getByText('4 pictures read')).toBeVisible();
    await part(page, 'Even out').click();
    const flickered = run(page, /20:12 .*from Behind the back line/);
    await expect(flickered).toContainText(
      'Lamps flickered: B_0002 caught 0.8 stop more than B_0003. Match their colour too.',
    );
    await expect(flickered).toContainText('Lift 0.8 stop on B_0003.');
    await page.reload();
    // How bright they came out is kept with their figures.
    await expect(flickered).toContainText('Lift 0.8 stop on B_0003.');
    const row = (await savedList(page)).find(({ File }) => File === 'B_0003.jpg');
    expect(row).toMatchObject({ 'Lift, stops': '0.8', 'Lamps flickered beside': 'B_0002.jpg' });
  },
);

test('without pictures it says what to do first', { tag: '@once' }, async ({ page }) => {
  await page.goto('/shoot/demo-larkmoor/log/even');
  await expect(page.getByText(/^Read the pictures first/)).toBeVisible();
});
