import { finite } from '../check';
import { ev as evOf, type Triad } from '../quantity/ev';
import type { SubjectLight } from './subject';

/** What gives most of the light; readings speak first for their own kind. */
export type LightKind = 'sun' | 'shade' | 'overcast' | 'twilight' | 'lamps';

/** A measured light value: from a meter, or from a test frame. */
export interface LightReading {
  readonly timeMs: number;
  readonly zone: string;
  /** Light on the subject's face, as EV at ISO 100. */
  readonly ev: number;
  /** How far the reading itself may be off, in stops. */
  readonly sigmaStops: number;
  /** Said of the venue rather than of this place in it. */
  readonly everywhere?: boolean;
}

/**
 * How far an incident meter, a judged test frame, and one that looked right may be off. Common
 * practice, no source.
 */
export const METER_SIGMA_STOPS = 0.1;
export const FRAME_SIGMA_STOPS = 0.3;
export const RIGHT_FRAME_SIGMA_STOPS = 0.2;
/** A frame judged nearer to right than this looked right. */
const LOOKED_RIGHT_STOPS = 0.1;

/** A meter's value as a reading. @throws RangeError for an EV that is no number */
export const meterReading = (at: {
  readonly timeMs: number;
  readonly zone: string;
  readonly ev: number;
}): LightReading => ({ ...at, ev: finite('ev', at.ev), sigmaStops: METER_SIGMA_STOPS });

/**
 * A test frame judged by eye: one that looked a stop dark was taken in a stop less light than its
 * triad is right for.
 * @param looksDarkStops how dark the frame looked; negative for too bright
 * @param lostStops light that a filter or the extension of a close-up took from it
 * @throws RangeError as `ev`, or for a judgement that is no number
 */
export function frameReading({
  timeMs,
  zone,
  looksDarkStops,
  lostStops = 0,
  ...triad
}: Triad & {
  readonly timeMs: number;
  readonly zone: string;
  readonly looksDarkStops: number;
  readonly lostStops?: number | undefined;
}): LightReading {
  const ev =
    evOf(triad) + finite('lostStops', lostStops) - finite('looksDarkStops', looksDarkStops);
  const right = Math.abs(looksDarkStops) < LOOKED_RIGHT_STOPS;
  return { timeMs, zone, ev, sigmaStops: right ? RIGHT_FRAME_SIGMA_STOPS : FRAME_SIGMA_STOPS };
}

/** What gives most of a light. */
export function lightKind(light: SubjectLight): LightKind {
  if (light.lampLux > light.daylightLux) return 'lamps';
  if (light.sun.altitudeDeg <= 0) return 'twilight';
  // Through windows comes what a shaded place has.
  if (light.daylight.directNormalLux <= 0 && !light.indoors) return 'overcast';
  return light.sunlit ? 'sun' : 'shade';
}

/** Daylight on an upright face of an open place, for the share that lamps have in the light there. */
const FACE_SHARE_OF_LEVEL = 0.5;
/** The sun's height over which day turns into twilight. */
const TWILIGHT_DEG = { from: 2, to: -2 } as const;

/**
 * How far each kind of light is at work at a place, whichever way the face looks: shares that add up
 * to 1 and change without a jump.
 */
export function kindShares({
  daylight,
  indoors,
  lampLux,
  sun,
  sunlit,
}: Pick<SubjectLight, 'daylight' | 'indoors' | 'lampLux' | 'sun' | 'sunlit'>): Partial<
  Readonly<Record<LightKind, number>>
> {
  const level = sunlit ? daylight.globalHorizontalLux : daylight.diffuseHorizontalLux;
  const dayLux = level * FACE_SHARE_OF_LEVEL;
  const lamps = lampLux > 0 ? lampLux / (lampLux + dayLux) : 0;
  const dusk = (TWILIGHT_DEG.from - sun.altitudeDeg) / (TWILIGHT_DEG.from - TWILIGHT_DEG.to);
  const twilight = Math.min(1, Math.max(0, dusk));
  const overcast = !indoors && daylight.directNormalLux <= 0 && sun.altitudeDeg > 0;
  const day: LightKind = overcast ? 'overcast' : sunlit ? 'sun' : 'shade';
  return {
    lamps,
    twilight: (1 - lamps) * twilight,
    [day]: (1 - lamps) * (1 - twilight),
  };
}

/** How far the forecast of each kind may be off, in stops. Common practice, no source. */
export const FORECAST_SIGMA_STOPS: Readonly<Record<LightKind, number>> = {
  sun: 0.3,
  shade: 0.6,
  overcast: 0.75,
  twilight: 0.5,
  lamps: 0.7,
};

/** How far the light stands off the forecast, and how sure that is. */
export interface Correction {
  readonly offsetStops: number;
  readonly sigmaStops: number;
}
