/** Windows that visits are dropped into, worked by hand. */
import { planDay, type DayEvent, type DayPosition, type Route } from '@/core';

const MINUTE = 60_000;
const LEAD = { secondCallMs: 4 * MINUTE, stayingIsReady: true };
const WALK_MS = 1.4;
const plan = (events: readonly DayEvent[], positions: readonly DayPosition[]): Route =>
  planDay(events, positions, WALK_MS, LEAD);

const AT = [
  { id: 'pit', x: 0, y: 0 },
  { id: 'finish', x: 126, y: 0 },
];
const heat = (id: string, start: number): DayEvent => ({
  ...{ id, startMs: start * MINUTE, endMs: (start + 3) * MINUTE, value: 2 },
  from: [{ positionId: 'finish', quality: 1 }],
});
const longJump = (more: Partial<DayEvent> = {}): DayEvent => ({
  ...{ id: 'jump', startMs: 0, endMs: 90 * MINUTE, value: 2 },
  from: [{ positionId: 'pit', quality: 1 }],
  window: { visitMs: 10 * MINUTE, most: 2, againShare: 0.5 },
  ...more,
});

test('a long jump of an hour and a half is dropped into between heats', () => {
  // 126 m at 1.4 m/s are a minute and a half; calls four minutes before.
  const route = plan([heat('a', 20), heat('b', 42), longJump()], AT);
  expect(route.missed).toEqual([]);
  expect(route.stops.map(({ eventId }) => eventId).filter((id) => id === 'jump')).toHaveLength(2);
  // Between the heats there are 19 minutes: 1.5 over, ten there, 1.5 back, by the call at 38.
  const tight = plan(
    [heat('a', 20), heat('b', 42), longJump({ startMs: 21 * MINUTE, endMs: 40 * MINUTE })],
    AT,
  );
  const [visit] = tight.stops.filter(({ eventId }) => eventId === 'jump');
  expect(visit?.fromMs).toBeGreaterThanOrEqual(24.5 * MINUTE);
  expect(visit?.untilMs).toBeLessThanOrEqual(36.5 * MINUTE);
});

test('a miss names what is cheapest to give up, and all of it', () => {
  const at = (positionId: string) => [{ positionId, quality: 1 }];
  // Dear from 0 to 18, cheap from 20 to 40, both by the pit: a visit of a quarter of an hour costs the cheap one.
  const dear = { ...heat('dear', 0), endMs: 18 * MINUTE, value: 5 };
  const cheap = { ...heat('cheap', 20), endMs: 40 * MINUTE, value: 1 };
  const small = { visitMs: 15 * MINUTE, most: 1, againShare: 0 };
  const [first] = plan(
    [dear, cheap, longJump({ endMs: 40 * MINUTE, value: 0.5, window: small })],
    AT,
  ).missed;
  // A visit from 25 to 40 leaves the dear one alone.
  expect(first?.reason).toEqual({
    ...{ kind: 'overlap', withEvents: ['cheap'] },
    then: { positionId: 'pit', fromMs: 25 * MINUTE, untilMs: 40 * MINUTE },
  });
  // The far end is a quarter of an hour off, half-way seven and a half minutes: from neither is one there by the call at 21.
  const along = [0, 630, 1260].map((x, i) => ({
    id: ['near', 'middle', 'far'][i] as string,
    x,
    y: 0,
  }));
  const late = { ...heat('late', 25), value: 0.1, from: at('near') };
  const events = [
    { ...heat('far', 7), from: at('far') },
    { ...heat('middle', 22), endMs: 24 * MINUTE, from: at('middle') },
  ];
  const [second] = plan([...events, late], along).missed;
  expect(second?.eventId).toBe('late');
  expect(second?.reason).toMatchObject({ kind: 'overlap' });
  const named = second?.reason.kind === 'overlap' ? second.reason.withEvents : [];
  expect([...named].sort()).toEqual(['far', 'middle']);
});

test('visits have bounds, and their errors names', () => {
  const window = { visitMs: 10 * MINUTE, most: 2, againShare: 0.5 };
  expect(() => plan([longJump({ window: { ...window, most: 4 } })], AT)).toThrow(/most 4/);
  expect(() => plan([longJump({ window: { ...window, visitMs: 0 } })], AT)).toThrow(/visitMs/);
  expect(() => plan([longJump({ window: { ...window, againShare: 2 } })], AT)).toThrow(
    /againShare/,
  );
  expect(() => plan([longJump({ group: 'jumps' })], AT)).toThrow(/group jumps/);
});
