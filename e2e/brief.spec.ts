import type { Page } from '@playwright/test';
import { expect, goTo, headline, inAnswer, openRow, readAnswer, settle, test } from './app';

const BRIEF = '/shoot/demo-larkmoor/brief';
const shot = (page: Page, name: string) =>
  page.getByRole('list', { name: 'Shots' }).getByRole('button', { name: new RegExp(`^${name}`) });

test(
  'a shot taken up sets mark, framing and shutter, and stays so after a reload',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto(BRIEF);
    await expect(headline(page)).toBeVisible();
    const before = await readAnswer(page);
    await shot(page, 'Counter-attack, panned').click();
    await inAnswer(page, (answer) =>
      expect(
        answer.getByText(
          /^1\/\d+: a pan that keeps one frame in three sharp\. The body moves [\d.]+ px/,
        ),
      ).toBeVisible(),
    );
    const panned = await readAnswer(page);
    expect(panned.shutterPerSecond).toBeLessThan(before.shutterPerSecond / 4);
    // The shot asks for 45 % of the frame's height, and the lens goes there.
    expect(panned.fillPct).toBeGreaterThan(42);
    expect(panned.fillPct).toBeLessThan(48);
    await settle(page);
    await page.reload();
    await expect(shot(page, 'Counter-attack, panned')).toHaveAttribute('aria-pressed', 'true');
    expect(await readAnswer(page)).toEqual(panned);
    await shot(page, 'Faces between the plays').click();
    await expect(shot(page, 'Counter-attack, panned')).toHaveAttribute('aria-pressed', 'false');
    const faces = await readAnswer(page);
    expect(faces.shutterPerSecond).toBeGreaterThan(panned.shutterPerSecond);
  },
);

test(
  'a shot is added, must have a name, is taken away and brought back',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto(BRIEF);
    // A phrase of this ground fills all in, by two presses.
    await page.getByRole('button', { name: 'Add a shot' }).click();
    await page
      .getByRole('list', { name: 'Wanted on this ground' })
      .getByRole('button', { name: /^Duel for the ball/ })
      .click();
    await expect(
      shot(page, 'Duel for the ball must|Duel for the ball should, 2 · freeze'),
    ).toHaveAttribute('aria-pressed', 'true');
    await page.getByRole('button', { name: 'Add a shot' }).click();
    await expect(page.getByRole('button', { name: /^Duel for the ball/ })).toHaveCount(1);
    await page.getByRole('button', { name: 'Another shot, in your own words' }).click();
    const sheet = page.getByRole('dialog', { name: 'A new shot' });
    await sheet.getByRole('button', { name: 'Add and use' }).click();
    await expect(sheet.getByText(/Change this: give it a name/)).toBeVisible();
    await sheet.getByLabel('Name of the shot').fill('Captain, portrait');
    await sheet.getByRole('button', { name: /^Technique / }).click();
    await page.getByRole('radio', { name: /^Portrait/ }).click();
    await sheet.getByRole('radio', { name: 'Must' }).click();
    await sheet.getByRole('spinbutton', { name: 'How many good ones are owed' }).press('ArrowUp');
    await sheet.getByRole('button', { name: 'Add and use' }).click();
    await expect(shot(page, 'Captain, portrait must, 2 · portrait')).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await page.getByRole('button', { name: 'Change the shot Captain, portrait' }).click();
    await page.getByRole('button', { name: 'Take the shot away' }).click();
    await expect(shot(page, 'Captain, portrait')).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
    await expect(shot(page, 'Captain, portrait')).toHaveCount(1);
  },
);

test('a subject is timed, kept, and every figure follows', { tag: '@once' }, async ({ page }) => {
  await page.goto(BRIEF);
  await expect(headline(page)).toBeVisible();
  await openRow(page, 'Subjects of your own');
  await page.getByRole('button', { name: 'Look through the library' }).click();
  await expect(page.getByRole('list', { name: 'Subject library' })).toContainText(
    '1.75 m tall, 7.0 m/s; hand to 11.2 m/s, foot to 14.0 m/s',
  );
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Measure a subject' }).click();
  const sheet = page.getByRole('dialog', { name: 'A subject of your own' });
  await sheet.getByRole('button', { name: /^Moves like / }).click();
  await page.getByRole('radio', { name: 'Field player, running' }).click();
  await sheet.getByRole('button', { name: 'It enters now' }).click();
  await page.waitForTimeout(400);
  await sheet.getByRole('button', { name: 'It leaves now' }).click();
  const crossed = await sheet.getByText(/^Crossed 10 m in /).innerText();
  const [, seconds, mps] = /in ([\d.]+) s: ([\d.]+) m\/s/.exec(crossed)?.map(Number) ?? [];
  // A busy machine presses late, never early.
  expect(seconds).toBeGreaterThanOrEqual(0.4);
  expect(Math.abs((mps ?? 0) - 10 / (seconds ?? 1))).toBeLessThan(0.15 + (mps ?? 0) * 0.02);
  // Written down instead: 10 m in 1.4 s is 7.1 m/s.
  await sheet.getByLabel('It took, s').fill('1.4');
  await sheet.getByLabel('It took, s').press('Enter');
  await sheet.getByRole('button', { name: 'Use 7.1 m/s' }).click();
  await expect(sheet.getByLabel('Pace, m/s')).toHaveValue('7.14');
  await sheet.getByLabel('Name of the subject').fill('Under-12 winger');
  await sheet.getByLabel('A habit to remember').fill('comes down the left');
  await sheet.getByRole('button', { name: 'Add the habit' }).click();
  await sheet.getByRole('button', { name: 'Keep it, and put it at the mark' }).click();
  await expect(page.getByRole('list', { name: 'Own subjects' })).toContainText(
    'Field player, running: 1.75 m, 7.1 m/s. comes down the left',
  );
  await page.keyboard.press('Escape');
  const answered = () =>
    inAnswer(page, (answer) => expect(answer).toContainText('Under-12 winger'));
  await answered();
  await settle(page);
  await page.reload();
  await expect(headline(page)).toBeVisible();
  await answered();
});

test(
  'who, by whose permission, and cautions that follow what is forbidden',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-tern-water/brief');
    await expect(page.getByText(/Saturday 19 June 2027, .* by 20:00$/)).toBeVisible();
    await openRow(page, 'Client and access');
    await page.getByLabel('Deadline, time').fill('25:00');
    await page.getByRole('checkbox', { name: 'Children without consent' }).click();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText(/^Change this: the deadline/)).toBeVisible();
    await page.getByLabel('Deadline, time').fill('21:30');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByRole('button', { name: /^Client and access/ })).toContainText(
      'May not: drones, children without consent',
    );
    await goTo(page, 'Settings');
    await page.getByRole('button', { name: /^Take care: \d+$/ }).click();
    await expect(page.getByRole('dialog', { name: 'Take care' })).toContainText(
      'Pictures of children need consent',
    );
    await page.keyboard.press('Escape');
    await goTo(page, 'Brief');
    await openRow(page, 'Who to find');
    await page.getByRole('button', { name: /^Junior single, lane 4/ }).click();
    await page.getByRole('spinbutton', { name: 'Lane' }).press('ArrowUp');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByRole('list', { name: 'People and animals' })).toContainText(
      'No. 214, lane 5',
    );
  },
);
