import { min } from 'd3-array';
import { bearingDeg, chainShares, focalForFill, halfCircle, toLocal } from '@/core';
import type { DayEventRecord } from '@/records/day';
import { startOf, strandOf } from '@/records/edit-events';
import type { Frame } from '@/records/frames';
import { bodyOf } from '@/records/kit';
import { subjectOf } from '@/records/own-subject';
import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import { countedEntries } from './counted';
import { pictureOf } from './day-request';
import { WANTED_FILL } from './wanted';

/**
 * Presses put to events by all that speaks for one: its time, how late the events before it ran, what was tapped, where one
 * stood, how long the lens was, which way it looked, and how far one can walk meanwhile.
 */

/** What speaks for an event, the strongest first when told. */
export type Reason = 'person' | 'tap' | 'stand' | 'looks' | 'near' | 'focal' | 'time' | 'late';

/** The event that a press is put to, and how sure that is. */
export interface Put {
  readonly event?: DayEventRecord;
  /** From 0 to 1: how likely it is this one, or none where none is named. */
  readonly sure: number;
  readonly why: readonly Reason[];
}

/** A press, or a tap, as it is put to an event. */
export interface Pressed {
  readonly fromMs: number;
  /** What its first picture says of itself; a tap has none. */
  readonly frame?: Frame;
  /** The event a person put it to, or none: it speaks for those about it. */
  readonly byHand?: DayEventRecord | null;
}

type Known = Pick<
  Shoot,
  'log' | 'place' | 'events' | 'people' | 'shots' | 'marks' | 'positions' | 'ground' | 'kit' | 'day'
> & { readonly subjects?: Shoot['subjects'] };

const MINUTE_MS = 60_000;
/** An event is looked for so long before its start and after its end. Common practice, no source. */
const EARLY_MIN = 5;
const LATE_MIN = 25;
/** A tap speaks of a press so long before it, and so long after it. Common practice, no source. */
export const TAP_BEFORE_MS = 10_000;
export const TAP_AFTER_MS = 45_000;
/** What one tapped as stood at is forgotten to be changed: it speaks less and less. Common practice, no source. */
const STAND_FADES_MIN = 40;
/** Taken from within so much of a place, it is that place's. */
const NEAR_M = 30;
const BEARING_SD_DEG = 12;
/** How far a lens may be from the one that frames the subject, in stops of length. */
const FOCAL_SD_STOPS = 0.7;

/**
 * What each thing that speaks for an event weighs, as logs of how much likelier it makes it; held against the made-up meet of
 * scripts/made-up-day.ts. No source.
 */
const WEIGHT = {
  none: -3,
  perMinuteEarly: -1.2,
  perMinuteLate: -0.45,
  goesOn: -1.5,
  leftOut: -2.5,
  brief: 0.7,
  tap: 1.2,
  person: 4,
  stand: 4.5,
  near: 2.5,
  most: -3,
  change: -0.7,
  back: -5,
  perMinuteUneven: -0.7,
  cantWalk: -4,
  anything: -4,
} as const;

interface Candidate {
  readonly event: DayEventRecord;
  readonly fromMs: number;
  readonly toMs: number;
  readonly goesOn: boolean;
  readonly mark: { readonly x: number; readonly y: number } | undefined;
  readonly markId: string;
  readonly isOfBrief: boolean;
  /** The focal length, as a log, that frames its subject from a distance; nothing without a mark. */
  readonly framesAt: ((distanceM: number) => number) | undefined;
  /** From the places it may be shot from. */
  readonly focalLogs: readonly number[];
}

const bell = (off: number, sd: number): number => Math.max(WEIGHT.most, -((off / sd) ** 2) / 2);

/** Nobody is nearer to a subject than this. */
const LEAST_M = 1;

/** The focal length, as a log, that frames an event's subject from a distance. */
function framing(shoot: Known, event: DayEventRecord, subjectId: string) {
  const { heightM } = subjectOf({ subjects: shoot.subjects ?? [] }, subjectId);
  const fill = shoot.shots.find(({ id }) => id === event.shotId)?.fill ?? WANTED_FILL;
  const { sensor } = bodyOf(shoot.kit);
  return (distanceM: number): number =>
    Math.log2(
      focalForFill({ sizeM: heightM, distanceM: Math.max(LEAST_M, distanceM), sensor, fill }),
    );
}

function candidatesFor(shoot: Known): readonly Candidate[] {
  return shoot.events
    .filter(({ cancelled }) => !cancelled)
    .map((event) => {
      const fromMs = msOf(startOf(event), shoot.place.timeZone);
      const { markId } = pictureOf(shoot, event);
      const mark = shoot.marks.find(({ id }) => id === markId);
      const framesAt = mark && framing(shoot, event, mark.subjectId);
      const pinned = shoot.positions.filter(({ id }) => id === event.pinnedTo);
      const places = pinned.length > 0 ? pinned : shoot.positions;
      return {
        ...{ event, fromMs, toMs: fromMs + event.durationMin * MINUTE_MS, markId, mark, framesAt },
        goesOn: strandOf(event) === 'goesOn',
        isOfBrief: event.entries.some(({ personId }) => personId !== undefined),
        focalLogs:
          mark && framesAt
            ? places.map(({ x, y }) => framesAt(Math.hypot(x - mark.x, y - mark.y)))
            : [],
      };
    })
    .sort((a, b) => a.fromMs - b.fromMs);
}

