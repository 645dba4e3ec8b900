import { expect, onPhone, settle, test } from './app';
import {
  button,
  drag,
  field,
  fill,
  middleOf,
  openDrawing,
  plan,
  spot,
  take,
  tapPlan,
} from './drawing';
import { keptShoot } from './field';

test(
  'a tree put down by a tap is shaped by exact figures, undone, redone, and kept',
  { tag: '@once' },
  async ({ page }) => {
    await page.goto('/shoot/demo-larkmoor/ground');
    await button(page, onPhone(page) ? 'Draw' : 'Draw the ground').click();
    await take(page, 'Tree');
    await tapPlan(page, 0.93, 0.55);
    await expect(page.getByRole('heading', { name: 'Tree', exact: true })).toBeVisible();
    await expect(page.getByText(/^Its shadow is [\d.]+ m long/)).toBeVisible();

    await fill(page, 'East of the middle, m', '48,5');
    await expect(field(page, 'East of the middle, m')).toHaveValue('48.5');
    await fill(page, 'Height, m', '20');
    await fill(page, 'Name', 'Lone oak');
    await expect(page.getByRole('heading', { name: 'Lone oak' })).toBeVisible();

    await fill(page, 'Height, m', 'tall');
    await expect(page.getByText('Change this: a number from 0.1 to 200 m')).toBeVisible();
    await fill(page, 'Height, m', '20');

    await button(page, 'Undo').click();
    await expect(page.getByRole('heading', { name: 'Tree', exact: true })).toBeVisible();
    await button(page, 'Undo').click();
    await expect(field(page, 'Height, m')).toHaveValue('8');
    await button(page, 'Redo').click();
    await button(page, 'Redo').click();
    await expect(button(page, 'Redo')).toBeDisabled();
    await expect(field(page, 'Height, m')).toHaveValue('20');
    await settle(page);
    await page.reload();
    await expect(button(page, /^Select Lone oak/)).toBeVisible();
  },
);

test('a wall is drawn, moved and taken away by keys alone', { tag: '@once' }, async ({ page }) => {
  await openDrawing(page);
  await button(page, 'Add to the ground').focus();
  await page.keyboard.press('Enter');
  await button(page, 'Wall').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Drawing tools' })).toBeFocused();
  await plan(page).focus();
  await page.keyboard.press('Enter');
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/2 so far\./)).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await button(page, 'Finish').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Wall', exact: true })).toBeVisible();

  const north = Number(await field(page, 'North of the middle, m').inputValue());
  await button(page, /^Wall\. Drag/).focus();
  await page.keyboard.press('Shift+ArrowUp');
  await page.keyboard.press('ArrowUp');
  const moved = () => field(page, 'North of the middle, m').inputValue().then(Number);
  await expect.poll(moved).toBeCloseTo(north + 6, 1);
  await page.keyboard.press('Control+z');
  await expect.poll(moved).toBeCloseTo(north, 1);
  await page.keyboard.press('Control+Shift+Z');
  await expect.poll(moved).toBeCloseTo(north + 6, 1);

  const corner = Number(await field(page, 'Corner east, m').inputValue());
  await button(page, /^Wall, corner 1 of 2\. Drag/).focus();
  await page.keyboard.press('ArrowLeft');
  await expect
    .poll(() => field(page, 'Corner east, m').inputValue().then(Number))
    .toBeCloseTo(corner - 1, 1);

  await page.keyboard.press('Delete');
  await expect(page.getByText('Took away “Wall”')).toBeVisible();
  await expect(button(page, /^Select Wall/)).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(button(page, /^Select Wall/)).toBeVisible();
});

