import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, giveFile, goTo, makeShoot, openRow, part, savedBy, settle, test } from './app';
import { keptShoot } from './field';

const picture = (file: string) => ({
  name: file,
  mimeType: 'image/jpeg',
  buffer: readFileSync(`public/demo-pictures/${file}`),
});

async function readPictures(
  page: Page,
  files: readonly { name: string; mimeType: string; buffer: Buffer }[],
): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Read pictures' }).click(),
  ]);
  await chooser.setFiles([...files]);
}

const sheet = (page: Page) => page.getByRole('list', { name: 'Contact sheet' });
const cells = (page: Page) => sheet(page).getByRole('checkbox');
const headingOf = (page: Page) =>
  page.getByRole('region', { name: 'What came of it' }).getByRole('heading');

test(
  'pictures of one’s own are read by their figures, picked, and stay so',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/log');
    await readPictures(page, [
      picture('LMR_0001.jpg'),
      picture('LMR_0003.jpg'),
      picture('LMR_0020.jpg'),
      { name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') },
      ...[4, 5, 6].map((i) => {
        const whole = picture(`LMR_000${i}.jpg`);
        return { ...whole, buffer: whole.buffer.subarray(0, 100) };
      }),
    ]);
    const cut = (i: number) => `LMR_000${i}.jpg (it does not say when it was taken)`;
    const first3 = `4 left out: notes.txt (no picture that can be read), ${cut(4)}, ${cut(5)}`;
    await expect(page.getByRole('alert')).toHaveText(`${first3} and others.`);
    await page.getByRole('button', { name: 'Name all 4 left out' }).click();
    await expect(page.getByRole('alert')).toHaveText(`${first3}, ${cut(6)}.`);
    await expect(cells(page)).toHaveCount(3);
    await expect(headingOf(page)).toHaveText('3 pictures, 1 kept (33 %)');
    const first = page.getByRole('checkbox', {
      name: /^LMR_0001\.jpg, 1\/2500 f\/2\.8 ISO 320, 184 mm/,
    });
    await expect(first).not.toBeChecked();
    // The camera's own small picture is shown, and has been drawn.
    await expect(first.locator('img').first()).toHaveJSProperty('complete', true);
    await first.click();
    await expect(headingOf(page)).toHaveText('3 pictures, 2 kept (67 %)');
    await settle(page);
    await page.reload();
    await expect(headingOf(page)).toHaveText('3 pictures, 2 kept (67 %)');
    await expect(first).toBeChecked();
    // The same files again are not there twice.
    await readPictures(page, [picture('LMR_0001.jpg'), picture('LMR_0003.jpg')]);
    await expect(page.getByRole('status')).toContainText('2 pictures read');
    await expect(cells(page)).toHaveCount(3);
    await page.getByRole('button', { name: 'Take the pictures out of the log' }).click();
    await expect(headingOf(page)).toHaveText('Nothing logged yet');
    await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
    await expect(cells(page)).toHaveCount(3);
  },
);

test(
  'three hundred files at once: progress is told, the page answers, nothing is sent',
  {
    tag: '@once',
  },
  async ({ page }) => {
    // Whatever would carry something out: to another host, or with a body.
    const sent: string[] = [];
    page.on('request', (request) => {
      const { protocol, hostname } = new URL(request.url());
      const own = protocol === 'blob:' || hostname === '127.0.0.1';
      if (!own || request.method() !== 'GET') sent.push(request.url());
    });
    await page.goto('/shoot/demo-larkmoor/log');
    const { buffer, mimeType } = picture('LMR_0003.jpg');
    await readPictures(
      page,
      Array.from({ length: 300 }, (_, i) => ({ name: `X_${1000 + i}.jpg`, mimeType, buffer })),
    );
    await part(page, 'Entries').click();
    await expect(page.getByText(/^Nothing logged yet\. In Field/)).toBeVisible();
    await part(page, 'Pictures').click();
    await expect(headingOf(page)).toContainText('300 pictures');
    const { log } = await keptShoot(page, 'demo-larkmoor');
    expect(log.frames).toHaveLength(1);
    expect(sent).toEqual([]);
  },
);

