import { useMemo } from 'react';
import { shootFileName, writeShootFile } from '@/formats/shoot-json';
import { newId } from '@/records/new-id';
import { duplicateShoot } from '@/records/new-shoot';
import type { Parsed } from '@/records/parse';
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
      /** Takes a shoot of a file in as a new one; a refused file changes nothing. */
      importShoot: (read: Parsed<Shoot>): { readonly refused?: string } => {
        if (!read.ok) return { refused: read.reason };
        const shoot = { ...read.record, id: newId() };
        add(shoot);
        say({
          text: `Imported “${shoot.title}”`,
          action: { label: 'Undo', onPress: () => remove(shoot.id) },
        });
        return {};
      },
    }),
    [add, remove, say],
  );
}
