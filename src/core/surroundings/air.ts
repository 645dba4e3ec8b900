import { above, atLeast, within } from '../check';

/** Magnus coefficients over water. Source: Alduchov & Eskridge 1996, J. Appl. Meteor. 35, 601. */
const MAGNUS_A = 17.625;
const MAGNUS_B_C = 243.04;

/**
 * Dew point in °C. Check: 30 °C at 70 % is 23.93 °C.
 * @param temperatureC −45 to 60, @param relativeHumidityPct above 0 to 100
 * @throws RangeError outside those ranges
 */
export function dewPoint({
  temperatureC,
  relativeHumidityPct,
}: {
  readonly temperatureC: number;
  readonly relativeHumidityPct: number;
}): number {
  within('temperatureC', temperatureC, -45, 60);
  within('relativeHumidityPct', above('relativeHumidityPct', relativeHumidityPct, 0), 0, 100);
  const gamma =
    Math.log(relativeHumidityPct / 100) + (MAGNUS_A * temperatureC) / (MAGNUS_B_C + temperatureC);
  return (MAGNUS_B_C * gamma) / (MAGNUS_A - gamma);
}

export interface LensFog {
  /** Whether moisture settles on the lens now. */
  readonly fogs: boolean;
  readonly dewPointC: number;
  /** Minutes until the lens is above the dew point; 0 if it is, Infinity if it never will be. */
  readonly clearInMinutes: number;
}

/** Time constant of a large lens in still air. Common practice, no source. */
const LENS_TIME_CONSTANT_MINUTES = 25;

/** Temperature of a large lens after some minutes in air, by Newton's law. */
export const lensAfter = (lensC: number, airC: number, minutes: number): number =>
  airC + (lensC - airC) * Math.exp(-minutes / LENS_TIME_CONSTANT_MINUTES);

/**
 * A cold lens brought into warm air: it fogs while it is under the dew point, and warms by
 * Newton's law, T = air + (lens − air)·exp(−t/τ).
 * @throws RangeError as {@link dewPoint}, or for a time constant not above 0
 */
export function lensFog({
  lensC,
  temperatureC,
  relativeHumidityPct,
  timeConstantMinutes = LENS_TIME_CONSTANT_MINUTES,
}: {
  readonly lensC: number;
  readonly temperatureC: number;
  readonly relativeHumidityPct: number;
  readonly timeConstantMinutes?: number;
}): LensFog {
  within('lensC', lensC, -60, 80);
  above('timeConstantMinutes', timeConstantMinutes, 0);
  const dewPointC = dewPoint({ temperatureC, relativeHumidityPct });
  if (lensC >= dewPointC) return { fogs: false, dewPointC, clearInMinutes: 0 };
  const never = temperatureC - dewPointC < 1e-9;
  return {
    fogs: true,
    dewPointC,
    clearInMinutes: never
      ? Infinity
      : timeConstantMinutes * Math.log((temperatureC - lensC) / (temperatureC - dewPointC)),
  };
}

const toFahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32;
const toCelsius = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;

/**
 * Heat index in °C: Steadman's simple form averaged with the temperature where that is under
 * 80 °F, else Rothfusz's regression with its two adjustments.
 * Source: US National Weather Service, Technical Attachment SR 90-23 (Rothfusz 1990). Check: 90 °F
 * at 70 % is 105.9 °F.
 * @throws RangeError for a humidity outside 0–100 or a temperature outside −45 to 60
 */
export function heatIndex({
  temperatureC,
  relativeHumidityPct,
}: {
  readonly temperatureC: number;
  readonly relativeHumidityPct: number;
}): number {
  within('temperatureC', temperatureC, -45, 60);
  within('relativeHumidityPct', relativeHumidityPct, 0, 100);
  const t = toFahrenheit(temperatureC);
  const r = relativeHumidityPct;
  const simple = ((t + 61 + (t - 68) * 1.2 + r * 0.094) / 2 + t) / 2;
  if (simple < 80) return toCelsius(simple);
  const regression =
    -42.379 +
    2.04901523 * t +
    10.14333127 * r -
    0.22475541 * t * r -
    6.83783e-3 * t * t -
    5.481717e-2 * r * r +
    1.22874e-3 * t * t * r +
    8.5282e-4 * t * r * r -
    1.99e-6 * t * t * r * r;
  const dry = r < 13 && t >= 80 && t <= 112;
  const damp = r > 85 && t >= 80 && t <= 87;
  const adjustment = dry
    ? -((13 - r) / 4) * Math.sqrt((17 - Math.abs(t - 95)) / 17)
    : damp
      ? ((r - 85) / 10) * ((87 - t) / 5)
      : 0;
  return toCelsius(regression + adjustment);
}

/** Wind under which, and temperature above which, the wind-chill formula is not meant to hold. */
const WIND_CHILL_FROM_KMH = 4.8;
const WIND_CHILL_UP_TO_C = 10;

/**
 * Wind chill in °C: 13.12 + 0.6215·T − 11.37·v^0.16 + 0.3965·T·v^0.16; the air temperature itself
 * above 10 °C or in winds under 4.8 km/h. Source: US National Weather Service and Environment
 * Canada, 2001. Check: 0 °F in 15 mph is −19 °F.
 * @throws RangeError for a negative wind or a temperature outside −90 to 60
 */
export function windChill({
  temperatureC,
  windKmh,
}: {
  readonly temperatureC: number;
  readonly windKmh: number;
}): number {
  within('temperatureC', temperatureC, -90, 60);
  atLeast('windKmh', windKmh, 0);
  if (temperatureC > WIND_CHILL_UP_TO_C || windKmh < WIND_CHILL_FROM_KMH) return temperatureC;
  const power = windKmh ** 0.16;
  return 13.12 + 0.6215 * temperatureC - 11.37 * power + 0.3965 * temperatureC * power;
}

/** Minutes after the last thunder before going back out. Source: US National Weather Service. */
export const LIGHTNING_WAIT_MINUTES = 30;

/**
 * When it is safe to go back out after thunder, in milliseconds since 1970 UTC. Any thunder heard:
 * leave. Defers to officials and to the venue.
 */
export const safeAfterThunder = (lastThunderMs: number): number =>
  lastThunderMs + LIGHTNING_WAIT_MINUTES * 60_000;
