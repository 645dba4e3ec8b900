import { expect, test } from './app';
import {
  again,
  goEvenly,
  now,
  panPad,
  swingByMouse,
  swingWell,
  triesOf,
  verdict,
} from './practice';

/** Pans followed by mouse, by finger, by keys and by the phone turned. */

test('a pan at home: followed by mouse, judged, seen, kept', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Practice', exact: true }).click();
  await page.getByRole('list', { name: 'Drills' }).getByRole('button', { name: /^Pan/ }).click();
  await expect(panPad(page)).toBeVisible();
  await expect(
    page.getByText(/^1\/250 at 200 mm: road cyclist, 18.0 m off, crosses at 38° a second/),
  ).toBeVisible();
  const tries = await swingWell(page, swingByMouse);
  expect(tries.at(-1)).toMatchObject({ kind: 'pan', by: 'pointer' });
  await expect(verdict(page)).toHaveText(/(sharp|Lost)/i);
  // The frame that swing made.
  await expect(page.getByRole('img', { name: /^The frame of that swing, 1\/250/ })).toBeVisible();
  await page.getByRole('button', { name: 'Beside an even one' }).click();
  await expect(
    page.getByRole('slider', { name: 'Where one frame ends and the other begins' }),
  ).toBeVisible();
  await page.reload();
  await expect(page.getByRole('region', { name: 'Your swings' })).toContainText(
    `${tries.length} of 8 swings`,
  );
});

test('a finger follows, a second one presses', { tag: '@once' }, async ({ page }) => {
  await page.goto('/practice/pan');
  await expect(panPad(page)).toBeVisible();
  const client = await page.context().newCDPSession(page);
  const tries = await swingWell(page, async () => {
    const box = await panPad(page).boundingBox();
    if (!box) throw new Error('no pad');
    const [x0, y] = [box.x + 40, box.y + box.height / 2];
    const first = (x: number) => ({ x, y, id: 1 });
    const second = { x: box.x + 20, y: box.y + 20, id: 2 };
    const send = (
      type: 'touchStart' | 'touchMove' | 'touchEnd',
      touchPoints: readonly { x: number; y: number; id: number }[],
    ) =>
      client.send('Input.dispatchTouchEvent', {
        ...{ type, touchPoints: [...touchPoints], timestamp: now() },
      });
    void send('touchStart', [first(x0)]);
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
  });
  expect(tries.at(-1)).toMatchObject({ kind: 'pan', by: 'pointer' });
});

test(
  'keys: it sets out wrong, arrows set it right, and it counts for no hand',
  { tag: '@once' },
  async ({ page }) => {
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
  },
);

test(
  'who asks for less motion follows in steps, three a second',
  { tag: '@once' },
  async ({ page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.goto('/practice/pan');
    await expect(panPad(page)).toBeVisible();
    await page.waitForTimeout(500);
    await page.evaluate(() => {
      const at = window as unknown as { drawn: number; beganMs: number };
      at.drawn = 0;
      at.beganMs = performance.now();
      const rect = CanvasRenderingContext2D.prototype.fillRect;
      CanvasRenderingContext2D.prototype.fillRect = function count(...args) {
        at.drawn += 0.5;
        rect.apply(this, args);
      };
    });
    await panPad(page).focus();
    await page.keyboard.press('Enter');
    await page.waitForTimeout(1500);
    const { drawn, forS } = await page.evaluate(() => {
      const { drawn, beganMs } = window as unknown as { drawn: number; beganMs: number };
      return { drawn, forS: (performance.now() - beganMs) / 1000 };
    });
    expect(drawn).toBeGreaterThanOrEqual(2);
    expect(drawn).toBeLessThanOrEqual(3 * forS + 1);
  },
);

test('the phone turned is the camera', { tag: '@once' }, async ({ page }) => {
  await page.goto('/practice/pan');
  await expect(panPad(page)).toBeVisible();
  // A stand-in for the hand that holds it upright: once it runs, turned to the right at 36° a second, and pressed in
  // the middle. It lives in the page: from outside a press comes as late as a busy machine lets it.
  await page.evaluate(() => {
    let turnDegS = 0;
    setInterval(
      () =>
        window.dispatchEvent(
          new DeviceMotionEvent('devicemotion', {
            accelerationIncludingGravity: { x: 0, y: 9.81, z: 0 },
            rotationRate: { alpha: 0, beta: 0, gamma: -turnDegS },
            interval: 16,
          }),
        ),
      16,
    );
    document.addEventListener('pointerdown', ({ target, isTrusted }) => {
      const pad = target instanceof Element && target.closest('[aria-label*="to let it run"]');
      if (!isTrusted || !pad) return;
      turnDegS = 36;
      setTimeout(
        () => target.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true })),
        1700,
      );
    });
  });
  const turned = page.getByRole('button', { name: 'Follow by finger instead' });
  await expect(async () => {
    // A page that stalled for three seconds says that no motion came, and is asked again.
    const turn = page.getByRole('button', { name: 'Turn the phone instead' });
    if (!(await turned.isVisible())) await turn.click({ timeout: 2000 });
    await expect(turned).toBeVisible({ timeout: 4000 });
  }).toPass();
  // 36° a second where the middle asks for 38; a phone held still would be off by 1.
  const tries = await swingWell(page, () => panPad(page).click(), 0.6);
  expect(tries.at(-1)).toMatchObject({ kind: 'pan', by: 'turn' });
});
