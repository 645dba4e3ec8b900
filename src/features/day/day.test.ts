import { planDay } from '@/core';
import { LARKMOOR } from '@/demo/larkmoor';
import { TERN_WATER } from '@/demo/tern-water';
import { FIRST_EVENT, type DayEventRecord } from '@/records/day';
import { withShooter, withShooterChanged } from '@/records/edit-shooters';
import { restShifted, startOf } from '@/records/edit-events';
import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { dayService, qualityKey, type DayReply } from '@/workers/day-job';
import {
  dayInWords,
  dayLines,
  type DayLine,
  lateInWords,
  lostAhead,
  missedInWords,
  nextInWords,
  whoInWords,
} from '@/features/shoot/day-lines';
import { callTimes, dayRequestOf, pictureOf } from '@/answers/day-request';
import { entriesOf, entriesText } from '@/answers/entries';
import { clockIn, linesOf, planned } from './fixtures/planned-day';
import { lightColumn } from './light-column';
import { legsOf, routeDrawn } from '@/features/shoot/route-legs';

const atOf = (shoot: Shoot, local: string) => msOf(local, shoot.place.timeZone);
const withEvent = (shoot: Shoot, id: string, change: Partial<DayEventRecord>): Shoot => ({
  ...shoot,
  events: shoot.events.map((event) => (event.id === id ? { ...event, ...change } : event)),
});

test.each([TERN_WATER, LARKMOOR])(
  'the demo’s day has all that is promised ($title)',
  async (shoot) => {
    const lines = await linesOf(shoot);
    expect(lines.map(({ event }) => event.id)).toEqual(shoot.events.map(({ id }) => id));
    const owed = lines.filter(({ event }) => event.worth === 'must');
    expect(owed.length).toBeGreaterThan(1);
    expect(owed.every(({ status }) => status === 'shoot')).toBe(true);
    expect(dayInWords(lines)).toMatch(
      new RegExp(`^Shoots \\d+ of ${lines.length} events, all ${owed.length} promised\\.$`),
    );
  },
);

test('the plan is that of the solver given the same qualities', async () => {
  const request = dayRequestOf(TERN_WATER);
  if (!request) throw new Error('must have events');
  const { route, quality, weak } = await planned(TERN_WATER);
  const again = planDay(
    request.events.map(({ picture, lightMs, ...event }) => ({
      ...event,
      from: request.positions.flatMap(({ id }) => {
        const key = qualityKey({ picture, lightMs, positionId: id, shooterId: 'alone' });
        const score = quality[key] ?? 0;
        // What is weak counts half.
        return score >= 0.05 ? [{ positionId: id, quality: weak[key] ? score / 2 : score }] : [];
      }),
    })),
    request.positions,
    request.walkSpeedMs,
    request.leadTimes,
    request.quotas,
  );
  expect(route).toEqual(again);
});

test('a pin holds and what is left out is not shot; both say so', async () => {
  const id = 'women-s-pair-500-m-2';
  const pinned = await linesOf(withEvent(TERN_WATER, id, { pinnedTo: 'bank', worth: 'must' }));
  expect(pinned.find(({ event }) => event.id === id)?.stop?.positionId).toBe('bank');
  const out = await linesOf(withEvent(TERN_WATER, id, { leftOut: true }));
  expect(out.find(({ event }) => event.id === id)).toMatchObject({
    status: 'leftOut',
    why: 'You left it out.',
  });
});

test('an event that nothing sees says that', async () => {
  const far = withEvent(TERN_WATER, 'prizes', { shotId: 'spray', pinnedTo: 'bridge' });
  const line = (await linesOf(far)).find(({ event }) => event.id === 'prizes');
  expect(line).toMatchObject({
    status: 'missed',
    why: expect.stringMatching(/^No position serves/),
  });
});

