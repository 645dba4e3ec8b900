import { useCallback } from 'react';
import { useEdits } from '@/features/shoot/open-shoot';
import { withoutEntry, type EntryList } from '@/records/edit-brief';
import { useToast } from '@/ui/Toast';

/** Takes away a shot, a person or a subject, with a way back. */
export function useRemoveEntry() {
  const { update, undo } = useEdits();
  const say = useToast();
  return useCallback(
    (list: EntryList, { id, name }: { readonly id: string; readonly name: string }) => {
      update((current) => withoutEntry(current, list, id));
      say({ text: `Took away “${name}”`, action: { label: 'Undo', onPress: undo } });
    },
    [update, undo, say],
  );
}
