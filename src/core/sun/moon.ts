import { Body, Equator, Horizon, Illumination, MakeTime, SearchRiseSet } from 'astronomy-engine';
import { within } from '../check';
import { fullCircle, sinDeg } from '../quantity/angles';
import { localDay, RISING, SETTING } from './events';
import { dateOf, observerAt, type Instant, type Place } from './position';

export interface MoonPosition {
  readonly azimuthDeg: number;
  /** Of the moon's centre above the true horizon, without refraction. */
  readonly altitudeDeg: number;
  /** Lit share of the disc, 0 new to 1 full. */
  readonly litShare: number;
  /** Angle at the moon between sun and earth: 0 full, 180 new. */
  readonly phaseDeg: number;
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
  const { phase_fraction: litShare, phase_angle: phaseDeg } = Illumination(Body.Moon, moment);
  return { azimuthDeg: fullCircle(azimuth), altitudeDeg: altitude, litShare, phaseDeg };
}

/** When the moon rises and sets in a local day; what does not happen in it is absent. */
export interface MoonTimes {
  readonly rise?: Date;
  readonly set?: Date;
}

/**
 * Moonrise and moonset, of the upper limb with standard refraction, within one local calendar day.
 * @throws RangeError as `sunEvents`
 */
export function moonTimes({
  date,
  timeZone,
  ...place
}: Place & { readonly date: string; readonly timeZone: string }): MoonTimes {
  const observer = observerAt(place);
  const { start, lengthDays } = localDay(date, timeZone);
  const at = (direction: number) =>
    SearchRiseSet(Body.Moon, observer, direction, start, lengthDays)?.date;
  const [rise, set] = [at(RISING), at(SETTING)];
  return { ...(rise && { rise }), ...(set && { set }) };
}

/** Visual magnitude of the full moon, and what clear air takes of a magnitude straight up. */
const FULL_MAGNITUDE = -12.73;
const EXTINCTION = 0.172;

/**
 * Light of the moon on level ground through clear air, lux; none while it is down.
 * Sources: magnitude by phase −12.73 + 0.026·α + 4·10⁻⁹·α⁴ and extinction of 0.172 (Krisciunas & Schaefer 1991, after Allen
 * 1976); air mass 1/(sin h + 0.50572·(h + 6.07995)^−1.6364) (Kasten & Young 1989); a magnitude m gives
 * 10^(−0.4·(m + 14.18)) lx. All quoted from memory.
 * @throws RangeError for a phase outside 0–180
 */
export function moonLux({
  altitudeDeg,
  phaseDeg,
}: Pick<MoonPosition, 'altitudeDeg' | 'phaseDeg'>): number {
  within('phaseDeg', phaseDeg, 0, 180);
  if (altitudeDeg <= 0) return 0;
  const magnitude = FULL_MAGNITUDE + 0.026 * phaseDeg + 4e-9 * phaseDeg ** 4;
  const up = sinDeg(altitudeDeg);
  const airMass = 1 / (up + 0.50572 * (altitudeDeg + 6.07995) ** -1.6364);
  return up * 10 ** (-0.4 * (magnitude + EXTINCTION * airMass + 14.18));
}