test('the bridge is left in time for the second call', async () => {
  const lines = await linesOf(TERN_WATER);
  for (const { stop, leaveMs, secondMs, startMs } of lines) {
    if (!stop || leaveMs === undefined) continue;
    expect(leaveMs + stop.walkMs).toBeCloseTo(secondMs, 3);
    expect(startMs - secondMs).toBeGreaterThanOrEqual(5 * 60_000);
    expect(stop.walkMs).toBeCloseTo((stop.walkM / TERN_WATER.day.walkSpeedMs) * 1000, 3);
  }
});

test('before the first plan nothing is claimed', () => {
  expect(dayLines(TERN_WATER, undefined).every(({ status }) => status === 'unknown')).toBe(true);
});

const THEN = { positionId: 'bank', fromMs: 0, untilMs: 60_000 };

test.each([
  [{ kind: 'forbidden' }, true, 'You left it out.'],
  [{ kind: 'worthNothing' }, true, 'You already have enough of it.'],
  [{ kind: 'overlap', withEvents: ['a'], then: THEN }, true, 'It runs while Heat a is shot.'],
  [
    { kind: 'walk', otherEvent: 'b', needMs: 6.2 * 60_000, haveMs: 4.9 * 60_000, then: THEN },
    true,
    'The walk from it to Heat b takes 7 minutes; there are 4.',
  ],
  [
    { kind: 'walk', otherEvent: 'b', needMs: 6.2 * 60_000, haveMs: 4.9 * 60_000, then: THEN },
    false,
    'The walk from Heat b to it takes 7 minutes; there are 4.',
  ],
  [
    { kind: 'walk', otherEvent: 'b', needMs: 60_000, haveMs: -60_000, then: THEN },
    true,
    'It ends after the second call for Heat b, which is shot elsewhere.',
  ],
  [
    { kind: 'walk', otherEvent: 'b', needMs: 60_000, haveMs: -60_000, then: THEN },
    false,
    'Its second call comes while Heat b is shot elsewhere.',
  ],
] as const)('a reason in words (%#)', (reason, before, words) => {
  expect(
    missedInWords(
      reason,
      (id) => `Heat ${id}`,
      () => before,
    ),
  ).toBe(words);
});

test('what is next is said for the minute: leave, stay, now, nothing', async () => {
  const lines = await linesOf(TERN_WATER);
  const say = (local: string) =>
    nextInWords(lines, atOf(TERN_WATER, local), TERN_WATER, clockIn(TERN_WATER));
  const before = say('2027-06-19T12:30');
  expect(before.head).toBe('13:30: Junior single 500 m, final');
  expect(before.lines[0]).toMatch(
    /^To .+: leave by 13:\d\d, \d+ minutes to walk, in place by the second call at 13:20\.$/,
  );
  expect(before.lines[1]).toBe('Calls at 13:10, 13:20 and 13:27.');
  expect(say('2027-06-19T13:31').head).toMatch(/^Now: /);
  expect(say('2027-06-19T15:29').head).toBe('Nothing more to shoot');
});

test('lateness is counted from the programme', () => {
  const at = startOf(TERN_WATER.events[4] as DayEventRecord);
  const late = restShifted(TERN_WATER, at, 12);
  expect(lateInWords(TERN_WATER, atOf(late, at))).toBe('On programme');
  expect(lateInWords(late, atOf(late, at))).toBe('Now 12 minutes behind');
  // After the last event it is as that one was.
  expect(lateInWords(late, atOf(late, '2027-06-19T20:00'))).toBe('Now 12 minutes behind');
  expect(lateInWords(restShifted(TERN_WATER, at, -1), atOf(late, '2027-06-19T10:30'))).toBe(
    'Now 1 minute ahead',
  );
});

test('a meet that runs late is planned anew, each event at its new time', async () => {
  const late = restShifted(TERN_WATER, '2027-06-19T10:00', 25);
  const before = await linesOf(TERN_WATER);
  const lines = await linesOf(late);
  expect(lines[0]?.startMs).toBe((before[0]?.startMs ?? 0) + 25 * 60_000);
  expect(lines.filter(({ event }) => event.worth === 'must').every(({ stop }) => stop)).toBe(true);
});

