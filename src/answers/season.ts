import { meanInterval, nearestMark } from '@/core';
import { askedOf, plannedFor } from './against-plan';
import {
  evOfFrame,
  matchedFrames,
  pressesOf,
  standIsThere,
  type MatchedFrame,
  type Press,
  type Stand,
} from './matched';
import { lookingAt } from './picture-view';
import {
  areApart,
  quarterOf,
  ratesBy,
  type HourlyOffset,
  type Quarter,
  type RateRow,
} from './taught';
import { viewOf } from './view';
import type { ClassId } from '@/presets/classes';
import { frameKey, framesOf } from '@/records/edit-log';
import type { Shoot } from '@/records/shoot';
import { localMinuteOf } from '@/records/times';

/**
 * What some shoots together teach. It is counted by presses of the button, not by frames: those of one press are taken
 * of one thing with the same dials, and stand or fall together.
 */

/** A press, whose it is, and whether any of its pictures was kept. */
export interface LivedPress {
  readonly shoot: Shoot;
  readonly press: Press;
  readonly kept: boolean;
}

const pressesKnown = new WeakMap<Shoot, readonly LivedPress[]>();

function pressesIn(shoot: Shoot): readonly LivedPress[] {
  const made =
    pressesKnown.get(shoot) ??
    pressesOf(matchedFrames(shoot)).map((press) => ({
      ...{ shoot, press },
      kept: press.frames.some(({ kept }) => kept),
    }));
  pressesKnown.set(shoot, made);
  return made;
}

export const firstOf = ({ press }: LivedPress): MatchedFrame => press.frames[0] as MatchedFrame;
export const middleOf = ({ press }: LivedPress): MatchedFrame =>
  press.frames[press.frames.length >> 1] as MatchedFrame;

/** The presses of some shoots, each picture counted once however many shoots hold it. */
export function livedPresses(shoots: readonly Shoot[]): readonly LivedPress[] {
  const counted = new Set<string>();
  return shoots.flatMap((shoot) =>
    pressesIn(shoot).filter((one) => {
      const key = frameKey(firstOf(one).frame);
      if (counted.has(key)) return false;
      counted.add(key);
      return true;
    }),
  );
}

/** A shoot and those of the twelve months before it, the latest last. */
export function twelveMonths(shoot: Shoot, others: readonly Shoot[]): readonly Shoot[] {
  const { startLocal } = shoot;
  const from = `${Number(startLocal.slice(0, 4)) - 1}${startLocal.slice(4)}`;
  return [
    ...others.filter((one) => one.startLocal > from && one.startLocal < startLocal),
    shoot,
  ].sort((a, b) => (a.startLocal < b.startLocal ? -1 : 1));
}

/** Shoots of which something is known that no other of them holds: a copy of a day is no other day. */
export function livedOnce(shoots: readonly Shoot[]): readonly Shoot[] {
  const known = new Set<string>();
  return shoots.filter(({ log }) => {
    const told = [...log.entries.map(({ id }) => id), ...framesOf({ log }).map(frameKey)];
    const isNew = told.some((key) => !known.has(key));
    for (const key of told) known.add(key);
    return isNew;
  });
}

const QUARTERS = ['first', 'between', 'last'] as const satisfies readonly Quarter[];

/** Rates of presses that gave a keeper, by the quarters of each shoot's own time, in their order. */
export function byQuarter(presses: readonly LivedPress[]): readonly RateRow<Quarter>[] {
  const quarterIn = new Map<Shoot, ReturnType<typeof quarterOf>>();
  const rows = ratesBy(presses, (one) => {
    const quarter = quarterIn.get(one.shoot) ?? quarterOf(matchedFrames(one.shoot));
    quarterIn.set(one.shoot, quarter);
    return quarter(firstOf(one));
  });
  return QUARTERS.flatMap((quarter) => rows.filter(({ name }) => name === quarter));
}

/** The first and the last quarter where one keeps less in the last by more than chance; nothing else. */
export function tiredBy(
  rows: readonly RateRow<Quarter>[],
): { readonly first: RateRow<Quarter>; readonly last: RateRow<Quarter> } | undefined {
  const [first, last] = (['first', 'last'] as const).map((name) =>
    rows.find((row) => row.name === name),
  );
  return first && last && areApart(first, last) && last.rate < first.rate
    ? { first, last }
    : undefined;
}

/** A time of a class at which presses begin to give more keepers, by more than chance. */
export interface ShutterTaught {
  readonly classId: ClassId;
  readonly shutterS: number;
  /** At that time and shorter. */
  readonly faster: RateRow<string>;
  readonly slower: RateRow<string>;
}

/** Presses on each side of a time, so that they say anything. No source. */
const FEWEST_PRESSES = 8;
/** Times that are tried as limits, whole stops from 1/60 to 1/4000. */
const LIMITS_S = Array.from({ length: 7 }, (_, i) => nearestMark('shutter', 2 ** -(6 + i)).value);
/** A dial that stands a sixth of a stop off a mark is on it. */
const ON_MARK = 2 ** (1 / 6);

/** A press of what is frozen. */
interface Frozen {
  readonly classId: ClassId;
  readonly shutterS: number;
}

const frozenKnown = new WeakMap<Shoot, ReadonlyMap<LivedPress, Frozen>>();

