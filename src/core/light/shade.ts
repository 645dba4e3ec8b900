import { within } from '../check';
import type { Daylight } from './daylight';

/** Share of daylight that reaches the ground under leaves. Common practice, round values. */
export const CANOPY_TRANSMITTANCE = {
  openWood: 0.3,
  summerWood: 0.08,
  conifers: 0.04,
  deepForest: 0.005,
} as const;
export type Canopy = keyof typeof CANOPY_TRANSMITTANCE;

/**
 * Daylight under a closed canopy: what it lets through arrives from all over the leaves, so it is
 * diffuse, sun flecks apart.
 * @param transmittance share of the light on open ground that gets through, 0 to 1
 * @throws RangeError outside that range
 */
export function underCanopy({ globalHorizontalLux }: Daylight, transmittance: number): Daylight {
  within('transmittance', transmittance, 0, 1);
  const lux = globalHorizontalLux * transmittance;
  return { directNormalLux: 0, diffuseHorizontalLux: lux, globalHorizontalLux: lux };
}
