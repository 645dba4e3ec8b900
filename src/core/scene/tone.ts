import { above, within } from '../check';
import type { SceneExposure } from './types';

/** What a frame makes of light: from luminance to a share of the brightest it holds, and the grain over it. */

/** Grey as a meter takes it: π·K/C, K = 12.5, C = 250 (ISO 2720). */
const METERED_REFLECTANCE = (Math.PI * 12.5) / 250;
/** Illuminance at EV 0 (ISO 2720, C = 250). */
const LUX_AT_EV_0 = 2.5;
/** Where a metered grey comes to stand: mid-grey. */
export const MID_GREY = 0.18;
/** Stops from mid-grey to where a highlight is lost. Common practice, no source. */
export const HEADROOM_STOPS = 3;
/** The most that is told apart. */
export const CLIPPED_AT = MID_GREY * 2 ** HEADROOM_STOPS;
/** Below this a tone is drawn as it is; above it the curve bends towards white. */
const BENDS_FROM = 0.5;

/**
 * What one cd/m² becomes: a metered grey under the light that the settings are for stands at {@link MID_GREY}.
 * One stop of any dial, or of lift, doubles it.
 */
export const linearPerNit = ({ ev, lossStops, liftStops }: SceneExposure): number =>
  (MID_GREY * Math.PI * 2 ** (liftStops - ev - lossStops)) / (METERED_REFLECTANCE * LUX_AT_EV_0);

/**
 * The one tone curve: straight up to a half, then bent so that it reaches white where the highlight is lost.
 * @param linear light as a share, mid-grey 0.18
 * @returns share of the paper's white, 0 to 1
 */
export function toned(linear: number): number {
  if (linear <= BENDS_FROM) return Math.max(0, linear);
  const share = Math.min(1, (linear - BENDS_FROM) / (CLIPPED_AT - BENDS_FROM));
  // A parabola that leaves the straight part without a corner is steeper than there is room for: a power ends level.
  const power = (CLIPPED_AT - BENDS_FROM) / (1 - BENDS_FROM);
  return 1 - (1 - BENDS_FROM) * (1 - share) ** power;
}

/** Electrons that a square micrometre of sensor holds at base, and those of reading it out. Usual magnitudes, no source. */
const ELECTRONS_A_UM2 = 1700;
const READ_ELECTRONS = 3;

/**
 * Grain: the variance of linear light at one drawn pixel is `shot · linear + read`. Shot noise of a given
 * tone doubles with every stop above base.
 * @param pixelPitchMm of the sensor
 * @param pixelsDrawn pixels of the sensor that one drawn pixel takes in
 */
export function grainOf(
  { isoStops, liftStops }: Pick<SceneExposure, 'isoStops' | 'liftStops'>,
  pixelPitchMm: number,
  pixelsDrawn: number,
): { readonly shot: number; readonly read: number } {
  above('pixelPitchMm', pixelPitchMm, 0);
  above('pixelsDrawn', pixelsDrawn, 0);
  within('isoStops', isoStops, -3, 20);
  const full = ELECTRONS_A_UM2 * (pixelPitchMm * 1000) ** 2;
  const lift = 2 ** liftStops;
  const perElectron = (CLIPPED_AT * 2 ** isoStops) / full;
  return {
    shot: (perElectron * lift) / pixelsDrawn,
    read: (READ_ELECTRONS * perElectron * lift) ** 2 / pixelsDrawn,
  };
}
