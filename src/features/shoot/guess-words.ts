import type { Guess } from '@/records/guesses';
import type { Shoot } from '@/records/shoot';
import { bearingInWords } from './words';

/** What was left at its guess, in words: what is taken for it, and what would settle it. */

/** "lamps at 245 lx". */
export function guessedInShort(guess: Guess, { light }: Pick<Shoot, 'light'>): string {
  return {
    lamps: `lamps at ${Math.round(light.lampLux)} lx`,
    bearing: 'which way the ground lies',
    kit: 'kit',
  }[guess];
}

/** "Guessed: lamps at 245 lx, kit"; nothing where all is said. */
export function guessesInShort(shoot: Pick<Shoot, 'light' | 'guessed'>): string {
  const all = shoot.guessed.map((guess) => guessedInShort(guess, shoot));
  return all.length === 0 ? '' : `Guessed: ${all.join(', ')}`;
}

/** What is taken for it, and the one measurement that settles it. */
export function guessInWords(
  guess: Guess,
  { light, ground }: Pick<Shoot, 'light' | 'ground'>,
): string {
  return {
    lamps: `The lamps are guessed at ${Math.round(light.lampLux)} lx. One test frame on the ground settles it.`,
    bearing: `The long axis is guessed to run towards ${bearingInWords(ground.bearingDeg)}. Look from one end to the other with a compass, or turn it to where the sun sets.`,
    kit: 'Body, lens or both are guessed. What you carry settles it.',
  }[guess];
}

/** The guesses that this minute’s answer rests on: lamps that burn, a sun that can fall on it, the kit. */
export const guessesOfNow = (
  guessed: readonly Guess[],
  { lampsOn, sunUp }: { readonly lampsOn: boolean; readonly sunUp: boolean },
): readonly Guess[] =>
  guessed.filter((guess) => ({ lamps: lampsOn, bearing: sunUp, kit: true })[guess]);
