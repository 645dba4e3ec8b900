import { above, atLeast, finite, oneOf } from '../check';
import type { EvRange } from '../light/subject';
import { LONGEST_SHUTTER_S } from '../motion/freeze';
import type { Motion } from '../motion/smear';
import type { TimeRule } from '../motion/times';
import { nearestMark, type Dial, type Rounding, type ScaleKind } from '../quantity/scales';

/** What gives first when there is not light enough. */
export type School = 'motion' | 'balanced' | 'quality';
export const SCHOOLS: readonly School[] = ['motion', 'balanced', 'quality'];
export type Lever = 'shutter' | 'aperture' | 'iso' | 'lift';
/** What asks for an opening. */
export type ApertureRule = 'depth' | 'layers' | 'blur' | 'widest';

/** A body's own ISO landmarks: clean, fine, the highest one accepts, the highest there is. */
export interface IsoLandmarks {
  readonly base: number;
  readonly good: number;
  readonly usable: number;
  readonly last: number;
}

/** A limit on the shutter that isn't the body's own: flash sync, a silent shutter, a rule. */
export interface ShutterLimit {
  readonly fastestS: number;
  readonly why: string;
}

export interface Demands {
  /** Must: longest time that holds the motion, and what asks for it. */
  readonly shutterS: number;
  readonly shutterRuledBy: TimeRule;
  /** Wish: where light in hand goes first. The must when absent. */
  readonly wishShutterS?: number;
  readonly wishShutterRuledBy?: TimeRule;
  /** Longest time that hands hold: short of light nothing goes slower than this. */
  readonly handsS?: number;
  /** Whether the time is wanted for its blur: light never moves it. */
  readonly keepShutter?: boolean;
  /** Whether the subject is at rest: light in hand then lowers ISO sooner. */
  readonly atRest?: boolean;
  /** Must: aperture number that gives the depth of eye and face, and what asks for it. */
  readonly aperture?: number;
  readonly apertureRuledBy?: ApertureRule;
  /** Wish: aperture number that gives the whole subject. The must when absent. */
  readonly wishAperture?: number;
  /** Largest aperture number that still blurs the background as wanted. */
  readonly apertureForBlur?: number;
  /** Which of the two holds when they contradict each other; depth unless said. */
  readonly prefer?: 'depth' | 'blur';
  /** How far a frame may be lifted afterwards. */
  readonly liftStops: number;
}

/** A time, an aperture or an ISO that is not to be moved. */
export interface HeldLevers {
  readonly shutterS?: number;
  readonly aperture?: number;
  readonly iso?: number;
  /** Lift afterwards that is decided on; held dials are not lifted otherwise. */
  readonly liftStops?: number;
}

export interface ExposureRequest {
  /** Light on the subject, as EV at ISO 100: a range, as sun goes in and out. */
  readonly ev: EvRange;
  readonly demands: Demands;
  readonly camera: {
    readonly iso: IsoLandmarks;
    readonly fastestShutterS: number;
    readonly shutterLimit?: ShutterLimit;
    /** How finely its dials turn: thirds unless said. */
    readonly dial?: Dial;
  };
  readonly lens: {
    readonly widestAperture: number;
    readonly smallestAperture: number;
    /** Closing past this costs more sharpness than depth gives: `diffractionCap`. */
    readonly capAperture?: number;
    /** Light that is lost on the way: focusing near (`extensionLossStops`), a pane (`glassLossStops`). */
    readonly lossStops?: number;
  };
  /** Stops of the filters at hand: one, or two together, answer what is over at the darkest. */
  readonly filters?: readonly number[];
  readonly school: School;
  /** Levers held by hand: they stay, the others answer. */
  readonly held?: HeldLevers;
  /** For the smear of the answer. */
  readonly motion?: Motion;
  /** For the depth of the answer. */
  readonly focus?: {
    readonly focalMm: number;
    readonly distanceM: number;
    readonly cocMm: number;
    /** For the blur of the answer: distance of what lies behind, from the camera. */
    readonly backgroundM?: number;
    /** Width of the frame that blur is counted against; full frame unless given. */
    readonly frameWidthMm?: number;
  };
  /** Lamps that flicker, and the share of the light that is theirs: all of it unless said. */
  readonly lamps?: {
    readonly mainsHz: number;
    readonly modulation: number;
    readonly readoutS?: number;
    readonly share?: number;
  };
}

