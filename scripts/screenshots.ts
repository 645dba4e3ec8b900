/** Takes the pictures of docs/screenshots from the built app and its demo data. */
import { chromium, type Browser, type Page } from '@playwright/test';
import path from 'node:path';
import { createApp } from '../server/app';
import { listenOnFreePort } from '../server/listen';
import { CHROMIUM } from './chromium';
import { saveField } from './screenshots-field';

const PHONE = { width: 390, height: 844 };
const LEVEL = { width: 844, height: 390 };
const WIDE = { width: 1280, height: 800 };

/** What is opened, and what is pressed there before the picture is taken; what it is scrolled to. */
interface Shot {
  readonly at: string;
  readonly press?: readonly (string | RegExp)[];
  readonly to?: string | RegExp;
  /** Quarter hours that the time is moved on. */
  readonly quarters?: number;
}
/** One picture, of one or several side by side. */
interface Picture {
  readonly name: string;
  readonly size: typeof PHONE;
  readonly shots: readonly Shot[];
}

const step = (shoot: string, ...steps: readonly string[]): readonly Shot[] =>
  steps.map((at) => ({ at: `/shoot/demo-${shoot}/${at}` }));
const GROUND = '/shoot/demo-larkmoor/ground';
const tool = (name: string, at = GROUND): Shot => ({ at, press: [name] });

const PICTURES: readonly Picture[] = [
  { name: 'shoots-phone', size: PHONE, shots: [{ at: '/' }] },
  { name: 'quick-phone', size: PHONE, shots: [{ at: '/quick' }] },
  {
    name: 'larkmoor-steps',
    size: PHONE,
    shots: step('larkmoor', 'brief', 'ground', 'light', 'settings', 'kit'),
  },
  {
    name: 'alder-reach-steps',
    size: PHONE,
    shots: step('alder-reach', 'brief', 'ground', 'light', 'settings/focus', 'day'),
  },
  {
    name: 'tern-water-steps',
    size: PHONE,
    shots: step('tern-water', 'brief', 'ground', 'settings/motion', 'day', 'day/route'),
  },
  {
    name: 'level-phone',
    size: LEVEL,
    shots: [
      ...step('larkmoor', 'ground', 'light', 'settings'),
      { at: '/shoot/demo-alder-reach/field' },
    ],
  },
  {
    name: 'behind-the-line-phone',
    size: PHONE,
    shots: [
      { at: GROUND, press: [/ISO \d+/], quarters: 8 },
      { at: GROUND, press: [/: show all steps$/] },
      { at: '/shoot/demo-larkmoor/brief', press: ['Add a shot'] },
      { at: '/shoot/demo-larkmoor/settings/card' },
    ],
  },
  {
    name: 'ground-tools-phone',
    size: PHONE,
    shots: [
      { at: GROUND, press: ['Search', 'Search the ground'], to: /^1\. / },
      tool('Compare'),
      tool('Side'),
      tool('When', '/shoot/demo-alder-reach/ground'),
    ],
  },
  {
    name: 'kit-phone',
    size: PHONE,
    shots: step('larkmoor', 'kit/bag', 'kit/frames', 'kit/weather', 'kit/pack'),
  },
  {
    name: 'shoot-wide',
    size: WIDE,
    shots: [{ at: '/shoot/demo-larkmoor/ground', quarters: 3 }],
  },
  { name: 'light-wide', size: WIDE, shots: [{ at: '/shoot/demo-larkmoor/light', quarters: 3 }] },
  { name: 'settings-wide', size: WIDE, shots: [{ at: '/shoot/demo-tern-water/settings' }] },
  { name: 'day-wide', size: WIDE, shots: [{ at: '/shoot/demo-tern-water/day' }] },
  {
    name: 'figures-wide',
    size: WIDE,
    shots: [{ at: GROUND, press: ['All positions and marks in figures', 'Sort by Distance'] }],
  },
  {
    name: 'draw-phone',
    size: PHONE,
    shots: [{ at: '/shoot/demo-larkmoor/draw', press: [/^Select West stand/] }],
  },
  {
    name: 'draw-wide',
    size: WIDE,
    shots: [{ at: '/shoot/demo-alder-reach/draw', press: [/^Select Reeds, far bank/] }],
  },
];

