import type { Page } from '@playwright/test';
import {
  expect,
  giveFile,
  goTo,
  groundTool,
  headline,
  inAnswer,
  openRow,
  part,
  readAnswer,
  settle,
  test,
} from './app';

const LIGHT = '/shoot/demo-larkmoor/light';
const readings = (page: Page) => page.getByRole('region', { name: 'Readings' });

/** Looks at the readings, a press deeper, and comes back. */
async function inReadings(page: Page, look: () => Promise<void>): Promise<void> {
  await openRow(page, 'Readings');
  await look();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
}

const kept = (page: Page) => page.getByRole('list', { name: 'Readings kept' });

async function open(page: Page): Promise<void> {
  await page.goto(LIGHT);
  await expect(headline(page)).toBeVisible();
}

test(
  'a test frame that looked dark corrects the light, the dials and the card',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    const before = await readAnswer(page);
    await page.getByRole('button', { name: 'Take a reading' }).click();
    const sheet = page.getByRole('dialog', { name: /^Reading at Attack in the circle/ });
    await sheet.getByRole('radio', { name: 'Test frame' }).click();
    // Whole stops, a press each, in words: no sign to be taken the wrong way round.
    await sheet.getByRole('button', { name: /^Looked 2 stops dark/ }).click();
    await expect(sheet.getByRole('button', { name: /^Looked 2 stops dark/ })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await sheet.getByRole('button', { name: /^Looked 1 stop dark/ }).click();
    await sheet.getByRole('button', { name: 'Keep the reading' }).click();
    await inReadings(page, async () => {
      await expect(readings(page)).toContainText(/the light here is (0\.9|1\.0) stops? darker/);
      await expect(readings(page)).toContainText(/sure to ±0\.\d/);
      await expect(kept(page)).toContainText(/18:50, 1\/\d+ f\/2.8 ISO \d+ looked 1 stop dark/);
    });
    const after = await readAnswer(page);
    // What was read at a mark is that mark's light.
    expect(after.ev).toBeLessThan(before.ev - 0.8);
    expect(after.iso).toBeGreaterThan(before.iso);
    await settle(page);
    await page.reload();
    await expect(headline(page)).toBeVisible();
    expect((await readAnswer(page)).ev).toBe(after.ev);
    await inReadings(page, async () => {
      await page.getByRole('button', { name: /^Take away the reading at / }).click();
      await expect(readings(page)).toContainText('Nothing measured yet');
      // What was done in a sheet is undone over it.
      await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
      await expect(kept(page)).toBeVisible();
    });
  },
);

test('readings move the settings card', { tag: '@once' }, async ({ page }) => {
  const rows = page.getByRole('list', { name: 'Settings card' }).getByRole('listitem');
  const firstRow = async () => {
    await goTo(page, 'Settings');
    await part(page, 'Card').click();
    await expect(rows.first()).toContainText('18:30');
    return rows.first().getByRole('img').getAttribute('aria-label');
  };
  await open(page);
  const before = await firstRow();
  await goTo(page, 'Light');
  await page.getByRole('button', { name: 'Take a reading' }).click();
  const ev = page.getByRole('dialog').getByRole('spinbutton', { name: 'EV at ISO 100' });
  for (let i = 0; i < 6; i += 1) await ev.press('ArrowDown');
  await page.getByRole('button', { name: 'Keep the reading' }).click();
  await expect.poll(firstRow).not.toBe(before);
});

test(
  'a walk over the ground with the simulated meter, in clicks',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    await page.getByRole('button', { name: 'Walk the ground' }).click();
    const walk = page.getByRole('group', { name: 'Walk' });
    for (const point of [1, 2]) {
      await expect(walk).toContainText(`Point ${point} of 9`);
      await walk.getByRole('button', { name: 'Ask the simulated meter' }).click();
      await walk.getByRole('button', { name: 'Keep, and on to the next' }).click();
    }
    await walk.getByRole('button', { name: 'Skip this point' }).click();
    await expect(walk).toContainText('Point 4 of 9');
    await walk.getByRole('button', { name: 'End the walk' }).click();
    await inReadings(page, async () => {
      const clicks = page.getByRole('list', { name: 'The ground in clicks' });
      await expect(
        clicks.getByRole('listitem').filter({ hasText: /^[+−]?\d+\s*Walk \d/ }),
      ).toHaveCount(2);
      await expect(kept(page)).toContainText('simulated meter');
    });
  },
);

