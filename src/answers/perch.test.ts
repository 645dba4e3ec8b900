import { landsAt, perchEnds, scorePosition, type FeatureOf } from '@/core';
import { nextReminder } from '@/features/field/now-next';
import { lastStopInWords, rivalInWords } from '@/features/shoot/perch-words';
import { landedOn, withStick } from '@/records/carried';
import { changeItem, moveItem, removeItem } from '@/records/edit-site';
import { turnGround } from '@/records/edit-ground';
import { newShoot } from '@/records/new-shoot';
import { shootSchema, type Feature, type Shoot } from '@/records/shoot';
import { clockOf, msOf } from '@/records/times';
import {
  endsInFocus,
  foodInFrame,
  lastStopFor,
  likelyEnd,
  perchUnder,
  rivalsOf,
  twigNear,
  wayTo,
} from './perch';
import { remindersOf } from './reminders';
import { scoredKit, scoredMark, scoredSite } from './scored';
import { FIRST_WISH, shotAt } from './search';
import { viewOf, type View } from './view';

/** A garden as it is laid: a window at the origin, a feeder at (0.2, 6.1), a bush at (5.2, 1.1). */
const GARDEN: Shoot = newShoot(
  {
    ...{ title: 'Garden', template: 'feeder-garden', bearingDeg: 0 },
    ...{ latitudeDeg: 52.2, longitudeDeg: 0.5, timeZone: 'Europe/London' },
    ...{ startLocal: '2027-03-06T08:00', endLocal: '2027-03-06T11:00' },
  },
  'garden',
  '2027-03-01T12:00:00.000Z',
);
const AT_MS = msOf('2027-03-06T09:00', GARDEN.place.timeZone);

const seenIn = (shoot: Shoot): View => {
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  return seen.view;
};
const VIEW = seenIn(GARDEN);
const PERCH = perchUnder(GARDEN, VIEW.mark) as Extract<Feature, { kind: 'perch' }>;
const withFeature = (shoot: Shoot, feature: Feature): Shoot => ({
  ...shoot,
  features: [...shoot.features, feature],
});
const post = (id: string, x: number, y: number, heightM: number): Feature => ({
  ...{ id, name: id, kind: 'perch', heightM },
  points: [{ x, y }],
});
const totalOf = (shoot: Shoot): number => {
  const view = seenIn(shoot);
  const { orientation } = shoot.choice;
  const kit = scoredKit(view.body, view.lens, { orientation, support: shoot.kit.support });
  const shot = shotAt(shoot, view.mark.id, FIRST_WISH);
  return scorePosition(
    view.position,
    scoredMark(shoot, view.mark),
    shot,
    AT_MS,
    scoredSite(shoot),
    kit,
  ).total;
};

test('the garden brings its cover and its food, and the perch its bird', () => {
  const way = wayTo(GARDEN, VIEW.mark);
  expect([way?.cover.name, way?.food.name]).toEqual(['Bush', 'Feeder']);
  expect(PERCH.name).toBe('Placed perch');
  expect(wayTo(removeItem(GARDEN, { list: 'features', id: 'bush' }), VIEW.mark)).toBeUndefined();
});

/** The garden with its birds coming out of the hedge, at (7.5, 16). */
const FROM_HEDGE = changeItem(GARDEN, 'features', 'bush', (feature) => ({
  ...feature,
  points: [{ x: 7.5, y: 16 }],
}));
const stopIn = (shoot: Shoot) => {
  const view = seenIn(shoot);
  return lastStopFor(shoot, view, shotAt(shoot, view.mark.id, FIRST_WISH), AT_MS);
};

test('as it is laid the perch stands at the last stop, and nothing is told', () => {
  expect(stopIn(GARDEN)).toBeUndefined();
});

