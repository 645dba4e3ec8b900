import { chance } from '@/demo/chance';
import {
  FORECAST_VERSION,
  type Forecast,
  type ForecastQuery,
  type ForecastHour,
  type Weather,
} from '@/records/forecast';

/**
 * A stand-in for a weather service: hours made up from place, day and a named weather. The same
 * question gets the same answer; nothing in it is measured, and it says so.
 */

interface Kind {
  /** Cloud: middle, how far it wanders, how unsure it is. */
  readonly cloud: readonly [number, number, number];
  readonly windMs: number;
  readonly humidityPct: number;
  readonly rainMmH: number;
  readonly visibilityKm: number;
  readonly warmerC: number;
}

const KINDS: Readonly<Record<Weather, Kind>> = {
  settled: {
    cloud: [0.08, 0.08, 0.08],
    windMs: 2.5,
    humidityPct: 55,
    rainMmH: 0,
    visibilityKm: 35,
    warmerC: 2,
  },
  changeable: {
    cloud: [0.5, 0.35, 0.2],
    windMs: 6,
    humidityPct: 68,
    rainMmH: 0.2,
    visibilityKm: 25,
    warmerC: 0,
  },
  overcast: {
    cloud: [0.95, 0.05, 0.06],
    windMs: 4,
    humidityPct: 78,
    rainMmH: 0,
    visibilityKm: 18,
    warmerC: -1,
  },
  rain: {
    cloud: [0.97, 0.03, 0.04],
    windMs: 7,
    humidityPct: 92,
    rainMmH: 2.4,
    visibilityKm: 7,
    warmerC: -2,
  },
  mist: {
    cloud: [0.6, 0.3, 0.25],
    windMs: 1,
    humidityPct: 97,
    rainMmH: 0,
    visibilityKm: 1.2,
    warmerC: -1,
  },
  snow: {
    cloud: [0.95, 0.05, 0.05],
    windMs: 5,
    humidityPct: 88,
    rainMmH: 1,
    visibilityKm: 3,
    warmerC: -9,
  },
};

const HOUR_MS = 3_600_000;
const HOURS_BEFORE = 14;
const HOURS = 54;
const WARMEST_UTC_HOUR = 15;

const share = (value: number) => Number(Math.min(1, Math.max(0, value)).toFixed(2));
const rounded = (value: number) => Number(value.toFixed(1));

/** Mean air temperature by latitude and season: round figures, made up to be plausible. */
function seasonC(latitudeDeg: number, timeMs: number): number {
  const dayOfYear = (timeMs / 86_400_000) % 365.25;
  const summer = Math.cos((2 * Math.PI * (dayOfYear - 200)) / 365.25) * Math.sign(latitudeDeg || 1);
  const swing = Math.min(14, Math.abs(latitudeDeg) / 4.5);
  return 27 - 0.35 * Math.abs(latitudeDeg) + swing * summer;
}

function hourOf(timeMs: number, asked: ForecastQuery) {
  const { latitudeDeg, longitudeDeg, weather } = asked;
  const kind = KINDS[weather];
  const at = (what: string, hour: number) =>
    chance(`${what} ${weather} ${latitudeDeg.toFixed(2)} ${longitudeDeg.toFixed(2)} ${hour}`);
  const hour = timeMs / HOUR_MS;
  // Hours that follow each other are alike: each leans on the one before.
  const wander = (what: string) => at(what, hour) + at(what, hour - 1) - 1;
  const [middle, wanders, unsure] = kind.cloud;
  const cloud = middle + wanders * wander('cloud');
  const sunHour = (hour % 24) + longitudeDeg / 15;
  const warmth = Math.cos((2 * Math.PI * (sunHour - WARMEST_UTC_HOUR)) / 24);
  const rain = kind.rainMmH * Math.max(0, 1 + 1.6 * wander('rain'));
  return {
    time: new Date(timeMs).toISOString(),
    cloudLow: share(cloud - unsure),
    cloud: share(cloud),
    cloudHigh: share(cloud + unsure),
    windMs: rounded(Math.max(0, kind.windMs * (1 + 0.5 * wander('wind')))),
    temperatureC: rounded(
      Math.max(
        -60,
        Math.min(50, seasonC(latitudeDeg, timeMs) + kind.warmerC + 4 * warmth + wander('air')),
      ),
    ),
    humidityPct: Math.round(
      Math.min(100, Math.max(5, kind.humidityPct - 12 * warmth + 6 * wander('humid'))),
    ),
    rainMmH: rounded(rain),
    visibilityKm: rounded(kind.visibilityKm * (1 + 0.3 * wander('seen'))),
  } satisfies ForecastHour;
}

/** The forecast for a day at a place, from 14 hours before its midnight UTC for 54 hours. */
export function forecastFor(asked: ForecastQuery): Forecast {
  const fromMs = Date.parse(`${asked.date}T00:00:00Z`) - HOURS_BEFORE * HOUR_MS;
  return {
    version: FORECAST_VERSION,
    simulated: true,
    ...asked,
    hours: Array.from({ length: HOURS }, (_, i) => hourOf(fromMs + i * HOUR_MS, asked)),
  };
}
