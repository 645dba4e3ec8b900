import { useRouter } from 'expo-router';
import { BriefFields } from '@/features/brief/BriefFields';
import { briefOf, newForm, type BriefForm } from '@/features/shoot/brief-form';
import { metres } from '@/features/shoot/words';
import { subjectById } from '@/presets/find';
import { newId } from '@/records/new-id';
import { useShootActions } from '@/records/queries';
import type { Quick } from '@/records/quick';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { quickDistanceM, shootOfQuick } from './quick';

/** Where and when: what a quick answer lacks to be a shoot. */
export function ShootSheet({
  quick,
  onClose,
}: {
  readonly quick: Quick;
  readonly onClose: () => void;
}) {
  const router = useRouter();
  const { add } = useShootActions();
  const title = `${subjectById(quick.subjectId).name} at ${metres(quickDistanceM(quick))}`;
  const save = (form: BriefForm) => {
    const shoot = shootOfQuick(quick, briefOf(form), newId(), new Date().toISOString());
    add(shoot);
    router.navigate(`/shoot/${shoot.id}/ground`);
  };
  return (
    <Sheet title="Make a shoot of it" open onClose={onClose}>
      <Text kind="small" ink="quiet">
        Subject, distance, kit and wishes go along. The light is then computed for the place and
        hour; a measured one stays here.
      </Text>
      <BriefFields
        initial={newForm({ template: 'blank', title })}
        saveLabel="Make the shoot"
        onSave={save}
      />
    </Sheet>
  );
}