test(
  'the hours as a chart in words, and when each shot ends',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    const chart = page.getByRole('img', {
      name: /^Light on Attack in the circle: EV 1\d\.\d at 18:00/,
    });
    await expect(chart).toHaveAttribute(
      'aria-label',
      /; lamps give most of the light at 20:\d\d; EV \d\.\d at 21:15$/,
    );
    await openRow(page, 'When each shot ends');
    const shots = page.getByRole('list', { name: 'When each shot ends' });
    await expect(shots).toContainText(
      /Strike at a penalty cornerFrom .+\. Good until \d\d:\d\d\. At 20:\d\d [\d.]+ stops? short\./,
    );
    await expect(shots).toContainText('Exposed for the sky behind');
    // The minute at which most is missing is a press away, with what saves the shot there.
    await page
      .getByRole('button', { name: /^See what saves it at 20:/ })
      .first()
      .click();
    await page.keyboard.press('Escape');
    await inAnswer(page, (answer) =>
      expect(answer.getByRole('group', { name: 'What would mend it' })).toBeVisible(),
    );
    await openRow(page, 'Lines of the chart');
    await page.getByRole('radio', { name: 'This mark, from everywhere' }).click();
    await expect(page.getByRole('list', { name: 'Lines of the chart' })).toContainText(
      'Rail in front of the stand',
    );
  },
);

test(
  'a forecast is asked for, kept without a network, and its failure said',
  { tag: '@once' },
  async ({ page, context }) => {
    await open(page);
    const clear = await readAnswer(page);
    const forecast = page.getByRole('group', { name: 'Simulated forecast' });
    const sky = page.getByRole('button', { name: 'Change sky' });
    await sky.click();
    await forecast.getByRole('button', { name: /^Simulated weather / }).click();
    await page.getByRole('radio', { name: 'Overcast' }).last().click();
    await forecast.getByRole('button', { name: 'Get a simulated forecast' }).click();
    await expect(forecast).toContainText(/18:50: cloud \d+ % \(\d+ to \d+\)/);
    await page.keyboard.press('Escape');
    const overcast = await readAnswer(page);
    expect(overcast.ev).toBeLessThan(clear.ev - 1);
    await settle(page);
    await page.reload();
    await expect(page.getByText('overcast, by the simulated forecast')).toBeVisible();
    expect((await readAnswer(page)).ev).toBe(overcast.ev);
    await sky.click();
    await expect(forecast).toContainText('18:50: cloud');
    await context.route('**/api/forecast*', (route) =>
      route.fulfill({ json: { version: 1, hours: 'none' } }),
    );
    await forecast.getByRole('button', { name: 'Ask for it again' }).click();
    await expect(forecast.getByRole('alert')).toContainText('makes no sense');
    await page.getByRole('radio', { name: 'Set by hand' }).click();
    await page.keyboard.press('Escape');
    expect((await readAnswer(page)).ev).toBe(clear.ev);
  },
);

