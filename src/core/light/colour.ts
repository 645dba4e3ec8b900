import { lightKind, type LightKind } from './readings';
import type { SubjectLight } from './subject';

/** The colour of a light as one would set it by hand. */
export interface LightColour {
  readonly kind: LightKind;
  readonly kelvin: number;
  readonly name: string;
}

/** A sun lower than this is warm. Common practice, no source. */
const LOW_SUN_DEG = 12;
/** Round settings of the white balance. Common practice, no source. */
const KELVIN: Readonly<Record<LightKind, Omit<LightColour, 'kind'>>> = {
  sun: { kelvin: 5500, name: 'daylight' },
  shade: { kelvin: 7500, name: 'cool shade' },
  overcast: { kelvin: 6500, name: 'grey sky' },
  twilight: { kelvin: 9000, name: 'blue hour' },
  lamps: { kelvin: 4000, name: 'lamps: take a card shot' },
};
const WARM_SUN = { kelvin: 4000, name: 'warm low sun' };

/** Colour class of a light; a fixed setting to begin with, which a card shot betters. */
export function lightColour(light: SubjectLight): LightColour {
  const kind = lightKind(light);
  const low = kind === 'sun' && light.sun.altitudeDeg < LOW_SUN_DEG;
  return { kind, ...(low ? WARM_SUN : KELVIN[kind]) };
}
