import { atLeast, finite, nonEmpty } from '../check';

export type ExposureMode = 'manual' | 'manualForSun' | 'autoIso' | 'aperturePriority';

export interface ModeAdvice {
  readonly mode: ExposureMode;
  readonly why: string;
  /** Compensation to dial where the camera meters: the middle of the meter errors. */
  readonly compensationStops: number;
}

/** Limits between the schools. Common practice, no source. */
const EVEN_STOPS = 1;
const TOO_MANY_CLICKS_STOPS = 3;
/** Light that goes no further than this through a shoot is set for once. */
const SET_ONCE_STOPS = 1 / 3;

const middle = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2
    ? (sorted[half] as number)
    : ((sorted[half - 1] as number) + (sorted[half] as number)) / 2;
};

const say = (stops: number): string => `${stops.toFixed(1)} stops`;

/**
 * Manual, or automatic ISO with limits. Light that is even and steady within a stop: manual, with
 * clicks for each zone. Uneven but steady light is still turned by hand up to three stops where
 * the meter would be fooled by more than the light differs. A sun pocket where the picture lies
 * only in the sun: manual for the sun, the rest goes dark. Else automatic ISO, or, where nothing moves
 * so fast that its time matters, aperture priority.
 * @param unevennessStops spread between the zones one shoots into at one moment
 * @param variabilityStops how far the light may change unforeseen
 * @param meterErrors what a meter would do wrong in each kind of frame, in stops
 * @param sunPocket whether only the sunlit part matters
 * @param timeMatters whether the subject's motion rules the shutter; a longer time would blur it
 * @param unsureStops how unsure the spread between zones is, where it was measured: nothing is called
 *   more even than that
 * @param throughStops how far the light goes in the hours of the shoot: what is set once must hold there
 * @throws RangeError for negative spreads or no meter error at all
 */
export function exposureMode({
  unevennessStops,
  variabilityStops,
  meterErrors,
  sunPocket = false,
  timeMatters = true,
  unsureStops = 0,
  throughStops = 0,
}: {
  readonly unevennessStops: number;
  readonly variabilityStops: number;
  readonly meterErrors: readonly number[];
  readonly sunPocket?: boolean;
  readonly timeMatters?: boolean;
  readonly unsureStops?: number;
  readonly throughStops?: number;
}): ModeAdvice {
  atLeast('unevennessStops', unevennessStops, 0);
  atLeast('variabilityStops', variabilityStops, 0);
  atLeast('unsureStops', unsureStops, 0);
  atLeast('throughStops', throughStops, 0);
  nonEmpty('meterErrors', meterErrors).forEach((error, i) => finite(`meterErrors[${i}]`, error));
  const compensationStops = middle(meterErrors);
  const fooledStops = Math.max(...meterErrors) - Math.min(...meterErrors);
  const evenStops = Math.max(unevennessStops, unsureStops);
  const steady = variabilityStops <= EVEN_STOPS;
  if (steady && unevennessStops <= EVEN_STOPS) {
    return {
      mode: 'manual',
      compensationStops,
      why:
        throughStops <= SET_ONCE_STOPS
          ? `steady within ${say(variabilityStops)} and even within ${say(evenStops)}: set it once, click for each zone`
          : `even within ${say(evenStops)}, but ${say(throughStops)} of change in these hours: turn as the card says`,
    };
  }
  if (steady && sunPocket) {
    return {
      mode: 'manualForSun',
      compensationStops,
      why: `the picture lies in the sun, ${say(unevennessStops)} over the shade: set for the sun and let the rest go dark`,
    };
  }
  if (steady && unevennessStops < TOO_MANY_CLICKS_STOPS && fooledStops > unevennessStops) {
    return {
      mode: 'manual',
      compensationStops,
      why: `zones differ by ${say(unevennessStops)}, a meter would stray by ${say(fooledStops)}: click for each zone`,
    };
  }
  const why = steady
    ? `zones differ by ${say(unevennessStops)}, ${Math.round(unevennessStops * 3)} clicks: too many to turn by hand`
    : `the light may change by ${say(variabilityStops)} unforeseen`;
  return timeMatters
    ? { mode: 'autoIso', compensationStops, why }
    : {
        mode: 'aperturePriority',
        compensationStops,
        why: `${why}; nothing moves fast enough for its time to matter`,
      };
}
