import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import {
  expect,
  giveFile,
  savedBy,
  goTo,
  headline,
  inAnswer,
  onPhone,
  openRow,
  readAnswer,
  sayNewShoot,
  settle,
  test,
} from './app';
import { opensAt } from './field';
import { fillUp, keepText, keptText } from './kept';

const CUP_TIE = {
  ground: 'Field hockey',
  at: '55.9, -3.2',
  date: '2027-02-12',
  start: '16:00',
  end: '18:30',
  title: 'Cup tie under lamps',
};

test(
  'a new shoot answers at once and is there after a reload',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/');
    await page.getByRole('button', { name: 'New shoot' }).click();
    await sayNewShoot(page, CUP_TIE);
    await expect(page.getByText('Friday 12 February 2027, 16:00 to 18:30.')).toBeVisible();
    await page.getByRole('button', { name: 'Make the shoot' }).click();
    await expect(page).toHaveURL(/\/shoot\/[\w-]+\/ground$/);
    const answer = await readAnswer(page);
    expect(answer.distanceM).toBeGreaterThan(20);
    await settle(page);
    await page.reload();
    await expect(headline(page)).toBeVisible();
    expect(await readAnswer(page)).toEqual(answer);
    await page.getByRole('button', { name: 'All shoots' }).click();
    await expect(page.getByRole('link', { name: /^Cup tie under lamps/ })).toBeVisible();
    await expect(page.getByText('Friday 12 February 2027')).toBeVisible();
  },
);

test(
  'a ground of another kind: a hall under lamps, with its places and their reasons',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/new');
    await sayNewShoot(page, { ...CUP_TIE, ground: 'Basketball, FIBA' });
    await expect(page.getByText(/3 places to stand and 6 shots people want/)).toBeVisible();
    await page.getByRole('button', { name: 'Make the shoot' }).click();
    await expect(headline(page)).toBeVisible();
    await expect(page.getByText(/^Lamplight/)).toBeVisible();
    await expect(page.getByText('Under a roof')).toBeVisible();
    const near = await readAnswer(page);
    await page.getByRole('button', { name: 'Frame', exact: true }).click();
    await expect(page.getByText(/Right-handed players open towards you/)).toBeVisible();
    // The list, not the sign on the plan, which tells how to move it as well.
    await page.getByRole('button', { name: /^Position Baseline, right of the basket$/ }).click();
    await page.getByRole('radio', { name: 'Seats above the sideline' }).click();
    await expect(page.getByText(/A long fast lens from above/)).toBeVisible();
    await page.keyboard.press('Escape');
    expect((await readAnswer(page)).distanceM).toBeGreaterThan(near.distanceM + 5);

    await goTo(page, 'Brief');
    await openRow(page, 'Take care');
    const cautions = page.getByRole('list', { name: 'Cautions' });
    await expect(cautions.getByText(/No flash where it is banned/)).toBeVisible();
    await expect(
      page.getByText(/officials, land managers and qualified guides come first/),
    ).toBeVisible();

    await page.keyboard.press('Escape');
    await goTo(page, 'Light');
    await page.getByRole('button', { name: 'Change sky' }).click();
    await expect(page.getByRole('radio', { name: 'Overcast' })).toBeHidden();
    await page.getByRole('radio', { name: 'Open sky' }).click();
    await expect(page.getByRole('radio', { name: 'Overcast' })).toBeVisible();
    await page.keyboard.press('Escape');
    expect((await readAnswer(page)).ev).toBeGreaterThan(near.ev + 2);
  },
);

test(
  'wild subjects bring their own cautions, whatever the ground',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-alder-reach/brief');
    await openRow(page, 'Take care');
    const cautions = page.getByRole('list', { name: 'Cautions' });
    await expect(cautions.getByText(/Let behaviour set the distance/)).toBeVisible();
    await expect(cautions.getByText(/Stay away from nests/)).toBeVisible();
  },
);

