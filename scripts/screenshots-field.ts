import type { Browser, Page } from '@playwright/test';

/** Field and Log with the demo's days lived through: what each picture is of. */

type SaveSheet = (page: Page, shots: readonly string[], name: string) => Promise<void>;

const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };

/** A page whose clock stands at a moment. */
async function pageAt(browser: Browser, viewport: typeof PHONE, moment?: string): Promise<Page> {
  const page = await browser.newPage({ viewport, locale: 'en-GB' });
  if (moment) await page.clock.setFixedTime(moment);
  return page;
}

async function openField(page: Page, base: string, id: string, shot: string): Promise<void> {
  await page.goto(`${base}/shoot/demo-${id}/field`);
  await page.getByRole('region', { name: 'Settings now' }).waitFor();
  await page.getByRole('button', { name: /^Shot / }).click();
  await page.getByRole('radio', { name: shot, exact: true }).click();
  await page.waitForTimeout(2500);
}

export async function saveField(
  browser: Browser,
  base: string,
  saveSheet: SaveSheet,
): Promise<void> {
  const shots: string[] = [];
  const take = async (page: Page) => shots.push((await page.screenshot()).toString('base64'));
  const day = await pageAt(browser, PHONE, '2027-04-16T18:06:20Z');
  await openField(day, base, 'larkmoor', 'Strike at a penalty corner');
  await take(day);
  await day.close();
  const dawn = await pageAt(browser, PHONE, '2027-05-08T04:50:00Z');
  await openField(dawn, base, 'alder-reach', 'On the near perch, eye sharp');
  await dawn.getByRole('button', { name: /^Watch/ }).click();
  await dawn.getByRole('button', { name: 'Show for the dusk' }).click();
  await dawn.getByRole('button', { name: 'Show dark, for the hide' }).click();
  await dawn.waitForTimeout(800);
  await take(dawn);
  await dawn.close();
  const log = await pageAt(browser, PHONE);
  await log.goto(`${base}/shoot/demo-larkmoor/log`);
  await log.getByRole('button', { name: 'Read the demo’s pictures' }).click();
  await log.getByRole('button', { name: 'Set it right' }).waitFor();
  // What was said goes away by itself.
  await log.waitForTimeout(11_000);
  await log.getByRole('region', { name: 'Clocks' }).evaluate((at) => at.scrollIntoView());
  await log.waitForTimeout(400);
  await take(log);
  await log.getByRole('button', { name: 'Set it right' }).click();
  await log.getByRole('list', { name: 'Contact sheet' }).evaluate((at) => at.scrollIntoView());
  await log.waitForTimeout(1500);
  await take(log);
  await log.getByRole('link', { name: 'Names', exact: true }).click();
  await log.getByRole('region', { name: 'Who is on it' }).waitFor();
  await log.waitForTimeout(600);
  await take(log);
  await log.getByRole('link', { name: 'Even out', exact: true }).click();
  await log.getByRole('list', { name: 'Runs' }).waitFor();
  await log.waitForTimeout(400);
  await take(log);
  await log.getByRole('link', { name: 'Taught', exact: true }).click();
  await log.getByText('Keepers. By shot').evaluate((at) => at.scrollIntoView());
  await log.waitForTimeout(400);
  await take(log);
  await saveSheet(log, shots, 'field-and-log-phone');
  await log.close();
  const wide = await pageAt(browser, WIDE, '2027-06-19T09:25:30Z');
  await openField(wide, base, 'tern-water', 'Lane 4, last strokes');
  const wides = [(await wide.screenshot()).toString('base64')];
  await wide.goto(`${base}/shoot/demo-tern-water/log`);
  await wide.getByRole('button', { name: 'Read the demo’s pictures' }).click();
  await wide.getByRole('button', { name: 'Set it right' }).click();
  await wide.getByRole('link', { name: 'Names', exact: true }).click();
  await wide.getByRole('region', { name: 'Who is on it' }).waitFor();
  await wide.waitForTimeout(11_000);
  wides.push((await wide.screenshot()).toString('base64'));
  await saveSheet(wide, wides, 'field-wide');
  await wide.close();
}
