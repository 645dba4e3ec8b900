import { above, nonEmpty, oneOf, within } from '../check';

/** Reflectance a reflected-light meter takes the scene for: π·K/C, K 12.5, C 250 (ISO 2720). */
export const METERED_REFLECTANCE = (Math.PI * 12.5) / 250;

export interface ScenePart {
  /** Share of the metered area; shares are taken in proportion, so they need not total 1. */
  readonly share: number;
  readonly reflectance: number;
}

/**
 * Stops by which a reflected-light meter misjudges an evenly lit scene: log2(mean/0.157).
 * Positive for a bright scene, which the meter renders that much too dark: the compensation to dial.
 * @throws RangeError without parts, or for a share not above 0 or a reflectance outside 0–1
 */
export function meterError({
  reflectances,
}: {
  readonly reflectances: readonly ScenePart[];
}): number {
  nonEmpty('reflectances', reflectances);
  let sum = 0;
  let shares = 0;
  reflectances.forEach(({ share, reflectance }, i) => {
    above(`reflectances[${i}].share`, share, 0);
    within(
      `reflectances[${i}].reflectance`,
      above(`reflectances[${i}].reflectance`, reflectance, 0),
      0,
      1,
    );
    sum += share * reflectance;
    shares += share;
  });
  return Math.log2(sum / shares / METERED_REFLECTANCE);
}

/** What to keep of a white scene: its texture, or its brightness. Practitioners disagree. */
export type WhiteSchool = 'texture' | 'brightness';

export interface WhiteScene {
  readonly compensationStops: number;
  /** The range the school works in. */
  readonly range: { readonly low: number; readonly high: number };
}

/** Compensation that each school dials on snow, ice and white kit. Common practice, no source. */
const WHITE_RANGE: Readonly<Record<WhiteSchool, { readonly low: number; readonly high: number }>> =
  { texture: { low: -1, high: -1 / 3 }, brightness: { low: 1, high: 2 } };
/** Meter error at which the texture school goes to the end of its range. */
const ALL_WHITE_STOPS = 2.5;

/**
 * Compensation for a scene a meter makes too dark. "brightness" follows the meter error within +1
 * to +2, the classic rule for meters; "texture" stays under, −⅓ for a little white to −1 for all.
 * @param meterErrorStops from {@link meterError}; a scene that isn't white (under ½ stop) gets 0
 * @throws RangeError for an unknown school or an error beyond ±10 stops
 */
export function whiteScene({
  meterErrorStops,
  school,
}: {
  readonly meterErrorStops: number;
  readonly school: WhiteSchool;
}): WhiteScene {
  within('meterErrorStops', meterErrorStops, -10, 10);
  const range = WHITE_RANGE[oneOf('school', school, ['texture', 'brightness'])];
  if (meterErrorStops < 0.5) return { compensationStops: 0, range };
  const wanted =
    school === 'brightness'
      ? meterErrorStops
      : range.high + ((range.low - range.high) * (meterErrorStops - 0.5)) / (ALL_WHITE_STOPS - 0.5);
  return { compensationStops: Math.min(range.high, Math.max(range.low, wanted)), range };
}
