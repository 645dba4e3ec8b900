import { expect, test } from './app';
import { readFan, triesOf } from './practice';

/** A real fan, heard, photographed and read back. */

test(
  'a fan is heard, its smear foretold, a picture read back and kept',
  { tag: '@once' },
  async ({ page }) => {
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
    // At 1/2500 it hardly moves: nothing is read off that, and nothing kept.
    await readFan(page, 'LMR_0001.jpg');
    await expect(
      page.getByText(
        'At 1/2500 the tape smears over 3.0°, too little to be read. Read one taken at 1/30 to 1/1000.',
      ),
    ).toBeVisible();
    await expect(page.getByText('Taken at 1/2500, as the file says.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Keep it' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Another picture' }).click();
    await readFan(page, 'LMR_0023.jpg');
    await expect(page.getByText('Taken at 1/60, as the file says.')).toBeVisible();
    await expect(page.getByRole('img', { name: 'Your fan' })).toHaveJSProperty('complete', true);
    // The arc begins at twelve o'clock and goes on for 60°: its end is drawn on to four o'clock.
    const box = await page.getByRole('img', { name: 'An arc of 60°' }).boundingBox();
    if (!box) throw new Error('no arc');
    const at = (deg: number, by = 0.38 * Math.min(box.width, box.height)) =>
      [
        box.x + box.width / 2 + by * Math.sin((deg * Math.PI) / 180),
        box.y + box.height / 2 - by * Math.cos((deg * Math.PI) / 180),
      ] as const;
    await page.mouse.move(...at(60));
    await page.mouse.down();
    for (const deg of [75, 90, 105, 120]) await page.mouse.move(...at(deg));
    await page.mouse.up();
    await expect(page.getByText(/^(119|120|121)°, foretold 125°: \d % less\.$/)).toBeVisible();
    await expect(page.getByRole('slider', { name: 'Begins at' })).toHaveAttribute(
      'aria-valuetext',
      '0°',
    );
    const sweep = page.getByRole('slider', { name: 'Goes on for' });
    await sweep.focus();
    for (let i = 0; i < 2; i += 1) await page.keyboard.press('ArrowRight');
    await expect(page.getByText(/^(121|122|123)°, foretold 125°/)).toBeVisible();
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('region', { name: 'Your smears' })).toContainText(
      '1 picture: 1 within a tenth.',
    );
    const [made] = await triesOf(page);
    expect(made).toMatchObject({ kind: 'fan' });
    expect(Math.abs(Number(made?.measuredDeg) - 122)).toBeLessThanOrEqual(1);
  },
);

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
    await readFan(page, 'fan.jpg', Buffer.from('no picture'));
    await expect(
      page.getByText('It could not be read: that is no picture that can be shown.'),
    ).toBeVisible();
  },
);
