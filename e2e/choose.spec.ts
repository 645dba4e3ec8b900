import type { Page } from '@playwright/test';
import {
  expect,
  groundTool,
  headline,
  inAnswer,
  onPhone,
  openLarkmoor,
  test,
  timeSlider,
} from './app';

/** Everything that the place one stands at gives, behind its line. */
const openHere = (page: Page) =>
  page
    .getByRole('region', { name: 'Where you stand' })
    .getByRole('button', { name: / fills \d+ %/ })
    .click();

test.describe('seen on the plan', () => {
  test('what is behind and where the sun falls are told, and change with the hour', async ({
    page,
  }) => {
    await openLarkmoor(page);
    const here = page.getByRole('region', { name: 'From here' });
    await openHere(page);
    await expect(here).toContainText(/Fills the frame\s*level \d+ %, upright \d+ %/);
    await expect(here).toContainText(/Behind\s*Boards along the east side, \d\.\d times as far/);
    await expect(here).toContainText(/In the sun\s*Attack in the circle; Goalkeeper/);
    await expect(here).toContainText(/In the shade\s*Midfield, running up/);
    await page.keyboard.press('Escape');
    await timeSlider(page).focus();
    await page.keyboard.press('End');
    await openHere(page);
    await expect(here).toContainText('Distance');
    await expect(here).not.toContainText('In the sun');
  });

  test(
    'from behind the fence its wire is looked through, and its posts give shade',
    { tag: '@once' },
    async ({ page }) => {
      await openLarkmoor(page);
      await page.getByRole('button', { name: 'Choose position Behind the south fence' }).click();
      const here = page.getByRole('region', { name: 'From here' });
      await openHere(page);
      await expect(here).toContainText(/Through\s*Wire fence, .* off: .*, costs 0\.\d stop/);
      await expect(here).toContainText(/Shade at the wire\s*\d+ cm wide at each post/);
      if (!onPhone(page)) await page.keyboard.press('Escape');
      await expect(page.getByRole('region', { name: 'Walks to the others' })).toContainText(
        /\d+ m, \d min/,
      );
    },
  );
});

test('all positions and marks in figures: in order of what one asks for, and one looks from there', async ({
  page,
}) => {
  await openLarkmoor(page);
  const wide = !onPhone(page);
  if (!wide) await openHere(page);
  await page.getByRole('button', { name: 'All positions and marks in figures' }).click();
  const dialog = page.getByRole('dialog', { name: /^Positions and marks at / });
  const lines = wide
    ? dialog.getByRole('table', { name: 'Positions and marks' }).getByRole('rowgroup')
    : dialog.getByRole('list', { name: 'Positions and marks' }).getByRole('listitem');
  // Six positions, four marks.
  await expect(lines).toHaveCount(24);
  if (wide) {
    await page.getByRole('button', { name: 'Sort by Distance' }).click();
    await expect(page.getByRole('columnheader', { name: /Distance/ })).toHaveAttribute(
      'aria-sort',
      'ascending',
    );
  } else {
    await page.getByRole('button', { name: /^In order of/ }).click();
    await page.getByRole('radio', { name: 'Distance' }).click();
  }
  const distances = async () =>
    (await lines.allInnerTexts()).map((text) => Number(/^([\d.]+) m\b/m.exec(text)?.[1]));
  await expect
    .poll(async () => {
      const found = await distances();
      return found.every((m, i) => i === 0 || m >= (found[i - 1] ?? 0));
    })
    .toBe(true);
  const nearest = (await distances())[0];
  await lines
    .first()
    .getByRole('button', { name: /all figures/i })
    .click();
  await expect(lines.first()).toContainText('Sharp in depth');
  await page.getByRole('button', { name: /^Stand at .* for / }).click();
  await expect(dialog).toBeHidden();
  await expect(
    page.getByRole('region', { name: 'Where you stand' }).getByText(`${nearest?.toFixed(1)} m`),
  ).toBeVisible();
});

const when = (page: Page) => page.getByRole('region', { name: 'When the face is lit' });

test(
  'the day and the year of the perch, by keys alone; the shoot is moved to another day and back',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-alder-reach/ground');
    await expect(headline(page)).toBeVisible();
    await page.getByRole('button', { name: 'When', exact: true }).focus();
    await page.keyboard.press('Enter');
    const day = when(page).getByRole('img', { name: /^8 May: .*front light/ });
    await expect(day).toBeVisible();
    await expect(when(page).getByRole('img', { name: /^The year at 06:40: / })).toBeVisible();
    await expect(when(page).getByText(/^At 06:40: .*front light/)).toBeVisible();

    await when(page).getByRole('slider', { name: 'Day looked at' }).focus();
    await page.keyboard.press('End');
    await expect(when(page).getByRole('img', { name: /^21 Dec: / })).toBeVisible();
    // Of the mornings to come the longest, a press from being looked at.
    await expect(
      when(page).getByText(/^Front light before 09:00: .*most on 21 Jun, 3 h \d+ min\.$/),
    ).toBeVisible();
    const best = when(page).getByRole('list', { name: 'The best mornings to come' });
    await best.getByRole('button', { name: /^21 Jun/ }).press('Enter');
    await expect(when(page).getByRole('img', { name: /^21 Jun: / })).toBeVisible();
    await when(page).getByRole('slider', { name: 'Day looked at' }).focus();
    await page.keyboard.press('Home');
    await expect(when(page).getByRole('img', { name: /^1 Jan: / })).toBeVisible();
    await when(page).getByRole('button', { name: 'Move the shoot to 1 Jan' }).focus();
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await inAnswer(page, (answer) => expect(answer).toContainText(/Twilight|In shade/));
    await page.getByRole('button', { name: 'Undo' }).click();
    await groundTool(page, 'When');
    await expect(when(page).getByRole('img', { name: /^8 May: / })).toBeVisible();
  },
);

test(
  'a search of all marks with other lenses; the middle of the plan is asked about by keys',
  { tag: '@once' },
  async ({ page }) => {
    await openLarkmoor(page);
    const section = page.getByRole('region', { name: 'Where else to stand' });
    await groundTool(page, 'Search');
    await section.getByRole('radio', { name: 'All marks' }).click();
    await section.getByRole('radio', { name: 'The whole shoot' }).click();
    await section.getByRole('radio', { name: 'Converters' }).click();
    await section.getByRole('button', { name: 'Search the ground' }).click();
    const places = section.getByRole('list', { name: 'Best places' });
    await expect(places.getByRole('listitem')).toHaveCount(3, { timeout: 20_000 });
    await expect(places.getByRole('listitem').first()).toContainText(
      /Goalkeeper, \d+ of 100: .* at \d\d:\d\d with the 70–200 mm f\/2\.8/,
    );
    // The middle of the plan is the pitch: there one may not stand.
    await page.getByRole('group', { name: /^Plan\./ }).focus();
    await page.keyboard.press('Enter');
    await expect(section.getByRole('region', { name: 'The place you tapped' })).toContainText(
      /Off limits: inside the field of play/,
    );
  },
);
