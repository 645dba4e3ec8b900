import { median, quantile } from 'd3-array';
import {
  groundUnderM,
  measure,
  point3,
  sightBlocks,
  type Obstacle,
  type Point2,
  type Point3,
} from '@/core';
import type { LogEntry } from '@/records/log';
import type { Mark, Shoot } from '@/records/shoot';
import type { Watch } from '@/records/day';
import { thingsOf } from './along-sight';
import { othersHere } from './nature';
import type { View } from './view';

/** How near one may come to what is wild, by what it did; and when, and how much of the way it sees. */

/** How often it comes back, from one coming to the next, in minutes. */
export interface Gaps {
  readonly count: number;
  readonly lowMin: number;
  readonly middleMin: number;
  readonly highMin: number;
}

const MINUTE_MS = 60_000;

/** Minutes from each time to the next, in order. */
function gapsBetween(timesLocal: readonly string[]): readonly number[] {
  const times = timesLocal.map((local) => Date.parse(`${local}Z`)).sort((a, b) => a - b);
  return times.slice(1).map((at, i) => (at - (times[i] as number)) / MINUTE_MS);
}

/** The middle and the half about it of all times between two comings that were watched without a break; nothing for fewer than three. */
export function gapsOf(watches: readonly Pick<Watch, 'visitsLocal'>[]): Gaps | undefined {
  const gaps = watches.flatMap(({ visitsLocal }) => gapsBetween(visitsLocal));
  if (gaps.length < 3) return undefined;
  const [lowMin, middleMin, highMin] = [0.25, 0.5, 0.75].map((share) => quantile(gaps, share)) as [
    number,
    number,
    number,
  ];
  return { count: gaps.length, lowMin, middleMin, highMin };
}

/** What wild animals do when they are disturbed, the least first; as Field logs it. */
export const LOOKS_UP = 'looks up';
export const LEAVES = 'leaves';

/** From how far it did something. */
export interface Reaction {
  readonly did: typeof LOOKS_UP | typeof LEAVES;
  readonly times: number;
  /** The furthest, which is the one to keep outside of. */
  readonly fromM: number;
}

type Logged = Pick<Shoot, 'id' | 'place' | 'marks' | 'positions' | 'log'>;

function reactionsIn({ log, marks, positions }: Logged, subjectId: string) {
  const at = <P extends Point2 & { readonly id: string }>(list: readonly P[], id: string) =>
    list.find((entry) => entry.id === id);
  return log.entries.flatMap((entry: LogEntry) => {
    if (entry.kind !== 'behaviour' || entry.rehearsed) return [];
    if (entry.name !== LOOKS_UP && entry.name !== LEAVES) return [];
    const [mark, from] = [at(marks, entry.markId), at(positions, entry.positionId)];
    if (!mark || !from || mark.subjectId !== subjectId) return [];
    return [{ did: entry.name, fromM: Math.hypot(mark.x - from.x, mark.y - from.y) } as const];
  });
}

/** From how far a subject looked up and left, in this shoot and in others at the same place. */
export function reactionsOf(
  shoot: Logged,
  { subjectId }: Pick<Mark, 'subjectId'>,
  all: readonly Logged[],
): readonly Reaction[] {
  const seen = [shoot, ...othersHere(shoot, all)].flatMap((one) => reactionsIn(one, subjectId));
  return ([LOOKS_UP, LEAVES] as const).flatMap((did) => {
    const from = seen.filter((one) => one.did === did).map(({ fromM }) => fromM);
    return from.length > 0 ? [{ did, times: from.length, fromM: Math.max(...from) }] : [];
  });
}

/** The way one comes to a position, and how much of it lies in the subject's sight. */
export interface Approach {
  readonly path: string;
  readonly lengthM: number;
  readonly inSightM: number;
  /** How long that takes at a stalk. */
  readonly inSightS: number;
  /** How near it comes to the subject where it is in its sight; nothing where it never is. */
  readonly nearestM?: number;
}

/** A path that ends nearer to a position than this leads to it. */
const LEADS_TO_M = 3;
const STEP_M = 0.25;
/** Bent low, one foot after the other. Common practice, no source. */
const STALK_MS = 0.4;
/** What of somebody bent low stands out. Common practice, no source. */
const BENT_M = 1.2;
/** Farther off than this nobody is looked at. Common practice, no source. */
const SEEN_FROM_M = 60;

const isSeen = (aim: Point3, at: Point2, under: number, things: readonly Obstacle[]): boolean =>
  sightBlocks(aim, point3(at.x, at.y, under + BENT_M), things).length === 0;

/** The way drawn to where one stands, looked at from the subject; nothing where no path leads there. */
export function approachOf(
  { features }: Pick<Shoot, 'features'>,
  { position, aim }: Pick<View, 'position' | 'aim'>,
): Approach | undefined {
  const toM = ({ x, y }: Point2) => Math.hypot(x - position.x, y - position.y);
  const ends = (points: readonly Point2[]) => [points[0], points.at(-1)] as [Point2, Point2];
  const path = features
    .filter(({ kind }) => kind === 'path')
    .find(({ points }) => Math.min(...ends(points).map(toM)) <= LEADS_TO_M);
  if (!path) return undefined;
  const things = thingsOf(features);
  let [inSightM, nearestM] = [0, Infinity];
  path.points.slice(1).forEach((to, i) => {
    const from = path.points[i] as Point2;
    const lengthM = Math.hypot(to.x - from.x, to.y - from.y);
    const steps = Math.ceil(lengthM / STEP_M);
    for (let step = 0; step < steps; step += 1) {
      const share = (step + 0.5) / steps;
      const at = { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share };
      const awayM = Math.hypot(at.x - aim.x, at.y - aim.y);
      if (awayM > SEEN_FROM_M || awayM === 0) continue;
      if (!isSeen(aim, at, groundUnderM(features, at), things)) continue;
      inSightM += lengthM / steps;
      nearestM = Math.min(nearestM, awayM);
    }
  });
  return {
    path: path.name,
    lengthM: measure(path.points).lengthM,
    inSightM,
    inSightS: inSightM / STALK_MS,
    ...(nearestM < Infinity && { nearestM }),
  };
}

/** When it may be back, by its own rhythm on the day; nothing before it came three times, or a while after it should have. */
export function expectedBack(
  { log }: Pick<Shoot, 'log'>,
  markId: string,
): { readonly fromLastMs: number; readonly lastLocal: string } | undefined {
  const came = log.entries.flatMap((entry) =>
    entry.kind === 'sighting' && entry.markId === markId && !entry.rehearsed ? [entry.atLocal] : [],
  );
  const lastLocal = came.at(-1);
  const today = came.filter((local) => local.slice(0, 10) === lastLocal?.slice(0, 10));
  const gaps = gapsBetween(today);
  const middleMin = gaps.length >= 2 ? median(gaps) : undefined;
  return lastLocal && middleMin ? { fromLastMs: middleMin * MINUTE_MS, lastLocal } : undefined;
}
