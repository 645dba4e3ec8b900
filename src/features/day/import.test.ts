import { TERN_WATER } from '@/demo/tern-water';
import type { CalendarEvent } from '@/formats/order-ics';
import { FIRST_EVENT, type DayEventRecord } from '@/records/day';
import { restShifted } from '@/records/edit-events';
import { shootSchema, type Shoot } from '@/records/shoot';
import { dayRequestOf } from '@/answers/day-request';
import { eventTitle } from '@/records/day-said';
import { clockIn, linesOf, planned } from './fixtures/planned-day';
import { changeInWords, compared, daysOf, givenByName, hoursWith, merged, noteFor } from './import';
import { lightColumn } from './light-column';

const imported = (rest: Partial<CalendarEvent>): CalendarEvent => ({
  ...FIRST_EVENT,
  name: 'New race',
  startLocal: '2027-06-19T09:40',
  entries: [],
  ...rest,
});

test('a file brings new events, finds people of the brief, and brings known events up to date', () => {
  let made = 0;
  const late = restShifted(TERN_WATER, '2027-06-19T10:00', 5);
  const file = [
    imported({ entries: [{ name: 'pair in LANE 2' }, { name: 'Low Mill', lane: 5 }] }),
    imported({ id: 'prizes', name: 'Whatever', startLocal: '2027-06-19T15:00', durationMin: 10 }),
    imported({
      name: 'junior single 500 m',
      heat: '1',
      startLocal: '2027-06-19T10:00',
      durationMin: 9,
    }),
  ];
  const { fresh, there, absent } = compared(late, file);
  expect([fresh.length, there.length]).toEqual([1, 2]);
  expect(there.map(changeInWords)).toEqual([
    '15:00 instead of 14:45, takes 10 min instead of 20',
    'takes 9 min instead of 3',
  ]);
  expect(absent).toHaveLength(TERN_WATER.events.length - 2);
  const shoot = merged(late, file, { shotId: 'panned' }, () => `new-${(made += 1)}`);
  expect(shootSchema.safeParse(shoot).success).toBe(true);
  expect(shoot.events.find(({ id }) => id === 'new-1')).toMatchObject({
    worth: 'must',
    shotId: 'panned',
    entries: [
      { name: 'Pair in lane 2', personId: 'pair-2' },
      { name: 'Low Mill', lane: 5 },
    ],
  });
  const prizes = shoot.events.find(({ id }) => id === 'prizes');
  expect(prizes).toMatchObject({
    name: 'Prize giving on the pontoon',
    startLocal: '2027-06-19T15:00',
    durationMin: 10,
    calls: { second: 5 },
  });
  expect(prizes).not.toHaveProperty('lateMin');
  expect(shoot.events.filter(({ name }) => /junior single/i.test(name))).toHaveLength(5);
});

test('the same file twice adds nothing', () => {
  const file = [imported({}), imported({ name: 'Another', startLocal: '2027-06-19T09:50' })];
  const once = merged(TERN_WATER, file, {}, () => String(Math.random()).slice(2));
  const twice = merged(once, file, {}, () => 'never');
  expect(compared(once, file)).toMatchObject({ fresh: [], there: { length: 2 } });
  expect(compared(once, file).there.map(changeInWords)).toEqual(['', '']);
  expect(twice.events).toEqual(once.events);
});

test('an event that moved is the same where its name and heat are one event’s alone', () => {
  const [first] = TERN_WATER.events as [DayEventRecord];
  const shoot = { ...TERN_WATER, events: [first] };
  const moved = imported({
    name: first.name,
    heat: `Heat ${first.heat}`,
    startLocal: '2027-06-19T11:15',
  });
  const { there, fresh } = compared(shoot, [moved]);
  expect(fresh).toEqual([]);
  expect(there.map(changeInWords)[0]).toMatch(/^11:15 instead of 10:00/);
  const next = merged(shoot, [moved], {}, () => 'never');
  expect(next.events.map(({ id, startLocal }) => [id, startLocal])).toEqual([
    [first.id, '2027-06-19T11:15'],
  ]);
  // Two of one name and heat: nobody knows which of them it is.
  const twins = {
    ...shoot,
    events: [first, { ...first, id: 'twin', startLocal: '2027-06-19T12:00' }],
  };
  expect(compared(twins, [moved]).fresh).toHaveLength(1);
});

test('what the file does not have stays, or goes when that is said', () => {
  const file = [imported({})];
  expect(merged(TERN_WATER, file, {}, () => 'n').events).toHaveLength(TERN_WATER.events.length + 1);
  expect(merged(TERN_WATER, file, {}, () => 'n', true).events.map(({ id }) => id)).toEqual(['n']);
});

