import { above, atLeast, finite } from '../check';
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
}

/** How far an incident meter, and a judged test frame, may be off. Common practice, no source. */
const METER_SIGMA_STOPS = 0.2;
const FRAME_SIGMA_STOPS = 0.4;

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
 * @throws RangeError as `ev`, or for a judgement that is no number
 */
export function frameReading({
  timeMs,
  zone,
  looksDarkStops,
  ...triad
}: Triad & {
  readonly timeMs: number;
  readonly zone: string;
  readonly looksDarkStops: number;
}): LightReading {
  const ev = evOf(triad) - finite('looksDarkStops', looksDarkStops);
  return { timeMs, zone, ev, sigmaStops: FRAME_SIGMA_STOPS };
}

/** What gives most of a light. */
export function lightKind(light: SubjectLight): LightKind {
  if (light.lampLux > light.daylightLux) return 'lamps';
  if (light.sun.altitudeDeg <= 0) return 'twilight';
  if (light.daylight.directNormalLux <= 0) return 'overcast';
  return light.sunlit ? 'sun' : 'shade';
}

/** How far the forecast of each kind may be off, in stops. Common practice, no source. */
export const FORECAST_SIGMA_STOPS: Readonly<Record<LightKind, number>> = {
  sun: 0.3,
  shade: 0.6,
  overcast: 0.75,
  twilight: 0.5,
  lamps: 0.7,
};

/** One reading's difference from the forecast, and how much it says here and now. */
export interface WeighedOffset {
  readonly offsetStops: number;
  /** Inverse variance in stops⁻². */
  readonly weight: number;
}

export interface Correction {
  readonly offsetStops: number;
  readonly sigmaStops: number;
}

/** Offsets that differ by this much from the rest count half; by twice, a fifth. */
const DISAGREEMENT_STOPS = 0.5;
const ROUNDS = 20;

function weightedMedian(offsets: readonly WeighedOffset[]): number {
  const sorted = [...offsets].sort((a, b) => a.offsetStops - b.offsetStops);
  const half = sorted.reduce((sum, { weight }) => sum + weight, 0) / 2;
  let below = 0;
  for (const [i, { offsetStops, weight }] of sorted.entries()) {
    below += weight;
    const next = sorted[i + 1];
    if (next && Math.abs(below - half) < 1e-9 * half) return (offsetStops + next.offsetStops) / 2;
    if (below > half) return offsetStops;
  }
  return 0;
}

/**
 * Offsets of several readings as one correction. The forecast itself counts as a reading of
 * offset 0 with its own sigma; a reading far from the others counts less (Cauchy weights, by
 * repeated reweighting from the weighted median), so one bad reading moves little; what
 * disagreement is left widens the sigma.
 * @param forecastSigmaStops above 0
 * @throws RangeError for a weight below 0 or an offset that is no number
 */
export function combineOffsets(
  offsets: readonly WeighedOffset[],
  forecastSigmaStops: number,
): Correction {
  const prior = 1 / above('forecastSigmaStops', forecastSigmaStops, 0) ** 2;
  offsets.forEach(({ offsetStops, weight }, i) => {
    finite(`offsets[${i}].offsetStops`, offsetStops);
    atLeast(`offsets[${i}].weight`, weight, 0);
  });
  const heard = offsets.filter(({ weight }) => weight > 1e-6);
  if (heard.length === 0) return { offsetStops: 0, sigmaStops: forecastSigmaStops };
  const trusted = (middle: number) =>
    heard.map(({ offsetStops, weight }) => ({
      offsetStops,
      weight: weight / (1 + ((offsetStops - middle) / DISAGREEMENT_STOPS) ** 2),
    }));
  let middle = weightedMedian(heard);
  for (let round = 0; round < ROUNDS; round += 1) {
    const weights = trusted(middle);
    const total = weights.reduce((sum, { weight }) => sum + weight, 0);
    middle = weights.reduce((sum, o) => sum + o.weight * o.offsetStops, 0) / total;
  }
  const weights = trusted(middle);
  const total = weights.reduce((sum, { weight }) => sum + weight, 0);
  const scatter =
    weights.reduce((sum, o) => sum + o.weight * (o.offsetStops - middle) ** 2, 0) / total;
  return {
    offsetStops: (middle * total) / (total + prior),
    sigmaStops: Math.sqrt(1 / (total + prior) + scatter),
  };
}
