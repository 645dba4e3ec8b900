import { formatShutter } from '@/core';
import { CLASS_IDS, CLASSES, timesOf } from './classes';
import { figureOf } from './subject-figures';
import { SUBJECTS } from './subjects';

/** The classes as people photograph them. Common practice, no source. */
test.each([
  ['rest', '1/100', '1/500', 0],
  ['standing', '1/160', '1/320', 0.3],
  ['walking', '1/250', '1/500', 0.5],
  ['play', '1/800', '1/1000', 1.5],
  ['fast', '1/1000', '1/1600', 2],
  ['strike', '1/1000', '1/2000', 1.5],
  ['slowFlight', '1/1000', '1/1600', 1.5],
  ['fastFlight', '1/1600', '1/3200', 2],
] as const)('%s: must %s, wish %s', (id, must, wish, unplannedMs) => {
  const { mustS, wishS } = CLASSES[id];
  expect([formatShutter(mustS), formatShutter(wishS)]).toEqual([must, wish]);
  expect(CLASSES[id].unplannedMs).toBe(unplannedMs);
});

test('every subject has a class, every class a subject', () => {
  expect(new Set(SUBJECTS.map(({ classId }) => classId))).toEqual(new Set(CLASS_IDS));
});

test('what goes 9 m/s and more is in no class of slow things', () => {
  const slow = new Set(['rest', 'standing', 'walking', 'play']);
  expect(SUBJECTS.filter(({ speedMs, classId }) => speedMs >= 9 && slow.has(classId))).toEqual([]);
});

describe('a floor of one’s own', () => {
  const gull = { id: 'gull', classId: 'slowFlight' } as const;
  test('rules its class, or a subject by itself before its class', () => {
    expect(timesOf(gull, { slowFlight: 1 / 2000 }).times).toMatchObject({
      mustS: 1 / 2000,
      own: true,
    });
    const both = { slowFlight: 1 / 2000, gull: 1 / 500 };
    expect(timesOf(gull, both).times).toMatchObject({ mustS: 1 / 500, own: true });
    expect(timesOf({ id: 'own-1', basedOn: 'gull', classId: 'slowFlight' }, both).times.mustS).toBe(
      1 / 500,
    );
  });
  test('leaves the wish no slower than itself, and other classes alone', () => {
    expect(timesOf(gull, { slowFlight: 1 / 4000 }).times.wishS).toBe(1 / 4000);
    expect(timesOf(gull, { play: 1 / 4000 }).times).toBe(CLASSES.slowFlight);
    expect(timesOf(gull, { slowFlight: 1 / 4000 }).atEase).toBe(CLASSES.rest);
  });
});

test.each([
  ['throwing hand', 'throwing', 2],
  ['bat tip', 'batting', 1],
  ['throat', 'perched', 1],
])('whoever has a %s is drawn %s', (part, figure, many) => {
  const having = SUBJECTS.filter(({ parts }) => parts.some(({ name }) => name === part));
  expect(having).toHaveLength(many);
  expect(new Set(having.map(figureOf))).toEqual(new Set([figure]));
});
