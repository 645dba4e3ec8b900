import {
  expect,
  goTo,
  groundTool,
  headline,
  inAnswer,
  onPhone,
  openLarkmoor,
  part,
  positionHandle,
  readAnswer,
  settle,
  test,
  timeSlider,
} from './app';

test(
  'the first run shows the three demo shoots, and the first answers',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/');
    await expect(page).toHaveTitle('Shoots · Bright Perch');
    for (const title of [
      'Larkmoor, evening hockey',
      'Alder Reach, kingfisher hide',
      'Tern Water, sprint regatta',
    ]) {
      await expect(page.getByRole('link', { name: title })).toBeVisible();
    }
    await page.getByRole('link', { name: /^Larkmoor, evening hockey/ }).click();
    await expect(page).toHaveURL(/\/shoot\/demo-larkmoor\/ground$/);
    await expect(page).toHaveTitle('Larkmoor, evening hockey · Bright Perch');
    await expect(page.getByRole('img', { name: /^Ground plan/ })).toBeVisible();
    await expect(page.getByRole('img', { name: /^Ball lit/ }).first()).toBeVisible();
    await inAnswer(page, async (answer) => {
      await expect(
        answer.getByText(
          /^Good until 20:\d\d; at 20:45 \d\.\d stops? short\. \d\.\d stops in hand/,
        ),
      ).toBeVisible();
      await expect(answer.getByText(/^1\/2000: what a strike is best taken at\./)).toBeVisible();
    });
    await expect(page.getByText(/Sun 27\d° W/).first()).toBeVisible();
  },
);

test('each demo shoot opens and answers', { tag: '@once' }, async ({ page }) => {
  for (const id of ['demo-larkmoor', 'demo-alder-reach', 'demo-tern-water']) {
    await page.goto(`/shoot/${id}/ground`);
    await expect(headline(page)).toBeVisible();
    const { iso, ev, fillPct } = await readAnswer(page);
    expect(iso).toBeGreaterThanOrEqual(100);
    expect(ev).toBeGreaterThan(4);
    expect(fillPct).toBeGreaterThan(20);
  }
});

test('later is darker and asks for a higher ISO, by keys', { tag: '@once' }, async ({ page }) => {
  await openLarkmoor(page);
  const early = await readAnswer(page);
  await timeSlider(page).focus();
  await page.keyboard.press('PageDown');
  await expect(timeSlider(page)).toHaveAttribute('aria-valuetext', '18:35');
  for (let i = 0; i < 6; i += 1) await page.keyboard.press('PageUp');
  await expect(timeSlider(page)).toHaveAttribute('aria-valuetext', '20:05');
  const late = await readAnswer(page);
  expect(late.ev).toBeLessThan(early.ev - 3);
  expect(late.iso).toBeGreaterThan(early.iso * 8);
  await timeSlider(page).focus();
  await page.keyboard.press('End');
  await expect(timeSlider(page)).toHaveAttribute('aria-valuetext', '21:15');
  // What would mend it is pressed, holds, and is let go of.
  await inAnswer(page, async (answer) => {
    await expect(answer.getByText(/^\d\.\d stops? short of 1\/1000 at ISO 6400\.$/)).toBeVisible();
    const ways = answer.getByRole('group', { name: 'What would mend it' });
    await ways.getByRole('button', { name: /^ISO \d+, no lift$/ }).click();
    await expect(answer.getByText('Exposed right as you hold the dials.')).toBeVisible();
    await expect(ways).toBeHidden();
    await answer.getByRole('button', { name: 'Back to automatic' }).click();
    await expect(ways).toBeVisible();
  });
});

test('the ribbon is dragged, by finger or mouse, and the plan follows', async ({ page }) => {
  await openLarkmoor(page);
  const early = await readAnswer(page);
  const box = await timeSlider(page).boundingBox();
  if (!box) throw new Error('no ribbon');
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + box.width * 0.3, y);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.6, y, { steps: 8 });
  await page.mouse.move(box.x + box.width * 0.75, y, { steps: 4 });
  await page.mouse.up();
  await expect(timeSlider(page)).toHaveAttribute('aria-valuetext', /^20:[12]\d$/);
  const late = await readAnswer(page);
  expect(late.iso).toBeGreaterThan(early.iso);
  await expect(page.getByText(/below the horizon$/).first()).toBeVisible();
});

test(
  'nearer fills the frame more and asks for a faster shutter',
  { tag: '@once' },
  async ({ page }) => {
    await openLarkmoor(page);
    await timeSlider(page).focus();
    await page.keyboard.press('End');
    const far = await readAnswer(page);
    const box = await positionHandle(page).boundingBox();
    if (!box) throw new Error('no position');
    const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + 8, from.y + 7, { steps: 5 });
    await page.mouse.move(from.x + 13, from.y + 10, { steps: 5 });
    await page.mouse.up();
    const near = await readAnswer(page);
    expect(near.distanceM).toBeLessThan(far.distanceM - 3);
    expect(near.fillPct).toBeGreaterThan(far.fillPct);
    await goTo(page, 'Settings');
    await part(page, 'Reasons').click();
    await page.getByRole('radio', { name: 'Motion first' }).click();
    const motionNear = await readAnswer(page);
    expect(motionNear.shutterPerSecond).toBeGreaterThanOrEqual(far.shutterPerSecond);
  },
);