test(
  'a camera’s clock is found by the keepers tapped, or set by hand',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/log');
    await page.getByRole('button', { name: 'Read the demo’s pictures' }).click();
    const clock = page.getByRole('region', { name: 'Clocks' });
    await expect(clock.getByRole('heading')).toHaveText(/: not checked$/);
    await expect(clock).toContainText('8 of 8 keepers tapped in the field');
    // Two rows of ticks that fall in step.
    await expect(clock.getByRole('img', { name: /^Keepers tapped and pictures/ })).toBeVisible();
    // An hour early by the camera's clock, most are of no event.
    await expect(sheet(page)).not.toContainText('Third quarter');
    await clock.getByRole('button', { name: 'Set it right' }).click();
    await expect(clock.getByRole('heading')).toHaveText(/1 h 0 min 4[678] s slow, to within 3 s$/);
    await expect(sheet(page)).toContainText('Third quarter');
    await clock.getByRole('button', { name: 'Set the clock by hand' }).click();
    const dialog = page.getByRole('dialog', { name: 'Add to the camera’s time' });
    await dialog.getByRole('spinbutton', { name: 'Hours' }).press('ArrowDown');
    await expect(dialog).toContainText(/LMR_0001\.jpg is then of 2027-04-16, 18:04:1\d\./);
    // A picture of a clock says it to the second: which one, and what the clock in it says.
    await dialog.getByRole('spinbutton', { name: 'Picture', exact: true }).press('ArrowUp');
    const said = dialog.getByLabel('This picture was taken at');
    await said.fill('noon');
    await dialog.getByRole('button', { name: 'Set the clock by it' }).click();
    await expect(dialog).toContainText('write a time with seconds, such as 19:02:11');
    await said.fill('19:04:10');
    await dialog.getByRole('button', { name: 'Set the clock by it' }).click();
    await expect(dialog).toContainText('LMR_0002.jpg is then of 2027-04-16, 19:04:10.');
    await expect(clock.getByRole('heading')).toHaveText(/ slow, by a picture of a clock$/);
    // So is a camera whose date was never set.
    await said.fill('2031-01-02 03:04:05');
    await dialog.getByRole('button', { name: 'Set the clock by it' }).click();
    await expect(dialog).toContainText('LMR_0002.jpg is then of 2031-01-02, 03:04:05.');
    await expect(clock.getByRole('heading')).toHaveText(
      /\d{4} days \d+ h \d+ min \d+ s slow, by a picture of a clock$/,
    );
  },
);

test(
  'the log goes out as a table and as JSON, and teaches the next shoot',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-tern-water/log');
    await page.getByRole('button', { name: 'Read the demo’s pictures' }).click();
    await expect(headingOf(page)).toHaveText('31 pictures, 14 kept (45 %)');
    await page.getByRole('button', { name: 'Set it right' }).click();
    await part(page, 'Entries').click();
    const saved = (name: string) => savedBy(page, () => page.getByRole('button', { name }).click());
    const table = await saved('Save the log as a table');
    expect(table.name).toBe('tern-water-sprint-regatta-log.csv');
    expect(table.text.split('\r\n')[0]).toMatch(/^Time,Kind,What,Shot/);
    expect(table.text.match(/,Picture,/g)).toHaveLength(31);
    const json = JSON.parse((await saved('Save the log as JSON')).text);
    expect(json).toMatchObject({ format: 'bright-perch/log', version: 1 });
    expect(json.rows).toHaveLength(41);
    // What the demo teaches stays with the demo: one's own shoot that was logged teaches the next.
    await settle(page);
    await page.goto('/');
    await page.getByRole('button', { name: /^More for Tern Water/ }).click();
    const exported = await saved('Export as a file');
    await giveFile(page, 'Import', { ...exported, mimeType: 'application/json' });
    await page.getByRole('button', { name: 'Import beside it, as another shoot' }).click();
    await expect(page.getByRole('listitem')).toHaveCount(4);
    await settle(page);
    await makeShoot(page, {
      ground: 'Field hockey',
      at: '52.1, -1.2',
      date: '2027-09-18',
      title: 'Tern Water, autumn heats',
    });
    await goTo(page, 'Brief');
    await openRow(page, 'What shoots and practice taught');
    const lesson = page.getByRole('list', { name: 'Lessons' }).getByRole('listitem').first();
    await expect(lesson).toContainText(/^Plan pans for a speed that varies by \d+ %/);
    await expect(lesson).toContainText('In this plan');
  },
);
