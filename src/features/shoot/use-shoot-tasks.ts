import { useMemo } from 'react';
import { shootFileName, writeShootFile } from '@/formats/shoot-json';
import { newId } from '@/records/new-id';
import { duplicateShoot } from '@/records/new-shoot';
import { useShootActions } from '@/records/queries';
import type { Shoot } from '@/records/shoot';
import { downloadText } from '@/ui/files';
import { useToast } from '@/ui/Toast';

const now = () => new Date().toISOString();

/** Whole-shoot tasks, with what they say when done. */
export function useShootTasks() {
  const { add, remove } = useShootActions();
  const say = useToast();
  return useMemo(
    () => ({
      duplicate: (shoot: Shoot): Shoot => {
        const copy = duplicateShoot(shoot, newId(), now());
        add(copy);
        say({ text: `Duplicated as “${copy.title}”` });
        return copy;
      },
      remove: (shoot: Shoot) => {
        remove(shoot.id);
        say({
          text: `Deleted “${shoot.title}”`,
          action: { label: 'Undo', onPress: () => add(shoot) },
        });
      },
      exportFile: (shoot: Shoot) => {
        downloadText(shootFileName(shoot), writeShootFile(shoot), 'application/json');
        say({ text: `Exported ${shootFileName(shoot)}` });
      },
      /** Takes a shoot of a file in. @param beside as another one than that of the same id which is here */
      importShoot: (read: Shoot, beside: boolean) => {
        const shoot = beside ? { ...read, id: newId() } : read;
        add(shoot);
        say({
          text: `Imported “${shoot.title}”`,
          action: { label: 'Undo', onPress: () => remove(shoot.id) },
        });
      },
    }),
    [add, remove, say],
  );
}
