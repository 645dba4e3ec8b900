import { LARKMOOR } from '@/demo/larkmoor';
import type { DayEventRecord } from '@/records/day';
import { withClock, withFrames } from '@/records/edit-log';
import type { LogEntry } from '@/records/log';
import type { Shoot } from '@/records/shoot';
import { clocksFound, evidenceDrawn, inFileOrder, isFromFile } from './camera-clock';

const DATE = '2027-04-16';
const NOON_MS = Date.parse(`${DATE}T12:00:00Z`);
const frame = (name: string, cameraMs: number, camera = 'A') => ({ name, cameraMs, camera });
const numbered = (i: number, stem = 'A') => `${stem}_${String(i).padStart(4, '0')}.jpg`;
const local = (ms: number, digits: number) => new Date(ms).toISOString().slice(0, digits);

test('after the last number of a camera the first follows; another series says nothing', () => {
  expect(isFromFile('A_0101.jpg', 'A_0100.jpg')).toBe(true);
  expect(isFromFile('A_0100.jpg', 'A_0100.jpg')).toBe(true);
  expect(isFromFile('A_0099.jpg', 'A_0100.jpg')).toBe(false);
  expect(isFromFile('A_0003.jpg', 'A_9990.jpg')).toBe(true);
  expect(isFromFile('A_9990.jpg', 'A_0003.jpg')).toBe(false);
  expect(isFromFile('B_0101.jpg', 'A_0100.jpg')).toBe(false);
  expect(isFromFile('A_00101.jpg', 'A_0100.jpg')).toBe(false);
  expect(isFromFile('holiday.jpg', 'A_0100.jpg')).toBe(false);
});

test('pictures stand in the order of their numbers, over the turn; without one series by their times', () => {
  const names = (list: readonly [string, number][]) =>
    inFileOrder(list.map(([name, ms]) => frame(name, ms))).map(({ name }) => name);
  // The clock was set back between the two: numbers know it.
  expect(
    names([
      ['A_0002.jpg', 5],
      ['A_0001.jpg', 9],
    ]),
  ).toEqual(['A_0001.jpg', 'A_0002.jpg']);
  expect(
    names([
      ['A_0001.jpg', 1],
      ['A_9999.jpg', 2],
    ]),
  ).toEqual(['A_9999.jpg', 'A_0001.jpg']);
  expect(
    names([
      ['A_0002.jpg', 5],
      ['B_0001.jpg', 9],
    ]),
  ).toEqual(['A_0002.jpg', 'B_0001.jpg']);
  expect(
    names([
      ['finish.jpg', 9],
      ['bend.jpg', 5],
    ]),
  ).toEqual(['bend.jpg', 'finish.jpg']);
});

const EVENTS_S = [0, 720, 2100, 2640, 4380, 6900, 7320, 9780, 12_000, 15_480];
const event = (id: string, startMs: number, more: Partial<DayEventRecord> = {}) =>
  ({
    ...{ id, name: id, startLocal: local(startMs, 16), durationMin: 2 },
    ...{ entries: [], worth: 'should', ...more },
  }) as DayEventRecord;
const shootOf = (events: readonly DayEventRecord[], entries: readonly LogEntry[] = []): Shoot => ({
  ...LARKMOOR,
  events: [...events],
  log: { entries: [...entries], clocks: [], frames: [], lessons: [] },
});

