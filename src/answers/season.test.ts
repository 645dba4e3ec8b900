import { evening, presses as times, setRight, stoodFor } from '@/demo/lived';
import { LARKMOOR } from '@/demo/larkmoor';
import type { LogEntry } from '@/records/log';
import type { Shoot } from '@/records/shoot';
import { answerAt } from './answer';
import { floorsOf } from './floors';
import { remindersOf, TIRED_LESSON } from './reminders';
import {
  byQuarter,
  lightByPictures,
  livedOnce,
  livedPresses,
  lookThrough,
  shuttersTaught,
  tiredBy,
  twelveMonths,
} from './season';
import { viewOf } from './view';

const DATE = '2027-04-16';
const livedWith = (taken: Parameters<typeof evening>[1], entries?: LogEntry[]) =>
  evening(DATE, taken, entries);

test('a press counts once whatever its frames, and each picture once whichever shoots hold it', () => {
  const larkmoor = setRight('demo-larkmoor');
  const copy = { ...larkmoor, id: 'copy' };
  const presses = livedPresses([larkmoor, copy]);
  // Twelve presses of 41 pictures; nine have a kept one.
  expect(presses).toHaveLength(12);
  expect(presses.filter(({ kept }) => kept)).toHaveLength(9);
  expect(presses.every(({ shoot }) => shoot === larkmoor)).toBe(true);
  const empty = { ...LARKMOOR, id: 'empty' };
  expect(livedOnce([larkmoor, copy, empty]).map(({ id }) => id)).toEqual([larkmoor.id]);
  // One tap of its own makes a day of its own.
  const tapped = {
    ...copy,
    log: { ...copy.log, entries: [{ ...stoodFor(DATE), id: 'own' }] },
  };
  expect(livedOnce([larkmoor, tapped])).toHaveLength(2);
});

test('twelve months end with the shoot that is open, in order', () => {
  const on = (id: string, day: string) => ({ ...LARKMOOR, id, startLocal: `${day}T18:30` });
  const open = on('open', '2027-04-16');
  const others = [
    on('later', '2027-04-17'),
    on('spring', '2027-03-01'),
    on('old', '2026-04-16'),
    on('autumn', '2026-09-01'),
    on('first', '2026-04-17'),
  ];
  expect(twelveMonths(open, others).map(({ id }) => id)).toEqual([
    ...['first', 'autumn', 'spring', 'open'],
  ]);
});

test('a time parts keepers from the rest where that is more than chance', () => {
  const [taught, ...others] = shuttersTaught(
    livedPresses([livedWith([...times(20, 15, 2000), ...times(20, 2, 500)])]),
  );
  expect(others).toEqual([]);
  expect(taught).toMatchObject({
    ...{ classId: 'strike', shutterS: 2 ** -10 },
    faster: { kept: 15, of: 20 },
    slower: { kept: 2, of: 20 },
  });
});

test.each([
  ['what may be chance', [...times(20, 9, 2000), ...times(20, 6, 500)]],
  ['too few on one side', [...times(7, 7, 2000), ...times(40, 1, 500)]],
  ['slower that gives more', [...times(20, 2, 2000), ...times(20, 15, 500)]],
  ['one time alone', times(40, 20, 1000)],
])('%s teaches no time', (_what, presses) => {
  expect(shuttersTaught(livedPresses([livedWith(presses)]))).toEqual([]);
});

test('pans and what only the plan says was in hand teach no time', () => {
  const presses = [...times(20, 15, 2000), ...times(20, 2, 500)];
  expect(shuttersTaught(livedPresses([livedWith(presses, [])]))).toEqual([]);
  const panned = [stoodFor(DATE, { shotId: 'counter', markId: 'penalty-corner' })];
  expect(shuttersTaught(livedPresses([livedWith(presses, panned)]))).toEqual([]);
  for (const gone of [{ markId: 'nowhere' }, { positionId: 'nowhere' }]) {
    expect(shuttersTaught(livedPresses([livedWith(presses, [stoodFor(DATE, gone)])]))).toEqual([]);
  }
});

test('one tires where the last quarter of the time gives fewer keepers by more than chance', () => {
  const day = (first: number, last: number) =>
    byQuarter(
      livedPresses([livedWith([...times(12, first), ...times(24, 12), ...times(12, last)])]),
    );
  expect(day(10, 1).map(({ name, of }) => [name, of])).toEqual([
    ['first', 12],
    ['between', 24],
    ['last', 12],
  ]);
  expect(tiredBy(day(11, 1))).toMatchObject({ first: { kept: 11 }, last: { kept: 1 } });
  expect(tiredBy(day(6, 4))).toBeUndefined();
  expect(tiredBy(day(1, 11))).toBeUndefined();
  expect(tiredBy([])).toBeUndefined();
});