/** A demand that could not be met together with the others, whatever the light. */
export interface Conflict {
  readonly lever: 'shutter' | 'aperture';
  readonly wanted: number;
  readonly given: number;
  /** What stands against it: a reason by name, or the limit's own. */
  readonly why: string;
}

/** @throws RangeError unless base, good, usable and last go up in that order */
export function requireIso({ base, good, usable, last }: IsoLandmarks, field = 'iso'): void {
  above(`${field}.base`, base, 0);
  atLeast(`${field}.good`, good, base);
  atLeast(`${field}.usable`, usable, good);
  atLeast(`${field}.last`, last, usable);
}

/** @throws RangeError naming the field that makes no sense */
export function checkRequest({
  ev,
  demands,
  camera,
  lens,
  school,
  held = {},
  filters = [],
}: ExposureRequest): void {
  finite('ev.expected', ev.expected);
  finite('ev.low', ev.low);
  atLeast('ev.expected', ev.expected, ev.low);
  atLeast('ev.high', ev.high, ev.expected);
  above('demands.shutterS', demands.shutterS, 0);
  atLeast('demands.liftStops', demands.liftStops, 0);
  above('camera.fastestShutterS', camera.fastestShutterS, 0);
  if (camera.shutterLimit) {
    above('camera.shutterLimit.fastestS', camera.shutterLimit.fastestS, 0);
  }
  requireIso(camera.iso, 'camera.iso');
  above('lens.widestAperture', lens.widestAperture, 0);
  atLeast('lens.smallestAperture', lens.smallestAperture, lens.widestAperture);
  if (demands.aperture !== undefined) above('demands.aperture', demands.aperture, 0);
  const optional = ['apertureForBlur', 'wishAperture', 'wishShutterS', 'handsS'] as const;
  for (const name of optional) {
    const value = demands[name];
    if (value !== undefined) above(`demands.${name}`, value, 0);
  }
  if (lens.lossStops !== undefined) atLeast('lens.lossStops', lens.lossStops, 0);
  if (lens.capAperture !== undefined) above('lens.capAperture', lens.capAperture, 0);
  filters.forEach((stops, i) => above(`filters[${i}]`, stops, 0));
  oneOf('school', school, SCHOOLS);
  const { liftStops: heldLift = 0, ...dials } = held;
  atLeast('held.liftStops', heldLift, 0);
  Object.entries(dials).forEach(([lever, value]) => above(`held.${lever}`, value, 0));
}

/** A value on the nearest mark of the body's own dial. */
export const onDial = (
  { dial = 'third' }: ExposureRequest['camera'],
  kind: ScaleKind,
  value: number,
  rounding: Rounding = 'nearest',
): number => nearestMark(kind, value, rounding, dial).value;

/** The fastest time that body and limits allow together. */
export const fastestAllowedS = ({ fastestShutterS, shutterLimit }: ExposureRequest['camera']) =>
  Math.max(fastestShutterS, shutterLimit?.fastestS ?? 0);

/** Where the levers' stretches begin and end, on the body's dials. */
export interface Corners {
  readonly fastestS: number;
  readonly wishS: number;
  readonly mustS: number;
  readonly slowestS: number;
  readonly widest: number;
  readonly mustAperture: number;
  readonly wishAperture: number;
  readonly closed: number;
  readonly conflicts: readonly Conflict[];
}

/** Must and wish of the opening, and what in them can not be had together. */
function wantedApertures({ demands, lens }: Omit<ExposureRequest, 'ev'>, widest: number) {
  const smallest = nearestMark('aperture', lens.smallestAperture).value;
  const forDepth = Math.max(widest, demands.aperture ?? widest);
  const blurWanted = demands.apertureForBlur;
  const conflicts: Conflict[] = [];
  let aperture = forDepth;
  let wish = Math.max(forDepth, demands.wishAperture ?? forDepth);
  if (blurWanted !== undefined && blurWanted < forDepth * 0.999) {
    const keepsBlur = demands.prefer === 'blur' || forDepth <= widest;
    aperture = keepsBlur ? Math.max(widest, blurWanted) : forDepth;
    if (keepsBlur) wish = aperture;
    const wantsWider = blurWanted < widest;
    conflicts.push({
      lever: 'aperture',
      wanted: keepsBlur && !wantsWider ? forDepth : blurWanted,
      given: aperture,
      why: wantsWider ? 'blurNeedsWiderLens' : keepsBlur ? 'blurOverDepth' : 'depthOverBlur',
    });
  }
  if (aperture > smallest * 1.001) {
    conflicts.push({
      lever: 'aperture',
      wanted: aperture,
      given: smallest,
      why: 'lensClosesNoFurther',
    });
  }
  return { aperture: Math.min(aperture, smallest), wish: Math.min(wish, smallest), conflicts };
}