/** Grounds of different kinds, made through the form. */
const GROUNDS = ['400 m track', '50 m pool', 'Baseball diamond, high school'] as const;
const FORM = { Title: '', Latitude: '52.1', Longitude: '-1.2', Date: '2027-06-12' };

async function makeShoot(page: Page, base: string, ground: string): Promise<void> {
  await page.goto(`${base}/new`);
  await page.getByRole('button', { name: /^Ground/ }).click();
  await page.getByRole('radio', { name: ground, exact: true }).click();
  for (const [label, value] of Object.entries({ ...FORM, Title: ground })) {
    await page.getByLabel(label, { exact: true }).fill(value);
  }
  await page.getByLabel('True bearing of the long axis').fill('340');
  await page.getByRole('button', { name: 'Make the shoot' }).click();
  await page.getByRole('img', { name: /^Ground plan/ }).waitFor();
  await page.waitForTimeout(1500);
}

const fileOf = (name: string) => path.resolve(__dirname, `../docs/screenshots/${name}.png`);

/** One picture of several, side by side; those that are broader than high one over the other. */
async function saveSheet(page: Page, shots: readonly string[], name: string): Promise<void> {
  const { width, height } = page.viewportSize() ?? PHONE;
  const stacked = width > height;
  const along = (size: number) => (size + 20) * shots.length - 20;
  await page.setViewportSize(
    stacked ? { width, height: along(height) } : { width: along(width), height },
  );
  await page.setContent(
    `<body style="margin:0;display:flex;flex-direction:${stacked ? 'column' : 'row'};gap:20px;background:#888">${shots
      .map((shot) => `<img src="data:image/png;base64,${shot}">`)
      .join('')}`,
  );
  await page.waitForTimeout(300);
  await page.screenshot({ path: fileOf(name) });
}

async function taken(page: Page, base: string, shot: Shot): Promise<Buffer> {
  const { at, press = [], to, quarters = 0 } = shot;
  await page.goto(`${base}${at}`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.waitForTimeout(2000);
  for (let i = 0; i < quarters; i += 1) {
    const time = page.getByRole('slider', { name: 'Time', exact: true });
    await time.focus();
    await page.keyboard.press('PageUp');
    await page.waitForTimeout(200);
    await time.blur();
  }
  for (const name of press) {
    await page
      .getByRole('button', { name, exact: typeof name === 'string' })
      .first()
      .click();
    await page.waitForTimeout(1200);
  }
  if (to !== undefined) {
    await page
      .getByText(to)
      .first()
      .evaluate((found) => found.scrollIntoView());
    await page.waitForTimeout(400);
  }
  return page.screenshot();
}

async function savePicture(
  browser: Browser,
  base: string,
  { name, size, shots }: Picture,
): Promise<void> {
  const page = await browser.newPage({ viewport: size, locale: 'en-GB', colorScheme: 'light' });
  const [first, ...others] = shots;
  if (first && others.length === 0) {
    await taken(page, base, first);
    await page.screenshot({ path: fileOf(name) });
  } else {
    const pictures: string[] = [];
    for (const shot of shots) pictures.push((await taken(page, base, shot)).toString('base64'));
    await saveSheet(page, pictures, name);
  }
  await page.close();
}

async function main(): Promise<void> {
  const app = createApp(path.resolve(__dirname, '../dist'), () => []);
  const { server, port } = await listenOnFreePort(app, 0, console.log);
  const base = `http://127.0.0.1:${port}`;
  const browser = await chromium.launch(CHROMIUM);
  for (const picture of PICTURES) await savePicture(browser, base, picture);
  await saveField(
    browser,
    base,
    (page, name) => page.screenshot({ path: fileOf(name) }),
    saveSheet,
  );
  const page = await browser.newPage({ viewport: PHONE, locale: 'en-GB' });
  const grounds: string[] = [];
  for (const ground of GROUNDS) {
    await makeShoot(page, base, ground);
    grounds.push((await page.screenshot()).toString('base64'));
  }
  await saveSheet(page, grounds, 'grounds-phone');
  await browser.close();
  server.close();
}

void main();
