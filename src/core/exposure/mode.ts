import { median } from 'd3-array';
import { atLeast, finite, nonEmpty } from '../check';

export type ExposureMode = 'manual' | 'manualForSun' | 'autoIso' | 'aperturePriority';

/** What speaks for a mode, in stops. */
export type ModeWhy =
  | { readonly kind: 'setOnce'; readonly steadyStops: number; readonly evenStops: number }
  | { readonly kind: 'turnAsItGoes'; readonly evenStops: number; readonly throughStops: number }
  | { readonly kind: 'inTheSun'; readonly overShadeStops: number }
  | { readonly kind: 'clicks'; readonly unevennessStops: number; readonly fooledStops: number }
  | { readonly kind: 'tooManyClicks'; readonly unevennessStops: number; readonly clicks: number }
  | { readonly kind: 'unforeseen'; readonly variabilityStops: number };

export interface ModeAdvice {
  readonly mode: ExposureMode;
  readonly why: ModeWhy;
  /** Compensation to dial where the camera meters: the middle of the meter errors. */
  readonly compensationStops: number;
}

/** Limits between the schools. Common practice, no source. */
const EVEN_STOPS = 1;
const TOO_MANY_CLICKS_STOPS = 3;
/** Light that goes no further than this through a shoot is set for once. */
const SET_ONCE_STOPS = 1 / 3;

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
  const compensationStops = median(meterErrors) ?? 0;
  const fooledStops = Math.max(...meterErrors) - Math.min(...meterErrors);
  const evenStops = Math.max(unevennessStops, unsureStops);
  const steady = variabilityStops <= EVEN_STOPS;
  if (steady && unevennessStops <= EVEN_STOPS) {
    return {
      mode: 'manual',
      compensationStops,
      why:
        throughStops <= SET_ONCE_STOPS
          ? { kind: 'setOnce', steadyStops: variabilityStops, evenStops }
          : { kind: 'turnAsItGoes', evenStops, throughStops },
    };
  }
  if (steady && sunPocket) {
    return {
      mode: 'manualForSun',
      compensationStops,
      why: { kind: 'inTheSun', overShadeStops: unevennessStops },
    };
  }
  if (steady && unevennessStops < TOO_MANY_CLICKS_STOPS && fooledStops > unevennessStops) {
    return {
      mode: 'manual',
      compensationStops,
      why: { kind: 'clicks', unevennessStops, fooledStops },
    };
  }
  const why: ModeWhy = steady
    ? { kind: 'tooManyClicks', unevennessStops, clicks: Math.round(unevennessStops * 3) }
    : { kind: 'unforeseen', variabilityStops };
  return { mode: timeMatters ? 'autoIso' : 'aperturePriority', compensationStops, why };
}
