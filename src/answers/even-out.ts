import { mean } from 'd3-array';
import {
  cropFor,
  flicker,
  flickerPairs,
  FRAMED_SHARE,
  frameFill,
  liftsFor,
  SEEN_STOPS,
  type ExposedFrame,
} from '@/core';
import { askedOf, type Planned } from './against-plan';
import { evOfFrame, pressesOf, type MatchedFrame, type Press, type Stand } from './matched';
import { wantedFill } from './wanted';
import type { DayEventRecord } from '@/records/day';

/** What pictures ask for in the evening, so that those of one run look alike: lift, crop, level. */

/** A pause longer than this begins a run of its own: the light may be another. No source. */
const RUN_PAUSE_MS = 10 * 60_000;
/** Lamps that give less of the light than this do not make frames differ by what is seen. No source. */
const LEAST_LAMP_SHARE = 0.2;
/** As deep as lamps ever flicker that pictures are taken under. No source. */
const DEEPEST_FLICKER = 0.8;
/** A horizon nearer to level than this is level. Common practice, no source. */
const LEVEL_WITHIN_DEG = 0.3;
/** Off by more than this the camera was meant to be so, or pointed at the ground. No source. */
const MEANT_FROM_DEG = 15;

/** What a frame is cropped to for the framing wanted. */
export interface EvenCrop {
  readonly wantedFill: number;
  /** Share of each side that is kept. */
  readonly keptFraction: number;
  readonly megapixels: number;
  readonly longSidePx: number;
}

/** What one picture asks for. */
export interface EvenedFrame {
  readonly matched: MatchedFrame;
  /** To be lifted by so much; negative to be brought down; nothing where its settings are not said. */
  readonly liftStops?: number;
  readonly crop?: EvenCrop;
  /** To be turned by so much, clockwise, to be level; only where the camera said how it was held. */
  readonly turnDeg?: number;
}

/** Two neighbours that caught the lamps at different moments. */
export interface EvenPair {
  readonly brighter: MatchedFrame;
  readonly darker: MatchedFrame;
  readonly stops: number;
}

/** Pictures of one camera, one after the other, from one place of one thing. */
export interface EvenRun {
  readonly frames: readonly EvenedFrame[];
  /** Where all of it is of one event. */
  readonly event?: DayEventRecord;
  readonly stand: Stand;
  readonly standBy: MatchedFrame['standBy'];
  /** How far off the light as known may be, in stops; nothing where only neighbours are known. */
  readonly sigmaStops?: number;
  readonly pairs: readonly EvenPair[];
}

const isSameRun = (a: MatchedFrame, b: MatchedFrame): boolean =>
  b.atMs - a.atMs <= RUN_PAUSE_MS &&
  a.stand.markId === b.stand.markId &&
  a.stand.positionId === b.stand.positionId &&
  a.stand.shotId === b.stand.shotId;

/** Presses by runs, in order of time. */
function runsOf(presses: readonly Press[]): readonly (readonly Press[])[] {
  const open = new Map<string, Press[]>();
  const runs: Press[][] = [];
  for (const press of presses) {
    const first = press.frames[0] as MatchedFrame;
    const run = open.get(first.frame.camera);
    const before = run?.at(-1)?.frames.at(-1);
    if (run && before && isSameRun(before, first)) run.push(press);
    else {
      const begun = [press];
      open.set(first.frame.camera, begun);
      runs.push(begun);
    }
  }
  return runs;
}

const exposedOf = (matched: MatchedFrame): (ExposedFrame & { of: MatchedFrame }) | undefined => {
  const ev = evOfFrame(matched.frame);
  const { levelStops } = matched.frame;
  return ev === undefined
    ? undefined
    : { of: matched, atMs: matched.atMs, ev, ...(levelStops !== undefined && { levelStops }) };
};

/** Whether lamps can have made a press's frames differ by what is seen: its time may average them away. */
function mayFlicker({ lampShare, view }: Planned, { frame: { shutterS } }: MatchedFrame): boolean {
  if (lampShare < LEAST_LAMP_SHARE || shutterS === undefined) return false;
  const { mainsHz } = view.lamps;
  return flicker({ mainsHz, modulation: DEEPEST_FLICKER, shutterS }).spreadStops >= SEEN_STOPS;
}

function cropFrom(planned: Planned, { frame }: MatchedFrame): EvenCrop | undefined {
  const { focalMm, upright } = frame;
  const { view } = planned;
  const { distanceM } = view.sight;
  // No lens focuses nearer than its focal length: such a frame is of something else.
  if (focalMm === undefined || distanceM * 1000 <= focalMm) return undefined;
  const { sensor } = view.body;
  const fill = frameFill({
    ...{ sizeM: view.subject.heightM, distanceM, focalMm, sensor },
    orientation: upright ? 'upright' : 'level',
  });
  const wanted = Math.min(1, wantedFill(view));
  if (fill >= wanted * FRAMED_SHARE) return undefined;
  const crop = cropFor({ fill, wantedFill: wanted, sensor });
  return { wantedFill: wanted, ...crop, longSidePx: sensor.widthPx * crop.keptFraction };
}

