import { above, atLeast, finite, oneOf } from '../check';
import type { EvRange } from '../light/subject';
import { LONGEST_SHUTTER_S } from '../motion/freeze';
import type { Motion } from '../motion/smear';
import { nearestMark, type Dial, type Rounding, type ScaleKind } from '../quantity/scales';

/** What gives first when there is not light enough. */
export type School = 'motion' | 'balanced' | 'quality';
export const SCHOOLS: readonly School[] = ['motion', 'balanced', 'quality'];
export type Lever = 'shutter' | 'aperture' | 'iso' | 'lift';

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
  /** Longest time that holds the motion, and what asks for it. */
  readonly shutterS: number;
  readonly shutterRuledBy: string;
  /** Whether that time is wanted for its blur: light to spare then closes the lens first. */
  readonly keepShutter?: boolean;
  /** Smallest aperture number that gives the depth wanted, and what asks for it. */
  readonly aperture?: number;
  readonly apertureRuledBy?: string;
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
  readonly lens: { readonly widestAperture: number; readonly smallestAperture: number };
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
  /** Lamps that flicker, when they give the light. */
  readonly lamps?: {
    readonly mainsHz: number;
    readonly modulation: number;
    readonly readoutS?: number;
  };
}

/** A demand that could not be met together with the others, whatever the light. */
export interface Conflict {
  readonly lever: 'shutter' | 'aperture';
  readonly wanted: number;
  readonly given: number;
  readonly why: string;
}

/** @throws RangeError naming the field that makes no sense */
export function checkRequest({
  ev,
  demands,
  camera,
  lens,
  school,
  held = {},
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
  above('camera.iso.base', camera.iso.base, 0);
  atLeast('camera.iso.good', camera.iso.good, camera.iso.base);
  atLeast('camera.iso.usable', camera.iso.usable, camera.iso.good);
  atLeast('camera.iso.last', camera.iso.last, camera.iso.usable);
  above('lens.widestAperture', lens.widestAperture, 0);
  atLeast('lens.smallestAperture', lens.smallestAperture, lens.widestAperture);
  if (demands.aperture !== undefined) above('demands.aperture', demands.aperture, 0);
  if (demands.apertureForBlur !== undefined) {
    above('demands.apertureForBlur', demands.apertureForBlur, 0);
  }
  oneOf('school', school, SCHOOLS);
  Object.entries(held).forEach(([lever, value]) => above(`held.${lever}`, value, 0));
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

export interface Demanded {
  readonly shutterS: number;
  readonly aperture: number;
  readonly conflicts: readonly Conflict[];
}

function demandedAperture({ demands, lens, camera }: Omit<ExposureRequest, 'ev'>) {
  const widest = nearestMark('aperture', lens.widestAperture).value;
  const smallest = nearestMark('aperture', lens.smallestAperture).value;
  const forDepth = Math.max(widest, demands.aperture ?? widest);
  const blurWanted = demands.apertureForBlur;
  const conflicts: Conflict[] = [];
  let aperture = forDepth;
  if (blurWanted !== undefined && blurWanted < forDepth * 0.999) {
    const keepsBlur = demands.prefer === 'blur' || forDepth <= widest;
    aperture = keepsBlur ? Math.max(widest, blurWanted) : forDepth;
    const wantsWider = blurWanted < widest;
    conflicts.push({
      lever: 'aperture',
      wanted: keepsBlur && !wantsWider ? forDepth : blurWanted,
      given: aperture,
      why: wantsWider
        ? 'the blur wanted needs a wider lens'
        : keepsBlur
          ? 'the blur wanted leaves less depth than asked'
          : 'the depth wanted leaves less blur than asked',
    });
  }
  if (aperture > smallest) {
    conflicts.push({
      lever: 'aperture',
      wanted: aperture,
      given: smallest,
      why: 'the lens closes no further',
    });
  }
  const rounding = demands.prefer === 'blur' && blurWanted !== undefined ? 'down' : 'up';
  const set = onDial(camera, 'aperture', Math.min(aperture, smallest), rounding);
  return { aperture: Math.max(widest, set), conflicts };
}

/** Shutter and aperture on the dials that meet the demands, light or no light. */
export function demanded(request: Omit<ExposureRequest, 'ev'>): Demanded {
  const { demands, camera } = request;
  const fastestS = fastestAllowedS(camera);
  const { aperture, conflicts } = demandedAperture(request);
  const shutterS = onDial(
    camera,
    'shutter',
    Math.min(Math.max(demands.shutterS, fastestS), LONGEST_SHUTTER_S),
    'down',
  );
  const tooSlow = demands.shutterS < fastestS * 0.999;
  return {
    // A limit that is no mark of the dial is kept from the slow side.
    shutterS: shutterS < fastestS * 0.999 ? onDial(camera, 'shutter', fastestS, 'up') : shutterS,
    aperture,
    conflicts: tooSlow
      ? [
          ...conflicts,
          {
            lever: 'shutter',
            wanted: demands.shutterS,
            given: fastestS,
            why: camera.shutterLimit?.why ?? 'the body has no faster shutter',
          },
        ]
      : conflicts,
  };
}
