import { useRouter } from 'expo-router';
import { DateTime } from 'luxon';
import { BriefFields } from '@/features/brief/BriefFields';
import { briefOf, type BriefForm } from '@/features/brief/brief-form';
import { metres } from '@/features/plan/words';
import { subjectById } from '@/presets/find';
import { newId } from '@/records/new-shoot';
import { useShootActions } from '@/records/queries';
import type { Quick } from '@/records/quick';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { quickDistanceM, shootOfQuick } from './quick';

const formFor = (quick: Quick): BriefForm => ({
  template: 'blank',
  title: `${subjectById(quick.subjectId).name} at ${metres(quickDistanceM(quick))}`,
  latitude: '',
  longitude: '',
  bearing: '0',
  date: DateTime.now().plus({ days: 1 }).toISODate(),
  start: '14:00',
  end: '16:00',
});

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
      <BriefFields initial={formFor(quick)} saveLabel="Make the shoot" onSave={save} />
    </Sheet>
  );
}
