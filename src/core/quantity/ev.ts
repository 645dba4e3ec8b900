import { above, finite } from '../check';

/** Calibration constant of an incident-light meter with a flat receptor, lux·s (ISO 2720:1974). */
const INCIDENT_CONSTANT_C = 250;

export interface Triad {
  /** Aperture number N, as in f/2.8. */
  readonly aperture: number;
  readonly shutterS: number;
  readonly iso: number;
}

/**
 * Light a triad is right for, as EV at ISO 100: log2(N²/t) − log2(S/100).
 * Source: ISO 2720:1974 and the additive photographic exposure system (APEX).
 * @throws RangeError if any of the three is not above 0.
 */
export function ev({ aperture, shutterS, iso }: Triad): number {
  above('aperture', aperture, 0);
  above('shutterS', shutterS, 0);
  above('iso', iso, 0);
  return Math.log2(aperture ** 2 / shutterS) - Math.log2(iso / 100);
}

/**
 * EV at ISO 100 of a surface that receives `illuminanceLux`: E = (C/100)·2^EV, C = 250.
 * @throws RangeError if the illuminance is not above 0 (no light has no EV).
 */
export function evFromIlluminance(illuminanceLux: number): number {
  above('illuminanceLux', illuminanceLux, 0);
  return Math.log2((illuminanceLux * 100) / INCIDENT_CONSTANT_C);
}

/** Illuminance in lux for an EV at ISO 100; the inverse of {@link evFromIlluminance}. */
export function illuminanceFromEv(evAtIso100: number): number {
  finite('evAtIso100', evAtIso100);
  return (INCIDENT_CONSTANT_C / 100) * 2 ** evAtIso100;
}
