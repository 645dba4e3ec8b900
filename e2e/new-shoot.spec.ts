import type { Locator, Page } from '@playwright/test';
import {
  expect,
  goTo,
  groundTool,
  headline,
  inAnswer,
  onPhone,
  readAnswer,
  settle,
  test,
  typePlace,
} from './app';

/** A person who presses: how often. */
function presser(page: Page) {
  let presses = 0;
  return {
    count: () => presses,
    press: async (name: string | RegExp, within: Page | Locator = page) => {
      await within.getByRole('button', { name, exact: true }).first().click();
      presses += 1;
    },
    /** What is typed goes where the page has put the caret. */
    type: async (text: string) => {
      await typePlace(page, text);
    },
  };
}

/** Ten jobs from the list of shoots to the first answer: what is photographed, near where, when. */
const JOBS = [
  ['an evening of gridiron', 'Gridiron, high school', 'abilene', /^Abilene, Texas/, 'Tonight'],
  ['baseball at noon', 'Baseball, high school', 'springfield ill', /^Springfield, Ill/, 'Saturday'],
  ['a game in the gym', 'Basketball, high school', 'galena', /^Galena, /, 'Tonight'],
  ['a swim meet', 'Pool, 50 m', 'leiden', /^Leiden, /, 'Tomorrow'],
  ['a track meet', 'Track and field', 'eugene', /^Eugene, Oregon/, 'Saturday'],
  ['a road race', 'Road race', 'gent', /^Gent, /, 'Tomorrow'],
  ['a ski turn', 'Ski turn', 'kitzb', /^Kitzbühel, /, 'Tomorrow'],
  ['a garden feeder', 'Garden feeder', 'uppsala', /^Uppsala, /, 'Tomorrow'],
  ['the path of a wren', 'Singing bird', 'keswick', /^Keswick, England/, 'Tomorrow'],
  ['a walk with what is in the bag', 'Blank ground', 'nairobi', /^Nairobi, /, 'Now'],
] as const;

for (const [job, ground, typed, place, day] of JOBS) {
  test(`${job}: six presses and a name`, { tag: '@once' }, async ({ page }) => {
    await page.goto('/');
    await expect(page.getByRole('button', { name: 'New shoot' })).toBeVisible();
    const { press, type, count } = presser(page);
    const startMs = Date.now();
    await press('New shoot');
    await press(ground);
    await type(typed);
    await press(place);
    await press(day);
    await press('Make the shoot');
    await expect(headline(page)).toBeVisible();
    const seconds = (Date.now() - startMs) / 1000;
    const description = `${count()} presses, ${typed.length} letters, ${seconds.toFixed(1)} s`;
    test.info().annotations.push({ type: 'measured', description });
    expect(count()).toBeLessThanOrEqual(6);
    expect(await headline(page).getAttribute('aria-label')).toMatch(/ISO \d+/);
  });
}

test(
  'places are found with slips and accents, and without a network the largest',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/new');
    await page.getByRole('button', { name: 'Tennis', exact: true }).click();
    const field = page.getByLabel('Place', { exact: true });
    const found = page.getByRole('list', { name: 'Places found' }).getByRole('button');
    for (const [typed, first] of [
      ['munchen', /^Munich, Bavaria, Germany/],
      ['reykavik', /^Reykjavík, /],
      ['東京', /^Tokyo, Japan/],
    ] as const) {
      await field.fill(typed);
      await expect(found.first()).toHaveAccessibleName(first);
    }
    await expect(page.getByText(/GeoNames.*CC BY 4\.0/)).toBeVisible();
    await field.fill('xqzzv');
    await expect(page.getByText(/^No place is called “xqzzv”/)).toBeVisible();

    // What comes is no list of places: as without a network, which e2e/offline.spec.ts tries.
    await page.route('**/api/places*', (route) => route.fulfill({ json: {} }));
    await field.fill('melborne');
    await expect(found.first()).toHaveAccessibleName(/^Melbourne, Victoria, Australia/);
    await expect(page.getByText(/only the 5000 largest places are known/)).toBeVisible();
  },
);