test('a new event gives the shot at the mark that its name tells of, or the mark', () => {
  const marks = ['finish', 'long-jump', 'exchange'].map((id) => ({ ...TERN_WATER.marks[0], id }));
  const shots = [{ ...TERN_WATER.shots[0], id: 'sand', markId: 'long-jump' }];
  const track = { marks, shots } as Pick<Shoot, 'marks' | 'shots'>;
  expect(givenByName('Girls Long Jump', track)).toEqual({ shotId: 'sand' });
  expect(givenByName('Boys 100 Meter Dash', track)).toEqual({ markId: 'finish' });
  expect(givenByName('Mixed 4x400 m Relay', track)).toEqual({ markId: 'exchange' });
  expect(givenByName('100 m hurdles', track)).toEqual({});
  expect(givenByName('Prize giving', track)).toEqual({});
});

test('a calendar’s note says where, when to leave and what to set', async () => {
  const lines = await linesOf(TERN_WATER);
  const moving = lines.find(({ leaveMs }) => leaveMs !== undefined);
  if (!moving?.stop) throw new Error('must walk once');
  const cell = lightColumn(TERN_WATER)(moving.event, moving.stop);
  const note = noteFor(TERN_WATER, moving, cell, clockIn(TERN_WATER));
  expect(note.where).toBeTruthy();
  expect(note.lines.join(' ')).toMatch(
    /Leave by \d\d:\d\d\. Second call \d\d:\d\d\. 1\/\d+, f\/[\d.]+(, ND 3 stops)?, ISO \d+; EV/,
  );
  expect(daysOf(TERN_WATER)).toEqual(['2027-06-19', '2027-06-19']);
});

test('titles read as a programme has them', () => {
  const event = TERN_WATER.events[1] as DayEventRecord;
  expect(eventTitle(event)).toBe('Junior single 500 m, heat 2');
  expect(eventTitle({ ...event, heat: 'Final' })).toBe('Junior single 500 m, final');
});

test('a must is worth more than a should, a should more than a could, and only a must has to be had', () => {
  const [event] = TERN_WATER.events as [Shoot['events'][number]];
  const worths = ['must', 'should', 'could'] as const;
  const events = worths.map((worth) => ({ ...event, id: worth, worth, entries: [] }));
  const asked = dayRequestOf({ ...TERN_WATER, events } as Shoot);
  const values = worths.map((worth) => asked?.events.find(({ id }) => id === worth));
  expect(values.map((entry) => entry?.mustHave)).toEqual([true, false, false]);
  const [must, should, could] = values.map((entry) => entry?.value ?? NaN) as [
    number,
    number,
    number,
  ];
  expect(must).toBeGreaterThan(should);
  expect(should).toBeGreaterThan(could);
  expect(could).toBeGreaterThan(0);
});

test('a place from which the boat fills a third of what is wanted is weak, and says so', async () => {
  const [shot, ...shots] = TERN_WATER.shots as [Shoot['shots'][number]];
  const wide = { ...TERN_WATER, shots: [{ ...shot, fill: 1.4 }, ...shots] };
  const { weak, quality } = await planned(wide);
  const said = Object.entries(weak).filter(([key]) => key.startsWith(`${shot.id} `));
  expect(said.length).toBeGreaterThan(0);
  for (const [key, why] of said) {
    expect(quality[key]).toBeGreaterThanOrEqual(0.05);
    if (why.kind === 'fills') expect(why.fill).toBeLessThan(0.6 * why.wanted);
  }
  expect(said.some(([, why]) => why.kind === 'fills')).toBe(true);
});

test('the shoot’s hours grow so that an order lies in them, and no further than a shoot may last', () => {
  const { startLocal, endLocal } = TERN_WATER;
  expect(hoursWith(TERN_WATER, [])).toEqual({ startLocal, endLocal });
  const early = imported({ startLocal: '2027-06-19T06:10' });
  const late = imported({ startLocal: '2027-06-19T20:00', durationMin: 90 });
  expect(hoursWith(TERN_WATER, [early, late])).toEqual({
    startLocal: '2027-06-19T06:10',
    endLocal: '2027-06-19T21:30',
  });
  const never = imported({ startLocal: '2029-06-19T20:00' });
  expect(hoursWith(TERN_WATER, [never])).toEqual({ startLocal, endLocal });
  expect(merged(TERN_WATER, [late], {}, () => 'n').endLocal).toBe('2027-06-19T21:30');
});

test('alarms stand at the time to leave, at the call for who stays, and nowhere for what is missed', async () => {
  const lines = await linesOf(TERN_WATER);
  const alarmsOf = (line: (typeof lines)[number]) =>
    noteFor(TERN_WATER, line, undefined, clockIn(TERN_WATER)).alarms ?? [];
  const moving = lines.find(({ leaveMs }) => leaveMs !== undefined);
  const staying = lines.find(({ stop, leaveMs }) => stop && leaveMs === undefined);
  const missed = lines.find(({ status }) => status === 'missed');
  if (!moving || !staying || !missed) throw new Error('the day has one of each');
  expect(alarmsOf(moving)).toEqual([
    { atMs: moving.leaveMs, says: expect.stringMatching(/^Leave for .+: /) },
  ]);
  expect(alarmsOf(staying)).toEqual([
    { atMs: staying.secondMs, says: expect.stringMatching(/: stay at /) },
  ]);
  expect(alarmsOf(missed)).toEqual([]);
});
