import type { Page } from '@playwright/test';
import { evening, presses } from '../src/demo/lived';
import { LARKMOOR } from '../src/demo/larkmoor';
import { writeShootFile } from '../src/formats/shoot-json';
import type { Shoot } from '../src/records/shoot';
import { expect, giveFile, goTo, part, settle, test } from './app';
import { opensAt, openField } from './field';

/** What a season teaches, and what it changes next time. */

const section = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const button = (page: Page, name: string) => page.getByRole('button', { name, exact: true });

async function importShoot(page: Page, shoot: Shoot): Promise<void> {
  await page.goto('/');
  await giveFile(page, 'Import', {
    ...{ name: 'a.shoot.json', mimeType: 'application/json' },
    text: writeShootFile(shoot),
  });
  await expect(page.getByText(`Imported “${shoot.title}”`)).toBeVisible();
  await settle(page);
}

/** Slow presses fail, and the last quarter of the evening does. */
const FIRST = evening('2027-04-02', [...presses(14, 12, 3000), ...presses(20, 1, 1000)]);
const SECOND = evening('2027-04-09', [...presses(14, 12, 3000), ...presses(20, 1, 1000)]);
const NEXT: Shoot = { ...LARKMOOR, id: 'next', title: 'The next evening' };

test('a season in one look; what it taught is offered to the next plan and can be refused', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await importShoot(page, FIRST);
  await importShoot(page, SECOND);
  // The same day under another name counts once.
  await importShoot(page, { ...SECOND, id: 'twice', title: 'The same once more' });
  await page.goto(`/shoot/${SECOND.id}/log/taught`);
  await expect(section(page, 'Presses with a keeper. Fresh and tired')).toContainText(
    /Fewer presses gave a keeper in the last quarter, by more than chance/,
  );
  await page.getByRole('radio', { name: 'Twelve months' }).click();
  await expect(section(page, 'Planned and done')).toContainText(
    '2 shoots, 68 presses, 26 gave a keeper: 38 %, 28 % to 50 %.',
  );
  await expect(section(page, 'Planned and done')).toContainText(/Against the plans, in the middle/);
  const shoots = page.getByRole('list', { name: 'Shoots of twelve months' });
  await expect(shoots.getByRole('listitem')).toHaveCount(2);
  await expect(section(page, 'Presses with a keeper. By shutter, to the whole stop')).toContainText(
    /1\/1000\s*2 of 40/,
  );
  await expect(section(page, 'Presses with a keeper. By place')).toBeVisible();

  await importShoot(page, NEXT);
  await page.goto('/shoot/next/brief');
  await page.getByRole('button', { name: /^What shoots and practice taught/ }).click();
  const lessons = page.getByRole('list', { name: 'Lessons' });
  await expect(lessons).toContainText('Never slower than 1/2000 for strike and ball');
  await expect(lessons).toContainText(
    '24 of 28 presses at 1/2000 and faster gave a keeper, 2 of 40 presses slower: more than chance.',
  );
  await button(page, 'Use: 1/2000').click();
  await button(page, 'Use: rest').click();
  await settle(page);
  await page.reload();
  await page.getByRole('button', { name: /^What shoots and practice taught/ }).click();
  await expect(button(page, 'Leave out: rest')).toBeVisible();

  // 18:30 to 20:45: the last quarter begins at 20:11.
  await opensAt(page, '2027-04-16T18:40:00Z');
  await openField(page, 'next');
  await expect(section(page, 'Now and next')).toContainText(
    'Rest: your last quarters give fewer keepers, 20:01',
  );
  await page.goto('/shoot/next/brief');
  await page.getByRole('button', { name: /^What shoots and practice taught/ }).click();
  await button(page, 'Leave out: rest').click();
  await settle(page);
  await openField(page, 'next');
  await expect(section(page, 'Now and next')).not.toContainText('Rest:');
});

test(
  'a floor that was taught is said where one sets one’s own',
  { tag: '@once' },
  async ({ page }) => {
    const { log, choice } = NEXT;
    await importShoot(page, {
      ...NEXT,
      choice: { ...choice, shotId: 'save', markId: 'keeper', floors: { strike: 2 ** -11 } },
      log: { ...log, lessons: [{ id: 'floor-strike', use: true }] },
    });
    await page.goto('/shoot/next/settings/reasons');
    await expect(page.getByRole('group', { name: 'Your own floor' })).toContainText(
      'Earlier shoots taught this plan: never slower than 1/2000 for strike and ball.',
    );
    await goTo(page, 'Log');
    await part(page, 'Taught').click();
    // Nothing else was lived: there is no season to choose.
    await expect(page.getByRole('radio', { name: 'Twelve months' })).toHaveCount(0);
  },
);
