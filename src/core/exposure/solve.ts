import { flicker, flickerFreeShutters } from '../light/flicker';
import { motionSmear, type Motion, type PartSmear } from '../motion/smear';
import type { TimeRule } from '../motion/times';
import { backgroundBlur } from '../optics/blur';
import { depthOfField, type DepthOfField } from '../optics/depth';
import { ev as evOf } from '../quantity/ev';
import { noiseLevel, waysOut, type WayOut } from './levers';
import { isoStops, RIGHT_WITHIN_STOPS, settle, type Settings, type Settled } from './path';
import { pricesOf, type Price, type SmearAt } from './price';
import {
  checkRequest,
  cornersOf,
  fastestAllowedS,
  SCHOOLS,
  type ApertureRule,
  type Conflict,
  type Corners,
  type ExposureRequest,
  type IsoLandmarks,
  type Lever,
  type School,
} from './request';

/**
 * What a lever stands where it stands for. Of the shutter besides what asks for a time: `light`, on its
 * way from must to wish as far as light in hand goes; `spare`, faster than anybody asked; `short`,
 * past its must.
 */
export type SetRule =
  | TimeRule
  | { readonly by: 'light' | 'spare' | 'short' }
  | { readonly by: ApertureRule | 'mustDepth' | 'allowed' | keyof IsoLandmarks | 'beyond' };

export interface BudgetLine {
  readonly lever: Lever;
  /** Stops of light the lever costs (shutter, aperture) or gives (ISO, lift). */
  readonly stops: number;
  readonly ruledBy: SetRule;
  /** What one stop more from this lever would cost in the picture. Worked out when first read. */
  readonly oneStopMore: Price;
}

/** Automatic ISO with the chosen shutter and aperture, checked at both ends of the light. */
export interface AutoIso {
  /** ISO it would take in the brightest and the dimmest light, within its limits. */
  readonly lowestIso: number;
  readonly highestIso: number;
  /** Over at the floor in the brightest light; the shutter that would hold it there. */
  readonly tooBrightStops: number;
  readonly shutterForFloorS: number;
  /** Under at the highest usable ISO in the dimmest. */
  readonly tooDarkStops: number;
}

/** What flickering lamps do at the chosen shutter, and the nearest time they can't touch. */
export interface FlickerNote {
  readonly spreadStops: number;
  readonly bands: number;
  readonly immuneShutterS: number;
}

export interface ExposurePlan {
  readonly school: School;
  /** On the marks of the body's dials. */
  readonly settings: Settings;
  /** Time and opening never knowingly given up, and those that light in hand goes to, on the dials. */
  readonly must: { readonly shutterS: number; readonly aperture: number };
  readonly wish: { readonly shutterS: number; readonly aperture: number };
  /** Light that the must and the lens wide open need at the highest usable ISO. */
  readonly evNeeded: number;
  /** Stops by which the light misses that; 0 if it does not. */
  readonly stopsShort: number;
  /** Stops in hand before the highest usable ISO; 0 if short. */
  readonly stopsSpare: number;
  /** What is still missing after every lever gave: the frame is this much too dark. */
  readonly stopsDark: number;
  /** How much too bright the frame is with every lever at its darkest. */
  readonly stopsBright: number;
  /** Whether any setting exposes the frame: false when it is too dark or too bright for all. */
  readonly works: boolean;
  /** Demands that contradict each other or the kit, whatever the light. */
  readonly conflicts: readonly Conflict[];
  /** Stops from the settings to the light's two ends: dark end negative, bright end positive. */
  readonly ends: { readonly dark: number; readonly bright: number };
  readonly autoIso: AutoIso;
  readonly flicker?: FlickerNote;
  readonly noise: {
    readonly stopsAboveBase: number;
    readonly level: keyof IsoLandmarks | 'beyond';
  };
  readonly smear?: readonly PartSmear[];
  readonly depth?: DepthOfField;
  /** Blur disc of what lies behind, when its distance is known. */
  readonly blur?: { readonly discMm: number; readonly shareOfFrame: number };
  readonly budget: readonly BudgetLine[];
  /** Ways to mend what is short, dark or over, each counted from the settings. */
  readonly waysOut: readonly WayOut[];
}