test('the last stop is tried by the score itself: whoever moves the perch there has what was promised', () => {
  const stop = stopIn(FROM_HEDGE);
  if (!stop) throw new Error('no stop');
  expect(stop.now).toBeCloseTo(totalOf(FROM_HEDGE), 9);
  const moved = moveItem(
    FROM_HEDGE,
    { list: 'features', id: PERCH.id },
    stop.markAt.x - seenIn(FROM_HEDGE).mark.x,
    stop.markAt.y - seenIn(FROM_HEDGE).mark.y,
  );
  expect(totalOf(moved)).toBeCloseTo(stop.total, 9);
  const { mark } = seenIn(moved);
  // On the straight way from (7.5, 16) to (0.2, 6.1): 7.3 m east in 9.9 m north, and a hop before the food.
  expect((mark.x - 0.2) / (mark.y - 6.1)).toBeCloseTo(7.3 / 9.9, 6);
  const beforeM = Math.hypot(mark.x - 0.2, mark.y - 6.1);
  expect(beforeM).toBeCloseTo(stop.beforeM, 9);
  expect(beforeM).toBeGreaterThan(0.4999);
  expect(beforeM).toBeLessThan(2.0001);
  // Nearer to the feeder it would score more, with the feeder in the frame.
  expect(foodInFrame(seenIn(moved), moved)).toEqual([]);
  expect(stop.foodInFrame).toBe(false);
  const nearer = moveItem(moved, { list: 'features', id: PERCH.id }, -0.06, -0.08);
  expect(totalOf(nearer)).toBeGreaterThan(stop.total);
  expect(foodInFrame(seenIn(nearer), nearer)).toHaveLength(1);
  const leaves = stopIn(nearer);
  expect(leaves && lastStopInWords(leaves)).toMatch(
    /^The last stop on the way from Bush: 90 cm before Feeder\. 69 of 100 there, 69 where it is\. Feeder is out of the frame there\.$/,
  );
  // There it stays: nothing better is told.
  expect(stopIn(moved)).toBeUndefined();
});

test.each([
  // By the hedge's way the picture is a worse one, and only the bird speaks for it; by the fence's it is better.
  [
    { x: 7.5, y: 16 },
    '90 cm before Feeder. A bird sits there more likely, but the picture is a worse one: 69 of 100 there, 75 where it is.',
  ],
  [{ x: -8, y: 2 }, '2.0 m before Feeder. 77 of 100 there, 75 where it is.'],
])('birds from %j: what the last stop costs is said', (from, words) => {
  const stop = stopIn(
    changeItem(GARDEN, 'features', 'bush', (feature) => ({ ...feature, points: [from] })),
  );
  expect(stop && lastStopInWords(stop)).toBe(`The last stop on the way from Bush: ${words}`);
});

test('on a way straight at the camera the feeder is in the frame at every stop, and that is told', () => {
  const behind = changeItem(GARDEN, 'features', 'bush', (feature) => ({
    ...feature,
    points: [{ x: 0.4, y: 16 }],
  }));
  expect(stopIn(behind)).toMatchObject({ foodInFrame: true });
});

test('food that is in the frame here and there does not leave it; where it leaves, nothing is said of a worse picture', () => {
  const behind = changeItem(GARDEN, 'features', 'bush', (feature) => ({
    ...feature,
    points: [{ x: 0.4, y: 16 }],
  }));
  const { mark } = seenIn(behind);
  const before = moveItem(behind, { list: 'features', id: PERCH.id }, 0.25 - mark.x, 5.6 - mark.y);
  expect(foodInFrame(seenIn(before), before)).toHaveLength(1);
  const stop = stopIn(before);
  if (!stop) throw new Error('no stop');
  expect(stop).toMatchObject({ foodInFrame: true, foodLeaves: false });
  expect(lastStopInWords(stop)).not.toContain('out of the frame');
  const leaving = { ...stop, foodInFrame: false, foodLeaves: true, total: 0.5, now: 0.6 };
  expect(lastStopInWords(leaving)).toMatch(
    /Feeder\. 50 of 100 there, 60 where it is\. Feeder is out of the frame there\.$/,
  );
});

test('food is in the frame where its image is: a lens of 300 mm at 5.6 m sees 0.67 m across', () => {
  // Full frame, 36 mm: 36 / 300 · 5.58 m = 0.67 m, 0.33 m to a side; the feeder is 0.1 m to either side of its post.
  const beside = (asideM: number) => {
    const food: Feature = {
      ...{ id: 'food', name: 'Food', kind: 'food', heightM: 1.7 },
      // Across the line of sight from (0, 0) to (0.8, 5.5).
      points: [{ x: 0.8 + (asideM * 5.5) / 5.558, y: 5.5 - (asideM * 0.8) / 5.558 }],
    };
    const alone = { ...GARDEN, features: [food] };
    return foodInFrame(seenIn(alone), alone).map(({ name }) => name);
  };
  expect(beside(0.2)).toEqual(['Food']);
  expect(beside(0.4)).toEqual(['Food']);
  expect(beside(0.5)).toEqual([]);
  expect(beside(-0.5)).toEqual([]);
});