/** What turns a picture level. */
function turnOf({ frame: { rollDeg } }: MatchedFrame): number | undefined {
  if (rollDeg === undefined) return undefined;
  const off = Math.abs(rollDeg);
  return off < LEVEL_WITHIN_DEG || off > MEANT_FROM_DEG ? undefined : rollDeg;
}

function evenedPress({ frames }: Press, planned: Planned | undefined) {
  const exposed = frames.flatMap((matched) => exposedOf(matched) ?? []);
  const middle = exposed[exposed.length >> 1];
  const lifts = middle ? liftsFor(exposed, planned && askedOf(planned, middle.ev)) : [];
  const liftOf = new Map(exposed.map(({ of }, i) => [of, lifts[i]]));
  const first = frames[0] as MatchedFrame;
  const pairs = planned && mayFlicker(planned, first) ? flickerPairs(exposed) : [];
  return {
    frames: frames.map((matched): EvenedFrame => {
      const [liftStops, turnDeg] = [liftOf.get(matched), turnOf(matched)];
      const crop = planned && cropFrom(planned, matched);
      return {
        matched,
        ...(liftStops !== undefined && { liftStops }),
        ...(crop && { crop }),
        ...(turnDeg !== undefined && { turnDeg }),
      };
    }),
    pairs: pairs.map(({ brighter, darker, stops }): EvenPair => ({
      ...{ brighter: (exposed[brighter] as (typeof exposed)[number]).of, stops },
      darker: (exposed[darker] as (typeof exposed)[number]).of,
    })),
  };
}

/** A run evened out. @param plannedOf what is known of where and when a frame was taken */
function evenedRun(
  presses: readonly Press[],
  plannedOf: (frame: MatchedFrame) => Planned | undefined,
): EvenRun {
  const first = presses[0]?.frames[0] as MatchedFrame;
  const known = plannedOf(first);
  const isOneEvent = presses.every(({ frames: [one] }) => one?.event?.id === first.event?.id);
  const evened = presses.map((press) =>
    evenedPress(press, plannedOf(press.frames[press.frames.length >> 1] as MatchedFrame)),
  );
  return {
    frames: evened.flatMap(({ frames }) => frames),
    ...(isOneEvent && first.event && { event: first.event }),
    ...{ stand: first.stand, standBy: first.standBy },
    ...(known && { sigmaStops: known.asked.sigmaStops }),
    pairs: evened.flatMap(({ pairs }) => pairs),
  };
}

/** The runs of some frames, each a step of its own: some hundred of them take a while. */
export const evenSteps = (
  frames: readonly MatchedFrame[],
  plannedOf: (frame: MatchedFrame) => Planned | undefined,
): readonly (() => EvenRun)[] =>
  runsOf(pressesOf(frames)).map((presses) => () => evenedRun(presses, plannedOf));

const CLICKS = 3;

/** Whether a frame is to be lifted or brought down by what is seen: half a click and more. */
export const isLifted = ({ liftStops = 0 }: EvenedFrame): boolean =>
  Math.round(liftStops * CLICKS) !== 0;

/** Frames of a run that ask for about the same: what is told is their mean. */
export interface EvenLift {
  readonly stops: number;
  readonly names: readonly string[];
}

/** Lifts of a run, or of several, that differ by less than a click as one, those of most frames first. */
export function liftsOf({ frames }: Pick<EvenRun, 'frames'>): readonly EvenLift[] {
  const lifted = frames
    .filter(isLifted)
    .map(({ matched, liftStops = 0 }) => ({ matched, liftStops }))
    .sort((a, b) => a.liftStops - b.liftStops);
  const groups: (typeof lifted)[] = [];
  for (const one of lifted) {
    const group = groups.at(-1);
    const least = group?.[0]?.liftStops ?? -Infinity;
    if (group && one.liftStops - least < SEEN_STOPS) group.push(one);
    else groups.push([one]);
  }
  return groups
    .map((group) => ({
      stops: mean(group, ({ liftStops }) => liftStops) as number,
      names: group
        .sort((a, b) => a.matched.atMs - b.matched.atMs)
        .map(({ matched }) => matched.frame.name),
    }))
    .sort((a, b) => b.names.length - a.names.length);
}

/** Whether anything is to be done to a run. */
export const asksForSomething = ({ frames, pairs }: EvenRun): boolean =>
  pairs.length > 0 ||
  frames.some((frame) => isLifted(frame) || frame.crop || frame.turnDeg !== undefined);
