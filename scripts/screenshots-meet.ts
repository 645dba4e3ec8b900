import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { meetOrder, ROSTER } from '../e2e/meet';

/** A meet from its tables: its day, who is owed, the field at its minute, two who shoot it, and the sheet on paper. */

const PDF_JS = path.resolve(__dirname, '../node_modules/unpdf/dist/pdfjs.mjs');

/** The first page of a PDF, drawn by pdf.js as wide as a phone. */
async function firstPage(page: Page, file: string): Promise<string> {
  const drawer = await page.context().newPage();
  const drawn = await drawer.evaluate(
    async ({ code, pdf, width }) => {
      const address = URL.createObjectURL(new Blob([code], { type: 'text/javascript' }));
      const { getDocument } = await import(address);
      const data = Uint8Array.from(atob(pdf), (letter) => letter.charCodeAt(0));
      const sheet = await (await getDocument({ data }).promise).getPage(1);
      const viewport = sheet.getViewport({ scale: width / sheet.getViewport({ scale: 1 }).width });
      const canvas = document.createElement('canvas');
      Object.assign(canvas, { width: viewport.width, height: viewport.height });
      await sheet.render({ canvas, canvasContext: canvas.getContext('2d'), viewport }).promise;
      return canvas.toDataURL('image/png').split(',')[1] ?? '';
    },
    {
      code: readFileSync(PDF_JS, 'utf8'),
      pdf: readFileSync(file).toString('base64'),
      width: page.viewportSize()?.width ?? 390,
    },
  );
  await drawer.close();
  return drawn;
}

export async function meetShots(page: Page, base: string): Promise<readonly string[]> {
  const shots: string[] = [];
  const take = async (of: Page = page) => shots.push((await of.screenshot()).toString('base64'));
  const press = (name: string | RegExp) =>
    page.getByRole('button', { name, exact: true }).first().click();
  const give = async (name: string, file: string, buffer: Buffer) => {
    const chooser = page.waitForEvent('filechooser');
    await press(name);
    await (await chooser).setFiles({ name: file, mimeType: 'text/csv', buffer });
  };
  const planned = (said: RegExp) =>
    page.getByRole('region', { name: 'Day', exact: true }).getByText(said).waitFor();
  // A Friday evening; the meet is on Saturday.
  await page.clock.setFixedTime('2027-06-11T18:00:00Z');
  await page.goto(`${base}/new`);
  await press('Track and field');
  await page.getByLabel('Place', { exact: true }).fill('eugene');
  await press(/^Eugene, Oregon/);
  await press('Tomorrow');
  await press('Make the shoot');
  await page.getByRole('img', { name: /^Ground plan/ }).waitFor();
  const shoot = page.url().replace(/(shoot\/[^/]+).*/, '$1');
  await page.goto(`${shoot}/brief`);
  await press(/^Who to find/);
  await give('Bring in a roster', 'roster.csv', ROSTER);
  await press('Bring in 12 people');
  await page.getByRole('button', { name: /^Zoë Müller/ }).waitFor();
  await page.goto(`${shoot}/day`);
  await give('Bring in a running order', 'meet.csv', meetOrder().file);
  await press('Bring in 56 events');
  await planned(/of 56 events.*, all 12 owed/);
  // What was said goes away by itself.
  await page.waitForTimeout(11_000);
  await take();
  await page.getByRole('region', { name: 'Who is owed' }).getByRole('button').first().click();
  await page.waitForTimeout(500);
  await take();
  await page.keyboard.press('Escape');
  const field = await page.context().newPage();
  await field.setViewportSize(page.viewportSize() ?? { width: 390, height: 844 });
  await field.clock.setFixedTime('2027-06-12T17:01:30Z');
  await field.goto(`${shoot}/field`);
  await field.getByText(/^Now: /).waitFor();
  await field.waitForTimeout(6000);
  await take(field);
  await field.close();
  const saved = page.waitForEvent('download');
  await press('Save as a PDF to print');
  shots.push(await firstPage(page, await (await saved).path()));
  await page.goto(`${shoot}/day/rules`);
  await press('Add a shooter');
  await page.getByLabel('Your name').fill('Robin');
  await page.getByLabel('Their name').fill('Mara');
  await press('Add to the day');
  await page.goto(`${shoot}/day/route`);
  await page.getByRole('radio', { name: 'Mara' }).click();
  await page.waitForTimeout(8000);
  await take();
  return shots;
}
