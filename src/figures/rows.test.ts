import { evSpan, hoursWithin } from './chart-scale';
import { placeRows } from './rows';

test('texts in rows never cover each other and stay within the width', () => {
  const texts = Array.from({ length: 12 }, (_, i) => ({ x: 10 + i * 9, half: 24 }));
  const placed = placeRows(texts, 200);
  for (const a of placed) {
    expect(a.textX - a.half).toBeGreaterThanOrEqual(0);
    expect(a.textX + a.half).toBeLessThanOrEqual(200);
    for (const b of placed) {
      if (a !== b && a.row === b.row) expect(Math.abs(a.textX - b.textX)).toBeGreaterThan(48);
    }
  }
  expect(
    placeRows(
      [
        { x: 20, half: 5 },
        { x: 100, half: 5 },
      ],
      200,
    ).map(({ row }) => row),
  ).toEqual([0, 0]);
});

test('the chart runs between whole pairs of stops, four at the least', () => {
  expect(evSpan([5.3, 13.8])).toEqual([4, 14]);
  expect(evSpan([7.1, 7.2])).toEqual([6, 10]);
});

test('hours stand apart however long the shoot', () => {
  const hour = 3_600_000;
  expect(hoursWithin(0.5 * hour, 3.5 * hour)).toEqual([hour, 2 * hour, 3 * hour]);
  expect(hoursWithin(0, 24 * hour).length).toBeLessThanOrEqual(7);
});
