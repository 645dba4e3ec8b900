import { above, atLeast, finite, oneOf } from '../check';
import type { EvRange } from '../light/subject';
import { motionSmear, type Motion, type PartSmear } from '../motion/smear';
import { LONGEST_SHUTTER_S } from '../motion/freeze';
import { depthOfField, type DepthOfField } from '../optics/depth';
import { ev as evOf, type Triad } from '../quantity/ev';
import { nearestMark } from '../quantity/scales';

/** What gives first when there is not light enough. */
export type School = 'motion' | 'balanced' | 'quality';
export type Lever = 'shutter' | 'aperture' | 'iso' | 'lift';

/** A body's own ISO landmarks: clean, fine, the highest one accepts, the highest there is. */
export interface IsoLandmarks {
  readonly base: number;
  readonly good: number;
  readonly usable: number;
  readonly last: number;
}

export interface ExposureRequest {
  /** Light on the subject, as EV at ISO 100. */
  readonly ev: EvRange;
  readonly demands: {
    /** Longest time that holds the motion, and what asks for it. */
    readonly shutterS: number;
    readonly shutterRuledBy: string;
    /** Smallest aperture number that gives the depth wanted, and what asks for it. */
    readonly aperture?: number;
    readonly apertureRuledBy?: string;
    /** How far a frame may be lifted afterwards. */
    readonly liftStops: number;
  };
  readonly camera: { readonly iso: IsoLandmarks; readonly fastestShutterS: number };
  readonly lens: { readonly widestAperture: number; readonly smallestAperture: number };
  readonly school: School;
  /** For the smear of the answer. */
  readonly motion?: Motion;
  /** For the depth of the answer. */
  readonly focus?: { readonly focalMm: number; readonly distanceM: number; readonly cocMm: number };
}

export interface BudgetLine {
  readonly lever: Lever;
  /** Stops of light the lever costs (shutter, aperture) or gives (ISO, lift). */
  readonly stops: number;
  readonly ruledBy: string;
}

export interface Settings extends Triad {
  /** Stops to lift the frame afterwards. */
  readonly liftStops: number;
}

/** One way to close the gap with a single lever, as far as that lever goes. */
export interface WayOut {
  readonly lever: Lever;
  readonly stops: number;
  /** The lever's new value: seconds, aperture number, ISO or stops of lift. */
  readonly value: number;
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
  /** Stops from the settings to the light's two ends: dark end negative, bright end positive. */
  readonly ends: { readonly dark: number; readonly bright: number };
  readonly noise: {
    readonly stopsAboveBase: number;
    readonly level: keyof IsoLandmarks | 'beyond';
  };
  readonly smear?: readonly PartSmear[];
  readonly depth?: DepthOfField;
  readonly budget: readonly BudgetLine[];
  /** Single levers that would close the gap, nearest to the demand first. */
  readonly waysOut: readonly WayOut[];
}

export interface Exposure extends ExposurePlan {
  readonly alternatives: readonly ExposurePlan[];
}

export const SCHOOLS: readonly School[] = ['motion', 'balanced', 'quality'];

interface Step {
  readonly lever: 'iso' | 'lift' | 'shutter';
  readonly upTo?: keyof IsoLandmarks;
  readonly mostStops?: number;
}

/** The order in which levers give. Common practice: each school has its followers. */
const ORDER: Readonly<Record<School, readonly Step[]>> = {
  motion: [{ lever: 'iso', upTo: 'last' }, { lever: 'lift' }, { lever: 'shutter' }],
  balanced: [
    { lever: 'iso', upTo: 'usable' },
    { lever: 'lift' },
    { lever: 'iso', upTo: 'last' },
    { lever: 'shutter' },
  ],
  quality: [
    { lever: 'iso', upTo: 'good' },
    { lever: 'shutter', mostStops: 1 },
    { lever: 'lift' },
    { lever: 'iso', upTo: 'last' },
    { lever: 'shutter' },
  ],
};

const isoStops = (iso: number): number => Math.log2(iso / 100);

interface Given {
  readonly isoStops: number;
  readonly lift: number;
  readonly shutter: number;
  readonly missing: number;
}

