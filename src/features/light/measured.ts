import { CLOUD_FRACTION, type Sky } from '@/core';
import { visibilityM } from '@/answers/mist';
import type { Shoot } from '@/records/shoot';
import { withHour } from './own-forecast';

/** Wind, mist and sky as one sees them now, by a press: what was seen rules the hour. */

/** What moves in the wind. Middles of the Beaufort scale's steps 1 to 5 (WMO), quoted from memory. */
export const WIND_SIGNS = [
  { value: 'still', label: 'Still', windMs: 1 },
  { value: 'leaves', label: 'Leaves', windMs: 2.5 },
  { value: 'twigs', label: 'Twigs', windMs: 4.5 },
  { value: 'branches', label: 'Branches', windMs: 6.7 },
  { value: 'bushes', label: 'Bushes', windMs: 9.4 },
] as const;
export type WindSign = (typeof WIND_SIGNS)[number]['value'];

/** How far one sees. Fog is under 1 km (WMO, from memory); the rest is common practice, no source. */
export const MIST_SIGNS = [
  { value: 'clear', label: 'Clear', visibilityKm: 30 },
  { value: 'haze', label: 'Haze', visibilityKm: 5 },
  { value: 'mist', label: 'Mist', visibilityKm: 1.5 },
  { value: 'fog', label: 'Fog', visibilityKm: 0.3 },
] as const;
export type MistSign = (typeof MIST_SIGNS)[number]['value'];

export interface Measured {
  readonly windMs?: number;
  readonly visibilityKm?: number;
  readonly sky?: Sky;
}

type Of = Pick<Shoot, 'light' | 'air'>;

const HOUR_MS = 3_600_000;

/** The hour of a real forecast that is in force at a minute; nothing where none is followed. */
function hourIndex({ light: { skyFrom, forecast } }: Of, atMs: number): number {
  if (skyFrom !== 'forecast' || !forecast || forecast.simulated) return -1;
  const at = forecast.hours.findLastIndex(({ time }) => Date.parse(time) <= atMs);
  const hour = forecast.hours[at];
  return hour && atMs - Date.parse(hour.time) < 2 * HOUR_MS ? at : -1;
}

/**
 * A shoot with what one sees at a minute. A real forecast's hour, and the one after it, become so; else it is set by
 * hand for all the hours, and a simulated forecast is put aside.
 */
export function measuredAt<S extends Of>(shoot: S, atMs: number, seen: Measured): S {
  const { sky, ...air } = seen;
  const index = hourIndex(shoot, atMs);
  const { forecast } = shoot.light;
  if (index >= 0 && forecast) {
    const change = { ...air, ...(sky && { cloud: CLOUD_FRACTION[sky] }) };
    const changed = [index, index + 1]
      .filter((i) => i < forecast.hours.length)
      .reduce((now, i) => withHour(now, i, change), forecast);
    return { ...shoot, light: { ...shoot.light, forecast: changed } };
  }
  return {
    ...shoot,
    air: { ...shoot.air, ...air },
    light: { ...shoot.light, ...(sky && { sky }), skyFrom: 'hand' },
  };
}

const nearest = <T extends { readonly value: string }>(
  signs: readonly T[],
  off: (sign: T) => number,
): T => signs.reduce((a, b) => (off(b) < off(a) ? b : a));

/** Which sign the wind in force is nearest to. */
export const windSign = (windMs: number): WindSign =>
  nearest(WIND_SIGNS, (sign) => Math.abs(Math.log((sign.windMs + 0.5) / (windMs + 0.5)))).value;

/** Which sign the seeing in force is nearest to; clear where nobody looked. */
export function mistSign(shoot: Of, atMs: number): MistSign {
  const seenM = visibilityM(shoot, atMs);
  if (seenM === undefined) return 'clear';
  return nearest(MIST_SIGNS, (sign) => Math.abs(Math.log((sign.visibilityKm * 1000) / seenM)))
    .value;
}
