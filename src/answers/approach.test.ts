import { ALDER_REACH } from '@/demo/alder-reach';
import { nextReminder } from '@/features/field/now-next';
import {
  approachInWords,
  gapsInWords,
  postInWords,
  reactionsInWords,
} from '@/features/shoot/approach-words';
import type { LogEntry } from '@/records/log';
import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { approachOf, expectedBack, gapsOf, reactionsOf } from './approach';
import { watchesAt } from './nature';
import { postsHere } from './posts';
import { remindersOf } from './reminders';
import { viewOf, type View } from './view';

/** A bird at (0, 10) on a post, somebody at (0, 0), a way to there from (0, -20). Figures by hand. */
const { carriedBy: _perch, ...BIRD } = {
  ...(ALDER_REACH.marks[0] as Shoot['marks'][number]),
  ...{ id: 'bird', name: 'Post', x: 0, y: 10, feetM: 1 },
};
const SPOT = { id: 'spot', name: 'Spot', x: 0, y: 0, cameraHeightM: 1.5 };
const FAR = { ...SPOT, id: 'far', name: 'Far', y: -4 };
const shoot = (more: Partial<Shoot> = {}): Shoot => ({
  ...ALDER_REACH,
  ...{ id: 'a', marks: [BIRD], positions: [SPOT, FAR], features: [], watches: [] },
  choice: { ...ALDER_REACH.choice, markId: 'bird', positionId: 'spot' },
  ...more,
});
const entry = (atLocal: string, more: Partial<LogEntry>): LogEntry =>
  ({
    ...{ id: atLocal, atLocal, markId: 'bird', positionId: 'spot', kind: 'sighting' },
    ...{ name: 'Kingfisher', ...more },
  }) as LogEntry;
const logged = (...entries: LogEntry[]): Shoot['log'] => ({ ...ALDER_REACH.log, entries });
const seen = (from: Shoot): View => {
  const view = viewOf(from);
  if (!view.ok) throw new Error(view.trouble.kind);
  return view.view;
};
const WAY: Shoot['features'][number] = {
  ...{ id: 'way', name: 'Way in', kind: 'path' },
  points: [
    { x: 0, y: -20 },
    { x: 0, y: -1 },
  ],
};

test('from how far it looked up and left: the furthest counts, rehearsals and other subjects do not', () => {
  const behaviour = (atLocal: string, name: string, more: Partial<LogEntry> = {}) =>
    entry(atLocal, { kind: 'behaviour', name, ...more });
  const here = shoot({
    log: logged(
      behaviour('2027-05-08T06:00:00', 'looks up'),
      behaviour('2027-05-08T06:10:00', 'looks up', { positionId: 'far' }),
      behaviour('2027-05-08T06:20:00', 'leaves'),
      behaviour('2027-05-08T06:30:00', 'leaves', { positionId: 'far', rehearsed: true }),
      behaviour('2027-05-08T06:40:00', 'dives', { positionId: 'far' }),
    ),
  });
  const found = reactionsOf(here, BIRD, []);
  expect(found).toEqual([
    { did: 'looks up', times: 2, fromM: 14 },
    { did: 'leaves', times: 1, fromM: 10 },
  ]);
  expect(reactionsInWords(found)).toBe(
    'It looked up twice, from as far as 14.0 m, and left once, from 10.0 m: stay farther off, and stop when it looks up.',
  );
  expect(reactionsOf(here, { subjectId: 'deer' }, [])).toEqual([]);
  // Another shoot at the same place teaches it too; one elsewhere does not.
  expect(reactionsOf(shoot({ id: 'b' }), BIRD, [here])).toEqual(found);
  const away = { ...here, place: { ...here.place, latitudeDeg: 40 } };
  expect(reactionsOf(shoot({ id: 'b' }), BIRD, [away])).toEqual([]);
  expect(reactionsInWords([])).toBeUndefined();
});

