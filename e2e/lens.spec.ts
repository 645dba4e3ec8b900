import type { Page } from '@playwright/test';
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
  await expect(picture(page)).toHaveAccessibleName(/Kingfisher on the perch, 48 % of the frame/);
  await page.getByRole('button', { name: 'Put the lens away' }).click();
  await expect(picture(page)).toBeHidden();
});

test(
  'where the browser can’t draw it that is said, and the line drawing stands there',
  { tag: '@once' },
  async ({ page }) => {
    await page.addInitScript(() => {
      const kept = HTMLCanvasElement.prototype.getContext;
      HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, kind: string) {
        return kind.startsWith('webgl') ? null : Reflect.apply(kept, this, [kind]);
      } as typeof kept;
    });
    await lookThrough(page);
    await expect(
      page.getByText(/^The frame can’t be drawn in this browser \(no WebGL 2\)/),
    ).toBeVisible();
    await expect(page.getByText('Heights are drawn larger than distances.')).toBeVisible();
  },
);
