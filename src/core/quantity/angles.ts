export const RADIANS_PER_DEGREE = Math.PI / 180;

export const toRadians = (deg: number): number => deg * RADIANS_PER_DEGREE;
export const toDegrees = (rad: number): number => rad / RADIANS_PER_DEGREE;
export const sinDeg = (deg: number): number => Math.sin(toRadians(deg));
export const cosDeg = (deg: number): number => Math.cos(toRadians(deg));
export const tanDeg = (deg: number): number => Math.tan(toRadians(deg));

/** An angle folded into 0 ≤ a < 360. */
export const fullCircle = (deg: number): number => ((deg % 360) + 360) % 360;

/** An angle folded into −180 < a ≤ 180. */
export function halfCircle(deg: number): number {
  const folded = fullCircle(deg);
  return folded > 180 ? folded - 360 : folded;
}

/** The angle of a sine, in degrees; a hair past ±1 by rounding is ±90. */
export const arcSinDeg = (sine: number): number =>
  toDegrees(Math.asin(Math.min(1, Math.max(-1, sine))));