test('a tap takes hold of the stand; dragged by its body it moves, by its corner it grows', async ({
  page,
}) => {
  await openDrawing(page);
  await button(page, /^Select West stand/).click();
  const at = await middleOf(page, /^West stand\. Drag/);
  await button(page, 'Deselect').click();
  await page.mouse.click(at.x, at.y + 14);
  await expect(page.getByRole('heading', { name: 'West stand' })).toBeVisible();
  const value = (label: string) => field(page, label).inputValue().then(Number);
  const [east, width] = [await value('East of the middle, m'), await value('Width, m')];
  // Beside its middle: the body itself, not the handle.
  await drag(page, { x: at.x + 4, y: at.y + 40 }, { x: -30, y: 0 });
  await expect.poll(() => value('East of the middle, m')).toBeLessThan(east - 3);
  expect(await value('Width, m')).toBeCloseTo(width, 1);

  // The plan is fitted anew once the stand has been let go of.
  await settle(page);
  const corner = await middleOf(page, /^West stand, corner 1 of 4\. Drag/);
  await drag(page, corner, { x: -25, y: 0 });
  await expect.poll(() => value('Width, m')).toBeGreaterThan(width + 2);
  await expect(field(page, 'Depth runs towards, °')).toHaveValue('12');

  await button(page, 'Undo').click();
  await expect.poll(() => value('Width, m')).toBeCloseTo(width, 1);
  await button(page, 'Undo').click();
  await expect.poll(() => value('East of the middle, m')).toBeCloseTo(east, 1);
  await expect(button(page, 'Undo')).toBeDisabled();
});

test(
  'with snapping a point falls on a corner, without it stays where it was put',
  { tag: '@once' },
  async ({ page }) => {
    await openDrawing(page);
    await button(page, /^Select Oak/).click();
    const oak = await middleOf(page, /^Oak\. Drag/);
    await button(page, 'Deselect').click();
    await button(page, /^Select Clubhouse/).click();
    const corner = await middleOf(page, /^Clubhouse, corner 1 of 4\. Drag/);
    await field(page, 'East of the middle, m').scrollIntoViewIfNeeded();
    await button(page, 'Deselect').click();
    await button(page, /^Select Oak/).click();
    await drag(page, oak, { x: corner.x - oak.x + 4, y: corner.y - oak.y + 3 });
    const on = await middleOf(page, /^Oak\. Drag/);
    expect(Math.hypot(on.x - corner.x, on.y - corner.y)).toBeLessThan(1.5);
    await button(page, 'Undo').click();
    await button(page, 'Snap to corners, lines and the grid').click();
    await drag(page, oak, { x: corner.x - oak.x + 4, y: corner.y - oak.y + 3 });
    const off = await middleOf(page, /^Oak\. Drag/);
    expect(Math.hypot(off.x - corner.x, off.y - corner.y)).toBeGreaterThan(3);
  },
);

test('the plan pans, zooms and turns; the whole ground comes back', async ({ page }) => {
  await openDrawing(page);
  const position = /^Position Behind the back line.* to move it$/;
  const start = await middleOf(page, position);
  await drag(page, await spot(page, 0.9, 0.8), { x: -40, y: -30 });
  const panned = await middleOf(page, position);
  // A drag begins only after a few pixels, so that a tap is not taken for one.
  expect(Math.abs(panned.x - (start.x - 40))).toBeLessThan(8);
  expect(Math.abs(panned.y - (start.y - 30))).toBeLessThan(8);

  await page.mouse.move(panned.x, panned.y);
  const under = await spot(page, 0.5, 0.5);
  await page.mouse.move(under.x, under.y);
  await page.mouse.wheel(0, -500);
  await page.waitForTimeout(300);
  const zoomed = await middleOf(page, position);
  const away = (p: { x: number; y: number }) => Math.hypot(p.x - under.x, p.y - under.y);
  expect(away(zoomed) / away(panned)).toBeCloseTo(Math.exp(0.75), 1);

  await button(page, 'Show the whole ground').click();
  await button(page, /^North up\. Turn the plan: Long axis up/).click();
  const up = await middleOf(page, position);
  const mark = await middleOf(page, /^Mark Attack in the circle.* to move it$/);
  // Along the pitch, which now points up: 13 m north of the mark in the pitch's own axes.
  expect(up.y).toBeLessThan(mark.y);
  await button(page, /^Long axis up\. Turn the plan: Sight line up/).click();
  const from = await middleOf(page, position);
  const to = await middleOf(page, /^Mark Attack in the circle.* to move it$/);
  expect(Math.abs(from.x - to.x)).toBeLessThan(2);
  expect(to.y).toBeLessThan(from.y);
  await button(page, /^Sight line up\. Turn the plan: North up/).click();
  await button(page, 'Zoom in').click();
  await plan(page).focus();
  await page.keyboard.press(']');
  await expect(button(page, /^Turned by hand\. Turn the plan/)).toBeVisible();
});

