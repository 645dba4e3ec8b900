import { expect, headline, test, timeSlider } from './app';

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

/** What a page fetches of the app until it rests, as sent with brotli; a shoot with the steps beside it. */
for (const [what, address, stands, budgetBytes] of [
  ['the list', '/', { name: 'Safe keeping' }, 500_000],
  ['a shoot', '/shoot/demo-larkmoor/ground', { name: 'Answer', exact: true }, 717_000],
] as const)
  test(`${what} fetches only what it needs`, { tag: '@once' }, async ({ page }) => {
    const sizes = new Map<string, number>();
    page.on('response', (response) => {
      const { pathname } = new URL(response.url());
      if (!pathname.endsWith('.js')) return;
      sizes.set(pathname, Number(response.headers()['content-length']));
    });
    await page.goto(address);
    await page.getByRole('region', stands).waitFor();
    await page.waitForLoadState('networkidle');
    const sent = [...sizes.values()].reduce((sum, size) => sum + size, 0);
    expect(sent).toBeGreaterThan(BUDGET_BYTES);
    expect(sent).toBeLessThan(budgetBytes * 1.05);
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

test(
  'until a shoot is fetched it shows its title, its ground and what it last answered',
  { tag: '@once' },
  async ({ page, request }) => {
    const html = await (await request.get('/')).text();
    const first = new Set([...html.matchAll(/<script src="([^"]+)"/g)].map(([, src]) => src));
    let arrive = (): void => undefined;
    let arrived = Promise.resolve();
    const holdBack = () => (arrived = new Promise((resolve) => (arrive = resolve)));
    await page.route('**/_expo/static/js/web/*.js', async (route) => {
      if (!first.has(new URL(route.request().url()).pathname)) await arrived;
      await route.continue().catch(() => undefined);
    });
    const last = page.getByRole('region', { name: 'Answer as it was last seen' });
    const said = () => last.getByRole('img').getAttribute('aria-label');

    // The demo, before anything is kept.
    holdBack();
    await page.goto('/shoot/demo-larkmoor/light');
    await expect(page.getByText('Larkmoor, evening hockey')).toBeVisible();
    const shipped = (await said()) ?? 'nothing';
    arrive();
    await expect(headline(page)).toHaveAttribute('aria-label', shipped);
    await expect(last).toBeHidden();

    // What it says at another minute, once that has stood still.
    await timeSlider(page).press('End');
    await expect(headline(page)).not.toHaveAttribute('aria-label', shipped);
    const later = (await headline(page).getAttribute('aria-label')) ?? 'nothing';
    await page.waitForTimeout(2500);
    holdBack();
    await page.reload();
    await expect(last).toBeVisible();
    expect(await said()).toBe(later);
    arrive();
    await expect(headline(page)).toHaveAttribute('aria-label', later);
  },
);
