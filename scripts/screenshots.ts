/** Takes the pictures of docs/screenshots from the built app and its demo data: all, or those that are named. */
import { chromium, type Browser, type Page } from '@playwright/test';
import path from 'node:path';
import { createApp } from '../server/app';
import { listenOnFreePort } from '../server/listen';
import { readPlaces } from '../server/places';
import { CHROMIUM } from './chromium';
import { drawShots } from './screenshots-draw';
import { saveField } from './screenshots-field';
import { meetShots } from './screenshots-meet';
import { practiceShots } from './screenshots-practice';

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
  /** How long it is looked at until it is whole. */
  readonly waitMs?: number;
}
/** One picture, of one or several side by side. */
interface Picture {
  readonly name: string;
  readonly size: typeof PHONE;
  readonly shots: readonly Shot[];
}

const step = (shoot: string, ...steps: readonly string[]): readonly Shot[] =>
  steps.map((at) => ({ at: `/shoot/demo-${shoot}/${at}` }));
/** A frame without a graphics card. */
const FRAME_MS = 12_000;
const LOOK = 'Look through the lens';
const GROUND = '/shoot/demo-larkmoor/ground';
const tool = (name: string, at = GROUND): Shot => ({ at, press: [name] });

const PICTURES: readonly Picture[] = [
  { name: 'shoots-and-quick-phone', size: PHONE, shots: [{ at: '/' }, { at: '/quick' }] },
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
    name: 'ground-tools-phone',
    size: PHONE,
    shots: [
      {
        at: GROUND,
        press: ['Search', 'Search the ground'],
        to: /^1\. /,
        waitMs: FRAME_MS,
      },
      { ...tool('Compare'), waitMs: FRAME_MS },
      tool('Side'),
      tool('When', '/shoot/demo-alder-reach/ground'),
      { at: GROUND, press: [/ISO \d+/], quarters: 8 },
      { at: GROUND, press: [/: show all steps$/] },
      { at: '/shoot/demo-larkmoor/brief', press: ['Add a shot'] },
      { at: '/shoot/demo-larkmoor/settings/card' },
    ],
  },
  {
    name: 'lens-phone',
    size: PHONE,
    shots: [
      { ...tool('Lens'), waitMs: FRAME_MS },
      { ...tool('Lens', '/shoot/demo-alder-reach/ground'), waitMs: FRAME_MS },
      { ...tool('Lens', '/shoot/demo-tern-water/ground'), waitMs: FRAME_MS },
      {
        at: '/shoot/demo-larkmoor/settings',
        press: [LOOK, /^Compare with/, /^From Sideline, level/],
        waitMs: FRAME_MS,
      },
      { at: '/shoot/demo-larkmoor/settings', press: [LOOK], to: 'Camera', waitMs: 2 * FRAME_MS },
      {
        at: '/shoot/demo-larkmoor/light',
        press: [/^The picture through/],
        waitMs: 2 * FRAME_MS,
      },
      { at: '/shoot/demo-alder-reach/brief', press: [/^The picture wanted/], waitMs: FRAME_MS },
      { ...tool('Lens'), waitMs: FRAME_MS, quarters: 7 },
    ],
  },
  {
    name: 'lens-wide',
    size: WIDE,
    shots: [
      {
        at: '/shoot/demo-larkmoor/settings',
        press: [LOOK, /^Compare with/, /^From East touchline/],
        waitMs: 2 * FRAME_MS,
      },
      { at: '/shoot/demo-alder-reach/ground', press: [LOOK], waitMs: FRAME_MS },
      { at: '/shoot/demo-tern-water/ground', press: [LOOK], waitMs: FRAME_MS },
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
    shots: [
      { at: GROUND, quarters: 3 },
      { at: GROUND, press: ['All positions and marks in figures', 'Sort by Distance'] },
    ],
  },
  {
    name: 'light-and-settings-wide',
    size: WIDE,
    shots: [
      { at: '/shoot/demo-larkmoor/light', quarters: 3 },
      { at: '/shoot/demo-tern-water/settings' },
    ],
  },
  { name: 'day-wide', size: WIDE, shots: [{ at: '/shoot/demo-tern-water/day' }] },
];

