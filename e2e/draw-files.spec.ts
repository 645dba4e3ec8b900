import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, goTo, groundTool, headline, makeShoot, readAnswer, settle, test } from './app';
import { button, openDrawing, things } from './drawing';

async function download(page: Page, name: string) {
  await button(page, 'Files').click();
  const started = page.waitForEvent('download');
  await button(page, name).click();
  const file = await started;
  await button(page, 'Close').click();
  return { name: file.suggestedFilename(), bytes: readFileSync(await file.path()) };
}

async function offer(page: Page, name: string, mimeType: string, content: string | Buffer) {
  const choosing = page.waitForEvent('filechooser');
  await button(page, 'Choose a GeoJSON or GPX file').click();
  await (await choosing).setFiles({ name, mimeType, buffer: Buffer.from(content) });
}

test(
  'GeoJSON out and in again brings back what was taken away; GPX brings waypoints',
  { tag: '@once' },
  async ({ page }) => {
    await openDrawing(page);
    const geojson = await download(page, 'GeoJSON: everything');
    expect(geojson.name).toBe('larkmoor-evening-hockey.geojson');
    const before = await things(page).getByRole('listitem').count();
    await button(page, /^Select Clubhouse/).click();
    await button(page, 'Take it away').click();
    await expect(things(page).getByRole('listitem')).toHaveCount(before - 1);

    await button(page, 'Files').click();
    await offer(page, 'ground.json', 'text/plain', geojson.bytes);
    await expect(
      page.getByText(/4 marks, 6 positions and \d+ things on the ground; \d+ of them/),
    ).toBeVisible();
    await button(page, 'Take it in').click();
    await expect(things(page).getByRole('listitem')).toHaveCount(before);
    await button(page, 'Undo').first().click();
    await expect(things(page).getByRole('listitem')).toHaveCount(before - 1);

    const gpx = await download(page, 'GPX: marks and positions as waypoints');
    expect(gpx.name).toBe('larkmoor-evening-hockey.gpx');
    await button(page, 'Files').click();
    await offer(page, 'walk.gpx', 'application/gpx+xml', gpx.bytes);
    await expect(page.getByText('4 marks and 6 positions.')).toBeVisible();
    await button(page, 'Take it in').click();
    await expect(page.getByRole('list', { name: 'Marks' }).getByRole('listitem')).toHaveCount(8);
    await settle(page);
    await page.reload();
    await expect(page.getByRole('list', { name: 'Positions' }).getByRole('listitem')).toHaveCount(
      12,
    );
  },
);

test(
  'damaged, huge, lying and hostile files are refused whole, with a reason',
  { tag: '@once' },
  async ({ page }) => {
    await openDrawing(page);
    const before = await things(page).getByRole('listitem').count();
    await button(page, 'Files').click();
    const refused = page.getByRole('alert').filter({ hasText: 'was refused; nothing has changed' });
    for (const [name, content, reason] of [
      ['cut.geojson', '{"type": "FeatureColl', /cut off/],
      ['picture.gpx', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 1, 2]), /neither GeoJSON nor GPX/],
      ['huge.geojson', `{"a":"${'x'.repeat(4_100_000)}"}`, /over 4 MB/],
      ['bomb.gpx', '<!DOCTYPE x [<!ENTITY a "aaa">]><gpx>&a;</gpx>', /document type of its own/],
      [
        'far.geojson',
        '{"type":"Feature","properties":{},"geometry":{"type":"Point","coordinates":[10,10]}}',
        /lies \d+ km from/,
      ],
    ] as const) {
      await offer(page, name, 'application/octet-stream', content);
      await expect(refused).toContainText(name);
      await expect(refused).toContainText(reason);
      await expect(button(page, 'Take it in')).toBeHidden();
    }
    await button(page, 'Close').click();
    await expect(things(page).getByRole('listitem')).toHaveCount(before);
    await expect(button(page, 'Undo')).toBeDisabled();
  },
);

test('the plan goes out as SVG and as PNG', { tag: '@once' }, async ({ page }) => {
  await openDrawing(page);
  const svg = await download(page, 'Plan as SVG');
  const text = svg.bytes.toString('utf8');
  expect(text).toContain('<title>Larkmoor, evening hockey, Friday 16 April 2027, 18:50</title>');
  expect(text).toContain('Attack in the circle');
  const opened = await page.evaluate((source) => {
    const document = new DOMParser().parseFromString(source, 'image/svg+xml');
    return {
      root: document.documentElement.nodeName,
      wrong: document.querySelector('parsererror'),
    };
  }, text);
  expect(opened).toEqual({ root: 'svg', wrong: null });
  const png = await download(page, 'Plan as PNG');
  expect(png.bytes.subarray(1, 4).toString()).toBe('PNG');
  expect([png.bytes.readUInt32BE(16), png.bytes.readUInt32BE(20)]).toEqual([2800, 2000]);
  expect(png.bytes.length).toBeGreaterThan(50_000);
});

test(
  'undo and redo reach every step: kit, light and ground',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/kit');
    const first = await readAnswer(page);
    await page.getByRole('radio', { name: '2x' }).first().click();
    await goTo(page, 'Light');
    await page.getByRole('button', { name: 'Change sky' }).click();
    await page.getByRole('radio', { name: 'Overcast' }).click();
    await page.keyboard.press('Escape');
    const overcast = await readAnswer(page);
    expect(overcast.ev).toBeLessThan(first.ev - 1);
    await button(page, 'Undo').click();
    await expect.poll(async () => (await readAnswer(page)).ev).toBe(first.ev);
    await page.keyboard.press('Control+z');
    await expect.poll(async () => (await readAnswer(page)).aperture).toBe(first.aperture);
    await expect(button(page, 'Undo')).toBeDisabled();
    await page.keyboard.press('Control+y');
    await page.keyboard.press('Control+y');
    await expect.poll(async () => (await readAnswer(page)).ev).toBe(overcast.ev);
  },
);

test(
  'a left-handed batter is a switch, and another position suits',
  { tag: '@once' },
  async ({ page }) => {
    await makeShoot(page, {
      ground: 'Baseball, high school',
      at: '41.2, -88.1',
      date: '2027-05-12',
    });
    await expect(headline(page)).toBeVisible();
    const right = await readAnswer(page);
    await groundTool(page, 'Frame');
    await page.getByRole('radio', { name: 'Left-handed' }).click();
    await page.keyboard.press('Escape');
    await expect(button(page, /^Position Third-base side.* to move it$/)).toBeVisible();
    const left = await readAnswer(page);
    // The one is the mirror of the other: as far away, as large in the frame.
    expect(left.distanceM).toBeCloseTo(right.distanceM, 1);
    expect(left.fillPct).toBe(right.fillPct);
    await groundTool(page, 'Frame');
    await page.getByRole('radio', { name: 'Right-handed' }).click();
    await page.keyboard.press('Escape');
    await expect(button(page, /^Position First-base side.* to move it$/)).toBeVisible();
  },
);

test('the three demo grounds are whole sites', { tag: '@once' }, async ({ page }) => {
  for (const [shoot, count] of [
    ['demo-larkmoor', 17],
    ['demo-alder-reach', 16],
    ['demo-tern-water', 24],
  ] as const) {
    await openDrawing(page, shoot);
    expect(await things(page).getByRole('listitem').count()).toBeGreaterThanOrEqual(count);
    await page.goto(`/shoot/${shoot}/ground`);
    await expect(headline(page)).toBeVisible();
  }
});
