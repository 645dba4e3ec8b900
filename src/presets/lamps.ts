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

/** Floodlights in the words people have for them, and what reaches an upright face. */
export interface Floodlights {
  readonly id: 'none' | 'club' | 'school' | 'semiProfessional' | 'stadium';
  readonly name: string;
  readonly lux: number;
}

/**
 * School: the trade's own figure (`LAMP_LEVELS_LUX`); club, semi-professional and stadium: common practice,
 * no source, in the steps of the classes that EN 12193 has for play (75, 200, 500 lx on the ground; quoted
 * from memory).
 */
export const FLOODLIGHTS: readonly Floodlights[] = [
  { id: 'none', name: 'None', lux: 0 },
  { id: 'club', name: 'Club', lux: 120 },
  { id: 'school', name: 'School', lux: LAMP_LEVELS_LUX.weakFloodlights },
  { id: 'semiProfessional', name: 'Semi-professional', lux: 550 },
  { id: 'stadium', name: 'Stadium', lux: LAMP_LEVELS_LUX.nightStadium },
];
