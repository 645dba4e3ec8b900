import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import {
  expect,
  goTo,
  headline,
  inAnswer,
  part,
  readAnswer,
  settle,
  test,
  timeSlider,
} from './app';
import { pdfOf } from './pdf';

const SETTINGS = '/shoot/demo-larkmoor/settings';
const dial = (page: Page, name: string) => page.getByRole('spinbutton', { name, exact: true });

async function open(page: Page, at = SETTINGS): Promise<void> {
  await page.goto(at);
  await expect(headline(page)).toBeVisible();
}

/** Turns a dial by keys until it says what is wanted. */
async function turn(page: Page, name: string, key: 'ArrowUp' | 'ArrowDown', to: string) {
  for (let i = 0; i < 40; i += 1) {
    const said = (await dial(page, name).getAttribute('aria-valuetext')) ?? '';
    if (said === to) return;
    await dial(page, name).press(key);
    await expect(dial(page, name)).not.toHaveAttribute('aria-valuetext', said);
  }
  throw new Error(`${name} never said ${to}`);
}

test(
  'practice: weak floodlights at 1/1000 and f/2.8 ask for ISO 8000 to 10 000',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    await timeSlider(page).focus();
    await page.keyboard.press('End');
    await dial(page, 'Shutter').press('ArrowUp');
    await expect(dial(page, 'Shutter')).toHaveAttribute('aria-valuetext', '1/1250');
    await turn(page, 'Shutter', 'ArrowDown', '1/1000');
    await expect(page.getByText('exposed right')).toBeVisible();
    const { iso, aperture } = await readAnswer(page);
    expect(aperture).toBe(2.8);
    expect(iso).toBeGreaterThanOrEqual(8000);
    expect(iso).toBeLessThanOrEqual(10_000);
    await settle(page);
    await page.reload();
    await expect(dial(page, 'Shutter')).toHaveAttribute('aria-valuetext', '1/1000');
    await page.getByRole('button', { name: 'Back to automatic' }).click();
    await expect(page.getByRole('button', { name: 'Back to automatic' })).toBeHidden();
    await expect(page.getByRole('group', { name: 'Dials' })).toContainText('automatic: the least');
  },
);

/** Lamps under a roof, dials as practitioners set them, and the ISO they then report. */
const HALLS = [
  { lamps: 'Good hall, 300 lx', shutter: '1/1000', aperture: 'f/2.8', iso: [6400, 10_000] },
  { lamps: 'Dim hall, 175 lx', shutter: '1/1000', aperture: 'f/2.8', iso: [10_000, 12_800] },
  { lamps: 'Night stadium, 1300 lx', shutter: '1/1600', aperture: 'f/4', iso: [4000, 6400] },
] as const;

test(
  'practice: halls and a night stadium, entered and read',
  { tag: '@once' },
  async ({ page }) => {
    for (const { lamps, shutter, aperture, iso } of HALLS) {
      await open(page, '/shoot/demo-larkmoor/light');
      await page.getByRole('button', { name: 'Change sky' }).click();
      await page.getByRole('radio', { name: 'A roof' }).click();
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Change lamps' }).click();
      await page.getByRole('button', { name: /^Lamps / }).click();
      await page.getByRole('radio', { name: lamps }).click();
      await page.keyboard.press('Escape');
      await goTo(page, 'Settings');
      await timeSlider(page).focus();
      await page.keyboard.press('End');
      for (const [name, to] of [
        ['Shutter', shutter],
        ['Aperture', aperture],
      ] as const) {
        if (name === 'Shutter') {
          await dial(page, name).press('ArrowUp');
          await expect(page.getByRole('button', { name: 'Back to automatic' })).toBeVisible();
        }
        const said = Number((await dial(page, name).getAttribute('aria-valuetext'))?.split('/')[1]);
        const wanted = Number(to.split('/')[1]);
        await turn(page, name, wanted > said ? 'ArrowUp' : 'ArrowDown', to);
      }
      await expect(page.getByText('exposed right')).toBeVisible();
      // What was there before stands until the last press is answered.
      const within = async () => {
        const read = (await readAnswer(page)).iso;
        return read >= iso[0] && read <= iso[1] ? 'within' : read;
      };
      await expect.poll(within).toBe('within');
      await settle(page);
    }
  },
);

test('a dial is turned by thumb, held to repeat, and the others answer', async ({ page }) => {
  await open(page, `${SETTINGS}/reasons`);
  for (const drawn of [
    /^Shutter at 1\/2000\. body needs 1\/\d+, .*Rules of thumb: 1\/1000 rule/,
    /^Depth of field: [\d.]+ m sharp, 90 cm of it needed\. Boards along the east side: can be read/,
    /^ISO 160: clean, 0\.7 stop above base; you use up to ISO 6400/,
  ]) {
    await expect(page.getByRole('img', { name: drawn })).toBeVisible();
  }
  await expect(
    page.getByRole('list', { name: 'The schools side by side' }).getByRole('listitem'),
  ).toHaveCount(3);
  await part(page, 'Dials').click();
  await page.getByRole('button', { name: 'ISO: more' }).click();
  await expect(dial(page, 'ISO')).toHaveAttribute('aria-valuetext', 'ISO 200');
  const more = page.getByRole('button', { name: 'Aperture: more' });
  await more.scrollIntoViewIfNeeded();
  const box = await more.boundingBox();
  if (!box) throw new Error('no button');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.waitForTimeout(1000);
  await page.mouse.up();
  // A busy page may be a turn behind the thumb; then both say the same.
  await expect(async () => {
    const held = Number((await dial(page, 'Aperture').getAttribute('aria-valuetext'))?.slice(2));
    expect(held).toBeGreaterThanOrEqual(3.5);
    expect(await readAnswer(page)).toMatchObject({ aperture: held, iso: 200 });
  }).toPass();
});

