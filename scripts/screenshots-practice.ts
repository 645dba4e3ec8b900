import type { Page } from '@playwright/test';
import { keepText } from '../e2e/kept';
import { KEY } from '../e2e/practice';

/**
 * Practice as it looks after some days: a made-up hand's swings, a pan on its way and its frame, a moment, a smear,
 * stops, signs, a fan, light, a place.
 */

/** Rate errors of a made-up hand, a little slow. */
const ERRORS = [
  -0.14, -0.02, 0.06, -0.11, -0.05, 0.03, -0.08, 0.01, -0.1, -0.03, 0.05, -0.06, -0.01, -0.07, 0.02,
];

const practised = (): string =>
  JSON.stringify({
    version: 1,
    home: { subjectId: 'cyclist', distanceM: 18, lensId: '70-200-2.8', focalMm: 200 },
    tries: ERRORS.map((rateError, i) => ({
      ...{ kind: 'pan', id: `s${i}`, at: `2026-11-${10 + i}T12:00:00.000Z`, by: 'pointer' },
      ...{ subject: 'Road cyclist', distanceM: 18, speedMs: 12, focalMm: 200, shutterS: 1 / 128 },
      ...{ rateError, lost: false, sharp: Math.abs(rateError) < 0.06 },
    })),
  });

/** A frame without a graphics card. */
const FRAME_MS = 9000;

export async function practiceShots(page: Page, base: string): Promise<readonly string[]> {
  const shots: string[] = [];
  const shoot = async (waitMs = 900) => {
    await page.waitForTimeout(waitMs);
    shots.push((await page.screenshot()).toString('base64'));
  };
  await page.addInitScript(() => {
    Math.random = () => 0.45;
  });
  const button = (name: string | RegExp) =>
    page.getByRole('button', { name, exact: typeof name === 'string' }).first();
  await page.goto(`${base}/practice`);
  await page.getByRole('region', { name: 'Warm-up' }).waitFor();
  await page.waitForTimeout(500);
  await keepText(page, KEY, practised());
  await page.reload();
  await page.getByRole('region', { name: 'Warm-up' }).waitFor();
  await shoot();
  await page.goto(`${base}/practice/pan`);
  const pad = button(/press to let it run/);
  await pad.waitFor();
  await page.waitForTimeout(500);
  // On its way, steered by keys: a picture takes longer than a hand can wait.
  await pad.focus();
  await page.keyboard.press('Enter');
  await page.waitForTimeout(1450);
  shots.push((await page.screenshot()).toString('base64'));
  await button('Again').waitFor();
  await button('Again').click();
  await page.waitForTimeout(500);
  const box = await pad.boundingBox();
  if (!box) throw new Error('no pad');
  const [x, y] = [box.x + 40, box.y + box.height / 2];
  const roomPx = 0.85 * ((page.viewportSize()?.width ?? 0) - x);
  await page.mouse.move(x, y);
  await page.mouse.down();
  const beganMs = Date.now();
  let pressed = false;
  for (;;) {
    const forS = (Date.now() - beganMs) / 1000;
    if (forS > 2.6) break;
    // As it is seen to turn: 12 m/s at 18 m, from 1.8 s before the middle to 0.9 after.
    const turned = Math.atan(((forS - 1.8) * 12) / 18) + Math.atan(1.2);
    await page.mouse.move(x + (roomPx * turned) / (Math.atan(1.2) + Math.atan(0.6)), y);
    if (!pressed && forS > 1.75) {
      pressed = true;
      await page.keyboard.press('Space');
    }
  }
  await page.mouse.up();
  await button('Again').waitFor();
  await shoot(FRAME_MS);
  await page.goto(`${base}/practice/moment`);
  const moment = button(/press when it happens/);
  await moment.focus();
  await page.keyboard.press('Enter');
  await page.waitForTimeout(2150);
  await page.keyboard.press('Space');
  await button('Again').waitFor();
  await shoot(FRAME_MS);
  await page.goto(`${base}/practice/blur`);
  await button('1/500').click();
  await shoot(FRAME_MS);
  await page.goto(`${base}/practice/stops`);
  await shoot(FRAME_MS);
  await page.goto(`${base}/practice/moment`);
  await page.getByRole('radio', { name: 'Know its signs' }).click();
  const signs = page.getByRole('list', { name: 'Signs' });
  while ((await signs.count()) > 0) await signs.getByRole('button').first().click();
  await shoot();
  await page.goto(`${base}/practice/blur`);
  await page.getByRole('radio', { name: 'Your own fan' }).click();
  await page.getByLabel('Turns a second').fill('20');
  await page.keyboard.press('Enter');
  await shoot();
  await page.goto(`${base}/practice/eye`);
  const answers = page.getByRole('list', { name: 'Answers' });
  await answers.waitFor();
  while (!(await page.getByText(/Which hour is it/).isVisible())) {
    await answers.getByRole('button').first().click();
    await button('Next').click();
    await answers.waitFor();
  }
  await answers.getByRole('button').nth(2).click();
  await shoot(FRAME_MS);
  await page.goto(`${base}/shoot/demo-larkmoor/practice/eye`);
  await answers.waitFor();
  while (!(await page.getByText(/From which side/).isVisible())) {
    await answers.getByRole('button').first().click();
    await button('Next').click();
    await answers.waitFor();
  }
  await shoot();
  await page.goto(`${base}/shoot/demo-larkmoor/practice/stand`);
  await page.getByRole('button', { name: /Tap the plan, or take a position/ }).click();
  await page.getByRole('radio').nth(1).click();
  await button('Stand here').click();
  await button('Again').waitFor();
  await shoot(FRAME_MS);
  await page.goto(`${base}/shoot/demo-tern-water/practice`);
  await button('Use: swing').click();
  await shoot();
  return shots;
}
