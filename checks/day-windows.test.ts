/** Windows, visits and people owed against trying everything, on small days; and that each reason for a miss names all that is lacking. */
import fc from 'fast-check';
import { planDay, type DayEvent, type DayPosition, type Debt, type Route } from '@/core';

const MINUTE = 60_000;
const LEAD = { secondCallMs: 4 * MINUTE, stayingIsReady: true };
const WALK_MS = 1.4;

interface Best {
  readonly promised: number;
  readonly value: number;
}
const NOTHING: Best = { promised: 0, value: 0 };
const better = (a: Best, b: Best): Best =>
  b.promised > a.promised || (b.promised === a.promised && b.value > a.value + 1e-12) ? b : a;

/** The best that any sequence of heats and visits brings, each visit tried on every whole minute. */
function bestByTrying(
  events: readonly DayEvent[],
  positions: readonly DayPosition[],
  debts: readonly Debt[] = [],
): Best {
  /** Debts that an event meets which nothing before it did. */
  const met = (i: number, had: readonly number[]): number =>
    debts.filter(
      ({ events: ids }) =>
        ids.includes((events[i] as DayEvent).id) &&
        !events.some(({ id }, k) => (had[k] as number) > 0 && ids.includes(id)),
    ).length;
  const walkMs = (a: string, b: string) => {
    const [from, to] = [a, b].map((id) => positions.find((p) => p.id === id) as DayPosition) as [
      DayPosition,
      DayPosition,
    ];
    return (Math.hypot(from.x - to.x, from.y - to.y) / WALK_MS) * 1000;
  };
  const known = new Map<string, Best>();
  const from = (
    last: { untilMs: number; at: string } | undefined,
    had: readonly number[],
  ): Best => {
    const key = JSON.stringify([last, had]);
    const before = known.get(key);
    if (before) return before;
    let best = NOTHING;
    events.forEach((event, i) => {
      const visited = had[i] as number;
      const { window } = event;
      if (event.forbidden || visited >= (window?.most ?? 1)) return;
      for (const { positionId, quality } of event.from) {
        if (event.pinnedTo && event.pinnedTo !== positionId) continue;
        const arrivesMs = last ? last.untilMs + walkMs(last.at, positionId) : -Infinity;
        const stays = last?.at === positionId;
        // All in whole minutes: those in which it is open.
        const [fromMinute, toMinute] = window
          ? [event.startMs / MINUTE, (event.endMs - window.visitMs) / MINUTE]
          : [0, 0];
        for (let m = fromMinute; m <= toMinute; m += 1) {
          const fromMs = window ? m * MINUTE : event.startMs;
          const readyMs = window || stays ? fromMs : fromMs - LEAD.secondCallMs;
          const untilMs = window ? fromMs + window.visitMs : event.endMs;
          const inside = fromMs >= event.startMs && untilMs <= event.endMs;
          if (inside && arrivesMs <= readyMs) {
            const rest = from(
              { untilMs, at: positionId },
              had.map((n, k) => (k === i ? n + 1 : n)),
            );
            best = better(best, {
              promised: rest.promised + (event.mustHave && visited === 0 ? 1 : 0) + met(i, had),
              value: rest.value + event.value * quality * (window?.againShare ?? 1) ** visited,
            });
          }
        }
      }
    });
    known.set(key, best);
    return best;
  };
  return from(
    undefined,
    events.map(() => 0),
  );
}

const positionsArb = fc.array(
  fc.record({ x: fc.integer({ min: 0, max: 500 }), y: fc.integer({ min: 0, max: 200 }) }),
  { minLength: 1, maxLength: 3 },
);
const qualitiesArb = fc.array(fc.double({ min: 0.1, max: 1, noNaN: true }), {
  minLength: 3,
  maxLength: 3,
});
const heatArb = fc.record({
  start: fc.integer({ min: 5, max: 60 }),
  length: fc.integer({ min: 2, max: 8 }),
  value: fc.integer({ min: 0, max: 6 }),
  qualities: qualitiesArb,
  mustHave: fc.boolean(),
  forbidden: fc.integer({ min: 0, max: 9 }).map((n) => n === 0),
});
const windowArb = fc.record({
  start: fc.integer({ min: 0, max: 40 }),
  length: fc.integer({ min: 3, max: 25 }),
  visit: fc.integer({ min: 3, max: 7 }),
  most: fc.integer({ min: 1, max: 3 }),
  againShare: fc.constantFrom(0, 0.5, 1),
  value: fc.integer({ min: 0, max: 6 }),
  qualities: qualitiesArb,
  mustHave: fc.boolean(),
});
const dayArb = fc
  .record({
    places: positionsArb,
    heats: fc.array(heatArb, { maxLength: 4 }),
    windows: fc.array(windowArb, { minLength: 1, maxLength: 3 }),
  })
  .map(({ places, heats, windows }) => {
    const positions = places.map((place, i) => ({ id: `p${i}`, ...place }));
    const from = (qualities: readonly number[]) =>
      positions.map(({ id }, p) => ({ positionId: id, quality: qualities[p] ?? 0 }));
    const events = [
      ...heats.map(({ start, length, qualities, ...rest }, i): DayEvent => ({
        ...{ id: `h${i}`, startMs: start * MINUTE, endMs: (start + length) * MINUTE },
        ...{ from: from(qualities), ...rest },
      })),
      ...windows.map(
        ({ start, length, visit, most, againShare, qualities, ...rest }, i): DayEvent => ({
          ...{ id: `w${i}`, startMs: start * MINUTE, endMs: (start + length) * MINUTE },
          ...{ from: from(qualities), window: { visitMs: visit * MINUTE, most, againShare } },
          ...rest,
        }),
      ),
    ];
    return { positions, events };
  });

