import { scorePosition, type FeatureOf } from '@/core';
import { ALDER_REACH } from '@/demo/alder-reach';
import { effectsOf } from '@/features/draw/effects';
import { sideView } from '@/features/ground/side-view';
import { addItem, changeItem, hasRoom, withoutPoint, withPointAdded } from '@/records/edit-site';
import { shootSchema, type Feature, type Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { alongSight } from './along-sight';
import { answerAt } from './answer';
import { bestWorn } from './picture-view';
import { behindOf } from './behind';
import { foodInFrame, rivalsOf } from './perch';
import { scoredKit, scoredMark, scoredSite } from './scored';
import { FIRST_WISH, shotAt } from './search';
import { seatsOf } from './seats';
import { shadeRequest } from './shade';
import { marksInSun } from './sun-on-ground';
import { sceneThrough } from './through-lens';
import { viewOf, type View } from './view';

/** One mark 20 m north of one position, on ground that is as high as is said at both. Geometry by hand. */
const MARK = { ...ALDER_REACH.marks[0], id: 'm', x: 0, y: 20, feetM: 1 } as Shoot['marks'][number];
const SPOT = {
  ...{ id: 'p', name: 'Bank', x: 0, y: 0, cameraHeightM: 1.5 },
} satisfies Shoot['positions'][number];
const { carriedBy: _perch, ...FREE } = MARK;
const { shotId: _shot, ...PLAIN } = ALDER_REACH.choice;
const slope = (heightsM: readonly number[], ys = [0, 20]): Feature => ({
  ...{ id: 'slope', name: 'Bank side', kind: 'slope', heightsM: [...heightsM] },
  points: ys.map((y) => ({ x: 0, y })),
});
const on = (...features: Feature[]): Shoot => ({
  ...ALDER_REACH,
  ...{
    features,
    marks: [FREE],
    positions: [SPOT],
    readings: [],
    shots: [],
    watches: [],
    events: [],
    nature: [],
  },
  choice: { ...PLAIN, markId: 'm', positionId: 'p', held: {}, orientation: 'level' },
});
const seen = (shoot: Shoot): View => {
  const found = viewOf(shoot);
  if (!found.ok) throw new Error(found.trouble.kind);
  return found.view;
};
const AT_MS = msOf('2027-05-08T12:00', 'Europe/London');

test('camera and subject stand on the ground where they are', () => {
  const view = seen(on(slope([3, 0])));
  const half = view.subject.heightM / 2;
  expect(view.camera.z).toBeCloseTo(4.5, 9);
  expect(view.aim.z).toBeCloseTo(1 + half, 9);
  const rise = 1 + half - 4.5;
  expect(view.sight.elevationDeg).toBeCloseTo((Math.atan(rise / 20) * 180) / Math.PI, 9);
  // Its feet go with it: the light is taken 0.85 of it up.
  expect(view.scene.target.z).toBeCloseTo(1 + 0.85 * view.subject.heightM, 9);
});

test('a slope of one height is level ground: every answer is the same', () => {
  const [level, flat] = [seen(on()), seen(on(slope([7, 7])))];
  expect(flat.camera).toEqual(level.camera);
  expect(flat.aim).toEqual(level.aim);
  expect(answerAt(flat, on(slope([7, 7])), AT_MS).exposure).toEqual(
    answerAt(level, on(), AT_MS).exposure,
  );
});

test('a score on a slope is that of a camera and a subject raised as much on level ground', () => {
  const shoot = on(slope([3, 0.5]));
  const view = seen(shoot);
  const raisedUp: Shoot = {
    ...on(),
    // Heights count from the lowest: 2.5 m and none.
    positions: [{ ...SPOT, cameraHeightM: 4 }],
    marks: [FREE],
  };
  const score = (from: Shoot, crests: boolean) => {
    const kit = scoredKit(view.body, view.lens, { orientation: 'level', support: 'tripod' });
    const site = scoredSite(from);
    return scorePosition(
      from.positions[0] as Shoot['positions'][number],
      scoredMark(from, from.marks[0] as Shoot['marks'][number]),
      shotAt(from, 'm', FIRST_WISH),
      AT_MS,
      // Without the ground as what hides and shades.
      crests ? site : { ...site, obstacles: [] },
      kit,
    );
  };
  expect(score(shoot, false).total).toBeCloseTo(score(raisedUp, false).total, 12);
  expect(score(shoot, false).fill).toBeCloseTo(score(raisedUp, false).fill, 12);
  // Falling ground before a camera that looks down over it hides nothing.
  expect(score(shoot, true).parts.find(({ name }) => name === 'view')?.desirability).toBe(1);
  // A crest between does.
  const crest = on(slope([0, 5, 0], [0, 10, 20]));
  expect(score(crest, true).total).toBe(0);
  const kit = ALDER_REACH.kit;
  expect(bestWorn({ ...shoot, kit }, { markId: 'm', shot: undefined }, 'p')).toEqual(
    bestWorn({ ...raisedUp, kit }, { markId: 'm', shot: undefined }, 'p'),
  );
});

test('a crest is in the way, by its name, and from the side it is drawn', () => {
  const shoot = on(slope([0, 5, 0], [0, 10, 20]));
  const view = seen(shoot);
  const [block] = alongSight(view, shoot.features, 5).blocks;
  expect(block?.obstacle.name).toBe('Bank side');
  const { pieces, words } = sideView(view, shoot.features, 5);
  expect(pieces.ground?.slice(0, 3)).toEqual([
    { atM: 0, heightM: 0 },
    { atM: 10, heightM: 5 },
    { atM: 20, heightM: 0 },
  ]);
  expect(pieces.things).toEqual([]);
  expect(words.join(' ')).toMatch(/Bank side is in the way/);
  expect(words[0]).toMatch(/over the lowest ground/);
});

test('rising ground behind is what is behind, at once where the line meets it; level water past it is not', () => {
  const bank = on(slope([0, 0, 8], [-5, 20, 36]));
  const view = seen(bank);
  const along = alongSight(view, bank.features, 5);
  // The line, at aim.z over the foot, falls so much a metre while the ground comes up half of one.
  const falls = (1.5 - view.aim.z) / 20;
  expect(along.back).toMatchObject({
    obstacle: { name: 'Grass' },
    behindSubjectM: expect.closeTo(view.aim.z / (0.5 + falls), 6),
  });
  expect(behindOf(bank, view, along, AT_MS)).toMatchObject({
    ...{ kind: 'ground', surface: 'grass' },
  });
});

test('what stands on it goes up with it: seats, food, rivals, shade, the sun on marks', () => {
  const hide: Feature = {
    ...{ id: 'hide', name: 'Hide', kind: 'hide', heightM: 2.2 },
    points: [
      { x: -1, y: -1 },
      { x: 1, y: -1 },
      { x: 1, y: 1 },
      { x: -1, y: 1 },
    ],
    windows: [{ wall: 2, asideM: 0, widthM: 1, sillM: 1.2, heightM: 0.6, pane: 'open' }],
  };
  // On level ground the window looks out at 1.2 to 1.8 m, and so it does where hide, seat and mark are all 3 m up.
  const high = on(slope([0, 3, 3], [-40, -10, 40]), hide);
  const [seat] = seatsOf(high, hide as FeatureOf<'hide'>);
  expect(seat?.seen.map(({ id }) => id)).toEqual(['m']);
  const feeder: Feature = {
    ...{ id: 'food', name: 'Feeder', kind: 'food', heightM: 1.1, points: [{ x: 0.1, y: 20.2 }] },
  };
  const fed = on(slope([0, 3, 3], [-40, -10, 40]), feeder, {
    ...{ id: 'post', name: 'Post', kind: 'perch', heightM: 1, points: [{ x: 0.3, y: 20 }] },
  });
  expect(foodInFrame(seen(fed), fed).map(({ id }) => id)).toEqual(['food']);
  expect(rivalsOf(seen(fed), fed).map(({ id, awayM }) => [id, awayM])).toEqual([
    ['post', expect.closeTo(0.3, 6)],
  ]);
  // A 2 m wall to the south on ground 3 m over the mark's: the sun at noon in May, 55° up, clears it level, not high.
  const wall: Feature = {
    ...{ id: 'wall', name: 'Wall', kind: 'wall', heightM: 2 },
    points: [
      { x: -5, y: 18.5 },
      { x: 5, y: 18.5 },
    ],
  };
  const sun = { azimuthDeg: 180, altitudeDeg: 55 };
  const level = on(wall);
  const fallen = on(slope([3, 0], [18.5, 20]), wall);
  expect(marksInSun(level, level.features, sun, AT_MS)).toEqual(['m']);
  expect(marksInSun(fallen, fallen.features, sun, AT_MS)).toEqual([]);
  const names = shadeRequest(fallen, seen(fallen).scene, SPOT).owners.map(({ name }) => name);
  expect(names).toEqual(['Bank side', 'Wall', 'You yourself']);
});

test('through the lens the ground is there, and what stands on it is up on it', () => {
  const shoot = on(slope([0, 3, 3], [-40, -10, 40]));
  const view = seen(shoot);
  const answer = answerAt(view, shoot, AT_MS);
  const { settings } = answer.exposure;
  const scene = sceneThrough(shoot, view, answer, { settings, atMs: AT_MS });
  const slabs = scene.solids.filter(({ shape }) => shape === 'slab');
  // The rise, and the level ground past it.
  expect(slabs).toHaveLength(3);
  expect(scene.figure.path.position.z).toBeCloseTo(4, 9);
});

test('in words: how high one stands, and whether the camera is level with the subject', () => {
  const words = (heightsM: readonly number[]) => {
    const shoot = on(slope(heightsM));
    const view = seen(shoot);
    const answer = answerAt(view, shoot, AT_MS);
    return effectsOf(shoot.features[0] as Feature, { view, answer }, AT_MS).join(' ');
  };
  expect(words([3, 0])).toMatch(
    /^Bank stands 3\.0 m over the lowest ground, the ground under Near perch 0\.0 m\. The camera is 3\.4 m over /,
  );
  expect(words([0, 0.42])).toMatch(/The camera is level with/);
});

test('a height for each corner, one slope a ground', () => {
  const line = slope([0, 2, 3], [0, 10, 20]);
  const more = withPointAdded(line, 1, { x: 0, y: 15 });
  expect(more).toMatchObject({ heightsM: [0, 2, 2.5, 3] });
  expect(withoutPoint(more, 1)).toMatchObject({ heightsM: [0, 2.5, 3] });
  const shoot = on(line);
  expect(shootSchema.safeParse(shoot).error?.issues ?? []).toEqual([]);
  expect(hasRoom(shoot, 'features', 'slope')).toBe(false);
  expect(hasRoom(shoot, 'features', 'wall')).toBe(true);
  expect(addItem(shoot, 'features', { ...line, id: 'two' })).toBe(shoot);
  const wrong = changeItem(shoot, 'features', 'slope', (entry) => ({
    ...(entry as FeatureOf<'slope'> & Feature),
    heightsM: [1],
  }));
  expect(shootSchema.safeParse(wrong).error?.issues[0]?.message).toMatch(/one height for each/);
  const two: Shoot = { ...shoot, features: [line, { ...line, id: 'two' }] };
  expect(shootSchema.safeParse(two).error?.issues[0]?.message).toMatch(/one slope at most/);
});