test('what else it could land on within a hop is named, the nearest first; the rest is let be', () => {
  const { x, y, feetM = 0 } = VIEW.mark;
  const near = withFeature(GARDEN, post('Pole', x + 0.3, y, feetM));
  const twig: FeatureOf<'branch'> = {
    ...{ id: 'twig', name: 'Twig', kind: 'branch', heightM: feetM, tipM: feetM },
    ...{ thickMm: 8, spreadM: 0, leafTakes: 0, leafFrom: 5, leafTo: 10 },
    points: [
      { x: x - 1, y: y - 0.2 },
      { x: x + 1, y: y - 0.2 },
    ],
  };
  const both = withFeature(near, twig as Feature);
  const rivals = rivalsOf(VIEW, both);
  expect(rivals.map(({ name, kind }) => [name, kind])).toEqual([
    ['Twig', 'branch'],
    ['Pole', 'perch'],
  ]);
  expect(rivals[0]?.awayM).toBeCloseTo(0.2, 9);
  expect(rivals[1]?.awayM).toBeCloseTo(0.3, 9);
  // A bird of 13 cm wants two and a half of its lengths clear: 32 cm.
  expect(twigNear(VIEW, rivals)).toMatchObject({ name: 'Twig', clearM: expect.closeTo(0.325, 9) });
  expect(twigNear(VIEW, rivals.slice(2))).toBeUndefined();
  // 3 m over it, and 4 m from its food, nothing rivals it.
  expect(rivalsOf(VIEW, withFeature(GARDEN, post('High', x, y, feetM + 3)))).toEqual([]);
  // Beyond a hop from the perch, but at the feeder.
  const atFood = withFeature(GARDEN, post('At food', 0.2 - 1, 6.1, 1.8));
  const [rival, ...rest] = rivalsOf(VIEW, atFood);
  expect(rest).toEqual([]);
  expect(rival && rivalInWords(rival)).toBe('At food, 1.0 m from Feeder');
  // What is far from the perch crowds it with no twig.
  expect(rival && twigNear(VIEW, [{ ...rival, awayM: 0.1 }])).toBeUndefined();
});

test('a bird on a stick sits at an end, goes with it when it turns, and is likely at that towards its cover', () => {
  const stuck = withStick(GARDEN, PERCH.id, { lengthM: 0.6, towardDeg: 0 });
  const landed = landedOn(stuck, VIEW.mark.id, 1);
  const markOf = (shoot: Shoot) => seenIn(shoot).mark;
  const perchOf = (shoot: Shoot) => perchUnder(shoot, markOf(shoot)) as typeof PERCH;
  expect(markOf(stuck)).toMatchObject({ x: 0.8, y: 5.5 });
  expect(landsAt(perchOf(stuck), markOf(stuck))).toBe(0);
  expect(markOf(landed)).toMatchObject({ x: 0.8, y: expect.closeTo(5.8, 9) });
  expect(landsAt(perchOf(landed), markOf(landed))).toBe(1);
  const turned = withStick(landed, PERCH.id, { lengthM: 1, towardDeg: 90 });
  expect(markOf(turned)).toMatchObject({ x: expect.closeTo(1.3, 9), y: expect.closeTo(5.5, 9) });
  expect(markOf(withStick(turned, PERCH.id, undefined))).toMatchObject({ x: 0.8, y: 5.5 });
  // The bush lies south of it.
  expect(likelyEnd(perchOf(landed), landed)).toBe(-1);
  expect(likelyEnd(perchOf(landedOn(landed, VIEW.mark.id, -1)), landed)).toBe(-1);
  const south = withStick(landed, PERCH.id, { lengthM: 0.6, towardDeg: 180 });
  expect(likelyEnd(perchOf(south), south)).toBe(1);
  expect(likelyEnd(PERCH, GARDEN)).toBeUndefined();
  // All of it turns with the ground, and the perch still carries it when it is moved.
  const ground = turnGround(landed, 90);
  expect(perchOf(ground).stick?.towardDeg).toBeCloseTo(90);
  expect(landsAt(perchOf(ground), markOf(ground))).toBe(1);
  const along = moveItem(landed, { list: 'features', id: PERCH.id }, 1, 1);
  expect(markOf(along)).toMatchObject({ x: expect.closeTo(1.8, 9), y: expect.closeTo(6.8, 9) });
  expect(shootSchema.safeParse(turned).success).toBe(true);
});

