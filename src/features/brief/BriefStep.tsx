import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useShootPage } from '@/features/shoot/ShootContext';
import { useShootTasks } from '@/features/shoots/use-shoot-tasks';
import { Button } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { formOf } from './brief-form';
import { BriefFields } from './BriefFields';
import { Lessons } from '@/features/log/Lessons';
import { Cautions } from './Cautions';
import { Leave } from './Leave';
import { People } from './People';
import { Promised } from './Promised';
import { Subjects } from './Subjects';
import { withBrief } from './with-brief';

/** What the shoot is: name, place and hours; and what can be done with it as a whole. */
export function BriefStep() {
  const { plan, update } = useShootPage();
  const { shoot } = plan;
  const say = useToast();
  const router = useRouter();
  const { duplicate, remove, exportFile } = useShootTasks();
  return (
    <View className="gap-6">
      <Promised />
      <Lessons />
      <People />
      <Leave />
      <Cautions shoot={shoot} />
      <Subjects />
      <Heading level={2} kind="figure">
        What, where and when
      </Heading>
      <BriefFields
        key={shoot.id}
        initial={formOf(shoot)}
        saveLabel="Save the brief"
        onSave={(form) => {
          update((current) => withBrief(current, form));
          say({ text: 'Brief saved' });
        }}
      />
      <View className="gap-2 border-t border-line pt-4">
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
    </View>
  );
}
