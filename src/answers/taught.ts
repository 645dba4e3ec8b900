import { max, min } from 'd3-array';
import {
  lightOnSubject,
  meanInterval,
  nearestMark,
  pan,
  panSigmaInterval,
  skyAt,
  skyNamed,
  visitsPerHour,
  wilsonInterval,
  type Mean,
  type PanFrame,
  type Rate,
  type Sky,
} from '@/core';
import { othersHere, watchesWithSightings } from './nature';
import { lookingAt } from './picture-view';
import { measuredIn } from './heard';
import { skyOver, viewOf } from './view';
import type { Shot } from '@/records/brief';
import type { Shoot } from '@/records/shoot';
import { localMinuteOf, msOf } from '@/records/times';
import { HANGS } from '@/presets/rhythms';
import { subjectOf } from '@/records/own-subject';
import { countedEntries } from './counted';
import { evOfFrame, matchedFrames, pressesOf, standIsThere, type MatchedFrame } from './matched';

/** What the numbers of a log teach, each with how sure it is. */

const HOUR_MS = 3_600_000;

/** Frames or presses kept of those taken, under one name. */
export interface RateRow<N extends string = string> extends Rate {
  readonly name: N;
  readonly kept: number;
  readonly of: number;
}

/** Keeper rates by what frames or presses are named by; most first. Those without a name are left out. */
export function ratesBy<T extends { readonly kept: boolean }, N extends string = string>(
  taken: readonly T[],
  nameOf: (one: T) => N | undefined,
): readonly RateRow<N>[] {
  const groups = new Map<N, { kept: number; of: number }>();
  for (const one of taken) {
    const name = nameOf(one);
    if (name === undefined) continue;
    const group = groups.get(name) ?? { kept: 0, of: 0 };
    group.of += 1;
    group.kept += Number(one.kept);
    groups.set(name, group);
  }
  return [...groups]
    .map(([name, { kept, of }]) => ({
      ...{ name, kept, of },
      ...wilsonInterval({ successes: kept, trials: of }),
    }))
    .sort((a, b) => b.of - a.of);
}

/** An interval wider than this says nothing: the share may be small or large. No source. */
const WIDEST_TOLD = 0.5;

/** Whether a share from so few says anything. */
export const tells = ({ low, high }: Rate): boolean => high - low <= WIDEST_TOLD;

/** The light that a frame was exposed for, in bands of two stops: the lower of the two, as EV at ISO 100. */
export function lightBand({ frame }: MatchedFrame): number | undefined {
  const ev = evOfFrame(frame);
  return ev === undefined ? undefined : 2 * Math.floor(ev / 2);
}

/** The first and the last quarter of the time from a shoot's first picture to its last: fresh, and tired. */
export type Quarter = 'first' | 'between' | 'last';

export function quarterOf(
  frames: readonly Pick<MatchedFrame, 'atMs'>[],
): (frame: Pick<MatchedFrame, 'atMs'>) => Quarter {
  const times = frames.map(({ atMs }) => atMs);
  const [from, to] = [min(times) ?? 0, max(times) ?? 0];
  return ({ atMs }) => {
    const share = (atMs - from) / (to - from);
    return share < 0.25 ? 'first' : share > 0.75 ? 'last' : 'between';
  };
}

/** Whether two shares are told apart from chance: their intervals share nothing. */
export const areApart = (a: Rate, b: Rate): boolean => a.high < b.low || b.high < a.low;

/** A frame's time to the nearest whole stop, as engraved. */
export const shutterBand = ({ frame }: MatchedFrame): string | undefined =>
  frame.shutterS === undefined
    ? undefined
    : nearestMark('shutter', frame.shutterS, 'nearest', 'whole').label;

/** A promised shot against what came of it. */
export interface Delivered {
  readonly shot: Shot;
  readonly quota: number;
  /** The larger of the pictures kept and the keepers tapped: a tap may lack its picture, or the reverse. */
  readonly delivered: number;
}

export function deliveredOf(
  shoot: Pick<Shoot, 'shots' | 'log' | 'place'>,
  frames: readonly MatchedFrame[],
): readonly Delivered[] {
  const taps = countedEntries(shoot).filter(({ entry }) => entry.kind === 'keeper');
  return shoot.shots.map((shot) => ({
    shot,
    quota: shot.quota,
    delivered: Math.max(
      frames.filter(({ kept, stand }) => kept && stand.shotId === shot.id).length,
      taps.filter(({ entry }) => entry.shotId === shot.id).length,
    ),
  }));
}

