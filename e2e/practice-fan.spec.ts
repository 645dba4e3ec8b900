import { readFileSync } from 'node:fs';
import { expect, test } from './app';
import { triesOf } from './practice';

/** A real fan, heard, photographed and read back. */

test('a fan is heard, its smear foretold, a picture read back and kept', async ({ page }) => {
  await page.addInitScript(() => {
    // A stand-in for the microphone: a fan of three blades at 20.8 turns a second, with overtones.
    navigator.mediaDevices.getUserMedia = async () => {
      const context = new AudioContext();
      const hum = new OscillatorNode(context, { type: 'sawtooth', frequency: 62.5 });
      const out = context.createMediaStreamDestination();
      hum.connect(out);
      hum.start();
      await context.resume();
      return out.stream;
    };
  });
  await page.goto('/practice/blur');
  await page.getByRole('radio', { name: 'Your own fan' }).click();
  await expect(page.getByText(/Guard on, fingers, hair and straps away/)).toBeVisible();
  await page.getByRole('button', { name: 'Listen to its hum' }).click();
  await page
    .getByRole('list', { name: 'Tones heard' })
    .getByRole('button', { name: /^62\.\d Hz: 20\.\d turns a second with 3 blades$/ })
    .click();
  // 7500° a second.
  await expect(page.getByRole('list', { name: 'Foretold' })).toContainText('1/60: 117°');
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Read a picture back' }).click(),
  ]);
  await chooser.setFiles({
    name: 'LMR_0001.jpg',
    mimeType: 'image/jpeg',
    buffer: readFileSync('public/demo-pictures/LMR_0001.jpg'),
  });
  await expect(page.getByText('Taken at 1/2500, as the file says.')).toBeVisible();
  await expect(page.getByRole('img', { name: 'Your fan' })).toHaveJSProperty('complete', true);
  const sweep = page.getByRole('slider', { name: 'Goes on for' });
  await sweep.focus();
  await page.keyboard.press('Home');
  for (let i = 0; i < 2; i += 1) await page.keyboard.press('ArrowRight');
  await expect(
    page.getByText(/^3°, foretold 3°: the same\.$|^3°, foretold 3°: \d % (more|less)\.$/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('region', { name: 'Your smears' })).toContainText(
    '1 picture: 1 within a tenth.',
  );
  const [made] = await triesOf(page);
  expect(made).toMatchObject({ kind: 'fan', measuredDeg: 3 });
});

test(
  'without a microphone turns are written, and what is no picture is refused',
  { tag: '@once' },
  async ({ page }) => {
    await page.addInitScript(() => {
      navigator.mediaDevices.getUserMedia = () =>
        Promise.reject(new DOMException('no', 'NotAllowedError'));
    });
    await page.goto('/practice/blur');
    await page.getByRole('radio', { name: 'Your own fan' }).click();
    await page.getByRole('button', { name: 'Listen to its hum' }).click();
    await expect(page.getByRole('alert')).toHaveText(
      'Not by its hum: the microphone may not be heard, or there is none. Write its turns below.',
    );
    const turns = page.getByLabel('Turns a second');
    await turns.fill('20');
    await turns.press('Enter');
    await expect(page.getByRole('list', { name: 'Foretold' })).toContainText('1/60: 113°');
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Read a picture back' }).click(),
    ]);
    await chooser.setFiles({
      name: 'fan.jpg',
      mimeType: 'image/jpeg',
      buffer: Buffer.from('no picture'),
    });
    await expect(
      page.getByText('It could not be read: that is no picture that can be shown.'),
    ).toBeVisible();
  },
);
