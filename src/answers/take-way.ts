import type { HeldLevers, WayOut } from '@/core';
import { withItem } from '@/records/edit-kit';
import { newId } from '@/records/new-id';
import type { Shoot } from '@/records/shoot';

/** The shoot with a way out taken: its dials held, or its filter in the bag. */
export function withWay(shoot: Shoot, { hold, filterStops }: WayOut): Shoot {
  if (filterStops === undefined) return withHeld(shoot, hold);
  const filter = {
    kind: 'filter' as const,
    id: `own-${newId()}`,
    name: `Neutral filter, ${filterStops} stops`,
    stops: filterStops,
  };
  return { ...shoot, kit: withItem(shoot.kit, filter) };
}

/** The shoot with these dials in the hand, and no others. */
export const withHeld = (shoot: Shoot, held: HeldLevers): Shoot => ({
  ...shoot,
  choice: { ...shoot.choice, held },
});
