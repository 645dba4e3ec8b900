import type { Page } from '@playwright/test';
import { expect, test } from './app';
import { keepText, keptText } from './kept';

const shoots = (page: Page) => page.getByRole('list', { name: 'Shoots' }).getByRole('listitem');
const keyOf = (kind: string, id: string) => `bright-perch/${kind}/${id}`;

/** Keeps a match more for each year from 2031, "Match 2031" and so on; `last` is what is kept of the last shoot. */
async function keepSeason(page: Page, matches: number, last = (text: string) => text) {
  await page.goto('/');
  await expect(shoots(page)).toHaveCount(3);
  await expect.poll(() => keptText(page, keyOf('shoot', 'demo-larkmoor'))).not.toBeNull();
  for (const kind of ['shoot', 'summary']) {
    const text = (await keptText(page, keyOf(kind, 'demo-larkmoor'))) ?? '';
    for (let i = 0; i < matches; i += 1) {
      const year = 2031 + i;
      const copy = text
        .replace('"demo-larkmoor"', `"copy-${year}"`)
        .replace('"Larkmoor, evening hockey"', `"Match ${year}"`)
        .replace(/"(start|end)Local":"\d{4}/g, `"$1Local":"${year}`);
      const isLast = kind === 'shoot' && i === matches - 1;
      await keepText(page, keyOf(kind, `copy-${year}`), isLast ? last(copy) : copy);
    }
  }
}

test(
  'the first shoots of a season tell how they stand before the rest is read',
  { tag: '@once' },
  async ({ page }) => {
    // The last one is damaged: that is known once it is read.
    await keepSeason(page, 9, (text) => text.slice(0, 300));
    await page.addInitScript(() => {
      const seen = new Set<string>();
      new MutationObserver(() => {
        const text = document.body?.textContent ?? '';
        if (/Shots, place, kit and day settled|Unsettled: /.test(text)) seen.add('state');
        if (text.includes('could not be read and was set aside')) seen.add('aside');
        document.documentElement.dataset['seen'] = [...seen].join();
      }).observe(document, { childList: true, subtree: true, characterData: true });
    });
    await page.reload();
    await expect(page.getByText(/could not be read and was set aside/)).toBeVisible();
    await expect(page.locator('html')).toHaveAttribute('data-seen', 'state,aside');
    await expect(shoots(page)).toHaveCount(11);
  },
);

test(
  'far down a season a shoot is a link in words; near, it has its sketch and its menu, and keeps the focus',
  { tag: '@once' },
  async ({ page }) => {
    await keepSeason(page, 40);
    await page.reload();
    await expect(shoots(page)).toHaveCount(43);
    const match = (year: number) => shoots(page).filter({ hasText: `Match ${year}` });
    const link = (year: number) => match(year).getByRole('link');
    const menu = (year: number) => page.getByRole('button', { name: `More for Match ${year}` });
    // What tells that the page is drawn to its end.
    await expect(page.getByRole('button', { name: 'Back everything up' })).toBeAttached();
    await expect(link(2060)).toHaveAccessibleName(/^Match 2060 .* 2060 \d\d:\d\d to \d\d:\d\d$/);
    await expect(match(2060).locator('svg')).toHaveCount(0);
    await expect(menu(2060)).toHaveCount(0);
    const farTopPx = (await match(2060).boundingBox())?.y ?? 0;

    // The focus goes there at a stroke, as a list of links does it.
    await link(2060).focus();
    await expect(menu(2060)).toBeVisible();
    await expect(match(2060).locator('svg')).toHaveCount(2);
    await expect(link(2060)).toBeFocused();
    await page.keyboard.press('Tab');
    await expect(menu(2060)).toBeFocused();
    // Between them nothing was near.
    await expect(match(2045).locator('svg')).toHaveCount(0);
    await expect(match(2070).locator('svg')).toHaveCount(0);
    expect(farTopPx).toBeGreaterThan(2000);

    // To the end of it: what is seen there is whole, and its menu works.
    await match(2070).scrollIntoViewIfNeeded();
    await menu(2070).click();
    await page.getByRole('button', { name: 'Delete', exact: true }).click();
    await expect(match(2070)).toHaveCount(0);
    await expect(shoots(page)).toHaveCount(42);
    // Back at the top all is as it was, and a far one opens by its words.
    await shoots(page).first().scrollIntoViewIfNeeded();
    await expect(menu(2031)).toBeVisible();
    await page.reload();
    await expect(shoots(page)).toHaveCount(42);
    await link(2050).click();
    await expect(page).toHaveURL(/\/shoot\/copy-2050/);
    await expect(page.getByRole('heading', { level: 1, name: 'Match 2050' })).toBeVisible();
  },
);

test(
  'a season’s list: the next shoot first, and the last one there can be pressed',
  { tag: '@once' },
  async ({ page }) => {
    await keepSeason(page, 20);
    await page.reload();
    const rows = page.getByRole('listitem');
    await expect(rows).toHaveCount(23);
    await expect(rows.first()).toContainText('Larkmoor');
    await expect(rows.last()).toContainText('Match 2050');
    await rows.last().scrollIntoViewIfNeeded();
    await rows.last().getByRole('button', { name: 'More for Match 2050' }).click();
    await expect(page.getByRole('dialog')).toContainText('Match 2050');
    await page.keyboard.press('Escape');
    await rows.last().getByRole('link').click();
    await expect(page.getByRole('heading', { level: 1, name: 'Match 2050' })).toBeVisible();
  },
);
