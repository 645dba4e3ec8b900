import type { Shoot } from './shoot';

/**
 * What was left at its guess when a shoot was made, so that its answers can say so: which way the ground
 * lies, the lamps, the kit.
 */

export const GUESSES = ['bearing', 'lamps', 'kit'] as const;
export type Guess = (typeof GUESSES)[number];

/** Whether a change said what had only been guessed. */
const SAID: Readonly<Record<Guess, (before: Shoot, after: Shoot) => boolean>> = {
  bearing: (before, after) => before.ground.bearingDeg !== after.ground.bearingDeg,
  lamps: (before, after) =>
    before.light.lampLux !== after.light.lampLux || after.readings.length > before.readings.length,
  kit: (before, after) =>
    before.kit.bodyId !== after.kit.bodyId || before.kit.lensId !== after.kit.lensId,
};

/** A shoot after a change: what the change said is no guess any more. */
export function settled(before: Shoot, after: Shoot): Shoot {
  const left = after.guessed.filter((guess) => !SAID[guess](before, after));
  return left.length === after.guessed.length ? after : { ...after, guessed: left };
}

/** The guess was right. */
export const confirmed = (shoot: Shoot, guess: Guess): Shoot => ({
  ...shoot,
  guessed: shoot.guessed.filter((other) => other !== guess),
});
