import type { Page } from '@playwright/test';
import { cutText, overlapping } from './boxes';
import { expect, goTo, part, settle, test } from './app';
import {
  keeperButton,
  keepersShown,
  keptShoot,
  openField,
  opensAt,
  planInHand,
  settingsNow,
  take,
} from './field';
import { fillUp, makeRoom } from './kept';

const now = (page: Page) => page.getByRole('region', { name: 'Now and next' });
const dials = async (page: Page) => (await settingsNow(page).getAttribute('aria-label')) ?? '';

test(
  'on the day it goes with the clock: what is on, what comes, and how long until then',
  { tag: '@once' },
  async ({ page }) => {
    await opensAt(page, '2027-04-16T18:13:56Z');
    await openField(page, 'demo-larkmoor');
    await expect(now(page).getByRole('heading')).toHaveText(/^19:1[34]:\d\d$/);
    await expect(now(page)).toContainText('Now: First quarter');
    await expect(now(page)).toContainText('Second call, Second quarter, 19:15');
    const left = async () =>
      (await now(page).getByRole('timer', { name: /^Next/ }).innerText()).replace('in ', '');
    const before = await left();
    await expect.poll(left).not.toBe(before);
    // The minute looked at goes on by itself.
    await expect
      .poll(async () => JSON.stringify(await keptShoot(page, 'demo-larkmoor')))
      .toContain('"atLocal":"2027-04-16T19:14"');
  },
);

test(
  'looking ahead stops the clock until one is back at now',
  { tag: '@once' },
  async ({ page }) => {
    await opensAt(page, '2027-04-16T18:20:00Z');
    await openField(page, 'demo-larkmoor');
    await expect(page.getByRole('slider', { name: 'Time', exact: true })).toBeHidden();
    // The plan's own shot comes into the hand first.
    await planInHand(page);
    const there = await dials(page);
    await page.getByRole('button', { name: 'Look ahead' }).click();
    const time = page.getByRole('slider', { name: 'Time', exact: true });
    await time.press('End');
    await expect.poll(() => dials(page)).not.toBe(there);
    await page.getByRole('button', { name: 'Back to now' }).click();
    await expect.poll(() => dials(page)).toBe(there);
  },
);

/** The screens that Field must fit without scrolling: an upright phone, a small one, one held level. */
const PHONES = [
  [390, 844],
  [360, 740],
  [844, 390],
  [320, 640],
] as const;

/** That all of Field lies inside the screen. */
async function expectAllInside(page: Page, width: number, height: number): Promise<void> {
  const parts = [
    ...[
      now(page),
      settingsNow(page),
      keeperButton(page),
      page.getByRole('group', { name: 'Tags' }),
    ],
    ...['Shot', 'From', 'Slot'].map((name) =>
      page.getByRole('button', { name: new RegExp(`^${name} `) }),
    ),
    page.getByRole('button', { name: /^Looked right/ }),
    page.getByRole('button', { name: 'Note', exact: true }),
  ];
  for (const part of parts) {
    const box = await part.boundingBox();
    if (!box) throw new Error('must be there');
    expect(box.y).toBeGreaterThanOrEqual(0);
    expect(box.y + box.height).toBeLessThanOrEqual(height);
    expect(box.x + box.width).toBeLessThanOrEqual(width);
  }
}

/** What is pressed in Field is for thumbs: targets of 56 px (48 on the narrowest), eight between any two. */
async function expectThumbed(page: Page, width: number): Promise<void> {
  const leastPx = width < 360 ? 48 : 56;
  const thumbed = page
    .getByRole('main')
    .getByRole('button')
    .and(page.locator(':not([aria-haspopup])'));
  const found = await thumbed.evaluateAll((buttons) =>
    buttons.map((one) => {
      const { x, y, width: w, height } = one.getBoundingClientRect();
      const name = one.getAttribute('aria-label') ?? (one as HTMLElement).innerText;
      return { name, x, y, width: w, height };
    }),
  );
  const pressed = found.filter(
    // Beside the clock, for looking ahead: no press of the thumb's work.
    (one) =>
      one.width > 0 && one.x + one.width <= width && !/Look ahead|Back to now/.test(one.name),
  );
  for (const one of pressed) {
    const least = Math.min(one.width, one.height) >= leastPx;
    expect({ name: one.name, least }).toEqual({ name: one.name, least: true });
  }
  expect(pressed.length).toBeGreaterThanOrEqual(10);
  for (const [i, a] of pressed.entries()) {
    for (const b of pressed.slice(i + 1)) {
      const across = Math.max(a.x, b.x) - Math.min(a.x + a.width, b.x + b.width);
      const along = Math.max(a.y, b.y) - Math.min(a.y + a.height, b.y + b.height);
      expect({ a: a.name, b: b.name, apart: Math.max(across, along) >= 7.5 }).toEqual({
        a: a.name,
        b: b.name,
        apart: true,
      });
    }
  }
}