/** How well a moment fits an event, and whether it is late for it. */
function byTime({ fromMs, toMs, goesOn }: Candidate, atMs: number) {
  const [earlyMin, lateMin] = [(fromMs - atMs) / MINUTE_MS - 1, (atMs - toMs) / MINUTE_MS - 1];
  const off =
    earlyMin > 0
      ? earlyMin * WEIGHT.perMinuteEarly
      : lateMin > 0
        ? lateMin * WEIGHT.perMinuteLate
        : 0;
  return { log: off + (goesOn ? WEIGHT.goesOn : 0), isLate: lateMin > 0 };
}

/** What is said of a press, beside its time: asked once for all its candidates. */
function witnesses(shoot: Known, { fromMs, frame }: Pressed, entries: Entries) {
  const about = entries.filter(
    ({ atMs }) => atMs >= fromMs - TAP_BEFORE_MS && atMs <= fromMs + TAP_AFTER_MS,
  );
  const tapped = new Set<string>();
  const people = new Set<string>();
  for (const { entry } of about) {
    if (entry.kind === 'keeper') {
      if (entry.eventId !== undefined) tapped.add(entry.eventId);
      entry.personIds?.forEach((id) => people.add(id));
    }
    if (entry.kind === 'athlete' && entry.personId !== undefined) people.add(entry.personId);
  }
  const stood = entries.findLast(
    ({ atMs, entry }) => entry.kind === 'stand' && atMs <= fromMs + TAP_BEFORE_MS,
  );
  const { latitudeDeg, longitudeDeg } = frame ?? {};
  const here =
    latitudeDeg === undefined || longitudeDeg === undefined
      ? undefined
      : toLocal({ latitudeDeg, longitudeDeg }, shoot.place);
  return { tapped, people, stood, here };
}
type Entries = ReturnType<typeof countedEntries>;
type Witnesses = ReturnType<typeof witnesses>;

/** How far a lens is from the one that frames the subject, in stops of length: from here, or from the best of its places. */
function focalOff(
  { mark, framesAt, focalLogs }: Candidate,
  here: Witnesses['here'],
  focalMm: number,
) {
  const wanted =
    here && mark && framesAt ? [framesAt(Math.hypot(here.x - mark.x, here.y - mark.y))] : focalLogs;
  const own = Math.log2(focalMm);
  return min(wanted, (log) => Math.abs(own - log));
}

/** How well an event fits a press, as a log, with what speaks for it. */
function fitOf(
  shoot: Known,
  { fromMs, frame }: Pressed,
  one: Candidate,
  { tapped, people, stood, here }: Witnesses,
) {
  const { event, mark } = one;
  const time = byTime(one, fromMs);
  const why: Reason[] = [time.isLate ? 'late' : 'time'];
  let log = time.log + (event.leftOut ? WEIGHT.leftOut : 0);
  const say = (reason: Reason, weight: number) => {
    log += weight;
    if (weight > 0) why.push(reason);
  };
  const isIn = (id: string) => event.entries.some(({ personId }) => personId === id);
  if (one.isOfBrief) log += WEIGHT.brief;
  if (tapped.has(event.id)) say('tap', WEIGHT.tap);
  if (people.size > 0 && [...people].some(isIn)) say('person', WEIGHT.person);
  const { shotId } = event;
  const isThere =
    shotId === undefined ? stood?.entry.markId === one.markId : stood?.entry.shotId === shotId;
  if (stood && isThere) {
    const agoMin = (fromMs - stood.atMs) / MINUTE_MS;
    say('stand', WEIGHT.stand * Math.exp(-agoMin / STAND_FADES_MIN));
  }
  const { focalMm, bearingDeg: looksDeg } = frame ?? {};
  if (focalMm !== undefined) {
    const off = focalOff(one, here, focalMm);
    if (off !== undefined) {
      log += bell(off, FOCAL_SD_STOPS);
      if (off < FOCAL_SD_STOPS) why.push('focal');
    }
  }
  if (here && mark && looksDeg !== undefined) {
    const off = Math.abs(halfCircle(bearingDeg(here, mark) - looksDeg));
    log += bell(off, BEARING_SD_DEG);
    if (off < BEARING_SD_DEG) why.push('looks');
  }
  const pinned = shoot.positions.find(({ id }) => id === event.pinnedTo);
  if (here && pinned && Math.hypot(here.x - pinned.x, here.y - pinned.y) <= NEAR_M) {
    say('near', WEIGHT.near);
  }
  return { log, why };
}

