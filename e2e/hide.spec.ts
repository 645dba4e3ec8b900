import { expect, goTo, groundTool, headline, inAnswer, makeShoot, settle, test } from './app';
import { button, field, fill, openDrawing, take, tapPlan } from './drawing';
import { keptShoot, opensAt } from './field';

/** What one sits in: put down in a tap, measured with a tape, looked out of. */

test('a house window is put down in a tap, says what its seat sees, costs its glass, and is kept @once', async ({
  page,
}) => {
  await openDrawing(page, 'demo-alder-reach');
  await take(page, 'House window');
  // On the bank, towards the water: the near bank lies between.
  await tapPlan(page, 0.62, 0.55);
  await expect(page.getByRole('heading', { name: 'House window', exact: true })).toBeVisible();
  const seat = page.getByRole('group', { name: 'Seat, house window' });
  await expect(seat).toContainText('From Seat, house window one sees');
  await expect(seat).toContainText(
    /A lens swings \d{3}° \w+ to \d{3}° \w+, \d+° down to \d+° up\./,
  );

  // A sill over the lens: from there no mark is seen, and why.
  await fill(page, 'Sill over ground, m', '2.2');
  await expect(seat).toContainText('one sees no mark. Hidden: Near perch, under the sill;');
  await button(page, 'Camera to the window, 2.80 m').click();
  await expect(seat).toContainText('one sees Near perch');
  await button(page, 'Undo').click();
  await button(page, 'Undo').click();
  await expect(field(page, 'Sill over ground, m')).toHaveValue('0.9');
  // Two windows more than it had: each can be taken out again, and without one it is open.
  await button(page, 'Add another window').click();
  await expect(page.getByRole('group', { name: 'Window 2' })).toBeVisible();
  await button(page, 'Take window 2 out').click();
  await button(page, 'Take window out').click();
  await expect(page.getByText('No window yet: from within one sees out all round.')).toBeVisible();
  await button(page, 'Undo').click();

  await button(page, 'Done drawing').click();
  await expect(headline(page)).toBeVisible();
  await goTo(page, 'Settings');
  const said = /Through glass, \d+° off its square.+the settings count it\./;
  await inAnswer(page, (answer) => expect(answer.getByText(said)).toBeVisible());
  await settle(page);
  const kept = await keptShoot(page, 'demo-alder-reach');
  const house = kept.features.find(({ name }) => name === 'House window');
  expect(house).toMatchObject({ windows: [{ wall: 2, pane: 'doubleGlass', sillM: 0.9 }] });
  await page.reload();
  await expect(headline(page)).toBeVisible();
  await inAnswer(page, (answer) => expect(answer.getByText(said)).toBeVisible());
});

test(
  'every shade on a mark is told by its owner, its hours and its last day',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-alder-reach/day');
    const shade = page.getByRole('list', { name: 'Shade on Near perch' });
    await expect(shade.getByRole('listitem')).toHaveText([
      /^Valley side05:34 to 06:10, until 10 September\.$/,
    ]);
    // Where it turns in the light the same is said.
    await goTo(page, 'Light');
    await page.getByRole('button', { name: /^What turns when/ }).click();
    await expect(page.getByRole('dialog').getByRole('listitem').last()).toHaveText(
      /^Valley side05:34 to 06:10, until 10 September\.$/,
    );
  },
);