/** A new shoot as it is said: the board, a place, the hours, and the ground it brings. */
async function newShoot(page: Page, base: string): Promise<readonly string[]> {
  const shots: string[] = [];
  const shoot = async () => {
    await page.waitForTimeout(900);
    shots.push((await page.screenshot()).toString('base64'));
  };
  const press = (name: string | RegExp) => page.getByRole('button', { name }).first().click();
  await page.goto(`${base}/new`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await shoot();
  await press('Track and field');
  await page.getByLabel('Place', { exact: true }).fill('sprinfield');
  await shoot();
  await press(/^Springfield, Illinois/);
  await page.getByLabel('Date', { exact: true }).fill('12 June 2027');
  await page.getByLabel('Start', { exact: true }).fill('17:00');
  await page.getByLabel('End', { exact: true }).fill('19:30');
  await shoot();
  await press('Make the shoot');
  await page.getByRole('img', { name: /^Ground plan/ }).waitFor();
  await page.waitForTimeout(1500);
  await shoot();
  return shots;
}

const fileOf = (name: string) => path.resolve(__dirname, `../docs/screenshots/${name}.png`);

const MOST_ACROSS = 4;

/** One picture of several, side by side and in rows; those that are broader than high one over the other. */
async function saveSheet(page: Page, shots: readonly string[], name: string): Promise<void> {
  const { width, height } = page.viewportSize() ?? PHONE;
  const stacked = width > height;
  const across = stacked ? 1 : Math.min(MOST_ACROSS, shots.length);
  const along = (size: number, count: number) => (size + 20) * count - 20;
  await page.setViewportSize({
    width: along(width, across),
    height: along(height, Math.ceil(shots.length / across)),
  });
  await page.setContent(
    `<body style="margin:0;display:flex;flex-wrap:wrap;align-items:flex-start;gap:20px;background:#888">${shots
      .map((shot) => `<img src="data:image/png;base64,${shot}">`)
      .join('')}`,
  );
  await page.waitForTimeout(300);
  await page.screenshot({ path: fileOf(name) });
}

async function taken(page: Page, base: string, shot: Shot): Promise<Buffer> {
  const { at, press = [], to, quarters = 0, waitMs = 0 } = shot;
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
    const how = { name, exact: typeof name === 'string' };
    await page.getByRole('button', how).or(page.getByRole('radio', how)).first().click();
    await page.waitForTimeout(1200);
  }
  if (to !== undefined) {
    await page
      .getByText(to)
      .first()
      .evaluate((found) => found.scrollIntoView());
    await page.waitForTimeout(400);
  }
  await page.waitForTimeout(waitMs);
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
  const root = path.resolve(__dirname, '..');
  const app = createApp(path.join(root, 'dist'), readPlaces(path.join(root, 'build/places')));
  const { server, port } = await listenOnFreePort(app, 0, console.log);
  const base = `http://127.0.0.1:${port}`;
  const browser = await chromium.launch(CHROMIUM);
  const named = process.argv.slice(2);
  const isWanted = (name: string) => named.length === 0 || named.includes(name);
  for (const picture of PICTURES.filter(({ name }) => isWanted(name))) {
    await savePicture(browser, base, picture);
  }
  if (isWanted('field-wide') || isWanted('field-and-log-phone')) {
    await saveField(browser, base, saveSheet);
  }
  for (const [name, viewport, taken] of [
    ['new-shoot-phone', PHONE, newShoot],
    ['new-shoot-wide', WIDE, newShoot],
    ['draw-phone', PHONE, drawShots],
    ['practice-phone', PHONE, practiceShots],
    ['meet-phone', PHONE, meetShots],
  ] as const) {
    if (!isWanted(name)) continue;
    const context = await browser.newContext({ viewport, locale: 'en-GB' });
    const page = await context.newPage();
    await saveSheet(page, await taken(page, base), name);
    await context.close();
  }
  await browser.close();
  server.close();
}

void main();