export interface Exposure extends ExposurePlan {
  readonly alternatives: readonly ExposurePlan[];
}

const evNeededAt = (
  { camera, lens }: Omit<ExposureRequest, 'ev'>,
  { mustS, widest }: Corners,
): number =>
  evOf({ shutterS: mustS, aperture: widest, iso: camera.iso.usable }) + (lens.lossStops ?? 0);

/** Light that the must and the lens wide open need at the body's highest usable ISO, as EV. */
export function evNeededFor(request: Omit<ExposureRequest, 'ev'>): number {
  return evNeededAt(request, cornersOf(request));
}

const knownSmears = new WeakMap<Motion, Map<number, readonly PartSmear[]>>();

/**
 * Smear by shutter time, computed once for each motion and mark of the dial: schools and minutes
 * share it, and what is the same stays the same object.
 */
function smearByTime(motion: Motion | undefined): SmearAt {
  if (!motion) return () => undefined;
  const known = knownSmears.get(motion) ?? new Map<number, readonly PartSmear[]>();
  knownSmears.set(motion, known);
  return (shutterS) => {
    const smear = known.get(shutterS) ?? motionSmear({ ...motion, shutterS });
    known.set(shutterS, smear);
    return smear;
  };
}

function autoIsoOf(
  { ev, camera, lens }: ExposureRequest,
  { shutterS, aperture, filterStops = 0 }: Settings,
): AutoIso {
  const lost = filterStops + (lens.lossStops ?? 0);
  const isoFor = (light: number) =>
    100 * 2 ** (evOf({ shutterS, aperture, iso: 100 }) + lost - light);
  const { base, usable } = camera.iso;
  const within = (iso: number) => Math.min(usable, Math.max(base, iso));
  const bright = isoFor(ev.high);
  const tooBrightStops = Math.max(0, Math.log2(base / bright));
  return {
    lowestIso: within(bright),
    highestIso: within(isoFor(ev.low)),
    tooBrightStops,
    shutterForFloorS: Math.max(fastestAllowedS(camera), shutterS * 2 ** -tooBrightStops),
    tooDarkStops: Math.max(0, Math.log2(isoFor(ev.low) / usable)),
  };
}

function flickerNote({ lamps }: ExposureRequest, { shutterS }: Settings): FlickerNote | undefined {
  if (!lamps) return undefined;
  const shortest = 1 / (2 * lamps.mainsHz);
  const immune = flickerFreeShutters({
    mainsHz: lamps.mainsHz,
    longestS: Math.max(shortest, shutterS),
  });
  const modulation = lamps.modulation * (lamps.share ?? 1);
  return {
    ...flicker({ ...lamps, modulation, shutterS }),
    immuneShutterS: immune.at(-1) ?? shortest,
  };
}

const HELD: SetRule = { by: 'held' };
const at = (value: number, mark: number): boolean => Math.abs(Math.log2(value / mark)) < 0.05;

/** What the shutter stands where it stands for. */
function shutterRule({ demands, held = {} }: ExposureRequest, settled: Settled): SetRule {
  const { corners, settings } = settled;
  const { shutterS } = settings;
  if (held.shutterS) return HELD;
  if (at(shutterS, corners.mustS)) return demands.shutterRuledBy;
  if (at(shutterS, corners.wishS)) return demands.wishShutterRuledBy ?? demands.shutterRuledBy;
  if (shutterS < corners.wishS) return { by: 'spare' };
  return { by: shutterS < corners.mustS ? 'light' : 'short' };
}

function apertureRule({ demands, held = {} }: ExposureRequest, settled: Settled): SetRule {
  const { corners, settings } = settled;
  const { aperture } = settings;
  if (held.aperture) return HELD;
  if (at(aperture, corners.widest))
    return { by: demands.apertureRuledBy === 'blur' ? 'blur' : 'widest' };
  if (aperture > corners.wishAperture * 1.05) return { by: 'spare' };
  if (at(aperture, corners.wishAperture)) return { by: demands.apertureRuledBy ?? 'depth' };
  return { by: 'mustDepth' };
}

