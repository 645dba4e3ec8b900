import { within } from '../check';
import { cosDeg, sinDeg } from '../quantity/angles';

/** Refractive index of window glass (soda-lime float), usual value, quoted from memory. */
const GLASS_INDEX = 1.52;
/** Nearer to edge-on no light to speak of comes through. */
const STEEPEST_DEG = 89;

/**
 * Share of unpolarised light that a surface of glass reflects, by the angle off its square: Fresnel's equations.
 * Check: (n − 1)²/(n + 1)² = 4.26 % straight on.
 * @throws RangeError outside 0 to 89
 */
export function glassReflectance(offSquareDeg: number): number {
  within('offSquareDeg', offSquareDeg, 0, STEEPEST_DEG);
  const cosIn = cosDeg(offSquareDeg);
  const cosOut = Math.sqrt(1 - (sinDeg(offSquareDeg) / GLASS_INDEX) ** 2);
  const across = ((cosIn - GLASS_INDEX * cosOut) / (cosIn + GLASS_INDEX * cosOut)) ** 2;
  const along = ((cosOut - GLASS_INDEX * cosIn) / (cosOut + GLASS_INDEX * cosIn)) ** 2;
  return (across + along) / 2;
}

/**
 * Light that panes of clear glass cost, in stops: of 2m surfaces that reflect R each, with all that goes to and
 * fro between them, (1 − R)/(1 + (2m − 1)R) goes through. What the glass itself swallows is left out.
 * Source: Stokes's formula for a pile of plates, as in textbooks of optics.
 */
export function glassLossStops(panes: number, offSquareDeg: number): number {
  within('panes', panes, 1, 3);
  const reflected = glassReflectance(Math.min(offSquareDeg, STEEPEST_DEG));
  return -Math.log2((1 - reflected) / (1 + (2 * panes - 1) * reflected));
}