/** A shorter streak is sharp in any swing: that it was not kept says nothing of the hands. No source. */
const LEAST_STREAK_CIRCLES = 4;

/** Panned frames with how far their background was drawn out; kept stands for sharp. */
export function panFramesOf(shoot: Shoot): readonly PanFrame[] {
  const panned = new Map(
    shoot.shots.filter(({ technique }) => technique === 'pan').map((shot) => [shot.id, shot]),
  );
  if (panned.size === 0) return [];
  const views = new Map<string, ReturnType<typeof viewOf>>();
  return matchedFrames(shoot).flatMap(({ frame, stand, kept, standBy }): readonly PanFrame[] => {
    const shot = stand.shotId === undefined ? undefined : panned.get(stand.shotId);
    const { shutterS, focalMm } = frame;
    if (!shot || standBy === 'plan' || shutterS === undefined || focalMm === undefined) return [];
    const { markId, positionId } = stand;
    if (!standIsThere(shoot, stand)) return [];
    const key = `${shot.id} ${markId} ${positionId}`;
    const seen = views.get(key) ?? viewOf(lookingAt(shoot, { shot, markId }, positionId));
    views.set(key, seen);
    if (!seen.ok || seen.view.subject.speedMs <= 0) return [];
    const { closestM, offsetM } = seen.view.passing;
    // No lens focuses nearer than its focal length: such a frame is of something else.
    if (Math.hypot(closestM, offsetM) * 1000 <= focalMm) return [];
    const { streakMm } = pan({
      ...seen.view.passing,
      speedMs: seen.view.subject.speedMs,
      focalMm,
      shutterS,
      skillSigma: 0,
      cocMm: seen.view.cocMm,
    });
    return streakMm >= LEAST_STREAK_CIRCLES * seen.view.cocMm ? [{ streakMm, sharp: kept }] : [];
  });
}

/** Presses of a kind in the field, and how many of them have a kept frame. */
export interface FieldPresses {
  readonly kept: number;
  readonly presses: number;
}

/** Presses at those who hang at the top of a jump; what only the plan says was in hand does not count. */
export function jumpPresses(shoots: readonly Shoot[]): FieldPresses {
  const presses = shoots.flatMap((shoot) => {
    const jumpers = new Set(
      shoot.marks.flatMap(({ id, subjectId }) => {
        const subject = subjectOf(shoot, subjectId);
        return HANGS.has(subject.basedOn ?? subject.id) ? id : [];
      }),
    );
    const frames = matchedFrames(shoot).filter(
      ({ stand, standBy }) => standBy !== 'plan' && jumpers.has(stand.markId),
    );
    return pressesOf(frames);
  });
  const kept = presses.filter(({ frames }) => frames.some((frame) => frame.kept)).length;
  return { kept, presses: presses.length };
}

export interface PanSkill extends Rate {
  readonly frames: number;
}

/** How evenly someone pans, by the frames of some shoots; nothing without any. */
export function panSkill(shoots: readonly Shoot[]): PanSkill | undefined {
  const frames = shoots.flatMap(panFramesOf);
  return frames.length === 0
    ? undefined
    : { ...panSigmaInterval({ frames }), frames: frames.length };
}

/** Readings of one hour against what was computed, in stops: negative where it was darker. */
export interface HourlyOffset extends Mean {
  readonly hour: number;
}

/** How the light of shoots at one place stood against what is computed, hour by hour. */
export function lightOffsets(shoots: readonly Shoot[]): readonly HourlyOffset[] {
  const byHour = new Map<number, number[]>();
  for (const shoot of shoots) {
    const seen = viewOf(shoot);
    if (!seen.ok) continue;
    // A made-up light teaches nothing.
    const readings = shoot.readings.filter(({ simulated }) => !simulated);
    for (const { timeMs, ev, scene } of measuredIn({ ...shoot, readings })) {
      const hour = Number(localMinuteOf(timeMs, shoot.place.timeZone).slice(11, 13));
      const offset = ev - lightOnSubject(scene, timeMs).ev.expected;
      byHour.set(hour, [...(byHour.get(hour) ?? []), offset]);
    }
  }
  return [...byHour]
    .map(([hour, offsets]) => ({ hour, ...meanInterval(offsets) }))
    .sort((a, b) => a.hour - b.hour);
}