test('events that are off, left out, or go on for hours line nothing up', () => {
  const real = EVENTS_S.map((at) => event(`e${at}`, NOON_MS + at * 1000));
  const frames = EVENTS_S.flatMap((at, i) =>
    [10, 40, 80].map((after, k) =>
      frame(numbered(3 * i + k), NOON_MS + (at + after - 3600) * 1000),
    ),
  );
  const offsetWith = (more: readonly DayEventRecord[]) =>
    clocksFound(withFrames(shootOf([...real, ...more]), frames))[0]?.pieces[0]?.offsetS ?? NaN;
  const plain = offsetWith([]);
  expect(Math.abs(plain - 3600)).toBeLessThan(200);
  // Others all day long would leave nothing to tell by.
  const decoys = (more: Partial<DayEventRecord>) =>
    Array.from({ length: 260 }, (_, i) => event(`d${i}`, NOON_MS + (i - 20) * 120_000, more));
  expect(offsetWith(decoys({ cancelled: true }))).toBe(plain);
  expect(offsetWith(decoys({ leftOut: true }))).toBe(plain);
  expect(offsetWith(decoys({}))).not.toBe(plain);
  const goesOn = { durationMin: 500, window: { visitMin: 10, visits: 1 } };
  expect(offsetWith([event('jump', NOON_MS - 3_600_000, goesOn)])).toBe(plain);
});

/** Presses at uneven times, by two cameras in turn, each judged after some seconds. */
function twoCameras() {
  let ms = NOON_MS;
  const presses = Array.from(
    { length: 60 },
    (_, i) => (ms += (40 + ((i * i * 7919) % 613)) * 1000),
  );
  const tap = (at: number, i: number): LogEntry => ({
    ...{ id: `t${i}`, kind: 'keeper', atLocal: local(at + (3 + (i % 3)) * 1000, 19) },
    ...{ markId: 'keeper', positionId: 'back-line' },
  });
  const frames = presses.map((at, i) =>
    i % 3 === 0 ? frame(numbered(i, 'B'), at + 45_000, 'B') : frame(numbered(i), at - 200_000),
  );
  return { presses, shoot: withFrames(shootOf([], presses.map(tap)), frames) };
}

test('of two cameras each has its own taps, and what was set by a person is held against the rest', () => {
  const { shoot, presses } = twoCameras();
  const found = clocksFound(shoot);
  // The one that more taps speak for comes first.
  expect(found.map(({ camera }) => camera)).toEqual(['A', 'B']);
  const [a, b] = found;
  expect(Math.abs((a?.pieces[0]?.offsetS ?? NaN) - 200)).toBeLessThanOrEqual(2);
  expect(Math.abs((b?.pieces[0]?.offsetS ?? NaN) + 45)).toBeLessThanOrEqual(2);
  // The first is asked of all taps, the second of those that are left.
  expect(a?.fits[0]?.fit.of).toBe(presses.length);
  expect(b?.fits[0]?.fit.of).toBe(presses.length / 3);
  const set = withClock(shoot, 'B', [{ offsetS: 300 }]);
  const again = clocksFound(set).find(({ camera }) => camera === 'B');
  expect(Math.abs((again?.pieces[0]?.offsetS ?? NaN) + 45)).toBeLessThanOrEqual(2);
});

test('what is drawn: the minutes with most ties, pictures as they stand and put right', () => {
  const { shoot } = twoCameras();
  const [a] = clocksFound(shoot);
  const drawn = a && evidenceDrawn(shoot, a);
  if (!drawn) throw new Error('the first camera has ties');
  expect(drawn.toMs - drawn.fromMs).toBe(1_200_000);
  expect(drawn.rightMs.map((ms, i) => ms - (drawn.standMs[i] ?? NaN))).toEqual(
    drawn.standMs.map(() => (a.pieces[0]?.offsetS ?? NaN) * 1000),
  );
  const near = (rows: readonly number[], tap: number) =>
    rows.some((ms) => tap - ms > 0 && tap - ms <= 12_000);
  const inside = drawn.tapsMs.filter((ms) => ms >= drawn.fromMs && ms <= drawn.toMs);
  expect(inside.length).toBeGreaterThan(2);
  expect(inside.filter((tap) => near(drawn.rightMs, tap)).length).toBeGreaterThan(
    inside.filter((tap) => near(drawn.standMs, tap)).length,
  );
  const plain = shootOf([]);
  expect(clocksFound(plain)).toEqual([]);
  expect(a && evidenceDrawn(plain, { ...a, fits: [] })).toBeUndefined();
});
