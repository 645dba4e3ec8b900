import type { Locator, Page } from '@playwright/test';
import { expect, giveFile, part, savedBy, settle, test } from './app';

const DAY = '/shoot/demo-tern-water/day';
const answer = (page: Page) => page.getByRole('region', { name: 'Day' });
const isPhone = (page: Page) => (page.viewportSize()?.width ?? 0) < 600;
/** Named first, after its time: another's reason may name it too. */
const begins = (title: string) =>
  new RegExp(`^\\s*\\d\\d:\\d\\d\\s*(?:prog\\. \\d\\d:\\d\\d)?\\s*${title}`);
/** One event of the order, on a phone in the list, on a wide screen in the table. */
const event = (page: Page, title: string): Locator =>
  isPhone(page)
    ? page
        .getByRole('list', { name: 'Running order' })
        .getByRole('listitem')
        .filter({ hasText: begins(title) })
    : page
        .getByRole('table', { name: 'Running order' })
        .getByRole('row')
        .filter({ hasText: begins(title) });
/** A long order is gone through in pages on a phone. */
async function turnTo(page: Page, name: 'Earlier' | 'Later'): Promise<void> {
  if (isPhone(page)) await page.getByRole('button', { name, exact: true }).click();
}

const openEvent = (page: Page, title: string) =>
  event(page, title)
    .getByRole('button', { name: new RegExp(title) })
    .first()
    .click();

async function open(page: Page): Promise<void> {
  await page.goto(DAY);
  await expect(answer(page)).toContainText(
    /Shoots \d+ of 19 events(?:, \d+ from a weak place)?, all 4 promised\./,
  );
}

const shotCount = async (page: Page): Promise<number> =>
  Number(/Shoots (\d+) of/.exec(await answer(page).innerText())?.[1]);

test('the regatta day is planned: pinned, left out, running late, and kept', async ({ page }) => {
  await open(page);
  // At 12:20 the heats are over; the finals begin at half past one, from the bridge.
  await expect(answer(page).getByRole('heading')).toHaveText('13:30: Junior single 500 m, final');
  await expect(answer(page)).toContainText(/To Footbridge past the finish: leave by 13:1\d/);
  // A plan that is made anew says no number for a moment: the one that was seen is kept.
  let before = NaN;
  await expect.poll(async () => (before = await shotCount(page))).toBeGreaterThan(0);
  // Pinned to the other bank end, the final is shot from there.
  await openEvent(page, 'Junior single 500 m, final');
  const sheet = page.getByRole('dialog', { name: 'Change the event' });
  await sheet.getByRole('button', { name: /^Shoot it from / }).click();
  await page.getByRole('radio', { name: /^Bank, before the finish: \d+ of 100$/ }).click();
  await sheet.getByRole('button', { name: 'Save the event' }).click();
  await expect(answer(page)).toContainText(/To Bank, before the finish: leave by/);
  await expect(event(page, 'Junior single 500 m, final')).toContainText('pinned');
  // Left out, the next one is next.
  await openEvent(page, 'Men’s single 500 m, final');
  await sheet.getByRole('radio', { name: 'Leave it out' }).click();
  await sheet.getByRole('button', { name: 'Save the event' }).click();
  await expect(event(page, 'Men’s single 500 m, final')).toContainText('You left it out.');
  await expect.poll(() => shotCount(page)).toBeLessThan(before);
  // The meet runs late: all that follows is later, and planned at its new time.
  const late = page.getByRole('spinbutton', { name: 'All from 12:20 on' });
  for (let i = 1; i <= 3; i += 1) {
    await late.press('ArrowUp');
    await expect(late).toHaveAttribute('aria-valuetext', `${i} min behind`);
  }
  await expect(answer(page)).toContainText('Now 3 minutes behind');
  await expect(answer(page).getByRole('heading')).toHaveText('13:33: Junior single 500 m, final');
  await settle(page);
  await page.reload();
  await expect(answer(page)).toContainText('Now 3 minutes behind');
  await expect(answer(page)).toContainText(/To Bank, before the finish: leave by/);
  // The route, place by place, and what is missed with the reason.
  await part(page, 'Route').click();
  await expect(
    page.getByRole('list', { name: 'Route' }).getByRole('listitem').first(),
  ).toContainText(/^1\. Footbridge past the finish\s*In place by 09:50/);
  await expect(page.getByRole('list', { name: 'Missed' })).toContainText(
    /The walk from .+ takes \d+ minutes; there are \d+\.|second call/,
  );
});

test(
  'one tap: an event that was due starts now, and the rest keep their distance',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto(DAY);
    const time = page.getByRole('slider', { name: 'Time', exact: true });
    await time.focus();
    await time.press('Home');
    // From half an hour before the start to 10:30: heat 4 of the juniors was due at 10:24.
    for (let i = 0; i < 6; i += 1) await time.press('PageUp');
    const title = 'Junior single 500 m, heat 4';
    await page.getByRole('button', { name: `${title}: starts now, 6 min late` }).click();
    await expect(page.getByText('This and later events moved 6 min')).toBeVisible();
    await expect(event(page, title)).toContainText('programme 10:24');
    await turnTo(page, 'Later');
    await expect(event(page, 'Prize giving')).toContainText('programme 14:45');
    await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
    await expect(event(page, 'Prize giving')).not.toContainText('programme');
  },
);

