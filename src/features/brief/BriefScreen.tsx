import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { cautionsOf } from '@/features/shoot/caution-tags';
import { Cautions } from '@/features/shoot/Cautions';
import { FORBIDDEN_NAMES } from '@/features/shoot/brief-words';
import { PhoneFrame } from '@/features/shoot/PhoneFrame';
import { PlanPicture } from '@/features/shoot/PlanPicture';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { useShootTasks } from '@/features/shoot/use-shoot-tasks';
import { WideFrame } from '@/features/shoot/WideFrame';
import { dayOf, untilInDays } from '@/records/day-said';
import { localMinuteOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { RowButton } from '@/ui/RowButton';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { useShape } from '@/ui/use-shape';
import { Access } from './Access';
import { formOf } from '@/features/shoot/brief-form';
import { BriefFields } from './BriefFields';
import { Lessons } from './Lessons';
import { OwedList } from './OwedList';
import { People } from './People';
import { Subjects } from './Subjects';
import { WantedPicture } from './WantedPicture';
import { withBrief } from './with-brief';

const TITLE = 'Brief: what is owed';

/** What lies a press deeper. */
type Deeper = 'picture' | 'people' | 'access' | 'what' | 'subjects' | 'lessons' | 'care' | 'shoot';
const DEEPER: Readonly<Record<Deeper, string>> = {
  picture: 'The picture wanted',
  people: 'Who to find',
  access: 'Client and access',
  what: 'What, where and when',
  subjects: 'Subjects of your own',
  lessons: 'What shoots and practice taught',
  care: 'Take care',
  shoot: 'This shoot as a whole',
};

/** What was promised and how it stands, for whom, and under which rules. */
export function BriefScreen() {
  const [deeper, setDeeper] = useState<Deeper>();
  const shape = useShape();
  const main = (
    <>
      <When />
      <OwedList />
    </>
  );
  const rest = <Rows onOpen={setDeeper} />;
  const sheet = deeper ? (
    <Sheet title={DEEPER[deeper]} open onClose={() => setDeeper(undefined)}>
      <DeeperPart deeper={deeper} onDone={() => setDeeper(undefined)} />
    </Sheet>
  ) : null;
  if (shape === 'wide') {
    return (
      <WideFrame
        title={TITLE}
        left={
          <View className="gap-3 p-4">
            {main}
            {rest}
            {sheet}
          </View>
        }
        middle={<PlanPicture />}
      />
    );
  }
  return (
    <PhoneFrame title={TITLE} second={<View className="px-3 pb-3">{rest}</View>}>
      <View className="gap-2 px-3 pt-2">
        {main}
        {sheet}
      </View>
    </PhoneFrame>
  );
}

/** "In 140 days", with the day and to whom it goes. */
function When() {
  const { shoot } = useShown('shoot');
  const { startLocal, endLocal, brief, place } = shoot;
  const [nowMs] = useState(() => Date.now());
  const due = brief.deadlineLocal
    ? `${brief.client ?? 'delivery'} by ${brief.deadlineLocal.slice(11)}${brief.deadlineLocal.slice(0, 10) === startLocal.slice(0, 10) ? '' : ` on ${dayOf(brief.deadlineLocal)}`}`
    : (brief.client ?? '');
  return (
    <View>
      <Heading level={3} kind="title">
        {untilInDays(startLocal, endLocal, localMinuteOf(nowMs, place.timeZone))}
      </Heading>
      <Text kind="small" ink="quiet">
        {[`${dayOf(startLocal)}, ${startLocal.slice(11)} to ${endLocal.slice(11)}`, due]
          .filter(Boolean)
          .join(' · ')}
      </Text>
    </View>
  );
}

function Rows({ onOpen }: { readonly onOpen: (deeper: Deeper) => void }) {
  const { shoot } = useShown('shoot');
  const { people, brief, subjects, title } = shoot;
  const { forbidden, access } = brief;
  const cautions = cautionsOf(shoot).length;
  const row = (deeper: Deeper, detail: string) => (
    <RowButton name={DEEPER[deeper]} detail={detail} onPress={() => onOpen(deeper)} />
  );
  return (
    <View role="list" aria-label="More of the brief">
      {row('picture', 'seen through the lens, to keep or to send')}
      {row(
        'people',
        people.length > 0 ? people.map(({ name }) => name).join(' · ') : 'nobody named yet',
      )}
      {row(
        'access',
        [
          access ? `May: ${access}` : 'No permission noted',
          forbidden.length > 0
            ? `May not: ${forbidden.map((what) => FORBIDDEN_NAMES[what].toLowerCase()).join(', ')}`
            : '',
        ]
          .filter(Boolean)
          .join(' · '),
      )}
      {cautions > 0 ? row('care', `${cautions} for this ground and these hours`) : null}
      {row('what', title)}
      {row('lessons', 'used or left out, one by one')}
      {row(
        'subjects',
        subjects.length > 0 ? subjects.map(({ name }) => name).join(' · ') : 'none measured yet',
      )}
      {row('shoot', 'export, duplicate, delete')}
    </View>
  );
}

function DeeperPart({ deeper, onDone }: { readonly deeper: Deeper; readonly onDone: () => void }) {
  const { shoot } = useShown('shoot');
  const { update } = useEdits();
  const say = useToast();
  switch (deeper) {
    case 'picture':
      return <WantedPicture />;
    case 'people':
      return <People />;
    case 'access':
      return <Access onDone={onDone} />;
    case 'what':
      return (
        <BriefFields
          key={shoot.id}
          initial={formOf(shoot)}
          saveLabel="Save the brief"
          onSave={(form) => {
            update((current) => withBrief(current, form));
            say({ text: 'Brief saved' });
            onDone();
          }}
        />
      );
    case 'subjects':
      return <Subjects />;
    case 'lessons':
      return <Lessons />;
    case 'care':
      return <Cautions shoot={shoot} />;
    case 'shoot':
      return <WholeShoot />;
  }
}

/** What can be done with the shoot as a whole. */
function WholeShoot() {
  const { shoot } = useShown('shoot');
  const router = useRouter();
  const { duplicate, remove, exportFile } = useShootTasks();
  return (
    <View className="gap-2">
      <Button label="Export as a file" onPress={() => exportFile(shoot)} />
      <Button
        label="Duplicate"
        onPress={() => router.replace(`/shoot/${duplicate(shoot).id}/brief`)}
      />
      <Button
        label="Delete"
        onPress={() => {
          router.replace('/');
          remove(shoot);
        }}
      />
      <Text kind="small" ink="quiet">
        A deleted shoot can be brought back with Undo.
      </Text>
    </View>
  );
}
