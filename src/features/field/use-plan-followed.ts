import { useEffect } from 'react';
import { comingLines, type DayLine } from '@/features/shoot/day-lines';
import { useShown } from '@/features/shoot/open-shoot';
import { useDay } from '@/features/shoot/use-day';
import { useSteady } from '@/ui/use-steady';
import { isInHand } from './as-planned';
import { useField } from './use-field';
import { useFieldTime } from './use-field-time';

/**
 * The stay of the plan that is on, or the next to come. While a press has the day planned anew the plan before stands:
 * what is shown of it must not come and go under the thumb.
 */
export function usePlannedStay(): DayLine | undefined {
  const { atMs } = useShown('atMs');
  return comingLines(useDay().lines, atMs)[0];
}

/** On the day, what the plan is at comes into the hand by itself once it is settled, until one is elsewhere. */
export function usePlanFollowed(): void {
  const { shoot } = useShown('shoot');
  const { following } = useFieldTime();
  const { standAsPlanned } = useField();
  const stay = usePlannedStay();
  const isSettled = useDay().state.kind !== 'planning';
  const wanted =
    isSettled && following && !shoot.choice.elsewhere && stay && !isInHand(shoot, stay);
  const which = wanted ? `${stay.event.id} ${stay.startMs}` : undefined;
  const { follow } = useSteady({ follow: () => stay && standAsPlanned(stay) });
  // By which stay it is, not by every new reading of it.
  useEffect(() => {
    if (which !== undefined) follow();
  }, [which, follow]);
}
