/** Takes the pictures of docs/screenshots from the built app and its demo data. */
import { chromium, type Browser, type Page } from '@playwright/test';
import path from 'node:path';
import { createApp } from '../server/app';
import { listenOnFreePort } from '../server/listen';
import { CHROMIUM } from './chromium';
import { saveField } from './screenshots-field';

const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };

/** Quarter hours that the time is moved on before the picture is taken. */
const PICTURES = [
  { name: 'shoots-phone', at: '/', size: PHONE, scheme: 'light', quarters: 0 },
  { name: 'quick-phone', at: '/quick', size: PHONE, scheme: 'light', quarters: 0 },
  {
    name: 'shoot-phone',
    at: '/shoot/demo-larkmoor/ground',
    size: PHONE,
    scheme: 'light',
    quarters: 0,
  },
  {
    name: 'shoot-wide',
    at: '/shoot/demo-larkmoor/settings',
    size: WIDE,
    scheme: 'light',
    quarters: 3,
  },
  {
    name: 'day-wide',
    at: '/shoot/demo-tern-water/day',
    size: WIDE,
    scheme: 'light',
    quarters: 0,
  },
] as const;

const SEARCH = { name: 'search-phone', at: '/shoot/demo-larkmoor/ground' };
/** Grounds being drawn, a thing in hand. */
const DRAWN = [
  {
    name: 'draw-phone',
    at: '/shoot/demo-larkmoor/draw',
    thing: 'West stand',
    size: PHONE,
  },
  {
    name: 'draw-wide',
    at: '/shoot/demo-alder-reach/draw',
    thing: 'Reeds, far bank',
    size: WIDE,
  },
] as const;
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

/** Brief, Light, Settings and card of one shoot, side by side: what each is scrolled to. */
const STEPS = [
  { step: 'brief', to: 'What was promised' },
  { step: 'light', to: 'Through the hours' },
  { step: 'settings', tab: 'Dials', to: 'The shutter’s scale' },
  { step: 'settings', tab: 'Card', to: 'Settings card' },
] as const;
/** Shots taken up for the pictures: each scenario has its own technique. */
const TAKEN: Readonly<Record<string, string>> = {
  'alder-reach': 'On the near perch, eye sharp',
  'tern-water': 'A boat panned along the reeds',
};

/** One picture of several, side by side. */
async function saveSheet(page: Page, shots: readonly string[], name: string): Promise<void> {
  await page.setViewportSize({
    width: (PHONE.width + 20) * shots.length - 20,
    height: PHONE.height,
  });
  await page.setContent(
    `<body style="margin:0;display:flex;gap:20px;background:#888">${shots
      .map((shot) => `<img src="data:image/png;base64,${shot}">`)
      .join('')}`,
  );
  await page.waitForTimeout(300);
  await page.screenshot({ path: path.resolve(__dirname, `../docs/screenshots/${name}.png`) });
}

/** Kit and Day on a phone: what each is scrolled to. */
const CARRIED = [
  { at: 'larkmoor/kit', tab: 'Hands', to: 'On the second strap' },
  { at: 'larkmoor/kit', tab: 'Bag', to: 'Look at' },
  { at: 'larkmoor/kit', tab: 'Pack', to: /of \d+ packed$/ },
  { at: 'tern-water/day', tab: 'Order', to: /^\d\d:\d\d: / },
  { at: 'tern-water/day', tab: 'Route', to: /on foot$/ },
  { at: 'alder-reach/day', tab: 'Nature', to: 'Visits to Near perch' },
] as const;

async function saveCarried(browser: Browser, base: string): Promise<void> {
  const page = await browser.newPage({ viewport: PHONE, locale: 'en-GB' });
  const shots: string[] = [];
  for (const { at, tab, to } of CARRIED) {
    await page.goto(`${base}/shoot/demo-${at}`);
    await page.getByRole('radio', { name: tab, exact: true }).click();
    await page.waitForTimeout(1500);
    await page
      .getByText(to)
      .first()
      .evaluate((found) => found.scrollIntoView());
    await page.waitForTimeout(400);
    shots.push((await page.screenshot()).toString('base64'));
  }
  await saveSheet(page, shots, 'kit-and-day-phone');
  await page.close();
}

