import { max } from 'd3-array';
import {
  type DayEvent,
  type DayShooter,
  type Debt,
  type LeadTimes,
  type Quota,
  type ScoredKit,
  type ScoredMark,
  type ScoredPosition,
  type ScoredShot,
  type ScoredSite,
} from '@/core';
import { combinationsOf } from './bag';
import { scoredKit, scoredMark, scoredShot, scoredSite } from './scored';
import { PLAIN_FRAMING } from './wanted';
import { isMet, peopleIn, peopleOwed } from './people-owed';
import type { Shot } from '@/records/brief';
import type { Calls, DayEventRecord, Worth } from '@/records/day';
import { startOf } from '@/records/edit-events';
import { markOfSide } from '@/presets/own-side';
import { markAtFinish } from '@/presets/pool-finish';
import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';

/** A day as the planner takes it. */

/** A picture that an event gives: what, where, and how the camera is held for it. */
export interface DayPicture {
  readonly mark: ScoredMark;
  readonly shot: ScoredShot;
  readonly orientation: ScoredKit['orientation'];
}

/** A day to be planned: how well each position serves each event follows from ground, light and kit. */
export interface DayRequest {
  readonly site: ScoredSite;
  /** Who shoots, the one whose day is open first: of each all that the bag makes up: what frames a picture best counts. */
  readonly shooters: readonly (DayShooter & { readonly kits: readonly ScoredKit[] })[];
  readonly positions: readonly (ScoredPosition & { readonly id: string })[];
  readonly pictures: Readonly<Record<string, DayPicture>>;
  readonly events: readonly (Omit<DayEvent, 'from'> & {
    readonly picture: string;
    /** When its light is looked at. */
    readonly lightMs: number;
    /** Who alone may shoot it. */
    readonly shooterId?: string;
  })[];
  readonly walkSpeedMs: number;
  readonly leadTimes: LeadTimes;
  readonly quotas: readonly Quota[];
  readonly debts: readonly Debt[];
}

const MINUTE_MS = 60_000;
/** What an event is worth to the sum; what is promised comes before any sum. No source. */
const VALUE: Readonly<Record<Worth, number>> = { must: 4, should: 2, could: 1 };
/**
 * Each person in it of whom more than one keeper is still owed makes an event worth so much more: everyone is met once
 * before any sum, and then it is again the rest of what is owed that counts. No source.
 */
const KEEPERS_LEFT = 2;
/** One picture more of a shot that has its count is worth this share. No source. */
const BEYOND_SHARE = 0.4;
/** Coming to a window once more is worth this share of the time before. No source. */
const AGAIN_SHARE = 0.5;
/** Ways to fill the quotas beyond which they are no longer counted: the plan must come at once. */
const MOST_FILLINGS = 64;

/** A picture of an event that no shot was promised for: whoever it is, the face is seen. Common practice, no source. */
const PLAIN: ScoredShot = {
  fill: PLAIN_FRAMING.fill,
  face: 'threeQuarter',
  light: 'any',
  backdrop: 'any',
};

/** What says which picture an event gives. */
export type Pictured = Pick<Shoot, 'shots' | 'marks' | 'people'> & {
  readonly ground: Pick<Shoot['ground'], 'template' | 'thrown'>;
};

/** Whose own side an event is met on: those of whom something is owed, else all who are in it. */
function whoseSide({ people }: Pick<Pictured, 'people'>, event: DayEventRecord) {
  const who = peopleIn(event, { people });
  const owed = who.filter((person) => person.owed);
  return owed.length > 0 ? owed : who;
}

/** The shot an event gives, and the mark where it happens: at the end where it ends, on the athlete's own side. */
export function pictureOf(
  { shots, marks, people, ground }: Pictured,
  event: DayEventRecord,
): {
  readonly shot: Shot | undefined;
  readonly markId: string;
  /** What chose another mark than the one that was meant. */
  readonly by?: 'finish' | 'side';
} {
  const shot = shots.find(({ id }) => id === event.shotId);
  const first = marks[0]?.id ?? '';
  const meant = shot?.markId ?? event.markId ?? first;
  const other = (id: string) => id !== meant && marks.some((mark) => mark.id === id);
  const atFinish = markAtFinish(meant, event.name, ground.template);
  if (other(atFinish)) return { shot, markId: atFinish, by: 'finish' };
  const onSide = markOfSide(meant, whoseSide({ people }, event), ground);
  if (other(onSide)) return { shot, markId: onSide, by: 'side' };
  return { shot, markId: marks.some(({ id }) => id === meant) ? meant : first };
}