test('what was scored once is not scored again', async () => {
  const fresh = dayService(() => Promise.resolve());
  const request = dayRequestOf(TERN_WATER);
  if (!request) throw new Error('must have events');
  const pinned = dayRequestOf(withEvent(TERN_WATER, 'prizes', { pinnedTo: 'bank' }));
  if (!pinned) throw new Error('must have events');
  let turns = 0;
  const counted = dayService(() => {
    turns += 1;
    return Promise.resolve();
  });
  await counted.day({ ...request, id: 1 });
  const first = turns;
  await counted.day({ ...pinned, id: 2 });
  expect(first).toBeGreaterThan(1);
  expect(turns - first).toBe(1);
  // And what is remembered is right.
  const a = await counted.day({ ...pinned, id: 3 });
  expect(a).toEqual(await fresh.day({ ...pinned, id: 1 }));
});

test('a day that can be walked is told first, then the best', async () => {
  const request = dayRequestOf(TERN_WATER);
  if (!request) throw new Error('must have events');
  const firsts: DayReply[] = [];
  const service = dayService(() => Promise.resolve());
  const reply = await service.day({ ...request, id: 1 }, (first) => void firsts.push(first));
  if (reply.kind !== 'done') throw new Error(reply.kind);
  expect(firsts).toHaveLength(1);
  const [first] = firsts as [DayReply];
  expect(first.route.stops.length).toBeGreaterThan(0);
  expect(first.route.mustHavesMissed).toEqual(reply.value.route.mustHavesMissed);
  expect(first.route.value).toBeLessThanOrEqual(reply.value.route.value + 1e-9);
  expect(first.quality).toEqual(reply.value.quality);
  // Another change while it is looked at: what was asked before is let go.
  const gone = await service.day({ ...request, id: 2 }, () => service.cancel(2));
  expect(gone.kind).toBe('cancelled');
});

test('a shot that has its number is worth less, and what is owed never is', () => {
  const request = dayRequestOf(TERN_WATER);
  expect(request?.quotas.map(({ group }) => group)).toContain('panned');
  const groups = new Set(
    request?.events.filter(({ mustHave }) => mustHave).map(({ group }) => group),
  );
  expect(groups).toEqual(new Set([undefined]));
});

test('an event without a shot happens at its mark, else at the one looked at', () => {
  const event = { ...FIRST_EVENT, id: 'x', name: 'X', startLocal: '2027-06-19T10:00', entries: [] };
  expect(pictureOf(TERN_WATER, { ...event, markId: 'start' }).markId).toBe('start');
  expect(pictureOf(TERN_WATER, event).markId).toBe(TERN_WATER.marks[0]?.id);
  expect(pictureOf(TERN_WATER, { ...event, shotId: 'spray', markId: 'lane-4' }).markId).toBe(
    'start',
  );
});

test('a reaction is at the end where the race ends, by its name', () => {
  const [mark, shot] = [TERN_WATER.marks[0], TERN_WATER.shots[0]];
  if (!mark || !shot) throw new Error('must have a mark and a shot');
  const pool: Shoot = {
    ...TERN_WATER,
    ground: { ...TERN_WATER.ground, template: 'pool-50' },
    marks: ['reaction-start', 'reaction-turn'].map((id) => ({ ...mark, id })),
    shots: [{ ...shot, id: 'look', markId: 'reaction-start' }],
  };
  const event = { ...FIRST_EVENT, id: 'e', startLocal: pool.startLocal, entries: [] };
  const markOf = (name: string) => pictureOf(pool, { ...event, name, shotId: 'look' }).markId;
  expect(markOf('Girls 50 m Freestyle')).toBe('reaction-turn');
  expect(markOf('Girls 100 m Freestyle')).toBe('reaction-start');
  // Where that mark was taken away, the shot's own.
  const bare = { ...pool, marks: pool.marks.slice(0, 1) };
  expect(pictureOf(bare, { ...event, name: '50 m Free', shotId: 'look' }).markId).toBe(
    'reaction-start',
  );
});

