import type { Locator, Page } from '@playwright/test';
import { expect, test } from './app';
import { again, pad, triesOf, verdict } from './practice';

/** Every drill but the pan, answered by keys alone, by touch alone and by mouse alone; the pan in practice-pan.spec.ts. */

type Hand = (what: Locator) => Promise<void>;
const HANDS: Readonly<Record<string, Hand>> = {
  keys: async (what) => {
    await what.focus();
    await what.press('Enter');
  },
  touch: (what) => what.tap(),
  mouse: (what) => what.click(),
};

const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' }).first();

/** Answers each drill once; what is looked at is that it was judged and kept. */
async function playAll(page: Page, press: Hand): Promise<void> {
  await page.goto('/shoot/demo-larkmoor/practice/moment');
  const moment = pad(page, /press when it happens/);
  await expect(async () => {
    // On a busy machine it may be over before the second press comes.
    if (await again(page).isVisible()) await press(again(page));
    await press(moment);
    await press(moment);
    await expect(verdict(page)).toHaveText(/(On it|late|early)/);
  }).toPass();

  await page.goto('/shoot/demo-larkmoor/practice/blur');
  await press(button(page, '1/250'));
  await expect(verdict(page)).toHaveText(/(Right|too (slow|fast))/);

  await page.goto('/shoot/demo-larkmoor/practice/stops');
  await press(button(page, 'ISO: more'));
  await press(button(page, 'Take it so'));
  await expect(verdict(page)).toHaveText(/(Right, within|too (dark|bright)\.)/);

  await page.goto('/shoot/demo-larkmoor/practice/eye');
  await press(page.getByRole('list', { name: 'Answers' }).getByRole('button').first());
  await expect(page.getByRole('img', { name: /^Ball lit/ })).toBeVisible();

  await page.goto('/shoot/demo-larkmoor/practice/stand');
  await press(button(page, /^Tap the plan, or take a position/));
  await press(page.getByRole('radio', { name: 'Sideline, level with the 23 m line' }));
  await press(button(page, 'Stand here'));
  await expect(verdict(page)).toHaveText(/^Yours \d+ of 100/);

  const kinds = async () => (await triesOf(page)).map(({ kind }) => kind);
  await expect.poll(kinds).toEqual(['moment', 'bench', 'stops', 'eye', 'stand']);
}

test('every drill is played by keys alone', { tag: '@once' }, async ({ page }) => {
  test.slow();
  await playAll(page, HANDS.keys as Hand);
});

test.describe('on a screen that is touched', () => {
  test.use({ hasTouch: true });
  test('every drill is played by touch alone', { tag: '@once' }, async ({ page }) => {
    test.slow();
    await playAll(page, HANDS.touch as Hand);
  });
});

// On a phone practice.spec.ts does.
test('every drill is played by mouse alone', { tag: '@wide' }, async ({ page }) => {
  test.slow();
  await playAll(page, HANDS.mouse as Hand);
});
