import { chromium, type Locator, type Page } from '@playwright/test';
import { imageSize } from 'image-size';
import { readFileSync } from 'node:fs';
import { CHROMIUM } from '../scripts/chromium';
import { expect, goTo, groundTool, headline, positionHandle, test } from './app';

const picture = (page: Page) => page.getByRole('img', { name: /^Through the lens/ });

async function lookThrough(page: Page): Promise<void> {
  await page.goto('/shoot/demo-larkmoor/ground');
  await expect(headline(page)).toBeVisible();
  await groundTool(page, 'Lens');
}

/** Mean brightness of what is drawn, 0 to 255, and how much it differs over the picture. */
const drawn = (page: Page): Promise<{ readonly mean: number; readonly spread: number }> =>
  picture(page)
    .locator('canvas')
    .evaluate((canvas: HTMLCanvasElement) => {
      const small = document.createElement('canvas');
      [small.width, small.height] = [30, 20];
      const pen = small.getContext('2d') as CanvasRenderingContext2D;
      pen.drawImage(canvas, 0, 0, 30, 20);
      const { data } = pen.getImageData(0, 0, 30, 20);
      const green = Array.from({ length: 600 }, (_, i) => data[4 * i + 1] as number);
      const mean = green.reduce((a, b) => a + b) / 600;
      return { mean, spread: Math.max(...green) - Math.min(...green) };
    });

test(
  'through the lens: what the camera takes, and it follows time and place',
  { tag: '@once' },
  async ({ page }) => {
    await lookThrough(page);
    await expect(picture(page)).toHaveAccessibleName(
      /Field player, stick swing, 62 % of the frame, front light from the right, 1\/2000/,
    );
    await expect.poll(async () => (await drawn(page)).spread).toBeGreaterThan(60);
    const before = await drawn(page);
    const time = page.getByRole('slider', { name: 'Time', exact: true });
    await time.focus();
    await page.keyboard.press('End');
    await expect(picture(page)).toHaveAccessibleName(/twilight|lamplight/i);
    await expect
      .poll(async () => Math.abs((await drawn(page)).mean - before.mean))
      .toBeGreaterThan(4);
    await positionHandle(page).focus();
    for (let i = 0; i < 2; i += 1) await page.keyboard.press('Shift+ArrowRight');
    await expect(picture(page)).not.toHaveAccessibleName(/, 62 % of the frame/);
    await groundTool(page, 'Lens');
    await expect(picture(page)).toBeHidden();
  },
);

test(
  'the lens stays up from step to step, and the picture follows the dials',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/settings');
    await expect(headline(page)).toBeVisible();
    await page.getByRole('button', { name: 'Look through the lens' }).click();
    await expect(picture(page)).toHaveAccessibleName(/f\/2\.8 · ISO 160$/);
    await page.getByRole('button', { name: 'Aperture: more' }).click();
    await expect(picture(page)).toHaveAccessibleName(/f\/3\.2 · /);
    await goTo(page, 'Ground');
    await expect(picture(page)).toBeVisible();
    await groundTool(page, 'Lens');
    await goTo(page, 'Settings');
    await expect(page.getByRole('button', { name: 'Look through the lens' })).toBeVisible();
  },
);

test('on a wide screen the frame stands over the answer', { tag: '@wide' }, async ({ page }) => {
  await page.goto('/shoot/demo-alder-reach/ground');
  await expect(headline(page)).toBeVisible();
  await page.getByRole('button', { name: 'Look through the lens' }).click();
  await expect(picture(page)).toHaveAccessibleName(/Kingfisher on the perch, 46 % of the frame/);
  await page.getByRole('button', { name: /^Crop to 60 %: 1\d MP left$/ }).click();
  await expect(picture(page)).toHaveAccessibleName(/, cropped to 60 %$/);
  await page.getByRole('button', { name: 'Whole frame: 46 %' }).click();
  await expect(picture(page)).not.toHaveAccessibleName(/cropped/);
  await page.getByRole('button', { name: 'Put the lens away' }).click();
  await expect(picture(page)).toBeHidden();
});

