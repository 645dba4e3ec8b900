import geomagnetism from 'geomagnetism';
import { within } from '../check';
import { fullCircle } from '../quantity/angles';
import type { GeoPoint } from './geodesy';

/** Years the newest World Magnetic Model is made for; outside it the nearest model is stretched. */
const MODEL_YEARS = { from: 2015, to: 2035 } as const;

/**
 * How far a compass needle points east of true north (west is negative), degrees. The World
 * Magnetic Model (NOAA/BGS) by the geomagnetism package; good to about half a degree away from
 * iron, lamps and cars.
 * @throws RangeError for a point off the globe or a year outside 2015–2035
 */
export function magneticDeclination(
  { latitudeDeg, longitudeDeg }: GeoPoint,
  timeMs: number,
): number {
  within('latitudeDeg', latitudeDeg, -90, 90);
  within('longitudeDeg', longitudeDeg, -180, 180);
  const date = new Date(timeMs);
  within('year', date.getUTCFullYear(), MODEL_YEARS.from, MODEL_YEARS.to);
  return geomagnetism
    .model(date, { allowOutOfBoundsModel: true })
    .point([latitudeDeg, longitudeDeg]).decl;
}

/** A compass bearing as a true one. */
export const trueFromCompass = (compassDeg: number, declinationDeg: number): number =>
  fullCircle(compassDeg + declinationDeg);

/** A true bearing as a compass shows it. */
export const compassFromTrue = (trueDeg: number, declinationDeg: number): number =>
  fullCircle(trueDeg - declinationDeg);
