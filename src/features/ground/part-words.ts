import type { FramedPart, PartFraming } from '@/answers/part-framing';
import { inALine } from '@/records/day-said';
import { LOOK_WORDS, metres, percent } from '@/features/shoot/words';

/** Framings of a large animal, in words. */

export const PART_WORDS: Readonly<Record<FramedPart, string>> = {
  whole: 'Whole',
  threeQuarter: 'Three quarters',
  head: 'Head and neck',
};

/** "600 mm with the 1.4x: fills 61 %, washed out behind"; where no lens gives it from here, from how far it would. */
export function partInWords({ fill, focalMm, look, by, fromM = 0 }: PartFraming): string {
  if (!by) {
    return `Wants ${Math.round(focalMm)} mm from here. Your lens frames it from ${metres(fromM)}, ${LOOK_WORDS[look]} behind: only if the animal goes on as before`;
  }
  const takes = by.converter === 1 ? '' : ` with the ${by.converter}x`;
  return `${by.focalMm} mm${takes}: fills ${percent(fill)}, ${LOOK_WORDS[look]} behind`;
}

/** What of it stands free of what is behind: "Set off from what is behind: head and neck, not the whole." */
export function setOffInWords(framings: readonly PartFraming[]): string | undefined {
  const free = framings.filter(({ look }) => look === 'washed').map(({ part }) => part);
  if (free.includes('whole')) return undefined;
  const parts = free.map((part) => PART_WORDS[part].toLowerCase());
  return parts.length > 0
    ? `Set off from what is behind: ${inALine(parts)}, not the whole.`
    : 'Neither whole nor in part set off from what is behind: find a place with more room behind it.';
}