test(
  'latitude 95, an end before the start and an empty title are refused in words',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/brief');
    await openRow(page, 'What, where and when');
    const start = await page.getByLabel('Start', { exact: true }).inputValue();
    await page.getByRole('button', { name: 'Change the place' }).click();
    for (const [label, value] of Object.entries({ Title: ' ', Place: '95, 11', End: start })) {
      await page.getByLabel(label, { exact: true }).fill(value);
    }
    await page.getByRole('button', { name: 'Save the brief' }).click();
    await expect(
      page.getByText('Change this: the title is empty; give the shoot a name'),
    ).toBeVisible();
    await expect(
      page.getByText(/^Change this: the latitude 95 lies past the pole: it goes from −90 to 90/),
    ).toBeVisible();
    await expect(
      page.getByText(/^Change this: the end is the start, \d\d:\d\d; make it later/),
    ).toBeVisible();
    await expect(page.getByLabel('Title', { exact: true })).toHaveAttribute('aria-invalid', 'true');
    await page.goto('/');
    await expect(page.getByRole('link', { name: /^Larkmoor/ })).toBeVisible();
  },
);

test(
  'the brief is changed: name, hours and the way the ground lies',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/brief');
    await openRow(page, 'What, where and when');
    await page.getByLabel('Title', { exact: true }).fill('Larkmoor, reserves');
    await page.getByLabel('True bearing of the long axis').fill('102');
    await page.getByLabel('Start', { exact: true }).fill('17:30');
    await page.getByRole('button', { name: 'Save the brief' }).click();
    await expect(page.getByText('Brief saved')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Larkmoor, reserves' })).toBeVisible();
    await inAnswer(page, (answer) => expect(answer.getByText(/looking 225° SW/)).toBeVisible());
    await settle(page);
    await page.reload();
    await openRow(page, 'What, where and when');
    await expect(page.getByLabel('True bearing of the long axis')).toHaveValue('102');
    await expect(page.getByLabel('Start', { exact: true })).toHaveValue('17:30');
  },
);

test('rename, duplicate, delete and undo', { tag: '@once' }, async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Tern Water' }).click();
  await page.getByLabel('Title', { exact: true }).fill('');
  await expect(page.getByText(/the title is empty/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Rename' })).toBeDisabled();
  await page.getByLabel('Title', { exact: true }).fill('Tern Water, finals');
  await page.getByRole('button', { name: 'Rename' }).click();
  await expect(page.getByRole('link', { name: /^Tern Water, finals/ })).toBeVisible();

  await page.getByRole('button', { name: 'More for Tern Water, finals' }).click();
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page.getByRole('link', { name: /^Tern Water, finals \(copy\)/ })).toBeVisible();

  await page.getByRole('button', { name: 'More for Larkmoor' }).click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: /^Larkmoor/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /^Larkmoor/ })).toBeVisible();
  await settle(page);
  await page.reload();
  await expect(page.getByRole('listitem')).toHaveCount(4);
});

test(
  'with everything deleted the list says what to do, and the demo comes back',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/');
    for (const title of ['Larkmoor', 'Alder Reach', 'Tern Water']) {
      await page.getByRole('button', { name: `More for ${title}` }).click();
      await page.getByRole('button', { name: 'Delete' }).click();
    }
    await expect(page.getByRole('heading', { name: 'No shoots yet' })).toBeVisible();
    await settle(page);
    await page.reload();
    await page.getByRole('button', { name: 'Bring back the demo' }).click();
    await expect(page.getByRole('listitem')).toHaveCount(3);
  },
);

test(
  'a shoot goes out as a file and comes back as the same plan',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/brief');
    const before = await readAnswer(page);
    await openRow(page, 'This shoot as a whole');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export as a file' }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('larkmoor-evening-hockey.shoot.json');
    const text = await readFile(await download.path(), 'utf8');
    await page.goto('/');
    await importText(page, text);
    const known = page.getByRole('dialog', { name: '“Larkmoor, evening hockey” is here already' });
    await expect(known).toContainText('Nothing happened there that is not here.');
    await expect(known.getByRole('button', { name: 'Merge what happened' })).toBeDisabled();
    await known.getByRole('button', { name: 'Import beside it, as another shoot' }).click();
    await expect(page.getByText('Imported “Larkmoor, evening hockey”')).toBeVisible();
    const links = page.getByRole('link', { name: /^Larkmoor, evening hockey/ });
    await expect(links).toHaveCount(2);
    await links.nth(1).click();
    await expect(headline(page)).toBeVisible();
    expect(await readAnswer(page)).toEqual(before);
  },
);

