import type { Locator, Page } from '@playwright/test';
import { expect, goTo, onPhone, part, savedBy, test, typePlace } from './app';
import { opensAt } from './field';
import { meetOrder, poolSheet, ROSTER } from './meet';
import { pdfOf } from './pdf';

/** A meet as a photographer plans it who owes twelve athletes of three schools their pictures. */

/** A person who presses: how often. */
function presser(page: Page) {
  let presses = 0;
  const press = async (name: string | RegExp, within: Page | Locator = page) => {
    await within.getByRole('button', { name, exact: true }).first().click();
    presses += 1;
  };
  return {
    count: () => presses,
    press,
    /** A step, by the bar of steps. */
    step: async (name: string) => {
      await goTo(page, name);
      presses += 2;
    },
    /** A file, by the button that asks for one. */
    file: async (name: string, file: { name: string; mimeType: string; buffer: Buffer }) => {
      const chooser = page.waitForEvent('filechooser');
      await press(name);
      await (await chooser).setFiles(file);
    },
    saved: (name: string) => savedBy(page, () => press(name)),
    note: (what: string) =>
      test
        .info()
        .annotations.push({ type: 'measured', description: `${what}: ${presses} presses` }),
  };
}

const table = (name: string, buffer: Buffer) => ({ name, mimeType: 'text/csv', buffer });
const day = (page: Page) => page.getByRole('region', { name: 'Day', exact: true });
const owed = (page: Page) => page.getByRole('region', { name: 'Who is owed' });

