import { above, atLeast, within } from '../check';
import { sinc } from '../quantity/special';

/**
 * What lamps on alternating current do between frames. Their light is 1 + m·cos(2π·2·mains·t);
 * averaged over the exposure the swing is m·|sinc(2·mains·t)|, so that the brightest frame stands
 * to the darkest as (1 + swing)/(1 − swing).
 * @param modulation 0 (steady) to under 1; old ballasts about 0.4, good drivers under 0.05
 * @param readoutS time a rolling shutter takes down the frame; 0 for none
 * @returns worst frame-to-frame difference in stops, and bright-dark cycles down one frame
 * @throws RangeError for a mains frequency or time not above 0, or a modulation outside 0–0.999
 */
export function flicker({
  mainsHz,
  modulation,
  shutterS,
  readoutS = 0,
}: {
  readonly mainsHz: number;
  readonly modulation: number;
  readonly shutterS: number;
  readonly readoutS?: number;
}): { readonly spreadStops: number; readonly bands: number } {
  above('mainsHz', mainsHz, 0);
  within('modulation', modulation, 0, 0.999);
  above('shutterS', shutterS, 0);
  atLeast('readoutS', readoutS, 0);
  const swing = modulation * Math.abs(sinc(2 * mainsHz * shutterS));
  return { spreadStops: Math.log2((1 + swing) / (1 - swing)), bands: 2 * mainsHz * readoutS };
}

/**
 * Exposure times that flicker can't touch: whole multiples of 1/(2·mains), up to `longestS`.
 * @returns seconds, shortest first; empty if even the shortest is longer than asked
 * @throws RangeError for a frequency or time not above 0, or more than 10 000 of them
 */
export function flickerFreeShutters({
  mainsHz,
  longestS,
}: {
  readonly mainsHz: number;
  readonly longestS: number;
}): readonly number[] {
  above('mainsHz', mainsHz, 0);
  above('longestS', longestS, 0);
  const count = Math.floor(2 * mainsHz * longestS * (1 + 1e-12));
  within('longestS times twice mainsHz', count, 0, 10_000);
  return Array.from({ length: count }, (_, i) => (i + 1) / (2 * mainsHz));
}

/** Where the exposure nearly averages the swing away, a burst says nothing of it. */
const TELLS_FROM = 0.05;

/**
 * Swing of the lamps from a test burst: how far its brightest and darkest frames lie apart. The
 * inverse of {@link flicker}; nothing when the shutter is so near an immune time that it can't tell.
 * @param spreadStops brightest over darkest frame, in stops, from 0
 * @throws RangeError for a negative spread, or a frequency or time not above 0
 */
export function modulationFromBurst({
  mainsHz,
  shutterS,
  spreadStops,
}: {
  readonly mainsHz: number;
  readonly shutterS: number;
  readonly spreadStops: number;
}): number | undefined {
  above('mainsHz', mainsHz, 0);
  above('shutterS', shutterS, 0);
  const ratio = 2 ** atLeast('spreadStops', spreadStops, 0);
  const kept = Math.abs(sinc(2 * mainsHz * shutterS));
  if (kept < TELLS_FROM) return undefined;
  return Math.min(0.99, (ratio - 1) / (ratio + 1) / kept);
}
