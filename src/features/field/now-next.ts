import type { LightSeries, SettingsCard } from '@/core';
import { callTimes } from '@/answers/day-request';
import { comingLines, stayLines, whoInWords, type DayLine } from '@/features/shoot/day-lines';
import { eventTitle } from '@/records/day-said';
import type { TimedReminder } from '@/answers/reminders';
import { reminderInWords } from '@/features/shoot/perch-words';
import { turningsOf } from '@/answers/light-plan';
import { TURNING_WORDS } from '@/features/shoot/light-words';
import { turnInWords } from '@/features/shoot/card';
import type { Shoot } from '@/records/shoot';
import { lensToTake } from './as-planned';

/** What is on, and what comes next, in the few words that a glance takes in. */

export interface Coming {
  readonly what: string;
  readonly atMs: number;
}

/** The first of some; of two at once the one named later: the start, not its call. */
const firstOf = (coming: readonly Coming[]): Coming | undefined =>
  coming.reduce<Coming | undefined>(
    (first, entry) => (!first || entry.atMs <= first.atMs ? entry : first),
    undefined,
  );

/** The first that is still to come. */
const firstAfter = (coming: readonly Coming[], atMs: number): Coming | undefined =>
  firstOf(coming.filter((entry) => entry.atMs > atMs));

/** The event that runs at a minute; where two do, the one that is shot. */
export function runningLine(lines: readonly DayLine[], atMs: number): DayLine | undefined {
  const on = ({ startMs, endMs }: DayLine) => startMs <= atMs && atMs < endMs;
  return stayLines(lines).find(on) ?? lines.find(on);
}

/** Stays after the one that is on or comes next: two more. */
export const thenLines = (lines: readonly DayLine[], atMs: number): readonly DayLine[] =>
  comingLines(lines, atMs).slice(1, 3);

/** "15:12 Long jump, Ash Lock (lane 4)". */
export const thenInWords = (
  { event, startMs }: DayLine,
  shoot: Pick<Shoot, 'people'>,
  clock: (ms: number) => string,
): string => [`${clock(startMs)} ${eventTitle(event)}`, ...whoInWords(event, shoot)].join(', ');

function callsOf({ event }: DayLine, shoot: Pick<Shoot, 'day' | 'place'>): readonly Coming[] {
  const { firstMs, secondMs, thirdMs } = callTimes(event, shoot);
  const title = eventTitle(event);
  return [
    { what: `First call, ${title}`, atMs: firstMs },
    { what: `Second call, ${title}`, atMs: secondMs },
    { what: `Third call, ${title}`, atMs: thirdMs },
  ];
}

/** What to do next for the day's order: leave with what lens, hear a call, shoot. */
export function nextCall(
  lines: readonly DayLine[],
  shoot: Shoot,
  atMs: number,
): Coming | undefined {
  const planned = lines.some(({ status }) => status === 'shoot');
  // While the route is still planned every event counts.
  const coming = planned ? comingLines(lines, atMs) : lines.filter(({ endMs }) => endMs > atMs);
  return firstAfter(
    coming.slice(0, 3).flatMap((line): Coming[] => {
      const title = eventTitle(line.event);
      const place = shoot.positions.find(({ id }) => id === line.stop?.positionId)?.name;
      const leaves = line.leaveMs !== undefined && place;
      const worn = lensToTake(shoot, line);
      const lens = worn ? ` with the ${worn.name}` : '';
      return [
        ...(leaves
          ? [{ what: `Leave for ${place}${lens}: ${title}`, atMs: line.leaveMs as number }]
          : []),
        ...(line.event.window ? [] : callsOf(line, shoot)),
        { what: leaves ? title : `${title}${lens}`, atMs: line.startMs },
      ];
    }),
    atMs,
  );
}

/** What is easily forgotten at a perch, when it comes up; off the shore for as long as the water is about. */
export const nextReminder = (
  reminders: readonly TimedReminder[],
  atMs: number,
): Coming | undefined =>
  firstOf(
    reminders
      .filter(({ atMs: dueMs, untilMs = dueMs }) => untilMs > atMs)
      .map(({ reminder, atMs: dueMs }) => ({ what: reminderInWords(reminder), atMs: dueMs })),
  );

/** What the light does next: a dial to turn, or sun, shade and lamps that change places. */
export function nextLight(
  card: SettingsCard | undefined,
  series: LightSeries,
  atMs: number,
): Coming | undefined {
  const turns = (card?.rows ?? []).flatMap(({ fromMs, turns: turned }): Coming[] => {
    const dials = turned.filter(({ dial }) => dial !== 'lift');
    return dials.length > 0 ? [{ what: dials.map(turnInWords).join(', '), atMs: fromMs }] : [];
  });
  const turnings = turningsOf(series).map(({ what, timeMs }) => ({
    what: TURNING_WORDS[what],
    atMs: timeMs,
  }));
  return firstAfter([...turnings, ...turns], atMs);
}

const MINUTE_S = 60;
const HOUR_S = 3600;

/** "in 12:40", "in 2 h 05". */
export function countdown(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1000));
  if (seconds >= HOUR_S) {
    const minutes = Math.floor((seconds % HOUR_S) / MINUTE_S);
    return `in ${Math.floor(seconds / HOUR_S)} h ${String(minutes).padStart(2, '0')}`;
  }
  return `in ${Math.floor(seconds / MINUTE_S)}:${String(seconds % MINUTE_S).padStart(2, '0')}`;
}
