import { LARKMOOR } from '@/demo/larkmoor';
import type { DayEventRecord } from '@/records/day';
import { withFrames } from '@/records/edit-log';
import type { LogEntry } from '@/records/log';
import type { Shoot } from '@/records/shoot';
import { frameMs, matchedFrames, pressesOf } from './matched';

const DATE = '2027-04-16';
const event = (id: string, at: string, shotId?: string): DayEventRecord => ({
  ...{ id, name: id, startLocal: `${DATE}T${at}`, durationMin: 5, entries: [], worth: 'should' },
  ...(shotId !== undefined && { shotId }),
});
const keeper = (at: string, shotId: string): LogEntry => ({
  ...{ id: at, kind: 'keeper', atLocal: `${DATE}T${at}`, shotId },
  ...{ markId: 'keeper', positionId: 'back-line' },
});
const frame = (name: string, at: string, camera = 'A') => ({
  ...{ name, camera, cameraMs: Date.parse(`${DATE}T${at}Z`) },
});
/** One tap, two events, and a picture of the second. */
const standIn = (second: DayEventRecord, tap = keeper('18:31:00', 'save')) => {
  const shoot: Shoot = {
    ...LARKMOOR,
    events: [event('first', '18:30', 'save'), second],
    log: { entries: [tap], clocks: [], frames: [], lessons: [] },
  };
  const [found] = matchedFrames(withFrames(shoot, [frame('a.jpg', '19:01:00')]));
  return { event: found?.event?.id, by: found?.standBy, shot: found?.stand.shotId };
};

test('a tap speaks for two hours, and not of another event that has another shot of its own', () => {
  const at = { event: 'second' };
  expect(standIn(event('second', '19:00', 'bench'))).toEqual({ ...at, by: 'event', shot: 'bench' });
  expect(standIn(event('second', '19:00', 'save'))).toEqual({ ...at, by: 'log', shot: 'save' });
  expect(standIn(event('second', '19:00'))).toEqual({ ...at, by: 'log', shot: 'save' });
  const old = keeper('16:59:00', 'save');
  expect(standIn(event('second', '19:00'), old)).toMatchObject({ ...at, by: 'event' });
});

test('two cameras let off at once make two presses, each of its own pictures', () => {
  const all = [
    frame('a1.jpg', '19:01:00'),
    frame('b1.jpg', '19:01:01', 'B'),
    frame('a2.jpg', '19:01:01'),
    frame('a3.jpg', '19:05:00'),
  ].map((one) => ({ frame: one, atMs: one.cameraMs }));
  expect(pressesOf(all).map(({ frames }) => frames.map((one) => one.frame.name))).toEqual([
    ['a1.jpg', 'a2.jpg'],
    ['b1.jpg'],
    ['a3.jpg'],
  ]);
});

test('a moment by the place’s clock, before and after the hour that is put on, drift and all', () => {
  const at = (local: string, clock: Partial<Shoot['log']['clocks'][number]>) => {
    const log = { ...LARKMOOR.log, clocks: [{ name: 'A', offsetS: 60, ...clock }] };
    const cameraMs = Date.parse(`${local}Z`);
    return new Date(
      frameMs({ place: LARKMOOR.place, log }, { name: 'a_0100.jpg', camera: 'A', cameraMs }),
    ).toISOString();
  };
  // London puts its clocks on at 01:00 on 28 March 2027.
  expect(at('2027-03-28T00:58:30', {})).toBe('2027-03-28T00:59:30.000Z');
  expect(at('2027-03-28T02:00:30', {})).toBe('2027-03-28T01:01:30.000Z');
  const drift = { perDayS: 24, atMs: Date.parse('2027-01-10T00:00:00Z') };
  expect(at('2027-01-10T12:00:00', { drift })).toBe('2027-01-10T12:01:12.000Z');
  // From a later file on another offset holds.
  expect(at('2027-01-10T12:00:00', { fromFile: 'a_0101.jpg' })).toBe('2027-01-10T12:00:00.000Z');
  expect(at('2027-01-10T12:00:00', { fromFile: 'a_9990.jpg' })).toBe('2027-01-10T12:01:00.000Z');
});
