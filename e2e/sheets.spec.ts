import type { Locator, Page } from '@playwright/test';
import { expect, goTo, headline, part, stepName, test, timeSlider } from './app';
import { opensAt } from './field';
import { cutText, inside, overlapping, screensLong, smallTargets, touchingNames } from './boxes';
import { keepText, keptText } from './kept';
import { newShoot } from '../src/records/new-shoot';
import { GROUND_TEMPLATES } from '../src/presets/grounds';

/**
 * What each step shows first, on phones held either way, on the narrowest and on a wide screen: by measured boxes.
 * Field has tests of its own (field.spec.ts).
 */

const SHOOTS = ['demo-larkmoor', 'demo-alder-reach', 'demo-tern-water'] as const;
const PHONES = [
  [390, 844],
  [360, 740],
  [844, 390],
  [320, 640],
] as const;

const region = (page: Page, name: string | RegExp) => page.getByRole('region', { name });
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });

/** What must be seen of each step without scrolling. */
const NAMED: Readonly<Record<string, (page: Page) => readonly Locator[]>> = {
  brief: (page) => [
    page.getByRole('heading', { name: /^In \d+ days$/ }),
    page.getByRole('list', { name: 'Shots' }).getByRole('listitem').first(),
  ],
  ground: (page) => [
    page.getByRole('img', { name: /^Ground plan/ }),
    region(page, 'Where you stand').getByRole('button').first(),
    page.getByRole('toolbar', { name: 'Ground' }),
  ],
  light: (page) => [
    page.getByRole('img', { name: /^Light on / }),
    button(page, 'Take a reading'),
    button(page, 'Walk the ground'),
  ],
  settings: (page) => [
    ...['Shutter', 'Aperture', 'ISO'].map((name) => page.getByRole('spinbutton', { name })),
    part(page, 'Card'),
    part(page, 'Focus'),
  ],
  kit: (page) => [
    page.getByRole('heading', { name: /^The bag serves / }),
    page.getByRole('list', { name: 'Shots and the bag' }).getByRole('listitem').first(),
    part(page, 'Weather'),
    part(page, 'Pack'),
  ],
  day: (page) => [region(page, 'Day').getByRole('heading'), part(page, 'Rules')],
  log: (page) => [region(page, 'What came of it').getByRole('heading'), part(page, 'Taught')],
  practice: (page) => [
    region(page, 'Warm-up').getByRole('listitem').first(),
    part(page, 'Pan'),
    part(page, 'Stand'),
  ],
};

/** What a wide screen shows between the step's work and the whole answer. */
const MIDDLE: Readonly<Record<string, (page: Page) => Locator>> = {
  brief: (page) => page.getByRole('img', { name: /^Ground plan/ }),
  ground: (page) => page.getByRole('img', { name: /^Ground plan/ }),
  light: (page) => page.getByRole('img', { name: /^Light on / }),
  settings: (page) => page.getByRole('heading', { name: 'Where the stops go' }),
  kit: (page) => page.getByRole('img', { name: /^Ground plan/ }),
};

/** What stands at the foot of every step but these two, where nothing hangs on the hour: answer, hours, way. */
const WITHOUT_ANSWER = ['log', 'practice'];
const foot = (page: Page) => [
  region(page, 'Answer').getByRole('button'),
  timeSlider(page),
  page.getByRole('navigation', { name: 'Steps' }),
];

/** As a person gets there: the app is loaded once. */
async function openStep(page: Page, shoot: string, step: string): Promise<void> {
  if (new URL(page.url(), 'http://none').pathname.startsWith(`/shoot/${shoot}/`)) {
    await goTo(page, stepName(step));
  } else {
    await page.goto(`/shoot/${shoot}/${step}`);
  }
  const last = (NAMED[step] ?? (() => []))(page)[0];
  if (last) await expect(last).toBeVisible({ timeout: 15_000 });
  // The light of the shots, the score of the place, the day: what comes from workers has come.
  await page.waitForTimeout(900);
}

/** That all wanted is on the screen, nothing lies over anything or is cut, and every target is a thumb's. */
async function expectFits(page: Page, step: string, wanted: readonly Locator[]): Promise<void> {
  const width = page.viewportSize()?.width ?? 0;
  const seen = async () => Promise.all(wanted.map((what) => inside(page, what)));
  await expect.poll(seen, { message: `${step} on ${width}` }).not.toContain(false);
  // A page that was just turned takes its time on a busy machine.
  const broad = () => page.evaluate(() => document.documentElement.scrollWidth);
  await expect.poll(broad, { message: `${step} on ${width}` }).toBe(width);
  expect({
    over: await overlapping(page),
    small: await smallTargets(page, 44),
    cut: await cutText(page),
    names: await touchingNames(page),
    at: `${step} on ${width}`,
  }).toEqual({ over: [], small: [], cut: [], names: [], at: `${step} on ${width}` });
}

