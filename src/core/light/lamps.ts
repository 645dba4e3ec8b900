import { atLeast, finite } from '../check';

/** Lamp levels on an upright face in lux. Common practice, no source. */
export const LAMP_LEVELS_LUX = {
  none: 0,
  dimHall: 175,
  weakFloodlights: 245,
  goodHall: 300,
  nightStadium: 1300,
} as const;
export type LampLevel = keyof typeof LAMP_LEVELS_LUX;

/**
 * Lamp light on a subject's upright face in lux; it adds to daylight linearly.
 * @param level a named venue, or its measured lux
 * @param zoneStops how much brighter (positive) or darker this zone is than the venue's level
 * @throws RangeError for a level below 0
 */
export function lamps({
  level,
  zoneStops = 0,
}: {
  readonly level: LampLevel | number;
  readonly zoneStops?: number;
}): number {
  const lux = typeof level === 'number' ? level : LAMP_LEVELS_LUX[level];
  return atLeast('level', lux, 0) * 2 ** finite('zoneStops', zoneStops);
}
