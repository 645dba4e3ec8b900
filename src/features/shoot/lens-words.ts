import { combinationsOf } from '@/answers/bag';
import { pictureOf } from '@/answers/day-request';
import { asDayPlans, bestWorn, withBagOf } from '@/answers/picture-view';
import { bodyOf, itemsOf, lensOf } from '@/records/kit';
import type { Shoot } from '@/records/shoot';
import { type DayLine } from './day-lines';
import { inALine } from '@/records/day-said';

/** What is taken of a bag that has more than one lens or body, in words. */

/** Whether the bag leaves a choice of what to take in hand. */
export const isOneOfMany = (kit: Shoot['kit']): boolean => combinationsOf(kit).length > 1;

/** "70–200 mm f/2.8 at 135 mm", "300 mm f/4 with 1.4x on the second body". */
export function lensTaken(kit: Shoot['kit']): string {
  const lens = lensOf(kit);
  const zooms = lens.focals.length > 1;
  return [
    lens.name,
    zooms ? ` at ${Math.round(kit.focalMm)} mm` : '',
    kit.converter > 1 ? ` with ${kit.converter}x` : '',
    itemsOf(kit, 'body').length > 1 ? ` on the ${bodyOf(kit).name}` : '',
  ].join('');
}

/** "With the 300 mm f/4": what an event is shot with as the day has it; nothing where there is no choice. */
export function withWhatLens(shoot: Shoot, { event, stop }: DayLine): string {
  if (!stop) return '';
  const theirs = withBagOf(shoot, stop.shooterId);
  if (!isOneOfMany(theirs.kit)) return '';
  return `With the ${lensTaken(asDayPlans(theirs, pictureOf(shoot, event), stop.positionId).kit)}.`;
}

/** "With the 300 mm f/4 and the 70–200 mm f/2.8": all that stays at a place are shot with, as they come. */
export function lensesInWords(shoot: Shoot, stays: readonly DayLine[]): string {
  const names = stays.flatMap(({ event, stop }) => {
    const theirs = withBagOf(shoot, stop?.shooterId);
    const worn =
      stop && isOneOfMany(theirs.kit) && bestWorn(theirs, pictureOf(shoot, event), stop.positionId);
    return worn ? [`the ${worn.name}`] : [];
  });
  return names.length > 0 ? `With ${inALine([...new Set(names)])}.` : '';
}