test('the light by what kept pictures were exposed for: a stop more ISO is a stop less light', () => {
  const lit = (iso: number, count = 4) =>
    lightByPictures([
      livedWith([...times(count, count), ...times(3, 0)].map((one) => ({ ...one, iso }))),
    ]);
  const [one] = lit(400);
  expect(one).toMatchObject({ hour: 18, count: 4 });
  expect(lit(800)[0]?.mean).toBeCloseTo((one?.mean ?? NaN) - 1, 6);
  // Against what is computed there and then, for the minutes that the pictures are of.
  const seen = viewOf({
    ...LARKMOOR,
    choice: { ...LARKMOOR.choice, shotId: 'save', markId: 'keeper', positionId: 'back-line' },
  });
  if (!seen.ok) throw new Error('no view');
  const computed = answerAt(seen.view, LARKMOOR, Date.parse(`${DATE}T17:30:00Z`)).light.ev.expected;
  // 1/1000, f/2.8 and ISO 400 are EV 9.97 + 2.97 − 2 by hand.
  expect(one?.mean).toBeCloseTo(9.966 + 2.971 - 2 - computed, 1);
  // Two kept pictures of an hour say nothing; no more than twelve are asked.
  expect(lit(400, 2)).toEqual([]);
  expect(lit(400, 30)[0]?.count).toBe(12);
});

test('what was measured, or learned before, does not speak twice', () => {
  const day = livedWith(times(4, 4));
  const told = lightByPictures([day]);
  const learned = [{ atLocal: `${DATE}T18:30`, offsetStops: -2, sigmaStops: 0.2 }];
  expect(lightByPictures([{ ...day, light: { ...day.light, learned } }])).toEqual(told);
});

test('looked through, a shoot answers the same', () => {
  const presses = [...times(20, 15, 2000), ...times(20, 2, 500)];
  const [fresh, looked] = [livedWith(presses), livedWith(presses)];
  lookThrough(looked);
  expect(shuttersTaught(livedPresses([looked]))).toEqual(shuttersTaught(livedPresses([fresh])));
  expect(lightByPictures([looked])).toEqual(lightByPictures([fresh]));
});

test('floors: one’s own and what was taught, the faster where both say one', () => {
  const floorsWith = (own: Record<string, number> | undefined, taught?: Record<string, number>) =>
    floorsOf({
      kit: { ...LARKMOOR.kit, ...(own && { floors: own }) },
      choice: taught ? { floors: taught } : {},
    });
  expect(floorsWith(undefined)).toBeUndefined();
  expect(floorsWith({ play: 0.01 })).toEqual({ play: 0.01 });
  expect(floorsWith({ play: 0.01, fast: 0.001 }, { play: 0.002 })).toEqual({
    play: 0.002,
    fast: 0.001,
  });
  expect(floorsWith({ play: 0.001 }, { play: 0.002 })).toEqual({ play: 0.001 });
});

test('a floor that was taught rules the settings', () => {
  const choice = { ...LARKMOOR.choice, shotId: 'save', markId: 'keeper', positionId: 'back-line' };
  const shutterWith = (floors?: Record<string, number>) => {
    const shoot = { ...LARKMOOR, choice: { ...choice, ...(floors && { floors }) } };
    const seen = viewOf(shoot);
    if (!seen.ok) throw new Error('no view');
    // Late: the light is short, and the time goes to its must.
    return answerAt(seen.view, shoot, Date.parse(`${DATE}T18:58:00Z`)).exposure.settings.shutterS;
  };
  expect(shutterWith({ strike: 2 ** -11 })).toBeLessThanOrEqual(2 ** -11 * 1.001);
  expect(shutterWith()).toBeGreaterThan(2 ** -11 * 1.001);
});

test('a rest is reminded of ten minutes before the last quarter, where that was taken up', () => {
  const withLesson = (use: boolean): Shoot => ({
    ...{ ...LARKMOOR, startLocal: `${DATE}T18:00`, endLocal: `${DATE}T20:00` },
    log: { ...LARKMOOR.log, lessons: [{ id: TIRED_LESSON, use }] },
  });
  const rests = (shoot: Shoot) =>
    remindersOf(shoot, undefined).filter(({ reminder }) => reminder.kind === 'rest');
  // 19:20 to 19:30 by British summer time.
  expect(rests(withLesson(true))).toEqual([
    {
      atMs: Date.parse(`${DATE}T18:20:00Z`),
      untilMs: Date.parse(`${DATE}T18:30:00Z`),
      reminder: { kind: 'rest' },
    },
  ]);
  expect(rests(withLesson(false))).toEqual([]);
  expect(rests(LARKMOOR)).toEqual([]);
});