const plan = (events: readonly DayEvent[], positions: readonly DayPosition[]): Route =>
  planDay(events, positions, WALK_MS, LEAD);

test('visits are worth as much as the best found by trying everything', () => {
  fc.assert(
    fc.property(dayArb, ({ positions, events }) => {
      const route = plan(events, positions);
      const best = bestByTrying(events, positions);
      expect(route.value).toBeCloseTo(best.value, 9);
      const had = new Set(route.stops.map(({ eventId }) => eventId));
      expect(events.filter(({ id, mustHave }) => mustHave && had.has(id))).toHaveLength(
        best.promised,
      );
      for (const { eventId, fromMs, untilMs, slackMs } of route.stops) {
        const event = events.find(({ id }) => id === eventId) as DayEvent;
        expect(fromMs).toBeGreaterThanOrEqual(event.startMs);
        expect(untilMs).toBeLessThanOrEqual(event.endMs);
        const lastsMs = untilMs - fromMs;
        if (event.window) expect(lastsMs).toBeGreaterThanOrEqual(event.window.visitMs);
        else expect(lastsMs).toBe(event.endMs - event.startMs);
        expect(slackMs).toBeGreaterThanOrEqual(-1e-6);
      }
      // One stays as long as the next walk allows, and no longer.
      route.stops.forEach(({ eventId, untilMs, positionId, slackMs }, i) => {
        const event = events.find(({ id }) => id === eventId) as DayEvent;
        const next = route.stops[i + 1];
        if (!event.window) return;
        if (!next) {
          expect(untilMs).toBe(event.endMs);
          return;
        }
        const stays = next.positionId === positionId && LEAD.stayingIsReady;
        const readyMs = stays ? next.fromMs : next.readyByMs;
        expect(untilMs + next.walkMs).toBeLessThanOrEqual(readyMs + 1e-6);
        expect(slackMs).toBeGreaterThanOrEqual(-1e-6);
        if (untilMs < event.endMs - 1e-6) expect(readyMs - untilMs - next.walkMs).toBeCloseTo(0, 3);
      });
      expect(had.size + route.missed.length).toBe(events.length);
    }),
    { numRuns: 500 },
  );
});

const owedArb = fc.array(fc.uniqueArray(fc.nat({ max: 6 }), { minLength: 1, maxLength: 4 }), {
  minLength: 1,
  maxLength: 4,
});
const debtsOf = (events: readonly DayEvent[], drawn: readonly (readonly number[])[]): Debt[] =>
  drawn.map((picks, i) => ({
    id: `d${i}`,
    events: [...new Set(picks.map((n) => (events[n % events.length] as DayEvent).id))],
  }));

test('as many of those owed are met as trying everything finds, and then as much value', () => {
  fc.assert(
    fc.property(dayArb, owedArb, ({ positions, events }, drawn) => {
      const debts = debtsOf(events, drawn);
      const route = planDay(events, positions, WALK_MS, LEAD, [], debts);
      const best = bestByTrying(events, positions, debts);
      const had = new Set(route.stops.map(({ eventId }) => eventId));
      const met = debts.filter(({ events: ids }) => ids.some((id) => had.has(id)));
      const promised = events.filter(({ id, mustHave }) => mustHave && had.has(id));
      expect(met.length + promised.length).toBe(best.promised);
      expect(route.value).toBeCloseTo(best.value, 9);
      expect(route.debtsMissed).toHaveLength(debts.length - met.length);
      expect(route.atMostMore).toBeUndefined();
    }),
    { numRuns: 500 },
  );
});

const promisesMissed = ({ debtsMissed, mustHavesMissed }: Route): number =>
  debtsMissed.length + mustHavesMissed.length;

/** Late, the promised heat takes the hour of one that is owed twice: either is missed. */
const EITHER_IS_MISSED: [
  { positions: { x: number; y: number; id: string }[]; events: DayEvent[] },
  number[][],
  number,
  'late',
] = [
  {
    positions: [{ id: 'p0', x: 0, y: 0 }],
    events: (
      [
        ['h0', 5, 7, true],
        ['h1', 12, 14, false],
        ['w0', 0, 6, true],
      ] as const
    ).map(([id, from, to, mustHave]) => ({
      ...{ id, startMs: from * MINUTE, endMs: to * MINUTE, value: 0, mustHave },
      from: [{ positionId: 'p0', quality: 0.1 }],
    })),
  },
  [[1], [1, 0]],
  0,
  'late',
];