const pictureKey = (shotId: string | undefined, markId: string): string =>
  `${shotId ?? 'plain'} ${markId}`;

/** The key of an event's picture among the request's. */
export function pictureKeyOf(shoot: Pictured, event: DayEventRecord): string {
  const { shot, markId } = pictureOf(shoot, event);
  return pictureKey(shot?.id, markId);
}

const callsOf = (event: DayEventRecord, { calls }: { readonly calls: Calls }): Calls =>
  event.calls ?? calls;

/** When the light of an event is looked at: at its start, or in the middle of a window. */
export const lightTime = (
  { window, durationMin }: Pick<DayEventRecord, 'window' | 'durationMin'>,
  startMs: number,
): number => (window ? startMs + (durationMin * MINUTE_MS) / 2 : startMs);

/** When the calls of an event are. */
export function callTimes(
  event: DayEventRecord,
  shoot: Pick<Shoot, 'day' | 'place'>,
): {
  readonly startMs: number;
  readonly firstMs: number;
  readonly secondMs: number;
  readonly thirdMs: number;
} {
  const startMs = msOf(startOf(event), shoot.place.timeZone);
  const { first, second, third } = callsOf(event, shoot.day);
  return {
    startMs,
    firstMs: startMs - first * MINUTE_MS,
    secondMs: startMs - second * MINUTE_MS,
    thirdMs: startMs - third * MINUTE_MS,
  };
}

type DayShoot = Pick<
  Shoot,
  | 'startLocal'
  | 'endLocal'
  | 'events'
  | 'people'
  | 'log'
  | 'day'
  | 'shots'
  | 'marks'
  | 'positions'
  | 'kit'
  | 'shooters'
  | 'subjects'
  | 'ground'
  | 'features'
  | 'place'
  | 'light'
  | 'readings'
  | 'air'
> & {
  readonly choice: Pick<Shoot['choice'], 'panSigma' | 'shooterId' | 'floors'>;
};

/** One who shoots alone, among the request's shooters. */
const ALONE = 'alone';

/** Who the day is open for, among the request's shooters. */
export const ownId = ({ shooterId }: Pick<Shoot['choice'], 'shooterId'>): string =>
  shooterId ?? ALONE;

/** All who shoot, the one whose day is open first. */
function shootersOf(shoot: DayShoot): DayRequest['shooters'] {
  const { shooters, choice, kit, place } = shoot;
  const mine = ownId(choice);
  if (shooters.length === 0) return [{ id: mine, kits: kitsOf(kit) }];
  const all = shooters.map(({ id, fromLocal, atPositionId, kit: theirs }) => ({
    id,
    kits: kitsOf(theirs ?? kit),
    ...((fromLocal ?? atPositionId) && {
      starts: {
        fromMs: msOf(fromLocal ?? shoot.startLocal, place.timeZone),
        ...(atPositionId && { positionId: atPositionId }),
      },
    }),
  }));
  return [...all.filter(({ id }) => id === mine), ...all.filter(({ id }) => id !== mine)];
}

/** Every lens of the bag as Kit counts it: converter and all, on each body. */
const kitsOf = (kit: Shoot['kit']): readonly ScoredKit[] =>
  combinationsOf(kit).map(({ body, lens }) =>
    scoredKit(body, lens, { ...PLAIN_FRAMING, support: kit.support }),
  );

/** An event that is counted against its shot's number: what is owed or wanted counts in full, and so do windows. */
const counts = (event: DayEventRecord): boolean =>
  event.worth === 'could' && !event.leftOut && !event.cancelled && !event.window;

/**
 * What is left of each shot's number beyond the events that are owed or wanted anyway; as far as the
 * planner can count it.
 */
