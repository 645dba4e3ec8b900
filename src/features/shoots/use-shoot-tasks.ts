import { useMemo } from 'react';
import { DEMO_SHOOTS } from '@/demo';
import { taughtByEarlier } from '@/features/log/lessons';
import { readShootFile, shootFileName, writeShootFile } from '@/formats/shoot-json';
import { duplicateShoot, newId, newShoot, type ShootBrief } from '@/records/new-shoot';
import { useShootActions, useShoots } from '@/records/queries';
import type { Shoot } from '@/records/shoot';
import { downloadText } from '@/ui/files';
import { useToast } from '@/ui/Toast';

const NONE: readonly Shoot[] = [];
const now = () => new Date().toISOString();

/** Whole-shoot tasks, with what they say when done. */
export function useShootTasks() {
  const { add, remove } = useShootActions();
  const say = useToast();
  // Read wherever a shoot can be made: what is there teaches it.
  const { data: shoots = NONE } = useShoots(DEMO_SHOOTS);
  return useMemo(
    () => ({
      create: (brief: ShootBrief): Shoot => {
        const shoot = taughtByEarlier(newShoot(brief, newId(), now()), shoots);
        add(shoot);
        return shoot;
      },
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
      /** Takes a file in as a new shoot; a refused file changes nothing. */
      importFile: (text: string): { readonly refused?: string } => {
        const read = readShootFile(text);
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
    [add, remove, say, shoots],
  );
}
