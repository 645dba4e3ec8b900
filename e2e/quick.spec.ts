import type { Page } from '@playwright/test';
import { expect, headline, onPhone, readAnswer, settle, test } from './app';

async function openQuick(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Quick answer' }).click();
  await expect(headline(page)).toBeVisible();
}

const pick = async (page: Page, field: string, option: string) => {
  await page.getByRole('button', { name: new RegExp(`^${field}(?!: )`) }).click();
  await page.getByRole('radio', { name: option, exact: true }).click();
};

test('subject, distance, lens and light give settings; each of them changes the answer', async ({
  page,
}) => {
  await openQuick(page);
  const first = await readAnswer(page);
  expect(first.distanceM).toBe(30);

  await page.getByLabel('Distance, m', { exact: true }).fill('15');
  await page.keyboard.press('Enter');
  const near = await readAnswer(page);
  expect(near.fillPct).toBeGreaterThan(1.8 * first.fillPct);
  expect(near.shutterPerSecond).toBeGreaterThan(first.shutterPerSecond);

  await page.getByRole('radio', { name: 'Towards you' }).click();
  expect((await readAnswer(page)).shutterPerSecond).toBeLessThan(near.shutterPerSecond);

  const before = await readAnswer(page);
  await pick(page, 'It looks like', 'Forest floor');
  const dark = await readAnswer(page);
  expect(dark.iso).toBeGreaterThan(4 * before.iso);

  await page.getByRole('radio', { name: 'Lamps' }).click();
  await pick(page, 'Lamps', 'Night stadium, 1300 lx');
  expect((await readAnswer(page)).ev).toBeCloseTo(Math.log2(1300 / 2.5), 1);

  await expect(page.getByText('How far each part moves')).toBeVisible();
  await page.getByLabel('Background behind the subject, m').fill('2');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Background, 1\.1 times as far, short of twice/)).toBeVisible();
});

// Common practice: three stops under at 1/800, f/2.8, ISO 2000 means EV 5.29.
test(
  'a test frame that looked three stops dark says how much light there is',
  { tag: '@once' },
  async ({ page }) => {
    await openQuick(page);
    await page.getByRole('radio', { name: 'Test frame' }).click();
    await page.getByLabel('Shutter, s').fill('fast');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/a speed such as 1\/1000/)).toBeVisible();
    await page.getByLabel('Shutter, s').fill('1/800');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/a speed such as 1\/1000/)).toBeHidden();
    await page.getByLabel('Sensitivity, ISO').fill('2000');
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: /^Looked 3 stops dark/ }).click();
    const short = await readAnswer(page);
    expect(short.ev).toBeCloseTo(5.3, 1);
    // Short of light: a way out is a press, does what it says, and goes back as easily.
    const ways = page.getByRole('group', { name: 'What would mend it' });
    await ways.getByRole('button', { name: /^1\/\d+, no lift|^1\/\d+, ISO/ }).click();
    await expect(page.getByText('Exposed right as you hold the dials.')).toBeVisible();
    expect((await readAnswer(page)).shutterPerSecond).toBeLessThan(short.shutterPerSecond);
    await page.getByRole('button', { name: 'Back to automatic' }).click();
    expect(await readAnswer(page)).toEqual(short);
  },
);

test(
  'by frame fill, too near for the lens, and kept as it was left',
  { tag: '@once' },
  async ({ page }) => {
    await openQuick(page);
    await pick(page, 'Subject', 'Small bird singing');
    await page.getByRole('radio', { name: 'Frame fill' }).click();
    // By hand: f·(H + i)/i with 13 cm on 60 % of 24 mm, 200 mm · 144.4/14.4.
    expect((await readAnswer(page)).distanceM).toBe(2);
    await page.getByRole('radio', { name: 'Distance' }).click();
    await page.getByLabel('Distance, m', { exact: true }).fill('0.6');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/this lens focuses from/)).toBeVisible();
    await page.getByLabel('Distance, m', { exact: true }).fill('4');
    await page.keyboard.press('Enter');
    await expect(headline(page)).toBeVisible();
    const answer = await readAnswer(page);
    await page.reload();
    await expect(headline(page)).toBeVisible();
    expect(await readAnswer(page)).toEqual(answer);
    await expect(page.getByRole('button', { name: /^Subject.*Small bird singing/ })).toBeVisible();
  },
);

test(
  'by keys alone it is made into a shoot that sees the same picture',
  { tag: '@once' },
  async ({ page }) => {
    await openQuick(page);
    const quick = await readAnswer(page);
    await page.getByRole('button', { name: 'Make a shoot of it' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Title')).toHaveValue('Field player, running at 30.0 m');
    await page.getByLabel('Place', { exact: true }).fill('53.12, -1.87');
    await page.keyboard.press('Enter');
    await expect(page.getByText('53.12° N, 1.87° W')).toBeVisible();
    await page.getByLabel('Title').focus();
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(/\/shoot\/[\w-]+\/ground$/);
    await expect(headline(page)).toBeVisible();
    const shoot = await readAnswer(page);
    expect(shoot.distanceM).toBe(quick.distanceM);
    expect(shoot.fillPct).toBe(quick.fillPct);
    await page.goto('/');
    await expect(
      page.getByRole('link', { name: /^Field player, running at 30\.0 m/ }),
    ).toBeVisible();
  },
);

test(
  'a thumb turns subject, distance, light and lens, and two kits stand side by side',
  { tag: '@once' },
  async ({ page }) => {
    await openQuick(page);
    const first = await readAnswer(page);
    const rows = page.getByRole('group', { name: 'Turn the answer' });
    await rows.getByRole('button', { name: 'Distance: more' }).click();
    await expect(rows.getByRole('spinbutton', { name: 'Distance' })).toHaveAttribute(
      'aria-valuetext',
      '40.0 m',
    );
    const far = await readAnswer(page);
    expect(far.distanceM).toBe(40);
    expect(far.fillPct).toBeLessThan(first.fillPct);
    await rows.getByRole('spinbutton', { name: 'Light' }).focus();
    await page.keyboard.press('ArrowDown');
    expect((await readAnswer(page)).ev).toBeLessThan(far.ev);
    if (onPhone(page)) {
      // All four within reach of a thumb, below the middle of the screen.
      const box = await rows.boundingBox();
      expect(box?.y).toBeGreaterThan(422);
      expect((box?.y ?? 0) + (box?.height ?? 0)).toBeLessThanOrEqual(844);
    }

    const most = page.getByRole('button', { name: /: 1\/\d+ · f\/[\d.]+ · ISO \d+$/ });
    const promised = /1\/(\d+) · f\/([\d.]+) · ISO (\d+)$/.exec((await most.innerText()).trim());
    await most.click();
    const then = await readAnswer(page);
    expect([then.shutterPerSecond, then.aperture, then.iso]).toEqual(
      promised?.slice(1).map(Number),
    );

    await page.getByRole('button', { name: 'Compare with another kit' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
    const kits = page.getByRole('list', { name: 'Two kits' }).getByRole('listitem');
    await expect(kits).toHaveCount(2);
    await expect(kits.nth(1)).toContainText('400 mm f/2.8');
    const other = (await kits.nth(1).getAttribute('aria-label')) ?? '';
    await page.getByRole('button', { name: 'Take it instead' }).click();
    await expect(kits.nth(0)).toHaveAttribute('aria-label', other);
    await settle(page);
    await page.reload();
    await expect(kits.nth(0)).toHaveAttribute('aria-label', other);
  },
);
