import { formatShutter, type CameraSwing } from '@/core';
import type { PanJudged } from '@/answers/crossing';
import type { PanPractised, RungOdds } from '@/answers/practised';
import { percent } from '@/features/shoot/words';

/** What a swing did, and what many of them say of a hand. */

/** Nearer than this to the subject's rate it is even. */
const EVEN = 0.015;

/** "8 % too fast". */
export function rateInWords(rateError: number): string {
  if (Math.abs(rateError) < EVEN) return 'even with the subject';
  return `${percent(Math.abs(rateError))} too ${rateError > 0 ? 'fast' : 'slow'}`;
}

/** "8 % too fast at the press: sharp at 1/125". */
export function swingInWords({ rateError }: CameraSwing, judged: PanJudged): string {
  const time = formatShutter(judged.shutterS);
  if (judged.lost) return `Lost: the subject was out of the frame, or left behind, at ${time}`;
  const circles = judged.smearCircles.toFixed(1);
  return judged.sharp
    ? `Sharp at ${time}: ${rateInWords(rateError)}`
    : `Not sharp at ${time}: ${rateInWords(rateError)}, drawn out ${circles} circles where 2 are sharp`;
}

const LEAST_BEFORE_S = 0.3;
const LEAST_AFTER_S = 0.15;
const MOST_JERK = 0.25;
const MOST_WOBBLE_SHARE = 0.03;
const OFF_SHARE = 0.2;

/**
 * What to do otherwise, the gravest first; nothing where the swing was sound.
 * @param frameHighDeg how much the frame sees from foot to top
 */
export function swingAdvice(
  swing: CameraSwing,
  frameHighDeg: number,
  pressed: boolean,
): readonly string[] {
  const { beforeS, afterS, jerk, wobbleDeg, off } = swing;
  return [
    ...(pressed ? [] : ['Not pressed: judged as it passed the middle.']),
    ...(beforeS < LEAST_BEFORE_S
      ? ['Picked up late: be on it half a second before you press.']
      : []),
    ...(jerk > MOST_JERK ? ['The press jerked the camera: roll the finger on, don’t stab.'] : []),
    ...(afterS < LEAST_AFTER_S ? ['Stopped at the press: follow through.'] : []),
    ...(wobbleDeg > MOST_WOBBLE_SHARE * frameHighDeg
      ? [`Up and down by ${wobbleDeg.toFixed(1)}°: turn from the hips, elbows in.`]
      : []),
    ...(Math.abs(off.turnDeg) > OFF_SHARE * frameHighDeg && Math.abs(off.turnDeg) < 60
      ? [
          `The subject was ${Math.abs(off.turnDeg).toFixed(1)}° ${off.turnDeg > 0 ? 'behind' : 'ahead of'} the middle.`,
        ]
      : []),
  ];
}

const range = ({ low, high }: { readonly low: number; readonly high: number }): string =>
  `${percent(low)} to ${percent(high)}`;

/** "Your rate varies by 9 % (7 to 12 %): 3 % too fast on the whole, 8 % scatter." */
export function handInWords({ hand: { bias, scatter, sigma }, count }: PanPractised): string {
  const leans =
    bias.low > 0 || bias.high < 0
      ? `${rateInWords(bias.value)} on the whole`
      : 'to neither side on the whole';
  return `Your rate is off by ${percent(sigma.value)} (${range(sigma)}) over ${count} swings: ${leans}, scattering by ${percent(scatter.value)}.`;
}

/** "1/60: 2 in 5 sharp, 5 frames for nine chances in ten". */
export function oddsInWords({ shutterS, chance, frames }: RungOdds): string {
  return Number.isFinite(frames) && frames <= 100
    ? `${formatShutter(shutterS)}: ${percent(chance)} sharp, ${frames === 1 ? '1 frame' : `${frames} frames`} for nine chances in ten`
    : `${formatShutter(shutterS)}: too rare to plan on`;
}
