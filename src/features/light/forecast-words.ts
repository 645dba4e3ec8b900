import { cloudAt } from '@/core';
import {
  cloudOf,
  hourAt,
  type Forecast,
  type ForecastHour,
  type Weather,
} from '@/records/forecast';
import { degrees, written } from '@/ui/units';

/** Forecasts in words. */

export const WEATHER_NAMES: Readonly<Record<Weather, string>> = {
  settled: 'Settled',
  changeable: 'Changeable',
  overcast: 'Overcast',
  rain: 'Rain',
  mist: 'Mist',
  snow: 'Snow',
};

/** "changeable, by the simulated forecast"; of a real one where it is from: "by garden.json". */
export const forecastInWords = ({
  weather,
  from = '',
}: Pick<Forecast, 'weather' | 'from'>): string =>
  weather ? `${WEATHER_NAMES[weather].toLowerCase()}, by the simulated forecast` : `by ${from}`;

const percent = (share: number) => Math.round(share * 100);

/** The hour's weather in one line. */
export function weatherInWords(forecast: Forecast, atMs: number): string {
  const hour = hourAt(forecast, atMs);
  if (!hour) return 'The forecast has no such hour: the sky set by hand counts.';
  const { temperatureC, windMs, humidityPct, rainMmH } = hour;
  // Between the hours, as the light takes it.
  const { low, expected, high } = cloudAt(cloudOf(forecast), atMs) ?? {
    ...{ low: hour.cloudLow, expected: hour.cloud, high: hour.cloudHigh },
  };
  return [
    `cloud ${percent(expected)} % (${percent(low)} to ${percent(high)})`,
    degrees(temperatureC),
    `wind ${written(windMs, 'm/s', 0)}`,
    `humidity ${Math.round(humidityPct)} %`,
    rainMmH > 0 ? `rain ${Number(rainMmH.toFixed(1))} mm/h` : 'dry',
    ...(hour.visibilityKm === undefined ? [] : [`seeing ${written(hour.visibilityKm, 'km', 0)}`]),
  ].join(', ');
}

/** "cloud 40 %, 9 °C, wind 3 m/s, dry". */
export const hourInShort = ({ cloud, temperatureC, windMs, rainMmH }: ForecastHour): string =>
  [
    `cloud ${percent(cloud)} %`,
    degrees(temperatureC),
    `wind ${written(windMs, 'm/s', 0)}`,
    rainMmH > 0 ? `rain ${Number(rainMmH.toFixed(1))} mm/h` : 'dry',
  ].join(', ');
