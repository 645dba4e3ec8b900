import { expect, goTo, test } from './app';
import { keeperButton, keepersShown, openField, settingsNow, take } from './field';

test.use({ serviceWorkers: 'allow' });

test(
  'after the first visit all of it opens and keeps without a network',
  { tag: '@once' },
  async ({ page, context }) => {
    await page.goto('/');
    await expect(page.getByText('it opens without a network')).toBeVisible({ timeout: 30_000 });
    await expect
      .poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null))
      .toBe(true);
    await context.setOffline(true);
    await openField(page, 'demo-larkmoor');
    await keeperButton(page).click();
    await take(page, 'Slot', 'Pan');
    const pan = await settingsNow(page).getAttribute('aria-label');
    for (const step of ['Brief', 'Ground', 'Light', 'Settings', 'Kit', 'Day', 'Log']) {
      await goTo(page, step);
      await expect(page).toHaveURL(new RegExp(`/${step.toLowerCase()}$`));
      await expect(page.getByRole('main')).not.toBeEmpty();
    }
    await page.reload();
    await goTo(page, 'Field');
    await expect(settingsNow(page)).toHaveAttribute('aria-label', pan ?? '');
    expect(await keepersShown(page)).toBe(1);
    await page.goto('/shoot/demo-tern-water/day');
    await expect(page.getByRole('region', { name: 'Day' })).toContainText('Shoots', {
      timeout: 20_000,
    });
    // The browser itself writes an error for a question that reaches nobody: it gets no answer instead.
    await page.route('**/api/places*', (route) => route.fulfill({ json: {} }));
    await page.goto('/new');
    await page.getByRole('button', { name: 'Tennis', exact: true }).click();
    await page.getByLabel('Place', { exact: true }).fill('melborne');
    await expect(
      page.getByRole('list', { name: 'Places found' }).getByRole('button').first(),
    ).toHaveAccessibleName(/^Melbourne, Victoria, Australia/);
    await expect(page.getByText(/only the 5000 largest places are known/)).toBeVisible();
    await context.setOffline(false);
  },
);