for (const [shoot, moment] of [
  ['demo-larkmoor', '2027-04-16T18:20:00Z'],
  ['demo-alder-reach', '2027-05-08T05:10:00Z'],
  ['demo-tern-water', undefined],
] as const) {
  test(
    `all of Field is inside any phone, for ${shoot}, with targets of 56 px`,
    { tag: '@once' },
    async ({ page }) => {
      if (moment) await opensAt(page, moment);
      await openField(page, shoot);
      for (const [width, height] of PHONES) {
        await page.setViewportSize({ width, height });
        // Turned in the hand, it is laid out anew.
        await expect(async () => {
          await expectAllInside(page, width, height);
          await expectThumbed(page, width);
        }).toPass({ timeout: 10_000 });
        expect({ width, over: await overlapping(page), cut: await cutText(page) }).toEqual({
          width,
          over: [],
          cut: [],
        });
      }
    },
  );
}

test('all of Field is inside a wide screen', { tag: '@wide' }, async ({ page }) => {
  await opensAt(page, '2027-04-16T18:20:00Z');
  await openField(page, 'demo-larkmoor');
  await expect(() => expectAllInside(page, 1280, 800)).toPass({ timeout: 10_000 });
  expect({ over: await overlapping(page), cut: await cutText(page) }).toEqual({
    over: [],
    cut: [],
  });
});

test(
  'what is said in Field lies over no target, and is over on the next page',
  { tag: '@once' },
  async ({ page }) => {
    await opensAt(page, '2027-04-16T18:20:00Z');
    await openField(page, 'demo-larkmoor');
    await planInHand(page);
    await keeperButton(page).click();
    const said = await page.getByRole('status').boundingBox();
    const main = await page.getByRole('main').boundingBox();
    const first = await page.getByRole('button', { name: /^Shot / }).boundingBox();
    expect((said?.y ?? 0) + (said?.height ?? 0)).toBeLessThan(first?.y ?? 0);
    expect(main?.y).toBeGreaterThan(0);
    // The next press is its own.
    await keeperButton(page).click();
    await expect.poll(() => keepersShown(page)).toBe(2);
    await goTo(page, 'Log');
    await page.getByRole('button', { name: 'All shoots' }).click();
    await expect(page.getByRole('listitem')).toHaveCount(3);
  },
);

test(
  'a phone opened again during a shoot opens on Field; on any other day on the list and the ground',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/');
    await expect(page.getByRole('listitem')).toHaveCount(3);
    await opensAt(page, '2027-04-16T18:20:00Z');
    await page.goto('/');
    await expect(page).toHaveURL(/\/shoot\/demo-larkmoor\/field$/);
    await expect(settingsNow(page)).toBeVisible();
    await page.getByRole('button', { name: 'All shoots' }).click();
    await expect(page.getByRole('link', { name: /^Larkmoor/ })).toContainText('Now');
  },
);

test(
  'another shot, place and slot; each is written at once',
  { tag: '@once' },
  async ({ page }) => {
    await opensAt(page, '2027-04-16T18:20:00Z');
    await openField(page, 'demo-larkmoor');
    const frozen = await dials(page);
    await take(page, 'Shot', 'Counter-attack, panned');
    await expect.poll(() => dials(page)).not.toBe(frozen);
    await take(page, 'Slot', 'Action');
    const action = await dials(page);
    await take(page, 'Slot', 'Pan');
    await expect.poll(() => dials(page)).not.toBe(action);
    await take(page, 'From', 'East touchline, ahead of play');
    await page.reload();
    for (const name of [
      'Shot Counter-attack, panned',
      'Slot Pan',
      'From East touchline, ahead of play',
    ]) {
      await expect(page.getByRole('button', { name })).toBeVisible();
    }
  },
);

test(
  'a frame that looked dark is a reading: the dials answer, and undo takes it back',
  { tag: '@once' },
  async ({ page }) => {
    // In the first quarter ISO is above its base, so that it answers.
    await opensAt(page, '2027-04-16T18:10:00Z');
    await openField(page, 'demo-larkmoor');
    // The dials rest once Field has gone to the clock’s minute, and to where the plan has one then.
    await expect(page.getByRole('button', { name: 'From North-west corner, low' })).toBeVisible();
    let before = await dials(page);
    await expect(async () => {
      const earlier = before;
      await page.waitForTimeout(1500);
      before = await dials(page);
      expect(before).toBe(earlier);
    }).toPass();
    await page.getByRole('button', { name: /^Looked 1 stop dark/ }).click();
    await expect.poll(() => dials(page)).not.toBe(before);
    const iso = (label: string) => Number(/ISO (\d+)/.exec(label)?.[1]);
    expect(iso(await dials(page))).toBeGreaterThan(iso(before));
    await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
    await expect.poll(() => dials(page)).toBe(before);
  },
);

