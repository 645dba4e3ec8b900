import { lightKind, type LightKind } from './readings';
import type { SubjectLight } from './subject';

/** The colour of a light as one would set it by hand. */
export interface LightColour {
  readonly kind: LightKind;
  readonly kelvin: number;
  /** A sun so low that it is warm. */
  readonly warm: boolean;
}

/** A sun lower than this is warm. Common practice, no source. */
const LOW_SUN_DEG = 12;
/** Round settings of the white balance. Common practice, no source. */
const KELVIN: Readonly<Record<LightKind, number>> = {
  sun: 5500,
  shade: 7500,
  overcast: 6500,
  twilight: 9000,
  lamps: 4000,
};
const WARM_SUN_KELVIN = 4000;

/** Colour class of a light; a fixed setting to begin with, which a card shot betters. */
export function lightColour(light: SubjectLight): LightColour {
  const kind = lightKind(light);
  const warm = kind === 'sun' && light.sun.altitudeDeg < LOW_SUN_DEG;
  return { kind, warm, kelvin: warm ? WARM_SUN_KELVIN : KELVIN[kind] };
}
