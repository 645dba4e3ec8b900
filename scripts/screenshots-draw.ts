import type { Page } from '@playwright/test';
import { Buffer } from 'node:buffer';

/** An invented ground from above, drawn by the browser: the pitch lies as at Larkmoor. */
const fromAbove = (page: Page): Promise<string> =>
  page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [900, 1200];
    const context = canvas.getContext('2d') as CanvasRenderingContext2D;
    context.fillStyle = '#8c9b6e';
    context.fillRect(0, 0, 900, 1200);
    context.translate(450, 600);
    context.rotate((12 * Math.PI) / 180);
    context.fillStyle = '#5f8a58';
    context.fillRect(-290, -480, 580, 960);
    context.strokeStyle = '#fff';
    context.lineWidth = 6;
    context.strokeRect(-275, -457, 550, 914);
    for (const y of [-229, 0, 229]) context.strokeRect(-275, y, 550, 0);
    context.fillStyle = '#b3a58d';
    context.fillRect(-420, -330, 90, 600);
    context.fillStyle = '#a5533f';
    context.fillRect(330, -470, 160, 90);
    return canvas.toDataURL('image/png');
  });

/** Drawing on a phone: the stand in hand, a picture laid under the plan, the rose, a hide with its seats, its bank, a garden's perch and a branch over it. */
export async function drawShots(page: Page, base: string): Promise<readonly string[]> {
  const shots: string[] = [];
  const shoot = async () => {
    await page.waitForTimeout(900);
    shots.push((await page.screenshot()).toString('base64'));
  };
  const button = (name: string | RegExp) =>
    page.getByRole('button', { name, exact: typeof name === 'string' }).first();
  await page.goto(`${base}/shoot/demo-larkmoor/draw`);
  await button(/^Select West stand/).click();
  await shoot();
  await button('Deselect').click();
  await button('Picture').click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    button('Choose a picture').click(),
  ]);
  const url = await fromAbove(page);
  const buffer = Buffer.from(url.slice(url.indexOf(',') + 1), 'base64');
  await chooser.setFiles({ name: 'larkmoor-from-above.png', mimeType: 'image/png', buffer });
  await page.getByText(/^Laid /).waitFor();
  const apart = page.getByLabel('From A to B, m');
  await apart.fill('45');
  await apart.press('Enter');
  // What was said of it lies over the plan for some seconds.
  await page.getByText(/^Laid /).waitFor({ state: 'hidden', timeout: 30_000 });
  await shoot();
  await button('Done').click();
  await button('Align').click();
  await button(/^Turn it by hand/).click();
  await shoot();
  await page.goto(`${base}/shoot/demo-alder-reach/draw`);
  await button('Select Hide').click();
  await shoot();
  await bank(page, shoot);
  await garden(page, base, shoot);
  return shots;
}

const typed = (page: Page) => async (label: string, value: string) => {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(value);
  await field.press('Enter');
};

/** A place on the plan that is drawn on, as shares of its width and height. */
async function press(page: Page, across: number, down: number): Promise<void> {
  const plan = await page.getByRole('group', { name: /^Plan\./ }).boundingBox();
  if (!plan) throw new Error('no plan');
  await page.mouse.click(plan.x + plan.width * across, plan.y + plan.height * down);
}

/** The bank under the hide, 2 m over the water: in hand, and from the side. */
async function bank(page: Page, shoot: () => Promise<void>): Promise<void> {
  const button = (name: string) => page.getByRole('button', { name, exact: true }).first();
  const fill = typed(page);
  await button('Deselect').click();
  await button('Add to the ground').click();
  await button('Slope').click();
  await press(page, 0.4, 0.6);
  await press(page, 0.4, 0.4);
  await button('Finish').click();
  for (const [east, heightM] of [
    ['-6', '0'],
    ['-1', '2'],
  ] as const) {
    await fill('Corner east, m', east);
    await fill('Corner north, m', '0');
    await fill('Ground here, m', heightM);
    if (heightM === '0') await button('The corner after').click();
  }
  const heading = page.getByRole('heading', { name: 'Slope', exact: true });
  await heading.evaluate((title) => title.scrollIntoView({ block: 'start' }));
  await shoot();
  await button('Done drawing').click();
  await button('Side').click();
  await shoot();
}

/** A garden: the stick of its perch with the end that is landed on, and a branch that dapples it. */
async function garden(page: Page, base: string, shoot: () => Promise<void>): Promise<void> {
  const button = (name: string | RegExp) =>
    page.getByRole('button', { name, exact: typeof name === 'string' }).first();
  const fill = typed(page);
  await page.goto(`${base}/new`);
  await button('Garden feeder').click();
  await page.getByLabel('Place', { exact: true }).fill('52.2, 0.5');
  await button(/^Take \d/).click();
  for (const [label, value] of [
    ['Date', '2027-05-08'],
    ['Start', '07:00'],
    ['End', '10:00'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(value);
  }
  await button('Make the shoot').click();
  await button(/^Draw/).click();
  await button(/^Select Placed perch/).click();
  await page.getByRole('radio', { name: 'Stick, level' }).click();
  const perch = page.getByRole('region', { name: 'The perch' });
  await perch.getByRole('radio', { name: 'S end' }).click();
  await perch.evaluate((region) => region.scrollIntoView({ block: 'start' }));
  await shoot();
  await button('Deselect').click();
  await button('Add to the ground').click();
  await button('Branch').click();
  for (const down of [0.3, 0.42]) await press(page, 0.62, down);
  await button('Finish').click();
  await fill('East of the middle, m', '1.3');
  await fill('North of the middle, m', '5.4');
  await fill('Height at its stem, m', '2.2');
  await fill('Height at its tip, m', '1.8');
  await shoot();
}
