/**
 * Where lamps burn on 60 Hz: most of the Americas, Korea, Taiwan, the Philippines, Saudi Arabia.
 * Elsewhere 50 Hz. By zone alone, so one can be wrong (western Japan): it is a first guess to change.
 * Common practice, no source.
 */
const SIXTY =
  /^(America\/(?!Argentina|Asuncion|Montevideo|Santiago|La_Paz|Cayenne|Buenos_Aires|Jamaica)|US\/|Canada\/|Pacific\/(Honolulu|Guam)|Asia\/(Seoul|Taipei|Manila|Riyadh))/;

/** Mains frequency to begin with at a place, by the name of its time zone. */
export const mainsHzAt = (timeZone: string): 50 | 60 => (SIXTY.test(timeZone) ? 60 : 50);
