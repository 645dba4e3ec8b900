/** The day's route against trying everything, on small days. */
import fc from 'fast-check';
import { planDay, type DayEvent, type DayPosition, type Quota } from '@/core';

const MINUTE = 60_000;
const LEAD = { secondCallMs: 5 * MINUTE };
const WALK_MS = 1.4;

/** The best value of any order-true choice of events and positions, by recursion. */
function bestByTrying(
  events: readonly DayEvent[],
  positions: readonly DayPosition[],
  quotas: readonly Quota[],
  stayingIsReady: boolean,
): { promised: number; value: number } {
  const order = [...events].sort((a, b) => a.startMs - b.startMs);
  const place = (id: string) => positions.find((p) => p.id === id) as DayPosition;
  const walkMs = (a: string, b: string) =>
    (Math.hypot(place(a).x - place(b).x, place(a).y - place(b).y) / WALK_MS) * 1000;
  const better = (
    a: { promised: number; value: number },
    b: { promised: number; value: number },
  ) => (b.promised > a.promised || (b.promised === a.promised && b.value > a.value) ? b : a);
  const from = (
    index: number,
    last: { endMs: number; positionId: string } | undefined,
    counts: Readonly<Record<string, number>>,
  ): { promised: number; value: number } => {
    const event = order[index];
    if (!event) return { promised: 0, value: 0 };
    let best = from(index + 1, last, counts);
    if (event.forbidden) return best;
    const readyBy = event.startMs - LEAD.secondCallMs;
    for (const { positionId, quality } of event.from) {
      if (event.pinnedTo && event.pinnedTo !== positionId) continue;
      const stays = stayingIsReady && last?.positionId === positionId;
      const free = stays ? event.startMs : readyBy;
      if (last && last.endMs + walkMs(last.positionId, positionId) > free) continue;
      const quota = quotas.find(({ group }) => group === event.group);
      const had = counts[event.group ?? ''] ?? 0;
      const share = quota && had >= quota.need ? quota.beyondShare : 1;
      const rest = from(
        index + 1,
        { endMs: event.endMs, positionId },
        { ...counts, [event.group ?? '']: had + 1 },
      );
      best = better(best, {
        promised: rest.promised + (event.mustHave ? 1 : 0),
        value: rest.value + event.value * quality * share,
      });
    }
    return best;
  };
  return from(0, undefined, {});
}

const positionsArb = fc.array(
  fc.record({ x: fc.integer({ min: 0, max: 900 }), y: fc.integer({ min: 0, max: 300 }) }),
  { minLength: 1, maxLength: 4 },
);
const eventArb = fc.record({
  start: fc.integer({ min: 10, max: 180 }),
  length: fc.integer({ min: 2, max: 25 }),
  value: fc.integer({ min: 0, max: 9 }),
  qualities: fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 4, maxLength: 4 }),
  mustHave: fc.boolean(),
  group: fc.constantFrom('heats', 'finals', undefined),
  forbidden: fc.integer({ min: 0, max: 9 }).map((n) => n === 0),
});

test('is worth as much as the best found by trying everything', () => {
  fc.assert(
    fc.property(
      positionsArb,
      fc.array(eventArb, { minLength: 1, maxLength: 6 }),
      fc.integer({ min: 0, max: 3 }),
      fc.boolean(),
      (places, drawn, need, stayingIsReady) => {
        const positions = places.map((place, i) => ({ id: `p${i}`, ...place }));
        const events = drawn.map(({ start, length, qualities, group, ...rest }, i): DayEvent => ({
          id: `e${i}`,
          startMs: start * MINUTE,
          endMs: (start + length) * MINUTE,
          from: positions.map(({ id }, p) => ({ positionId: id, quality: qualities[p] ?? 0 })),
          ...(group && { group }),
          ...rest,
        }));
        const quotas = [{ group: 'heats', need, beyondShare: 0.25 }];
        const route = planDay(events, positions, WALK_MS, { ...LEAD, stayingIsReady }, quotas);
        const best = bestByTrying(events, positions, quotas, stayingIsReady);
        expect(route.value).toBeCloseTo(best.value, 9);
        const promised = events.filter(
          ({ id, mustHave }) => mustHave && route.stops.some(({ eventId }) => eventId === id),
        ).length;
        expect(promised).toBe(best.promised);
        expect(route.stops.length + route.missed.length).toBe(events.length);
        for (const { slackMs } of route.stops) expect(slackMs).toBeGreaterThanOrEqual(0);
      },
    ),
    { numRuns: 300 },
  );
});

