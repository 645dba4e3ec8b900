import { TERN_WATER } from '@/demo/tern-water';
import { owedAt, peopleOwed } from '@/answers/people-owed';
import { linesOf, clockIn } from '@/features/day/fixtures/planned-day';
import { FIRST_EVENT, type DayEventRecord } from '@/records/day';
import type { LogEntry } from '@/records/log';
import { shootSchema, type Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { dayInWords, dayLines } from './day-lines';
import {
  byClient,
  isServed,
  owedCounted,
  owedInFull,
  owedInShort,
  owedLines,
  rescueInWords,
  withRescue,
} from './people-owed';

const at = (time: string) => msOf(`2027-06-19T${time}`, 'Europe/London');
const heat = (id: string, time: string, who: string, rest: Partial<DayEventRecord> = {}) =>
  ({
    ...{ ...FIRST_EVENT, id, name: `Heat ${id}`, startLocal: `2027-06-19T${time}` },
    entries: [{ name: who, personId: who, lane: 4 }],
    pinnedTo: 'bank',
    ...rest,
  }) satisfies DayEventRecord;

/** Ash and Bea start at the same minute at two ends of the course; Cy a little later, Dee never. */
const shoot: Shoot = {
  ...TERN_WATER,
  people: [
    { id: 'ash', name: 'Ash Lock', client: 'Fernley', owed: [{ keepers: 2 }] },
    { id: 'bea', name: 'Bea Tarn', client: 'Marlow', owed: [{ keepers: 1 }] },
    { id: 'cy', name: 'Cy Holt', client: 'Fernley', owed: [{ keepers: 1 }] },
    { id: 'dee', name: 'Dee Marsh', owed: [{ keepers: 1 }] },
    { id: 'max', name: 'Max Weir', client: 'Fernley' },
  ],
  events: [
    heat('a', '11:00', 'ash'),
    heat('b', '11:02', 'bea', { pinnedTo: 'start-bank', markId: 'start', worth: 'could' }),
    heat('c', '12:30', 'cy'),
    heat('d', '13:30', 'ash'),
  ],
};
const keeper = (id: string, personIds: string[], rest: Partial<LogEntry> = {}): LogEntry =>
  ({
    ...{ id, kind: 'keeper', atLocal: '2027-06-19T11:01:00', markId: 'lane-4' },
    ...{ positionId: 'bank', personIds },
    ...rest,
  }) as LogEntry;
const logged = (...entries: LogEntry[]): Shoot => ({ ...shoot, log: { ...shoot.log, entries } });
const kinds = (of: Shoot, lines: Awaited<ReturnType<typeof linesOf>>, time: string) =>
  Object.fromEntries(
    owedLines(peopleOwed(of), lines, at(time)).map(({ owed, state }) => [
      owed.person.id,
      state.kind,
    ]),
  );

test('the shoot of this test is one', () => {
  expect(shootSchema.safeParse(shoot).success).toBe(true);
});

test('everyone owed is met, coming, passed or lost, as the plan and the log have it', async () => {
  const lines = await linesOf(shoot);
  // Ash has another heat, so Bea's is taken although it is worth less.
  expect(lines.map(({ event, status }) => [event.id, status])).toEqual([
    ['a', 'missed'],
    ['b', 'shoot'],
    ['c', 'shoot'],
    ['d', 'shoot'],
  ]);
  expect(kinds(shoot, lines, '10:00')).toEqual({
    ...{ ash: 'coming', bea: 'coming', cy: 'coming', dee: 'lost' },
  });
  // With one of two kept, Ash is still coming; with Bea kept, she is met.
  const some = logged(keeper('k1', ['ash', 'bea']));
  expect(kinds(some, lines, '11:30')).toMatchObject({ ash: 'coming', bea: 'met' });
  expect(kinds(shoot, lines, '13:00')).toMatchObject({ bea: 'passed', cy: 'passed' });
  const unplanned = dayLines(shoot, undefined);
  expect(kinds(shoot, unplanned, '10:00')).toMatchObject({ ash: 'planning', dee: 'planning' });
});

test('keepers count for whom they show, of the shot that is owed, and not when rehearsed', () => {
  const [shot, other] = TERN_WATER.shots as [Shoot['shots'][number], Shoot['shots'][number]];
  const [first, ...rest] = shoot.people as [Shoot['people'][number], ...Shoot['people']];
  const picky: Shoot = {
    ...logged(
      keeper('k1', ['ash'], { shotId: shot.id }),
      keeper('k2', ['ash'], { shotId: other.id }),
      keeper('k3', ['ash'], { shotId: shot.id, rehearsed: true }),
      keeper('k4', ['bea'], { shotId: shot.id }),
    ),
    people: [{ ...first, owed: [{ keepers: 2, shotId: shot.id }, { keepers: 1 }] }, ...rest],
  };
  const owed = peopleOwed(picky);
  expect(owed.map(({ key, delivered, keepers }) => [key, delivered, keepers])).toEqual([
    ['ash 0', 1, 2],
    ['ash 1', 2, 1],
    ['bea 0', 1, 1],
    ['cy 0', 0, 1],
    ['dee 0', 0, 1],
  ]);
  // None of the heats gives that shot.
  expect(owed[0]?.events).toEqual([]);
  expect(owedAt(shoot.events[0] as DayEventRecord, peopleOwed(shoot)).map(({ id }) => id)).toEqual([
    'ash',
  ]);
});

test('who is scratched is owed nothing, and an event that is off brings nothing', () => {
  const [ash, ...others] = shoot.people as [Shoot['people'][number], ...Shoot['people']];
  const scratched = { ...shoot, people: [{ ...ash, scratched: true as const }, ...others] };
  expect(peopleOwed(scratched).some(({ person }) => person.id === 'ash')).toBe(false);
  const off = {
    ...shoot,
    events: shoot.events.map((event) =>
      event.id === 'c' ? { ...event, cancelled: true as const } : event,
    ),
  };
  expect(peopleOwed(off).find(({ person }) => person.id === 'cy')?.events).toEqual([]);
});

test('it is said in short, in full and in figures, by client', async () => {
  const lines = await linesOf(shoot);
  const owed = owedLines(peopleOwed(shoot), lines, at('10:00'));
  const clock = clockIn(shoot);
  expect(owed.map((line) => owedInShort(line, clock))).toEqual([
    'Ash Lock 13:30',
    'Bea Tarn 11:02',
    'Cy Holt 12:30',
    'Dee Marsh lost',
  ]);
  expect(byClient(owed).map(([client, all]) => [client, all.length])).toEqual([
    ['Fernley', 2],
    ['Marlow', 1],
    ['', 1],
  ]);
  expect(owedCounted(owed)).toBe('3 coming, 1 lost');
  const [ash, bea, , dee] = owed as [(typeof owed)[0], (typeof owed)[0], unknown, (typeof owed)[0]];
  expect(owedInFull(ash, shoot, clock)).toMatch(
    /^13:30, lane 4: Heat d, from Bank.*\. 0 of 2 had$/,
  );
  expect(owedInFull(dee, shoot, clock)).toBe('Lost: in no event of the order');
  const past = owedLines(peopleOwed(shoot), lines, at('11:30'))[1];
  expect(past && owedInFull(past, shoot, clock)).toBe(
    '11:02, lane 4: Heat b is over, and no keeper of it is logged',
  );
  expect(isServed(bea.owed, lines)).toBe(true);
  expect(dayInWords(lines, { owed: 4, met: 3 })).toBe('Shoots 3 of 4 events, 3 of the 4 owed.');
  expect(dayInWords(lines, { owed: 4, met: 4 })).toMatch(/all 4 owed\.$/);
});

test('the cheapest rescue of someone lost names what it gives up and whom it loses, and does it', async () => {
  // Without Ash's second heat one of two must be lost.
  const tight: Shoot = { ...shoot, events: shoot.events.slice(0, 3) };
  const lines = await linesOf(tight);
  const clock = clockIn(tight);
  const owed = owedLines(peopleOwed(tight), lines, at('10:00'));
  const lost = owed.find(
    ({ state, owed: one }) => state.kind === 'lost' && one.person.id !== 'dee',
  );
  if (lost?.state.kind !== 'lost' || !lost.state.rescue) throw new Error('nobody to rescue');
  const other = lost.owed.person.id === 'ash' ? 'Bea Tarn' : 'Ash Lock';
  const { rescue } = lost.state;
  expect(rescue.gives).toHaveLength(1);
  expect(rescue.loses.map(({ name }) => name)).toEqual([other]);
  expect(rescueInWords(rescue, tight, clock)).toMatch(
    new RegExp(
      `^Heat [ab] from .+, 11:0\\d to 11:0\\d\\. Gives up Heat [ab], and with it ${other}\\.$`,
    ),
  );
  const saved = withRescue(tight, rescue);
  expect(shootSchema.safeParse(saved).success).toBe(true);
  const after = await linesOf(saved);
  const states = owedLines(peopleOwed(saved), after, at('10:00'));
  expect(states.find(({ owed: one }) => one.person.id === lost.owed.person.id)?.state.kind).toBe(
    'coming',
  );
  const going = after.find(({ event }) => event.id === rescue.event.id)?.startMs ?? 0;
  const on = owedLines(peopleOwed(saved), after, going + 60_000);
  expect(on.map((line) => owedInShort(line, clock))).toContain(`${lost.owed.person.name} now`);
  // Once it is over there is nothing to rescue.
  const late = owedLines(peopleOwed(tight), lines, at('11:20'));
  const then = late.find(({ owed: one }) => one.person.id === lost.owed.person.id)?.state;
  expect(then?.kind === 'lost' && then.rescue).toBeFalsy();
});

test('more keepers owed of one bring more of their events, and never cost another their only one', async () => {
  const at2 = { pinnedTo: 'start-bank', markId: 'start' };
  const several = (keepers: number): Shoot => ({
    ...shoot,
    people: [
      { id: 'ash', name: 'Ash Lock', owed: [{ keepers }] },
      { id: 'bea', name: 'Bea Tarn', owed: [{ keepers: 1 }] },
      { id: 'cy', name: 'Cy Holt' },
    ],
    events: [
      heat('a', '11:00', 'ash'),
      // Of these two one can be had: another's that is worth more, or Ash's second.
      heat('b', '12:00', 'cy', { ...at2, worth: 'should' }),
      heat('c', '12:01', 'ash', { worth: 'could' }),
      // And of these: Bea's only one, or Ash's third.
      heat('d', '13:00', 'bea', { ...at2, worth: 'could' }),
      heat('e', '13:01', 'ash', { worth: 'should' }),
    ],
  });
  const shotOf = async (of: Shoot) =>
    (await linesOf(of)).filter(({ status }) => status === 'shoot').map(({ event }) => event.id);
  const one = await shotOf({ ...several(1), events: several(1).events.slice(0, 4) });
  expect(one).toEqual(['a', 'b', 'd']);
  const three = { ...several(3), events: several(3).events.slice(0, 4) };
  expect(await shotOf(three)).toEqual(['a', 'c', 'd']);
  const lines = await linesOf(three);
  const [ash] = owedLines(peopleOwed(three), lines, at('10:00'));
  expect(ash && owedInFull(ash, three, clockIn(three))).toMatch(/; 1 more planned after it\./);
  const [last] = owedLines(peopleOwed(three), lines, at('11:30'));
  expect(last && owedInFull(last, three, clockIn(three))).toMatch(/; their last one planned\./);
  // Bea's only one stands against a wish of Ash's, however much is owed.
  expect(await shotOf(several(3))).toEqual(['a', 'c', 'd']);
});