test(
  'keepers, people, what they do and notes are logged, and stand in the log',
  { tag: '@once' },
  async ({ page }) => {
    await opensAt(page, '2027-04-16T18:05:00Z');
    await openField(page, 'demo-larkmoor');
    await take(page, 'Shot', 'Strike at a penalty corner');
    await keeperButton(page).click();
    await expect(keeperButton(page)).toContainText('1 of 3');
    await page.getByRole('button', { name: '9 Number 9, home' }).click();
    await page.getByRole('button', { name: 'goal', exact: true }).click();
    await page.getByRole('button', { name: 'Note' }).click();
    await page.getByRole('textbox', { name: 'Note' }).fill('Left post, low');
    await page.getByRole('button', { name: 'Keep the note' }).click();
    await goTo(page, 'Log');
    await expect(page.getByRole('heading', { name: '1 keeper tapped' })).toBeVisible();
    await part(page, 'Entries').click();
    const entries = page.getByRole('list', { name: 'Log entries' });
    for (const what of ['Number 9, home', 'goal', 'Left post, low']) {
      await expect(entries).toContainText(what);
    }
    await expect(entries).not.toContainText('rehearsed');
    await page.getByRole('button', { name: /^Take away: Note/ }).click();
    await expect(entries).not.toContainText('Left post, low');
    await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
    await expect(entries).toContainText('Left post, low');
  },
);

test('a note is spoken where the browser hears', { tag: '@once' }, async ({ page }) => {
  await page.addInitScript(() => {
    // What a browser with speech recognition has; this one's answers are made up.
    (window as unknown as Record<string, unknown>).SpeechRecognition = class {
      onresult: ((event: unknown) => void) | undefined;
      onend: (() => void) | undefined;
      start() {
        setTimeout(() => {
          this.onresult?.({ results: [[{ transcript: 'lane four wins by a head' }]] });
          this.onend?.();
        }, 50);
      }
      abort() {
        this.onend?.();
      }
    };
  });
  await openField(page, 'demo-larkmoor');
  await page.getByRole('button', { name: 'Note' }).click();
  await page.getByRole('button', { name: 'Speak' }).click();
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveValue('lane four wins by a head');
  await page.getByRole('button', { name: 'Keep the note' }).click();
  await expect(page.getByRole('status')).toContainText('Note kept');
});

test(
  'the screen is held awake while Field is open, and let go after',
  { tag: '@once' },
  async ({ page }) => {
    await page.addInitScript(() => {
      const held = { now: 0 };
      Object.assign(window, { held });
      Object.defineProperty(navigator, 'wakeLock', {
        value: {
          request: async (kind: string) => {
            if (kind !== 'screen') throw new Error(kind);
            held.now += 1;
            return { release: async () => void (held.now -= 1) };
          },
        },
      });
    });
    const held = () =>
      page.evaluate(() => (window as unknown as { held: { now: number } }).held.now);
    await openField(page, 'demo-larkmoor');
    await expect.poll(held).toBe(1);
    await goTo(page, 'Light');
    await expect.poll(held).toBe(0);
  },
);

test(
  'a rehearsal is marked, is not counted, and can be cleared away',
  { tag: '@once' },
  async ({ page }) => {
    await openField(page, 'demo-larkmoor');
    await expect(now(page)).toContainText('Rehearsal of Friday 16 April 2027');
    await keeperButton(page).click();
    await goTo(page, 'Log');
    await expect(page.getByRole('heading', { name: 'Nothing logged yet' })).toBeVisible();
    await part(page, 'Entries').click();
    await expect(page.getByRole('list', { name: 'Log entries' })).toContainText('rehearsed');
    await page.getByRole('button', { name: 'Take away what was rehearsed (1)' }).click();
    await expect(page.getByRole('list', { name: 'Log entries' })).not.toContainText('rehearsed');
  },
);

test(
  'in two tabs at once neither overwrites the other',
  { tag: '@once' },
  async ({ page, context }) => {
    await openField(page, 'demo-larkmoor');
    const other = await context.newPage();
    await openField(other, 'demo-larkmoor');
    for (let i = 0; i < 2; i += 1) {
      await page.bringToFront();
      await keeperButton(page).click();
      await other.bringToFront();
      await expect.poll(() => keepersShown(other)).toBe(2 * i + 1);
      await keeperButton(other).click();
      await page.bringToFront();
      await expect.poll(() => keepersShown(page)).toBe(2 * i + 2);
    }
    await settle(page);
    const { log } = await keptShoot(page, 'demo-larkmoor');
    expect(log.entries.filter(({ kind }) => kind === 'keeper')).toHaveLength(4);
    await other.close();
  },
);

test(
  'with a full storage nothing is lost: it says so, and writes when there is room',
  {
    tag: '@once',
  },
  async ({ page }) => {
    await openField(page, 'demo-larkmoor');
    await settle(page);
    await fillUp(page);
    for (let i = 0; i < 3; i += 1) await keeperButton(page).click();
    await expect(page.getByRole('alert').filter({ hasText: 'Not saved' })).toBeVisible();
    expect(await keepersShown(page)).toBe(3);
    await makeRoom(page);
    await keeperButton(page).click();
    await expect(page.getByRole('alert').filter({ hasText: 'Not saved' })).toBeHidden();
    await page.reload();
    await expect.poll(() => keepersShown(page)).toBe(4);
  },
);