/** A first look can be walked, comes to no more than the best there is, and says by how much that may be better. */
function expectWithinReach(first: Route, best: Route): void {
  const more = promisesMissed(first) - promisesMissed(best);
  expect(more).toBeGreaterThanOrEqual(0);
  expect(more).toBeLessThanOrEqual(first.atMostMore?.promises ?? 0);
  if (more === 0) expect(first.value).toBeLessThanOrEqual(best.value + 1e-9);
  expect(first.value + (first.atMostMore?.value ?? 0)).toBeGreaterThanOrEqual(best.value - 1e-9);
  for (const { slackMs } of first.stops) expect(slackMs).toBeGreaterThanOrEqual(-1e-6);
}

test('a plan made with that of before is worth as much as one made anew', () => {
  fc.assert(
    fc.property(
      dayArb,
      owedArb,
      fc.nat(),
      fc.constantFrom('late', 'pin', 'out'),
      ({ positions, events }, drawn, pick, what) => {
        const debts = debtsOf(events, drawn);
        const before = planDay(events, positions, WALK_MS, LEAD, [], debts);
        const changed = events.map((event, i): DayEvent => {
          if (i !== pick % events.length) return event;
          if (what === 'out') return { ...event, forbidden: true };
          if (what === 'pin') return { ...event, pinnedTo: 'p0' };
          return {
            ...event,
            startMs: event.startMs + 7 * MINUTE,
            endMs: event.endMs + 7 * MINUTE,
          };
        });
        const anew = planDay(changed, positions, WALK_MS, LEAD, [], debts);
        const again = planDay(changed, positions, WALK_MS, LEAD, [], debts, before);
        const first = planDay(changed, positions, WALK_MS, LEAD, [], debts, before, true);
        expectWithinReach(first, anew);
        expect(again.value).toBeCloseTo(anew.value, 9);
        // Owed and promised weigh the same: which of them is missed may be either.
        expect(promisesMissed(again)).toBe(promisesMissed(anew));
      },
    ),
    { numRuns: 300, examples: [EITHER_IS_MISSED] },
  );
});

/** The same day with one event promised, others too, and some left out. */
const granted = (
  events: readonly DayEvent[],
  { owed, out }: { readonly owed: ReadonlySet<string>; readonly out: readonly string[] },
): readonly DayEvent[] =>
  events.map(({ mustHave: _was, ...event }) => ({
    ...event,
    mustHave: owed.has(event.id),
    forbidden: out.includes(event.id),
  }));

test('what a miss is said to lack is all it lacks', () => {
  fc.assert(
    fc.property(dayArb, ({ positions, events }) => {
      const route = plan(events, positions);
      const had = [...new Set(route.stops.map(({ eventId }) => eventId))];
      for (const { eventId, reason } of route.missed) {
        const event = events.find(({ id }) => id === eventId) as DayEvent;
        switch (reason.kind) {
          case 'forbidden': {
            expect(event.forbidden).toBe(true);
            const alone = granted(events, { owed: new Set([eventId]), out: [] });
            expect(plan(alone, positions).mustHavesMissed).toEqual([]);
            break;
          }
          case 'tooShort': {
            const { window } = event;
            if (!window) throw new Error('no window');
            // With a visit as short as the window it is had, were it alone.
            const visitMs = event.endMs - event.startMs;
            const shorter = [{ ...event, mustHave: true, window: { ...window, visitMs } }];
            expect(visitMs).toBeLessThan(window.visitMs);
            expect(plan(shorter, positions).mustHavesMissed).toEqual([]);
            break;
          }
          case 'worthNothing': {
            // Promised, it comes beside all that is had, and nothing is given up.
            const all = granted(events, { owed: new Set([...had, eventId]), out: [] });
            expect(plan(all, positions).mustHavesMissed).toEqual([]);
            break;
          }
          case 'walk':
          case 'overlap': {
            const out = reason.kind === 'walk' ? [reason.otherEvent] : reason.withEvents;
            expect(out.length).toBeGreaterThan(0);
            out.forEach((id) => expect(had).toContain(id));
            const owed = new Set([...had.filter((id) => !out.includes(id)), eventId]);
            // From where it is said, too.
            const { then } = reason;
            const there = granted(events, { owed, out }).map((entry) =>
              entry.id === eventId ? { ...entry, pinnedTo: then.positionId } : entry,
            );
            expect(plan(there, positions).mustHavesMissed).toEqual([]);
            expect(then.untilMs - then.fromMs).toBe(
              event.window?.visitMs ?? event.endMs - event.startMs,
            );
            if (reason.kind === 'walk') expect(reason.needMs).toBeGreaterThan(reason.haveMs);
            break;
          }
          case 'noPosition':
            expect(event.from).toEqual([]);
        }
      }
    }),
    { numRuns: 500 },
  );
});