/** A shoot's presses of what is frozen and still there; what was only planned does not count. */
function frozenIn(shoot: Shoot): ReadonlyMap<LivedPress, Frozen> {
  const made = frozenKnown.get(shoot);
  if (made) return made;
  const classes = new Map<string, ClassId | undefined>();
  const classOf = (stand: Stand): ClassId | undefined => {
    if (!standIsThere(shoot, stand)) return undefined;
    const { markId, positionId, shotId } = stand;
    const shot = shoot.shots.find(({ id }) => id === shotId);
    const seen = viewOf(lookingAt(shoot, { shot, markId }, positionId));
    return seen.ok && !seen.view.times.kept ? seen.view.classId : undefined;
  };
  const found = new Map<LivedPress, Frozen>();
  for (const one of pressesIn(shoot)) {
    const { stand, standBy, frame } = middleOf(one);
    if (standBy === 'plan' || frame.shutterS === undefined) continue;
    const key = `${stand.markId} ${stand.positionId} ${stand.shotId ?? ''}`;
    if (!classes.has(key)) classes.set(key, classOf(stand));
    const classId = classes.get(key);
    if (classId) found.set(one, { classId, shutterS: frame.shutterS });
  }
  frozenKnown.set(shoot, found);
  return found;
}

/** Times that presses teach, for each class of subject the one that parts them best. */
export function shuttersTaught(presses: readonly LivedPress[]): readonly ShutterTaught[] {
  const byClass = new Map<ClassId, { readonly shutterS: number; readonly kept: boolean }[]>();
  for (const one of presses) {
    const frozen = frozenIn(one.shoot).get(one);
    if (!frozen) continue;
    const list = byClass.get(frozen.classId) ?? [];
    list.push({ shutterS: frozen.shutterS, kept: one.kept });
    byClass.set(frozen.classId, list);
  }
  return [...byClass].flatMap(([classId, timed]) => {
    const parted = LIMITS_S.flatMap((shutterS): readonly ShutterTaught[] => {
      const rows = ratesBy(timed, (each) =>
        each.shutterS <= shutterS * ON_MARK ? 'faster' : 'slower',
      );
      const [faster, slower] = ['faster', 'slower'].map((name) =>
        rows.find((row) => row.name === name && row.of >= FEWEST_PRESSES),
      );
      return faster && slower && areApart(faster, slower) && faster.rate > slower.rate
        ? [{ classId, shutterS, faster, slower }]
        : [];
    });
    const gap = ({ faster, slower }: ShutterTaught) => faster.low - slower.high;
    return parted.sort((a, b) => gap(b) - gap(a)).slice(0, 1);
  });
}

/** Kept presses of one hour that are looked at: more say no more. No source. */
const MOST_AN_HOUR = 12;
/** Fewer kept presses of an hour say nothing of its light. No source. */
const FEWEST_AN_HOUR = 3;

/** How far the light that a press was exposed for stood off what is computed, in stops, and its hour. */
interface HourOffset {
  readonly hour: number;
  readonly offsetStops: number;
}

const offsetsKnown = new WeakMap<Shoot, ReadonlyMap<LivedPress, HourOffset>>();

/** By a shoot's kept presses, some of each hour; what was measured is not looked at. */
function offsetsIn(shoot: Shoot): ReadonlyMap<LivedPress, HourOffset> {
  const made = offsetsKnown.get(shoot);
  if (made) return made;
  const { learned: _learned, ...light } = shoot.light;
  const plannedOf = plannedFor({ ...shoot, light, readings: [] });
  const counts = new Map<number, number>();
  const found = new Map<LivedPress, HourOffset>();
  for (const one of pressesIn(shoot)) {
    const middle = middleOf(one);
    const ev = evOfFrame(middle.frame);
    if (!one.kept || ev === undefined || middle.standBy === 'plan') continue;
    const hour = Number(localMinuteOf(middle.atMs, shoot.place.timeZone).slice(11, 13));
    const count = counts.get(hour) ?? 0;
    const planned = count < MOST_AN_HOUR ? plannedOf(middle) : undefined;
    if (!planned) continue;
    counts.set(hour, count + 1);
    found.set(one, { hour, offsetStops: ev - askedOf(planned, ev).expected });
  }
  offsetsKnown.set(shoot, found);
  return found;
}

/**
 * How the light at one place stood against what is computed, hour by hour, by what kept pictures were exposed for: they
 * were right, or could be put right.
 */
export function lightByPictures(shoots: readonly Shoot[]): readonly HourlyOffset[] {
  const byHour = new Map<number, number[]>();
  for (const one of livedPresses(shoots)) {
    const offset = offsetsIn(one.shoot).get(one);
    if (!offset) continue;
    byHour.set(offset.hour, [...(byHour.get(offset.hour) ?? []), offset.offsetStops]);
  }
  return [...byHour]
    .filter(([, offsets]) => offsets.length >= FEWEST_AN_HOUR)
    .map(([hour, offsets]) => ({ hour, ...meanInterval(offsets) }))
    .sort((a, b) => a.hour - b.hour);
}

/** Looks at a shoot for all that is asked of it here, so that it is known when it is asked: some tens of milliseconds. */
export function lookThrough(shoot: Shoot): void {
  frozenIn(shoot);
  offsetsIn(shoot);
}
