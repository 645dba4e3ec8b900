import { msOf, scorePosition } from '@/core';
import { ALDER_REACH } from '@/demo/alder-reach';
import { LARKMOOR } from '@/demo/larkmoor';
import { TERN_WATER } from '@/demo/tern-water';
import { behindInShort, behindInWords } from '@/features/ground/behind-words';
import type { Shoot } from '@/records/shoot';
import { alongSight } from './along-sight';
import { behindOf } from './behind';
import { scoredKit, scoredMark, scoredSite } from './scored';
import { FIRST_WISH, shotAt } from './search';
import { viewOf } from './view';

function against(shoot: Shoot, more: Partial<Shoot['choice']> = {}) {
  const seen = viewOf({ ...shoot, choice: { ...shoot.choice, ...more } });
  if (!seen.ok) throw new Error(JSON.stringify(seen.trouble));
  const atMs = msOf(shoot.atLocal, shoot.place.timeZone);
  return behindOf(shoot, seen.view, alongSight(seen.view, shoot.features, 5), atMs);
}
const said = (shoot: Shoot, more?: Partial<Shoot['choice']>) => {
  const behind = against(shoot, more);
  return behind && behindInWords(behind);
};

test('it says what is behind, whether the sun is on it, and how bright it is against the face', () => {
  expect(said(ALDER_REACH)).toMatch(
    /^Reeds, far bank: leaf green, in the sun, [\d.]+ stops? darker$/,
  );
  // The pool lies under one: behind it is water, which shows what is beyond.
  expect(said(ALDER_REACH, { markId: 'dive-pool' })).toBe('Water: it mirrors what is beyond');
  expect(said(TERN_WATER, { positionId: 'bridge' })).toBe('Water: it mirrors what is beyond');
  const nothing: Shoot = { ...LARKMOOR, features: [] };
  expect(said(nothing)).toMatch(/^Grass: in the sun, /);
});

test('over level ground the sky is behind who stands higher than the camera, and a hill before the sky', () => {
  const low: Shoot = {
    ...LARKMOOR,
    features: [],
    positions: LARKMOOR.positions.map((position) => ({ ...position, cameraHeightM: 0.2 })),
  };
  expect(said(low)).toMatch(/^Sky: (deep blue|blue|pale|white), [\d.]+ stops? brighter$/);
  const hill = {
    ...{ id: 'h', name: 'the fell', kind: 'hill' as const, points: [] },
    ...{ fromDeg: 0, toDeg: 359, elevationDeg: 20 },
  };
  expect(said({ ...low, features: [hill] })).toMatch(/^The fell: /);
  expect(said({ ...low, features: [{ ...hill, elevationDeg: 0.1 }] })).toMatch(/^Sky: /);
});

test('a branch behind it is its background, to the words and to the score alike', () => {
  // 4 m north of a bird that is looked at from the south: leaves of 0.6 m, in May and not in January.
  const [mark] = ALDER_REACH.marks as [Shoot['marks'][number]];
  const { carriedBy: _perch, ...free } = mark;
  const { shotId: _shot, ...choice } = ALDER_REACH.choice;
  const bird = { ...free, id: 'm', x: 0, y: 0, feetM: 2 };
  const spot = { id: 'p', name: 'South', x: 0, y: -8, cameraHeightM: 2.05 };
  const bough: Shoot['features'][number] = {
    ...{ id: 'b', name: 'hazel bough', kind: 'branch', heightM: 2, tipM: 2 },
    ...{ thickMm: 40, spreadM: 1.2, leafTakes: 0.9, leafFrom: 5, leafTo: 10 },
    points: [
      { x: -2, y: 4 },
      { x: 2, y: 4 },
    ],
  };
  const shoot: Shoot = {
    ...ALDER_REACH,
    ...{ marks: [bird], positions: [spot], features: [bough], shots: [], nature: [] },
    choice: { ...choice, markId: 'm', positionId: 'p', held: {} },
  };
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  const { view } = seen;
  const along = (month: number) => alongSight(view, shoot.features, month);
  expect(along(5).back).toMatchObject({ obstacle: { name: 'hazel bough', colour: 'leaf' } });
  // Leaves reach 0.6 m round it, and the line goes by a few centimetres over or under its middle.
  expect(along(5).back?.behindSubjectM).toBeCloseTo(3.4, 1);
  const atMs = msOf('2027-05-08T12:00', 'Europe/London');
  expect(behindOf(shoot, view, along(5), atMs)).toMatchObject({ kind: 'thing', colour: 'leaf' });
  expect(along(1).back?.obstacle.name).not.toBe('hazel bough');
  // Bare wood of 30 cm is met by the same line.
  const bare = alongSight(view, [{ ...bough, thickMm: 300 }], 1).back;
  expect(bare).toMatchObject({ obstacle: { name: 'hazel bough', colour: 'wood' } });
  expect(bare?.behindSubjectM).toBeCloseTo(4, 1);
  const timesAsFar = (features: Shoot['features']) => {
    const on = { ...shoot, features };
    const score = scorePosition(
      spot,
      scoredMark(on, bird),
      shotAt(on, 'm', FIRST_WISH),
      atMs,
      scoredSite(on),
      scoredKit(view.body, view.lens, { orientation: 'level', support: 'tripod' }),
    );
    const why = score.parts.map((part) => part.why).find(({ kind }) => kind === 'behind');
    return why?.kind === 'behind' ? why.timesAsFar : undefined;
  };
  const back = along(5).back?.distanceM ?? NaN;
  expect(timesAsFar(shoot.features)).toBeCloseTo(back / 8, 6);
  expect(timesAsFar([])).toBeUndefined();
});

test('under a roof nothing is told', () => {
  expect(against({ ...LARKMOOR, light: { ...LARKMOOR.light, indoors: true } })).toBeUndefined();
});

test('in short it says how bright, and of the sky how blue', () => {
  const thing = { kind: 'thing', name: 'Reeds', colour: 'leaf', sunlit: true } as const;
  expect(behindInShort({ ...thing, stopsOver: -1.64 })).toBe('leaf green, 1.6 stops darker');
  expect(behindInShort({ ...thing, stopsOver: 0.2 })).toBe('leaf green, as bright as the face');
  expect(behindInShort({ kind: 'sky', depth: 'deep', stopsOver: 1.1, sunlit: false })).toBe(
    'deep blue, 1.1 stops brighter',
  );
  expect(behindInShort({ kind: 'water' })).toBe('');
  expect(behindInShort({ kind: 'ground', surface: 'grass', stopsOver: 0.9, sunlit: true })).toBe(
    'grass, 0.9 stop brighter',
  );
});