function budgetOf(
  request: ExposureRequest,
  settled: Settled,
  smearAt: SmearAt,
): readonly BudgetLine[] {
  const { camera } = request;
  const { shutterS, aperture, iso, liftStops } = settled.settings;
  let known: ReturnType<typeof pricesOf> | undefined;
  const line = (lever: Lever, stops: number, ruledBy: SetRule): BudgetLine => ({
    lever,
    stops,
    ruledBy,
    get oneStopMore() {
      known ??= pricesOf(request, settled.settings, smearAt);
      return known[lever];
    },
  });
  return [
    line('shutter', Math.log2(1 / shutterS), shutterRule(request, settled)),
    line('aperture', 2 * Math.log2(aperture), apertureRule(request, settled)),
    line('iso', isoStops(iso), { by: noiseLevel(iso, camera.iso) }),
    line('lift', liftStops, { by: 'allowed' }),
  ];
}

function solveFor(request: ExposureRequest, smearAt: SmearAt): ExposurePlan {
  const { ev, camera, school, focus } = request;
  const settled = settle(request);
  const { corners, settings, stopsDark, stopsBright } = settled;
  const { shutterS, aperture, iso } = settings;
  const evNeeded = evNeededAt(request, corners);
  const lack = evNeeded - ev.expected;
  // Less than half a click is no shortage that anybody could dial.
  const stopsShort = lack > RIGHT_WITHIN_STOPS ? lack : 0;
  const smear = smearAt(shutterS);
  const note = flickerNote(request, settings);
  return {
    school,
    settings,
    must: { shutterS: corners.mustS, aperture: corners.mustAperture },
    wish: { shutterS: corners.wishS, aperture: corners.wishAperture },
    evNeeded,
    stopsShort,
    stopsSpare: Math.max(0, Math.log2(camera.iso.usable / iso)),
    stopsDark,
    stopsBright,
    works: Math.max(stopsDark, stopsBright) <= RIGHT_WITHIN_STOPS,
    conflicts: corners.conflicts,
    ends: { dark: ev.low - ev.expected, bright: ev.high - ev.expected },
    autoIso: autoIsoOf(request, settings),
    ...(note && { flicker: note }),
    noise: {
      stopsAboveBase: Math.log2(iso / camera.iso.base),
      level: noiseLevel(iso, camera.iso),
    },
    ...(smear && { smear }),
    ...(focus && { depth: depthOfField({ ...focus, aperture }) }),
    ...(focus?.backgroundM !== undefined && {
      blur: backgroundBlur({
        focalMm: focus.focalMm,
        ...(focus.frameWidthMm !== undefined && { frameWidthMm: focus.frameWidthMm }),
        aperture,
        subjectM: focus.distanceM,
        backgroundM: focus.backgroundM,
      }),
    }),
    budget: budgetOf(request, settled, smearAt),
    get waysOut() {
      return waysOut(request, settled, stopsShort);
    },
  };
}

/**
 * Shutter, aperture and ISO for a light and its demands, each with a must and a wish: light in hand
 * goes to the shutter's wish, then to depth, then to a lower ISO; light over at base ISO to a faster
 * shutter, then a smaller opening, then a filter; where there is not enough, levers give in the
 * school's order (`path.ts`). Stops short are counted from the must, wide open, at the body's highest
 * usable ISO; stops in hand from the ISO set. Demands may contradict each other: what gave is listed in
 * `conflicts`. Levers held by hand stay and the others answer.
 * @returns the plan of the school asked for, and those of the other two with no lever held
 * @throws RangeError for demands, body or lens that make no sense; names the field
 */
export function solveExposure(request: ExposureRequest): Exposure {
  checkRequest(request);
  const others = SCHOOLS.filter((school) => school !== request.school);
  const smearAt = smearByTime(request.motion);
  const { held: _held, ...free } = request;
  return {
    ...solveFor(request, smearAt),
    alternatives: others.map((school) => solveFor({ ...free, school }, smearAt)),
  };
}
