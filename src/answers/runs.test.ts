import { runsOf } from './runs';

const same = (a: number, b: number) => a === b;

test('neighbours that are alike are one run, and what comes back later is another', () => {
  expect(runsOf([1, 1, 2, 1], same)).toEqual([
    { first: 1, last: 1 },
    { first: 2, last: 2 },
    { first: 1, last: 1 },
  ]);
  expect(runsOf([], same)).toEqual([]);
});

test('a run goes from its first to its last', () => {
  expect(runsOf([1, 3, 4, 7], (a, b) => a < 4 === b < 4)).toEqual([
    { first: 1, last: 3 },
    { first: 4, last: 7 },
  ]);
});
