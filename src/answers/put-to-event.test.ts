import { toGeographic } from '@/core';
import { withClock, withEvent, withFrames } from '@/records/edit-log';
import type { Frame } from '@/records/frames';
import { shootSchema, type Shoot } from '@/records/shoot';
import { madeUpDay } from '../../scripts/made-up-day';
import { captionedPresses, doubtfulFirst, doubtsOf } from './captions';
import { clocksFound } from './camera-clock';
import { matchedFrames, pressesOf } from './matched';

const keyOf = ({ name, cameraMs, camera }: Frame) => `${name} ${cameraMs} ${camera}`;

/** A made-up day with its pictures read and its clocks set as they are found. */
function lined(seed: number) {
  const day = madeUpDay(seed);
  const read = withFrames(
    day.shoot,
    day.pictures.map(({ frame }) => frame),
  );
  const found = clocksFound(read);
  const shoot = found.reduce((now, { camera, pieces }) => withClock(now, camera, pieces), read);
  return { ...day, found, shoot };
}

test.each([4, 12, 17, 28])(
  'the made-up day %i: clocks within two seconds, pictures put to their events, what is wrong is marked doubtful',
  (seed) => {
    const { shoot, cameras, pictures, found } = lined(seed);
    expect(shootSchema.safeParse(shoot).success).toBe(true);
    expect(pictures.length).toBeGreaterThanOrEqual(296);
    for (const { name, offsetS } of cameras) {
      const piece = found.find(({ camera }) => camera === name)?.pieces[0];
      expect(Math.abs((piece?.offsetS ?? 1e9) - offsetS)).toBeLessThanOrEqual(2);
    }
    const truth = new Map(pictures.map((picture) => [keyOf(picture.frame), picture]));
    const presses = captionedPresses(shoot, pressesOf(matchedFrames(shoot)));
    let [events, people] = [0, 0];
    const wrong: number[] = [];
    for (const one of presses) {
      for (const { key, event, sure } of one.press.frames) {
        const picture = truth.get(key);
        const isRight = event?.id === picture?.eventId;
        events += Number(isRight);
        // The lane said, by a key or a thumb: who starts in it.
        const who = one.candidates.find(({ lane }) => lane === picture?.lane);
        people += Number(who?.name === picture?.who);
        if (isRight) continue;
        wrong.push(sure);
        expect(doubtsOf(one)).toContain('event');
      }
    }
    expect(events / pictures.length).toBeGreaterThan(0.97);
    expect(people / pictures.length).toBeGreaterThan(0.95);
    // Most are not to be looked at again.
    const unsure = presses.filter((one) => doubtsOf(one).includes('event'));
    expect(unsure.length).toBeLessThan(0.35 * presses.length);
    // Those come first that are to be looked at most, none left out.
    const sorted = doubtfulFirst(presses);
    expect(new Set(sorted)).toEqual(new Set(presses));
    expect(sorted.slice(0, unsure.length).every((one) => doubtsOf(one).includes('event'))).toBe(
      true,
    );
  },
);

/** Two races far apart on the ground at one time, and a picture of one of them. */
function twoAtOnce(more: Partial<Frame>, set: (shoot: Shoot) => Shoot = (now) => now): Shoot {
  const { shoot } = madeUpDay(1);
  const [first, second] = shoot.events;
  if (!first || !second) throw new Error('the made-up day has events');
  const { startLocal } = first;
  return withFrames(
    set({
      ...shoot,
      log: { ...shoot.log, entries: [] },
      events: [
        { ...first, lateMin: 0, markId: 'finish' },
        { ...second, startLocal, lateMin: 0, markId: 'high-jump' },
      ],
    }),
    [{ name: 'a.jpg', camera: 'A', cameraMs: Date.parse(`${startLocal}:40Z`), ...more }],
  );
}
const eventOf = (shoot: Shoot) => matchedFrames(shoot)[0];
const markAt = (shoot: Shoot, id: string) => {
  const mark = shoot.marks.find((one) => one.id === id);
  if (!mark) throw new Error(`no mark ${id}`);
  return mark;
};

test('of two races at once none is sure by time alone; what was tapped, where one stood and looked tell', () => {
  const even = eventOf(twoAtOnce({}));
  expect(even?.sure).toBeLessThan(0.6);
  const { startLocal } = twoAtOnce({}).events[0] ?? { startLocal: '' };
  const tap = (more: Record<string, unknown>) => (now: Shoot) =>
    ({
      ...now,
      log: {
        ...now.log,
        entries: [
          {
            ...{ id: 't', atLocal: `${startLocal}:20`, markId: 'high-jump' },
            positionId: now.positions[0]?.id ?? '',
            ...more,
          },
        ],
      },
    }) as Shoot;
  const stood = eventOf(twoAtOnce({}, tap({ kind: 'stand' })));
  expect(stood?.event?.markId).toBe('high-jump');
  expect(stood?.why).toContain('stand');
  expect(stood?.sure).toBeGreaterThan(0.9);
  // Hours on, nobody knows whether one stands there still.
  const old = { kind: 'stand', atLocal: `${startLocal.slice(0, 11)}05:00:20` };
  expect(eventOf(twoAtOnce({}, tap(old)))?.sure).toBeLessThan(0.6);
  const tapped = eventOf(
    twoAtOnce({}, tap({ kind: 'keeper', eventId: 'heat-2', atLocal: `${startLocal}:45` })),
  );
  expect(tapped?.event?.id).toBe('heat-2');
  expect(tapped?.why).toContain('tap');
});

test('a camera that says where it was and looked is put to what it looked at', () => {
  const shoot = twoAtOnce({});
  const [finish, jump] = [markAt(shoot, 'finish'), markAt(shoot, 'high-jump')];
  // From 40 m south of the one that is meant.
  const from = (mark: typeof finish, bearingDeg: number) =>
    eventOf(twoAtOnce({ ...toGeographic({ x: mark.x, y: mark.y - 40 }, shoot.place), bearingDeg }));
  for (const mark of [finish, jump]) {
    const found = from(mark, 2);
    expect(found?.event?.markId).toBe(mark.id);
    expect(found?.sure).toBeGreaterThan(0.85);
    expect(found?.why).toContain('looks');
    expect(from(mark, 180)?.why).not.toContain('looks');
  }
});

test('a lens too long for one of two races speaks for the other', () => {
  const shoot = twoAtOnce({});
  const jump = markAt(shoot, 'high-jump');
  // Lying over the bar one is 1.1 m high: from 9 m 120 mm frame it; the finish is 60 m off.
  const found = eventOf(
    twoAtOnce({ ...toGeographic({ x: jump.x, y: jump.y + 9 }, shoot.place), focalMm: 120 }),
  );
  expect(found?.event?.markId).toBe('high-jump');
  expect(found?.why).toContain('focal');
  // Two stops too long for the other.
  expect(found?.sure).toBeGreaterThan(0.9);
});

test('what a person said of one press speaks for its neighbours, and reading again undoes nothing', () => {
  const { shoot } = lined(17);
  const all = matchedFrames(shoot);
  const [first] = pressesOf(all);
  const keys = new Set(first?.frames.map(({ key }) => key));
  const none = withEvent(shoot, keys, null);
  const said = matchedFrames(none).find(({ key }) => keys.has(key));
  expect(said).toMatchObject({ byHand: true, sure: 1, why: [] });
  expect(said?.event).toBeUndefined();
  const again = withFrames(none, first?.frames.map(({ frame }) => frame) ?? []);
  expect(matchedFrames(again).filter(({ byHand }) => byHand)).toHaveLength(keys.size);
});
