import { groundUnderM, slopeIn, underWater, type UnderWater, type Water } from '@/core';
import type { Shoot } from '@/records/shoot';
import { msOf } from '@/records/times';
import type { View } from './view';

/** Where the water comes on a shore: to where one stands, and to what one looks at. */

export interface Flooded extends UnderWater {
  readonly name: string;
  /** How high the ground is there over its lowest. */
  readonly groundM: number;
}

/** The tides that say how high their water stands, in order. */
export const watersOf = ({ nature, place }: Pick<Shoot, 'nature' | 'place'>): readonly Water[] =>
  nature
    .flatMap(({ kind, atLocal, waterM }) =>
      (kind === 'highTide' || kind === 'lowTide') && waterM !== undefined
        ? [{ timeMs: msOf(atLocal, place.timeZone), heightM: waterM }]
        : [],
    )
    .sort((a, b) => a.timeMs - b.timeMs);

/** When position and mark lie under water; nothing on level ground, or where fewer than two heights are known. */
export function floodedAt(
  shoot: Pick<Shoot, 'nature' | 'place' | 'features'>,
  { position, mark }: Pick<View, 'position' | 'mark'>,
): readonly Flooded[] | undefined {
  const waters = watersOf(shoot);
  if (waters.length < 2 || !slopeIn(shoot.features)) return undefined;
  return [position, mark].flatMap((spot) => {
    const groundM = groundUnderM(shoot.features, spot);
    return underWater(waters, groundM).map((span) => ({ ...span, name: spot.name, groundM }));
  });
}
