import { Body, Equator, Horizon, Illumination, MakeTime } from 'astronomy-engine';
import { fullCircle } from '../quantity/angles';
import { dateOf, observerAt, type Instant, type Place } from './position';

export interface MoonPosition {
  readonly azimuthDeg: number;
  /** Of the moon's centre above the true horizon, without refraction. */
  readonly altitudeDeg: number;
  /** Lit share of the disc, 0 new to 1 full. */
  readonly litShare: number;
}

/**
 * Where the moon stands and how much of it is lit. The ephemeris is the astronomy-engine package's.
 * @throws RangeError as `sunPosition`
 */
export function moonPosition({ time, ...place }: Place & { readonly time: Instant }): MoonPosition {
  const observer = observerAt(place);
  const moment = MakeTime(dateOf('time', time));
  const equator = Equator(Body.Moon, moment, observer, true, true);
  const { azimuth, altitude } = Horizon(moment, observer, equator.ra, equator.dec);
  return {
    azimuthDeg: fullCircle(azimuth),
    altitudeDeg: altitude,
    litShare: Illumination(Body.Moon, moment).phase_fraction,
  };
}
