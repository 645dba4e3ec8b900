import { anchorOf, itemOf, moveItem, type ItemRef } from '@/records/edit-site';
import { useEdits } from './open-shoot';
import type { PlanUse } from './plan-use';

const nothing = () => undefined;

/** The plan as it is looked at and chosen from: marks and positions are picked and dragged, nothing is drawn. */
export function usePlainPlan(): PlanUse {
  const { update } = useEdits();
  return {
    picking: true,
    crossed: false,
    draft: undefined,
    label: 'Plan. Arrow keys move it, plus and minus zoom, brackets turn it',
    tap: nothing,
    picked: nothing,
    grab: nothing,
    place: (item: ItemRef, to) =>
      update((current) => {
        const there = itemOf(current, item);
        const anchor = there && anchorOf(there);
        return anchor ? moveItem(current, item, to.x - anchor.x, to.y - anchor.y) : current;
      }, `drag ${item.id}`),
  };
}
