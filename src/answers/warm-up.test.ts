import type { Try } from '@/records/practice';
import { cardsOf, outcomeOf, WARM_UPS, warmUpOf } from './warm-up';

const DAY_MS = 86_400_000;
const NOW_MS = Date.parse('2027-04-10T18:00:00.000Z');
const iso = (ms: number) => new Date(ms).toISOString();
const NOW = { nowIso: iso(NOW_MS), todayFromIso: '2027-04-10T00:00:00.000Z' };

const pan = (atMs: number, sharp: boolean): Try => ({
  ...{ kind: 'pan', id: `p${atMs}`, at: iso(atMs), by: 'pointer', subject: 'Road cyclist' },
  ...{ distanceM: 18, speedMs: 12, focalMm: 200, shutterS: 1 / 64, rateError: 0 },
  ...{ lost: false, sharp },
});
const moment = (atMs: number, lateS: number): Try => ({
  ...{ kind: 'moment', id: `m${atMs}`, at: iso(atMs), moment: 'jump', lateS },
});
const bench = (atMs: number, offStops: number): Try => ({
  ...{ kind: 'bench', id: `b${atMs}`, at: iso(atMs), task: 'name', subject: 'Batter' },
  ...{ shutterS: 1 / 250, offStops },
});
const stops = (atMs: number, right: boolean): Try => ({
  ...{ kind: 'stops', id: `s${atMs}`, at: iso(atMs), what: 'falls', offStops: 0, right, tookS: 9 },
});
const stand = (atMs: number, score: number): Try => ({
  ...{ kind: 'stand', id: `t${atMs}`, at: iso(atMs), mark: 'Goal', score, best: 0.9 },
});
const eye = (atMs: number, offSteps: number): Try => ({
  ...{ kind: 'eye', id: `e${atMs}`, at: iso(atMs), task: 'side', offSteps },
});

test('each try is of one drill, and came out or not', () => {
  const outcomes = [
    pan(0, true),
    moment(0, 0.11),
    moment(0, -0.09),
    bench(0, -1),
    bench(0, 2),
    stops(0, false),
    eye(0, 0),
    eye(0, 1),
    stand(0, 0.81),
    stand(0, 0.7),
  ].map(outcomeOf);
  expect(outcomes).toEqual([
    { drill: 'pan', good: true },
    { drill: 'moment', good: false },
    { drill: 'moment', good: true },
    { drill: 'blur', good: true },
    { drill: 'blur', good: false },
    { drill: 'stops', good: false },
    { drill: 'eye', good: true },
    { drill: 'eye', good: false },
    { drill: 'stand', good: true },
    { drill: 'stand', good: false },
  ]);
});

describe('when a drill is due', () => {
  // The package's own vector (its tests and those of its siblings; from memory): six goods, two misses, five goods,
  // each when it is due.
  test('the scheduler’s own vector: days to the next time', () => {
    const outcomes = [...'++++++--+++++'].map((sign) => sign === '+');
    let atMs = NOW_MS;
    const tries: Try[] = [];
    const days = outcomes.map((good) => {
      tries.push(pan(atMs, good));
      const card = cardsOf({ tries }).get('pan');
      atMs = card?.due.getTime() ?? NaN;
      return card?.scheduled_days;
    });
    expect(days).toEqual([0, 2, 11, 46, 163, 498, 0, 0, 2, 4, 7, 12, 21]);
  });
  test('a miss brings it back within the hour', () => {
    const tries = [pan(NOW_MS, true), pan(NOW_MS + 600_000, true), pan(NOW_MS + 3 * DAY_MS, false)];
    const due = cardsOf({ tries }).get('pan')?.due.getTime() ?? NaN;
    expect(due - (NOW_MS + 3 * DAY_MS)).toBeLessThan(3_600_000);
  });
  test('drills are apart, and a clock set back breaks nothing', () => {
    const cards = cardsOf({
      tries: [pan(NOW_MS, true), stops(NOW_MS - DAY_MS, true), pan(0, true)],
    });
    expect([...cards.keys()]).toEqual(['pan', 'stops']);
    expect(cards.get('pan')?.reps).toBe(2);
  });
});

describe('a warm-up', () => {
  const lasts = (parts: ReturnType<typeof warmUpOf>): number =>
    parts.reduce((sum, { drill, tries }) => sum + tries * WARM_UPS[drill].eachS, 0);

  test('takes three minutes at most, whatever there is', () => {
    expect(lasts(warmUpOf({ tries: [] }, [], NOW))).toBeLessThanOrEqual(180);
    expect(lasts(warmUpOf({ tries: [] }, [], NOW))).toBeGreaterThan(140);
  });
  test('begins with what the next shoot promises', () => {
    const parts = warmUpOf({ tries: [] }, [{ technique: 'streak' }], NOW);
    expect(parts[0]).toEqual({ drill: 'blur', tries: 3, done: 0, why: 'promised' });
    expect(parts.slice(1).every(({ why }) => why === 'new')).toBe(true);
    expect(warmUpOf({ tries: [] }, [{ technique: 'pan' }], NOW)[0]?.drill).toBe('pan');
  });
  test('then what is due, the weakest first; what was learned yesterday waits', () => {
    const daysAgo = (days: number, more = 0) => NOW_MS - days * DAY_MS + more;
    const tries = [
      ...[0, 700_000, 3 * DAY_MS].map((ms) => eye(daysAgo(30, ms), 0)),
      ...[0, 700_000, 3 * DAY_MS].map((ms) => bench(daysAgo(30, ms), 3)),
      // Good at the ten minutes, and at a day: not due for days.
      ...[0, 700_000].map((ms) => pan(daysAgo(1, ms), true)),
      ...[0, 700_000].map((ms) => stops(daysAgo(1, ms), true)),
      ...[0, 700_000].map((ms) => moment(daysAgo(1, ms), 0)),
    ].sort((a, b) => (a.at < b.at ? -1 : 1));
    const parts = warmUpOf({ tries }, [], NOW);
    expect(parts.map(({ drill, why }) => [drill, why])).toEqual([
      ['blur', 'due'],
      ['eye', 'due'],
      ['stand', 'new'],
    ]);
  });
  test('counts what was done today, and does not change for it', () => {
    const before = warmUpOf({ tries: [] }, [], NOW);
    const after = warmUpOf(
      { tries: [pan(NOW_MS - 60_000, true), pan(NOW_MS - 50_000, false), stops(NOW_MS, true)] },
      [],
      NOW,
    );
    expect(after.map(({ drill, tries }) => [drill, tries])).toEqual(
      before.map(({ drill, tries }) => [drill, tries]),
    );
    expect(after.find(({ drill }) => drill === 'pan')?.done).toBe(2);
    expect(after.find(({ drill }) => drill === 'stops')?.done).toBe(1);
  });
  test('what is weak lately comes though it is not due', () => {
    const tries = [true, true, false, false, false, false].map((good, i) =>
      stops(NOW_MS - 2 * DAY_MS + i * 700_000, good),
    );
    const again = [...tries, ...[1, 2, 3].map((i) => stops(NOW_MS - DAY_MS + i * 700_000, true))];
    const part = warmUpOf({ tries: again }, [], NOW).find(({ drill }) => drill === 'stops');
    expect(part?.why === 'weak' || part?.why === 'due').toBe(true);
  });
});
