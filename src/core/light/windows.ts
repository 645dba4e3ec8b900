import { daylight, type Daylight, type Sky } from './daylight';
import { underCanopy } from './shade';

/** What is over a ground: the open sky, or a roof and what its windows let in. */
export interface Roofed {
  /** Under a roof no sun counts, and of the sky only what windows let in. */
  readonly indoors?: boolean;
  /** Daylight factor: light on a level surface inside as a share of that of the whole sky outside. None without windows. */
  readonly windowShare?: number;
  /** In the open under leaves: the share of daylight that they let through, flecks apart; open sky when absent. */
  readonly canopyShare?: number;
}

/** Whether no sun comes to anything on a ground: under a roof, or under closed leaves. */
export const isSunless = ({ indoors = false, canopyShare }: Roofed): boolean =>
  indoors || canopyShare !== undefined;

/**
 * Average daylight factors: under 0.02 a room looks dull and has its lamps on, from 0.05 it is lit by day.
 * Source: BS 8206-2; CIBSE Lighting Guide 10. Quoted from memory; which hall has which is common practice, no source.
 */
export const WINDOW_SHARES = { few: 0.01, oneSide: 0.025, allRound: 0.05 } as const;
export type Windows = keyof typeof WINDOW_SHARES;

/** A roof leaves what the darkest night does, so that a hall without lamps has an EV too. */
const MIDNIGHT_DEG = -90;

/**
 * Daylight over a ground. Windows let in a share of the sky's light, evenly and without the sun: where that falls
 * through them, take a reading.
 * @throws RangeError as {@link daylight}
 */
export function daylightOver(
  { indoors = false, windowShare = 0, canopyShare }: Roofed,
  sunAltitudeDeg: number,
  sky: Sky | number,
): Daylight {
  if (!indoors) {
    const open = daylight({ sunAltitudeDeg, sky });
    return canopyShare === undefined ? open : underCanopy(open, canopyShare);
  }
  const night = daylight({ sunAltitudeDeg: MIDNIGHT_DEG, sky });
  if (windowShare === 0) return night;
  const { diffuseHorizontalLux } = daylight({ sunAltitudeDeg, sky });
  const lux = Math.max(night.diffuseHorizontalLux, windowShare * diffuseHorizontalLux);
  return { directNormalLux: 0, diffuseHorizontalLux: lux, globalHorizontalLux: lux };
}