test('half-stop dials turn by halves', { tag: '@once' }, async ({ page }) => {
  await open(page, '/shoot/demo-larkmoor/kit');
  await page.getByRole('radio', { name: 'Halves' }).click();
  await goTo(page, 'Settings');
  await dial(page, 'Shutter').press('ArrowUp');
  await expect(dial(page, 'Shutter')).toHaveAttribute(
    'aria-valuetext',
    /^1\/(1000|1500|2000|3000)$/,
  );
  await expect(headline(page)).toHaveAttribute('aria-label', /^1\/(1000|1500|2000|3000),/);
});

test(
  'the card: rows through the shoot, a picture for the lock screen, a page to print',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    await part(page, 'Card').click();
    const rows = page.getByRole('list', { name: 'Settings card' }).getByRole('listitem');
    await expect(rows.first()).toContainText('as you begin');
    expect(await rows.count()).toBeGreaterThan(6);
    await expect(rows.nth(1)).toContainText('ISO up 1 click: light falls to EV');
    await expect(page.getByText(/^Lamps take over at 20:\d\d\.$/)).toBeVisible();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save for the lock screen' }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('larkmoor-evening-hockey-card.png');
    const file = await readFile(await download.path());
    expect(file.subarray(1, 4).toString()).toBe('PNG');
    expect([file.readUInt32BE(16), file.readUInt32BE(20)]).toEqual([1080, 2340]);
    const card = await pdfOf(page, () =>
      page.getByRole('button', { name: 'Save as a PDF to print' }).click(),
    );
    expect(card.name).toBe('larkmoor-evening-hockey-card.pdf');
    expect(card.title).toBe('Settings card: Larkmoor, evening hockey');
    expect(card.language).toBe('en-GB');
    expect(card.pages).toHaveLength(1);
    expect(card.pages[0]).toMatch(/18:30\s+1\/2000\s+f\/2\.8\s+ISO 125\s+as you begin/);
    // Every row of the screen stands on the paper.
    for (const time of await rows.evaluateAll((all) =>
      all.map((row) => /\d\d:\d\d/.exec(row.textContent ?? '')?.[0] ?? 'no time'),
    )) {
      expect(card.pages[0]).toContain(time);
    }
    await part(page, 'Slots').click();
    await expect(
      page.getByRole('list', { name: 'Memory slots' }).getByRole('listitem'),
    ).toHaveCount(3);
  },
);

test('which mode, and why', { tag: '@once' }, async ({ page }) => {
  await open(page);
  await part(page, 'Card').click();
  const mode = page.getByRole('region', { name: 'Mode' });
  // Sun and stand shade on one field, three stops and more apart: too many clicks to turn.
  await expect(mode).toContainText('Manual with automatic ISO');
  await expect(mode).toContainText(/clicks: too many to turn by hand/);
  const limits = /ISO (\d+) to ISO (\d+) over all these places/;
  await expect(mode).toContainText(limits);
  const [, floor, ceiling] = limits.exec(await mode.innerText()) ?? [];
  // Places three stops apart ask for ISO eight times apart.
  expect(Number(ceiling)).toBeGreaterThan(Number(floor) * 6);
  await expect(mode).toContainText('compensation at 0');
  await timeSlider(page).focus();
  await page.keyboard.press('End');
  await expect(mode.getByRole('list', { name: 'Clicks for each place' })).toContainText(
    'Goalkeeper',
  );
});

test(
  'a pan: rungs with their chances, its swing, and one taken',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    await page.getByRole('button', { name: /^Shot / }).click();
    await page.getByRole('radio', { name: 'Counter-attack, panned' }).click();
    await part(page, 'Motion').click();
    const ladder = page.getByRole('radiogroup', { name: 'Pan ladder' });
    // Six rungs, and the time that is proposed.
    await expect(ladder.getByRole('radio')).toHaveCount(7);
    await expect(ladder).toContainText(/\d+ % sharp, \d+ frames? for a 90 % chance/);
    await expect(ladder).toContainText('Proposed: one frame in three');
    await expect(page.getByText(/^swing \d+°$/)).toBeVisible();
    await ladder.getByRole('radio', { name: /^1\/60/ }).click();
    await expect(headline(page)).toHaveAttribute('aria-label', /^1\/60,/);
    await expect(
      page.getByText(/^From here the whole swing is|the whole swing is \d+°/),
    ).toBeVisible();
    await expect(page.getByRole('list', { name: 'What moves' })).toContainText('panning mode');
    await part(page, 'Focus').click();
    await expect(page.getByRole('list', { name: 'Focus' })).toContainText('Press early by');
  },
);

test(
  'feet in place of metres, everywhere and after a reload',
  { tag: '@once' },
  async ({ page }) => {
    await open(page, '/shoot/demo-larkmoor/kit');
    const says = (far: string) => inAnswer(page, (answer) => expect(answer).toContainText(far));
    await says('23.9 m');
    await page.getByRole('radio', { name: 'Feet' }).click();
    // 23.9 m over 0.3048 m a foot.
    await says('78.3 ft');
    await page.reload();
    await expect(headline(page)).toBeVisible();
    await says('78.3 ft');
    await page.goto('/quick');
    await expect(page.getByLabel('Distance, ft')).toHaveValue('98.43');
    await page.getByLabel('Distance, ft').fill('50');
    await page.getByLabel('Distance, ft').press('Enter');
    await expect(page.getByLabel('Distance, ft')).toHaveValue('50');
  },
);