/** Lets the levers give in the school's order until `needStops` over ISO 100 are found. */
function give(request: ExposureRequest, shutterS: number, needStops: number): Given {
  const { iso } = request.camera;
  const given = { isoStops: isoStops(iso.base), lift: 0, shutter: 0 };
  let missing = needStops - given.isoStops;
  for (const { lever, upTo, mostStops = Infinity } of ORDER[request.school]) {
    if (missing <= 0) break;
    const room = {
      iso: isoStops(iso[upTo ?? 'last']) - given.isoStops,
      lift: request.demands.liftStops - given.lift,
      shutter: Math.min(mostStops, Math.log2(LONGEST_SHUTTER_S / shutterS)) - given.shutter,
    }[lever];
    const taken = Math.max(0, Math.min(room, missing));
    if (lever === 'iso') given.isoStops += taken;
    else given[lever] += taken;
    missing -= taken;
  }
  return { ...given, missing: Math.max(0, missing) };
}

/** Spends light that is over at base ISO: a faster shutter first, then a smaller aperture. */
function spend(request: ExposureRequest, start: { shutterS: number; aperture: number }) {
  const { camera, lens, ev } = request;
  const over = () => ev.expected - evOf({ ...chosen, iso: camera.iso.base });
  const chosen = { ...start };
  if (over() <= 0) return chosen;
  chosen.shutterS = nearestMark(
    'shutter',
    Math.max(camera.fastestShutterS, chosen.shutterS * 2 ** -over()),
  ).value;
  if (over() <= 1 / 6) return chosen;
  chosen.aperture = nearestMark(
    'aperture',
    Math.min(lens.smallestAperture, chosen.aperture * 2 ** (over() / 2)),
  ).value;
  return chosen;
}

function noiseLevel(iso: number, { base, good, usable, last }: IsoLandmarks) {
  const tolerance = 1.01;
  if (iso <= base * tolerance) return 'base';
  if (iso <= good * tolerance) return 'good';
  if (iso <= usable * tolerance) return 'usable';
  return iso <= last * tolerance ? 'last' : 'beyond';
}

function waysOut(
  request: ExposureRequest,
  start: { shutterS: number; aperture: number },
  stopsShort: number,
): WayOut[] {
  if (stopsShort <= 0) return [];
  const { camera, lens, demands } = request;
  const openRoom =
    2 * Math.log2(start.aperture / nearestMark('aperture', lens.widestAperture).value);
  const isoRoom = isoStops(camera.iso.last) - isoStops(camera.iso.usable);
  const ways: WayOut[] = [
    { lever: 'aperture', room: openRoom, at: (s: number) => start.aperture * 2 ** (-s / 2) },
    { lever: 'lift', room: demands.liftStops, at: (s: number) => s },
    { lever: 'iso', room: isoRoom, at: (s: number) => camera.iso.usable * 2 ** s },
    {
      lever: 'shutter',
      room: Math.log2(LONGEST_SHUTTER_S / start.shutterS),
      at: (s: number) => start.shutterS * 2 ** s,
    },
  ].map(({ lever, room, at }) => {
    const stops = Math.min(Math.max(0, room), stopsShort);
    return { lever: lever as Lever, stops, value: at(stops) };
  });
  return ways.filter(({ stops }) => stops > 0.05);
}

function checkRequest({ ev, demands, camera, lens, school }: ExposureRequest): void {
  finite('ev.expected', ev.expected);
  atLeast('ev.expected', ev.expected, ev.low);
  atLeast('ev.high', ev.high, ev.expected);
  above('demands.shutterS', demands.shutterS, 0);
  atLeast('demands.liftStops', demands.liftStops, 0);
  above('camera.fastestShutterS', camera.fastestShutterS, 0);
  above('camera.iso.base', camera.iso.base, 0);
  atLeast('camera.iso.good', camera.iso.good, camera.iso.base);
  atLeast('camera.iso.usable', camera.iso.usable, camera.iso.good);
  atLeast('camera.iso.last', camera.iso.last, camera.iso.usable);
  above('lens.widestAperture', lens.widestAperture, 0);
  atLeast('lens.smallestAperture', lens.smallestAperture, lens.widestAperture);
  if (demands.aperture !== undefined) above('demands.aperture', demands.aperture, 0);
  oneOf('school', school, SCHOOLS);
}