test(
  'the position moves by arrow keys, a metre or five, and stays moved after a reload',
  { tag: '@once' },
  async ({ page }) => {
    await openLarkmoor(page);
    const before = await readAnswer(page);
    await positionHandle(page).focus();
    await page.keyboard.press('Shift+ArrowLeft');
    await page.keyboard.press('ArrowUp');
    const after = await readAnswer(page);
    expect(after.distanceM).toBeGreaterThan(before.distanceM + 3);
    expect(after.fillPct).toBeLessThan(before.fillPct);
    await settle(page);
    await page.reload();
    await expect(headline(page)).toBeVisible();
    expect(await readAnswer(page)).toEqual(after);
  },
);

test('marks and positions are chosen by a tap on the plan, and a mark can be moved', async ({
  page,
}) => {
  await openLarkmoor(page);
  const first = await readAnswer(page);
  await page.getByRole('button', { name: /^Choose position Sideline/ }).click();
  await expect(
    page.getByRole('button', { name: /^Position Sideline.* to move it$/ }),
  ).toBeVisible();
  const sideline = await readAnswer(page);
  expect(sideline.distanceM).not.toBe(first.distanceM);
  await page.getByRole('button', { name: 'Choose mark Midfield, running up' }).click();
  const midfield = await readAnswer(page);
  expect(midfield.distanceM).not.toBe(sideline.distanceM);

  const mark = page.getByRole('button', { name: /^Mark Midfield.* to move it$/ });
  await mark.focus();
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('Shift+ArrowRight');
  const moved = await readAnswer(page);
  expect(moved.distanceM).toBeGreaterThan(midfield.distanceM + 8);
  await settle(page);
  await page.reload();
  await expect(headline(page)).toBeVisible();
  expect(await readAnswer(page)).toEqual(moved);

  // While it is dragged, its lengths to the two things nearest stand on the plan.
  const lengths = page.locator('svg').getByText(/^\d+\.\d m$/);
  await expect(lengths).toHaveCount(0);
  const box = await mark.boundingBox();
  if (!box) throw new Error('must be there');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 10, box.y - 20, { steps: 5 });
  await expect(lengths).toHaveCount(2);
  await page.mouse.up();
  await expect(lengths).toHaveCount(0);
});

test(
  'a position on the mark is refused in words, and one on the pitch is cautioned',
  { tag: '@once' },
  async ({ page }) => {
    await openLarkmoor(page);
    const handle = positionHandle(page);
    await handle.focus();
    for (const [key, times] of [
      ['ArrowRight', 17],
      ['ArrowDown', 17],
    ] as const) {
      for (let i = 0; i < times; i += 1) await page.keyboard.press(key);
    }
    await expect(page.getByText(/No answer from here/).first()).toBeVisible();
    await expect(
      page.getByText(/this lens focuses from 1\.2 m\. Move the position back/).first(),
    ).toBeVisible();
    for (let i = 0; i < 2; i += 1) await page.keyboard.press('Shift+ArrowUp');
    await expect(page.getByText(/^Caution: this stands on the field of play/)).toBeVisible();
    const keptOut = page
      .getByText(/^Caution: this stands inside .*(Run-off|Behind the goal)/)
      .first();
    for (let i = 0; i < 12 && !(await keptOut.isVisible()); i += 1) {
      await page.keyboard.press('ArrowUp');
      await page.waitForTimeout(60);
    }
    await expect(keptOut).toBeVisible();
  },
);

