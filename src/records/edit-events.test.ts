import fc from 'fast-check';
import { TERN_WATER } from '@/demo/tern-water';
import { FIRST_EVENT, type DayEventRecord } from './day';
import { withoutEntry } from './edit-brief';
import { onDay } from './edit-day';
import {
  inOrder,
  minutesBetween,
  minutesOn,
  nextFrom,
  reordered,
  restShifted,
  startOf,
  startsAt,
  strandOf,
  withEvents,
  withMany,
  withoutEvent,
} from './edit-events';
import { removeItem } from './edit-site';
import { shootSchema } from './shoot';

const events = TERN_WATER.events;
const starts = (list: readonly DayEventRecord[]) => list.map(startOf);
const whole = (shoot: unknown) => expect(shootSchema.safeParse(shoot).success).toBe(true);

test('minutes are counted by the wall clock, over midnight and back', () => {
  expect(minutesOn('2027-06-19T23:50', 25)).toBe('2027-06-20T00:15');
  expect(minutesOn('2027-03-01T00:05', -10)).toBe('2027-02-28T23:55');
  expect(minutesBetween('2027-06-19T23:50', '2027-06-20T00:15')).toBe(25);
});

test('a meet that runs late: the event starts now, and all after it keep their distance', () => {
  const third = events[2] as DayEventRecord;
  const late = startsAt(TERN_WATER, third.id, minutesOn(startOf(third), 12));
  whole(late);
  const before = starts(events);
  const after = starts(late.events);
  expect(after.slice(0, 2)).toEqual(before.slice(0, 2));
  expect(after.slice(2)).toEqual(before.slice(2).map((start) => minutesOn(start, 12)));
  // The programme is not forgotten.
  expect(late.events[5]).toMatchObject({ startLocal: events[5]?.startLocal, lateMin: 12 });
  // Made up again, nothing is late.
  const from = startOf(late.events[2] as DayEventRecord);
  expect(restShifted(late, from, -12).events).toEqual(events);
});

test('the track runs late and the field does not, and a heat takes no slot of what goes on', () => {
  const jump: DayEventRecord = {
    ...(events[0] as DayEventRecord),
    ...{
      id: 'jump',
      name: 'Long jump',
      startLocal: minutesOn(startOf(events[4] as DayEventRecord), 1),
    },
    ...{ durationMin: 90, window: { visitMin: 10, visits: 3 } },
  };
  const day = { ...TERN_WATER, events: inOrder([...events, jump]) };
  whole(day);
  const from = startOf(events[2] as DayEventRecord);
  const lateOf = (shoot: typeof day, id: string) =>
    shoot.events.find((event) => event.id === id)?.lateMin ?? 0;
  const heatId = events[6]?.id ?? '';
  const track = restShifted(day, from, 25);
  expect([lateOf(track, heatId), lateOf(track, 'jump')]).toEqual([25, 0]);
  const field = restShifted(day, from, 10, 'goesOn');
  expect([lateOf(field, heatId), lateOf(field, 'jump')]).toEqual([0, 10]);
  // A heat that is delayed takes the heats after it along, no more.
  const third = events[2] as DayEventRecord;
  expect(lateOf(startsAt(day, third.id, minutesOn(startOf(third), 5)), 'jump')).toBe(0);
  // Over the long jump to the front: the jump stays, and the heats change slots among themselves.
  const list = day.events;
  const at = list.findIndex(({ id }) => id === events[6]?.id);
  const moved = reordered(list, at, 2);
  expect(moved.find(({ id }) => id === 'jump')).toEqual(jump);
  expect(moved.filter(({ id }) => id !== 'jump')).toEqual(reordered(events, 6, 2));
  expect(starts(moved)).toEqual(starts(list));
  const jumpAt = list.findIndex(({ id }) => id === 'jump');
  expect(reordered(list, jumpAt, 1)).toEqual(list);
});

test('nothing runs later than twelve hours', () => {
  const late = restShifted(TERN_WATER, startOf(events[0] as DayEventRecord), 5000);
  whole(late);
  expect(Math.max(...late.events.map(({ lateMin = 0 }) => lateMin))).toBe(720);
});

test('the next event is the first at the minute or after it', () => {
  expect(nextFrom(events, startOf(events[3] as DayEventRecord))?.id).toBe(events[3]?.id);
  expect(nextFrom(events, '2027-06-19T23:00')).toBeUndefined();
});