test('focused on one end the other is soft, and a turn square to the lens makes it sharp', () => {
  const stuck = withStick(GARDEN, PERCH.id, { lengthM: 0.4, towardDeg: 0 });
  const landed = landedOn(stuck, VIEW.mark.id, 1);
  const ends = endsInFocus(seenIn(landed), landed, 4);
  if (!ends) throw new Error('no ends');
  expect(ends).toMatchObject({ landsAt: 1, sharp: false });
  // It points nearly along the line of sight: 40 cm · cos 8°.
  expect(ends.offM).toBeLessThan(-0.38);
  const towardDeg = ends.squareDeg as number;
  const turned = withStick(landed, PERCH.id, { lengthM: 0.4, towardDeg });
  const after = endsInFocus(seenIn(turned), turned, 4);
  expect(after).toMatchObject({ landsAt: 1, sharp: true });
  expect(after?.offM).toBeCloseTo(0, 3);
  // In the middle, and on a post, there is no other end to tell of.
  expect(endsInFocus(seenIn(stuck), stuck, 4)).toBeUndefined();
  expect(endsInFocus(VIEW, GARDEN, 4)).toBeUndefined();
});

const nextIn = (shoot: Shoot, view: View, atMs: number) =>
  nextReminder(remindersOf(shoot, view), atMs);

test('what is easily forgotten comes up at its minute: cut ends before one settles, hulls when it feeds', () => {
  const before = msOf('2027-03-06T03:00', GARDEN.place.timeZone);
  const first = nextIn(GARDEN, VIEW, before);
  expect(first?.what).toBe('Cut ends of Placed perch out of sight');
  // Civil dawn comes in the shoot's morning: half an hour before it.
  expect(clockOf(first?.atMs ?? 0, GARDEN.place.timeZone) < '08:00').toBe(true);
  expect(nextIn(GARDEN, VIEW, first?.atMs ?? 0)).toEqual({
    what: 'Hull in the bill: wait until it is gone',
    atMs: msOf('2027-03-06T08:00', GARDEN.place.timeZone),
  });
  const fed: Shoot = {
    ...GARDEN,
    nature: [
      { id: 'n1', kind: 'feeding', name: 'Feeder filled', atLocal: '2027-03-06T09:30' },
      { id: 'n2', kind: 'highTide', name: 'Tide', atLocal: '2027-03-06T08:30' },
    ],
  };
  expect(nextIn(fed, VIEW, AT_MS)?.atMs).toBe(msOf('2027-03-06T09:30', fed.place.timeZone));
  const close = changeItem(GARDEN, 'features', 'feeder', (feature) => ({
    ...feature,
    points: [{ x: 0.6, y: 5.6 }],
  }));
  expect(nextIn(close, seenIn(close), before)?.what).toBe(
    'Cut ends of Placed perch out of sight, Feeder out of the frame',
  );
  const bare = {
    ...GARDEN,
    features: [],
    marks: GARDEN.marks.map((mark) => ({ ...mark, carriedBy: undefined })),
  };
  expect(nextIn(bare as Shoot, VIEW, before)).toBeUndefined();
});

test('a stick’s two ends are where its perch says', () => {
  const stuck = withStick(GARDEN, PERCH.id, { lengthM: 0.4, towardDeg: 270 });
  const [tip] = perchEnds(perchUnder(stuck, seenIn(stuck).mark) as typeof PERCH);
  expect(tip).toEqual({ x: expect.closeTo(0.6, 9), y: expect.closeTo(5.5, 9), z: 1.5 });
});