for (const shoot of SHOOTS) {
  test(
    `${shoot} on every phone, turned in the hand: each step’s own work first, nothing over anything`,
    { tag: '@once' },
    async ({ page }) => {
      test.slow();
      for (const [step, named] of Object.entries(NAMED)) {
        await openStep(page, shoot, step);
        const wanted = [
          ...named(page),
          ...(WITHOUT_ANSWER.includes(step)
            ? [page.getByRole('navigation', { name: 'Steps' })]
            : foot(page)),
        ];
        for (const [width, height] of PHONES) {
          await page.setViewportSize({ width, height });
          await expectFits(page, step, wanted);
          if (width === 390) expect(await screensLong(page)).toBeLessThanOrEqual(2);
        }
        await page.setViewportSize({ width: 390, height: 844 });
      }
    },
  );
}

test('the plan takes 55 % of an upright phone', { tag: '@once' }, async ({ page }) => {
  await openStep(page, 'demo-tern-water', 'ground');
  const plan = await page.getByRole('img', { name: /^Ground plan/ }).boundingBox();
  expect((plan?.height ?? 0) / 844).toBeGreaterThanOrEqual(0.55);
  expect(plan?.width).toBe(390);
});

test(
  'at first sight no name on a plan touches another, on any ground',
  { tag: '@once' },
  async ({ page }) => {
    test.slow();
    await page.goto('/');
    await expect(page.getByRole('listitem')).toHaveCount(3);
    await expect.poll(() => keptText(page, 'bright-perch/shoot/demo-larkmoor')).not.toBeNull();
    for (const { id } of GROUND_TEMPLATES) {
      const shoot = newShoot(
        {
          title: `Plan of ${id}`,
          template: id,
          latitudeDeg: 52,
          longitudeDeg: -1,
          timeZone: 'Europe/London',
          bearingDeg: 20,
          startLocal: '2027-06-05T17:00',
          endLocal: '2027-06-05T19:00',
        },
        `ground-${id}`,
        '2026-11-27T12:00:00Z',
      );
      await keepText(page, `bright-perch/shoot/ground-${id}`, JSON.stringify(shoot));
    }
    // From shoot to shoot as a person goes, so that the app is loaded once.
    await page.reload();
    for (const { id } of GROUND_TEMPLATES) {
      await page.getByRole('link', { name: `Plan of ${id} In ` }).click();
      await expect(page).toHaveURL(new RegExp(`/ground-${id}/ground$`));
      await expect(headline(page)).toBeVisible();
      expect({ id, touching: await touchingNames(page) }).toEqual({ id, touching: [] });
      await page.goBack();
    }
  },
);

for (const shoot of SHOOTS) {
  test(
    `${shoot}: a wide screen keeps three columns, and gives each step the room its picture wants`,
    { tag: '@wide' },
    async ({ page }) => {
      for (const [step, named] of Object.entries(NAMED)) {
        await openStep(page, shoot, step);
        await expectFits(
          page,
          step,
          named(page).filter((_, i) => !(step === 'ground' && i === 2)),
        );
        const middle = MIDDLE[step]?.(page);
        if (!middle) continue;
        const [picture, answer] = [
          await middle.boundingBox(),
          await region(page, 'The whole answer').boundingBox(),
        ];
        expect(picture?.x).toBeGreaterThanOrEqual(340);
        expect((picture?.x ?? 1e4) + (picture?.width ?? 0)).toBeLessThanOrEqual(
          (answer?.x ?? 0) + 1,
        );
      }
    },
  );
}

test(
  'the way through the steps: neighbours, the list with what each lacks, a swipe',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/ground');
    await expect(headline(page)).toBeVisible();
    const steps = page.getByRole('navigation', { name: 'Steps' });
    await expect(steps.getByRole('link')).toHaveText(['Brief', 'Light']);
    await steps.getByRole('button', { name: 'Ground, step 2 of 9: show all steps' }).click();
    const list = page.getByRole('dialog', { name: 'Steps' });
    await expect(list.getByRole('link')).toHaveCount(9);
    await expect(list.getByRole('link', { name: /^Settings/ })).toContainText(
      /Lacking: short of light from 20:\d\d/,
    );
    await expect(list.getByRole('link', { name: /^Kit/ })).toContainText('Settled');
    await expect(list.getByRole('link', { name: /^Field/ })).toContainText('Not begun');
    await list.getByRole('link', { name: /^Kit/ }).click();
    await expect(page).toHaveURL(/\/kit$/);
    await expect(list).toBeHidden();
    await goTo(page, 'Brief');
    await expect(page).toHaveURL(/\/brief$/);
    await expect(page.getByRole('heading', { name: 'Brief: what is owed' })).toBeFocused();
  },
);

test(
  'the best advice is a button beside the plan, and does as it says',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/ground');
    const here = page.getByRole('region', { name: 'Where you stand' });
    const advice = here.getByRole('group', { name: 'What would better it' }).getByRole('button');
    await expect(advice.first()).toHaveText(/: \d+$/);
    const score = async () => Number(/(\d+)\s*of 100/.exec(await here.innerText())?.[1]);
    const before = await score();
    const promised = Number(/: (\d+)$/.exec(await advice.first().innerText())?.[1]);
    expect(promised).toBeGreaterThan(before);
    await advice.first().click();
    await expect.poll(score).toBe(promised);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect.poll(score).toBe(before);
  },
);

