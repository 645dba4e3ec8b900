import { readFile } from 'node:fs/promises';
import { strFromU8, unzipSync } from 'fflate';
import type { Page } from '@playwright/test';
import { expect, part, settle, test } from './app';
import { field } from './drawing';
import { keptShoot } from './field';

/** Who is on the pictures, and the captions that leave with them. */

const heading = (page: Page) => page.getByRole('region', { name: 'Named' }).getByRole('heading');
const press = (page: Page) => page.getByRole('region', { name: 'Who is on it' });
const button = (page: Page, name: string) => page.getByRole('button', { name, exact: true });

/** The demo's pictures read, their clock set right, and Names opened. */
async function openNames(page: Page, shoot: string): Promise<void> {
  await page.goto(`/shoot/${shoot}/log`);
  await page.getByRole('button', { name: 'Read the demo’s pictures' }).click();
  await page.getByRole('button', { name: 'Set it right' }).click();
  await part(page, 'Names').click();
  await expect(page.getByRole('region', { name: 'Named' })).toBeVisible();
}

/** What the archive of captions holds. */
async function savedCaptions(page: Page) {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    button(page, 'Save the captions').click(),
  ]);
  const files = unzipSync(new Uint8Array(await readFile(await download.path())));
  return {
    name: download.suggestedFilename(),
    text: (name: string) => strFromU8(files[name] ?? new Uint8Array()),
    names: Object.keys(files).sort(),
  };
}

test('names by thumb: who starts, the same as before, another event; sidecars leave with them', async ({
  page,
}) => {
  await openNames(page, 'demo-tern-water');
  await expect(heading(page)).toHaveText('0 of 7 presses settled');
  await press(page).getByRole('checkbox', { name: 'Withy Reach' }).click();
  await expect(press(page)).toContainText(
    'Withy Reach, Junior single 500 m, heat 1, Tern Water, sprint regatta, Saturday 19 June 2027.',
  );
  await expect(press(page)).toContainText('As you said.');
  await button(page, 'Next').click();
  await expect(press(page)).toContainText('2 of 7');
  await expect(press(page).getByRole('checkbox', { name: 'Withy Reach' })).not.toBeChecked();
  // The same as before goes on by itself.
  await button(page, 'Same as before').click();
  await expect(press(page)).toContainText('3 of 7');
  await expect(heading(page)).toHaveText('2 of 7 presses settled');
  await button(page, 'Nobody').click();
  await expect(press(page)).toContainText('Nobody, as you said.');
  // To another event in one press.
  await press(page).getByRole('list', { name: 'Its event' }).getByRole('button').click();
  const events = page.getByRole('list', { name: 'Events about then' });
  const other = events.getByRole('button').nth(1);
  const title = (await other.innerText()).split('\n')[0] ?? '';
  await other.click();
  await expect(press(page)).toContainText(`${title}, Tern Water`);
  await expect(press(page).getByRole('list', { name: 'Its event' })).toContainText('as you said');
  await button(page, 'To the next not settled').click();
  await expect(press(page)).toContainText('4 of 7');

  await button(page, 'How captions are written').click();
  await field(page, 'Pattern').fill('[{names}: ]{event}. {whom}');
  await expect(page.getByText(/^Change this: \{whom\} is no field: take \{who\}/)).toBeVisible();
  await field(page, 'Pattern').fill('[{names}: ]{event}. Photo {photographer}');
  await field(page, 'Photographer').fill('C. Holm & Co');
  await button(page, 'Done').click();
  await settle(page);
  await page.reload();
  // Small pictures go with the page; what was said stays.
  await expect(heading(page)).toHaveText('3 of 7 presses settled');
  const saved = await savedCaptions(page);
  expect(saved.name).toBe('captions-2027-06-19.zip');
  // Fourteen pictures are kept.
  expect(saved.names).toHaveLength(15);
  expect(saved.text('TRN_0002.xmp')).toContain(
    'Withy Reach: Junior single 500 m, heat 1. Photo C. Holm &amp; Co',
  );
  expect(saved.text('TRN_0002.xmp')).toContain(
    '<Iptc4xmpExt:PersonInImage><rdf:Bag><rdf:li>Withy Reach</rdf:li>',
  );
  expect(saved.text('captions.csv').split('\r\n')).toHaveLength(16);
  const kept = await keptShoot(page, 'demo-tern-water');
  expect(kept.log.frames.length).toBeGreaterThan(0);
});

test(
  'names by keys: lanes, arrows, the same as before, undo',
  { tag: '@once' },
  async ({ page }) => {
    await openNames(page, 'demo-tern-water');
    await press(page).focus();
    await page.keyboard.press('3');
    await page.keyboard.press('5');
    await expect(press(page).getByRole('checkbox', { checked: true })).toHaveCount(2);
    await page.keyboard.press('ArrowRight');
    await expect(press(page)).toContainText('2 of 7');
    await page.keyboard.press('Enter');
    await expect(press(page)).toContainText('3 of 7');
    await page.keyboard.press('ArrowLeft');
    await expect(press(page).getByRole('checkbox', { checked: true })).toHaveCount(2);
    await page.keyboard.press('ControlOrMeta+z');
    await expect(press(page).getByRole('checkbox', { checked: true })).toHaveCount(0);
    // What is no longer kept is no longer among the kept.
    await page.keyboard.press('Space');
    await expect(heading(page)).toHaveText('1 of 6 presses settled');
    await expect(part(page, 'Names')).toBeVisible();
  },
);

test('without pictures it says what to do first', { tag: '@once' }, async ({ page }) => {
  await page.goto('/shoot/demo-tern-water/log/names');
  await expect(page.getByText(/^Read the pictures first/)).toBeVisible();
});
