import type { Page } from '@playwright/test';
import { expect, headline, openRow, part, readAnswer, settle, test } from './app';

const KIT = '/shoot/demo-larkmoor/kit';
const bag = (page: Page) => page.getByRole('list', { name: 'Things in the bag' });

async function open(page: Page): Promise<void> {
  await page.goto(KIT);
  await expect(headline(page)).toBeVisible();
}

test(
  'a lens of one’s own goes into the bag, into the hands, and into the answer',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    const before = await readAnswer(page);
    await expect(page.getByText('The bag serves all 5 shots promised.')).toBeVisible();
    await part(page, 'Bag').click();
    await page.getByRole('button', { name: 'Add to bag' }).click();
    await page.getByRole('button', { name: /^A lens/ }).click();
    const sheet = page.getByRole('dialog', { name: 'A lens' });
    await sheet.getByRole('button', { name: /^Like / }).click();
    await page.getByRole('radio', { name: '300 mm f/4' }).click();
    await sheet.getByLabel('What you call it').fill('Old 300');
    await sheet.getByLabel('Widest there, f/').fill('4.5');
    await sheet.getByRole('button', { name: 'Put it in' }).click();
    await expect(bag(page).getByRole('button', { name: /^Old 300/ })).toContainText('300 mm f/4.5');
    await part(page, 'Hands').click();
    await page.getByRole('button', { name: /^Lens / }).click();
    await page.getByRole('radio', { name: 'Old 300' }).click();
    await expect
      .poll(async () => (await readAnswer(page)).fillPct)
      .toBeGreaterThan(before.fillPct * 1.4);
    expect((await readAnswer(page)).aperture).toBeGreaterThanOrEqual(4.5);
    const held = await readAnswer(page);
    await settle(page);
    await page.reload();
    await expect(page.getByRole('button', { name: /^Lens Old 300/ })).toBeVisible();
    expect(await readAnswer(page)).toEqual(held);
    // Taken out, the preset it is like stays in the hands; and it can be brought back.
    await part(page, 'Bag').click();
    await bag(page)
      .getByRole('button', { name: /^Old 300/ })
      .click();
    await page.getByRole('button', { name: 'Take it out of the bag' }).click();
    await expect(bag(page).getByRole('button', { name: /^Old 300/ })).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
    await expect(bag(page).getByRole('button', { name: /^Old 300/ })).toBeVisible();
    // It stands on the shelf for another shoot's bag.
    await settle(page);
    await page.goto('/shoot/demo-alder-reach/kit');
    await part(page, 'Bag').click();
    await page.getByRole('button', { name: 'Add to bag' }).click();
    await page.getByRole('button', { name: 'Put in Old 300' }).click();
    await page.getByRole('button', { name: 'Close', exact: true }).click();
    await expect(bag(page).getByRole('button', { name: /^Old 300/ })).toBeVisible();
  },
);