test(
  'an event is dragged, or moved by keys, to another slot',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    const grip = (title: string) =>
      page.getByRole('button', { name: new RegExp(`^Move ${title}\\. Drag`) });
    const first = 'Junior single 500 m, heat 1';
    await turnTo(page, 'Earlier');
    await expect(event(page, first)).toContainText('10:00');
    await grip(first).scrollIntoViewIfNeeded();
    const from = await grip(first).boundingBox();
    const to = await grip('Junior single 500 m, heat 2').boundingBox();
    if (!from || !to) throw new Error('must be in sight');
    await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
    await page.mouse.down();
    await page.mouse.move(to.x + to.width / 2, from.y + from.height / 2 + 20, { steps: 3 });
    await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2 + 10, { steps: 6 });
    await page.mouse.up();
    await expect(event(page, first)).toContainText('10:08');
    await grip(first).press('ArrowUp');
    await expect(event(page, first)).toContainText('10:00');
  },
);

const SHEET = [
  'Race;Off;Heat;Lane;Crew;Takes',
  'Sprint double 200 m;9.40;1;4;Withy Reach;4 min',
  'Sprint double 200 m;9.40;1;5;Ash Lock;4 min',
  'Relay, four boats;15:10;;;"Pair in lane 2";12 min',
];
const choose = (page: Page, name: string, text: string) =>
  giveFile(page, 'Bring in a running order', { name, mimeType: 'text/plain', text });

test(
  'a table with a wrong row waits, and brings nothing in by itself; mended, it is read as remembered',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    await choose(page, 'heats.csv', SHEET.join('\n').replace('15:10', 'after lunch'));
    const sheet = page.getByRole('dialog', { name: 'Bring in heats.csv' });
    await expect(sheet.getByRole('alert')).toContainText(
      'Row 4: start “after lunch” is no time; write 14:30 or 2.30 pm.',
    );
    await expect(
      sheet.getByRole('button', { name: 'Bring in 1 event, without 1 row' }),
    ).toBeVisible();
    await sheet.getByRole('button', { name: 'Close' }).click();
    await expect(answer(page)).toContainText('of 19');
    await choose(page, 'heats.csv', SHEET.join('\n'));
    // This club's "Race" is what others call a round.
    await sheet.getByRole('button', { name: /^Takes/ }).click();
    await page.getByRole('radio', { name: 'Nothing: leave it' }).click();
    await sheet.getByRole('button', { name: /^New ones give the shot/ }).click();
    await page.getByRole('radio', { name: 'A boat panned along the reeds' }).click();
    await sheet.getByRole('button', { name: 'Bring in 2 events' }).click();
    await expect(page.getByText('2 added')).toBeVisible();
    await expect(answer(page)).toContainText(
      /of 21 events(?:, \d+ from a weak place)?, all 5 promised/,
    );
    await turnTo(page, 'Later');
    await expect(event(page, 'Relay, four boats')).toContainText('Pair in lane 2 (No. 87');
    await settle(page);
    await page.reload();
    await choose(page, 'heats.csv', SHEET.join('\n'));
    await expect(sheet.getByRole('button', { name: /^Takes.+Nothing: leave it/ })).toBeVisible();
    await sheet.getByRole('button', { name: 'Bring in 2 events' }).click();
    await expect(page.getByText('The order has all of it: nothing was changed')).toBeVisible();
    await expect(answer(page)).toContainText('of 21');
  },
);

test(
  'the day goes out as a calendar and a table, and a calendar comes in; damage is refused',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    const save = (name: string) => savedBy(page, () => page.getByRole('button', { name }).click());
    const calendar = await save('Save as a calendar');
    expect(calendar.name).toBe('tern-water-sprint-regatta.ics');
    expect(calendar.text.match(/BEGIN:VEVENT/g)).toHaveLength(19);
    expect(calendar.text).toContain('LOCATION:Footbridge past the finish');
    expect(calendar.text).toContain('DTSTART:20270619T123000Z');
    const table = await save('Save as a table');
    expect(table.text.split('\r\n')[0]).toBe(
      'Date,Start,Duration,Event,Heat,Lane,Bib,Who,Club,Worth,Visits',
    );
    expect(table.text).toContain('2027-06-19,13:30,3 min,Junior single 500 m,Final,4,');
    // The committee moves the prize giving; the calendar that comes back says so.
    const moved = calendar.text
      .replace('DTSTART:20270619T134500Z', 'DTSTART:20270619T140000Z')
      .replace('DTEND:20270619T140500Z', 'DTEND:20270619T142000Z');
    await choose(page, 'back.ics', moved);
    await page.getByRole('button', { name: 'Bring in 19 events' }).click();
    await expect(page.getByText('1 changed')).toBeVisible();
    await expect(event(page, 'Prize giving')).toContainText('15:00');
    await choose(page, 'cut.ics', calendar.text.slice(0, 400));
    await expect(page.getByRole('dialog').getByRole('alert')).toContainText(
      'Nothing was brought in',
    );
  },
);

