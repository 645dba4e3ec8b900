import { Body, Equator, Horizon, MakeTime, Observer } from 'astronomy-engine';
import { atLeast, finite, within } from '../check';
import { fullCircle, tanDeg } from '../quantity/angles';

/** A moment: a `Date`, or milliseconds since 1970-01-01 UTC. */
export type Instant = Date | number;

export interface Place {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  /** Height above sea level; 0 unless given. */
  readonly elevationM?: number;
}

export interface SunPosition {
  /** Clockwise from true north, 0 ≤ a < 360. */
  readonly azimuthDeg: number;
  /** Of the sun's centre above the true horizon, without refraction. */
  readonly altitudeDeg: number;
  /** As seen, with refraction. */
  readonly apparentAltitudeDeg: number;
}

const STANDARD_PRESSURE_HPA = 1010;
const STANDARD_TEMPERATURE_C = 10;
/** Sun's semi-diameter with horizon refraction: below this no part of the disc can be seen. */
const REFRACTION_FLOOR_DEG = -0.26667 - 0.5667;

/** The moment as a `Date`. @throws RangeError if it is none. */
export function dateOf(field: string, time: Instant): Date {
  const ms = typeof time === 'number' ? time : time.getTime();
  return new Date(finite(field, ms));
}

export function observerAt({ latitudeDeg, longitudeDeg, elevationM = 0 }: Place): Observer {
  within('latitudeDeg', latitudeDeg, -90, 90);
  within('longitudeDeg', longitudeDeg, -180, 180);
  within('elevationM', elevationM, -500, 9000);
  return new Observer(latitudeDeg, longitudeDeg, elevationM);
}

/**
 * Refraction in degrees for a geometric altitude: 1.02/(60·tan(h + 10.3/(h + 5.11))), scaled by
 * pressure and temperature; none once the disc is wholly below the horizon.
 * Source: Reda & Andreas 2004, NREL/TP-560-34302, equation 42 (after Sæmundsson 1986).
 */
function refractionDeg(altitudeDeg: number, pressureHpa: number, temperatureC: number): number {
  if (altitudeDeg < REFRACTION_FLOOR_DEG) return 0;
  const standard = 1.02 / (60 * tanDeg(altitudeDeg + 10.3 / (altitudeDeg + 5.11)));
  return standard * (pressureHpa / 1010) * (283 / (273 + temperatureC));
}

interface Asked extends Place {
  readonly ms: number;
  readonly pressureHpa: number;
  readonly temperatureC: number;
}

/** What was asked last, the newest first: all that a page says of one minute asks for the same sun. */
const KEPT = 4;
let kept: readonly { readonly asked: Asked; readonly sun: SunPosition }[] = [];

const isSame = (a: Asked, b: Asked): boolean =>
  a.ms === b.ms &&
  a.latitudeDeg === b.latitudeDeg &&
  a.longitudeDeg === b.longitudeDeg &&
  a.elevationM === b.elevationM &&
  a.pressureHpa === b.pressureHpa &&
  a.temperatureC === b.temperatureC;

/**
 * Where the sun stands. The ephemeris is the astronomy-engine package's; the refraction is that of
 * the NREL solar position algorithm.
 * @throws RangeError for a latitude beyond ±90, a longitude beyond ±180, or an invalid time.
 */
export function sunPosition({
  time,
  pressureHpa = STANDARD_PRESSURE_HPA,
  temperatureC = STANDARD_TEMPERATURE_C,
  ...place
}: Place & {
  readonly time: Instant;
  readonly pressureHpa?: number;
  readonly temperatureC?: number;
}): SunPosition {
  atLeast('pressureHpa', pressureHpa, 0);
  within('temperatureC', temperatureC, -90, 60);
  const { latitudeDeg, longitudeDeg, elevationM } = place;
  const ms = Number(time);
  const asked = {
    ...{ ms, latitudeDeg, longitudeDeg, pressureHpa, temperatureC },
    ...(elevationM !== undefined && { elevationM }),
  };
  const known = kept.find((one) => isSame(one.asked, asked));
  if (known) return known.sun;
  const observer = observerAt(place);
  const moment = MakeTime(dateOf('time', time));
  const equator = Equator(Body.Sun, moment, observer, true, true);
  const { azimuth, altitude } = Horizon(moment, observer, equator.ra, equator.dec);
  const sun = {
    azimuthDeg: fullCircle(azimuth),
    altitudeDeg: altitude,
    apparentAltitudeDeg: altitude + refractionDeg(altitude, pressureHpa, temperatureC),
  };
  kept = [{ asked, sun }, ...kept.slice(0, KEPT - 1)];
  return sun;
}
