import fc from 'fast-check';
import { behindHead, sectionAlong } from './section';
import { point3 } from './vector';

const box = (name: string, y: number, deep: number, heightM: number, half = 20) => ({
  name,
  heightM,
  footprint: [
    { x: -half, y },
    { x: half, y },
    { x: half, y: y + deep },
    { x: -half, y: y + deep },
  ],
});

test('what the line meets, in order, with where it begins and ends', () => {
  const found = sectionAlong(
    { x: 0, y: 0 },
    { x: 0, y: 10 },
    [box('wood', 40, 10, 12), box('fence', 4, 0.2, 2), box('aside', 20, 5, 3, 1)],
    60,
  );
  expect(found.map(({ obstacle, fromM, toM }) => [obstacle.name, fromM, toM])).toEqual([
    ['fence', 4, 4.2],
    ['aside', 20, 25],
    ['wood', 40, 50],
  ]);
});

test('it is followed only so far, and begins at once within something', () => {
  const found = sectionAlong(
    { x: 0, y: 0 },
    { x: 0, y: 1 },
    [box('hide', -1, 3, 2), box('far', 90, 5, 9)],
    50,
  );
  expect(found).toMatchObject([{ fromM: 0, toM: 2 }]);
});

test('by hand: a 1.8 m head at 10 m before a 5 m hedge at 20 m', () => {
  const hedge = box('hedge', 20, 1, 5);
  // Camera at 1.6 m: the line over the head is at 1.6 + 0.02·20 = 2 m by the hedge, 3 m under it.
  const found = behindHead(point3(0, 0, 1.6), { x: 0, y: 10 }, 1.8, [hedge], 100);
  expect(found?.overHeadM).toBeCloseTo(3, 9);
  // (1.8·2 − 5)/(2 − 1) = −1.4: no camera above ground lifts the head over it.
  expect(found?.cameraM).toBeCloseTo(-1.4, 9);
  // Before a 3 m hedge a camera at 0.6 m does: (3.6 − 3)/1.
  const low = behindHead(point3(0, 0, 1.6), { x: 0, y: 10 }, 1.8, [box('h', 20, 1, 3)], 100);
  expect(low?.cameraM).toBeCloseTo(0.6, 9);
});

test('from the height that clears it, the head is clear of it', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 5, max: 40, noNaN: true }),
      fc.double({ min: 1.2, max: 6, noNaN: true }),
      fc.double({ min: 0.5, max: 3, noNaN: true }),
      (awayM, times, topM) => {
        const hedge = box('hedge', awayM * times, 1, topM);
        const subject = { x: 0, y: awayM };
        const first = behindHead(point3(0, 0, 1.5), subject, 1.8, [hedge], 1000);
        fc.pre((first?.cameraM ?? -1) > 0.05);
        const from = behindHead(point3(0, 0, first?.cameraM ?? NaN), subject, 1.8, [hedge], 1000);
        expect(from?.overHeadM).toBeCloseTo(0, 6);
      },
    ),
  );
});

test('of several behind, the one that stands highest against the head', () => {
  const near = box('low rail', 12, 0.2, 1);
  const far = box('tall wood', 60, 5, 15);
  expect(behindHead(point3(0, 0, 1.5), { x: 0, y: 10 }, 1.8, [near, far], 100)?.obstacle.name).toBe(
    'tall wood',
  );
  expect(behindHead(point3(0, 0, 1.5), { x: 0, y: 10 }, 1.8, [], 100)).toBeUndefined();
});

test('a subject at the camera, or no reach, is refused by name', () => {
  expect(() => sectionAlong({ x: 0, y: 0 }, { x: 0, y: 0 }, [], 10)).toThrow(/^level distance/);
  expect(() => sectionAlong({ x: 0, y: 0 }, { x: 0, y: 1 }, [], 0)).toThrow(/^reachM 0/);
});
