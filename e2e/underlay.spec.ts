import { Buffer } from 'node:buffer';
import { readFileSync, writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import piexif from 'piexifjs';
import { expect, settle, test } from './app';
import { drag, middleOf } from './drawing';
import { keptShoot } from './field';

/** A picture under the plan: chosen, laid, faded, turned north, kept; and what is no picture. */

interface Picture {
  readonly name: string;
  readonly mimeType: string;
  readonly buffer: Buffer;
}

/** An invented field from above, drawn by the browser itself. */
async function fieldFromAbove(page: Page, name: string, type: string): Promise<Picture> {
  const url = await page.evaluate((mime) => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [1200, 800];
    const context = canvas.getContext('2d') as CanvasRenderingContext2D;
    context.fillStyle = '#7d8f63';
    context.fillRect(0, 0, 1200, 800);
    context.strokeStyle = '#fff';
    context.lineWidth = 6;
    context.strokeRect(300, 250, 600, 300);
    return canvas.toDataURL(mime);
  }, type);
  return { name, mimeType: type, buffer: Buffer.from(url.split(',')[1] ?? '', 'base64') };
}

async function openPicture(page: Page): Promise<void> {
  await page.goto('/shoot/demo-larkmoor/draw');
  await page.getByRole('button', { name: 'Picture', exact: true }).click();
}

async function choose(
  page: Page,
  picture: Picture | string,
  button = 'Choose a picture',
): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: button }).click(),
  ]);
  await chooser.setFiles(picture);
}

/** The plan as a file, taken from the files of the ground. */
async function planSvg(page: Page): Promise<string> {
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page.getByRole('button', { name: 'Files' }).click();
  const [sheet] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Plan as SVG' }).click(),
  ]);
  return readFileSync(await sheet.path(), 'utf8');
}

const pin = (page: Page, letter: string) =>
  page.getByRole('button', { name: new RegExp(`^Pin ${letter} of the picture`) });
const apart = (page: Page) => page.getByLabel('From A to B, m');
const underlay = async (page: Page) => (await keptShoot(page, 'demo-larkmoor')).underlay;

test(
  'a picture is laid under the plan by two pins and a known length, and goes out with the shoot',
  { tag: '@once' },
  async ({ page }) => {
    await openPicture(page);
    await choose(page, await fieldFromAbove(page, 'club-map.png', 'image/png'));
    await expect(page.getByText('Laid club-map.png under the plan')).toBeVisible();
    await expect(page.locator('svg image')).toHaveCount(1);
    // The pins lie level across its middle, however it is turned: as it is drawn, too.
    await page.getByRole('radio', { name: 'The picture' }).click();
    await drag(page, await middleOf(page, /^Pin B of the picture/), { x: -10, y: 60 });
    await expect(page.getByLabel('Its top points to, °')).not.toHaveValue('0');
    await expect(async () => {
      const [a, b] = await Promise.all(
        ['A', 'B'].map((letter) => middleOf(page, new RegExp(`^Pin ${letter} of the picture`))),
      );
      const drawn = await page.locator('svg image').boundingBox();
      if (!a || !b || !drawn) throw new Error('must be there');
      expect(Math.abs((a.x + b.x) / 2 - (drawn.x + drawn.width / 2))).toBeLessThan(1.5);
      expect(Math.abs((a.y + b.y) / 2 - (drawn.y + drawn.height / 2))).toBeLessThan(1.5);
    }).toPass({ timeout: 5000 });
    await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
    await expect(page.getByLabel('Its top points to, °')).toHaveValue('0');
    await page.getByRole('radio', { name: 'Only the pin' }).click();
    // Over the picture: B one metre north of where it was, the picture where it lay.
    await settle(page);
    const first = await underlay(page);
    await pin(page, 'B').press('ArrowUp');
    await settle(page);
    const set = await underlay(page);
    expect(set?.pins[1].down).toBeLessThan(first?.pins[1].down ?? 0);
    expect({ ...set, pins: null }).toEqual({ ...first, pins: null });
    await apart(page).fill('91.4');
    await apart(page).press('Enter');
    // With the picture: B dragged turns it about A, at its size.
    await page.getByRole('radio', { name: 'The picture' }).click();
    await drag(page, await middleOf(page, /^Pin B of the picture/), { x: -34, y: 36 });
    await expect(apart(page)).toHaveValue('91.4');
    await expect(page.getByLabel('Its top points to, °')).not.toHaveValue('0');
    await settle(page);
    const before = await keptShoot(page, 'demo-larkmoor');
    const { topDeg = 0, widthM = 0 } = before.underlay ?? {};
    await page.getByRole('button', { name: 'Its top is north: turn the ground with it' }).click();
    await expect(page.getByLabel('Its top points to, °')).toHaveValue('0');
    await settle(page);
    const north = await keptShoot(page, 'demo-larkmoor');
    const turnedBy = (before.ground.bearingDeg - north.ground.bearingDeg + 360) % 360;
    expect(turnedBy).toBeCloseTo(topDeg, 6);
    expect(north.underlay?.widthM).toBeCloseTo(widthM, 6);
    await page.getByRole('slider', { name: 'How much of it is seen' }).press('Home');
    await page.reload();
    await page.getByRole('button', { name: 'Picture', exact: true }).click();
    await expect(page.getByText('10 %')).toBeVisible();
    await expect(page.locator('svg image')).toHaveCount(1);
    await page.getByRole('button', { name: 'Hide it' }).click();
    await expect(page.locator('svg image')).toHaveCount(0);
    await page.getByRole('button', { name: 'Show it' }).click();
    expect(await planSvg(page)).toContain('href="data:image/jpeg;base64,/9j/');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Picture', exact: true }).click();
    await page.getByRole('button', { name: 'Take it away' }).click();
    await expect(page.getByRole('button', { name: 'Choose a picture' })).toBeVisible();
    await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: 'Choose another picture' })).toBeVisible();
  },
);

