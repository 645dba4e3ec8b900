import { expect, headline, settle, test } from './app';

test(
  'a floor of one’s own holds at once, after a reload and in every shoot, and is dropped again',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/settings');
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
