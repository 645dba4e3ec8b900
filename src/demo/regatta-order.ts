import { FIRST_EVENT, type DayEventRecord } from '@/records/day';
import { minutesOn } from '@/records/edit-events';

/** The running order of the invented regatta at Tern Water: heats, finals, a pause, prize giving. */

const DAY = '2027-06-19';
const CREWS = ['Tern Water', 'Withy Reach', 'Ash Lock', 'Gannet Cut', 'Low Mill', 'Sedge End'];

/** Class, heats, minutes between starts; named people are those of the brief. */
const MORNING = [
  { name: 'Junior single 500 m', heats: 4 },
  { name: 'Women’s pair 500 m', heats: 3 },
  { name: 'Men’s single 500 m', heats: 4 },
  { name: 'Mixed four 500 m', heats: 3 },
] as const;
const FINALS = [
  'Junior single 500 m',
  'Women’s pair 500 m',
  'Men’s single 500 m',
  'Mixed four 500 m',
];

const NAMED: Readonly<Record<string, DayEventRecord['entries'][number]>> = {
  'junior-single-500-m-2': { personId: 'junior-4', name: 'Junior single, lane 4', lane: 4 },
  'junior-single-500-m-final': { personId: 'junior-4', name: 'Junior single, lane 4', lane: 4 },
  'women-s-pair-500-m-1': { personId: 'pair-2', name: 'Pair in lane 2', lane: 2 },
  'women-s-pair-500-m-final': { personId: 'pair-2', name: 'Pair in lane 2', lane: 2 },
};

const slug = (text: string): string => text.toLowerCase().replace(/[^a-z0-9]+/g, '-');

function race(
  name: string,
  heat: string,
  startLocal: string,
  rest: Partial<DayEventRecord>,
): DayEventRecord {
  const id = `${slug(name)}-${slug(heat)}`.slice(0, 40);
  const owed = NAMED[id];
  const crews = CREWS.map((crew, i) => ({ name: crew, lane: i + 1 }));
  return {
    ...FIRST_EVENT,
    id,
    name,
    heat,
    startLocal,
    durationMin: 3,
    entries: owed ? crews.map((entry) => (entry.lane === owed.lane ? owed : entry)) : crews,
    worth: owed ? 'must' : 'could',
    ...rest,
  };
}

const heats = MORNING.flatMap(({ name, heats: count }, group) =>
  Array.from({ length: count }, (_, i) => ({ name, heat: String(i + 1), group })),
).map(({ name, heat, group }, i) =>
  race(name, heat, minutesOn(`${DAY}T10:00`, i * 8), {
    shotId: (['last-metres', 'panned', 'panned', 'spray'] as const)[group] ?? 'last-metres',
  }),
);

const finals = FINALS.map((name, i) =>
  race(name, 'Final', minutesOn(`${DAY}T13:30`, i * 15), {
    shotId: 'last-metres',
    worth: 'should',
  }),
).map((event) => (NAMED[event.id] ? { ...event, worth: 'must' as const } : event));

export const TERN_ORDER: readonly DayEventRecord[] = [
  ...heats,
  ...finals,
  {
    ...FIRST_EVENT,
    id: 'prizes',
    name: 'Prize giving on the pontoon',
    startLocal: `${DAY}T14:45`,
    durationMin: 20,
    entries: [],
    worth: 'should',
    markId: 'lane-4',
    calls: { first: 10, second: 5, third: 0 },
  },
];
