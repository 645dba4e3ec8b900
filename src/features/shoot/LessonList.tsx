import { View } from 'react-native';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import type { Lesson } from './lesson';
import { useEdits } from './open-shoot';

const STATE = { true: 'In this plan', false: 'Left out' } as const;

/** Lessons, each with what it rests on, taken up or left out. */
export function LessonList({ lessons }: { readonly lessons: readonly Lesson[] }) {
  const { update } = useEdits();
  return (
    <View role="list" aria-label="Lessons" className="gap-3">
      {lessons.map(({ id, head, evidence, about, use, apply, leave }) => (
        <View key={id} role="listitem" className="gap-1 border-t border-line pt-2">
          <Text kind="strong">{head}</Text>
          <Text kind="small" ink="quiet">
            {evidence}
          </Text>
          <View className="flex-row items-center justify-between gap-2">
            <Text kind="label">{use === undefined ? 'Not in this plan yet' : STATE[`${use}`]}</Text>
            <View className="flex-row gap-2">
              {use === true ? null : (
                <Button label={`Use: ${about}`} onPress={() => update(apply)} />
              )}
              {use === false ? null : (
                <Button kind="quiet" label={`Leave out: ${about}`} onPress={() => update(leave)} />
              )}
            </View>
          </View>
        </View>
      ))}
    </View>
  );
}
