import type { Worn } from '@/answers/bag';
import { pictureOf } from '@/answers/day-request';
import { asDayPlans, bestWorn } from '@/answers/picture-view';
import type { DayLine } from '@/features/shoot/day-lines';
import type { Shoot } from '@/records/shoot';

/** What the plan of a minute asks to be in hand. */

/** The shoot with what a stay of the plan is at in hand: its shot or mark, from its place, with its lens. */
export const asPlanned = (shoot: Shoot, { event, stop }: DayLine): Shoot =>
  asDayPlans(shoot, pictureOf(shoot, event), stop?.positionId ?? shoot.choice.positionId);

/** Whether what a stay of the plan is at is in hand already, with whatever lens. */
export function isInHand(shoot: Shoot, { event, stop }: DayLine): boolean {
  const { choice } = shoot;
  const { shot, markId } = pictureOf(shoot, event);
  return (
    choice.markId === markId && choice.shotId === shot?.id && choice.positionId === stop?.positionId
  );
}

/** What a stay of the plan is shot with, where it is not in the hands. */
export function lensToTake(shoot: Shoot, { event, stop }: DayLine): Worn | undefined {
  const worn = stop && bestWorn(shoot, pictureOf(shoot, event), stop.positionId);
  const { kit } = shoot;
  const inHand =
    worn?.hands.bodyId === kit.bodyId &&
    worn.hands.lensId === kit.lensId &&
    worn.hands.converter === kit.converter;
  return inHand ? undefined : worn;
}