const POSITIONS = [
  { id: 'bank', x: 0, y: 0 },
  { id: 'bridge', x: 840, y: 0 },
];
const event = (
  id: string,
  start: number,
  length: number,
  more: Partial<DayEvent> = {},
): DayEvent => ({
  id,
  startMs: start * MINUTE,
  endMs: (start + length) * MINUTE,
  value: 1,
  from: [{ positionId: 'bank', quality: 1 }],
  ...more,
});

test('what is missed has its reason', () => {
  const events = [
    event('a', 10, 10, { value: 5 }),
    event('overlaps', 15, 10),
    // 840 m at 1.4 m/s are ten minutes; there are four.
    event('too-far', 29, 5, { from: [{ positionId: 'bridge', quality: 0.1 }] }),
    event('ruled-out', 60, 5, { forbidden: true }),
    event('nowhere', 70, 5, { from: [] }),
    event('worthless', 90, 5, { value: 0 }),
  ];
  const { stops, missed } = planDay(events, POSITIONS, WALK_MS, LEAD);
  expect(stops.map(({ eventId }) => eventId)).toEqual(['a']);
  expect(Object.fromEntries(missed.map(({ eventId, reason }) => [eventId, reason]))).toEqual({
    overlaps: {
      ...{ kind: 'overlap', withEvents: ['a'] },
      then: { positionId: 'bank', fromMs: 15 * MINUTE, untilMs: 25 * MINUTE },
    },
    'too-far': {
      kind: 'walk',
      otherEvent: 'a',
      needMs: expect.closeTo(10 * MINUTE, 3),
      haveMs: 4 * MINUTE,
      then: { positionId: 'bridge', fromMs: 29 * MINUTE, untilMs: 34 * MINUTE },
    },
    'ruled-out': { kind: 'forbidden' },
    nowhere: { kind: 'noPosition' },
    worthless: { kind: 'worthNothing' },
  });
});

test('a promise outweighs any sum of others, and a pin holds', () => {
  const events = [
    event('final', 30, 10, { mustHave: true, value: 0.1 }),
    event('x', 24, 10, { value: 100 }),
    event('y', 36, 10, { value: 100 }),
  ];
  const route = planDay(events, POSITIONS, WALK_MS, LEAD);
  expect(route.stops.map(({ eventId }) => eventId)).toEqual(['final']);
  const both = [
    { positionId: 'bank', quality: 1 },
    { positionId: 'bridge', quality: 0.2 },
  ];
  const pinned = planDay(
    [event('b', 20, 5, { from: both, pinnedTo: 'bridge' })],
    POSITIONS,
    1.4,
    LEAD,
  );
  expect(pinned.stops[0]?.positionId).toBe('bridge');
});

test('one who stays is ready until the start; one who comes, by the second call', () => {
  const both = ['bank', 'bridge'].map((positionId) => ({ positionId, quality: 1 }));
  const heats = [event('first', 10, 5), event('next', 17, 5, { from: both })];
  const staying = planDay(heats, POSITIONS, WALK_MS, { ...LEAD, stayingIsReady: true });
  expect(staying.stops.map(({ eventId, positionId }) => `${eventId} ${positionId}`)).toEqual([
    'first bank',
    'next bank',
  ]);
  expect(staying.stops[1]?.slackMs).toBe(2 * MINUTE);
  expect(planDay(heats, POSITIONS, WALK_MS, LEAD).stops).toHaveLength(1);
  // Made to move, it has to be walked, and there is no time.
  const moved = [
    event('first', 10, 5, { value: 2 }),
    event('next', 17, 5, { from: both, pinnedTo: 'bridge' }),
  ];
  const route = planDay(moved, POSITIONS, WALK_MS, { ...LEAD, stayingIsReady: true });
  expect(route.missed[0]?.reason).toMatchObject({
    kind: 'walk',
    otherEvent: 'first',
    haveMs: -3 * MINUTE,
  });
});

test('two promises at once: one is missed, and said', () => {
  const events = [event('a', 20, 10, { mustHave: true }), event('b', 20, 10, { mustHave: true })];
  expect(planDay(events, POSITIONS, WALK_MS, LEAD).mustHavesMissed).toHaveLength(1);
});

test.each([
  [
    'an unknown position',
    [event('a', 10, 5, { from: [{ positionId: 'moon', quality: 1 }] })],
    /moon/,
  ],
  ['an end before its start', [event('a', 10, -5)], /endMs/],
  ['the same event twice', [event('a', 10, 5), event('a', 30, 5)], /twice/],
  [
    'a quality over 1',
    [event('a', 10, 5, { from: [{ positionId: 'bank', quality: 2 }] })],
    /quality/,
  ],
])('%s is refused by name', (_what, events, message) => {
  expect(() => planDay(events, POSITIONS, WALK_MS, LEAD)).toThrow(message);
});
