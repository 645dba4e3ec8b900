import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import { expect, headline, test } from './app';

const AXE = readFileSync(createRequire(__filename).resolve('axe-core/axe.min.js'), 'utf8');

interface Violation {
  readonly id: string;
  readonly impact: string | null;
  readonly nodes: readonly { readonly html: string }[];
}

async function seriousViolations(page: Page): Promise<string[]> {
  await page.evaluate(AXE);
  const violations = await page.evaluate(
    async () =>
      (
        await (
          window as unknown as { axe: { run: () => Promise<{ violations: Violation[] }> } }
        ).axe.run()
      ).violations,
  );
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`);
}

for (const scheme of ['light', 'dark'] as const) {
  const tag = scheme === 'dark' ? ['@once'] : [];
  test(`axe finds nothing serious, ${scheme}`, { tag }, async ({ page }) => {
    test.slow();
    await page.emulateMedia({ colorScheme: scheme });
    await page.goto('/');
    await expect(page.getByRole('listitem')).toHaveCount(3);
    expect(await seriousViolations(page)).toEqual([]);
    for (const step of ['brief', 'ground', 'light', 'settings', 'kit']) {
      await page.goto(`/shoot/demo-larkmoor/${step}`);
      await expect(headline(page)).toBeVisible();
      expect(await seriousViolations(page)).toEqual([]);
    }
    await page.goto('/shoot/demo-larkmoor/draw');
    await page.getByRole('button', { name: 'Select Wire fence' }).click();
    await expect(page.getByLabel('Mesh, mm')).toBeVisible();
    expect(await seriousViolations(page)).toEqual([]);
    await page.goto('/shoot/demo-larkmoor/kit');
    await page.getByRole('button', { name: /^Lens / }).click();
    await expect(page.getByRole('radiogroup', { name: 'Lens' })).toBeVisible();
    expect(await seriousViolations(page)).toEqual([]);
    await page.goto('/shoot/demo-larkmoor/settings');
    for (const tab of ['Card', 'Motion', 'Focus']) {
      await page.getByRole('radio', { name: tab, exact: true }).click();
      await page.waitForTimeout(300);
      expect(await seriousViolations(page)).toEqual([]);
    }
    await page.goto('/shoot/demo-larkmoor/ground');
    await page.getByRole('button', { name: 'See the day and the year' }).click();
    await expect(page.getByRole('img', { name: /^The year at / })).toBeVisible();
    await page.getByRole('button', { name: 'All positions and marks in figures' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    expect(await seriousViolations(page)).toEqual([]);
    await page.goto('/quick');
    await expect(headline(page)).toBeVisible();
    expect(await seriousViolations(page)).toEqual([]);
    await page.goto('/new');
    await page.getByRole('button', { name: 'Make the shoot' }).click();
    await expect(page.getByText(/the title is empty/)).toBeVisible();
    expect(await seriousViolations(page)).toEqual([]);
  });
}

test('what is touched is 48 px or more', async ({ page }) => {
  test.slow();
  for (const address of [
    '/',
    '/new',
    '/quick',
    '/shoot/demo-larkmoor/kit',
    '/shoot/demo-larkmoor/brief',
    '/shoot/demo-larkmoor/light',
    '/shoot/demo-larkmoor/settings',
    '/shoot/demo-larkmoor/draw',
  ]) {
    await page.goto(address);
    await page.waitForTimeout(600);
    for (const role of ['button', 'link', 'radio', 'slider', 'textbox'] as const) {
      for (const control of await page.getByRole(role).all()) {
        const box = await control.boundingBox();
        if (!box) continue;
        const name = await control.getAttribute('aria-label');
        expect(`${name} ${Math.round(Math.min(box.width, box.height)) >= 48}`).toBe(`${name} true`);
      }
    }
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
