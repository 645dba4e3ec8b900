import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { expect, goTo, headline, openLarkmoor, part, savedBy, settle, test } from './app';
import { keeperButton, openField, opensAt, settingsNow, take } from './field';

/** The demo's three days, lived through from the brief to what they teach. */

const dials = async (page: Page) => (await settingsNow(page).getAttribute('aria-label')) ?? '';
const isoOf = (label: string) => Number(/ISO (\d+)/.exec(label)?.[1]);
const taught = (page: Page, name: string) => page.getByRole('region', { name });

async function readDemoPictures(page: Page, setClock: boolean): Promise<void> {
  await page.getByRole('button', { name: 'Read the demo’s pictures' }).click();
  await expect(page.getByRole('list', { name: 'Contact sheet' })).toBeVisible();
  if (setClock) await page.getByRole('button', { name: 'Set it right' }).click();
}

test('an evening of hockey at Larkmoor, from the brief to the next plan', async ({ page }) => {
  test.setTimeout(90_000);
  await openLarkmoor(page);
  await goTo(page, 'Brief');
  await page
    .getByRole('list', { name: 'Shots' })
    .getByRole('button', { name: /^Strike at a penalty corner/ })
    .click();
  await expect(headline(page)).toBeVisible();
  await goTo(page, 'Light');
  await page.getByRole('button', { name: 'Take a reading' }).click();
  await page.getByRole('button', { name: 'Ask the simulated meter' }).click();
  await page.getByRole('button', { name: 'Keep the reading' }).click();
  await expect(page.getByText(/^By your readings the light here is/).first()).toBeVisible();
  await goTo(page, 'Settings');
  await part(page, 'Card').click();
  await expect(
    page.getByRole('list', { name: 'Settings card' }).getByRole('listitem').first(),
  ).toBeVisible();
  await goTo(page, 'Kit');
  await part(page, 'Pack').click();
  await expect(page.getByRole('checkbox').first()).toBeVisible();
  await goTo(page, 'Day');
  await expect(page.getByRole('region', { name: 'Day', exact: true })).toContainText(
    /Shoots \d of 7 events/,
  );
  await settle(page);

  // On the day, in the first quarter and again under the lamps.
  await opensAt(page, '2027-04-16T18:06:00Z');
  await openField(page, 'demo-larkmoor');
  await expect(page.getByRole('region', { name: 'Now and next' })).toContainText(
    'Now: First quarter',
  );
  await take(page, 'Shot', 'Strike at a penalty corner');
  await keeperButton(page).click();
  await expect(keeperButton(page)).toContainText('1 of 3');
  await page.getByRole('button', { name: /^Looked 1 stop bright/ }).click();
  const byDay = isoOf(await dials(page));
  await opensAt(page, '2027-04-16T19:06:00Z');
  await openField(page, 'demo-larkmoor');
  await take(page, 'Shot', 'The keeper at full stretch');
  await expect.poll(async () => isoOf(await dials(page))).toBeGreaterThan(byDay * 4);
  await page.getByRole('button', { name: '1 Keeper, home' }).click();
  await keeperButton(page).click();

  await goTo(page, 'Log');
  await readDemoPictures(page, true);
  await expect(page.getByRole('list', { name: 'Contact sheet' })).toContainText(
    'Last quarter, under the lamps',
  );
  await part(page, 'Taught').click();
  await expect(page.getByRole('list', { name: 'Owed and had' })).toContainText(
    'The keeper at full stretch',
  );
  await expect(
    taught(page, 'Keepers. By shot').getByRole('img', { name: /^Counter-attack, panned: 33 %/ }),
  ).toBeVisible();
  await expect(taught(page, 'Light of this place against the computed')).toContainText(
    /19:00 .* by one reading/,
  );
  await settle(page);

  // What it taught stands in the brief of the regatta to come, and can be taken up and left out.
  await page.goto('/shoot/demo-tern-water/brief');
  await page.getByRole('button', { name: /^What shoots and practice taught/ }).click();
  const lessons = page.getByRole('list', { name: 'Lessons' });
  await expect(lessons).toContainText(/Plan pans for a speed that varies by \d+ %/);
  await page.getByRole('button', { name: 'Use: swing' }).click();
  await expect(lessons).toContainText('In this plan');
  await page.getByRole('button', { name: 'Leave out: swing' }).click();
  await expect(lessons).toContainText('Left out');
});

