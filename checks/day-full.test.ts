/** Days with much at once: still planned to the best there is, or the most that a better plan could come to is told. */
import { planDay, type DayEvent } from '@/core';

const MINUTE = 60_000;
const LEAD = { secondCallMs: 4 * MINUTE, stayingIsReady: true };
const WALK_MS = 1.4;
const AT = [{ id: 'finish', x: 0, y: 0 }];

/** A day with much at once: heats one after the other, windows beside them, people in some of each. */
function fullDay(windows: number, people: number) {
  const positions = Array.from({ length: 6 }, (_, i) => ({ id: `p${i}`, x: i * 90, y: 0 }));
  const at = (i: number) => [
    { positionId: `p${i % 6}`, quality: 0.9 },
    { positionId: `p${(i + 2) % 6}`, quality: 0.6 },
  ];
  const events = [
    ...Array.from({ length: 40 }, (_, i): DayEvent => ({
      ...{ id: `h${i}`, startMs: (15 + i * 6) * MINUTE, endMs: (18 + i * 6) * MINUTE },
      ...{ value: 2, from: at(i * 5) },
    })),
    ...Array.from({ length: windows }, (_, i): DayEvent => ({
      ...{ id: `w${i}`, startMs: (i * 13 + 5) * MINUTE, endMs: (i * 13 + 90) * MINUTE },
      ...{ value: 2, from: at(i) },
      window: { visitMs: 9 * MINUTE, most: 3, againShare: 0.5 },
    })),
  ];
  const debts = Array.from({ length: people }, (_, i) => ({
    id: `d${i}`,
    events: [`h${(i * 7) % 40}`, `h${(i * 11 + 3) % 40}`, `w${i % windows}`],
  }));
  return { events, positions, debts };
}

test('six windows open at once and twelve people in them are planned to the best there is', () => {
  const { events, positions, debts } = fullDay(6, 12);
  const route = planDay(events, positions, WALK_MS, LEAD, [], debts);
  expect(route.debtsMissed).toEqual([]);
  expect(route.atMostMore).toBeUndefined();
});

test('where there is too much to try all of, what a better plan could come to at most is told', () => {
  const { events, positions } = fullDay(5, 0);
  // Thirty people in three events each, by chance: more than can be met, in very many ways.
  let seed = 3;
  const chance = (n: number) => (seed = (seed * 16807) % 2147483647) % n;
  const debts = Array.from({ length: 30 }, (_, i) => ({
    id: `d${i}`,
    events: Array.from({ length: 3 }, () => (events[chance(events.length)] as DayEvent).id),
  }));
  const route = planDay(events, positions, WALK_MS, LEAD, [], debts);
  expect(route.atMostMore).toBeDefined();
  const { promises = -1, value = -1 } = route.atMostMore ?? {};
  expect(promises).toBeGreaterThanOrEqual(0);
  expect(promises).toBeLessThanOrEqual(route.debtsMissed.length);
  expect(value).toBeGreaterThanOrEqual(0);
});

test('a debt of an event that is not there is refused by name', () => {
  expect(() => planDay([], AT, WALK_MS, LEAD, [], [{ id: 'ash', events: ['gone'] }])).toThrow(
    /debt ash event gone/,
  );
});
