import { DEMO_SHOOTS } from '@/demo';
import {
  framesOf,
  isLogFull,
  openWatch,
  watchBegun,
  watchedUntil,
  watchEnded,
  withClock,
  frameKey,
  withFrames,
  withWho,
  withLogged,
  withoutFrames,
  withoutLogged,
  withoutRehearsal,
} from './edit-log';
import { MOST_LOGGED, type LogEntry } from './log';
import { duplicateShoot } from './new-shoot';
import type { Shoot } from './shoot';

const [shoot] = DEMO_SHOOTS as [Shoot, ...Shoot[]];
const entry = (id: string, rest: Partial<LogEntry> = {}): LogEntry =>
  ({
    id,
    kind: 'keeper',
    atLocal: '2027-04-16T19:00:00',
    markId: 'keeper',
    positionId: 'sideline',
    ...rest,
  }) as LogEntry;

test('an entry is added, taken away, and never pushes another out', () => {
  const one = withLogged(shoot, entry('a'));
  expect(withoutLogged(one, 'a')).toEqual(shoot);
  const full = {
    ...shoot,
    log: {
      ...shoot.log,
      entries: Array.from({ length: MOST_LOGGED }, (_, i) => entry(`e${i}`)),
    },
  };
  expect(isLogFull(full)).toBe(true);
  expect(() => withLogged(full, entry('more'))).toThrow('5000 entries are kept at most');
});

test('what was rehearsed goes, readings among it; what was done stays', () => {
  const where = { name: 'Keeper', x: 0, y: 0, upM: 1, faceDeg: 0, atLocal: '2027-04-16T19:00' };
  const frame = { shutterS: 0.001, aperture: 2.8, iso: 400, looksDarkStops: 1 };
  const lived: Shoot = {
    ...shoot,
    log: { ...shoot.log, entries: [entry('a'), entry('b', { rehearsed: true })] },
    readings: [
      { ...where, id: 'r1', by: 'frame', frame, simulated: false },
      { ...where, id: 'r2', by: 'frame', frame, simulated: true },
    ],
  };
  const left = withoutRehearsal(lived);
  expect(left.log.entries.map(({ id }) => id)).toEqual(['a']);
  expect(left.readings.map(({ id }) => id)).toEqual(['r1']);
});

test('a watch goes on to what is seen in it, and ends when told', () => {
  const begun = watchBegun(shoot, 'w', 'keeper', '2027-04-16T19:00');
  expect(openWatch(begun)?.toLocal).toBe('2027-04-16T19:01');
  const seen = watchedUntil(begun, '2027-04-16T19:20');
  expect(openWatch(seen)?.toLocal).toBe('2027-04-16T19:20');
  const ended = watchEnded(seen, '2027-04-16T19:45');
  expect(openWatch(ended)).toBeUndefined();
  expect(ended.watches.at(-1)).toMatchObject({ toLocal: '2027-04-16T19:45' });
  // A clock that is behind takes nothing away.
  expect(watchEnded(seen, '2027-04-16T18:00').watches.at(-1)?.toLocal).toBe('2027-04-16T19:20');
});

test('a clock is kept once for each camera; frames come and go', () => {
  const set = withClock(withClock(shoot, 'A', [{ offsetS: 10 }]), 'A', [{ offsetS: 20.4 }]);
  expect(set.log.clocks).toEqual([{ name: 'A', offsetS: 20 }]);
  const frame = { name: 'a.jpg', cameraMs: 1_800_000_000_000, camera: 'A' };
  const read = withFrames(shoot, [frame, frame]);
  expect(framesOf(read)).toEqual([frame]);
  expect(withoutFrames(read).log.frames).toEqual([]);
});

test('a duplicate is a new day: its log is empty', () => {
  const copy = duplicateShoot(withLogged(shoot, entry('a')), 'copy', shoot.createdAt);
  expect(copy.log.entries).toEqual([]);
});

test('who is on one picture of many changes its own chunk, and no other', () => {
  const frames = Array.from({ length: 1500 }, (_, i) => ({
    ...{ name: `P${i}.jpg`, camera: 'A', cameraMs: 1_800_000_000_000 + i * 1000 },
  }));
  const read = withFrames(withoutFrames(shoot), frames);
  const last = frames[1499] as (typeof frames)[number];
  const named = withWho(read, new Set([frameKey(last)]), [{ name: 'Ada' }]);
  expect(read.log.frames).toHaveLength(2);
  expect(named.log.frames[0]).toBe(read.log.frames[0]);
  expect(framesOf(named).filter(({ who }) => who)).toEqual([{ ...last, who: [{ name: 'Ada' }] }]);
  expect(framesOf(named)).toHaveLength(1500);
  expect(withWho(read, new Set(['none']), [])).toEqual(read);
});
