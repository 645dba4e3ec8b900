import type { Page } from '@playwright/test';
import { expect, openLarkmoor, positionHandle, readAnswer, test, timeSlider } from './app';

test.skip(({ hasTouch }) => !hasTouch, 'fingers are for the phone');

/** A finger put down, moved in small steps and lifted, as the browser itself reports it. */
async function dragFinger(
  page: Page,
  from: { x: number; y: number },
  by: { x: number; y: number },
): Promise<void> {
  const session = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', share: number) =>
    session.send('Input.dispatchTouchEvent', {
      type,
      touchPoints:
        type === 'touchEnd' ? [] : [{ x: from.x + by.x * share, y: from.y + by.y * share }],
    });
  await touch('touchStart', 0);
  for (let i = 1; i <= 10; i += 1) await touch('touchMove', i / 10);
  await touch('touchEnd', 1);
}

const middleOf = (box: { x: number; y: number; width: number; height: number } | null) => {
  if (!box) throw new Error('not on the page');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
};

test('a finger moves the position, and the page does not scroll under it', async ({ page }) => {
  await openLarkmoor(page);
  const before = await readAnswer(page);
  await dragFinger(page, middleOf(await positionHandle(page).boundingBox()), { x: -30, y: -4 });
  const after = await readAnswer(page);
  expect(after.distanceM).toBeGreaterThan(before.distanceM + 5);
  expect(after.fillPct).toBeLessThan(before.fillPct);
});

test('what is said under the plan comes and goes without moving the plan under the finger', async ({
  page,
}) => {
  await page.goto('/shoot/demo-alder-reach/ground');
  const said = page.getByRole('region', { name: 'Where you stand' });
  await expect(said).toBeVisible();
  const { x, y } = middleOf(await positionHandle(page).boundingBox());
  const boxes: unknown[] = [await plan(page).boundingBox()];
  const heights = new Set<number | undefined>();
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 12; i += 1) {
    await page.mouse.move(x - i * 6, y + (i % 2) * 10);
    // What is said follows the hand a little later.
    await page.waitForTimeout(200);
    boxes.push(await plan(page).boundingBox());
    heights.add((await said.boundingBox())?.height);
  }
  await page.mouse.up();
  expect(heights.size).toBeGreaterThan(1);
  for (const box of boxes) expect(box).toEqual(boxes[0]);
});

test('a finger drags the time along the ribbon', async ({ page }) => {
  await openLarkmoor(page);
  const before = await readAnswer(page);
  const box = await timeSlider(page).boundingBox();
  const middle = middleOf(box);
  await dragFinger(page, { x: (box?.x ?? 0) + 100, y: middle.y }, { x: 200, y: 6 });
  await expect(timeSlider(page)).toHaveAttribute('aria-valuetext', /^20:/);
  expect((await readAnswer(page)).iso).toBeGreaterThan(before.iso * 8);
});

const plan = (page: Page) => page.getByRole('group', { name: /^Plan\./ });

/** Two fingers put down about a point and drawn apart, or turned, in small steps. */
async function pinch(
  page: Page,
  about: { x: number; y: number },
  { apartPx, turnDeg }: { readonly apartPx: readonly [number, number]; readonly turnDeg: number },
): Promise<void> {
  const session = await page.context().newCDPSession(page);
  const fingers = (share: number) => {
    const half = (apartPx[0] + (apartPx[1] - apartPx[0]) * share) / 2;
    const turn = (turnDeg * share * Math.PI) / 180;
    const [x, y] = [half * Math.cos(turn), half * Math.sin(turn)];
    return [
      { x: about.x - x, y: about.y - y, id: 1 },
      { x: about.x + x, y: about.y + y, id: 2 },
    ];
  };
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', touchPoints: object[]) =>
    session.send('Input.dispatchTouchEvent', { type, touchPoints: touchPoints as never });
  await touch('touchStart', fingers(0).slice(0, 1));
  await touch('touchStart', fingers(0));
  for (let i = 1; i <= 12; i += 1) await touch('touchMove', fingers(i / 12));
  await touch('touchEnd', fingers(1).slice(0, 1));
  await touch('touchEnd', []);
  await page.waitForTimeout(150);
}

test('two fingers draw the plan apart and turn it; the ground under them stays', async ({
  page,
}) => {
  await openLarkmoor(page);
  const mark = page.getByRole('button', { name: /^Mark Attack in the circle.* to move it$/ });
  const position = positionHandle(page);
  const apart = async () => {
    const [a, b] = [middleOf(await mark.boundingBox()), middleOf(await position.boundingBox())];
    return { length: Math.hypot(a.x - b.x, a.y - b.y), turn: Math.atan2(a.y - b.y, a.x - b.x) };
  };
  const before = await apart();
  const box = await plan(page).boundingBox();
  // Where no sign lies under the fingers.
  const about = { ...middleOf(box), y: (box?.y ?? 0) + (box?.height ?? 0) * 0.68 };
  await pinch(page, about, { apartPx: [80, 200], turnDeg: 0 });
  const wider = await apart();
  expect(wider.length / before.length).toBeCloseTo(2.5, 1);
  expect(wider.turn).toBeCloseTo(before.turn, 1);
  await page.getByRole('button', { name: 'Show the whole ground' }).click();
  await pinch(page, about, { apartPx: [160, 160], turnDeg: 50 });
  const turned = await apart();
  const by = ((turned.turn - before.turn) * 180) / Math.PI;
  // The first few degrees are taken for an unsteady pinch.
  expect(by).toBeGreaterThan(38);
  expect(by).toBeLessThan(51);
  await expect(page.getByRole('button', { name: /^Turned by hand/ })).toBeVisible();
});

test('a thumb draws: a tap puts a tree down, a drag moves it', async ({ page }) => {
  await page.goto('/shoot/demo-larkmoor/draw');
  await page.getByRole('button', { name: 'Add to the ground' }).click();
  await page.getByRole('button', { name: 'Tree', exact: true }).click();
  const box = await plan(page).boundingBox();
  const at = { x: (box?.x ?? 0) + 300, y: (box?.y ?? 0) + 200 };
  await page.touchscreen.tap(at.x, at.y);
  await expect(page.getByRole('heading', { name: 'Tree', exact: true })).toBeVisible();
  const east = () =>
    page.getByLabel('East of the middle, m', { exact: true }).inputValue().then(Number);
  const before = await east();
  const handle = page.getByRole('button', { name: /^Tree\. Drag/ });
  await dragFinger(page, middleOf(await handle.boundingBox()), { x: -60, y: 0 });
  await expect.poll(east).toBeLessThan(before - 10);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(east).toBe(before);
});

test('a swipe along the steps goes to the next and back', async ({ page }) => {
  await openLarkmoor(page);
  const steps = page.getByRole('navigation', { name: 'Steps' });
  const from = middleOf(await steps.boundingBox());
  await dragFinger(page, { x: 300, y: from.y + 4 }, { x: -180, y: 2 });
  await expect(page).toHaveURL(/\/light$/);
  await expect(page.getByRole('button', { name: 'Take a reading' })).toBeVisible();
  await dragFinger(page, { x: 90, y: from.y + 4 }, { x: 180, y: -2 });
  await expect(page).toHaveURL(/\/ground$/);
});
