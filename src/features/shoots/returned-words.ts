import { inALine } from '@/records/day-said';
import type { LogEntry } from '@/records/log';
import type { PlanPart, Returned } from '@/records/merge-returned';

/** What a shoot that came back has that is not here, in words. */

const ENTRIES: Readonly<Record<LogEntry['kind'], readonly [string, string]>> = {
  keeper: ['keeper', 'keepers'],
  sighting: ['sighting', 'sightings'],
  athlete: ['athlete seen', 'athletes seen'],
  behaviour: ['behaviour', 'behaviours'],
  note: ['note', 'notes'],
  stand: ['change of place or shot', 'changes of place or shot'],
};

const PARTS: Readonly<Record<PlanPart, string>> = {
  hours: 'hours',
  brief: 'brief',
  shots: 'promised shots',
  people: 'people',
  ground: 'ground',
  features: 'what is drawn',
  marks: 'marks',
  positions: 'positions',
  subjects: 'subjects',
  light: 'light',
  kit: 'kit',
  shooters: 'who shoots',
  day: 'rules of the day',
  events: 'running order',
  nature: 'tides and feeding',
  air: 'weather',
};

const counted = (count: number, [one, more]: readonly [string, string]): string =>
  `${count} ${count === 1 ? one : more}`;

/** A line for each kind of thing that is new: "12 keepers". */
export function newsInWords(news: Returned): readonly string[] {
  const ofKind = (kind: LogEntry['kind']) =>
    news.entries.filter((entry) => entry.kind === kind).length;
  const lines: readonly (readonly [number, readonly [string, string]])[] = [
    ...(Object.keys(ENTRIES) as LogEntry['kind'][]).map(
      (kind) => [ofKind(kind), ENTRIES[kind]] as const,
    ),
    [news.readings.length, ['light reading', 'light readings']],
    [news.frames, ['picture’s figures', 'pictures’ figures']],
    [news.watches.length, ['time watched', 'times watched']],
    [news.late.length, ['event at another time', 'events at other times']],
    [news.off.length, ['event that is off', 'events that are off']],
  ];
  return [
    ...lines.filter(([count]) => count > 0).map(([count, words]) => counted(count, words)),
    ...(news.scratched.length > 0
      ? [`scratched: ${inALine(news.scratched.map(({ name }) => name))}`]
      : []),
  ];
}

/** What of the plan is another there; nothing where it is the same. */
export const planInWords = ({ plan }: Pick<Returned, 'plan'>): string =>
  plan.length === 0
    ? ''
    : `The plan there is another in ${inALine(plan.map((part) => PARTS[part]))}. It stays as it is here.`;
