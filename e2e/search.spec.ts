import {
  expect,
  groundTool,
  headline,
  holdBack,
  onPhone,
  openLarkmoor,
  positionHandle,
  readAnswer,
  settle,
  test,
} from './app';

test(
  'the ground is searched in the worker: places, reasons, and one can go and stand there',
  { tag: '@once' },
  async ({ page }) => {
    await openLarkmoor(page);
    const section = page.getByRole('region', { name: 'Where else to stand' });
    await groundTool(page, 'Search');
    await section.getByRole('button', { name: 'Search the ground' }).click();
    const places = section.getByRole('list', { name: 'Best places' });
    await expect(places.getByRole('listitem')).toHaveCount(3);
    await expect(places.getByRole('listitem').first()).toContainText(/1\. \d+ of 100/);
    await expect(places.getByRole('listitem').first()).toContainText(/Weakest: /);
    await expect(section.getByText(/Where you stand now: \d+ of 100/)).toBeVisible();
    const best = /1\. (\d+) of 100/.exec(await places.innerText())?.[1];
    const before = await positionHandle(page).boundingBox();

    await section.getByRole('button', { name: 'Stand at place 1' }).click();
    await expect(section.getByText(`Where you stand now: ${best} of 100.`)).toBeVisible();
    const after = await positionHandle(page).boundingBox();
    expect(after).not.toEqual(before);
    await settle(page);
    const answer = await readAnswer(page);
    await page.reload();
    await expect(headline(page)).toBeVisible();
    expect(await readAnswer(page)).toEqual(answer);
  },
);

test(
  'another wish asks to search again; the search is taken off the plan',
  { tag: '@once' },
  async ({ page }) => {
    await openLarkmoor(page);
    const section = page.getByRole('region', { name: 'Where else to stand' });
    await groundTool(page, 'Search');
    await section.getByRole('button', { name: 'Search the ground' }).focus();
    await page.keyboard.press('Enter');
    await expect(section.getByRole('list', { name: 'Best places' })).toBeVisible();
    await groundTool(page, 'Frame');
    await page
      .getByRole('region', { name: 'The picture wanted' })
      .getByRole('radiogroup', { name: 'Light wanted' })
      .getByRole('radio', { name: 'Back' })
      .click();
    await page.keyboard.press('Escape');
    await groundTool(page, 'Search');
    await expect(section.getByText(/search again for the new answer/)).toBeVisible();
    await section.getByRole('button', { name: 'Search the ground' }).click();
    await expect(section.getByText(/search again for the new answer/)).toBeHidden();
    await section.getByRole('button', { name: 'Take the search off the plan' }).click();
    await expect(section.getByRole('list', { name: 'Best places' })).toBeHidden();
  },
);

test(
  'a search can be stopped on its way, and the page answers meanwhile',
  { tag: '@once' },
  async ({ page }) => {
    const letGo = await holdBack(page, 'search');
    await openLarkmoor(page);
    const section = page.getByRole('region', { name: 'Where else to stand' });
    await groundTool(page, 'Search');
    await section.getByRole('button', { name: 'Search the ground' }).click();
    await expect(section.getByRole('progressbar', { name: 'Searching the ground' })).toBeVisible();
    await page.getByRole('button', { name: 'Zoom in' }).click();
    await expect(page.getByRole('button', { name: 'Show the whole ground' })).toBeVisible();
    await section.getByRole('button', { name: 'Stop searching' }).click();
    await expect(section.getByRole('progressbar')).toBeHidden();
    await expect(section.getByRole('button', { name: 'Search the ground' })).toBeVisible();
    await expect(section.getByRole('list', { name: 'Best places' })).toBeHidden();
    letGo();
    await section.getByRole('button', { name: 'Search the ground' }).click();
    await expect(section.getByRole('list', { name: 'Best places' })).toBeVisible();
  },
);

test('positions side by side: sorted, with what would better each, and it does as it says', async ({
  page,
}) => {
  await openLarkmoor(page);
  const region = page.getByRole('region', { name: 'Compare positions' });
  await groundTool(page, 'Compare');
  if (!onPhone(page)) {
    await region.getByRole('button', { name: 'Compare the positions' }).focus();
    await page.keyboard.press('Enter');
  }
  const cards = region.getByRole('list', { name: 'Positions compared' }).getByRole('listitem');
  await expect(cards).toHaveCount(6);
  const score = async (i: number) =>
    Number(/(\d+) of 100/.exec(await cards.nth(i).innerText())?.[1] ?? NaN);
  expect(await score(0)).toBeGreaterThanOrEqual(await score(1));
  expect(await score(1)).toBeGreaterThanOrEqual(await score(2));
  await expect(
    cards.first().getByRole('img', { name: /^Score of .* best at \d\d:\d\d/ }),
  ).toBeVisible();

  const moves = page.getByRole('button', { name: /^Move \d+ m [NESW]+: \d+ of 100$/ });
  const card = cards.filter({ has: moves }).first();
  const move = card.getByRole('button', { name: /^Move / }).first();
  const promised = Number(
    /: (\d+) of 100/.exec((await move.getAttribute('aria-label')) ?? '')?.[1],
  );
  const name = /^\d+\. (.+)$/m.exec(await card.innerText())?.[1] ?? '';
  await move.click();
  await expect(
    page.getByRole('button', { name: new RegExp(`^Position ${name}.* to move it$`) }),
  ).toBeVisible();
  await region.getByRole('button', { name: 'Compare the positions' }).click();
  const again = cards.filter({ hasText: name }).first();
  await expect(again).toContainText(`${promised} of 100`);

  await region.getByRole('button', { name: /^Best first by/ }).click();
  await page.getByRole('radio', { name: 'The face seen' }).click();
  await expect(page.getByRole('radio', { name: 'The face seen' })).toBeHidden();
  await expect(cards).toHaveCount(6);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Redo' })).toBeVisible();
});

test('each part of a score is told with its reason: a table that sorts on wide, on the card on a phone', async ({
  page,
}) => {
  await openLarkmoor(page);
  const region = page.getByRole('region', { name: 'Compare positions' });
  await groundTool(page, 'Compare');
  if (!onPhone(page)) await region.getByRole('button', { name: 'Compare the positions' }).click();
  const cards = region.getByRole('list', { name: 'Positions compared' }).getByRole('listitem');
  await expect(cards).toHaveCount(6);
  if (onPhone(page)) {
    await cards.first().getByRole('button', { name: 'All parts of the score' }).click();
    await expect(cards.first()).toContainText(/Reach \d+\s*fills \d+ % at \d+ mm, wanted 60 %/);
    await expect(cards.first()).toContainText(/Exposure \d+\s*EV [\d.]+, [\d.]+ stops/);
    return;
  }
  await region.getByRole('button', { name: 'All parts as a table' }).click();
  const table = page.getByRole('table', { name: 'Positions and the parts of their score' });
  await page.getByRole('button', { name: 'Sort by Light' }).focus();
  await page.keyboard.press('Enter');
  await expect(table.getByRole('columnheader', { name: /Light/ })).toHaveAttribute(
    'aria-sort',
    'descending',
  );
  const rows = await table.getByRole('row').all();
  expect(rows).toHaveLength(7);
  const light = await Promise.all(
    rows
      .slice(1)
      .map(async (row) => Number.parseInt(await row.getByRole('cell').nth(3).innerText(), 10)),
  );
  expect([...light].sort((a, b) => b - a)).toEqual(light);
  await expect(table).toContainText(/fills \d+ % at \d+ mm, wanted 60 %/);
});
