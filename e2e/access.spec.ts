import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import { expect, headline, test } from './app';
import { openField } from './field';

const AXE = readFileSync(createRequire(__filename).resolve('axe-core/axe.min.js'), 'utf8');

interface Violation {
  readonly id: string;
  readonly impact: string | null;
  readonly nodes: readonly { readonly html: string }[];
}

/** What axe finds serious; in the dark scheme only what colours can do. */
async function seriousViolations(page: Page, rules?: readonly string[]): Promise<string[]> {
  await page.evaluate(AXE);
  const violations = await page.evaluate(
    async (only) =>
      (
        await (
          window as unknown as {
            axe: { run: (options: object) => Promise<{ violations: Violation[] }> };
          }
        ).axe.run(only ? { runOnly: only } : {})
      ).violations,
    rules,
  );
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`);
}

type Look = () => Promise<void>;
const pressTab = (page: Page, name: string) =>
  page.getByRole('radio', { name, exact: true }).click();

/** Every step, each at its tabs; looked at one after the other. */
async function throughSteps(page: Page, look: Look): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('listitem')).toHaveCount(3);
  await look();
  const tabs = {
    brief: [],
    ground: [],
    light: [],
    settings: ['Card', 'Motion', 'Focus'],
    kit: ['Bag', 'Frames', 'Weather', 'Pack'],
  };
  for (const [step, names] of Object.entries(tabs)) {
    await page.goto(`/shoot/demo-larkmoor/${step}`);
    await expect(headline(page)).toBeVisible();
    await look();
    for (const name of names) {
      await pressTab(page, name);
      await page.waitForTimeout(300);
      await look();
    }
  }
  await page.goto('/shoot/demo-tern-water/day');
  await expect(page.getByText(/^On programme\. Shoots/)).toBeVisible();
  await look();
  for (const name of ['Route', 'Rules']) {
    await pressTab(page, name);
    await look();
  }
  // Tides and visits are for those who wait for something wild.
  await expect(page.getByRole('radio', { name: 'Nature' })).toHaveCount(0);
  await page.goto('/shoot/demo-alder-reach/day');
  await pressTab(page, 'Nature');
  await look();
  await openField(page, 'demo-larkmoor');
  await look();
  await page.goto('/shoot/demo-larkmoor/log');
  await page.getByRole('button', { name: 'Read the demo’s pictures' }).click();
  await page.getByRole('button', { name: 'Set it right' }).click();
  await look();
  for (const name of ['Entries', 'Taught']) {
    await pressTab(page, name);
    await look();
  }
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
  await page.goto('/shoot/demo-larkmoor/ground');
  await page.getByRole('button', { name: 'See the day and the year' }).click();
  await expect(page.getByRole('img', { name: /^The year at / })).toBeVisible();
  await page.getByRole('button', { name: 'All positions and marks in figures' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await look();
  await page.goto('/quick');
  await expect(headline(page)).toBeVisible();
  await look();
  await page.goto('/new');
  await page.getByRole('button', { name: 'Make the shoot' }).click();
  await expect(page.getByText(/the title is empty/)).toBeVisible();
  await look();
}

test('axe finds nothing serious, light', { tag: '@once' }, async ({ page }) => {
  test.slow();
  const look = async () => expect(await seriousViolations(page)).toEqual([]);
  await throughSteps(page, look);
  await throughSheets(page, look);
});

test('axe finds no contrast too faint, dark', { tag: '@once' }, async ({ page }) => {
  test.slow();
  await page.emulateMedia({ colorScheme: 'dark' });
  // Sheets are made of the same texts and inks.
  await throughSteps(page, async () =>
    expect(await seriousViolations(page, ['color-contrast'])).toEqual([]),
  );
});

test(
  'axe finds nothing serious where a wide screen differs',
  { tag: '@wide' },
  async ({ page }) => {
    for (const at of ['larkmoor/ground', 'larkmoor/settings', 'tern-water/day']) {
      await page.goto(`/shoot/demo-${at}`);
      await page.waitForTimeout(1500);
      expect(await seriousViolations(page)).toEqual([]);
    }
  },
);

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
