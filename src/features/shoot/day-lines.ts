import { eventTitle, inALine } from '@/records/day-said';
import { group } from 'd3-array';
import type { MissedReason, Route, Stop } from '@/core';
import { personInWords } from './brief-words';
import type { DayEventRecord } from '@/records/day';
import { startOf } from '@/records/edit-events';
import type { Shoot } from '@/records/shoot';
import { clockOf, localMinuteOf } from '@/records/times';
import { written } from '@/ui/units';
import { callTimes } from '@/answers/day-request';

/** The order of a day as it is shown: where to be for each event, and why one is missed. */

const MINUTE_MS = 60_000;

export interface DayLine {
  readonly event: DayEventRecord;
  readonly startMs: number;
  readonly endMs: number;
  readonly secondMs: number;
  /** Where it is shot from; of a window, the first visit. */
  readonly stop?: Stop;
  /** Visits to a window after the first. */
  readonly again?: readonly Stop[];
  /** When to leave the place before; the stop's own ready time when one need not walk. */
  readonly leaveMs?: number;
  /** In short: where from, or that it is missed. */
  readonly status: 'shoot' | 'others' | 'missed' | 'leftOut' | 'cancelled' | 'unknown';
  /** Who of several shoots it. */
  readonly by?: string;
  /** Why it is missed, where it is. */
  readonly reason?: MissedReason;
  readonly why: string;
  /** What is weak about the place it is shot from. */
  readonly weak?: string;
}

/** Who of these people is in it and starts, with what they are known by. */
export function whoInWords(
  { entries }: DayEventRecord,
  { people }: Pick<Shoot, 'people'>,
): readonly string[] {
  return entries.flatMap(({ personId, name, lane, number }): readonly string[] => {
    const person = people.find(({ id, scratched }) => id === personId && !scratched);
    if (!person) return [];
    const known = personInWords({
      ...person,
      ...(lane !== undefined && { lane }),
      ...(number && { number }),
    });
    return [known ? `${name} (${known})` : name];
  });
}

const walkInWords = (ms: number): string => {
  const minutes = Math.max(1, Math.ceil(ms / MINUTE_MS));
  return `${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`;
};

/**
 * Why an event is not in the route.
 * @param before whether it starts before the other event of the reason
 */
export function missedInWords(
  reason: MissedReason,
  titleOf: (id: string) => string,
  before: (otherId: string) => boolean,
): string {
  switch (reason.kind) {
    case 'forbidden':
      return 'You left it out.';
    case 'noPosition':
      return 'No position serves it: nothing sees it well enough, or one may not stand there.';
    case 'worthNothing':
      return 'You already have enough of it.';
    case 'overlap':
      return `It runs while ${inALine(reason.withEvents.map(titleOf))} ${reason.withEvents.length > 1 ? 'are' : 'is'} shot.`;
    case 'notYetThere':
      return 'Whoever could shoot it is not there in time.';
    case 'tooShort':
      return 'It is over before a visit would be: make the visit shorter.';
    case 'walk': {
      const other = titleOf(reason.otherEvent);
      const first = before(reason.otherEvent);
      if (reason.haveMs <= 0) {
        return first
          ? `It ends after the second call for ${other}, which is shot elsewhere.`
          : `Its second call comes while ${other} is shot elsewhere.`;
      }
      return `The walk from ${first ? `it to ${other}` : `${other} to it`} takes ${walkInWords(reason.needMs)}; there are ${Math.floor(reason.haveMs / MINUTE_MS)}.`;
    }
  }
}

/** Visits that follow each other at once at one place are one stay. */
const joined = (visits: readonly Stop[]): readonly Stop[] =>
  visits.reduce<readonly Stop[]>((all, visit) => {
    const last = all.at(-1);
    return last &&
      last.shooterId === visit.shooterId &&
      last.positionId === visit.positionId &&
      last.untilMs === visit.fromMs
      ? [...all.slice(0, -1), { ...last, untilMs: visit.untilMs, value: last.value + visit.value }]
      : [...all, visit];
  }, []);

/** "15:10 to 15:20, again 15:44 to 15:54." */
const visitsInWords = (visits: readonly Stop[], clock: (ms: number) => string): string =>
  `${visits
    .map(({ fromMs, untilMs }) => `${clock(fromMs)} to ${clock(untilMs)}`)
    .join(', again ')}.`;

type DayShoot = Pick<Shoot, 'events' | 'day' | 'place' | 'positions'>;

