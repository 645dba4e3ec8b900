import type { FramedPart, PartFraming } from '@/answers/part-framing';
import { inALine } from '@/features/shoot/day-lines';
import { LOOK_WORDS, metres, percent } from '@/features/shoot/words';

/** Framings of a large animal, in words. */

export const PART_WORDS: Readonly<Record<FramedPart, string>> = {
  whole: 'Whole',
  threeQuarter: 'Three quarters',
  head: 'Head and neck',
};

/** "600 mm with the 1.4x: fills 61 %, washed out behind"; where no lens gives it, from how far it would. */
export function partInWords({ fill, focalMm, look, by, fromM }: PartFraming): string {
  if (!by) {
    const wanted = `Wants ${Math.round(focalMm)} mm from here: ${LOOK_WORDS[look]} behind`;
    return fromM === undefined
      ? wanted
      : `${wanted}. Your lens frames it from ${metres(fromM)}: only if it goes on as before`;
  }
  const takes = by.converter === 1 ? '' : ` with the ${by.converter}x`;
  const fills = (fill * by.focalMm * by.converter) / focalMm;
  return `${by.focalMm} mm${takes}: fills ${percent(fills)}, ${LOOK_WORDS[look]} behind`;
}

/** What of it stands free of what is behind: "Whole it is not set off from what is behind; its head and neck are." */
export function setOffInWords(framings: readonly PartFraming[]): string | undefined {
  const free = framings.filter(({ look }) => look === 'washed').map(({ part }) => part);
  if (free.includes('whole')) return undefined;
  const parts = free.map((part) => PART_WORDS[part].toLowerCase());
  return parts.length > 0
    ? `Whole it is not set off from what is behind; ${inALine(parts)}, it is.`
    : 'Neither whole nor in part it is set off from what is behind: find a place with more behind it.';
}