test(
  'measuring: lengths, bearings true and by compass, and the area',
  { tag: '@once' },
  async ({ page }) => {
    await openDrawing(page);
    await button(page, 'Measure').click();
    await tapPlan(page, 0.3, 0.3);
    await tapPlan(page, 0.7, 0.3);
    const legs = page.getByRole('list', { name: 'Legs' }).getByRole('listitem');
    await expect(legs).toHaveCount(1);
    await expect(legs.first()).toHaveText(/^[\d.]+ m0(89|90|91)° E true, 0\d\d° by compass$/);
    await tapPlan(page, 0.7, 0.7);
    await expect(page.getByText(/^2 legs; closed they hold [\d.]+ (m²|ha)\.$/)).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(legs).toHaveCount(1);
    await button(page, 'Stop measuring').click();
    await expect(button(page, 'Add to the ground')).toBeVisible();
  },
);

test(
  'by compass: what is typed is magnetic, what is kept is true',
  { tag: '@once' },
  async ({ page }) => {
    await openDrawing(page);
    await button(page, 'Align').click();
    await expect(field(page, 'Long axis towards, °')).toHaveValue('12');
    await page.getByRole('radio', { name: 'By compass' }).click();
    const note = page.getByText(/The compass points [\d.]+° (east|west) of true north here/);
    await expect(note).toBeVisible();
    const [, off = '', side] = /points ([\d.]+)° (east|west)/.exec(await note.innerText()) ?? [];
    await fill(page, 'Long axis towards, °', '40');
    await page.getByRole('radio', { name: 'True', exact: true }).click();
    const kept = Number(await field(page, 'Long axis towards, °').inputValue());
    expect(kept).toBeCloseTo(40 + Number(off) * (side === 'east' ? 1 : -1), 0);
    expect(kept).not.toBe(40);
  },
);

test(
  'the ground is laid by two known points, one typed, one stood on',
  { tag: '@once' },
  async ({ page }) => {
    await openDrawing(page);
    await button(page, 'Align').click();
    await tapPlan(page, 0.25, 0.8);
    await tapPlan(page, 0.75, 0.2);
    await fill(page, 'Latitude of A, °', '53.1194');
    await fill(page, 'Longitude of A, °', '-1.8704');
    await page.getByRole('radio', { name: 'Simulated walk' }).last().click();
    await button(page, 'I stand on B').click();
    await expect(page.getByText('Simulated fix, good to 4 m.').first()).toBeVisible();
    await expect(
      page.getByText(/^Turns the ground by [\d.]+° to the (left|right)\. On the globe/),
    ).toBeVisible();
    await button(page, 'Lay it so').click();
    await expect(field(page, 'Long axis towards, °')).not.toHaveValue('12');
    await button(page, 'Undo').click();
    await expect(field(page, 'Long axis towards, °')).toHaveValue('12');
    await expect(field(page, 'Latitude of the middle, °')).toHaveValue('53.12');
  },
);

test(
  'positions where one stands: by the device, refused in words, or by a simulated walk',
  { tag: '@once' },
  async ({ page, context }) => {
    await context.grantPermissions(['geolocation']);
    await context.setGeolocation({ latitude: 53.1203, longitude: -1.8695, accuracy: 6 });
    await openDrawing(page);
    await take(page, 'Position');
    await button(page, 'Where I stand').click();
    await expect(page.getByRole('heading', { name: 'Position', exact: true })).toBeVisible();
    // 0.0003° of latitude is 33.4 m, 0.0005° of longitude there 33.5 m.
    await expect(field(page, 'North of the middle, m')).toHaveValue(/^33\.[34]/);
    await expect(field(page, 'East of the middle, m')).toHaveValue(/^33\.[45]/);
    // Walked on, it is brought along.
    await context.setGeolocation({ latitude: 53.12, longitude: -1.8695, accuracy: 6 });
    await button(page, 'It is where I stand').click();
    await expect(field(page, 'North of the middle, m')).toHaveValue(/^-?0(\.\d)?$/);
    await button(page, 'Deselect').click();

    await context.clearPermissions();
    await take(page, 'Path of walkers');
    await button(page, 'A point where I stand').click();
    await expect(page.getByText(/^No location: .*A simulated walk can stand in/)).toBeVisible();
    await page.getByRole('radio', { name: 'Simulated walk' }).click();
    for (let i = 0; i < 3; i += 1) await button(page, 'A point where I stand').click();
    await expect(page.getByText(/3 so far\./)).toBeVisible();
    await expect(page.getByText('Simulated fix, good to 4 m.')).toBeVisible();
    await button(page, 'Finish').click();
    await expect(page.getByText(/^Corner 1 of 3$/)).toBeVisible();
  },
);