test('a branch before the bird is told, and cut by a press @once', async ({ page }) => {
  await openDrawing(page, 'demo-alder-reach');
  await take(page, 'Branch');
  // From north to south, across the view from the hide.
  await tapPlan(page, 0.5, 0.5);
  await tapPlan(page, 0.5, 0.6);
  await button(page, 'Finish').click();
  const { marks, positions } = await keptShoot(page, 'demo-alder-reach');
  const [bird, seat] = [marks, positions].map((list) => list[0] as { x: number; y: number });
  if (!bird || !seat) throw new Error('must be there');
  // A metre before the bird, level with it.
  const share = 1 / Math.hypot(seat.x - bird.x, seat.y - bird.y);
  await fill(page, 'East of the middle, m', (bird.x + (seat.x - bird.x) * share).toFixed(2));
  await fill(page, 'North of the middle, m', (bird.y + (seat.y - bird.y) * share).toFixed(2));
  await fill(page, 'Height at its stem, m', '1.2');
  await fill(page, 'Height at its tip, m', '1.2');
  await expect(page.getByText(/^It hides \d+ % of Near perch from Hide window\.$/)).toBeVisible();
  await expect(page.getByText(/leave it while birds nest there\.$/)).toBeVisible();
  await button(page, 'Done drawing').click();

  const here = page.getByRole('region', { name: 'Where you stand' });
  await expect(here).toContainText(/Branch hides [4-9]\d %\./);
  const cut = here.getByRole('button', { name: /^Cut Branch: \d+$/ });
  await expect(here.getByText(/leave it while birds nest there\.$/)).toBeVisible();
  const promised = Number(/\d+$/.exec((await cut.textContent()) ?? '')?.[0]);
  await cut.click();
  await expect(here).not.toContainText('Branch hides');
  await expect(here.getByText(String(promised), { exact: true })).toBeVisible();
  await button(page, 'Undo').click();
  await expect(here).toContainText(/Branch hides/);
  await settle(page);
  await page.reload();
  await expect(here).toContainText(/Branch hides/);
});

test('a perch between cover and food: where it should stand, which end is landed on, what rivals it @once', async ({
  page,
}) => {
  const made = { ground: 'Garden feeder', at: '52.2, 0.5', date: '2027-03-06' };
  await makeShoot(page, { ...made, start: '08:00', end: '11:00' });
  await groundTool(page, 'Draw');
  const perch = page.getByRole('region', { name: 'The perch' });
  const select = (name: string) =>
    page.getByRole('button', { name: new RegExp(`^Select ${name}`) }).click();
  // Birds come out of the hedge instead.
  await select('Bush');
  await fill(page, 'East of the middle, m', '7.5');
  await fill(page, 'North of the middle, m', '16');
  await expect(perch).toContainText(
    /The last stop on the way from Bush: \d+ cm before Feeder\. A bird sits there more likely, but the picture is a worse one: \d+ of 100 there, \d+ where it is\./,
  );
  const put = perch.getByRole('button', { name: /^Put the perch there all the same: \d+$/ });
  const promised = Number(/\d+$/.exec((await put.textContent()) ?? '')?.[0]);
  await put.click();
  await expect(put).toBeHidden();
  await button(page, 'Deselect').click();

  // A stick in place of the post, and the bird at the end towards its cover.
  await select('Placed perch');
  await page.getByRole('radio', { name: 'Stick, level' }).click();
  await expect(perch).toContainText('Likely the N end, towards the cover it comes from.');
  await perch.getByRole('radio', { name: 'N end' }).click();
  await expect(perch).toContainText(
    /The S end is \d+ cm nearer: a bird there comes out soft, [\d.]+ times over what counts as sharp\./,
  );
  await perch.getByRole('button', { name: /^Turn it to \d{3}° [NESW]+: both ends sharp$/ }).click();
  await expect(perch).toContainText(/The [NESW]+ end is sharp too\./);
  await button(page, 'Undo').click();
  await button(page, 'Undo').click();
  await button(page, 'Deselect').click();

  // Something else to land on is named, and taken away by a press.
  await take(page, 'Perch');
  await tapPlan(page, 0.5, 0.5);
  await expect(page.getByRole('heading', { name: 'Perch', exact: true })).toBeVisible();
  await fill(page, 'East of the middle, m', '0.4');
  await fill(page, 'North of the middle, m', '6.3');
  await button(page, 'Deselect').click();
  await select('Placed perch');
  await perch.getByRole('button', { name: 'Take away Perch' }).click();
  await expect(perch).toContainText('one landing place');
  await button(page, 'Done drawing').click();
  const here = page.getByRole('region', { name: 'Where you stand' });
  await expect(here.getByText(String(promised), { exact: true })).toBeVisible();
  await settle(page);
  await page.reload();
  await expect(here.getByText(String(promised), { exact: true })).toBeVisible();
});

