import type { Page } from '@playwright/test';
import { expect, goTo, headline, part, stepName, test } from './app';
import { violationsOf } from './axe';
import { cutText } from './boxes';
import { openField } from './field';

/** Controls that are called otherwise than the words on them: who speaks to the page can't press them. */
const misnamed = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const plain = (text: string) =>
      text
        .toLowerCase()
        .replace(/[^\p{L}\p{N}]+/gu, ' ')
        .trim();
    /** Words on a control, but for those that describe it or are hidden. */
    const wordsOn = (control: Element): string => {
      const apart = (control.getAttribute('aria-describedby') ?? '').split(' ');
      const copy = control.cloneNode(true) as Element;
      copy.querySelectorAll('[aria-hidden=true]').forEach((hidden) => hidden.remove());
      copy.querySelectorAll('[id]').forEach((part) => apart.includes(part.id) && part.remove());
      return [...copy.querySelectorAll('*'), copy]
        .flatMap((part) => [...part.childNodes].filter((node) => node.nodeType === 3))
        .map((node) => node.textContent)
        .join(' ');
    };
    const controls = 'button, a, [role=button], [role=link], [role=radio], [role=checkbox]';
    return [...document.querySelectorAll(controls)].flatMap((control) => {
      const name = control.getAttribute('aria-label');
      if (name === null) return [];
      const words = plain(wordsOn(control)).split(' ');
      const called = plain(name).split(' ');
      return words[0] === '' || words.every((word) => called.includes(word)) ? [] : [name];
    });
  });

type Look = () => Promise<void>;
const pressTab = (page: Page, name: string) => part(page, name).click();

/** The steps before the day, each at its tabs; looked at one after the other. */
async function throughPlanning(page: Page, look: Look): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('listitem')).toHaveCount(3);
  await look();
  const tabs = {
    brief: [],
    ground: [],
    light: [],
    settings: ['Card', 'Slots', 'Motion', 'Focus', 'Reasons'],
    kit: ['Bag', 'Frames', 'Weather', 'Pack'],
  };
  for (const [step, names] of Object.entries(tabs)) {
    if (step === 'brief') await page.goto(`/shoot/demo-larkmoor/${step}`);
    else await goTo(page, stepName(step));
    await expect(headline(page)).toBeVisible();
    await look();
    for (const name of names) {
      await pressTab(page, name);
      await page.waitForTimeout(300);
      await look();
    }
  }
}

/** The day, and what comes of it. */
async function throughTheDay(page: Page, look: Look): Promise<void> {
  await page.goto('/shoot/demo-tern-water/day');
  await expect(page.getByText(/^On programme\. Shoots/)).toBeVisible();
  await look();
  for (const name of ['Route', 'Rules']) {
    await pressTab(page, name);
    await look();
  }
  // Tides and visits are for those who wait for something wild.
  await expect(part(page, 'Nature')).toHaveCount(0);
  await page.goto('/shoot/demo-alder-reach/day');
  await expect(part(page, 'Nature')).toBeVisible();
  await look();
  await openField(page, 'demo-larkmoor');
  await look();
  await goTo(page, 'Log');
  await page.getByRole('button', { name: 'Read the demo’s pictures' }).click();
  await page.getByRole('button', { name: 'Set it right' }).click();
  await look();
  for (const name of ['Names', 'Even out', 'Entries', 'Taught']) {
    await pressTab(page, name);
    await look();
  }
}

/** Every drill. */
async function throughPractice(page: Page, look: Look): Promise<void> {
  await page.goto('/shoot/demo-larkmoor/practice');
  for (const drill of ['Today', 'Pan', 'Moment', 'Blur', 'Stops', 'Eye', 'Stand']) {
    await pressTab(page, drill);
    await page.waitForTimeout(300);
    await look();
  }
  await page.goto('/practice');
  await expect(page.getByRole('region', { name: 'Warm-up' })).toBeVisible();
  await look();
}

