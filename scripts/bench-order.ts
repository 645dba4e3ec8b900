/**
 * A running order as large as one may be: 5000 rows of a table and 5000 events of a calendar read,
 * brought into a shoot and checked whole; a day of 200 events planned from first score to route, and
 * planned again after a pin.
 */
import { TERN_WATER } from '@/demo/tern-water';
import { dayRequestOf, type DayRequest } from '../src/answers/day-request';
import { merged } from '@/features/day/import';
import { guessMeanings, readOrder, writeOrder } from '@/formats/order-csv';
import { readTable } from '@/formats/table';
import { readCalendar, writeCalendar } from '@/formats/order-ics';
import { FIRST_EVENT, MOST_EVENTS } from '@/records/day';
import { shootSchema, type Shoot } from '@/records/shoot';
import { moreInWords } from '@/features/shoot/day-lines';
import { withShooter } from '@/records/edit-shooters';
import { dayService } from '@/workers/day-job';

const DAYS = ['2027-06-19', '2027-06-19'] as const;
const clock = (minute: number) =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;

const LARGE: Shoot = {
  ...TERN_WATER,
  events: Array.from({ length: MOST_EVENTS }, (_, i) => ({
    ...FIRST_EVENT,
    id: `e${i}`,
    name: `Race ${i}`,
    startLocal: `2027-06-19T${clock(540 + (i % 400))}`,
    entries: [{ name: `Crew ${i}`, lane: i % 9 }],
  })),
};

const inSeconds = (ms: number) => `${(ms / 1000).toFixed(2)} s`;

function timed(name: string, run: () => void): void {
  let best = Infinity;
  for (let i = 0; i < 3; i += 1) {
    const start = performance.now();
    run();
    best = Math.min(best, performance.now() - start);
  }
  console.log(`${name.padEnd(55)}${inSeconds(best)}`);
}

function bringInTable(text: string): Shoot {
  const read = readTable(text);
  if (!read.ok) throw new Error(read.reason);
  const meanings = guessMeanings(read.table.columns, {});
  const { events, problems } = readOrder(read.table, meanings, { days: DAYS });
  if (problems[0]) throw new Error(problems[0].reason);
  let made = 0;
  return merged({ ...TERN_WATER, events: [] }, events, {}, () => `n${(made += 1)}`);
}

/** Positions on a grid about the course, as many as a planner might put. */
const manyPositions = (count: number): Shoot['positions'] =>
  Array.from({ length: count }, (_, i) => ({
    id: `p${i}`,
    name: `Place ${i}`,
    x: -120 + (i % 8) * 34,
    y: -220 + Math.floor(i / 8) * 90,
    cameraHeightM: 1.5,
  }));

export async function benchOrder(): Promise<void> {
  const table = writeOrder(LARGE);
  const calendar = writeCalendar(LARGE, () => ({ lines: [] }), 0);
  timed('table of 5000 rows, read, brought in and checked', () => {
    shootSchema.parse(bringInTable(table));
  });
  timed('calendar of 5000 events, read', () => {
    const read = readCalendar(calendar, { days: DAYS, timeZone: 'Europe/London' });
    if (!read.ok) throw new Error(read.reason);
  });
  const positions = manyPositions(40);
  const shoot: Shoot = {
    ...TERN_WATER,
    positions,
    choice: { ...TERN_WATER.choice, positionId: 'p0' },
    events: LARGE.events.slice(0, 200).map((event, i) => ({
      ...event,
      shotId: TERN_WATER.shots[i % 3]?.id ?? 'last-metres',
    })),
  };
  const plan = planner();
  const request = dayRequestOf(shoot);
  if (!request) throw new Error('must have events');
  const late = (all: DayRequest): DayRequest => ({
    ...all,
    events: all.events.map(({ window, ...event }) =>
      window ? { ...event, window } : shifted(event, LATE_MS),
    ),
  });
  const pinned = (all: DayRequest): DayRequest => ({
    ...all,
    events: all.events.map((event, i) => (i === 7 ? { ...event, pinnedTo: 'p3' } : event)),
  });
  const windows = {
    ...request,
    events: request.events.map((event, i) => {
      if (i % 14 !== 0) return event;
      const { group: _counted, ...alone } = event;
      const window = { visitMs: 600_000, most: 3, againShare: 0.5 };
      // Half an hour after each other: three are open at once.
      const startMs = (request.events[0]?.startMs ?? 0) + (i / 14) * 30 * 60_000;
      return { ...alone, startMs, endMs: startMs + 90 * 60_000, window };
    }),
  };
  await plan('day of 200 events × 40 positions, scored too', request);
  await plan('  after a pin', pinned(request));
  await plan('the same, 15 of them windows of three visits', windows);
  await plan('  after a pin', pinned(windows));
  await plan('  25 minutes late, scored too', late(windows));
  await benchMeet();
}

