import { cosDeg, fullCircle, sinDeg, toDegrees } from '../quantity/angles';

/** How a phone is held, degrees: about its face (alpha), its short edge (beta), its long edge (gamma). */
export interface Held {
  readonly alphaDeg: number;
  readonly betaDeg: number;
  readonly gammaDeg: number;
}

/**
 * The bearing a phone points along, from north as its compass has it: its top edge where it is held level, its
 * back where it is held up as a camera is. Rotations about z, x', y'' as in the W3C Device Orientation Event
 * Specification, whose worked example is the second case.
 */
export function headingOf({ alphaDeg, betaDeg, gammaDeg }: Held): number {
  const [sa, sb, sg] = [sinDeg(alphaDeg), sinDeg(betaDeg), sinDeg(gammaDeg)];
  const [ca, cb, cg] = [cosDeg(alphaDeg), cosDeg(betaDeg), cosDeg(gammaDeg)];
  // Lying on its back or its face within 45°, or standing.
  const level = Math.abs(cb * cg) >= Math.SQRT1_2;
  const [east, north] = level
    ? [-sa * cb, ca * cb]
    : [-ca * sg - sa * sb * cg, -sa * sg + ca * sb * cg];
  return fullCircle(toDegrees(Math.atan2(east, north)));
}

export interface MeanBearing {
  readonly deg: number;
  /** Circular standard deviation, degrees (Mardia and Jupp, Directional Statistics, 2.3). */
  readonly spreadDeg: number;
}

/** The mean of bearings, whichever side of north they lie on, and how far they scatter; nothing where there is none. */
export function meanBearing(bearingsDeg: readonly number[]): MeanBearing | undefined {
  if (bearingsDeg.length === 0) return undefined;
  const sum = (of: (deg: number) => number) =>
    bearingsDeg.reduce((total, deg) => total + of(deg), 0) / bearingsDeg.length;
  const [east, north] = [sum(sinDeg), sum(cosDeg)];
  const length = Math.min(1, Math.hypot(east, north));
  return {
    deg: fullCircle(toDegrees(Math.atan2(east, north))),
    spreadDeg: length === 0 ? 180 : Math.min(180, toDegrees(Math.sqrt(-2 * Math.log(length)))),
  };
}
