import { atLeast, finite } from '../check';

/** Bands of the heat index. Source: US National Weather Service, heat index chart (from memory). */
const HEAT_BANDS = [
  { fromC: 51, name: 'extreme danger' },
  { fromC: 39, name: 'danger' },
  { fromC: 32, name: 'extreme caution' },
  { fromC: 27, name: 'caution' },
] as const;
export type HeatBand = (typeof HEAT_BANDS)[number]['name'] | 'none';

/** What a heat index means for people at work. */
export const heatBand = (heatIndexC: number): HeatBand =>
  HEAT_BANDS.find(({ fromC }) => finite('heatIndexC', heatIndexC) >= fromC)?.name ?? 'none';

/** Litres an hour by heat index: rest in the cool, warm, hot. Common practice, no source. */
const WATER_L_H = [
  { fromC: 32, litres: 0.75 },
  { fromC: 25, litres: 0.5 },
  { fromC: -100, litres: 0.25 },
] as const;

/** Water to carry for some hours. @throws RangeError for negative hours */
export function waterLitres(heatIndexC: number, hours: number): number {
  atLeast('hours', hours, 0);
  const anHour = WATER_L_H.find(({ fromC }) => finite('heatIndexC', heatIndexC) >= fromC);
  return Math.ceil((anHour?.litres ?? 0.25) * hours * 2) / 2;
}

/** Wind chill from which bare hands fail at the dials. Common practice, no source. */
export const COLD_HANDS_C = 5;
/**
 * Wind chill from which skin freezes within half an hour. Source: US National Weather Service wind
 * chill chart (from memory): about −18 °F.
 */
export const FROSTBITE_C = -28;
