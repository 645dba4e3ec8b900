import type { MoonOver } from '@/answers/moon';
import { bearingInWords, percent } from './words';

/** The moon in words. */

/** "Moon 84 % lit, waxing: rises 19:41." */
export function moonInWords(
  { at, waxing, riseMs, setMs }: MoonOver,
  clock: (ms: number) => string,
): string {
  const turns = [
    { ms: riseMs, words: 'rises' },
    { ms: setMs, words: 'sets' },
  ]
    .filter((turn): turn is { ms: number; words: string } => turn.ms !== undefined)
    .sort((a, b) => a.ms - b.ms)
    .map(({ ms, words }) => `${words} ${clock(ms)}`)
    .join(', ');
  return `Moon ${percent(at.litShare)} lit, ${waxing ? 'waxing' : 'waning'}${turns ? `: ${turns}` : ''}.`;
}

/** "At 22:00 it stands 23° high at 145° SE: 0.06 lx on open ground, EV −5.4, under a clear sky." */
export function moonNowInWords({ at, lux, ev }: MoonOver, clockNow: string): string {
  if (lux === 0) return `At ${clockNow} it is down.`;
  const where = `At ${clockNow} it stands ${at.altitudeDeg.toFixed(0)}° high at ${bearingInWords(at.azimuthDeg)}`;
  if (ev === undefined) return `${where}.`;
  const evWords = ev.toFixed(1).replace('-', '−');
  return `${where}: ${Number(lux.toPrecision(1))} lx on open ground, EV ${evWords}, under a clear sky.`;
}