test('calls of its own come before those of the day', () => {
  const prizes = TERN_WATER.events.at(-1) as DayEventRecord;
  const { startMs, secondMs } = callTimes(prizes, TERN_WATER);
  expect(startMs - secondMs).toBe(5 * 60_000);
});

test('light and settings stand beside each event, from where it is shot', async () => {
  const cell = lightColumn(TERN_WATER);
  const [line] = (await linesOf(TERN_WATER)).filter(({ stop }) => stop);
  if (!line?.stop) throw new Error('must be shot');
  const seen = cell(line.event, line.stop);
  // Partly cloudy June morning: EV 12 to 15.5 on the face (common practice).
  expect(Number(seen?.ev)).toBeGreaterThan(11);
  expect(Number(seen?.ev)).toBeLessThan(15.6);
  expect(seen?.shutter).toMatch(/^1\/\d+$/);
  expect(cell(line.event, line.stop)).toBe(seen);
  const dusk = lightColumn(LARKMOOR);
  const [first, last] = [LARKMOOR.events[1], LARKMOOR.events.at(-1)] as DayEventRecord[];
  const evAt = (event: DayEventRecord | undefined) =>
    Number(
      event &&
        dusk(event, { positionId: 'back-line', fromMs: callTimes(event, LARKMOOR).startMs })?.ev,
    );
  expect(evAt(first)).toBeGreaterThan(evAt(last) + 1);
});

test('a route is told place by place, and drawn each way once', async () => {
  const lines = await linesOf(TERN_WATER);
  const legs = legsOf(lines, TERN_WATER.positions);
  expect(legs.flatMap(({ stays }) => stays)).toHaveLength(lines.filter(({ stop }) => stop).length);
  legs.slice(1).forEach((leg, i) => expect(leg.positionId).not.toBe(legs[i]?.positionId));
  const { ways, stations } = routeDrawn(
    legs,
    TERN_WATER.positions,
    atOf(TERN_WATER, '2027-06-19T12:20'),
  );
  expect(ways.filter(({ next }) => next)).toHaveLength(1);
  expect(
    stations
      .flatMap(({ text }) => text.split(', '))
      .map(Number)
      .sort((a, b) => a - b),
  ).toEqual(legs.map((_, i) => i + 1));
});

