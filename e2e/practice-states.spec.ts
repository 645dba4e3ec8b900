import type { Page } from '@playwright/test';
import { expect, part, test } from './app';
import { violationsOf } from './axe';
import { cutText, inside, overlapping, smallTargets } from './boxes';
import { pad, readFan } from './practice';

/** Practice in all its states: held either way, on small and wide screens, and for those who hear it. */

const SIZES = [
  [844, 390],
  [360, 740],
  [320, 640],
  [1280, 800],
  [390, 844],
] as const;

async function expectFits(
  page: Page,
  state: string,
  sizes: readonly (readonly [number, number])[] = SIZES,
): Promise<void> {
  const tabs = page.getByRole('navigation', { name: 'Parts of Practice' });
  await expect(tabs).toBeVisible();
  for (const [width, height] of sizes) {
    await page.setViewportSize({ width, height });
    await expect.poll(() => inside(page, tabs)).toBe(true);
    const at = `${state} on ${width}`;
    // A page that was just turned takes its time on a busy machine.
    const found = async () => ({
      over: await overlapping(page),
      small: await smallTargets(page, 44),
      cut: await cutText(page),
      at,
    });
    await expect.poll(found).toEqual({ over: [], small: [], cut: [], at });
  }
}

test(
  'every drill fits phones held either way, and a wide screen',
  { tag: '@once' },
  async ({ page }) => {
    test.slow();
    for (const base of ['/practice', '/shoot/demo-larkmoor/practice']) {
      await page.goto(base);
      for (const drill of ['Today', 'Pan', 'Moment', 'Blur', 'Stops', 'Eye', 'Stand']) {
        await part(page, drill).click();
        // At home they stand as in a shoot, without its steps: where there is least room.
        await expectFits(
          page,
          `${base} ${drill}`,
          base === '/practice' ? SIZES.slice(0, 3) : SIZES,
        );
      }
    }
  },
);

test(
  'signs, a fan and a question fit in each of their states, and are read out',
  { tag: '@once' },
  async ({ page }) => {
    test.slow();
    const look = async (state: string) => {
      await expectFits(page, state);
      expect(await violationsOf(page), state).toEqual([]);
    };
    await page.goto('/practice/moment');
    await page.getByRole('radio', { name: 'Know its signs' }).click();
    const signs = page.getByRole('list', { name: 'Signs' });
    await expect(signs).toBeVisible();
    await look('signs');
    while ((await signs.count()) > 0) await signs.getByRole('button').first().click();
    await look('placed');
    await page.getByRole('button', { name: 'Time them' }).click();
    const what = pad(page, /press to begin/);
    await expect(what).toBeVisible();
    await look('signs to be timed');
    await what.focus();
    await page.keyboard.press('Enter');
    await page.keyboard.press('Space');
    await expect(page.getByText(/ms (early|late)/).first()).toBeVisible();
    await look('timed');
    await page.goto('/shoot/demo-larkmoor/practice/moment');
    await page.getByRole('radio', { name: 'Know its signs' }).click();
    await expect(page.getByText(/^Penalty corner: press the signs/)).toBeVisible();
    await look('signs of a shoot');
    await page.goto('/practice/blur');
    await page.getByRole('radio', { name: 'Your own fan' }).click();
    await look('fan');
    const turns = page.getByLabel('Turns a second');
    await turns.fill('20');
    await turns.press('Enter');
    await expect(page.getByRole('list', { name: 'Foretold' })).toBeVisible();
    await look('foretold');
    await readFan(page, 'LMR_0001.jpg');
    await expect(page.getByText(/too little to be read/)).toBeVisible();
    await look('not to be read');
    await page.getByRole('button', { name: 'Another picture' }).click();
    await readFan(page, 'LMR_0023.jpg');
    await expect(page.getByRole('button', { name: 'Keep it' })).toBeVisible();
    await look('read back');
    await page.setViewportSize({ width: 844, height: 390 });
    await page.getByText(/^60°, foretold/).scrollIntoViewIfNeeded();
    expect(await inside(page, page.getByRole('button', { name: 'Keep it' }))).toBe(true);
    await page.setViewportSize({ width: 390, height: 844 });
    for (const shoot of ['', '/shoot/demo-larkmoor']) {
      await page.goto(`${shoot}/practice/eye`);
      const answers = page.getByRole('list', { name: 'Answers' });
      await expect(answers).toBeVisible();
      while (!(await page.getByText(/^It is .* From which side/).isVisible())) {
        await answers.getByRole('button').first().click();
        await page.getByRole('button', { name: 'Next' }).click();
        await expect(answers).toBeVisible();
      }
      await look(`sides of a ground${shoot}`);
      await answers.getByRole('button').first().click();
      await expect(part(page, 'Eye')).toBeVisible();
      await look(`seen from two sides${shoot}`);
    }
  },
);