test(
  'what the bag lacks is said with what would mend it; two bodies hand over at a distance',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    const second = page.getByRole('region', { name: 'Second body' });
    await openRow(page, 'Second body');
    await expect(second).toContainText(/300 mm f\/4: from \d+ m to \d+ m\./);
    const change = /Change at (\d+) m/;
    const at = Number(change.exec(await second.innerText())?.[1]);
    expect(at).toBeGreaterThan(10);
    await second.getByRole('radio', { name: '1.4x' }).click();
    await expect(second).toContainText('300 mm f/4 with 1.4x');
    await expect(second).toContainText(/Between \d+ m and \d+ m neither frames it/);
    await second.getByRole('button', { name: 'Leave the second body' }).click();
    await expect(page.getByRole('button', { name: 'Carry a second body' })).toBeVisible();
    await page.keyboard.press('Escape');
    // A bag without its long lenses lacks reach, and says what would do.
    await part(page, 'Bag').click();
    for (const name of ['300 mm f/4', '1.4x converter']) {
      await bag(page)
        .getByRole('button', { name: new RegExp(`^${name}`) })
        .click();
      await page.getByRole('button', { name: 'Take it out of the bag' }).click();
    }
    await bag(page)
      .getByRole('button', { name: /^70–200 mm/ })
      .click();
    const sheet = page.getByRole('dialog', { name: '70–200 mm f/2.8' });
    await sheet.getByLabel('Longest, mm').fill('80');
    await sheet.getByRole('button', { name: 'Save' }).click();
    await part(page, 'Hands').click();
    await expect(page.getByText(/^The bag serves \d of 5 shots/)).toBeVisible();
    await expect(page.getByRole('list', { name: 'Shots and the bag' })).toContainText(
      /fills \d+ % from .+, wants \d+ %: stand [\d.]+ m closer, crop to \d+ MP, or carry \d+ mm/,
    );
    // What would mend it is a press: the position that much closer, and the shot is served from there.
    const lacking = page
      .getByRole('list', { name: 'Shots and the bag' })
      .getByRole('listitem')
      .filter({
        has: page.getByRole('button', { name: /^(Move .+ \d+ m closer|Pack a .+ mm .+)$/ }),
      });
    const before = await lacking.count();
    expect(before).toBeGreaterThan(0);
    await lacking.first().getByRole('button').click();
    await expect(lacking).not.toHaveCount(before);
  },
);

test(
  'frames, cards, weather and the packing list follow each other',
  { tag: '@once' },
  async ({ page }) => {
    await open(page);
    await part(page, 'Frames').click();
    const stores = page.getByRole('list', { name: 'What holds the frames' });
    await expect(stores).toContainText('2 of 64 GB');
    await page.getByLabel('I expect, frames').fill('5000');
    await page.getByLabel('I expect, frames').press('Enter');
    await expect(stores).toContainText('4 of 64 GB, not enough in the bag');
    await expect(page.getByRole('list', { name: 'Bursts' })).toContainText(/empty again in \d+ s/);
    await part(page, 'Weather').click();
    const notes = page.getByRole('list', { name: 'Weather on kit and people' });
    await expect(notes).toContainText('The lens stays clear as you arrive');
    await page.getByRole('slider', { name: 'The kit comes from' }).focus();
    for (let i = 0; i < 5; i += 1) await page.keyboard.press('PageDown');
    await expect(notes).toContainText(/The lens fogs for \d+ minutes/);
    await page.getByRole('slider', { name: 'Rain' }).press('ArrowRight');
    await expect(notes).toContainText('not sealed: Second body, 20 MP crop');
    await page.getByRole('button', { name: 'I heard thunder now' }).click();
    await expect(notes).toContainText('Stay inside until 19:20');
    await part(page, 'Pack').click();
    const list = page.getByRole('list', { name: 'Packing list' });
    await expect(list.getByRole('checkbox').first()).toContainText('Lacking: 4 × Card, 64 GB');
    await expect(list).toContainText('A bag that seals');
    await list.getByRole('checkbox', { name: /^Main body/ }).click();
    await page.getByLabel('A line for every list').fill('Keys');
    await page.getByRole('button', { name: 'Add the line' }).click();
    await expect(list.getByRole('checkbox', { name: /^Keys/ })).toBeVisible();
    await expect(page.getByText(/^1 of \d+ packed$/)).toBeVisible();
    await settle(page);
    await page.reload();
    await part(page, 'Pack').click();
    await expect(list.getByRole('checkbox', { name: /^Main body/ })).toBeChecked();
    await page.getByRole('button', { name: 'Untick all, for the way home' }).click();
    await expect(page.getByText(/^0 of \d+ packed$/)).toBeVisible();
    await page.goto('/shoot/demo-alder-reach/kit');
    await part(page, 'Pack').click();
    await expect(list.getByRole('checkbox', { name: /^Keys/ })).toBeVisible();
  },
);