test('people are written and read a line each, found by name, with their lanes', () => {
  const people = TERN_WATER.people;
  const text = 'Ash Lock, lane 3\nJunior single, lane 4\n\n  pair in lane 2 ';
  const entries = entriesOf(text, people);
  expect(entries).toEqual([
    { name: 'Ash Lock', lane: 3 },
    { personId: 'junior-4', name: 'Junior single, lane 4', lane: 4 },
    { personId: 'pair-2', name: 'Pair in lane 2', lane: 2 },
  ]);
  expect(entriesOf(entriesText(entries), people)).toEqual(entries);
  expect(
    whoInWords({ ...FIRST_EVENT, id: 'a', name: 'A', startLocal: '', entries }, TERN_WATER)[0],
  ).toMatch(/^Junior single, lane 4 \(No\. 214/);
});

/** Ash and Mara at the regatta. */
const twoShoot = (): Shoot => {
  let made = 0;
  return withShooter(TERN_WATER, { own: 'Ash', name: 'Mara' }, () => `s${(made += 1)}`);
};

test('two shooters have more than one, each a day of their own, and nothing twice', async () => {
  const shoot = twoShoot();
  const alone = await linesOf(TERN_WATER);
  const { route } = await planned(shoot);
  const shot = (lines: readonly DayLine[]) =>
    lines.flatMap(({ status, event }) => (status === 'shoot' ? [event.id] : []));
  const all = dayLines(shoot, route);
  const [ash, mara] = ['s2', 's1'].map((id) => dayLines(shoot, route, id)) as [
    readonly DayLine[],
    readonly DayLine[],
  ];
  expect(shot(all).length).toBeGreaterThan(shot(alone).length);
  expect([...shot(ash), ...shot(mara)].sort()).toEqual([...shot(all)].sort());
  expect(shot(ash).length).toBeGreaterThan(0);
  expect(shot(mara).length).toBeGreaterThan(0);
  for (const line of ash.filter(({ status }) => status === 'others')) {
    const hers = mara.find(({ event }) => event.id === line.event.id);
    expect(hers).toMatchObject({ status: 'shoot', by: 'Mara' });
    expect(line.by).toBe('Mara');
    expect(line.why).toMatch(/^Mara shoots it, from [^.]+\.$/);
  }
  expect(dayInWords(ash, undefined, all)).toBe(
    `Shoots ${shot(ash).length} of 19 events; all shooters together ${shot(all).length}, all 4 promised.`,
  );
  // Walks are each one's own.
  const legs = [ash, mara].map((lines) => legsOf(lines, shoot.positions));
  legs.forEach((theirs) =>
    theirs.slice(1).forEach(({ leaveMs }, i) => {
      expect(leaveMs).toBeGreaterThanOrEqual(theirs[i]?.untilMs ?? Infinity);
    }),
  );
});

test('an event taken over is the other’s, and who is not there yet shoots nothing', async () => {
  const shoot = twoShoot();
  const whose = async (of: Shoot, id: string) =>
    (await planned(of)).route.stops.find(({ eventId }) => eventId === id)?.shooterId;
  const [first] = shoot.events.filter(({ worth }) => worth === 'must') as [DayEventRecord];
  for (const shooterId of ['s1', 's2']) {
    expect(await whose(withEvent(shoot, first.id, { shooterId }), first.id)).toBe(shooterId);
  }
  const late = withShooterChanged(shoot, 's1', (mara) => ({
    ...mara,
    fromLocal: shoot.endLocal,
  }));
  const { route } = await planned(late);
  expect(route.stops.every(({ shooterId }) => shooterId === 's2')).toBe(true);
  // With a bag that can’t reach one shoots less.
  const { second: _strap, ...kit } = shoot.kit;
  const short = withShooterChanged(shoot, 's1', (mara) => ({
    ...mara,
    kit: { ...kit, bodyId: 'full-frame-24', lensId: '16-35-2.8', focalMm: 16, bag: [] },
  }));
  const count = async (of: Shoot) =>
    (await planned(of)).route.stops.filter(({ shooterId }) => shooterId === 's1').length;
  expect(await count(short)).toBeLessThan(await count(shoot));
});

test('of what no route serves, the next two that are promised are named while they are to come', () => {
  const lines = dayLines(TERN_WATER, {
    ...{ stops: [], value: 0, mustHavesMissed: [], debtsMissed: [], prices: {} },
    missed: TERN_WATER.events.map(({ id }) => ({
      eventId: id,
      reason: { kind: 'noPosition' as const },
    })),
  });
  const promised = TERN_WATER.events.filter(({ worth }) => worth === 'must').map(({ id }) => id);
  expect(promised.length).toBeGreaterThan(2);
  expect(promised.length).toBeLessThan(lines.length);
  const lostAt = (atMs: number) => lostAhead(lines, atMs).map(({ event }) => event.id);
  expect(lostAt(0)).toEqual(promised.slice(0, 2));
  const first = lines.find(({ event }) => event.id === promised[0]);
  expect(lostAt(first?.startMs ?? NaN)).toEqual(promised.slice(1, 3));
  expect(lostAt(Infinity)).toEqual([]);
});
