import { rectangleCorners, type FeatureOf } from '@/core';
import { ALDER_REACH } from '@/demo/alder-reach';
import { seatInWords } from '@/features/shoot/hide-words';
import type { Mark, Position } from '@/records/shoot';
import { heightAtWindow, seatsOf } from './seats';

/** A hide 3 x 2 m about the origin that looks north, its window 1 m wide from 0.9 to 1.3 m up. */
const HIDE: FeatureOf<'hide'> = {
  ...{ kind: 'hide', id: 'hide', name: 'Hide', heightM: 2.2 },
  points: rectangleCorners({ middle: { x: 0, y: 0 }, widthM: 3, depthM: 2, bearingDeg: 0 }),
  windows: [{ wall: 2, asideM: 0, widthM: 1, sillM: 0.9, heightM: 0.4, pane: 'open' }],
};
const mark = (name: string, x: number, y: number, feetM: number): Mark => ({
  ...(ALDER_REACH.marks[0] as Mark),
  ...{ id: name, name, x, y, feetM },
});
const seat = (name: string, x: number, y: number): Position => ({
  ...(ALDER_REACH.positions[0] as Position),
  ...{ id: name, name, x, y, cameraHeightM: 1.1 },
});
const shoot: Parameters<typeof seatsOf>[0] = {
  positions: [seat('Seat', 0, 0.5), seat('Outside', 0, 1.5)],
  marks: [
    mark('Perch', 0, 10.5, 1.1),
    mark('Far pool', 0, 4.5, 0),
    mark('Near pool', 0, 2, 0),
    mark('Twig', 0, 2.5, 3),
    mark('Path', 0, -9, 1),
  ],
  subjects: [],
  features: [HIDE],
};

test('from a seat the walls say which marks are seen, and why the others are not', () => {
  const [only, ...others] = seatsOf(shoot, HIDE);
  expect(others).toEqual([]);
  expect(only?.seen.map(({ name }) => name)).toEqual(['Perch', 'Far pool']);
  // A metre down in 4 m is 0.13 m down at the window, half a metre off: over the sill. In 1.5 m it is 0.34 m.
  expect(only?.hidden.map(({ mark: { name }, by }) => [name, by])).toEqual([
    ['Near pool', 'sill'],
    ['Twig', 'head'],
    ['Path', 'wall'],
  ]);
});

test('it is said in a line', () => {
  const [only] = seatsOf(shoot, HIDE);
  if (!only) throw new Error('must be a seat');
  expect(seatInWords(only)).toBe(
    'From Seat one sees Perch and Far pool. Hidden: Near pool, under the sill; Twig, over the head of the window; Path, no window that way.',
  );
  expect(seatInWords({ ...only, seen: [], hidden: [] })).toBe('From Seat one sees no mark.');
});

test('a camera that looks past its window is told the height of it', () => {
  const [low] = seatsOf(shoot, HIDE);
  if (!low) throw new Error('must be a seat');
  // It is there already: the twig is over the head of the window from any height.
  expect(heightAtWindow(low)).toBeUndefined();
  const tall = { ...low, position: { ...low.position, cameraHeightM: 1.5 } };
  expect(heightAtWindow(tall)).toBe(1.1);
  const onlyWall = { ...tall, hidden: tall.hidden.filter(({ by }) => by === 'wall') };
  expect(heightAtWindow(onlyWall)).toBeUndefined();
});

test('a hide without a window is open all round', () => {
  const { windows: _none, ...open } = HIDE;
  const [only] = seatsOf({ ...shoot, features: [open] }, open);
  expect(only).toMatchObject({ swings: [], hidden: [] });
  expect(only?.seen).toHaveLength(shoot.marks.length);
});

test('in the demo’s hide both seats see every mark', () => {
  const hide = ALDER_REACH.features.find(({ kind }) => kind === 'hide') as FeatureOf<'hide'>;
  const seats = seatsOf(ALDER_REACH, hide);
  expect(seats.map(({ position }) => position.id)).toEqual(['hide-window', 'hide-side']);
  expect(seats.flatMap(({ hidden }) => hidden)).toEqual([]);
});
