import { CLOUD_FRACTION } from '@/core';
import { cloudWithin, type ForecastAsked } from '@/formats/forecast-file';
import { FORECAST_VERSION, MOST_HOURS, type Forecast, type ForecastHour } from '@/records/forecast';
import type { Shoot } from '@/records/shoot';
import { hoursOf } from '@/records/times';

/** A forecast of one's own: what a file is read for, and hours typed in. */

type Of = Pick<Shoot, 'light' | 'place' | 'startLocal' | 'endLocal' | 'air'>;

export const PASTED = 'what was pasted';
const TYPED = 'hours typed in';
const BY_HAND = ', changed by hand';
const HOUR_MS = 3_600_000;

export function askedOf(shoot: Of, name: string): ForecastAsked {
  const { startMs, endMs } = hoursOf(shoot);
  const { timeZone, latitudeDeg, longitudeDeg } = shoot.place;
  const { windMs, temperatureC, humidityPct, rainMmH } = shoot.air;
  return {
    // A name and what is added to it later stay within the record.
    ...{ name: name.slice(0, 100), startMs, endMs, date: shoot.startLocal.slice(0, 10) },
    ...{ timeZone, latitudeDeg, longitudeDeg },
    air: { windMs, temperatureC, humidityPct, rainMmH },
  };
}

/** A shoot's hours as the weather is set by hand, to be changed one by one. */
export function typedForecast(shoot: Of): Forecast {
  const { startMs, endMs } = hoursOf(shoot);
  const { latitudeDeg, longitudeDeg } = shoot.place;
  const { windMs, temperatureC, humidityPct, rainMmH } = shoot.air;
  const firstMs = Math.floor(startMs / HOUR_MS) * HOUR_MS;
  const count = Math.min(MOST_HOURS, Math.ceil((endMs - firstMs) / HOUR_MS) + 1);
  return {
    ...{ version: FORECAST_VERSION, simulated: false, from: TYPED, latitudeDeg, longitudeDeg },
    date: shoot.startLocal.slice(0, 10),
    hours: Array.from({ length: Math.max(2, count) }, (_, i) => ({
      time: new Date(firstMs + i * HOUR_MS).toISOString(),
      ...cloudWithin(CLOUD_FRACTION[shoot.light.sky]),
      ...{ windMs, temperatureC, humidityPct, rainMmH },
    })),
  };
}

/** A forecast with one of its hours as one says it is. */
export function withHour(
  forecast: Forecast,
  index: number,
  change: Partial<Omit<ForecastHour, 'time' | 'cloudLow' | 'cloudHigh'>>,
): Forecast {
  const { from = '' } = forecast;
  const cloud = change.cloud === undefined ? {} : cloudWithin(change.cloud);
  return {
    ...forecast,
    from: from === TYPED || from.endsWith(BY_HAND) ? from : `${from}${BY_HAND}`,
    hours: forecast.hours.map((hour, i) => (i === index ? { ...hour, ...change, ...cloud } : hour)),
  };
}
