import { useCallback } from 'react';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { cannotRemove, itemOf, removeItem, type ItemRef } from '@/records/edit-site';
import { useToast } from '@/ui/Toast';
import { useDrawTool } from './use-draw';

/** Takes a thing off the ground, with a way back; says why when it must stay. */
export function useTakeAway(): (item: ItemRef) => void {
  const { shoot } = useShown('shoot');
  const { update, undo } = useEdits();
  const { act } = useDrawTool();
  const say = useToast();
  return useCallback(
    (ref) => {
      const item = itemOf(shoot, ref);
      if (!item) return;
      const reason = cannotRemove(shoot, ref);
      if (reason) {
        say({ text: reason });
        return;
      }
      update((current) => removeItem(current, ref));
      act({ do: 'select', item: undefined });
      say({ text: `Took away “${item.name}”`, action: { label: 'Undo', onPress: undo } });
    },
    [shoot, update, undo, act, say],
  );
}