const NOT_DRAWN = /^The frame can’t be drawn in this browser \(/;

test(
  'where the browser can’t draw beside the page that is said, and the line drawing stands there',
  { tag: '@once' },
  async ({ page }) => {
    await page.addInitScript(() => Reflect.deleteProperty(window, 'OffscreenCanvas'));
    await lookThrough(page);
    await expect(page.getByText(NOT_DRAWN)).toContainText('it can’t draw beside the page');
    await expect(page.getByText('Heights are drawn larger than distances.')).toBeVisible();
  },
);

test(
  'in a browser without WebGL the same is said of that, on Ground and of small pictures',
  { tag: '@once' },
  async ({ baseURL, viewport }) => {
    const browser = await chromium.launch({
      ...CHROMIUM,
      // No graphics card, and nothing in its place.
      args: [...CHROMIUM.args, '--disable-software-rasterizer'],
    });
    const page = await browser.newPage({ ...(baseURL && { baseURL }), viewport });
    await lookThrough(page);
    await expect(page.getByText(NOT_DRAWN)).toContainText('no WebGL 2');
    await expect(page.getByText('Heights are drawn larger than distances.')).toBeVisible();
    await page.goto('/shoot/demo-larkmoor/settings/reasons');
    await expect(page.getByText('Not drawn: no WebGL 2').first()).toBeVisible();
    await browser.close();
  },
);

/** Pictures that are drawn to their end, and are no even tone. */
const drawnIn = (place: Locator): Promise<number> =>
  place.locator('canvas').evaluateAll(
    (all) =>
      all.filter((canvas) => {
        const { width, height } = canvas as HTMLCanvasElement;
        const pen = (canvas as HTMLCanvasElement).getContext('2d');
        if (!pen || canvas.parentElement?.getAttribute('aria-busy') !== 'false') return false;
        const { data } = pen.getImageData(0, 0, width, height);
        const green = Array.from({ length: width * height }, (_, i) => data[4 * i + 1] as number);
        return Math.max(...green) - Math.min(...green) > 30;
      }).length,
  );

test(
  'the picture at these dials: another beside it, taken by a press; the loupe',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/settings');
    await page.getByRole('button', { name: 'Look through the lens' }).click();
    await expect(picture(page)).toHaveAccessibleName(/1\/2000 · f\/2\.8 · ISO 160$/);
    const loupe = page.getByRole('region', { name: 'Loupe' });
    await expect(loupe).toContainText(
      /The stick tip moves \d\.\d px as delivered: slightly soft\./,
    );
    await page.getByRole('button', { name: 'Compare with' }).click();
    await page.getByRole('radio', { name: 'A stop faster, ISO doubled' }).click();
    const beside = page.getByRole('img', { name: /^Compared, A stop faster/ });
    await expect(beside).toHaveAccessibleName(/1\/4000 · f\/2\.8 · ISO 320$/);
    const line = page.getByRole('slider', { name: 'Where one frame ends and the other begins' });
    await expect(line).toHaveAttribute(
      'aria-valuetext',
      '50 % 1/2000 · ISO 160, 50 % 1/4000 · ISO 320',
    );
    await line.press('ArrowRight');
    await expect(line).toHaveAttribute('aria-valuenow', '52');
    const box = await line.boundingBox();
    if (!box) throw new Error('must be there');
    await page.mouse.move(box.x + box.width / 2, box.y + 40);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width * 0.2, box.y + 40, { steps: 5 });
    await page.mouse.up();
    await expect(line).toHaveAttribute('aria-valuenow', '20');
    await page.getByRole('button', { name: 'Use the picture on the right' }).click();
    await expect(headline(page)).toHaveAccessibleName('1/4000, f/2.8, ISO 320');
    await expect(line).toBeHidden();
    await expect(loupe).toContainText(/The stick tip moves \d\.\d px as delivered: crisp\./);
    await expect.poll(() => drawnIn(loupe)).toBe(2);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(picture(page)).toHaveAccessibleName(/1\/2000 · f\/2\.8 · ISO 160$/);
  },
);