test(
  'a dawn in the hide at Alder Reach: dark, quiet, and what the bird keeps to',
  { tag: '@once' },
  async ({ page }) => {
    test.setTimeout(90_000);
    await page.goto('/shoot/demo-alder-reach/day');
    await expect(page.getByRole('heading', { name: /^Be in place by 0\d:\d\d$/ })).toBeVisible();
    await goTo(page, 'Ground');
    await expect(headline(page)).toBeVisible();
    await opensAt(page, '2027-05-08T04:50:00Z');
    await openField(page, 'demo-alder-reach');
    await page.getByRole('button', { name: 'Show for the dusk' }).click();
    await page.getByRole('button', { name: 'Show dark, for the hide' }).click();
    await expect
      .poll(() => page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor))
      .toBe('rgb(0, 0, 0)');
    await take(page, 'Shot', 'On the near perch, eye sharp');
    await page.getByRole('button', { name: /^Watch/ }).click();
    await expect(page.getByRole('button', { name: /^End watch/ })).toContainText('since 05:50');
    const came = page.getByRole('button', { name: /^Sighting/ });
    await came.click();
    await expect(came).toContainText('1 Kingfisher');
    await page.getByRole('button', { name: 'dives' }).click();
    await keeperButton(page).click();
    await expect(keeperButton(page)).toContainText('1 of 5');
    await opensAt(page, '2027-05-08T05:40:00Z');
    await openField(page, 'demo-alder-reach');
    await came.click();
    await expect(came).toContainText('2 Kingfisher');
    await page.getByRole('button', { name: /^End watch/ }).click();
    await page.getByRole('button', { name: 'Show by day' }).click();
    await goTo(page, 'Log');
    await readDemoPictures(page, true);
    await part(page, 'Taught').click();
    const visits = taught(page, 'Visits');
    await expect(visits).toContainText(/06:00 {2}\d/);
    await expect(visits).toContainText(/Sky \w+.*: \d\.\d an hour, \d\.\d to \d/);
    await expect(visits).toContainText(/March to May: \d\.\d an hour/);
    const { name, text } = await savedBy(page, () =>
      visits.getByRole('button', { name: 'Save the visits as a table' }).click(),
    );
    expect(name).toBe('visits-2027-05-08.csv');
    expect(text).toMatch(/^From,Watched minutes,Visits,Mark,Sky,Shoot\r\n2027-/);
    await goTo(page, 'Day');
    await expect(page.getByRole('region', { name: 'Visits' })).toContainText(
      /\d+ visits in 5 watches/,
    );
  },
);

test(
  'a regatta on Tern Water: late heats, named crews, pans that teach',
  { tag: '@once' },
  async ({ page }) => {
    test.setTimeout(90_000);
    await page.goto('/shoot/demo-tern-water/brief');
    await expect(page.getByRole('list', { name: 'Shots' })).toContainText('Lane 4, last strokes');
    await goTo(page, 'Day');
    await expect(page.getByRole('region', { name: 'Day', exact: true })).toContainText('Shoots');
    await opensAt(page, '2027-06-19T09:25:30Z');
    await openField(page, 'demo-tern-water');
    const now = page.getByRole('region', { name: 'Now and next' });
    await expect(now).toContainText('Now: Junior single 500 m, heat 4');
    await take(page, 'Shot', 'Lane 4, last strokes');
    await page.getByRole('button', { name: '214 Junior single, lane 4' }).click();
    await keeperButton(page).click();
    await expect(keeperButton(page)).toContainText('1 of 2');
    await page.getByRole('button', { name: 'Note' }).click();
    await page.getByRole('textbox', { name: 'Note' }).fill('Lane four clear of the reeds');
    await page.getByRole('button', { name: 'Keep the note' }).click();
    await take(page, 'Shot', 'A boat panned along the reeds');
    await take(page, 'Slot', 'Pan');
    await expect.poll(() => dials(page)).toMatch(/^1\/(\d|\d\d), /);
    await goTo(page, 'Log');
    await readDemoPictures(page, true);
    await part(page, 'Taught').click();
    await expect(taught(page, 'Your pans')).toContainText(/varies by \d+ %.*16 panned frames/s);
    await part(page, 'Entries').click();
    await expect(page.getByRole('list', { name: 'Log entries' })).toContainText(
      'Lane four clear of the reeds',
    );
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save the log as a table' }).click(),
    ]);
    const text = await readFile(await download.path(), 'utf8');
    expect(text).toContain('Lane four clear of the reeds');
    expect(text.match(/,Picture,/g)).toHaveLength(31);
  },
);