/** Shoots at the place of one, itself among them. */
export const shootsHere = (shoot: Shoot, all: readonly Shoot[]): readonly Shoot[] => [
  shoot,
  ...othersHere(shoot, all),
];

/** A quarter of an hour that was watched. */
export interface WatchedQuarter {
  readonly shoot: string;
  readonly mark: string;
  readonly fromLocal: string;
  readonly watchedH: number;
  readonly visits: number;
  readonly sky: Sky;
}

const QUARTER_MS = HOUR_MS / 4;

/** All that was watched in some shoots, by quarters of an hour: each watch once, whoever copied it. */
export function watchedQuarters(shoots: readonly Shoot[]): readonly WatchedQuarter[] {
  const counted = new Set<string>();
  return shoots.flatMap((shoot) => {
    const { timeZone } = shoot.place;
    const over = skyOver(shoot.light);
    return watchesWithSightings(shoot).flatMap(
      ({ id, markId, fromLocal, toLocal, visitsLocal }): readonly WatchedQuarter[] => {
        if (counted.has(id)) return [];
        counted.add(id);
        const [fromMs, toMs] = [fromLocal, toLocal].map((local) => msOf(local, timeZone)) as [
          number,
          number,
        ];
        const visitsMs = visitsLocal.map((visit) => msOf(visit, timeZone));
        const count = Math.ceil((toMs - fromMs) / QUARTER_MS);
        return Array.from({ length: count }, (_, i) => {
          const startMs = fromMs + i * QUARTER_MS;
          const endMs = Math.min(startMs + QUARTER_MS, toMs);
          // A visit at the very end is of the last quarter.
          const isIn = (ms: number) =>
            ms >= startMs && (ms < endMs || (ms === toMs && endMs === toMs));
          return {
            shoot: shoot.title,
            mark: shoot.marks.find((mark) => mark.id === markId)?.name ?? '',
            fromLocal: localMinuteOf(startMs, timeZone),
            watchedH: (endMs - startMs) / HOUR_MS,
            visits: visitsMs.filter(isIn).length,
            // Watches from other days than the forecast's have no known sky but the one set by hand.
            sky: skyNamed(skyAt(over, startMs)),
          };
        });
      },
    );
  });
}

/** Visits an hour under one name. */
export interface VisitsUnder<N> extends Rate {
  readonly name: N;
  readonly visits: number;
  readonly watchedH: number;
}

/** Visits by what a watched quarter is named by, in the order in which the names come. */
export function visitsBy<N>(
  quarters: readonly WatchedQuarter[],
  nameOf: (quarter: WatchedQuarter) => N,
): readonly VisitsUnder<N>[] {
  const sums = new Map<N, { visits: number; watchedH: number }>();
  for (const quarter of quarters) {
    const name = nameOf(quarter);
    const sum = sums.get(name) ?? { visits: 0, watchedH: 0 };
    sums.set(name, {
      visits: sum.visits + quarter.visits,
      watchedH: sum.watchedH + quarter.watchedH,
    });
  }
  return [...sums].map(([name, { visits, watchedH }]) => ({
    ...{ name, visits, watchedH },
    ...visitsPerHour({ visits, hours: watchedH }),
  }));
}

/** Three months from March, June, September or December on: 0 to 3. */
export const seasonOf = ({ fromLocal }: Pick<WatchedQuarter, 'fromLocal'>): number =>
  Math.floor(((Number(fromLocal.slice(5, 7)) + 9) % 12) / 3);

/** The value below which a share of sorted values lies. */
function quantile(sorted: readonly number[], share: number): number {
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
}

/** What a dial really stood at: the middle, and the range of four frames in five. */
export interface Spread {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
  readonly most: number;
  readonly count: number;
}

export function spreadOf(values: readonly number[]): Spread | undefined {
  if (values.length === 0) return undefined;
  const sorted = [...values].sort((a, b) => a - b);
  return {
    low: quantile(sorted, 0.1),
    middle: quantile(sorted, 0.5),
    high: quantile(sorted, 0.9),
    most: sorted.at(-1) ?? 0,
    count: sorted.length,
  };
}