test(
  'the ladder shows each time as it would be, and one is held by a press; panned, by its chance',
  { tag: '@once' },
  async ({ page }) => {
    // Seven frames are drawn without a graphics card, while other pages want the processor as well.
    test.slow();
    await page.goto('/shoot/demo-larkmoor/settings');
    await page.getByRole('button', { name: 'Look through the lens' }).click();
    const rungs = page.getByRole('list', { name: 'Ladder of times' }).getByRole('listitem');
    await expect(rungs).toHaveCount(7);
    await expect(rungs.first()).toContainText(/1\/4000\s*stick tip crisp/);
    await expect(rungs.last()).toContainText(/1\/60\s*stick tip plainly blurred/);
    await expect
      .poll(() => drawnIn(page.getByRole('region', { name: 'Ladder' })), {
        timeout: 60_000,
        // To look at every pixel takes time from what draws them.
        intervals: [3000],
      })
      .toBe(7);
    await rungs.nth(3).getByRole('button').click();
    await expect(headline(page)).toHaveAccessibleName(/^1\/500, /);
    await page.getByRole('radio', { name: 'Panned' }).click();
    await expect(rungs.first()).toContainText(/\d+ % sharp/);
    await expect(rungs.first().getByRole('button')).toHaveCount(0);
    await expect(
      page.getByText('To set the dials for a pan, take up a shot whose technique is Pan.'),
    ).toBeVisible();
    await goTo(page, 'Ground');
  },
);

test(
  'small pictures: the schools, the positions compared, places found, and the hours',
  { tag: '@once' },
  async ({ page }) => {
    test.slow();
    await page.goto('/shoot/demo-larkmoor/settings/reasons');
    const schools = page.getByRole('list', { name: 'The schools side by side' });
    await expect(schools.getByRole('img')).toHaveCount(3);
    await expect.poll(() => drawnIn(schools), { timeout: 40_000 }).toBe(3);

    await goTo(page, 'Ground');
    await groundTool(page, 'Compare');
    const compared = page.getByRole('list', { name: 'Positions compared' });
    await expect(compared.getByRole('img', { name: /Through the lens/ })).toHaveCount(6);
    await expect(compared.getByRole('listitem').first()).toContainText(/Weakest: \w/);
    await expect.poll(() => drawnIn(compared), { timeout: 60_000 }).toBe(6);
    await page.keyboard.press('Escape');
    await groundTool(page, 'Search');
    await page.getByRole('button', { name: 'Search the ground' }).click();
    const best = page.getByRole('list', { name: 'Best places' });
    await expect(best.getByRole('img', { name: /^1\. Through the lens/ })).toBeVisible();
    await expect(best.getByRole('listitem').first()).toContainText(/Weakest: \w/);
    await page.getByRole('button', { name: 'Take the search off the plan' }).click();

    await goTo(page, 'Light');
    await page.getByRole('button', { name: 'The picture through the hours' }).click();
    const hours = page.getByRole('list', { name: 'The picture through the hours' });
    await expect(hours.getByRole('listitem')).toHaveCount(9);
    await expect(hours.getByRole('listitem').last()).toContainText(/^20:45/);
    await hours.getByRole('button', { name: /^19:38/ }).click();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('slider', { name: 'Time', exact: true })).toHaveAttribute(
      'aria-valuetext',
      /^19:38/,
    );
  },
);

test(
  'what is wanted is saved as a picture, and a quick answer is looked at over a blank ground',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-alder-reach/brief');
    await page.getByRole('button', { name: 'The picture wanted' }).click();
    await expect(picture(page)).toHaveAccessibleName(/Kingfisher/);
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as a picture (PNG)' }).click();
    const file = await saving;
    expect(file.suggestedFilename()).toBe('alder-reach-kingfisher-hide-near-perch.png');
    const bytes = readFileSync(await file.path());
    expect(imageSize(bytes)).toMatchObject({ type: 'png', width: 960, height: 640 });
    expect(bytes.length).toBeGreaterThan(100_000);

    await page.goto('/quick');
    await page.getByRole('button', { name: 'Look through the lens' }).click();
    await expect(picture(page)).toHaveAccessibleName(
      /Field player, running, 49 % of the frame, 1\/1000/,
    );
    await expect.poll(async () => (await drawn(page)).spread).toBeGreaterThan(60);
    await page.getByRole('button', { name: 'Distance: more' }).click();
    await expect(picture(page)).not.toHaveAccessibleName(/, 49 % of the frame/);
  },
);