test(
  'marks that lie under one finger are asked for by name',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/ground');
    await expect(headline(page)).toBeVisible();
    // Seen from far off, all signs lie together.
    for (let i = 0; i < 6; i += 1) await page.getByRole('button', { name: 'Zoom out' }).click();
    const mark = page.getByRole('button', { name: 'Choose mark Goalkeeper' });
    const box = await mark.boundingBox();
    if (!box) throw new Error('must be there');
    await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
    const asked = page.getByRole('dialog', { name: 'Which one?' });
    await asked.getByRole('button', { name: /^Goalkeeper/ }).click();
    await expect(page.getByRole('button', { name: /^Mark Goalkeeper.* to move it$/ })).toHaveCount(
      1,
    );
    // By a key it is that very one.
    await page.getByRole('button', { name: 'Choose mark Midfield, running up' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: /^Mark Midfield.* to move it$/ })).toHaveCount(1);
  },
);

test(
  'a shoot past sunset without lamps asks for them at once',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/light');
    await page.getByRole('button', { name: 'Change lamps' }).click();
    await page.getByRole('button', { name: /^Lamps / }).click();
    await page.getByRole('radio', { name: 'No lamps' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(1);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByText(/^The sun sets at 20:0\d and no lamps are set\.$/)).toBeVisible();
    await page.getByRole('button', { name: 'Set the lamps' }).click();
    await page.getByRole('button', { name: /^Lamps / }).click();
    await page.getByRole('radio', { name: 'Weak floodlights, 245 lx' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(1);
    await page.keyboard.press('Escape');
    await expect(page.getByText(/no lamps are set/)).toBeHidden();
  },
);

test(
  'each step says its own: states of shots, shade by its owner, what the bag serves, what is next, what is owed',
  { tag: '@once' },
  async ({ page }) => {
    const shots = (list: string | RegExp) =>
      page.getByRole('list', { name: list }).getByRole('listitem');
    await page.goto('/shoot/demo-larkmoor/brief');
    await expect(shots('Shots').first()).toContainText(
      /works until 20:\d\d; then 1\/\d+ or ISO \d+/,
    );
    await expect(shots('Shots').nth(2)).toContainText('works to the end from Sideline');
    await expect(page.getByText(/by 23:00/)).toBeVisible();
    await expect(page.getByText('May not: flash, drones')).toBeVisible();
    await goTo(page, 'Ground');
    await page.getByRole('button', { name: 'Choose mark Midfield, running up' }).focus();
    await page.keyboard.press('Enter');
    await goTo(page, 'Light');
    await expect(page.getByText(/^shade of West stand 18:1\d$/)).toBeVisible();
    await goTo(page, 'Kit');
    await expect(
      page.getByRole('heading', { name: 'The bag serves all 5 shots promised.' }),
    ).toBeVisible();
    await expect(shots('Shots and the bag')).toHaveCount(5);
    await goTo(page, 'Day');
    await expect(region(page, 'Day')).toContainText(
      /Shoots 7 of 7 events(?:, \d+ from a weak place)?, all 2 promised/,
    );
    await expect(page.getByText(/15 m to walk, 1 minute\. Leave by 18:57/)).toBeVisible();
    await goTo(page, 'Log');
    await expect(region(page, 'What came of it')).toContainText(
      '0 of 5 promised shots are delivered',
    );
  },
);

test('past shoots stand below, with what was delivered', { tag: '@once' }, async ({ page }) => {
  await opensAt(page, '2027-05-01T12:00:00Z');
  await page.goto('/');
  const past = page.getByRole('list', { name: 'Past' });
  await expect(past.getByRole('listitem')).toHaveCount(1);
  await expect(past).toContainText(/^Larkmoor, evening hockey.*\d of \d shots delivered/);
  await expect(
    page.getByRole('list', { name: 'Shoots', exact: true }).getByRole('listitem'),
  ).toHaveCount(2);
});

test(
  'the list: what is next first, what is unsettled, the demo out and back in a press',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/');
    const first = page.getByRole('list', { name: 'Shoots' }).getByRole('listitem').first();
    await expect(first).toContainText(/^Larkmoor, evening hockeyIn \d+ daysFriday 16 April 2027/);
    await expect(first).toContainText('demo');
    await expect(first).toContainText(/Shots, place, kit and day settled|Unsettled: /);
    await page.getByRole('button', { name: 'Remove the demo' }).click();
    await expect(page.getByRole('listitem')).toHaveCount(0);
    await page.getByRole('button', { name: 'Bring back the demo' }).click();
    await expect(page.getByRole('listitem')).toHaveCount(3);
    await expect(page.getByRole('button', { name: 'Remove the demo' })).toBeVisible();
  },
);