/** A shoot of tomorrow on a ground, with the roster's people. */
async function begun(page: Page, ground: string): Promise<ReturnType<typeof presser>> {
  // A Friday evening; the meet is on Saturday.
  await opensAt(page, '2027-06-11T18:00:00Z');
  await page.goto('/');
  const person = presser(page);
  await person.press('New shoot');
  await person.press(ground);
  await expect(page.getByLabel('Place', { exact: true })).toBeFocused();
  await typePlace(page, 'eugene');
  await person.press(/^Eugene, Oregon/);
  await person.press('Tomorrow');
  await person.press('Make the shoot');
  await person.step('Brief');
  await person.press(/^Who to find/);
  await person.file('Bring in a roster', table('roster.csv', ROSTER));
  await expect(page.getByText('12 people: 12 new, 0 known already.')).toBeVisible();
  await person.press('Bring in 12 people');
  await expect(page.getByRole('button', { name: /^Zoë Müller/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await person.step('Day');
  return person;
}

const planned = async (page: Page, said: RegExp) => {
  await expect(day(page)).toContainText(said, { timeout: 30_000 });
  await expect(day(page)).not.toContainText('Looking for a better order', { timeout: 30_000 });
};

test(
  'a meet of 56 events from its table: planned, everyone owed met, and what changes on the day',
  { tag: '@once' },
  async ({ page }) => {
    test.slow();
    const person = await begun(page, 'Track and field');
    const { file, events } = meetOrder();
    expect(events).toBe(56);
    await person.file('Bring in a running order', table('meet.csv', file));
    const sheet = page.getByRole('dialog', { name: 'Bring in meet.csv' });
    await expect(sheet).toContainText('56 new, 0 changed, 0 as they are');
    await expect(sheet).toContainText('By their names: 56 of 56 are known');
    await person.press('Bring in 56 events');
    await planned(page, /Shoots \d\d of 56 events(?:, \d+ from a weak place)?, all 12 owed\./);
    await expect(owed(page)).toContainText('Owed: 12 coming');
    await expect(owed(page)).toContainText('Tern Hill: ');
    person.note('from nothing to the plan of 56 events');
    expect(person.count()).toBeLessThan(40);

    // On paper it is whole: one to three pages, each event once where it is shot or told why not, everyone owed named.
    const paper = await pdfOf(page, () => person.press('Save as a PDF to print'));
    expect(paper.name).toMatch(/-day\.pdf$/);
    expect(paper.language).toBe('en-GB');
    expect(paper.title).toMatch(/Eugene/);
    expect(paper.embedded).toBe(2);
    expect(paper.pages.length).toBeGreaterThan(0);
    expect(paper.pages.length).toBeLessThanOrEqual(3);
    const said = paper.pages.join(' ').replace(/\s+/g, ' ');
    for (const name of ['Zoë Müller', 'Nils Åsgård', 'Ash Lock']) expect(said).toContain(name);
    const shot = Number(/Shoots (\d+) of 56/.exec(said)?.[1]);
    const lines = await page.getByRole('region', { name: 'Day', exact: true }).innerText();
    expect(lines).toContain(`Shoots ${shot} of 56`);

    // The same table with a relay moved: its two heats alone change.
    const text = file.toString('latin1').replace(/(Boys;4x400 m Relay;)[\d:]+/, '$116:40');
    const moved = Buffer.from(text, 'latin1');
    await person.file('Bring in a running order', table('meet-2.csv', moved));
    const again = page.getByRole('dialog', { name: 'Bring in meet-2.csv' });
    await expect(again).toContainText('0 new, 2 changed, 54 as they are');
    await expect(again).toContainText(/Boys 4x400 m Relay, heat 1: 16:40 instead of 1\d:\d\d/);
    await person.press(/^Bring in 56 events/);
    await planned(page, /of 56 events(?:, \d+ from a weak place)?, all 12 owed\./);

    // The track runs late; the field does not.
    const late = page.getByRole('spinbutton', { name: /^All at their times/ });
    await late.focus();
    for (let i = 0; i < 25; i += 1) await page.keyboard.press('ArrowUp');
    await expect(late).toHaveAttribute('aria-valuetext', '25 min behind');
    await planned(page, /of 56 events(?:, \d+ from a weak place)?, all 12 owed\./);

    // Two do not start: nothing is owed of them any more.
    await person.step('Brief');
    await person.press(/^Who to find/);
    for (const name of [/^Ash Lock/, /^Sam Reed/]) {
      await person.press(name);
      await page.getByRole('radio', { name: 'Scratched' }).click();
      await person.press('Save');
    }
    await page.keyboard.press('Escape');
    await person.step('Day');
    await planned(page, /all 10 owed\./);
    await expect(owed(page)).not.toContainText('Ash Lock');
  },
);

test('a pool meet of 40 events, pasted as text', { tag: '@once' }, async ({ page }) => {
  test.slow();
  const person = await begun(page, 'Pool, 25 m');
  await person.press('Paste a heat sheet');
  await page.getByRole('textbox', { name: 'Heat sheet' }).fill(poolSheet());
  await person.press('Read it');
  const sheet = page.getByRole('dialog', { name: 'Bring in what was pasted' });
  await expect(sheet).toContainText('40 new, 0 changed, 0 as they are');
  await person.press('Bring in 40 events');
  await planned(page, /Shoots \d\d of 40/);
  await expect(owed(page)).toContainText(/Owed: \d+ coming/);
  person.note('from nothing to the plan of 40 events');
  expect(person.count()).toBeLessThan(40);
});

test(
  'in the field the plan’s minute is in the hand, and a keeper counts for whom it shows',
  { tag: '@once' },
  async ({ page }) => {
    test.slow();
    const person = await begun(page, 'Track and field');
    await person.file('Bring in a running order', table('meet.csv', meetOrder().file));
    await person.press('Bring in 56 events');
    await planned(page, /of 56 events(?:, \d+ from a weak place)?, all 12 owed\./);
    // From where the plan has Ida Sedge.
    await owed(page).getByRole('button').first().click();
    const listed = page.getByRole('dialog', { name: 'Who is owed' }).getByRole('listitem');
    const told = await listed.filter({ hasText: 'Ida Sedge' }).innerText();
    const place = /High Jump, from ([^,;.]+)/.exec(told)?.[1] ?? 'nowhere';
    await page.keyboard.press('Escape');
    const at = new URL(page.url()).pathname.replace(/day$/, '');
    // The first heat of the day is on, and of more worth the high jump beside it.
    const field = await page.context().newPage();
    await opensAt(field, '2027-06-12T17:01:30Z');
    await field.goto(`${at}field`);
    const now = field.getByRole('region', { name: 'Now and next' });
    await expect(now).toContainText('Now: Girls High Jump, Ida Sedge (No. 107, lane 3)', {
      timeout: 30_000,
    });
    // Who comes next stands beside who is on.
    await expect(owed(field)).toContainText(/Ida Sedge now · \S+ \S+ 10:\d\d/);
    const keeper = await field.getByRole('button', { name: /^Keeper/ }).boundingBox();
    expect((keeper?.y ?? Infinity) + (keeper?.height ?? 0)).toBeLessThan(
      field.viewportSize()?.height ?? 0,
    );
    await expect(field.getByRole('button', { name: new RegExp(`^From ${place}`) })).toBeVisible();
    await expect(owed(field)).toContainText('Owed: 12 coming');
    await field.getByRole('button', { name: /^Keeper/ }).click();
    await expect(field.getByText('Keeper 1, Ida Sedge')).toBeVisible();
    await expect(owed(field)).toContainText('Owed: 1 had, 11 coming');
    // At something else: what is kept there is nobody's of the plan, unless one says whose.
    await field.getByRole('button', { name: 'I am elsewhere' }).click();
    await field.getByRole('button', { name: /^Keeper/ }).click();
    await expect(owed(field)).toContainText('Owed: 1 had, 11 coming');
    await field.getByRole('button', { name: '102 Bea Tarn, 0 of 1' }).click();
    await expect(owed(field)).toContainText('Owed: 2 had, 10 coming');
    await field.getByRole('button', { name: 'Back to the plan' }).click();
    await expect(field.getByRole('button', { name: 'I am elsewhere' })).toBeVisible();
    await goTo(field, 'Log');
    await expect(owed(field)).toContainText('Owed: 2 had, 10 coming');
    await field.close();
  },
);

const CLASH = `Event 1 Girls 100 m Dash 10:30 AM
Heat 1
 4    LOCK, Ash           11  Fernley HS     12.84
Event 2 Girls 100 m Hurdles 10:31 AM
Heat 1
 4    Tarn, Bea           12  Fernley HS     15.10
`;

/** Two heats a minute apart, in which one of those owed loses the other. */
async function clashed(page: Page): Promise<ReturnType<typeof presser>> {
  const person = await begun(page, 'Track and field');
  await person.press('Paste a heat sheet');
  await page.getByRole('textbox', { name: 'Heat sheet' }).fill(CLASH);
  await person.press('Read it');
  await person.press('Bring in 2 events');
  await planned(page, /Shoots 1 of 2 events(?:, 1 from a weak place)?, 1 of the 12 owed\./);
  return person;
}

test(
  'who is lost to another is met by one press, which says whom it loses instead',
  {
    tag: '@once',
  },
  async ({ page }) => {
    await clashed(page);
    await expect(owed(page)).toContainText('Owed: 1 coming, 11 lost');
    const had = (await owed(page).innerText()).includes('Ash Lock lost') ? 'Bea Tarn' : 'Ash Lock';
    const lost = had === 'Ash Lock' ? 'Bea Tarn' : 'Ash Lock';
    await owed(page).getByRole('button').first().click();
    const sheet = page.getByRole('dialog', { name: 'Who is owed' });
    await expect(sheet).toContainText(`Gives up Girls 100 m `);
    await expect(sheet).toContainText(`and with it ${had}.`);
    await sheet.getByRole('button', { name: `Shoot ${lost} after all` }).click();
    await expect(page.getByText(`${lost} is shot; one event is left out`)).toBeVisible();
    await expect(sheet.getByRole('button', { name: `Shoot ${had} after all` })).toHaveCount(0);
    await page.keyboard.press('Escape');
    await expect(owed(page)).toContainText(`${had} lost`);
    await expect(owed(page)).not.toContainText(`${lost} lost`);
    await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
    await expect(owed(page)).toContainText(`${lost} lost`);
  },
);

test(
  'with a second shooter both of what clashes are had, each has a day of their own, and one takes over',
  { tag: '@once' },
  async ({ page }) => {
    const person = await clashed(page);
    await part(page, 'Rules').click();
    await person.press('Add a shooter');
    const adding = page.getByRole('dialog', { name: 'Add a shooter' });
    await person.press('Add to the day');
    await expect(adding).toContainText('a name, so that each knows their own day');
    await adding.getByRole('textbox', { name: 'Your name' }).fill('Robin');
    await adding.getByRole('textbox', { name: 'Their name' }).fill('Mara');
    await person.press('Add to the day');
    await planned(
      page,
      /Shoots 1 of 2 events(?:, 1 from a weak place)?; all shooters together 2, 2 of the 12 owed\./,
    );
    await expect(owed(page)).toContainText('Owed: 2 coming, 10 lost');
    await part(page, 'Order').click();
    const whose = page.getByRole('radiogroup', { name: 'Whose day' });
    const order = page.getByRole(onPhone(page) ? 'list' : 'table', { name: 'Running order' });
    await expect(order).toContainText(/Mara shoots it, from /);
    await whose.getByRole('radio', { name: 'Mara' }).click();
    await expect(order).toContainText(/Robin shoots it, from /);
    const { name, text } = await person.saved('Save as a calendar');
    expect(name).toMatch(/-mara\.ics$/);
    expect(text.match(/^SUMMARY:/gm)).toHaveLength(1);
    // Robin takes the heat that was Mara's: hers is the other one now.
    const hers = /SUMMARY:(.*?),? ?heat/i.exec(text.replace(/\\/g, ''))?.[1] ?? '';
    await order
      .getByRole('button', {
        name: new RegExp(`Girls 100 m ${/Hurdles/.test(hers) ? 'Hurdles' : 'Dash'}`),
      })
      .first()
      .click();
    await page
      .getByRole('radiogroup', { name: 'Who shoots it' })
      .getByRole('radio', { name: 'Robin' })
      .click();
    await person.press('Save the event');
    await planned(page, /Shoots 1 of 2 events(?:, 1 from a weak place)?; all shooters together 2/);
    await expect(order).toContainText(
      new RegExp(`${/Hurdles/.test(hers) ? 'Hurdles' : 'Dash'}[^]*?Robin shoots it`),
    );
    // On Mara's phone everything is hers; a reload keeps it.
    await part(page, 'Rules').click();
    await page
      .getByRole('list', { name: 'Who shoots' })
      .getByRole('button', { name: /^Mara/ })
      .click();
    await person.press('Switch this phone to Mara');
    await expect(page.getByText('Kit, Settings and Field are Mara’s now')).toBeVisible();
    await page.reload();
    await expect(page.getByRole('list', { name: 'Who shoots' })).toContainText(
      /Mara\s*The bag and settings of this phone/,
    );
    await person.step('Kit');
    await expect(page.getByText('Mara’s bag')).toBeVisible();
  },
);