test(
  'a morning in the hide: first light, the sun on the perch, visits by the hour',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-alder-reach/day');
    await expect(answer(page).getByRole('heading')).toHaveText('Be in place by 04:17');
    await page.getByRole('spinbutton', { name: 'Time to settle' }).press('ArrowUp');
    await expect(answer(page).getByRole('heading')).toHaveText('Be in place by 04:16');
    const visits = page.getByRole('region', { name: 'Visits' });
    await expect(visits).toContainText('from 07:00 to 08:00: 2.7 an hour, between 1.2 and 5.3');
    await visits.getByRole('button', { name: 'Add hours watched' }).click();
    const sheet = page.getByRole('dialog', { name: 'Hours watched' });
    await sheet.getByLabel('On').fill('5 May 2027');
    await sheet.getByLabel('From').fill('6.00');
    await sheet.getByLabel('To').fill('7 am');
    await sheet.getByLabel('It came at').fill('6:05, 6.10, 6:31, soon');
    await expect(sheet.getByText('“soon” is no time; write 6:40')).toBeVisible();
    await sheet.getByLabel('It came at').fill('6:05, 6.10, 6:31, 6:40, 6:44, 6:50, 6:55');
    await sheet.getByRole('button', { name: 'Save the watch' }).click();
    await expect(visits).toContainText('from 06:00 to 07:00: 2.8 an hour');
    await page
      .getByRole('region', { name: 'Tides and feeding' })
      .getByRole('button', { name: 'Add a time' })
      .click();
    await page.getByLabel('What to call it').fill('Trout fed');
    await page.getByLabel('At', { exact: true }).fill('7.15');
    await page.getByRole('button', { name: 'Add the time' }).click();
    await expect(page.getByRole('list', { name: 'Times' })).toContainText('07:15 Trout fed');
    await settle(page);
    await page.reload();
    await expect(page.getByRole('list', { name: 'Times' })).toContainText('07:15 Trout fed');
    await expect(visits).toContainText('from 06:00 to 07:00: 2.8 an hour');
  },
);

test(
  'a long jump goes on for an hour and a half and is dropped into between finals',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    await page.getByRole('button', { name: 'Add an event' }).click();
    const sheet = page.getByRole('dialog', { name: 'A new event' });
    await sheet.getByLabel('Event', { exact: true }).fill('Long jump');
    await sheet.getByLabel('Starts at').fill('13:00');
    // What its name usually means is shown, and can be changed.
    await expect(sheet.getByRole('radio', { name: 'Goes on: drop in' })).toBeChecked();
    await expect(sheet.getByLabel('Takes', { exact: true })).toHaveValue('90 min');
    await expect(sheet.getByRole('spinbutton', { name: 'A visit takes' })).toHaveAttribute(
      'aria-valuetext',
      '10 min',
    );
    await sheet.getByRole('radio', { name: 'Must' }).click();
    await sheet.getByRole('button', { name: 'Add the event' }).click();
    await expect(answer(page)).toContainText(
      /Shoots \d+ of 20 events(?:, \d+ from a weak place)?, all 5 promised\./,
    );
    const visits = /1[34]:\d\d to 1[34]:\d\d(, again 1[34]:\d\d to 1[34]:\d\d)*\. From /;
    await expect(event(page, 'Long jump')).toContainText(visits);
    await page.reload();
    await expect(event(page, 'Long jump')).toContainText(visits);
    // The finals run late, and the long jump does not.
    const finals = page.getByRole('spinbutton', { name: 'All at their times from 12:20 on' });
    await expect(
      page.getByRole('spinbutton', { name: 'All that goes on from 12:20 on' }),
    ).toBeVisible();
    await finals.focus();
    await page.keyboard.press('ArrowUp');
    await expect(event(page, 'Junior single 500 m, final')).toContainText('13:31');
    await expect(event(page, 'Long jump')).toContainText('13:00');
    await page.keyboard.press('ArrowDown');
    await expect(event(page, 'Junior single 500 m, final')).toContainText('13:30');
    // As an event of its own time it takes an hour and a half, and finals are lost for it.
    await expect(answer(page)).toContainText(
      /Shoots \d+ of 20 events(?:, \d+ from a weak place)?, all 5 promised\./,
    );
    const before = await shotCount(page);
    await openEvent(page, 'Long jump');
    const change = page.getByRole('dialog', { name: 'Change the event' });
    await change.getByRole('radio', { name: 'At its time' }).click();
    await change.getByRole('button', { name: 'Save the event' }).click();
    await expect.poll(() => shotCount(page)).toBeLessThan(before);
    await expect(event(page, 'Long jump')).not.toContainText(visits);
  },
);
