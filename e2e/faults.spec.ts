import { test as loud, type Page } from '@playwright/test';
import { expect, giveFile, goTo, headline, openRow, part, settle, test } from './app';
import { keepersShown, keeperButton, openField, keptShoot } from './field';
import { keepText, keptText } from './kept';

const LARKMOOR = 'bright-perch/shoot/demo-larkmoor';

/** Changes a shoot as it lies in the browser, and opens it anew. */
async function withKept(page: Page, change: (shoot: Record<string, never>) => void, at: string) {
  await page.goto('/');
  await expect(page.getByRole('listitem')).toHaveCount(3);
  // The list is there before what it lists is put in.
  await expect.poll(() => keptText(page, LARKMOOR)).not.toBeNull();
  const shoot = JSON.parse((await keptText(page, LARKMOOR)) ?? '') as Record<string, never>;
  change(shoot);
  await keepText(page, LARKMOOR, JSON.stringify(shoot));
  await page.goto(at);
}

test(
  'a mark inside a stand answers, and can be moved out again',
  { tag: '@once' },
  async ({ page }) => {
    interface Points {
      readonly kind: string;
      readonly points: readonly { readonly x: number; readonly y: number }[];
    }
    await withKept(
      page,
      (shoot) => {
        const { features, marks, choice } = shoot as unknown as {
          features: readonly Points[];
          marks: { id: string; x: number; y: number }[];
          choice: { markId: string };
        };
        const { points } = features.find(({ kind }) => kind === 'stand') as Points;
        const mark = marks.find(({ id }) => id === choice.markId);
        const middle = (of: 'x' | 'y') =>
          points.reduce((sum, point) => sum + point[of], 0) / points.length;
        Object.assign(mark ?? {}, { x: middle('x'), y: middle('y') });
      },
      '/shoot/demo-larkmoor/ground',
    );
    await expect(headline(page)).toBeVisible();
    await page.goto('/shoot/demo-larkmoor/light');
    await expect(headline(page)).toBeVisible();
  },
);

test(
  'a lens of f/28 is refused when saved, with what to change',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/kit');
    await part(page, 'Bag').click();
    await page.getByRole('button', { name: 'Add to bag' }).click();
    await page.getByRole('button', { name: /^A lens/ }).click();
    await page.getByLabel('Widest there, f/').first().fill('28');
    await page.getByRole('button', { name: 'Put it in' }).click();
    await expect(
      page.getByText(
        /widestAperture 28: must be at most 22; a lens can’t open wider than it closes/,
      ),
    ).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(headline(page)).toBeVisible();
  },
);

test(
  'a duplicate is another shoot: its own title, and what is changed is the copy',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/brief');
    await openRow(page, 'This shoot as a whole');
    await page.getByRole('button', { name: 'Duplicate', exact: true }).click();
    await expect(page).not.toHaveURL(/demo-larkmoor/);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/\(copy\)$/);
    await openRow(page, 'What, where and when');
    await page.getByLabel('Title', { exact: true }).fill('Only the copy');
    await page.getByRole('button', { name: 'Save the brief' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Only the copy');
    await settle(page);
    await page.goto('/');
    const shoots = page.getByRole('list', { name: 'Shoots' });
    await expect(shoots.getByText('Larkmoor, evening hockey', { exact: true })).toBeVisible();
    await expect(shoots.getByText('Only the copy')).toBeVisible();
  },
);

test(
  'two tabs that press at once lose nothing, and one that only looks writes nothing',
  { tag: '@once' },
  async ({ page }) => {
    await openField(page, 'demo-larkmoor');
    const other = await page.context().newPage();
    await openField(other, 'demo-larkmoor');
    const PRESSES = 25;
    // Neither waits for the other: every press of both is under way at once.
    const press = (tab: Page, name: RegExp | string) =>
      tab.evaluate(
        ([times, label]) => {
          const pattern = new RegExp(label as string);
          const button = [...document.querySelectorAll<HTMLElement>('[role=button]')].find((each) =>
            pattern.test(each.getAttribute('aria-label') ?? each.innerText),
          );
          for (let i = 0; i < (times as number); i += 1) button?.click();
        },
        [PRESSES, String(name)] as const,
      );
    await Promise.all([press(page, '^Keeper'), press(other, '^Keeper')]);
    await expect
      .poll(async () => (await keptShoot(page, 'demo-larkmoor')).log.entries.length)
      .toBe(2 * PRESSES);
    for (const tab of [page, other]) {
      await tab.bringToFront();
      await expect.poll(() => keepersShown(tab)).toBe(2 * PRESSES);
    }
    await other.close();
    // Nothing pressed, nothing written, though the clock goes on.
    await settle(page);
    const before = await keptText(page, LARKMOOR);
    await page.waitForTimeout(2500);
    expect(await keptText(page, LARKMOOR)).toBe(before);
    await keeperButton(page).click();
    await settle(page);
    expect(await keptText(page, LARKMOOR)).not.toBe(before);
  },
);