test(
  'what can’t be read is faulted all at once, says what was understood, and is kept',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/new');
    await page.getByRole('button', { name: 'Make the shoot' }).click();
    await expect(
      page.getByText(/^5 things are still missing or unclear: ground, place/),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Field hockey', exact: true }).click();
    const field = (label: string) => page.getByLabel(label, { exact: true });
    const typed = { Place: '99.73 W', Date: 'May 2027', Start: '7', End: '25:00' };
    for (const [label, value] of Object.entries(typed)) await field(label).fill(value);
    for (const said of [
      '99.73° west is understood; the latitude is missing',
      'May 2027 is understood; the day is missing',
      '7 is understood as the hour; write 7:00, or am or pm after it',
      'there is no hour 25',
    ]) {
      await expect(page.getByText(`Change this: ${said}`)).toBeVisible();
    }
    for (const [label, value] of Object.entries(typed)) {
      await expect(field(label)).toHaveValue(value);
    }
    for (const [label, value] of Object.entries({
      Place: '32.45 N, 99.73 W',
      Date: '22.05.2027',
      Start: '7:00 pm',
      End: '1:30 am',
    })) {
      await field(label).fill(value);
    }
    await page.getByRole('button', { name: /^Take 32\.45° N, 99\.73° W/ }).click();
    await expect(page.getByText('Saturday 22 May 2027, 19:00 to 01:30.')).toBeVisible();
    await expect(page.getByText(/Ends on Sunday 23 May 2027/)).toBeVisible();
    await page.getByRole('button', { name: 'Make the shoot' }).click();
    await expect(headline(page)).toBeVisible();
  },
);

test('the platform’s own calendar and clock fill the lines, and the sun gives times', async ({
  page,
}) => {
  await page.goto('/new');
  await page.getByRole('button', { name: 'Garden feeder', exact: true }).click();
  await page.getByLabel('Place', { exact: true }).fill('59.86, 17.64');
  await page.getByRole('button', { name: /^Take 59/ }).click();
  await page.getByLabel('Choose the date').fill('2027-06-21');
  await page.getByLabel('Choose the start').fill('05:30');
  await page.getByLabel('Choose the end').fill('08:00');
  await expect(page.getByLabel('Date', { exact: true })).toHaveValue('21/06/2027');
  await expect(page.getByText('Monday 21 June 2027, 05:30 to 08:00.')).toBeVisible();
  const sun = page.getByRole('group', { name: 'Start by the sun' });
  // Uppsala at midsummer, from an almanac, quoted from memory: up at 3:30, down at 22:15.
  await expect(sun.getByRole('button', { name: /^Sunrise 03:[23]\d$/ })).toBeVisible();
  await sun.getByRole('button', { name: /^Sunset 22:1\d$/ }).click();
  await expect(
    page.getByText(/^Monday 21 June 2027, 22:1\d to 00:4\d\. Ends on Tuesday/),
  ).toBeVisible();
});

test(
  'a night game asks for floodlights; what is guessed says so until it is settled',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/new');
    await page.getByRole('button', { name: 'Football (soccer)', exact: true }).click();
    await page.getByLabel('Place', { exact: true }).fill('48.169, 11.529');
    await page.getByRole('button', { name: /^Take 48/ }).click();
    await page.getByLabel('Date', { exact: true }).fill('12.2.2027');
    await page.getByLabel('Start', { exact: true }).fill('19:00');
    await page.getByLabel('End', { exact: true }).fill('21:00');
    await expect(page.getByRole('radio', { name: 'School', exact: true })).toBeChecked();
    await page.getByRole('radio', { name: 'Club', exact: true }).click();
    await expect(page.getByText(/^Guessed at 120 lx/)).toBeVisible();
    await page.getByRole('button', { name: 'Make the shoot' }).click();
    await expect(headline(page)).toBeVisible();
    const guessed = () =>
      inAnswer(page, async (answer) =>
        (await answer.getByRole('listitem').allInnerTexts()).join('\n'),
      );
    expect(await guessed()).toMatch(
      /lamps are guessed at 120 lx[\s\S]*Body, lens or both are guessed/,
    );

    const whole = page.getByRole('region', { name: 'The whole answer' });
    if (!(await whole.isVisible())) {
      await page.getByRole('region', { name: 'Answer' }).getByRole('button').first().click();
    }
    await page.getByRole('button', { name: 'Turn the ground' }).click();
    const rose = page.getByRole('slider', { name: 'True bearing of the long axis' });
    const box = (await rose.boundingBox()) as { x: number; y: number; width: number };
    const middle = { x: box.x + box.width / 2, y: box.y + box.width / 2 };
    await page.mouse.move(middle.x, middle.y - 90);
    await page.mouse.down();
    await page.mouse.move(middle.x + 60, middle.y - 60, { steps: 5 });
    await page.mouse.move(middle.x + 90, middle.y, { steps: 5 });
    await page.mouse.up();
    await expect(rose).toHaveAttribute('aria-valuenow', '90');
    await page.getByRole('button', { name: /^The sun sets behind this end/ }).click();
    // Munich in the middle of February: about a quarter north of south-west; by the almanac, from memory.
    const deg = async () => Number(await rose.getAttribute('aria-valuenow'));
    await expect.poll(deg).toBeGreaterThan(245);
    expect(await deg()).toBeLessThan(260);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Escape');
    expect(await guessed()).not.toMatch(/long axis/);
    await settle(page);
    await page.reload();
    await expect(headline(page)).toBeVisible();
    expect(await guessed()).toMatch(/lamps are guessed/);
  },
);