/** Shutter and aperture on the dials that meet the demands, light or no light. */
function demanded({ demands, camera, lens }: Omit<ExposureRequest, 'ev'>) {
  const wanted = Math.max(demands.shutterS, camera.fastestShutterS);
  const widest = nearestMark('aperture', lens.widestAperture).value;
  const forDepth =
    demands.aperture && demands.aperture > widest
      ? nearestMark('aperture', Math.min(demands.aperture, lens.smallestAperture), 'up').value
      : widest;
  return {
    shutterS: nearestMark('shutter', Math.min(wanted, LONGEST_SHUTTER_S), 'down').value,
    aperture: forDepth,
  };
}

/** Light that the demanded shutter and aperture need at the body's highest usable ISO, as EV. */
export function evNeededFor(request: Omit<ExposureRequest, 'ev'>): number {
  return evOf({ ...demanded(request), iso: request.camera.iso.usable });
}

type SmearAt = (shutterS: number) => readonly PartSmear[] | undefined;

/** Smear by shutter time, computed once for each: the schools often share one. */
function smearByTime(motion: Motion | undefined): SmearAt {
  const known = new Map<number, readonly PartSmear[]>();
  return (shutterS) => {
    if (!motion) return undefined;
    const smear = known.get(shutterS) ?? motionSmear({ ...motion, shutterS });
    known.set(shutterS, smear);
    return smear;
  };
}

function solveFor(request: ExposureRequest, smearAt: SmearAt): ExposurePlan {
  const { ev, demands, camera, lens, school, focus } = request;
  const start = demanded(request);
  const evNeeded = evNeededFor(request);
  const balance = ev.expected - evNeeded;
  const need = evOf({ ...start, iso: 100 }) - ev.expected;
  const given = give(request, start.shutterS, need);
  const spent = spend(request, start);
  const shutterS = nearestMark('shutter', spent.shutterS * 2 ** given.shutter).value;
  const aperture = spent.aperture;
  const isoWanted =
    100 * 2 ** (evOf({ shutterS, aperture, iso: 100 }) - ev.expected - given.lift - given.missing);
  const iso = nearestMark(
    'iso',
    Math.min(camera.iso.last, Math.max(camera.iso.base, isoWanted)),
  ).value;
  const exposed = evOf({ shutterS, aperture, iso });
  const stopsShort = Math.max(0, -balance);
  const smear = smearAt(shutterS);
  return {
    school,
    settings: { shutterS, aperture, iso, liftStops: given.lift },
    evNeeded,
    stopsShort,
    stopsSpare: Math.max(0, balance),
    stopsDark: given.missing,
    stopsBright: isoWanted < camera.iso.base ? isoStops(camera.iso.base) - isoStops(isoWanted) : 0,
    ends: { dark: ev.low - ev.expected, bright: ev.high - ev.expected },
    noise: {
      stopsAboveBase: Math.log2(iso / camera.iso.base),
      level: noiseLevel(iso, camera.iso),
    },
    ...(smear && { smear }),
    ...(focus && { depth: depthOfField({ ...focus, aperture }) }),
    budget: [
      { lever: 'shutter', stops: Math.log2(1 / shutterS), ruledBy: demands.shutterRuledBy },
      {
        lever: 'aperture',
        stops: 2 * Math.log2(aperture),
        ruledBy:
          aperture > nearestMark('aperture', lens.widestAperture).value
            ? (demands.apertureRuledBy ?? 'light to spare')
            : 'widest of the lens',
      },
      { lever: 'iso', stops: isoStops(iso), ruledBy: noiseLevel(iso, camera.iso) },
      {
        lever: 'lift',
        stops: ev.expected < exposed ? Math.min(given.lift, exposed - ev.expected) : 0,
        ruledBy: 'allowed lift',
      },
    ],
    waysOut: waysOut(request, start, stopsShort),
  };
}

/**
 * Shutter, aperture and ISO for a light and its demands: the shutter that holds the motion, the
 * widest aperture the depth allows, ISO from what is left. Stops short or spare are counted
 * against the body's highest usable ISO; when short, levers give in the school's order; when there
 * is light over at base ISO, the shutter goes faster, then the lens closes.
 * @returns the plan of the school asked for, and those of the other two
 * @throws RangeError for demands, body or lens that make no sense; names the field
 */
export function solveExposure(request: ExposureRequest): Exposure {
  checkRequest(request);
  const others = SCHOOLS.filter((school) => school !== request.school);
  const smearAt = smearByTime(request.motion);
  return {
    ...solveFor(request, smearAt),
    alternatives: others.map((school) => solveFor({ ...request, school }, smearAt)),
  };
}