test('lamps that flicker and scenes that fool a meter', { tag: '@once' }, async ({ page }) => {
  await open(page);
  await openRow(page, 'Flickering lamps');
  const flicker = page.getByRole('dialog', { name: 'Flickering lamps' });
  // 50 Hz, a swing of 0.4 at 1/1600: all of it, log2(1.4/0.6) = 1.2 stops.
  await expect(flicker).toContainText('1.2 stops from frame to frame');
  await expect(flicker).toContainText('Flicker-free at 1/100, 1/50');
  await flicker.getByRole('spinbutton', { name: /^Test burst/ }).press('ArrowUp');
  await expect(flicker.getByRole('button', { name: /^Take 3 % from this burst/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await openRow(page, 'Scenes that fool a meter');
  const meter = page.getByRole('dialog', { name: 'Scenes that fool a meter' });
  // Ice 0.7 over 70 % and 0.2 over the rest: log2(0.55/0.157) = 1.8 stops.
  await expect(meter).toContainText('A meter goes 1.8 stops dark');
  await expect(meter.getByRole('list', { name: 'Two schools' })).toContainText(
    'Keep it white: +1⅔',
  );
  await expect(meter.getByRole('list', { name: 'Two schools' })).toContainText(
    'Hold its texture: −⅔',
  );
});

test(
  'under a roof lamps alone count, and what its windows let in follows the day',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    const change = async (press: (sheet: ReturnType<Page['getByRole']>) => Promise<void>) => {
      await page.getByRole('button', { name: /^Change sky/ }).click();
      const sheet = page.getByRole('dialog');
      await press(sheet);
      await page.keyboard.press('Escape');
      await expect(sheet).toHaveCount(0);
      return (await readAnswer(page)).ev;
    };
    const dark = await change(async (sheet) => {
      await sheet.getByRole('radio', { name: 'A roof' }).click();
      await expect(sheet.getByText('Lamps alone light the hall.')).toBeVisible();
    });
    const few = await change((sheet) => sheet.getByRole('radio', { name: 'Few, high up' }).click());
    const round = await change(async (sheet) => {
      await sheet.getByRole('radio', { name: 'All round' }).click();
      await expect(
        sheet.getByText(/^About 5 % of the sky’s light comes in, evenly\./),
      ).toBeVisible();
    });
    expect(few).toBeGreaterThan(dark);
    // Five times the windows are 2.3 stops, less what the lamps have in it.
    expect(round - few).toBeGreaterThan(0.5);
    expect(round - few).toBeLessThan(2.4);
    await expect(
      page.getByText(/a roof with windows; (clear|partly|overcast), set by hand/),
    ).toBeVisible();
    await settle(page);
    await page.reload();
    await expect(headline(page)).toBeVisible();
    expect((await readAnswer(page)).ev).toBe(round);
    expect(
      await change((sheet) => sheet.getByRole('radio', { name: 'None', exact: true }).click()),
    ).toBe(dark);
  },
);

test(
  'a forecast of one’s own is pasted, opened or typed in, refused by its line, and kept',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-alder-reach/light');
    await expect(headline(page)).toBeVisible();
    await page.getByRole('button', { name: 'Change sky' }).click();
    const own = page.getByRole('group', { name: 'A forecast of your own' });
    await own.getByRole('button', { name: 'Paste a forecast' }).click();
    const pasted = page.getByLabel('Forecast', { exact: true });
    const readIt = page.getByRole('button', { name: 'Read it' });
    await pasted.fill('time; cloud %\n05:00; 10\n06:00; much');
    await readIt.click();
    await expect(page.getByText('line 3, cloud %: "much" is no number')).toBeVisible();
    await pasted.fill('time; cloud %; wind km/h\n05:00; 10; 4\n06:00; 40; 6\n07:00; 85; 11');
    await readIt.click();
    await expect(own.getByRole('status')).toHaveText(
      '3 hours were read. Not in it, and as set by hand in Kit: temperature, humidity and rain.',
    );
    // 06:40 is two thirds of the way from 40 % (20 to 60) to 85 % (65 to all of the sky).
    await expect(own).toContainText('06:40: cloud 70 % (50 to 87)');
    const hours = own.getByRole('list', { name: 'Hours of the forecast' });
    await expect(hours.getByRole('listitem')).toHaveCount(3);
    await hours.getByRole('button', { name: /^07:00/ }).click();
    await hours.getByRole('radio', { name: 'Overcast' }).click();
    await expect(own).toContainText('06:40: cloud 80 %');
    await hours.getByRole('button', { name: 'Done with 07:00' }).click();
    await page.keyboard.press('Escape');
    await expect(page.getByText('by what was pasted, changed by hand')).toBeVisible();

    await page.getByRole('button', { name: 'Change sky' }).click();
    const text = JSON.stringify({
      hourly_units: { wind_speed: 'm/s' },
      hourly: {
        time: ['2027-05-08T05:00', '2027-05-08T06:00', '2027-05-08T07:00', '2027-05-08T08:00'],
        cloud_cover: [0, 0, 0, 0],
        wind_speed: [9, 9, 9, 9],
      },
    });
    await giveFile(page, 'Open a forecast file', {
      ...{ name: 'valley.json', mimeType: 'application/json', text },
    });
    await expect(own).toContainText('06:40: cloud 0 % (0 to 20)');
    await settle(page);
    await page.reload();
    await expect(page.getByText('by valley.json')).toBeVisible();
    await expect(page.getByText('Simulated, not measured.')).toBeHidden();
    await page.getByRole('button', { name: 'Change sky' }).click();
    await own.getByRole('button', { name: 'Type it in by the hour' }).click();
    await expect(own.getByRole('status')).toHaveText(
      '5 hours as the sky is set by hand: press one to set it right. Undo brings the forecast of before back.',
    );
    await expect(own).toContainText('06:40: cloud 50 %');
  },
);

test('fog and wind are noted by a press each, and the ground says what is left of the contrast @once', async ({
  page,
}) => {
  await page.goto('/shoot/demo-alder-reach/light');
  await page.getByRole('button', { name: 'Change sky' }).click();
  const seen = page.getByRole('group', { name: 'What you see there' });
  await seen.getByRole('radio', { name: 'Bushes' }).click();
  await expect(seen).toContainText('Wind: what moves · 9.4 m/s');
  await seen.getByRole('radio', { name: 'Fog' }).click();
  await page.keyboard.press('Escape');
  await goTo(page, 'Day');
  await expect(page.getByRole('region', { name: 'Mist' })).toContainText(/^Mist ?None: /);
  await goTo(page, 'Ground');
  const here = page.getByRole('region', { name: 'Where you stand' });
  await expect(here).toContainText(
    /Mist: 88 % of the contrast left on it, \d\d % on what is behind\./,
  );
  await groundTool(page, 'When');
  await expect(
    page.getByText(/^Visits to Near perch: most from \d\d:00 to \d\d:00, /),
  ).toBeVisible();
  await settle(page);
  await page.reload();
  await expect(here).toContainText(/Mist: 88 % of the contrast/);

  // Under leaves there is no sun to be in, and that is told where it was told.
  await goTo(page, 'Light');
  await page.getByRole('button', { name: 'Change sky' }).click();
  await page.getByRole('radiogroup', { name: 'Over the ground' }).getByText('Leaves').click();
  await expect(page.getByText(/^No sun but in flecks;/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText(/a canopy that lets 8 % through/)).toBeVisible();
  await goTo(page, 'Ground');
  await expect(here).toContainText('Under the canopy');
});
