import type { BroadColour, SiteFeature } from '../site/feature';
import type { Surface } from './types';

/** Broad colours as surfaces. Reflectances: usual magnitudes, no source. */
export const COLOUR_SURFACE: Readonly<Record<BroadColour, Surface>> = {
  leaf: { material: 'leaf', reflectance: 0.1 },
  flowers: { material: 'flower', reflectance: 0.25 },
  wood: { material: 'wood', reflectance: 0.12 },
  stone: { material: 'stone', reflectance: 0.3 },
  sand: { material: 'sand', reflectance: 0.35 },
  water: { material: 'water', reflectance: 0.08 },
};

/** The broad colour of what stands on a ground: what is said of it, else what its kind usually is. */
export function colourOf(feature: SiteFeature): BroadColour {
  switch (feature.kind) {
    case 'wall':
      return feature.colour ?? 'stone';
    case 'backdrop':
      return (
        feature.colour ??
        ({ leaf: 'leaf', trunk: 'wood', face: 'stone', lettering: 'stone' }[
          feature.detail
        ] as BroadColour)
      );
    case 'hide':
      return 'wood';
    case 'stand':
      return 'stone';
    default:
      return 'leaf';
  }
}
