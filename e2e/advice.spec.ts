import { expect, groundTool, headline, inAnswer, readAnswer, settle, test } from './app';

test(
  'a floor of one’s own holds at once, after a reload and in every shoot, and is dropped again',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/settings/reasons');
    await expect(headline(page)).toBeVisible();
    const floor = page.getByRole('group', { name: 'Your own floor' });
    await floor.getByRole('button', { name: 'Set a floor of your own' }).click();
    const never = floor.getByRole('spinbutton', { name: 'Never slower than' });
    for (let i = 0; i < 4; i += 1) await never.press('ArrowUp');
    await expect(never).toHaveAttribute('aria-valuetext', '1/2500');
    await expect(headline(page)).toHaveAttribute('aria-label', /^1\/2500,/);
    await settle(page);
    await page.reload();
    await expect(headline(page)).toHaveAttribute('aria-label', /^1\/2500,/);
    // Only for a stick swing: a runner of the same kind goes by the kind's own time again.
    await floor.getByRole('radio', { name: 'Field player, stick swing' }).click();
    await expect(headline(page)).toHaveAttribute('aria-label', /^1\/2500,/);
    await floor.getByRole('button', { name: 'Drop your own floor' }).click();
    await expect(headline(page)).toHaveAttribute('aria-label', /^1\/2000,/);
  },
);

test(
  'a frame that overflows is said first, and the zoom that holds it is a press',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/kit');
    await expect(headline(page)).toBeVisible();
    await page
      .getByRole('radiogroup', { name: 'Converter', exact: true })
      .getByRole('radio', { name: '2x' })
      .click();
    await inAnswer(page, async (answer) => {
      await expect(answer.getByRole('alert').first()).toContainText(/overfills the frame, 1\d\d %/);
      await answer.getByRole('button', { name: /^Zoom to \d+ mm$/ }).click();
      await expect(answer.getByText(/overfills the frame/)).toBeHidden();
    });
    expect((await readAnswer(page)).fillPct).toBeLessThanOrEqual(100);
  },
);

test(
  'a face under a brim in a high sun: both schools are offered, and one is pressed',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-tern-water/ground');
    await expect(page.getByText(/High sun, eyes in shade/).first()).toBeVisible();
    const brim = page.getByRole('group', { name: 'Face under a brim' });
    await inAnswer(page, () => expect(brim).toBeHidden());
    await groundTool(page, 'Frame');
    await page.getByRole('radio', { name: 'Wears one' }).click();
    await page.keyboard.press('Escape');
    const before = await readAnswer(page);
    await inAnswer(page, async (answer) => {
      await expect(brim).toContainText('As set the whites hold');
      await brim.getByRole('button', { name: 'Open up ⅓ for the face' }).click();
      await expect(
        answer.getByText(/0\.\d stop brighter than metered, as you hold the dials/),
      ).toBeVisible();
    });
    const opened = await readAnswer(page);
    expect(opened.iso / before.iso).toBeCloseTo(2 ** (1 / 3), 1);
  },
);
