import { flicker, flickerFreeShutters } from '../light/flicker';
import { motionSmear, type Motion, type PartSmear } from '../motion/smear';
import { backgroundBlur } from '../optics/blur';
import { depthOfField, type DepthOfField } from '../optics/depth';
import { ev as evOf, type Triad } from '../quantity/ev';
import { nearestMark } from '../quantity/scales';
import { settleHeld } from './held';
import { give, isoStops, noiseLevel, spend, waysOut, type WayOut } from './levers';
import { pricesOf, type Price, type SmearAt } from './price';
import {
  checkRequest,
  demanded,
  fastestAllowedS,
  onDial,
  SCHOOLS,
  type Conflict,
  type Demanded,
  type ExposureRequest,
  type IsoLandmarks,
  type Lever,
  type School,
} from './request';

export interface BudgetLine {
  readonly lever: Lever;
  /** Stops of light the lever costs (shutter, aperture) or gives (ISO, lift). */
  readonly stops: number;
  readonly ruledBy: string;
  /** What one stop more from this lever would cost in the picture. Worked out when first read. */
  readonly oneStopMore: Price;
}

export interface Settings extends Triad {
  /** Stops to lift the frame afterwards. */
  readonly liftStops: number;
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
  /** On the marks of third-stop dials. */
  readonly settings: Settings;
  /** Light the demanded shutter and aperture need at the highest usable ISO. */
  readonly evNeeded: number;
  /** Stops by which the light misses that; 0 if it does not. */
  readonly stopsShort: number;
  /** Stops in hand; 0 if short. */
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
  /** Single levers that would close the gap, nearest to the demand first. */
  readonly waysOut: readonly WayOut[];
}

export interface Exposure extends ExposurePlan {
  readonly alternatives: readonly ExposurePlan[];
}

/** Light that the demanded shutter and aperture need at the body's highest usable ISO, as EV. */
export function evNeededFor(request: Omit<ExposureRequest, 'ev'>): number {
  const { shutterS, aperture } = demanded(request);
  return evOf({ shutterS, aperture, iso: request.camera.iso.usable });
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

function autoIsoOf({ ev, camera }: ExposureRequest, { shutterS, aperture }: Triad): AutoIso {
  const isoFor = (light: number) => 100 * 2 ** (evOf({ shutterS, aperture, iso: 100 }) - light);
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

function flickerNote({ lamps }: ExposureRequest, { shutterS }: Triad): FlickerNote | undefined {
  if (!lamps) return undefined;
  const shortest = 1 / (2 * lamps.mainsHz);
  const immune = flickerFreeShutters({
    mainsHz: lamps.mainsHz,
    longestS: Math.max(shortest, shutterS),
  });
  return { ...flicker({ ...lamps, shutterS }), immuneShutterS: immune.at(-1) ?? shortest };
}

interface Settled {
  readonly start: Demanded;
  readonly settings: Settings;
  readonly stopsDark: number;
  readonly stopsBright: number;
}

/**
 * The dials, before anything is said about them. Shutter and ISO stand on marks; the lever that
 * gave last takes up what the other's rounding leaves, so that more light never raises ISO.
 */
function settle(request: ExposureRequest): Settled {
  const { ev, camera, held = {} } = request;
  const start = demanded(request);
  if (Object.keys(held).length > 0) return { start, ...settleHeld(request, held, start) };
  const given = give(request, start.shutterS, evOf({ ...start, iso: 100 }) - ev.expected);
  const spent = spend(request, start);
  const { aperture } = spent;
  /** Light the frame is exposed for: what there is, with the lift and what can't be helped. */
  const exposedEv = ev.expected + given.lift + given.missing;
  const isoFor = (shutterS: number) =>
    100 * 2 ** (evOf({ shutterS, aperture, iso: 100 }) - exposedEv);
  const onIsoDial = (iso: number) =>
    onDial(camera, 'iso', Math.min(camera.iso.last, Math.max(camera.iso.base, iso)));

  const slowed = spent.shutterS * 2 ** given.shutter;
  if (given.last === 'shutter') {
    const iso = onIsoDial(100 * 2 ** given.isoStops);
    const shutterS = onDial(camera, 'shutter', slowed * (isoFor(slowed) / iso));
    const settings: Settings = { shutterS, aperture, iso, liftStops: given.lift };
    return { start, settings, stopsDark: given.missing, stopsBright: 0 };
  }
  const shutterS = onDial(camera, 'shutter', slowed);
  const isoWanted = isoFor(shutterS);
  const settings: Settings = {
    shutterS,
    aperture,
    iso: onIsoDial(isoWanted),
    liftStops: given.lift,
  };
  const stopsBright = Math.max(0, isoStops(camera.iso.base) - isoStops(isoWanted));
  return { start, settings, stopsDark: given.missing, stopsBright };
}

/** A frame nearer than this to right can be called right: half a third-stop click. */
const RIGHT_WITHIN_STOPS = 1 / 6 + 1e-6;

const BY_HAND = 'your hand';

function budgetOf(
  request: ExposureRequest,
  settings: Settings,
  smearAt: SmearAt,
): readonly BudgetLine[] {
  const { ev, demands, camera, lens, held = {} } = request;
  const { shutterS, aperture, iso, liftStops } = settings;
  const closed = aperture > nearestMark('aperture', lens.widestAperture).value;
  const spent = aperture > demanded(request).aperture * 1.001;
  const dark = evOf(settings) - ev.expected;
  let known: ReturnType<typeof pricesOf> | undefined;
  const line = (lever: Lever, stops: number, ruledBy: string): BudgetLine => ({
    lever,
    stops,
    ruledBy,
    get oneStopMore() {
      known ??= pricesOf(request, settings, smearAt);
      return known[lever];
    },
  });
  return [
    line('shutter', Math.log2(1 / shutterS), held.shutterS ? BY_HAND : demands.shutterRuledBy),
    line(
      'aperture',
      2 * Math.log2(aperture),
      held.aperture
        ? BY_HAND
        : closed
          ? ((spent ? undefined : demands.apertureRuledBy) ?? 'light to spare')
          : 'widest of the lens',
    ),
    line('iso', isoStops(iso), noiseLevel(iso, camera.iso)),
    line('lift', Math.max(0, Math.min(liftStops, dark)), 'allowed lift'),
  ];
}

function solveFor(request: ExposureRequest, smearAt: SmearAt): ExposurePlan {
  const { ev, camera, school, focus } = request;
  const { start, settings, stopsDark, stopsBright } = settle(request);
  const { shutterS, aperture, iso } = settings;
  const evNeeded = evOf({ ...start, iso: camera.iso.usable });
  const balance = ev.expected - evNeeded;
  const stopsShort = Math.max(0, -balance);
  const smear = smearAt(shutterS);
  const note = flickerNote(request, settings);
  return {
    school,
    settings,
    evNeeded,
    stopsShort,
    stopsSpare: Math.max(0, balance),
    stopsDark,
    stopsBright,
    works: Math.max(stopsDark, stopsBright) <= RIGHT_WITHIN_STOPS,
    conflicts: start.conflicts,
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
    budget: budgetOf(request, settings, smearAt),
    waysOut: waysOut(request, start, stopsShort),
  };
}

/**
 * Shutter, aperture and ISO for a light and its demands: the shutter that holds the motion, the
 * widest aperture the depth allows, ISO from what is left. Stops short or spare are counted
 * against the body's highest usable ISO; when short, levers give in the school's order; when there
 * is light over at base ISO, the shutter goes faster, then the lens closes. Demands may contradict
 * each other: what gave is listed in `conflicts`.
 * Levers held by hand stay and the others answer.
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
