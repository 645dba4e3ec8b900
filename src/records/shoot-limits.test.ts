import { readFileSync } from 'node:fs';
import path from 'node:path';
import { DEMO_SHOOTS } from '@/demo';
import { readShootFile } from '@/formats/shoot-json';
import { firstItem } from './edit-kit';
import type { ItemOfKind, KitItem, KitKind } from './kit';
import { duplicateShoot } from './new-shoot';
import { parseRecord } from './parse';
import { SHOOT_VERSION, type Shoot } from './shoot';
import { SHOOT_KIND as KIND } from './storage';

const [larkmoor] = DEMO_SHOOTS as [Shoot, ...Shoot[]];

const reasonFor = (raw: unknown): string => {
  const parsed = parseRecord(raw, KIND);
  return parsed.ok ? 'accepted' : parsed.reason;
};

function itemOf<K extends KitKind>(item: KitItem, kind: K): ItemOfKind<K> {
  if (item.kind !== kind) throw new Error(`must be a ${kind}`);
  return item as ItemOfKind<K>;
}

test('a duplicate begins before its day: unpacked, on time, nothing measured, watched or heard', () => {
  const { events, choice } = larkmoor;
  const shot: Shoot = {
    ...larkmoor,
    kit: { ...larkmoor.kit, packed: ['water'] },
    events: events.map((event) => ({ ...event, lateMin: 12 })),
    air: { ...larkmoor.air, thunderLocal: '2027-04-16T19:00' },
    readings: [
      {
        ...{ id: 'r', name: 'Circle', x: 0, y: 0, upM: 1.5, faceDeg: 0, by: 'meter', ev: 9 },
        ...{ atLocal: '2027-04-16T19:00', simulated: false },
      },
    ],
    watches: [
      {
        ...{ id: 'w', markId: choice.markId, visitsLocal: [] },
        ...{ fromLocal: '2027-04-16T19:00', toLocal: '2027-04-16T19:30' },
      },
    ],
  };
  const copy = duplicateShoot(shot, 'copy', '2026-11-02T12:00:00Z');
  expect(copy).toMatchObject({ readings: [], watches: [], events, air: larkmoor.air });
  expect(copy.kit.packed).toEqual([]);
  expect(copy.log).toEqual({ entries: [], clocks: [], frames: [], lessons: [] });
});

test('a ground of more points than light can be traced past is refused, with how many', () => {
  const points = Array.from({ length: 200 }, (_, i) => ({ x: i, y: i % 7 }));
  const features = Array.from({ length: 31 }, (_, i) => ({
    ...{ id: `w${i}`, name: 'Wall', kind: 'wall' as const, heightM: 2, points },
  }));
  expect(reasonFor({ ...larkmoor, features })).toBe(
    'features: must have at most 6000 points together, not 6200',
  );
  expect(reasonFor({ ...larkmoor, features: features.slice(0, 30) })).toBe('accepted');
});

describe('what the core would refuse', () => {
  const withItem = (item: KitItem): unknown => ({
    ...larkmoor,
    kit: { ...larkmoor.kit, bag: [item, ...larkmoor.kit.bag] },
  });
  const lens = itemOf(firstItem('lens', 'own-lens'), 'lens');
  const body = itemOf(firstItem('body', 'own-body'), 'body');
  const wide = { ...lens, focals: lens.focals.map((f) => ({ ...f, widestAperture: 28 })) };
  const near = (nearestFocusM: number) => ({
    ...lens,
    focals: [{ focalMm: 200, widestAperture: 4 }],
    nearestFocusM,
  });
  const dim = { ...body, isoGood: 50 };

  test.each([
    [
      'a lens that opens less than it closes',
      wide,
      /widestAperture 28: must be at most 22; a lens/,
    ],
    ['a zoom from long to short', { ...lens, focals: [...lens.focals].reverse() }, /focalMm/],
    [
      'a lens that focuses within its focal length',
      near(0.05),
      /nearestFocusM 0.05: must be above 0.2/,
    ],
    ['a body clean to less than its base', dim, /iso\.good 50: must be at least/],
  ])('%s is refused when saved', (_what, item, reason) => {
    expect(reasonFor(withItem(item))).toMatch(/^kit\.bag\[0\]: /);
    expect(reasonFor(withItem(item))).toMatch(reason);
  });

  test('and was kept by an older version is brought within the limits', () => {
    const old = { ...(withItem(wide) as Shoot), version: 7 };
    old.kit.bag.splice(1, 0, dim, { ...near(0.05), id: 'own-near' });
    const parsed = parseRecord(old, KIND);
    if (!parsed.ok) throw new Error(parsed.reason);
    const [kept, clean, macro] = parsed.record.kit.bag;
    expect(kept).toMatchObject({ focals: lens.focals.map(() => ({ widestAperture: 22 })) });
    expect(clean).toMatchObject({ isoGood: 100 });
    expect(macro).toMatchObject({ nearestFocusM: expect.closeTo(0.21, 9) });
  });

  test('a file of version 7 that had them is read, brought within them', () => {
    const text = readFileSync(path.join(__dirname, 'fixtures/larkmoor-v7.shoot.json'), 'utf8');
    const read = readShootFile(text);
    if (!read.ok) throw new Error(read.reason);
    expect(read.record.kit.bag.at(-1)).toMatchObject({
      focals: [{ widestAperture: 2.8 }, { widestAperture: 22 }],
      nearestFocusM: expect.closeTo(0.21, 9),
    });
    expect(read.record).toMatchObject({ version: SHOOT_VERSION, endLocal: '2027-03-28T03:10' });
  });

  test.each([
    ['Europe/London', '2027-03-28T01:10', '2027-03-28T02:05', '2027-03-28T03:10'],
    ['Europe/London', '2027-04-16T18:30', '2029-04-16T18:30', '2027-06-15T18:30'],
  ])('in %s, from %s to %s, is refused; an older one then ends at %s', (timeZone, ...hours) => {
    const [startLocal, endLocal, mended] = hours;
    const shoot = {
      ...larkmoor,
      place: { ...larkmoor.place, timeZone },
      ...{ startLocal, endLocal, atLocal: startLocal },
    };
    expect(reasonFor(shoot)).toMatch(/^endLocal: must be after startLocal by the clocks/);
    expect(parseRecord({ ...shoot, version: 7 }, KIND)).toMatchObject({
      ok: true,
      record: { endLocal: mended },
    });
  });
});