/**
 * Every event of the day, with where to be for it.
 * @param route nothing while it is planned
 * @param whose the day of this one of several: what others shoot is theirs; of all when absent
 */
export function dayLines(
  shoot: DayShoot & Pick<Shoot, 'shooters'>,
  route: Route | undefined,
  whose?: string,
): readonly DayLine[] {
  const stops = group(route?.stops ?? [], ({ eventId }) => eventId);
  const shooterOf = (id: string | undefined) =>
    shoot.shooters.find((entry) => entry.id === id)?.name;
  const missed = new Map(route?.missed.map(({ eventId, reason }) => [eventId, reason]));
  const titles = new Map(shoot.events.map((event) => [event.id, eventTitle(event)]));
  const starts = new Map(shoot.events.map((event) => [event.id, callTimes(event, shoot).startMs]));
  const clock = (ms: number) => clockOf(ms, shoot.place.timeZone);
  const nameOf = (id: string) => shoot.positions.find((entry) => entry.id === id)?.name ?? id;
  return shoot.events.map((event): DayLine => {
    const { startMs, secondMs } = callTimes(event, shoot);
    const line = { event, startMs, secondMs, endMs: startMs + event.durationMin * MINUTE_MS };
    const all = stops.get(event.id) ?? [];
    const [stop, ...again] = joined(
      all.filter(({ shooterId }) => whose === undefined || shooterId === whose),
    );
    const [other] = joined(all);
    const by = shooterOf((stop ?? other)?.shooterId);
    if (!stop && other) {
      const visits = event.window ? `${visitsInWords(joined(all), clock)} ` : '';
      const why = `${visits}${by ?? ''} shoots it, from ${nameOf(other.positionId)}.`;
      return { ...line, status: 'others', ...(by && { by }), why };
    }
    if (stop) {
      const moves = stop.walkMs > 0;
      const visits = event.window ? `${visitsInWords([stop, ...again], clock)} ` : '';
      return {
        ...line,
        stop,
        ...(again.length > 0 && { again }),
        status: 'shoot',
        ...(by && { by }),
        ...(moves && { leaveMs: stop.readyByMs - stop.walkMs }),
        why: moves
          ? `${visits}From ${nameOf(stop.positionId)}, ${written(stop.walkM, 'm', 0)} to walk, ${walkInWords(stop.walkMs)}.`
          : `${visits}From ${nameOf(stop.positionId)}.`,
      };
    }
    if (event.cancelled) return { ...line, status: 'cancelled', why: 'It does not take place.' };
    const reason = missed.get(event.id);
    if (!reason) return { ...line, status: 'unknown', why: '' };
    return {
      ...line,
      status: reason.kind === 'forbidden' ? 'leftOut' : 'missed',
      reason,
      why: missedInWords(
        reason,
        (id) => titles.get(id) ?? id,
        (id) => startMs < (starts.get(id) ?? 0),
      ),
    };
  });
}

/** The route as it goes: a line for each stay, a window’s visits with their own times. */
export const stayLines = (lines: readonly DayLine[]): readonly DayLine[] =>
  lines
    .flatMap((line): readonly DayLine[] => {
      const { stop, again = [], event } = line;
      if (!stop) return [];
      if (!event.window) return [line];
      return [stop, ...again].map((visit): DayLine => {
        const { leaveMs: _first, again: _all, ...alike } = line;
        return {
          ...alike,
          ...{ stop: visit, startMs: visit.fromMs, endMs: visit.untilMs, secondMs: visit.fromMs },
          ...(visit.walkMs > 0 && { leaveMs: visit.fromMs - visit.walkMs }),
        };
      });
    })
    .sort((a, b) => a.startMs - b.startMs);

/** Stays of the route that end after a minute; the next one first. */
export const comingLines = (lines: readonly DayLine[], atMs: number): readonly DayLine[] =>
  stayLines(lines).filter(({ endMs }) => endMs > atMs);

/** As many are named at once; the rest stand in the order. */
const MOST_LOST = 2;

/** Promised events still to come that no route serves. */
export const lostAhead = (lines: readonly DayLine[], atMs: number): readonly DayLine[] =>
  lines
    .filter(
      ({ status, event, startMs }) =>
        status === 'missed' && event.worth === 'must' && startMs > atMs,
    )
    .slice(0, MOST_LOST);

export interface NextUp {
  readonly head: string;
  readonly lines: readonly string[];
}

