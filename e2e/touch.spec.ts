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

test('a finger drags the time along the ribbon', async ({ page }) => {
  await openLarkmoor(page);
  const before = await readAnswer(page);
  const box = await timeSlider(page).boundingBox();
  const middle = middleOf(box);
  await dragFinger(page, { x: (box?.x ?? 0) + 100, y: middle.y }, { x: 200, y: 6 });
  await expect(timeSlider(page)).toHaveAttribute('aria-valuetext', /^20:/);
  expect((await readAnswer(page)).iso).toBeGreaterThan(before.iso * 8);
});