test('a large animal is framed whole or in part, each by a press, and what of it is set off is told @once', async ({
  page,
}) => {
  const made = { ground: 'Large animal', at: '52.2, 0.5', date: '2027-10-06' };
  await makeShoot(page, { ...made, start: '09:00', end: '11:00' });
  const here = page.getByRole('region', { name: 'Where you stand' });
  await expect(here).toContainText('56.6 m · fills 58 %');
  await groundTool(page, 'Frame');
  const parts = page.getByRole('region', { name: 'Whole or part' });
  await expect(parts).toContainText('Set off from what is behind: head and neck, not the whole.');
  await expect(parts).toContainText(
    /Head and neck ?Wants 2014 mm from here\. Your lens frames it from 16\.9 m, washed out behind/,
  );
  await parts.getByRole('button', { name: /^Three quarters/ }).click();
  await page.keyboard.press('Escape');
  await expect(here).toContainText('56.6 m · fills 82 %');
});

test(
  'a bank is drawn as heights along a line: how high one stands on it, what it hides, once a ground',
  { tag: '@once' },
  async ({ page }) => {
    await openDrawing(page, 'demo-alder-reach');
    const { marks, positions } = await keptShoot(page, 'demo-alder-reach');
    const [bird, seat] = [marks, positions].map((list) => list[0] as { x: number; y: number });
    if (!bird || !seat) throw new Error('must be there');
    await take(page, 'Slope');
    await tapPlan(page, 0.4, 0.6);
    await tapPlan(page, 0.4, 0.4);
    await button(page, 'Finish').click();
    const corner = async ({ x, y }: { x: number; y: number }, heightM: string) => {
      await fill(page, 'Corner east, m', x.toFixed(2));
      await fill(page, 'Corner north, m', y.toFixed(2));
      await fill(page, 'Ground here, m', heightM);
    };
    // From the bird up to the hide: 3 m.
    await corner(bird, '0');
    await button(page, 'The corner after').click();
    await corner(seat, '3');
    await expect(
      page.getByText(
        /^Hide window stands (2\.[5-9]|3\.0) m over the lowest ground, .* Near perch 0\.0 m\.$/,
      ),
    ).toBeVisible();
    await expect(page.getByText(/^The camera is 2\.[5-9] m over Near perch\.$/)).toBeVisible();
    await button(page, 'Deselect').click();
    await button(page, 'Add to the ground').click();
    await expect(page.getByRole('button', { name: 'Slope', exact: true })).toBeDisabled();
    await page.keyboard.press('Escape');
    await button(page, 'Done drawing').click();

    await groundTool(page, 'Side');
    const side = page.getByRole('img', { name: /over the lowest ground/ });
    await expect(side).toBeVisible();
    await settle(page);
    await page.reload();
    await expect(page.getByRole('region', { name: 'Where you stand' })).toBeVisible();
    const kept = await keptShoot(page, 'demo-alder-reach');
    expect(kept.features).toContainEqual(
      expect.objectContaining({ kind: 'slope', heightsM: [0, 3] }),
    );
  },
);

test(
  'coming near: from how far it looked up, the way in, how often it comes, a press deeper',
  { tag: '@once' },
  async ({ page }) => {
    await opensAt(page, '2027-05-08T05:40:00Z');
    await page.goto('/shoot/demo-alder-reach/field');
    const tags = page.getByRole('group', { name: 'Tags' });
    await tags.getByRole('button', { name: 'looks up', exact: true }).click();
    await goTo(page, 'Day');
    const row = page.getByRole('list', { name: 'Coming near' }).getByRole('button');
    await expect(row).toContainText('It looked up once, from 9.8 m: stay farther off');
    await row.click();
    const sheet = page.getByRole('dialog', { name: 'Coming near' });
    await expect(sheet).toContainText('Way in, 5.4 m: none of it in sight of Near perch.');
    await expect(sheet).toContainText(
      /It comes every 28 min, half the times after 20 min to 37 min/,
    );
    await expect(sheet).toContainText('Any change in what it does means too near');
  },
);

