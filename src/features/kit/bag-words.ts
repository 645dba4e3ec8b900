import type { ShotServed } from '@/answers/bag';
import { percent } from '@/features/shoot/words';
import { written } from '@/ui/units';

/** What the bag serves, in words. */

/** Which lens frames a shot from where, or what would. */
export function shotServedInWords({ worn, framed, shot, position }: ShotServed): string {
  const { verdict, fill, closerM, croppedMegapixels, focalMm, widestAperture, wantedMm } = framed;
  const from = `from ${position.name}`;
  if (verdict === 'frames') {
    const at = `${Math.round(focalMm)} mm, f/${widestAperture.toFixed(1).replace(/\.0$/, '')}`;
    return `The ${worn.name} frames it ${from}: ${at}.`;
  }
  const back = written(Math.abs(closerM), 'm', 0);
  if (verdict === 'tooNear') {
    return `Nearer than the ${worn.name} focuses ${from}: step ${back} back.`;
  }
  const fills = `The ${worn.name} fills ${percent(fill)} ${from}, wants ${percent(shot.fill)}:`;
  return verdict === 'short'
    ? `${fills} stand ${back} closer, crop to ${Math.round(croppedMegapixels)} MP, or carry ${Math.round(wantedMm / 10) * 10} mm.`
    : `${fills} step ${back} back, or carry ${Math.round(wantedMm)} mm.`;
}

/** "The bag serves 4 of 5 shots." */
export function servedInWords(served: readonly ShotServed[]): string {
  const count = served.filter((entry) => entry.served).length;
  if (served.length === 0) return 'No shots are promised yet: say in Brief what is owed.';
  return count === served.length
    ? `The bag serves ${count === 1 ? 'the one shot' : `all ${count} shots`} promised.`
    : `The bag serves ${count} of ${served.length} shots.`;
}