test(
  'where the browser keeps nothing all works, and it is said',
  { tag: '@once' },
  async ({ page }) => {
    await page.addInitScript(() => {
      const refuse = () => {
        throw new DOMException('The operation is insecure.', 'SecurityError');
      };
      Object.defineProperty(window, 'localStorage', { get: refuse });
      Object.defineProperty(window, 'indexedDB', { get: refuse });
    });
    await page.goto('/');
    await expect(page.getByText('This browser keeps nothing for this page.')).toBeVisible();
    await expect(page.getByRole('link', { name: /^Larkmoor/ })).toBeVisible();
    await page.getByRole('link', { name: /^Larkmoor/ }).click();
    await expect(headline(page)).toBeVisible();
    await page.getByRole('button', { name: 'All shoots' }).click();
    await page.getByRole('button', { name: 'Quick answer' }).click();
    await expect(page.getByRole('img', { name: /^.+, f\/.+, ISO \d+$/ }).first()).toBeVisible();
  },
);

test(
  'a calendar that goes on without end can be stopped, and the page goes on',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/day');
    const text = [
      ...['BEGIN:VCALENDAR', 'VERSION:2.0', 'BEGIN:VEVENT', 'UID:a', 'SUMMARY:Never'],
      ...['DTSTART:20270101T100000', 'RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30'],
      ...['END:VEVENT', 'END:VCALENDAR'],
    ].join('\r\n');
    const file = { name: 'never.ics', mimeType: 'text/calendar', text };
    await giveFile(page, 'Bring in a running order', file);
    await expect(page.getByText('Reading never.ics')).toBeVisible();
    // The page is not held up meanwhile.
    await goTo(page, 'Light');
    await expect(headline(page)).toBeVisible();
    await goTo(page, 'Day');
    await giveFile(page, 'Bring in a running order', file);
    await page.getByRole('button', { name: 'Cancel' }).click();
    await expect(page.getByText('Reading never.ics')).toBeHidden();
  },
);

// React tells the console of every fault that a boundary catches.
loud(
  'a step that can’t be fetched says so in its place, and all else goes on',
  { tag: '@once' },
  async ({ page, context }) => {
    await page.goto('/shoot/demo-larkmoor/ground');
    await expect(headline(page)).toBeVisible();
    const script = /\/_expo\/.*\.js$/;
    await context.route(script, (route) => route.abort());
    await goTo(page, 'Light');
    await expect(page.getByText('This step could not be fetched.')).toBeVisible();
    await expect(headline(page)).toBeVisible();
    await goTo(page, 'Ground');
    await expect(page.getByRole('toolbar', { name: 'Ground' })).toBeVisible();
    await goTo(page, 'Light');
    await context.unroute(script);
    await page.getByRole('button', { name: 'Try again' }).click();
    await expect(page.getByRole('button', { name: 'Take a reading' })).toBeVisible();
  },
);

loud(
  'a fault of the whole page keeps title, undo, export and the way on',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/ground');
    await expect(headline(page)).toBeVisible();
    await page.getByRole('button', { name: /^Position .* to move it$/ }).focus();
    await page.keyboard.press('ArrowLeft');
    const undo = page.getByRole('button', { name: 'Undo', exact: true });
    await expect(undo).toBeVisible();
    // What the key changed is drawn whole: it must be the press on Undo that meets the fault.
    await settle(page);
    await page.evaluate(() => {
      const real = Math.hypot;
      Object.assign(window, { mend: () => (Math.hypot = real) });
      Math.hypot = () => {
        throw new TypeError('broken on purpose');
      };
    });
    await undo.click();
    await expect(page.getByText('This shoot can’t be shown as it is now.')).toBeVisible();
    await expect(page.getByText(/try again\. Why: broken on purpose\./)).toBeVisible();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Larkmoor, evening hockey');
    await expect(page.getByRole('button', { name: 'All shoots' })).toBeVisible();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export as a file' }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('larkmoor-evening-hockey.shoot.json');
    await page.evaluate(() => (window as unknown as { mend: () => void }).mend());
    // What was undone can be done again from here, and the page with it.
    await page.getByRole('button', { name: 'Redo', exact: true }).click();
    await expect(headline(page)).toBeVisible();
  },
);
