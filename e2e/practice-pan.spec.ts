import { expect, test } from './app';
import { again, goEvenly, panPad, swingByMouse, triesOf, verdict } from './practice';

/** Pans followed by mouse, by finger, by keys and by the phone turned. */

test('a pan at home: followed by mouse, judged, seen, kept', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Practice', exact: true }).click();
  await page.getByRole('list', { name: 'Drills' }).getByRole('button', { name: /^Pan/ }).click();
  await expect(panPad(page)).toBeVisible();
  await expect(
    page.getByText(/^1\/250 at 200 mm: road cyclist, 18.0 m off, crosses at 38° a second/),
  ).toBeVisible();
  await swingByMouse(page);
  await expect(verdict(page)).toHaveText(/(sharp|Lost)/i);
  // The frame that swing made.
  await expect(page.getByRole('img', { name: /^The frame of that swing, 1\/250/ })).toBeVisible();
  await page.getByRole('button', { name: 'Beside an even one' }).click();
  await expect(
    page.getByRole('slider', { name: 'Where one frame ends and the other begins' }),
  ).toBeVisible();
  const [made] = await triesOf(page);
  expect(made).toMatchObject({ kind: 'pan', by: 'pointer' });
  // Even over the page is a fifth too slow in the middle, where it turns fastest; a busy machine moves it by jerks.
  expect(Math.abs(made?.rateError ?? 9)).toBeLessThan(0.7);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Your swings' })).toContainText('1 of 8 swings');
});

test('a finger follows, a second one presses', { tag: '@once' }, async ({ page }) => {
  await page.goto('/practice/pan');
  await expect(panPad(page)).toBeVisible();
  const box = await panPad(page).boundingBox();
  if (!box) throw new Error('no pad');
  const client = await page.context().newCDPSession(page);
  const [x0, y] = [box.x + 40, box.y + box.height / 2];
  const first = (x: number) => ({ x, y, id: 1 });
  const second = { x: box.x + 20, y: box.y + 20, id: 2 };
  const send = (
    type: 'touchStart' | 'touchMove' | 'touchEnd',
    touchPoints: readonly { x: number; y: number; id: number }[],
  ) => client.send('Input.dispatchTouchEvent', { type, touchPoints: [...touchPoints] });
  await send('touchStart', [first(x0)]);
  let at = x0;
  await goEvenly(
    page,
    { from: x0, to: x0 + 0.8 * (390 - x0) },
    (x) => {
      at = x;
      void send('touchMove', [first(x)]);
    },
    () => {
      void send('touchStart', [first(at), second]);
      void send('touchEnd', [first(at)]);
    },
  );
  await send('touchEnd', []);
  await expect(again(page)).toBeVisible();
  await expect(page.getByText('Not pressed: judged as it passed the middle.')).toBeHidden();
  const tries = await triesOf(page);
  expect(tries).toHaveLength(1);
  expect(Math.abs(tries[0]?.rateError ?? 9)).toBeLessThan(0.7);
});

test('keys: it sets out wrong, arrows set it right, and it counts for no hand', async ({
  page,
}) => {
  await page.addInitScript(() => {
    Math.random = () => 0;
  });
  await page.goto('/practice/pan');
  await panPad(page).focus();
  await page.keyboard.press('Enter');
  for (let i = 0; i < 4; i += 1) await page.keyboard.press('ArrowRight');
  await page.waitForTimeout(1500);
  await page.keyboard.press('Space');
  await expect(again(page)).toBeVisible();
  const [made] = await triesOf(page);
  // Twelve hundredths too slow, and four arrows of four.
  expect(made).toMatchObject({ kind: 'pan', by: 'keys' });
  expect(made?.rateError).toBeCloseTo(0.04, 2);
  await expect(page.getByRole('region', { name: 'Your swings' })).toContainText(
    'What keys steered is not counted',
  );
});

test(
  'who asks for less motion follows in steps, three a second',
  { tag: '@once' },
  async ({ page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.goto('/practice/pan');
    await expect(panPad(page)).toBeVisible();
    await page.waitForTimeout(500);
    await page.evaluate(() => {
      const at = window as unknown as { drawn: number };
      at.drawn = 0;
      const rect = CanvasRenderingContext2D.prototype.fillRect;
      CanvasRenderingContext2D.prototype.fillRect = function count(...args) {
        at.drawn += 0.5;
        rect.apply(this, args);
      };
    });
    await panPad(page).focus();
    await page.keyboard.press('Enter');
    await page.waitForTimeout(1500);
    const drawn = await page.evaluate(() => (window as unknown as { drawn: number }).drawn);
    expect(drawn).toBeGreaterThanOrEqual(2);
    expect(drawn).toBeLessThanOrEqual(6);
  },
);

test('the phone turned is the camera', { tag: '@once' }, async ({ page }) => {
  await page.goto('/practice/pan');
  await expect(panPad(page)).toBeVisible();
  // A stand-in for the sensors: held upright, turned to the right at a rate that the page is told.
  await page.evaluate(() => {
    const at = window as unknown as { turnDegS: number };
    at.turnDegS = 0;
    setInterval(
      () =>
        window.dispatchEvent(
          new DeviceMotionEvent('devicemotion', {
            accelerationIncludingGravity: { x: 0, y: 9.81, z: 0 },
            rotationRate: { alpha: 0, beta: 0, gamma: -at.turnDegS },
            interval: 16,
          }),
        ),
      16,
    );
  });
  await page.getByRole('button', { name: 'Turn the phone instead' }).click();
  await expect(page.getByRole('button', { name: 'Follow by finger instead' })).toBeVisible();
  await panPad(page).click();
  await page.evaluate(() => {
    (window as unknown as { turnDegS: number }).turnDegS = 36;
  });
  await page.waitForTimeout(1700);
  await panPad(page).click();
  await expect(again(page)).toBeVisible();
  const [made] = await triesOf(page);
  expect(made).toMatchObject({ kind: 'pan', by: 'turn' });
  // 36° a second where the middle asks for 38; a phone held still would be off by 1. A busy machine sends by jerks.
  expect(Math.abs(made?.rateError ?? 1)).toBeLessThan(0.6);
});
