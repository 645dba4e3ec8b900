import { expect, test } from './app';

/**
 * What a phone must fetch before anything works, as sent with brotli: the page's own scripts. Grown by more than
 * five in a hundred it fails here; when it shrinks, the budget follows it down.
 */
const BUDGET_BYTES = 231_000;

test('the first scripts keep within their budget', { tag: '@once' }, async ({ request }) => {
  const headers = { 'accept-encoding': 'br' };
  const page = await (await request.get('/', { headers })).text();
  const scripts = [...page.matchAll(/<script src="([^"]+)"/g)].map(([, src]) => src ?? '');
  expect(scripts.length).toBeGreaterThan(1);
  const sizes = await Promise.all(
    scripts.map(async (src) => {
      const response = await request.get(src, { headers });
      expect(response.headers()['content-encoding'] ?? 'small').toMatch(/^(br|small)$/);
      return Number(response.headers()['content-length']);
    }),
  );
  const sent = sizes.reduce((sum, size) => sum + size, 0);
  expect(sent).toBeGreaterThan(100_000);
  expect(sent).toBeLessThan(BUDGET_BYTES * 1.05);
});

test('before any script the page shows its outline', { tag: '@once' }, async ({ page }) => {
  await page.route('**/*.js', (route) =>
    route.fulfill({ contentType: 'text/javascript', body: '' }),
  );
  await page.goto('/');
  await expect(page.getByRole('progressbar', { name: 'Opening Bright Perch' })).toBeVisible();
});

test(
  'keys skip to the content, and focus goes to a new screen’s heading',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/');
    await expect(page.getByRole('listitem')).toHaveCount(3);
    await page.keyboard.press('Tab');
    const skip = page.getByRole('button', { name: 'Skip to the content' });
    await expect(skip).toBeFocused();
    await expect(skip).toBeInViewport();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('main')).toBeFocused();
    await page.getByRole('link', { name: /^Larkmoor/ }).click();
    await expect(page.getByRole('heading', { level: 1, name: /^Larkmoor/ })).toBeFocused();
    await page.getByRole('button', { name: 'Frame', exact: true }).click();
    await expect(page.getByRole('dialog').getByRole('heading', { level: 2 })).toBeFocused();
  },
);