const importText = (page: Page, text: string) =>
  giveFile(page, 'Import', { name: 'some.json', mimeType: 'application/json', text });

/** Within the hours of the demo's match, by the clock. */
const DURING_THE_MATCH = '2027-04-16T18:00:00Z';

test(
  'during a shoot a phone nine times slower opens at its field, and the list is a step back',
  { tag: '@once' },
  async ({ page }) => {
    test.slow();
    await opensAt(page, DURING_THE_MATCH);
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: 9 });
    await page.goto('/');
    const shoot = page.getByRole('heading', { level: 1, name: /^Larkmoor/ });
    await expect(shoot).toBeVisible({ timeout: 60_000 });
    await expect(page).toHaveURL(/shoot\/demo-larkmoor/);
    await page.goBack();
    await expect(page.getByRole('button', { name: 'Import' })).toBeVisible();
    await expect(page).toHaveURL(/\/$/);
    await session.detach();
  },
);

/** The shoot's file, as it leaves through Brief. */
async function exported(page: Page): Promise<string> {
  await page.goto('/shoot/demo-larkmoor/brief');
  await openRow(page, 'This shoot as a whole');
  const { text } = await savedBy(page, () =>
    page.getByRole('button', { name: 'Export as a file' }).click(),
  );
  return text;
}

/** So many keepers are kept. */
const keepers = (page: Page, count: number) =>
  expect
    .poll(async () => {
      const kept = (await keptText(page, 'bright-perch/shoot/demo-larkmoor')) ?? '';
      return kept.match(/"kind":"keeper"/g)?.length ?? 0;
    })
    .toBe(count);

test(
  'a shoot that comes back from another phone is merged by what was logged, after it is shown',
  {
    tag: '@once',
  },
  async ({ page, browser }) => {
    await opensAt(page, DURING_THE_MATCH);
    await page.goto('/shoot/demo-larkmoor/field');
    await page.getByRole('button', { name: /^Keeper/ }).click();
    await keepers(page, 1);
    const file = await exported(page);
    // On the other phone the demo was taken out; the shoot comes in as itself, and two keepers are tapped.
    const context = await browser.newContext({ viewport: page.viewportSize() });
    const other = await context.newPage();
    await other.goto('/');
    await other.getByRole('button', { name: 'Remove the demo' }).click();
    await expect(other.getByText('The demo is out of the list')).toBeVisible();
    await importText(other, file);
    await expect(other.getByText('Imported “Larkmoor, evening hockey”')).toBeVisible();
    await opensAt(other, DURING_THE_MATCH);
    await other.goto('/shoot/demo-larkmoor/field');
    for (const n of [2, 3]) {
      await other.getByRole('button', { name: /^Keeper/ }).click();
      await keepers(other, n);
    }
    const back = await exported(other);
    await context.close();
    // Here one more was tapped meanwhile.
    await page.goto('/shoot/demo-larkmoor/field');
    await page.getByRole('button', { name: /^Keeper/ }).click();
    await keepers(page, 2);
    await page.goto('/');
    // A phone opens at what is on; the list is a step back.
    if (onPhone(page)) {
      await expect(page).toHaveURL(/shoot\/demo-larkmoor/);
      await page.goBack();
    }
    await importText(page, back);
    const known = page.getByRole('dialog', { name: '“Larkmoor, evening hockey” is here already' });
    // Who follows the plan there may have moved, too.
    await expect(known.getByRole('list', { name: 'Not here yet' })).toContainText('2 keepers');
    await known.getByRole('button', { name: 'Merge what happened' }).click();
    await expect(page.getByText('Merged into “Larkmoor, evening hockey”')).toBeVisible();
    await expect(page.getByRole('link', { name: /^Larkmoor, evening hockey/ })).toHaveCount(1);
    // A second time it has nothing to say.
    await importText(page, back);
    await expect(known).toContainText('Nothing happened there that is not here.');
    await page.keyboard.press('Escape');
    await page.goto('/shoot/demo-larkmoor/log');
    await expect(page.getByText(/4 keepers tapped/)).toBeVisible();
  },
);

