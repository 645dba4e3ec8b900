import { expect, goTo, holdBack, part, test } from './app';
import { keeperButton, openField, opensAt, planInHand, settingsNow, watched } from './field';

test(
  'the lens comes with the place: Field dials what Day planned, and another lens is put right by a press',
  { tag: '@once' },
  async ({ page }) => {
    await opensAt(page, '2027-06-19T09:00:20Z');
    await openField(page, 'demo-tern-water');
    await planInHand(page);
    const settings = page.getByRole('region', { name: 'Settings now' });
    const lens = '200–600 mm f/5.6–6.3 at 600 mm on the Second body, 20 MP crop';
    await expect(settings).toContainText(`${lens}, `);
    const shown = (await settingsNow(page).getAttribute('aria-label')) ?? '';
    await goTo(page, 'Day');
    const heat = page.getByRole('button', { name: /^10:00 Junior single 500 m, heat 1/ });
    const [planned = ''] = (await heat.innerText()).match(/1\/\d+ · f\/[\d.]+ · ISO \d+/) ?? [];
    expect(planned).toBe(shown.replaceAll(',', ' ·'));
    await part(page, 'Route').click();
    await expect(
      page.getByRole('list', { name: 'Route' }).getByRole('listitem').first(),
    ).toContainText('With the 200–600 mm f/5.6–6.3 on the Second body, 20 MP crop.');
    // The other body taken in hand: Field says what the plan had.
    await goTo(page, 'Kit');
    await part(page, 'Hands');
    await page
      .getByRole('button', { name: /^Body / })
      .first()
      .click();
    await page.getByRole('radio', { name: 'Main body, 24 MP full frame' }).click();
    await goTo(page, 'Field');
    const take = page.getByRole('button', {
      name: /^Take the 200–600 mm .+ on the Second body, 20 MP crop, as planned$/,
    });
    await expect(take).toBeVisible();
    // A press has the day planned anew; what the plan before had stands meanwhile.
    const stays = await watched(page, 'Settings now', 'as planned');
    await keeperButton(page).click();
    await page.waitForTimeout(2500);
    expect(await stays()).toBe(true);
    await take.click();
    await expect(settings).toContainText(lens);
    await expect(page.getByRole('button', { name: /as planned$/ })).toBeHidden();
  },
);

test(
  'until the day is planned that is said, and no press moves what lies under the thumb',
  { tag: '@once' },
  async ({ page }) => {
    const letGo = await holdBack(page, 'day');
    await opensAt(page, '2027-04-16T18:20:00Z');
    await openField(page, 'demo-larkmoor');
    await expect(page.getByText('Planning the day: place and lens may change')).toBeVisible();
    letGo();
    await planInHand(page);
    await expect(page.getByText('Planning the day')).toHaveCount(0);
    const stays = await watched(page, 'Tags', 'I am elsewhere');
    await keeperButton(page).click();
    await expect(page.getByRole('status')).toContainText('Keeper');
    // What was pressed has the day planned anew.
    await page.waitForTimeout(2500);
    expect(await stays()).toBe(true);
  },
);