test(
  'body, lens, converter, subject, sky and lamps each change the answer',
  { tag: '@once' },
  async ({ page }) => {
    await openLarkmoor(page);
    const start = await readAnswer(page);
    const step = (name: string) => goTo(page, name);
    const deeper = async (name: string, how: () => Promise<void>) => {
      await page.getByRole('button', { name, exact: true }).click();
      await how();
      await page.keyboard.press('Escape');
    };
    const pick = async (label: string, option: string) => {
      await page.getByRole('button', { name: new RegExp(`^${label} `) }).click();
      // What is in the bag stands before the presets.
      await page.getByRole('radio', { name: option }).first().click();
      await expect(page.getByRole('radiogroup', { name: label, exact: true })).toBeHidden();
    };
    const converter = page.getByRole('radiogroup', { name: 'Converter', exact: true });

    await step('Kit');
    await converter.getByRole('radio', { name: '2x' }).click();
    const converted = await readAnswer(page);
    expect(converted.fillPct / start.fillPct).toBeCloseTo(2, 1);
    expect(converted.aperture).toBe(5.6);
    await converter.getByRole('radio', { name: 'None' }).click();
    await pick('Lens', '400 mm f/2.8');
    expect((await readAnswer(page)).fillPct / start.fillPct).toBeCloseTo(2, 1);
    await pick('Lens', '70–200 mm f/2.8');
    await pick('Body', '1.5x crop body, 20 MP');
    expect((await readAnswer(page)).fillPct).toBeGreaterThan(start.fillPct * 1.4);
    await pick('Body', 'Full-frame body, 24 MP');

    await step('Ground');
    const reasons = (pattern: RegExp) =>
      inAnswer(page, (answer) => expect(answer.getByText(pattern)).toBeVisible());
    await reasons(/strike is best taken at/);
    await deeper('Frame', () => pick('Subject', 'Player standing'));
    await inAnswer(page, (answer) =>
      expect(answer.getByText(/strike is best taken at/)).toBeHidden(),
    );
    await deeper('Frame', () => pick('Subject', 'Field player, running'));
    await reasons(/^1\/\d+: [^.]*\. The foot moves/);

    await step('Light');
    const clear = await readAnswer(page);
    await deeper('Change sky', () => page.getByRole('radio', { name: 'Overcast' }).click());
    const overcast = await readAnswer(page);
    expect(overcast.ev).toBeLessThan(clear.ev - 1);
    await deeper('Change sky', () => page.getByRole('radio', { name: 'Partly' }).click());
    await timeSlider(page).focus();
    await page.keyboard.press('End');
    const weak = await readAnswer(page);
    await deeper('Change lamps', () => pick('Lamps', 'Night stadium, 1300 lx'));
    expect((await readAnswer(page)).ev).toBeGreaterThan(weak.ev + 2);
    await deeper('Change lamps', () => pick('Lamps', 'No lamps'));
    expect((await readAnswer(page)).ev).toBeLessThan(weak.ev);
  },
);

test('the other schools show what they would set', { tag: '@once' }, async ({ page }) => {
  await openLarkmoor(page);
  await timeSlider(page).focus();
  await page.keyboard.press('End');
  await goTo(page, 'Settings');
  const balanced = await readAnswer(page);
  await part(page, 'Reasons').click();
  await page.getByRole('radio', { name: 'Quality first' }).click();
  const quality = await readAnswer(page);
  // Under the lamps it is short: quality first slows the shutter where balanced lifts.
  expect(quality.iso).toBeLessThanOrEqual(balanced.iso);
  expect(quality.shutterPerSecond).toBeLessThan(balanced.shutterPerSecond);
  await part(page, 'Dials').click();
  await expect(page.getByRole('heading', { name: 'Where the stops go' })).toBeVisible();
  await expect(page.getByText(/^-?−\d+\.\d shutter$/)).toBeVisible();
});

test('the address says shoot and step; back goes back', { tag: '@once' }, async ({ page }) => {
  await openLarkmoor(page);
  await goTo(page, 'Light');
  await expect(page).toHaveURL(/\/light$/);
  await goTo(page, 'Kit');
  await expect(page).toHaveURL(/\/kit$/);
  await page.goBack();
  await expect(page.getByRole('button', { name: 'Take a reading' })).toBeVisible();
  await page.goBack();
  await expect(page).toHaveURL(/\/ground$/);
  await page.goto('/shoot/demo-tern-water');
  await expect(page).toHaveURL(/\/shoot\/demo-tern-water\/ground$/);
  await page.goto('/shoot/nobody/ground');
  await expect(page.getByRole('heading', { name: 'No such shoot here' })).toBeVisible();
  await page.goto('/nowhere');
  await page.getByRole('button', { name: 'See all shoots' }).click();
  await expect(page.getByRole('heading', { name: 'Bright Perch' })).toBeVisible();
});

test('the brightness is remembered: day, dusk, hide', { tag: '@once' }, async ({ page }) => {
  await openLarkmoor(page);
  const paper = () =>
    page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor);
  await page.getByRole('button', { name: 'Show for the dusk' }).click();
  await expect.poll(paper).toBe('rgb(13, 16, 18)');
  await page.getByRole('button', { name: 'Show dark, for the hide' }).click();
  await expect.poll(paper).toBe('rgb(0, 0, 0)');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Show by day' })).toBeVisible();
  await expect.poll(paper).toBe('rgb(0, 0, 0)');
});

test(
  'from the side: the heights, what is behind the head, and the camera answers to it',
  { tag: '@once' },
  async ({ page }) => {
    await openLarkmoor(page);
    const see = () =>
      page
        .getByRole('button', { name: onPhone(page) ? 'Side' : 'See it from the side', exact: true })
        .click();
    const side = page.getByRole('dialog', { name: 'From the side' });
    await see();
    await expect(
      side.getByRole('img', { name: /^Camera at 1\.2 m, head at 1\.\d m, [\d.]+ m apart\./ }),
    ).toBeVisible();
    await page.keyboard.press('Escape');
    // As it closes it gives the keys back to what opened it.
    await expect(side).toBeHidden();
    await groundTool(page, 'Frame');
    await page.getByRole('slider', { name: 'Camera height' }).press('End');
    if (onPhone(page)) await page.keyboard.press('Escape');
    await see();
    await expect(side.getByText(/^Camera at 8\.0 m, .* Looking 1\d° down\.$/)).toBeVisible();
  },
);
