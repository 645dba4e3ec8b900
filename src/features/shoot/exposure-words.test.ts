import type { ExposurePlan, WayOut } from '@/core';
import { wayInShort } from './exposure-words';

const before = { shutterS: 1 / 500, aperture: 4, iso: 400, liftStops: 0 };
const plan = { settings: before } as unknown as ExposurePlan;
const way = (settings: Partial<WayOut['settings']>, filterStops?: number): WayOut => ({
  ...{ levers: [], hold: {}, settings: { ...before, ...settings } },
  ...(filterStops !== undefined && { filterStops }),
});

test.each([
  ['1/800', way({ shutterS: 1 / 800 })],
  ['ISO 800', way({ iso: 800 })],
  // Where two are moved, the time is what one asks first.
  ['1/250', way({ shutterS: 1 / 250, iso: 800 })],
  // Exact thirds beside dialled ones are not moved.
  ['ISO 500', way({ shutterS: 2 ** -9, iso: 500 })],
  ['a lift of 1.0 stop', way({ liftStops: 1 })],
])('a way out in short: %s', (words, one) => {
  expect(wayInShort(one, plan)).toBe(words);
});

test('a filter to put on is named by its stops', () => {
  expect(wayInShort(way({}, 3), plan)).toBe('ND 3 stops');
});
