import { zoomedFor } from './choose-shot';
import type { pictureOf } from './day-request';
import { viewOf, type Setup } from './view';

/** The view of a picture from a position, zoomed to the framing its shot wants. */
export function viewFor(
  setup: Setup,
  { shot, markId }: ReturnType<typeof pictureOf>,
  positionId: string,
) {
  const { shotId: _other, ...choice } = setup.choice;
  const looking: Setup = {
    ...setup,
    choice: {
      ...choice,
      markId,
      positionId,
      held: {},
      orientation: shot?.orientation ?? choice.orientation,
      ...(shot && { shotId: shot.id }),
    },
  };
  const seen = viewOf(looking);
  if (!seen.ok || !shot) return { looking, seen };
  const zoomed = { ...looking, kit: zoomedFor(looking.kit, seen.view, shot) };
  return { looking: zoomed, seen: viewOf(zoomed) };
}
