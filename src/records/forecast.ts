import { z } from 'zod';
import type { CloudHour } from '@/core';

/**
 * A forecast as it comes over the wire, out of a file or by hand, and as a shoot keeps it: hourly, versioned. The
 * service that ships with the app makes its weather up and says so.
 * @example
 * const checked = forecastSchema.safeParse(await response.json());
 */

export const FORECAST_VERSION = 1;

/** Weathers that the stand-in knows by name. */
export const WEATHERS = ['settled', 'changeable', 'overcast', 'rain', 'mist', 'snow'] as const;
export type Weather = (typeof WEATHERS)[number];

const share = z.number().min(0).max(1);

export const forecastHourSchema = z
  .strictObject({
    /** Beginning of the hour, UTC. */
    time: z.iso.datetime(),
    /** Share of the sky that cloud covers. */
    cloudLow: share,
    cloud: share,
    cloudHigh: share,
    windMs: z.number().min(0).max(120),
    temperatureC: z.number().min(-90).max(60),
    humidityPct: z.number().min(0).max(100),
    rainMmH: z.number().min(0).max(400),
    /** Where it is told. */
    visibilityKm: z.number().min(0).max(300).optional(),
  })
  .refine(({ cloudLow, cloud, cloudHigh }) => cloudLow <= cloud && cloud <= cloudHigh, {
    message: 'cloud must lie between cloudLow and cloudHigh',
  });
export type ForecastHour = z.infer<typeof forecastHourSchema>;

/** Most hours of one forecast. */
export const MOST_HOURS = 96;

export const forecastSchema = z
  .strictObject({
    version: z.literal(FORECAST_VERSION),
    /** True of the stand-in: nobody should plan a paid job by it. */
    simulated: z.boolean(),
    /** What the stand-in made up. */
    weather: z.enum(WEATHERS).optional(),
    /** What a real one was read from: a file's name, what was pasted, by hand. */
    from: z.string().trim().min(1).max(120).optional(),
    latitudeDeg: z.number().min(-90).max(90),
    longitudeDeg: z.number().min(-180).max(180),
    /** The day it was asked for. */
    date: z.iso.date(),
    hours: z.array(forecastHourSchema).min(2).max(MOST_HOURS),
  })
  .superRefine(({ hours, simulated, weather, from }, context) => {
    if (simulated ? weather === undefined : from === undefined) {
      const path = [simulated ? 'weather' : 'from'];
      context.addIssue({ code: 'custom', path, message: 'must be told' });
    }
    const wrong = hours.findIndex(
      ({ time }, i) => i > 0 && Date.parse(time) <= Date.parse(hours[i - 1]?.time ?? ''),
    );
    if (wrong > 0) {
      context.addIssue({
        code: 'custom',
        path: ['hours', wrong, 'time'],
        message: 'must be later than the hour before',
      });
    }
  });
export type Forecast = z.infer<typeof forecastSchema>;

/** A number as it stands in an address: nothing at all is none, not 0. */
const writtenNumber = z
  .string()
  .regex(/^-?\d{1,3}(\.\d{1,15})?$/, 'must be a number')
  .transform(Number);

/** The question to the service, as it stands in an address. */
export const forecastQuerySchema = z.strictObject({
  latitudeDeg: writtenNumber.pipe(z.number().min(-90).max(90)),
  longitudeDeg: writtenNumber.pipe(z.number().min(-180).max(180)),
  date: z.iso.date(),
  weather: z.enum(WEATHERS),
});
export type ForecastQuery = z.infer<typeof forecastQuerySchema>;

const clouds = new WeakMap<Forecast, readonly CloudHour[]>();

/** The forecast's cloud as the light takes it: the same list for the same forecast. */
export function cloudOf(forecast: Forecast): readonly CloudHour[] {
  const known = clouds.get(forecast);
  if (known) return known;
  const made = forecast.hours.map(({ time, cloudLow, cloud, cloudHigh }) => ({
    timeMs: Date.parse(time),
    low: cloudLow,
    expected: cloud,
    high: cloudHigh,
  }));
  clouds.set(forecast, made);
  return made;
}

/** The hour's weather at a moment; nothing outside the forecast. */
export function hourAt(forecast: Forecast, timeMs: number): ForecastHour | undefined {
  const at = forecast.hours.findLast(({ time }) => Date.parse(time) <= timeMs);
  return at && timeMs - Date.parse(at.time) < 2 * 3_600_000 ? at : undefined;
}
