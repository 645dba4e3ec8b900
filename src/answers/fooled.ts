import { meterError } from '@/core';
import type { MeterScene } from '@/presets/meter-scenes';

/** What a meter makes of a scene: how far it is fooled. */
export const fooledStops = ({ around, subject }: MeterScene, share: number): number =>
  meterError({
    reflectances: [
      { share: Math.max(0.01, share), reflectance: around },
      { share: Math.max(0.01, 1 - share), reflectance: subject },
    ],
  });