test(
  'a phone’s photograph is laid upright, and nothing of where it was taken is kept',
  { tag: '@once' },
  async ({ page }) => {
    await openPicture(page);
    const plain = await fieldFromAbove(page, 'board.jpg', 'image/jpeg');
    const said = piexif.dump({
      '0th': { [piexif.ImageIFD.Orientation]: 6, [piexif.ImageIFD.Model]: 'A phone of someone' },
    });
    const held = piexif.insert(said, plain.buffer.toString('binary'));
    await choose(page, { ...plain, buffer: Buffer.from(held, 'binary') });
    await expect(page.getByText('Laid board.jpg under the plan')).toBeVisible();
    await settle(page);
    const kept = await underlay(page);
    expect([kept?.widthPx, kept?.heightPx]).toEqual([800, 1200]);
    const [, base64 = ''] = /base64,([^"]+)"/.exec(await planSvg(page)) ?? [];
    const bytes = Buffer.from(base64, 'base64');
    expect(bytes.length).toBeGreaterThan(1000);
    expect(held).toContain('A phone of someone');
    expect(bytes.includes('A phone of someone')).toBe(false);
  },
);

test(
  'what is no picture, damaged or too large is refused with a reason, and nothing changes',
  {
    tag: '@once',
  },
  async ({ page }) => {
    await openPicture(page);
    const png = await fieldFromAbove(page, 'map.png', 'image/png');
    const bomb = Buffer.from(png.buffer);
    bomb.writeUInt32BE(60_000, 16);
    bomb.writeUInt32BE(60_000, 20);
    const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" onload="alert(1)"/>');
    for (const [buffer, reason] of [
      [svg, 'map.png was refused: it is no picture that can be laid: choose a JPEG, PNG or WebP.'],
      [bomb, /60000 × 60000 pixels: save it smaller, up to 64 million pixels\.$/],
      [png.buffer.subarray(0, 400), /refused: it can’t be opened: it is damaged or cut off\.$/],
      [Buffer.alloc(0), /no picture that can be laid/],
    ] as const) {
      await choose(page, { ...png, buffer });
      await expect(page.getByRole('alert').getByText(reason)).toBeVisible();
      await expect(page.getByRole('alert')).toContainText('Nothing has changed.');
    }
    // From the disk: handing it over takes longer than all else.
    const large = test.info().outputPath('large.png');
    writeFileSync(large, Buffer.alloc(30_000_001));
    await choose(page, large);
    await expect(page.getByRole('alert').getByText(/the file is over 30 MB/)).toBeVisible();
    expect(await underlay(page)).toBeUndefined();
    await choose(page, png);
    await expect(page.getByText('Laid map.png under the plan')).toBeVisible();
    await expect(page.getByRole('alert')).toHaveCount(0);
  },
);