function quotasOf({ shots, events }: DayShoot): readonly Quota[] {
  let fillings = 1;
  return shots.flatMap(({ id, quota }): Quota[] => {
    const giving = events.filter(
      (event) => event.shotId === id && !event.leftOut && !event.cancelled,
    );
    const spare = giving.filter(counts).length;
    const need = Math.max(0, quota - (giving.length - spare));
    if (spare <= need || fillings * (need + 1) > MOST_FILLINGS) return [];
    fillings *= need + 1;
    return [{ group: id, need, beyondShare: BEYOND_SHARE }];
  });
}

/** When an event ends as things stand. */
export const endOf = (event: DayEventRecord, shoot: Pick<Shoot, 'day' | 'place'>): number =>
  callTimes(event, shoot).startMs + event.durationMin * MINUTE_MS;

/** The last end of an event up to a moment; nothing where none has ended. */
export const overBy = (
  shoot: Pick<Shoot, 'events' | 'day' | 'place'>,
  atMs: number,
): number | undefined =>
  max(shoot.events, (event) => {
    const endMs = endOf(event, shoot);
    return endMs <= atMs ? endMs : undefined;
  });

/**
 * Those owed of whom not all is had yet, each with the events that may bring it.
 * @param fromMs what was over by then brings nothing more
 */
const debtsOf = (shoot: DayShoot, fromMs: number): readonly Debt[] =>
  peopleOwed(shoot)
    .filter((owed) => !isMet(owed))
    .map(({ key, events }) => ({
      id: key,
      events: events.filter((event) => endOf(event, shoot) > fromMs).map(({ id }) => id),
    }));

/** How much more events are worth for the keepers owed in them beyond one each. */
function keepersLeft(shoot: DayShoot): (event: DayEventRecord) => number {
  const several = peopleOwed(shoot).filter(({ keepers, delivered }) => keepers - delivered > 1);
  return ({ id }) =>
    KEEPERS_LEFT * several.filter(({ events }) => events.some((one) => one.id === id)).length;
}

/**
 * The request to the planner; nothing while there are no events.
 * @param fromMs on the day itself, the last minute by which anything was over
 */
export function dayRequestOf(shoot: DayShoot, fromMs = -Infinity): DayRequest | undefined {
  const { events, positions, day } = shoot;
  if (events.length === 0) return undefined;
  const pictures: Record<string, DayPicture> = {};
  const left = keepersLeft(shoot);
  const planned = events.map((event) => {
    const { shot, markId } = pictureOf(shoot, event);
    const picture = pictureKey(shot?.id, markId);
    const mark = shoot.marks.find(({ id }) => id === markId) ?? shoot.marks[0];
    if (mark) {
      pictures[picture] ??= {
        mark: scoredMark(shoot, mark),
        shot: shot ? scoredShot(shot, shoot.choice.panSigma) : PLAIN,
        orientation: (shot ?? PLAIN_FRAMING).orientation,
      };
    }
    const { startMs } = callTimes(event, shoot);
    return {
      id: event.id,
      startMs,
      endMs: startMs + event.durationMin * MINUTE_MS,
      value: VALUE[event.worth] + left(event),
      mustHave: event.worth === 'must',
      picture,
      lightMs: lightTime(event, startMs),
      ...(event.window && {
        window: {
          visitMs: event.window.visitMin * MINUTE_MS,
          most: event.window.visits,
          againShare: AGAIN_SHARE,
        },
      }),
      ...(shot && counts(event) && { group: shot.id }),
      ...(event.pinnedTo && { pinnedTo: event.pinnedTo }),
      ...(event.shooterId && { shooterId: event.shooterId }),
      ...((event.leftOut || event.cancelled) && { forbidden: true }),
    };
  });
  return {
    site: scoredSite(shoot),
    shooters: shootersOf(shoot),
    positions: positions.map(({ id, x, y, cameraHeightM }) => ({ id, x, y, cameraHeightM })),
    pictures,
    events: planned,
    walkSpeedMs: day.walkSpeedMs,
    leadTimes: {
      secondCallMs: day.calls.second * MINUTE_MS,
      stayingIsReady: true,
      byEvent: Object.fromEntries(
        events.flatMap(({ id, calls }) => (calls ? [[id, calls.second * MINUTE_MS]] : [])),
      ),
    },
    quotas: quotasOf(shoot),
    debts: debtsOf(shoot, fromMs),
  };
}
