import { msOf } from '@/core';
import { ALDER_REACH } from '@/demo/alder-reach';
import { LARKMOOR } from '@/demo/larkmoor';
import { TERN_WATER } from '@/demo/tern-water';
import { behindInShort, behindInWords } from '@/features/ground/behind-words';
import type { Shoot } from '@/records/shoot';
import { alongSight } from './along-sight';
import { behindOf } from './behind';
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
