import { readFile } from 'node:fs/promises';
import { strFromU8, unzipSync } from 'fflate';
import type { Page } from '@playwright/test';
import { writeShootFile } from '../src/formats/shoot-json';
import { madeUpDay } from '../scripts/made-up-day';
import { madeUpJpeg, madeUpScene } from '../scripts/made-up-pictures';
import { expect, giveFile, part, settle, test } from './app';
import { field } from './drawing';
import { keptShoot } from './field';
import { pdfOf } from './pdf';

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
    'Withy Reach paddles in Junior single 500 m, heat 1, Tern Water, sprint regatta, Saturday 19 June 2027.',
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
  // The sheet says how it reads under the press behind it.
  await field(page, 'Pattern').fill('[{names} {races|race}: |Nobody: ]{event} ({heat}).');
  await expect(page.getByText(/^Reads: Nobody: .+ 500 m \(heat \d\)\.$/)).toBeVisible();
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

test(
  'two cameras’ pictures of a meet: clocks lined up, doubtful first, presses together, contact sheets',
  { tag: '@once' },
  async ({ page }) => {
    const day = madeUpDay(17, 120);
    const scene = madeUpScene();
    await page.goto('/');
    await giveFile(page, 'Import', {
      ...{ name: 'meet.shoot.json', mimeType: 'application/json' },
      text: writeShootFile(day.shoot),
    });
    await expect(page.getByText('Imported “Spring meet”')).toBeVisible();
    await page.goto('/shoot/made-up-meet/log');
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      button(page, 'Read pictures').click(),
    ]);
    await chooser.setFiles([
      ...day.pictures.map((picture) => ({
        ...{ name: picture.frame.name, mimeType: 'image/jpeg', buffer: madeUpJpeg(scene, picture) },
      })),
      { name: 'cut-off.jpg', mimeType: 'image/jpeg', buffer: Buffer.from([0xff, 0xd8, 0xff]) },
    ]);
    // One that is damaged is named with its reason, and loses nothing of the rest.
    await expect(page.getByRole('alert')).toHaveText(/^1 left out: cut-off\.jpg \(.+\)\.$/);
    const clocks = page.getByRole('region', { name: 'Clocks' });
    await expect(clocks.getByRole('heading')).toHaveText([/: not checked$/, /: not checked$/]);
    await button(page, 'Set it right').first().click();
    await button(page, 'Set it right').click();
    await expect(clocks.getByRole('heading')).toHaveText([
      /^Clock of Full-frame body, 24 MP: 1 h 3 min (19|2[01]) s slow, to within \d s$/,
      /^Clock of Crop body, 20 MP: 3[5-9] s fast, to within \d s$/,
    ]);
    await part(page, 'Names').click();
    await page.getByRole('radio', { name: 'All', exact: true }).click();
    const presses = new Set(day.pictures.map(({ press: of }) => of)).size;
    await expect(heading(page)).toHaveText(`0 of ${presses} presses settled`);
    await page.getByRole('radio', { name: 'Doubtful first' }).click();
    const sureOf = async () => {
      const said = await press(page).getByRole('list', { name: 'Its event' }).innerText();
      return Number(/(\d+) % sure/.exec(said)?.[1]);
    };
    const first = await sureOf();
    expect(first).toBeLessThan(85);
    await button(page, 'Next').click();
    await expect.poll(sureOf).toBeGreaterThanOrEqual(first);
    await button(page, 'Before').click();
    // Three presses put to one event, and one lane named on them, in a press each.
    await button(page, 'Take more together').click();
    await button(page, 'Next').click();
    await button(page, 'Next').click();
    await expect(press(page)).toContainText(/3 presses together, \d+ pictures/);
    await press(page).getByRole('list', { name: 'Its event' }).getByRole('button').click();
    const events = page.getByRole('list', { name: 'Events about then' });
    const title = (await events.getByRole('button').nth(1).innerText()).split('\n')[0] ?? '';
    await events.getByRole('button').nth(1).click();
    await press(page).getByRole('checkbox').nth(3).click();
    await expect(heading(page)).toHaveText(`3 of ${presses} presses settled`);
    await button(page, 'This one alone').click();
    await button(page, 'Before').click();
    await expect(press(page).getByRole('list', { name: 'Its event' })).toContainText(title);
    await expect(press(page).getByRole('checkbox').nth(3)).toBeChecked();
    const client = (await press(page).getByRole('checkbox').nth(3).innerText()).split(', ').at(-1);
    await button(page, 'Contact sheets (PDF)').click();
    const sheets = page.getByRole('list', { name: 'Contact sheets' });
    const pdf = await pdfOf(page, () =>
      sheets.getByRole('button', { name: new RegExp(`^${client}`) }).click(),
    );
    expect(pdf.title).toBe(`Spring meet: ${client}`);
    const said = pdf.pages.join(' ').replace(/\s+/g, ' ');
    expect(said).toContain(title);
    expect(said).toMatch(/(FFA|CRB)_\d{4}\.jpg/);
    await page.keyboard.press('Escape');
    // Reading again undoes nothing of what was said.
    await settle(page);
    await page.reload();
    await page.getByRole('radio', { name: 'All', exact: true }).click();
    await expect(heading(page)).toHaveText(`3 of ${presses} presses settled`);
  },
);

test(
  'by keys: several together with Shift, so it is with the arrow down',
  { tag: '@once' },
  async ({ page }) => {
    await openNames(page, 'demo-tern-water');
    await press(page).focus();
    await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('Shift+ArrowRight');
    await expect(press(page)).toContainText('3 presses together');
    await page.keyboard.press('4');
    await expect(heading(page)).toHaveText('3 of 7 presses settled');
    await page.keyboard.press('ArrowDown');
    await expect(press(page)).toContainText('4 of 7');
    await page.keyboard.press('ArrowLeft');
    await expect(press(page).getByRole('list', { name: 'Its event' })).toContainText('as you said');
  },
);
