import { atLeast } from '../check';
import { dewPoint } from './air';

/** Whether mist hangs over damp ground or water. */
export type Mist = 'likely' | 'possible' | 'none';

/** Air so near to its dew point, and so still, holds mist. Common practice, no source. */
const LIKELY = { spreadC: 1, windMs: 2 } as const;
const POSSIBLE = { spreadC: 2.5, windMs: 3.5 } as const;

export interface MistOn {
  readonly mist: Mist;
  /** How far the air is over its dew point. */
  readonly spreadC: number;
  /** What keeps it away: air too dry, or wind that stirs in drier air from above. */
  readonly why: 'damp' | 'dry' | 'wind';
}

/**
 * Mist by how near air is to its dew point and how still it is.
 * @throws RangeError as {@link dewPoint}, or for a wind under 0
 */
export function mistIn({
  temperatureC,
  relativeHumidityPct,
  windMs,
}: {
  readonly temperatureC: number;
  readonly relativeHumidityPct: number;
  readonly windMs: number;
}): MistOn {
  atLeast('windMs', windMs, 0);
  const spreadC = temperatureC - dewPoint({ temperatureC, relativeHumidityPct });
  const within = (limit: typeof LIKELY | typeof POSSIBLE) =>
    spreadC <= limit.spreadC && windMs <= limit.windMs;
  const mist = within(LIKELY) ? 'likely' : within(POSSIBLE) ? 'possible' : 'none';
  const why = mist !== 'none' ? 'damp' : spreadC > POSSIBLE.spreadC ? 'dry' : 'wind';
  return { mist, spreadC, why };
}
