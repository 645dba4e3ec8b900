import type { EvRange } from '@/core';

/** Light on a face judged by eye. Every EV: common practice, no source. */
export interface EyeLight {
  readonly id: string;
  readonly name: string;
  readonly ev: EvRange;
}

export const EYE_LIGHTS = [
  {
    id: 'sunBehind',
    name: 'Sun behind you',
    ev: { low: 14.6, expected: 14.8, high: 15.1 },
  },
  {
    id: 'sunAside',
    name: 'Sun from the side or ahead',
    ev: { low: 12, expected: 12.4, high: 13 },
  },
  { id: 'cloud', name: 'Cloud', ev: { low: 11.5, expected: 12.2, high: 13 } },
  { id: 'shade', name: 'Shade of a stand or trees', ev: { low: 10.8, expected: 11.5, high: 12 } },
  { id: 'forest', name: 'Forest floor', ev: { low: 5.3, expected: 6.3, high: 7.3 } },
] as const satisfies readonly EyeLight[];
