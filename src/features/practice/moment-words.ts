import type { Happening } from '@/answers/moments';
import type { BurstOdds } from '@/answers/practised';
import type { Hand } from '@/core';
import type { MomentKind } from '@/records/practice';
import { percent } from '@/features/shoot/words';

/** What a press was, and what many of them say of a hand. */

export const MOMENT_NAMES: Readonly<Record<MomentKind, string>> = {
  jump: 'Top of the jump',
  bat: 'Ball on the bat',
  stride: 'Knee at its highest',
  wings: 'Wings up',
  leaving: 'Bird leaving',
  turn: 'Head turned to you',
};

export const MOMENT_CUES: Readonly<Record<MomentKind, string>> = {
  jump: 'Knees bend, it rises, it hangs for a tenth of a second at the top.',
  bat: 'The ball is half a second on its way: press as it meets the bat.',
  stride:
    'Three steps a second: take up their beat, and press as a knee is highest. The nearest step counts.',
  wings: 'Three beats a second: take up their beat, and press at the top. The nearest beat counts.',
  turn: 'It looks away; then the head comes round and stays for half a second: the eye is lit.',
  leaving: 'It dips, a third of a second later it is off. A hand is a fifth of a second late.',
};

const ms = (seconds: number): string => `${Math.abs(Math.round(seconds * 1000))} ms`;

/** "62 ms late", "on it". */
export function lateInWords(
  lateS: number,
  { goodFromS, goodToS }: Pick<Happening, 'goodFromS' | 'goodToS'>,
): string {
  if (lateS >= goodFromS && lateS <= goodToS)
    return `On it: ${ms(lateS)} ${lateS < 0 ? 'before' : 'after'}`;
  return `${ms(lateS)} ${lateS > 0 ? 'late' : 'early'}`;
}

/** What a burst held from that press would have had. */
export function burstInWords(
  frames: readonly { readonly timeS: number; readonly good: boolean }[],
  pressS: number,
  fps: number,
): string {
  const good = frames.filter((frame) => frame.good);
  const after = good.filter(({ timeS }) => timeS >= pressS).length;
  const count = (n: number) => (n === 0 ? 'no frame' : n === 1 ? '1 frame' : `${n} frames`);
  return `Half a second at ${fps} a second from there has ${count(after)} of it; with half a second from before the press, ${count(good.length)}.`;
}

/** "You are 62 ms late on the whole (40 to 84), scattering by 51 ms." */
export function lateHandInWords({ bias, scatter, count }: Hand): string {
  const leans =
    bias.low > 0 || bias.high < 0
      ? `${ms(bias.value)} ${bias.value > 0 ? 'late' : 'early'} on the whole`
      : 'neither early nor late on the whole';
  return `You are ${leans}, scattering by ${ms(scatter.value)} (${ms(scatter.low)} to ${ms(scatter.high)}), over ${count} presses.`;
}

const HOW: Readonly<Record<BurstOdds['how'], string>> = {
  single: 'One frame',
  half: 'Half a second held',
  whole: 'A second held',
  before: 'Half a second, and as much from before the press',
};

/** "Half a second held, pressed 0.12 s before you feel it: 84 % have it". */
export function burstOddsInWords({ how, earlyS, chance }: BurstOdds, fps: number): string {
  const early = earlyS >= 0.02 ? `, pressed ${earlyS.toFixed(2)} s before you feel it` : '';
  return `${HOW[how]}${how === 'single' ? '' : ` at ${fps} a second`}${early}: ${percent(chance)} have it.`;
}

/** "60 ms late, scattering by 40 ms". */
export const lateInShort = ({ bias, scatter }: Hand): string =>
  `${ms(bias.value)} ${bias.value > 0 ? 'late' : 'early'}, scattering by ${ms(scatter.value)}`;