/** Sheets, tables and forms. */
async function throughSheets(page: Page, look: Look): Promise<void> {
  await page.goto('/shoot/demo-larkmoor/draw');
  await page.getByRole('button', { name: 'Select Wire fence' }).click();
  await expect(page.getByLabel('Mesh, mm')).toBeVisible();
  await look();
  await page.goto('/shoot/demo-larkmoor/kit');
  await page.getByRole('button', { name: /^Lens / }).click();
  await expect(page.getByRole('radiogroup', { name: 'Lens' })).toBeVisible();
  await look();
  await page.keyboard.press('Escape');
  await goTo(page, 'Ground');
  for (const [press, within] of [
    [/: show all steps$/, 'Steps'],
    ['When', 'When the face is lit'],
    ['Frame', 'What is in the frame'],
    ['Side', 'From the side'],
    ['Compare', 'Positions side by side'],
    [/^1\/\d+/, 'The answer'],
  ] as const) {
    await page.getByRole('button', { name: press, exact: typeof press === 'string' }).click();
    await expect(page.getByRole('dialog', { name: within })).toBeVisible();
    await page.waitForTimeout(400);
    await look();
    await page.keyboard.press('Escape');
  }
  for (const [step, press] of [
    ['light', /^Change lamps/],
    ['light', /^When each shot ends/],
    ['brief', /^Add a shot/],
    ['brief', /^Client and access/],
    ['brief', /^What, where and when/],
  ] as const) {
    await goTo(page, stepName(step));
    await page.getByRole('button', { name: press }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await look();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  await page.goto('/quick');
  await expect(headline(page)).toBeVisible();
  await look();
  await page.goto('/new');
  await page.getByRole('button', { name: 'Make the shoot' }).click();
  await expect(page.getByText(/things are still missing/)).toBeVisible();
  await look();
}

for (const [where, through] of [
  ['the steps before the day', throughPlanning],
  ['the day and the log', throughTheDay],
  ['every drill', throughPractice],
  ['sheets and forms', throughSheets],
] as const) {
  test(
    `axe finds nothing in ${where}, and no contrast too faint by day, in the dusk and in the hide`,
    { tag: '@once' },
    async ({ page }) => {
      test.slow();
      await through(page, async () => {
        expect(await violationsOf(page)).toEqual([]);
        expect(await misnamed(page)).toEqual([]);
        expect(await page.getByRole('main').count()).toBeLessThanOrEqual(1);
        expect(await page.getByRole('banner').count()).toBeLessThanOrEqual(1);
        // The sheets of the page know each brightness by classes of the root.
        for (const brightness of ['dark', 'dark hide']) {
          await page.evaluate((names) => {
            document.documentElement.classList.add(...names.split(' '));
          }, brightness);
          expect(await violationsOf(page, ['color-contrast'])).toEqual([]);
        }
        await page.evaluate(() => document.documentElement.classList.remove('dark', 'hide'));
      });
    },
  );
}

test('axe finds nothing where a wide screen differs', { tag: '@wide' }, async ({ page }) => {
  for (const at of ['larkmoor/ground', 'larkmoor/settings', 'tern-water/day']) {
    await page.goto(`/shoot/demo-${at}`);
    await page.waitForTimeout(1500);
    expect(await violationsOf(page)).toEqual([]);
  }
});

test(
  'the text spacing of WCAG and text twice as large cut nothing off',
  { tag: '@once' },
  async ({ page }) => {
    test.slow();
    const addresses = [
      '/',
      '/quick',
      '/new',
      '/shoot/demo-larkmoor/draw',
      '/shoot/demo-larkmoor/brief',
    ];
    const steps = ['Ground', 'Light', 'Settings', 'Kit', 'Day', 'Field', 'Log', 'Practice'];
    const opens: readonly (readonly [string, () => Promise<unknown>])[] = [
      ...addresses.map((at) => [at, () => page.goto(at)] as const),
      ...steps.map((step) => [step, () => goTo(page, step)] as const),
      ...['Pan', 'Stops'].map((drill) => [drill, () => pressTab(page, drill)] as const),
    ];
    for (const [at, open] of opens) {
      await open();
      await page.getByRole('button').nth(2).waitFor();
      await page.waitForTimeout(600);
      for (const css of [
        '* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important }',
        'html { font-size: 200% !important }',
      ]) {
        const style = await page.addStyleTag({ content: css });
        await page.waitForTimeout(300);
        expect({ at, css, cut: await cutText(page) }).toEqual({ at, css, cut: [] });
        const wide = await page.evaluate(() => document.documentElement.scrollWidth);
        expect(wide).toBeLessThanOrEqual(390);
        await style.evaluate((element) => (element as Element).remove());
      }
    }
  },
);

test('who asks for less motion gets none', { tag: '@once' }, async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto('/shoot/demo-larkmoor/kit');
  await page.getByRole('button', { name: /^Lens / }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  const moving = await page.evaluate(() => {
    const lasts = (time: string) => time.split(',').some((part) => parseFloat(part) > 0);
    return [...document.querySelectorAll('*')].filter((element) => {
      const { transitionDuration, animationDuration } = getComputedStyle(element);
      return lasts(transitionDuration) || lasts(animationDuration);
    }).length;
  });
  expect(moving).toBe(0);
});

test('what is touched is 48 px or more', async ({ page, isMobile }) => {
  const differing = [
    '/shoot/demo-larkmoor/settings',
    '/shoot/demo-larkmoor/field',
    '/shoot/demo-tern-water/day',
    '/shoot/demo-larkmoor/draw',
  ];
  const onPhone = [
    '/',
    '/new',
    '/quick',
    '/shoot/demo-larkmoor/kit',
    '/shoot/demo-larkmoor/brief',
    '/shoot/demo-larkmoor/light',
    '/shoot/demo-larkmoor/log',
  ];
  for (const address of isMobile ? [...onPhone, ...differing] : differing) {
    await page.goto(address);
    await page.getByRole('button').first().waitFor();
    await page.waitForTimeout(400);
    const small = await page.evaluate(() =>
      [
        ...document.querySelectorAll(
          'button, a, input, textarea, [role=button], [role=link], [role=radio], [role=slider], [role=checkbox]',
        ),
      ].flatMap((control) => {
        const { width, height } = control.getBoundingClientRect();
        const shown = width > 0 && height > 0 && getComputedStyle(control).visibility !== 'hidden';
        if (!shown || control.closest('[aria-hidden=true]')) return [];
        return Math.round(Math.min(width, height)) >= 48
          ? []
          : [`${control.getAttribute('aria-label') ?? control.textContent}: ${width} × ${height}`];
      }),
    );
    expect({ address, small }).toEqual({ address, small: [] });
  }
});

test('a sheet opens and closes by keys alone, and nothing is wider than the page', async ({
  page,
}) => {
  await page.goto('/shoot/demo-larkmoor/kit');
  await page.getByRole('button', { name: /^Body / }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  const wider = await page.evaluate(() => document.documentElement.scrollWidth > window.innerWidth);
  expect(wider).toBe(false);
});

test(
  'installable: manifest, icons, title and description',
  { tag: '@once' },
  async ({ page, request }) => {
    await page.goto('/');
    const href = await page.locator('link[rel=manifest]').getAttribute('href');
    const manifest = await (await request.get(href ?? '')).json();
    expect(manifest).toMatchObject({ name: 'Bright Perch', display: 'standalone', start_url: '/' });
    for (const { src, type } of manifest.icons) {
      const icon = await request.get(src);
      expect(icon.status()).toBe(200);
      expect(icon.headers()['content-type']).toContain(type);
    }
    await expect(page.locator('meta[name=description]')).toHaveAttribute(
      'content',
      /where to stand/,
    );
  },
);
