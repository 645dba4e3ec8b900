import { LAMP_LEVELS_LUX, type LampLevel } from '@/core';

/** A venue's lamps. Levels: common practice, no source (`LAMP_LEVELS_LUX` in the core). */
export interface LampPreset {
  readonly id: LampLevel;
  readonly name: string;
  /** Swing of the light at twice the mains, 0 to 1, for those who haven't measured it. */
  readonly modulation: number;
}

export const LAMPS: readonly LampPreset[] = [
  { id: 'none', name: 'No lamps', modulation: 0 },
  { id: 'dimHall', name: 'Dim hall', modulation: 0.3 },
  { id: 'weakFloodlights', name: 'Weak floodlights', modulation: 0.4 },
  { id: 'goodHall', name: 'Good hall', modulation: 0.1 },
  { id: 'nightStadium', name: 'Night stadium', modulation: 0.03 },
];

/** "Weak floodlights, 245 lx"; "No lamps". */
export const lampLabel = ({ id, name }: LampPreset): string =>
  LAMP_LEVELS_LUX[id] > 0 ? `${name}, ${LAMP_LEVELS_LUX[id]} lx` : name;

/** Swing of a ground's lamps: as measured, or as lamps of their level usually swing. */
export function modulationOf({
  modulation,
  lampLux,
}: {
  readonly modulation?: number | undefined;
  readonly lampLux: number;
}): number {
  if (modulation !== undefined) return modulation;
  const nearest = LAMPS.filter(({ id }) => id !== 'none').reduce((a, b) =>
    Math.abs(LAMP_LEVELS_LUX[b.id] - lampLux) < Math.abs(LAMP_LEVELS_LUX[a.id] - lampLux) ? b : a,
  );
  return nearest.modulation;
}