test(
  'a venue used before comes with its ground; a weekly game is made for as many weeks',
  { tag: '@once' },
  async ({ page }) => {
    const make = async (weeks: number) => {
      await page.getByRole('button', { name: 'Tomorrow', exact: true }).click();
      for (let week = 1; week < weeks; week += 1) {
        await page.getByRole('button', { name: 'Weekly: more' }).click();
      }
      await page.getByRole('button', { name: /^Make / }).click();
      await expect(page.getByRole('img', { name: /^Ground plan/ })).toBeVisible();
      await settle(page);
    };
    await page.goto('/new');
    await page.getByRole('button', { name: 'Field hockey', exact: true }).click();
    await typePlace(page, 'leiden');
    await page.getByRole('button', { name: /^Leiden, / }).click();
    await make(1);
    await goTo(page, 'Brief');
    await page.goto('/new');
    // As without a network: what is typed finds it all the same, and nothing else that is called so.
    await page.route('**/api/places*', (route) => route.fulfill({ json: {} }));
    const venue = page.getByRole('button', { name: /^Leiden, .*as in Field hockey, Leiden/ });
    await page.getByLabel('Place', { exact: true }).fill('utr');
    await expect(venue).toBeHidden();
    await page.getByLabel('Place', { exact: true }).fill('lei');
    await venue.click();
    await expect(page.getByText('Its ground and lamps as in Field hockey, Leiden')).toBeVisible();
    await expect(page.getByText(/^Brings 3 marks/)).toBeVisible();
    await make(3);
    await page.goto('/');
    await expect(page.getByRole('link', { name: /^Field hockey, Leiden/ })).toHaveCount(4);
  },
);

test(
  'who begins says body and lens by a press each, or is not sure of one of them',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/new');
    await page.getByRole('button', { name: 'Garden feeder', exact: true }).click();
    await typePlace(page, 'uppsala');
    await page.getByRole('button', { name: /^Uppsala, / }).click();
    await page.getByRole('button', { name: 'Tomorrow', exact: true }).click();
    const choice = (of: string, name: string) =>
      page.getByRole('radiogroup', { name: of }).getByRole('radio', { name, exact: true });
    await expect(choice('Body', 'Not sure')).toBeChecked();
    await expect(choice('Lens, mm', 'Not sure')).toBeChecked();
    await choice('Body', '1.5x crop').click();
    await choice('Lens, mm', '200–600').click();
    await expect(page.getByText(/^For this shoot; the bag/)).toBeVisible();
    await choice('Lens, mm', 'Not sure').click();
    await page.getByRole('button', { name: 'Make the shoot' }).click();
    await expect(headline(page)).toBeVisible();
    const guessed = () =>
      inAnswer(page, async (answer) =>
        (await answer.getByRole('listitem').allInnerTexts()).join('\n'),
      );
    expect(await guessed()).toMatch(/Body, lens or both are guessed/);
    await goTo(page, 'Kit');
    await expect(page.getByRole('button', { name: /^Body 1\.5x crop body, 20 MP/ })).toBeVisible();
  },
);

test(
  'here: the device’s own place, or why there is none',
  { tag: '@once' },
  async ({ page, context }) => {
    await page.goto('/new');
    await page.getByRole('button', { name: 'Here, where I am' }).click();
    await expect(page.getByText(/^No location: the browser was not allowed/)).toBeVisible();
    await context.grantPermissions(['geolocation']);
    await context.setGeolocation({ latitude: -33.86, longitude: 151.21 });
    await page.getByRole('button', { name: 'Here, where I am' }).click();
    await expect(page.getByText('33.86° S, 151.21° E').first()).toBeVisible();
  },
);

test(
  'a position is put by tape and compass: so far from the mark, that way',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/ground');
    await expect(headline(page)).toBeVisible();
    if (onPhone(page)) await groundTool(page, 'Frame');
    await page.getByRole('button', { name: 'Place by distance' }).click();
    const group = page.getByRole('dialog', { name: 'Place by distance' });
    await group.getByRole('button', { name: /^From/ }).click();
    await page.getByRole('radio', { name: 'Attack in the circle', exact: true }).click();
    await group.getByLabel('Distance, m').fill('25');
    await group.getByLabel('Bearing, °').fill('90');
    await group.getByLabel('Bearing, °').blur();
    await group.getByRole('button', { name: /^Put .* there$/ }).click();
    await expect(
      group.getByText(/stands 25\.0 m from Attack in the circle, 90° from north/),
    ).toBeVisible();
    await group.getByRole('button', { name: 'Close' }).click();
    if (onPhone(page)) await page.keyboard.press('Escape');
    expect((await readAnswer(page)).distanceM).toBeCloseTo(25, 0);
  },
);
