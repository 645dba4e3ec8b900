import type { Tone } from '@/answers/fan';
import { formatShutter, type Hand } from '@/core';
import { percent } from '@/features/shoot/words';

/** "62.4 Hz: 20.8 turns a second with 3 blades". */
export const toneInWords = ({ hz }: Tone, blades: number): string =>
  `${hz.toFixed(1)} Hz: ${(hz / blades).toFixed(1)} turns a second with ${blades} blades`;

const degrees = (deg: number): string => `${deg.toFixed(deg < 20 ? 1 : 0)}°`;

/** "1/60: 125°". */
export const rungInWords = ({
  shutterS,
  deg,
}: {
  readonly shutterS: number;
  readonly deg: number;
}): string => `${formatShutter(shutterS)}: ${degrees(deg)}`;

/** "118°, foretold 125°: 6 % less." */
export function readBackInWords(measuredDeg: number, predictedDeg: number): string {
  const off = measuredDeg / predictedDeg - 1;
  const than =
    Math.abs(off) < 0.005 ? 'the same' : `${percent(Math.abs(off))} ${off > 0 ? 'more' : 'less'}`;
  return `${measuredDeg.toFixed(0)}°, foretold ${predictedDeg.toFixed(0)}°: ${than}.`;
}

/** "At 1/2500 the tape smears over 3.1°, too little to be read. Read one taken at 1/60 to 1/1000." */
export function unreadableInWords(
  { shutterS, deg }: { readonly shutterS: number; readonly deg: number },
  ladder: readonly { readonly shutterS: number }[],
): string {
  const [slowest, fastest] = [ladder[0], ladder.at(-1)];
  const found = `At ${formatShutter(shutterS)} the tape smears over ${degrees(deg)}, ${deg > 180 ? 'too much' : 'too little'} to be read.`;
  return slowest && fastest
    ? `${found} Read one taken at ${formatShutter(slowest.shutterS)} to ${formatShutter(fastest.shutterS)}.`
    : found;
}

/** What pictures read back say altogether of the foretelling. */
export function agreesInWords({ bias, count }: Hand): string {
  const between = `${percent(Math.abs(bias.low))} ${bias.low < 0 ? 'less' : 'more'} to ${percent(Math.abs(bias.high))} ${bias.high < 0 ? 'less' : 'more'}`;
  return bias.low <= 0 && bias.high >= 0
    ? `Over ${count} pictures your smears are what was foretold, within ${between}.`
    : `Over ${count} pictures your smears are ${between} than foretold: look at the turns first, then at the shutter.`;
}