test('how much of the way lies in its sight, and how long that takes at a stalk', () => {
  const open = shoot({ features: [WAY] });
  const way = approachOf(open, seen(open));
  // All 19 m; 0.4 m a second; its end is 11 m from the bird, its last step an eighth of a metre before.
  expect(way).toMatchObject({ path: 'Way in', lengthM: 19, inSightM: expect.closeTo(19, 6) });
  expect(way?.inSightS).toBeCloseTo(47.5, 6);
  expect(way?.nearestM).toBeCloseTo(11.125, 3);
  if (!way) throw new Error('must lead there');
  expect(approachInWords(way, 'Post')).toBe(
    'Way in, 19.0 m: 19.0 m of it in sight of Post, as near as 11.1 m. Bent low that takes 48 s.',
  );
  // A wall 3 m high and 8 m wide at y = −2: from 1.1 m up, 12 m off, it hides all behind it; the metre before it not.
  const wall: Shoot['features'][number] = {
    ...{ id: 'wall', name: 'Wall', kind: 'wall', heightM: 3 },
    points: [
      { x: -4, y: -2 },
      { x: 4, y: -2 },
    ],
  };
  const behind = shoot({ features: [WAY, wall] });
  expect(approachOf(behind, seen(behind))?.inSightM).toBeCloseTo(1, 1);
  const stopped = shoot({
    features: [
      {
        ...WAY,
        points: [
          { x: 0, y: -20 },
          { x: 0, y: -2.5 },
        ],
      },
      wall,
    ],
  });
  const none = approachOf(stopped, seen(stopped));
  expect(none).toEqual({ path: 'Way in', lengthM: 17.5, inSightM: 0, inSightS: 0 });
  if (!none) throw new Error('must lead there');
  expect(approachInWords(none, 'Post')).toBe('Way in, 17.5 m: none of it in sight of Post.');
  // A path that passes further off leads nowhere here.
  const past = {
    ...WAY,
    points: [
      { x: -9, y: -20 },
      { x: 9, y: -20 },
    ],
  };
  expect(approachOf({ features: [past] }, seen(open))).toBeUndefined();
});

test('how often it comes: the middle and the half about it, within a watch', () => {
  const watch = (...clocks: string[]) => ({
    visitsLocal: clocks.map((clock) => `2027-05-08T${clock}`),
  });
  const gaps = gapsOf([watch('06:00', '06:10', '06:30', '07:00'), watch('09:00', '09:40')]);
  // 10, 20, 30 and 40 minutes.
  expect(gaps).toEqual({ count: 4, lowMin: 17.5, middleMin: 25, highMin: 32.5 });
  if (!gaps) throw new Error('must be known');
  expect(gapsInWords(gaps)).toMatch(
    /^It comes every 25 min, half the times after 18 min to 33 min \(4 gaps\): move while it is down/,
  );
  expect(gapsOf([watch('06:00', '06:10', '06:30')])).toBeUndefined();
});

test('the camera is at the eye a minute before it may be back', () => {
  const at = (clock: string) => `2027-05-08T${clock}:00`;
  const twice = shoot({ log: logged(entry(at('06:00'), {}), entry(at('06:10'), {})) });
  expect(expectedBack(twice, 'bird')).toBeUndefined();
  // Gaps of 10 and 12 minutes: 11 after 06:22.
  const often = shoot({
    log: logged(entry(at('06:00'), {}), entry(at('06:10'), {}), entry(at('06:22'), {})),
  });
  const zone = often.place.timeZone;
  const reminders = remindersOf(often, seen(often));
  expect(nextReminder(reminders, msOf('2027-05-08T06:23', zone))).toEqual({
    what: 'Camera at the eye: it may be back at Post',
    atMs: msOf('2027-05-08T06:32', zone),
  });
  expect(expectedBack(often, 'other')).toBeUndefined();
});

test('posts watched here before: how often, when, in which months; a copy counts once', () => {
  const watch = (id: string, date: string, ...clocks: string[]) => ({
    ...{ id, markId: 'bird', fromLocal: `${date}T05:00`, toLocal: `${date}T07:00` },
    visitsLocal: clocks.map((clock) => `${date}T${clock}`),
  });
  const before = shoot({
    ...{ id: 'b', log: logged() },
    watches: [
      watch('w1', '2026-04-20', '05:10', '05:40', '06:20'),
      watch('w2', '2026-05-02', '05:30'),
      watch('w3', '2026-06-02'),
    ],
  });
  const copy = { ...before, id: 'c' };
  // Two copies of one watch are one, in the visits to a mark as in the list of posts.
  const later = shoot({ id: 'd', log: logged() });
  expect(watchesAt(later, 'bird', [before, copy]).map(({ id }) => id)).toEqual(['w1', 'w2', 'w3']);
  const bare = shoot({ marks: [{ ...BIRD, id: 'other', name: 'Other' }], log: logged() });
  const [post, ...more] = postsHere(bare, [before, copy]);
  expect(more).toEqual([]);
  expect(post).toMatchObject({
    ...{ name: 'Post', here: false, watches: 3, visited: 2, visits: 4, months: [4, 5] },
    ...{ lastLocal: '2026-06-02T07:00', best: { hour: 5, visits: 3, watchedH: 3 } },
  });
  if (!post) throw new Error('must be there');
  expect(postInWords(post)).toBe(
    'Came in 2 of 3 watches, most 05:00 to 06:00 (1.0 an hour); April, May.',
  );
  expect(postInWords({ ...post, best: undefined, watches: 1 } as never)).toBe(
    'Watched once, nothing came.',
  );
});