test('taken to another place, an event takes the slot there and the others move up', () => {
  const moved = reordered(events, 6, 2);
  expect(starts(moved)).toEqual(starts(events));
  expect(moved[2]?.id).toBe(events[6]?.id);
  expect(moved.slice(3, 7).map(({ id }) => id)).toEqual(events.slice(2, 6).map(({ id }) => id));
  expect(reordered(moved, 2, 6).map(({ id }) => id)).toEqual(events.map(({ id }) => id));
});

test('wherever an event is taken, no slot and no event is lost', () => {
  fc.assert(
    fc.property(
      fc.nat(events.length - 1),
      fc.nat(events.length - 1),
      fc.integer({ min: 0, max: 60 }),
      (from, to, lateMin) => {
        const shifted = restShifted(
          TERN_WATER,
          startOf(events[9] as DayEventRecord),
          lateMin,
        ).events;
        const moved = reordered(shifted, from, to);
        expect(starts(moved)).toEqual(starts(shifted));
        expect(moved.map(({ id }) => id).sort()).toEqual(shifted.map(({ id }) => id).sort());
        expect(reordered(moved, to, from)).toEqual(shifted);
      },
    ),
  );
});

test('events put in stand in the order of their starts; one of a known id is replaced', () => {
  const early = { ...FIRST_EVENT, id: 'early', name: 'Weigh-in', startLocal: '2027-06-19T08:00' };
  const put = withEvents(TERN_WATER, [{ ...early, entries: [] }]);
  whole(put);
  expect(put.events[0]?.id).toBe('early');
  const renamed = withEvents(put, [
    { ...early, entries: [], name: 'Weighing', startLocal: '2027-06-19T15:00' },
  ]);
  expect(renamed.events.at(-1)).toMatchObject({ id: 'early', name: 'Weighing' });
  expect(withoutEvent(renamed, 'early').events).toEqual(events);
  expect(
    inOrder([...events].reverse())
      .map(({ id }) => id)
      .sort(),
  ).toEqual(events.map(({ id }) => id).sort());
});

test('more events than fit are refused whole', () => {
  const many = Array.from({ length: 5000 }, (_, i) => ({
    ...FIRST_EVENT,
    entries: [],
    id: `e${i}`,
    name: 'Heat',
    startLocal: '2027-06-19T10:00',
  }));
  expect(withEvents(TERN_WATER, many)).toBe(TERN_WATER);
});

test('what an event stood on can go: the event stays', () => {
  const pinned = withEvents(TERN_WATER, [
    { ...(events[0] as DayEventRecord), pinnedTo: 'bridge', markId: 'start' },
  ]);
  const noBridge = removeItem(pinned, { list: 'positions', id: 'bridge' });
  whole(noBridge);
  expect(noBridge.events[0]).not.toHaveProperty('pinnedTo');
  expect(noBridge.events[0]).toHaveProperty('markId', 'start');
  whole(removeItem(pinned, { list: 'marks', id: 'start' }));
  const noShot = withoutEntry(TERN_WATER, 'shots', 'panned');
  whole(noShot);
  expect(noShot.events).toHaveLength(events.length);
  const noPerson = withoutEntry(TERN_WATER, 'people', 'junior-4');
  whole(noPerson);
  expect(noPerson.events.flatMap(({ entries }) => entries)).toContainEqual({
    name: 'Junior single, lane 4',
    lane: 4,
  });
});

test('on another day the order goes along', () => {
  const moved = onDay(TERN_WATER, '2027-07-03');
  whole(moved);
  expect(moved.events[0]?.startLocal).toBe('2027-07-03T10:00');
});

test('many events are set at once, and what is not named stays', () => {
  const [a, b, c] = TERN_WATER.events as [DayEventRecord, DayEventRecord, DayEventRecord];
  const shoot = { ...TERN_WATER, events: [{ ...a, pinnedTo: 'bank' }, b, c] };
  const ids = new Set([a.id, b.id]);
  const set = withMany(shoot, ids, { worth: 'could', shotId: undefined, markId: 'start' });
  expect(
    set.events.map(({ worth, shotId, markId, pinnedTo }) => [worth, shotId, markId, pinnedTo]),
  ).toEqual([
    ['could', undefined, 'start', 'bank'],
    ['could', undefined, 'start', undefined],
    [c.worth, c.shotId, c.markId, undefined],
  ]);
  expect(shootSchema.safeParse(set).success).toBe(true);
  expect(set.events[0]).not.toHaveProperty('shotId');
});

test('a race of many laps keeps the time of the track, a long jump its own', () => {
  const window = { visitMin: 2, visits: 2 };
  expect(strandOf({ durationMin: 12, window })).toBe('timed');
  expect(strandOf({ durationMin: 90, window })).toBe('goesOn');
  expect(strandOf({ durationMin: 90 })).toBe('timed');
});
