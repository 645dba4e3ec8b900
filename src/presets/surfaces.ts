import { GROUND_REFLECTANCE, type GroundSurface } from '@/core';

/** What the ground is made of. Reflectances: common practice, round values, no source. */
export interface SurfacePreset {
  readonly id: GroundSurface;
  readonly name: string;
  readonly reflectance: number;
}

const NAMES: Readonly<Record<GroundSurface, string>> = {
  grass: 'Grass',
  snow: 'Snow',
  drySand: 'Dry sand',
  water: 'Water',
  clayTrack: 'Clay or running track',
  hallWood: 'Sports-hall floor',
  ice: 'Ice',
};

export const SURFACES: readonly SurfacePreset[] = (Object.keys(NAMES) as GroundSurface[]).map(
  (id) => ({ id, name: NAMES[id], reflectance: GROUND_REFLECTANCE[id] }),
);