test(
  'wrong files are refused with the field named, and nothing changes',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/');
    await expect(page.getByRole('listitem')).toHaveCount(3);
    for (const [text, reason] of [
      ['{"format":"bright-perch/shoot","shoot":{"version":1}}', /File refused: shoot\.\w+/],
      [
        '{"format": "bright-perch/shoot", "shoot": {"ver',
        /File refused: the file is not JSON, or it is cut off/,
      ],
      ['<html>', /File refused: the file is not JSON/],
      [' '.repeat(4_100_000), /File refused: the file is over 4 MB/],
    ] as const) {
      await importText(page, text);
      await expect(page.getByText(reason)).toBeVisible();
      await page.getByRole('button', { name: 'Close this note' }).click();
    }
    await expect(page.getByRole('listitem')).toHaveCount(3);
  },
);

test(
  'damaged records are set aside and said, and the rest opens',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/');
    await expect(page.getByRole('listitem')).toHaveCount(3);
    const key = 'bright-perch/shoot/demo-alder-reach';
    // The list is there before what it lists is put in.
    await expect.poll(() => keptText(page, key)).not.toBeNull();
    const whole = (await keptText(page, key)) ?? '';
    const damaged = whole.slice(0, 300);
    await keepText(page, key, damaged);
    await page.reload();
    await expect(
      page.getByText('A record could not be read and was set aside. Nothing of it is lost.'),
    ).toBeVisible();
    await expect(page.getByText(/^“Alder Reach.*Why: not valid JSON/)).toBeVisible();
    const links = page.getByRole('listitem').getByRole('link');
    await expect(links).toHaveCount(2);
    await page.getByRole('button', { name: 'Look at it' }).click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save its text as a file' }).click(),
    ]);
    expect(await readFile(await download.path(), 'utf8')).toBe(damaged);
    // Still damaged it stays aside; mended by hand it is back, whole.
    await page.getByRole('button', { name: 'Bring it back' }).click();
    await expect(page.getByText('Change this: not valid JSON')).toBeVisible();
    await page.getByRole('textbox', { name: 'Its text' }).fill(whole);
    await page.getByRole('button', { name: 'Bring it back' }).click();
    await expect(page.getByText(/could not be read and was set aside/)).toBeHidden();
    await expect(links).toHaveCount(3);
    expect(JSON.parse((await keptText(page, key)) ?? '')).toEqual(JSON.parse(whole));
    // One that is of no use is discarded.
    await keepText(page, key, '{}');
    await page.goto('/shoot/demo-alder-reach/ground');
    await expect(page.getByText('No such shoot here')).toBeVisible();
    await page.getByRole('button', { name: 'See all shoots' }).click();
    await page.getByRole('button', { name: 'Look at it' }).click();
    await page.getByRole('button', { name: 'Discard it' }).click();
    await expect(page.getByText(/could not be read and was set aside/)).toBeHidden();
    await expect(links).toHaveCount(2);
  },
);

test('full storage is said, and the app goes on', { tag: '@once' }, async ({ page }) => {
  await page.goto('/shoot/demo-larkmoor/ground');
  await expect(headline(page)).toBeVisible();
  await fillUp(page);
  await page.getByRole('button', { name: /^Position .* to move it$/ }).focus();
  await page.keyboard.press('ArrowLeft');
  await expect(
    page.getByText(/^Not saved: .*quota.*Export this shoot to keep it\.$/),
  ).toBeVisible();
  await expect(headline(page)).toBeVisible();
});