test(
  'a curtain narrows what a lens swings over, and is opened again',
  { tag: '@once' },
  async ({ page }) => {
    await openDrawing(page, 'demo-alder-reach');
    await button(page, 'Select Hide').click();
    const seat = page.getByRole('group', { name: 'Hide window', exact: true });
    const swingDeg = async (): Promise<number> => {
      const said = /swings (\d+)° \w+ to (\d+)°/.exec(await seat.innerText());
      return (Number(said?.[2]) - Number(said?.[1]) + 360) % 360;
    };
    const open = await swingDeg();
    expect(open).toBeGreaterThan(90);
    const window = page.getByRole('group', { name: /^Window/ }).first();
    await expect(window).toContainText('your shape shows in it');
    await window.getByRole('button', { name: 'Draw a curtain to a gap' }).click();
    await fill(page, 'Gap in the curtain, m', '0.4');
    await expect.poll(swingDeg).toBeLessThan(open - 20);
    await button(page, 'Open the curtain').click();
    await expect.poll(swingDeg).toBe(open);
  },
);

test(
  'on a shore the tide says when it is at the seat, and Field half an hour before',
  { tag: '@once' },
  async ({ page }) => {
    await openDrawing(page, 'demo-alder-reach');
    const { marks, positions } = await keptShoot(page, 'demo-alder-reach');
    await take(page, 'Slope');
    await tapPlan(page, 0.4, 0.6);
    await tapPlan(page, 0.4, 0.4);
    await button(page, 'Finish').click();
    for (const [spot, heightM] of [
      [marks[0], '0'],
      [positions[0], '3'],
    ] as const) {
      await fill(page, 'Corner east, m', (spot?.x ?? 0).toFixed(2));
      await fill(page, 'Corner north, m', (spot?.y ?? 0).toFixed(2));
      await fill(page, 'Ground here, m', heightM);
      if (heightM === '0') await button(page, 'The corner after').click();
    }
    await button(page, 'Done drawing').click();
    await goTo(page, 'Day');
    for (const [kind, name, at, waterM] of [
      ['Low tide', 'Low water', '4:00', '0,4'],
      ['High tide', 'High water', '10:00', '3.6'],
    ] as const) {
      await button(page, 'Add a time').click();
      await page.getByRole('radio', { name: kind }).click();
      await field(page, 'What to call it').fill(name);
      await field(page, 'At').fill(at);
      const water = field(page, 'Water over the lowest ground, m');
      await water.fill('200');
      await expect(page.getByText('a height from −20 to 20 m, or nothing')).toBeVisible();
      await water.fill(waterM);
      await button(page, 'Add the time').click();
    }
    // 2.0 − 1.6·cos(π·(t − 4)/6) comes to the hide's floor, a little under 3 m, a few minutes after eight.
    await expect(page.getByRole('region', { name: 'The water' })).toContainText(
      /Water at Hide window, 2\.[6-9] m up: 0(7:[45]|8:[01])\d to 10:00\./,
    );
    await settle(page);
    // A quarter of an hour before the water, when the half hour is over, it still stands there.
    await opensAt(page, '2027-05-08T06:55:00Z');
    await page.goto('/shoot/demo-alder-reach/field');
    await expect(page.getByText('Off Hide window: the water comes').first()).toBeVisible();
  },
);

test(
  'damp still air: dew on what stands open, and when, is told in Kit',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-alder-reach/kit/weather');
    const wind = page.getByRole('slider', { name: 'Wind' });
    await expect(wind).toBeVisible();
    await expect(page.getByText(/^Dew on an open lens/)).toHaveCount(0);
    await wind.press('Home');
    await page.getByRole('slider', { name: 'Humidity' }).press('End');
    // Kit as warm as the house stays dry till it has cooled; out of a cold car it is wet at once.
    await expect(page.getByText(/^Dew on an open lens/)).toHaveCount(0);
    await page.getByRole('slider', { name: 'The kit comes from' }).press('Home');
    await expect(page.getByText(/^Dew on an open lens \d\d:\d\d to \d\d:\d\d/)).toBeVisible();
  },
);
