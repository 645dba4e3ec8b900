import { expect, goTo, openLarkmoor, test, timeSlider } from './app';

test(
  'the next step is ready before it is pressed, and stands there as the shoot is by then',
  { tag: '@once' },
  async ({ page }) => {
    await openLarkmoor(page);
    await goTo(page, 'Light');
    // What is made ready stands nowhere in the page.
    await page.waitForTimeout(4000);
    await expect(page.locator('[role=main]')).toHaveCount(1);
    const things = () => page.evaluate(() => document.body.children.length);
    const before = await things();
    const shown = await page.evaluate(() => {
      const title = () => document.querySelector('[role=main] h2')?.textContent;
      const links = [...document.querySelectorAll<HTMLElement>('[aria-label="Steps"] a')];
      const left = title();
      links.find(({ textContent }) => textContent === 'Settings')?.click();
      const hours = document.querySelector('[role=slider][aria-label=Time]');
      return [left, title(), Boolean(hours?.querySelector('svg')), location.pathname];
    });
    // By the press itself, and with its hours drawn: they are as wide as they were. The address follows.
    expect(shown).toEqual([
      ...['Light through the hours', 'Settings: the dials', true, '/shoot/demo-larkmoor/light'],
    ]);
    await expect(page).toHaveURL(/\/settings$/);
    await expect(page.getByRole('heading', { name: 'Settings: the dials' })).toBeFocused();
    await page.waitForTimeout(4000);
    expect(await things()).toBe(before);
    const slider = timeSlider(page);
    const early = await slider.getAttribute('aria-valuetext');
    await slider.press('End');
    await expect(slider).not.toHaveAttribute('aria-valuetext', early ?? '');
    const late = (await slider.getAttribute('aria-valuetext')) ?? '';
    await goTo(page, 'Light');
    await expect(timeSlider(page)).toHaveAttribute('aria-valuetext', late);
    const lit = page.getByText(/^EV -?[\d.]+ on the face/);
    const said = await lit.textContent();
    await page.reload();
    await expect(lit).toHaveText(said ?? '');
  },
);

test(
  'of two presses at once the last counts; a press for a tab of its own leaves the page where it is',
  { tag: '@once' },
  async ({ page, context }) => {
    await openLarkmoor(page);
    await page.waitForTimeout(3000);
    await page.evaluate(() => {
      for (const step of ['Light', 'Settings'])
        [...document.querySelectorAll<HTMLElement>('[aria-label="Steps"] a')]
          .find(({ textContent }) => textContent === step)
          ?.click();
    });
    await expect(page).toHaveURL(/\/settings$/);
    await expect(page.getByRole('heading', { name: 'Settings: the dials' })).toBeFocused();
    await page.goBack();
    await expect(page.getByRole('toolbar', { name: 'Ground' })).toBeVisible();
    await expect(page).toHaveURL(/\/ground$/);
    await page.getByRole('button', { name: /: show all steps$/ }).click();
    const list = page.getByRole('dialog', { name: 'Steps' });
    const opened = context.waitForEvent('page');
    await list.getByRole('link', { name: /^Kit/ }).click({ modifiers: ['Control'] });
    const tab = await opened;
    await expect(tab).toHaveURL(/\/kit$/);
    await tab.close();
    await expect(list).toBeVisible();
    await expect(page).toHaveURL(/\/ground$/);
  },
);
