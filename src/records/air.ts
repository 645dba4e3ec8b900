import type { Air } from './day';
import { hourAt } from './forecast';
import type { Shoot } from './shoot';
import { hoursOf } from './times';

/** The weather of one hour, as kit and people feel it. */
export type AirHour = Pick<Air, 'temperatureC' | 'humidityPct' | 'windMs' | 'rainMmH'> & {
  /** When it is, of a forecast's hour; all the hours when absent. */
  readonly time?: string;
};

const HOUR_MS = 3_600_000;

/** The hours' weather within a shoot: the forecast's where it is followed and covers them, else by hand. */
export function airThrough({
  air,
  light,
  ...when
}: Pick<Shoot, 'air' | 'light' | 'place' | 'startLocal' | 'endLocal'>): {
  readonly hours: readonly AirHour[];
  readonly from: 'forecast' | 'hand';
} {
  const { startMs, endMs } = hoursOf({ ...when, light });
  const within =
    light.skyFrom === 'forecast'
      ? (light.forecast?.hours ?? []).filter(({ time }) => {
          const at = Date.parse(time);
          return at > startMs - HOUR_MS && at <= endMs;
        })
      : [];
  return within.length > 0 ? { hours: within, from: 'forecast' } : { hours: [air], from: 'hand' };
}

/** The weather of a minute: that of the forecast's hour where it is followed and covers it, else by hand. */
export const airAt = (
  { air, light }: Pick<Shoot, 'air' | 'light'>,
  atMs: number,
): AirHour & Pick<Air, 'visibilityKm'> =>
  (light.skyFrom === 'forecast' && light.forecast && hourAt(light.forecast, atMs)) || air;