/** "Calls at 13:10, 13:20 and 13:27." */
function callsInWords(
  event: DayEventRecord,
  shoot: DayShoot,
  clock: (ms: number) => string,
): string {
  const { firstMs, secondMs, thirdMs } = callTimes(event, shoot);
  return `Calls at ${clock(firstMs)}, ${clock(secondMs)} and ${clock(thirdMs)}.`;
}

const windowEndMs = (event: DayEventRecord, shoot: DayShoot): number =>
  callTimes(event, shoot).startMs + event.durationMin * MINUTE_MS;

/** Where to go next from a minute on, or that all is done. */
export function nextInWords(
  lines: readonly DayLine[],
  atMs: number,
  shoot: DayShoot,
  clock: (ms: number) => string,
): NextUp {
  const [next] = comingLines(lines, atMs);
  if (!next?.stop) {
    return { head: 'Nothing more to shoot', lines: ['No event of the route is still to come.'] };
  }
  const { stop, event, startMs } = next;
  const place = shoot.positions.find(({ id }) => id === stop.positionId)?.name ?? '';
  const going = startMs <= atMs;
  return {
    head: `${going ? 'Now' : clock(startMs)}: ${eventTitle(event)}`,
    lines: [
      next.leaveMs === undefined
        ? `Stay at ${place}.`
        : next.leaveMs > atMs
          ? `To ${place}: leave by ${clock(next.leaveMs)}, ${walkInWords(stop.walkMs)} to walk, in place by ${event.window ? '' : 'the second call at '}${clock(stop.readyByMs)}.`
          : event.window
            ? `Be at ${place}.`
            : `Be at ${place}: the second call is at ${clock(stop.readyByMs)}.`,
      ...(event.window
        ? [
            `Drop in until ${clock(stop.untilMs)}; it goes on until ${clock(windowEndMs(event, shoot))}.`,
          ]
        : going
          ? []
          : [callsInWords(event, shoot, clock)]),
    ],
  };
}

/**
 * What the day brings, in a line: "Shoots 11 of 19, all 4 promised, 11 of the 12 owed."; of several "Shoots 6 of 19; together 11, all 4 promised."
 * @param all the day of all who shoot
 */
export function dayInWords(
  lines: readonly DayLine[],
  people?: { readonly owed: number; readonly met: number },
  all: readonly DayLine[] = lines,
): string {
  const shot = lines.filter(({ status }) => status === 'shoot');
  const owed = all.filter(({ event }) => event.worth === 'must');
  const had = owed.filter(({ status }) => status === 'shoot').length;
  const promised =
    owed.length === 0
      ? ''
      : had === owed.length
        ? `, ${had === 1 ? 'the one' : `all ${had}`} promised`
        : `, ${had} of the ${owed.length} promised`;
  const whom =
    !people || people.owed === 0
      ? ''
      : people.met === people.owed
        ? `, ${people.met === 1 ? 'the one owed' : `all ${people.met} owed`}`
        : `, ${people.met} of the ${people.owed} owed`;
  const on = lines.filter(({ status }) => status !== 'cancelled').length;
  const others = new Set(all.flatMap(({ status, event }) => (status === 'shoot' ? [event.id] : [])))
    .size;
  const weak = shot.filter((line) => line.weak !== undefined).length;
  const weakly = weak > 0 ? `, ${weak} from a weak place` : '';
  const both = lines === all ? '' : `; all shooters together ${others}`;
  return `Shoots ${shot.length} of ${on} ${on === 1 ? 'event' : 'events'}${weakly}${both}${promised}${whom}.`;
}

/** How much better a day there might be, where there are too many ways to try them all. */
export function moreInWords({ atMostMore, value }: Pick<Route, 'atMostMore' | 'value'>): string {
  if (!atMostMore) return '';
  const { promises, value: more } = atMostMore;
  const best =
    promises > 0
      ? `${promises} more of what is owed`
      : `${Math.max(1, Math.ceil((100 * more) / Math.max(more, value)))} % more`;
  return ` There are too many ways to try them all: a better order might bring ${best}, no more.`;
}

/** How a meet runs against its programme, by the next event of it. */
export function lateInWords(shoot: Pick<Shoot, 'events' | 'place'>, atMs: number): string {
  const at = localMinuteOf(atMs, shoot.place.timeZone);
  const next = shoot.events.find((event) => startOf(event) >= at) ?? shoot.events.at(-1);
  const late = next?.lateMin ?? 0;
  if (late === 0) return 'On programme';
  const minutes = Math.abs(late);
  return `Now ${minutes} ${minutes === 1 ? 'minute' : 'minutes'} ${late > 0 ? 'behind' : 'ahead'}`;
}
