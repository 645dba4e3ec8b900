import { arcSinDeg, cosDeg, fullCircle, halfCircle, sinDeg, toDegrees } from '../quantity/angles';
import { sunPosition, type Place, type SunPosition } from './position';

/** The sun through many days, read off its place in the sky once a day: a year in a few milliseconds. */

const DAY_MS = 86_400_000;
/** Nearer to a pole than this hour angles mean nothing: there every moment is computed by itself. */
const POLAR_DEG = 89.9;

/** Declination, and by how much the sun is ahead of the mean one, degrees. */
interface Node {
  readonly declinationDeg: number;
  readonly aheadDeg: number;
}

/** Hour angle of a mean sun that stands still over Greenwich at noon. */
const meanHourDeg = (timeMs: number): number => ((timeMs % DAY_MS) / DAY_MS) * 360 - 180;

function nodeAt(timeMs: number, place: Place): Node {
  const { azimuthDeg, altitudeDeg } = sunPosition({ time: timeMs, ...place });
  const { latitudeDeg } = place;
  const north = cosDeg(altitudeDeg) * cosDeg(azimuthDeg);
  const declinationDeg = arcSinDeg(
    sinDeg(latitudeDeg) * sinDeg(altitudeDeg) + cosDeg(latitudeDeg) * north,
  );
  const hourDeg = toDegrees(
    Math.atan2(
      -cosDeg(altitudeDeg) * sinDeg(azimuthDeg),
      cosDeg(latitudeDeg) * sinDeg(altitudeDeg) - sinDeg(latitudeDeg) * north,
    ),
  );
  return { declinationDeg, aheadDeg: halfCircle(hourDeg - meanHourDeg(timeMs)) };
}

/**
 * Where the sun's centre stands at any moment, within 0.01° of {@link sunPosition}: its declination and its lead over
 * the mean sun are taken at each midnight and read off between.
 * Source of the turning of the sphere: spherical trigonometry, as in any textbook of astronomy.
 * @throws RangeError as `sunPosition`
 */
export function sunTrack(
  place: Place,
): (timeMs: number) => Pick<SunPosition, 'azimuthDeg' | 'altitudeDeg'> {
  const { latitudeDeg } = place;
  if (Math.abs(latitudeDeg) > POLAR_DEG) return (time) => sunPosition({ time, ...place });
  const nodes = new Map<number, Node>();
  const nodeOf = (day: number): Node => {
    const known = nodes.get(day) ?? nodeAt(day * DAY_MS, place);
    nodes.set(day, known);
    return known;
  };
  const [sinLatitude, cosLatitude] = [sinDeg(latitudeDeg), cosDeg(latitudeDeg)];
  return (timeMs) => {
    const day = Math.floor(timeMs / DAY_MS);
    const share = timeMs / DAY_MS - day;
    const [a, b] = [nodeOf(day), nodeOf(day + 1)];
    const declinationDeg = a.declinationDeg + (b.declinationDeg - a.declinationDeg) * share;
    const aheadDeg = a.aheadDeg + halfCircle(b.aheadDeg - a.aheadDeg) * share;
    const hourDeg = meanHourDeg(timeMs) + aheadDeg;
    const up = sinLatitude * sinDeg(declinationDeg);
    const across = cosDeg(declinationDeg) * cosDeg(hourDeg);
    const altitudeDeg = arcSinDeg(up + cosLatitude * across);
    const azimuthDeg = fullCircle(
      toDegrees(
        Math.atan2(
          -cosDeg(declinationDeg) * sinDeg(hourDeg),
          sinDeg(declinationDeg) * cosLatitude - across * sinLatitude,
        ),
      ),
    );
    return { azimuthDeg, altitudeDeg };
  };
}