async function saveSteps(browser: Browser, base: string, id: string): Promise<void> {
  const page = await browser.newPage({ viewport: PHONE, locale: 'en-GB' });
  const shots: string[] = [];
  await page.goto(`${base}/shoot/demo-${id}/brief`);
  const taken = TAKEN[id];
  if (taken) await page.getByRole('button', { name: new RegExp(`^${taken}`) }).click();
  for (const { step, to, ...rest } of STEPS) {
    await page.getByRole('link', { name: new RegExp(`^${step}$`, 'i') }).click();
    await page.waitForTimeout(1500);
    if ('tab' in rest) await page.getByRole('radio', { name: rest.tab, exact: true }).click();
    await page.waitForTimeout(800);
    await page.getByText(to, { exact: true }).evaluate((found) => found.scrollIntoView());
    await page.waitForTimeout(400);
    shots.push((await page.screenshot()).toString('base64'));
  }
  await saveSheet(page, shots, `${id}-steps`);
  await page.close();
}

async function main(): Promise<void> {
  const app = createApp(path.resolve(__dirname, '../dist'));
  const { server, port } = await listenOnFreePort(app, 0, console.log);
  const base = `http://127.0.0.1:${port}`;
  const browser = await chromium.launch(CHROMIUM);
  const save = (page: Page, name: string) =>
    page.screenshot({ path: path.resolve(__dirname, `../docs/screenshots/${name}.png`) });
  for (const { name, at, size, scheme, quarters } of PICTURES) {
    const page = await browser.newPage({ viewport: size, colorScheme: scheme, locale: 'en-GB' });
    await page.goto(`${base}${at}`);
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.waitForTimeout(1500);
    for (let i = 0; i < quarters; i += 1) {
      const time = page.getByRole('slider', { name: 'Time', exact: true });
      await time.focus();
      await page.keyboard.press('PageUp');
      await page.waitForTimeout(200);
      await time.blur();
    }
    await save(page, name);
    await page.close();
  }
  const page = await browser.newPage({ viewport: PHONE, locale: 'en-GB' });
  await page.goto(`${base}${SEARCH.at}`);
  await page.getByRole('button', { name: 'Search the ground' }).click();
  await page.getByRole('list', { name: 'Best places' }).scrollIntoViewIfNeeded();
  await page.waitForTimeout(500);
  await save(page, SEARCH.name);
  await page.goto(`${base}${SEARCH.at}`);
  await page.getByRole('button', { name: 'Compare the positions' }).click();
  const cards = page.getByRole('list', { name: 'Positions compared' }).getByRole('listitem');
  await cards.nth(1).scrollIntoViewIfNeeded();
  await page.waitForTimeout(500);
  await save(page, 'compare-phone');
  await page.goto(`${base}/shoot/demo-larkmoor/ground`);
  await page.getByRole('button', { name: 'See it from the side' }).click();
  await page.getByText(/Heights are drawn larger/).scrollIntoViewIfNeeded();
  await page.waitForTimeout(500);
  await save(page, 'side-phone');
  await page.goto(`${base}/shoot/demo-alder-reach/ground`);
  await page.getByRole('button', { name: 'See the day and the year' }).click();
  await page.getByRole('img', { name: /^The year at / }).scrollIntoViewIfNeeded();
  await page.waitForTimeout(500);
  await save(page, 'when-phone');
  const wide = await browser.newPage({ viewport: WIDE, locale: 'en-GB' });
  await wide.goto(`${base}/shoot/demo-larkmoor/ground`);
  await wide.getByRole('button', { name: 'All positions and marks in figures' }).click();
  await wide.getByRole('button', { name: 'Sort by Distance' }).click();
  await wide.waitForTimeout(500);
  await save(wide, 'figures-wide');
  await wide.close();
  for (const { name, at, thing, size } of DRAWN) {
    const drawing = await browser.newPage({ viewport: size, locale: 'en-GB' });
    await drawing.goto(`${base}${at}`);
    await drawing.getByRole('button', { name: `Select ${thing}` }).click();
    await drawing.waitForTimeout(1500);
    await save(drawing, name);
    await drawing.close();
  }
  for (const id of ['larkmoor', 'alder-reach', 'tern-water']) {
    await saveSteps(browser, base, id);
  }
  await saveCarried(browser, base);
  await saveField(browser, base, save, saveSheet);
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