test(
  'the ground is turned by the phone’s compass, or by a simulated one that says so',
  { tag: '@once' },
  async ({ page }) => {
    await openDrawing(page);
    await button(page, 'Align').click();
    await button(page, 'Turn it by hand, sun or compass').click();
    const sheet = page.getByRole('dialog', { name: 'Which way it lies' });
    const rose = sheet.getByRole('slider', { name: 'True bearing of the long axis' });
    await sheet.getByRole('button', { name: 'Sight along it with the phone' }).click();
    await expect(
      sheet.getByText(/^No compass: no heading came; .*simulated one can/),
    ).toBeVisible();
    await sheet.getByRole('radio', { name: 'Simulated' }).click();
    await expect(sheet.getByRole('group', { name: 'Simulated compass' })).toContainText(
      /Steady to ±\d°/,
    );
    // As a phone tells it that is laid flat and turned 250° to the left: 110° by the compass.
    await sheet.getByRole('radio', { name: 'This phone' }).click();
    await expect(sheet.getByText('Asking the compass…')).toBeVisible();
    await page.evaluate(() => {
      const event = { absolute: true, alpha: 250, beta: 3, gamma: -2 };
      for (let i = 0; i < 12; i += 1) {
        window.dispatchEvent(new DeviceOrientationEvent('deviceorientationabsolute', event));
      }
    });
    // In the middle of England a compass points about half a degree east or west of north these years.
    await expect(sheet.getByText(/^(109|110|111)° E/)).toBeVisible();
    await expect(sheet.getByText(/^Steady to ±1°\. The compass points/)).toBeVisible();
    await sheet.getByRole('button', { name: 'It lies this way' }).click();
    const deg = async () => Number(await rose.getAttribute('aria-valuenow'));
    await expect.poll(deg).toBeGreaterThanOrEqual(109);
    expect(await deg()).toBeLessThanOrEqual(111);
  },
);

test(
  'a hide takes its seats along, a perch its bird; how far what is held is from the nearest is shown',
  { tag: '@once' },
  async ({ page }) => {
    await openDrawing(page, 'demo-alder-reach');
    await button(page, 'Select Hide, Hide').or(button(page, 'Select Hide')).click();
    await expect(page.getByText('Goes with it: Hide window, Hide, side slot.')).toBeVisible();
    await settle(page);
    const before = await keptShoot(page, 'demo-alder-reach');
    await button(page, /^Hide\. Drag/).press('ArrowLeft');
    await settle(page);
    const after = await keptShoot(page, 'demo-alder-reach');
    for (const [i, { id, x }] of before.positions.entries()) {
      const moved = after.positions[i]?.x ?? NaN;
      expect(moved - x).toBeCloseTo(id.startsWith('hide') ? -1 : 0, 6);
    }
    expect(after.marks).toEqual(before.marks);
    await button(page, 'Deselect').click();
    await take(page, 'Perch');
    await tapPlan(page, 0.3, 0.6);
    await button(page, 'Put a subject on it').click();
    await expect(field(page, 'Feet above the ground, m')).toHaveValue('1.2');
    // Two lengths to the things nearest to the mark in hand.
    await expect(page.locator('svg').getByText(/^\d+\.\d m$/)).toHaveCount(2);
  },
);
