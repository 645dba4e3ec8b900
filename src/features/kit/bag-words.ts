import type { ShotServed } from '@/answers/bag';
import { percent } from '@/features/shoot/words';
import { written } from '@/ui/units';

/** What the bag serves, in words. */

/** So far to go, closer or back; to a tenth where it is a step. */
export const stepInWords = (metres: number): string =>
  written(Math.abs(metres), 'm', Math.abs(metres) < 10 ? 1 : 0);

/** Which lens frames a shot from where, or what would. */
export function shotServedInWords(entry: ShotServed): string {
  const { worn, framed, shot, position, served, cropped } = entry;
  const { verdict, fill, closerM, croppedMegapixels, focalMm, widestAperture, wantedMm } = framed;
  const from = `from ${position.name}`;
  if (verdict === 'frames') {
    const at = `${Math.round(focalMm)} mm, f/${widestAperture.toFixed(1).replace(/\.0$/, '')}`;
    return `The ${worn.name} frames it ${from}: ${at}.`;
  }
  const back = stepInWords(closerM);
  if (verdict === 'tooNear') {
    return `Nearer than the ${worn.name} focuses ${from}: step ${back} back.`;
  }
  const fills = `The ${worn.name} fills ${percent(fill)} ${from}, wants ${percent(shot.fill)}:`;
  const crop = `crop to ${Math.round(croppedMegapixels)} MP`;
  if (cropped) return `${fills} ${crop}, or stand ${back} closer.`;
  if (served) return `${fills} step ${back} back for more room.`;
  return verdict === 'short'
    ? `${fills} stand ${back} closer, ${crop}, or carry ${Math.round(wantedMm / 10) * 10} mm.`
    : `${fills} step ${back} back, or carry ${Math.round(wantedMm)} mm.`;
}

/** "The bag serves 4 of 5 shots, 1 with a crop." */
export function servedInWords(served: readonly ShotServed[]): string {
  const count = served.filter((entry) => entry.served).length;
  const cropped = served.filter((entry) => entry.cropped).length;
  if (served.length === 0) return 'No shots are promised yet: say in Brief what is owed.';
  const crop =
    cropped > 0 ? `, ${cropped === 1 && count === 1 ? '' : `${cropped} `}with a crop` : '';
  return count === served.length
    ? `The bag serves ${count === 1 ? 'the one shot' : `all ${count} shots`} promised${crop}.`
    : `The bag serves ${count} of ${served.length} shots${crop}.`;
}