const STEP_STOPS: Readonly<Record<Dial, number>> = { third: 1 / 3, half: 1 / 2, whole: 1 };
export const stepStops = ({ dial = 'third' }: ExposureRequest['camera']): number =>
  STEP_STOPS[dial];

/** Stops that a step of the dial may be missed by before the next click is taken. */
const NEAR_MARK = 0.02;
const fasterClick = (stops: number, step: number) => Math.ceil((stops - NEAR_MARK) / step) * step;

/** The time on the dial that keeps a must: the nearest that is not slower. */
export const onFasterMark = (shutterS: number, dial: Dial = 'third'): number =>
  2 ** -fasterClick(Math.log2(1 / shutterS), STEP_STOPS[dial]);

/**
 * Must and wish on the body's dials, times never slower than asked. Time and opening of a corner are
 * rounded together, so that a small change of distance moves no dial by two clicks.
 */
export function cornersOf(request: Omit<ExposureRequest, 'ev'>): Corners {
  const { demands, camera, lens, held = {} } = request;
  const step = stepStops(camera);
  const limitS = fastestAllowedS(camera);
  // A limit that is no mark of the dial is kept from the slow side.
  const fastestS = onDial(camera, 'shutter', limitS, 'up');
  const widest = nearestMark('aperture', lens.widestAperture).value;
  const smallest = Math.max(widest, nearestMark('aperture', lens.smallestAperture).value);
  const cap = lens.capAperture ?? smallest;
  const closed = Math.max(widest, onDial(camera, 'aperture', Math.min(smallest, cap)));
  const wanted = wantedApertures(request, widest);

  // A cap that is no mark would have ISO answer to an opening that nobody can dial.
  const mostClosed = onDial(camera, 'aperture', Math.max(closed, wanted.aperture));
  const corner = (shutterS: number, aperture: number) => {
    const time = Math.log2(1 / Math.min(shutterS, LONGEST_SHUTTER_S));
    const opening = 2 * Math.log2(aperture / widest);
    const timeOn = fasterClick(time, step);
    const both = fasterClick(time + opening, step);
    return {
      shutterS: Math.max(fastestS, 2 ** -timeOn),
      aperture: Math.min(mostClosed, widest * 2 ** ((both - timeOn) / 2)),
    };
  };
  const must = corner(demands.shutterS, wanted.aperture);
  const wish = corner(
    Math.min(demands.shutterS, demands.wishShutterS ?? demands.shutterS),
    wanted.wish,
  );
  const past = demands.keepShutter
    ? must.shutterS
    : Math.min(must.shutterS * 2, Math.max(must.shutterS, demands.handsS ?? Infinity));
  const conflicts: readonly Conflict[] =
    demands.shutterS < limitS * 0.999
      ? [
          ...wanted.conflicts,
          {
            lever: 'shutter',
            wanted: demands.shutterS,
            given: limitS,
            why: camera.shutterLimit?.why ?? 'bodyHasNoFaster',
          },
        ]
      : wanted.conflicts;
  const free: Corners = {
    fastestS: demands.keepShutter ? must.shutterS : fastestS,
    wishS: wish.shutterS,
    mustS: must.shutterS,
    slowestS: onDial(camera, 'shutter', past, 'down'),
    widest,
    mustAperture: must.aperture,
    wishAperture: Math.max(must.aperture, wish.aperture),
    closed: Math.max(closed, wish.aperture, must.aperture),
    conflicts,
  };
  return pinned(free, request, held);
}

/** Levers that a hand holds stay where they are, and the lens may then close all the way. */
function pinned(free: Corners, { camera, lens }: Omit<ExposureRequest, 'ev'>, held: HeldLevers) {
  if (Object.keys(held).length === 0) return free;
  const shutterS = held.shutterS && onDial(camera, 'shutter', held.shutterS);
  const aperture =
    held.aperture && Math.max(free.widest, onDial(camera, 'aperture', held.aperture));
  return {
    ...free,
    ...(shutterS
      ? { fastestS: shutterS, wishS: shutterS, mustS: shutterS, slowestS: shutterS }
      : {}),
    ...(aperture
      ? { widest: aperture, mustAperture: aperture, wishAperture: aperture, closed: aperture }
      : { closed: Math.max(free.widest, nearestMark('aperture', lens.smallestAperture).value) }),
  };
}