const LATE_MS = 25 * 60_000;

const shifted = <T extends { startMs: number; endMs: number; lightMs: number }>(
  event: T,
  byMs: number,
): T => ({
  ...event,
  startMs: event.startMs + byMs,
  endMs: event.endMs + byMs,
  lightMs: event.lightMs + byMs,
});

/** Plans in one worker's memory; says when a day that can be walked was there, and when the best. */
function planner() {
  const service = dayService(() => Promise.resolve());
  let id = 0;
  return async (name: string, request: DayRequest | undefined): Promise<void> => {
    if (!request) throw new Error('must have events');
    id += 1;
    const start = performance.now();
    let first = 0;
    const reply = await service.day({ ...request, id }, () => {
      first = performance.now() - start;
    });
    const took = performance.now() - start;
    if (reply.kind !== 'done') throw new Error(JSON.stringify(reply));
    console.log(
      `${name.padEnd(55)}first ${inSeconds(first)}, best ${inSeconds(took)}${moreInWords(reply.value.route)}`,
    );
  };
}

/** A meet: 56 events, eight of them windows, twelve people owed in three events each, by a fixed chance. */
async function benchMeet(): Promise<void> {
  let seed = 7;
  const chance = (n: number) => (seed = (seed * 16_807) % 2_147_483_647) % n;
  const people = Array.from({ length: 12 }, (_, i) => ({
    ...{ id: `a${i}`, name: `Runner ${i}`, owed: [{ keepers: 1 }] },
  }));
  const events = Array.from({ length: 56 }, (_, i) => ({
    ...FIRST_EVENT,
    ...{ id: `m${i}`, name: `Race ${i}`, shotId: TERN_WATER.shots[i % 3]?.id ?? 'last-metres' },
    startLocal: `2027-06-19T${clock(540 + i * 6)}`,
    durationMin: i % 7 === 0 ? 90 : 3,
    entries: people.flatMap(({ id, name }) => (chance(19) === 0 ? [{ name, personId: id }] : [])),
    ...(i % 7 === 0 && { window: { visitMin: 10, visits: 3 } }),
  }));
  const shoot: Shoot = {
    ...{ ...TERN_WATER, people, events, positions: manyPositions(40) },
    choice: { ...TERN_WATER.choice, positionId: 'p0' },
  };
  const plan = planner();
  const late = (of: Shoot): Shoot => ({
    ...of,
    events: of.events.map((event) => (event.window ? event : { ...event, lateMin: 25 })),
  });
  const without = (of: Shoot): Shoot => ({
    ...of,
    people: of.people.map((one, i) => (i < 2 ? { ...one, scratched: true as const } : one)),
  });
  const changed = async (name: string, of: Shoot): Promise<void> => {
    await plan(name, dayRequestOf(of));
    await plan('  25 minutes late', dayRequestOf(late(of)));
    await plan('  two scratched', dayRequestOf(without(of)));
  };
  await changed('meet of 56 events, 8 windows, 12 people owed', shoot);
  let made = 0;
  const two = withShooter(shoot, { own: 'Ash', name: 'Mara' }, () => `s${(made += 1)}`);
  await changed('the same for two shooters', two);
  const three = withShooter(two, { own: '', name: 'Ben' }, () => `s${(made += 1)}`);
  await changed('the same for three', three);
}