/** How well one event follows another so many minutes on. */
function followed(
  shoot: Known,
  a: Candidate | undefined,
  b: Candidate | undefined,
  gapMin: number,
) {
  if (!a || !b) return a === b ? 0 : WEIGHT.change;
  const lengthMin = ({ fromMs, toMs }: Candidate) => (toMs - fromMs) / MINUTE_MS;
  if (a === b) {
    const overMin = a.goesOn ? 0 : Math.max(0, gapMin - lengthMin(a) - 3);
    return overMin * WEIGHT.perMinuteUneven;
  }
  const walkMin =
    a.mark && b.mark
      ? Math.hypot(a.mark.x - b.mark.x, a.mark.y - b.mark.y) / shoot.day.walkSpeedMs / 60
      : 0;
  // One stands between marks, and a long lens reaches over: half of the way is walked at the least.
  const walked = gapMin < walkMin / 2 ? WEIGHT.cantWalk : 0;
  if (a.goesOn || b.goesOn) return WEIGHT.change + walked;
  const startsMin = (b.fromMs - a.fromMs) / MINUTE_MS;
  if (startsMin < 0) return WEIGHT.back + walked;
  // What ran late runs late still.
  const unevenMin = Math.max(
    0,
    Math.abs(gapMin - startsMin) - Math.max(lengthMin(a), lengthMin(b)) - 0.5,
  );
  return WEIGHT.change + walked + unevenMin * WEIGHT.perMinuteUneven;
}

/** What was last asked, and what came of it: names and stars on pictures change none of it. */
interface Asked {
  readonly shoot: Known;
  readonly presses: readonly Pressed[];
  readonly puts: readonly Put[];
}
const MOST_ASKED = 4;
let asked: readonly Asked[] = [];

const PARTS = [
  ...(['place', 'events', 'people', 'shots', 'marks', 'positions', 'ground'] as const),
  ...(['kit', 'day', 'subjects'] as const),
];
const SEEN = ['name', 'camera', 'focalMm', 'latitudeDeg', 'longitudeDeg', 'bearingDeg'] as const;

const isSamePress = (a: Pressed, b: Pressed | undefined): boolean =>
  a.fromMs === b?.fromMs &&
  a.byHand?.id === b.byHand?.id &&
  (a.byHand === undefined) === (b.byHand === undefined) &&
  SEEN.every((key) => a.frame?.[key] === b.frame?.[key]);

/** Each press with its event. @param presses in order of time */
export function putToEvents(shoot: Known, presses: readonly Pressed[]): readonly Put[] {
  const known = asked.find(
    (one) =>
      one.presses.length === presses.length &&
      one.shoot.log.entries === shoot.log.entries &&
      PARTS.every((key) => one.shoot[key] === shoot[key]) &&
      presses.every((press, i) => isSamePress(press, one.presses[i])),
  );
  if (known) return known.puts;
  const puts = putAll(shoot, presses);
  asked = [{ shoot, presses, puts }, ...asked].slice(0, MOST_ASKED);
  return puts;
}

function putAll(shoot: Known, presses: readonly Pressed[]): readonly Put[] {
  const all = candidatesFor(shoot);
  if (all.length === 0) return presses.map(() => ({ sure: 1, why: [] }));
  const entries = countedEntries(shoot);
  const links = presses.map((press) => {
    const { fromMs, byHand } = press;
    if (byHand !== undefined) {
      const one = all.find(({ event }) => event.id === byHand?.id);
      return { options: [one], fits: [0], why: [[] as readonly Reason[]] };
    }
    const near = all.filter(
      (one) =>
        fromMs >= one.fromMs - EARLY_MIN * MINUTE_MS && fromMs <= one.toMs + LATE_MIN * MINUTE_MS,
    );
    const said = witnesses(shoot, press, entries);
    const fits = near.map((one) => fitOf(shoot, press, one, said));
    return {
      options: [...near, undefined],
      fits: [...fits.map(({ log }) => log), WEIGHT.none],
      why: [...fits.map(({ why }) => why), [] as readonly Reason[]],
    };
  });
  const shares = chainShares(links, (i, a, b) => {
    const gapMin = ((presses[i]?.fromMs ?? 0) - (presses[i - 1]?.fromMs ?? 0)) / MINUTE_MS;
    // Whatever is unlikely happens now and then, and people say so.
    return Math.max(
      WEIGHT.anything,
      followed(shoot, links[i - 1]?.options[a], links[i]?.options[b], gapMin),
    );
  });
  return links.map(({ options, why }, i): Put => {
    const own = shares[i] ?? [];
    const best = own.indexOf(Math.max(...own));
    const event = options[best]?.event;
    return { ...(event && { event }), sure: own[best] ?? 0, why: why[best] ?? [] };
  });
}
