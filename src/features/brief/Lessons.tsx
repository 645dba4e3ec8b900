import { useMemo } from 'react';
import { View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { demoShoots } from '@/demo/seed';
import { useShoots } from '@/records/queries';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { lessonsFor } from '@/features/shoot/lessons';

const STATE = { true: 'In this plan', false: 'Left out' } as const;

/** What earlier shoots teach this plan: each lesson with what it rests on, taken up or left out. */
export function Lessons() {
  const { shoot } = useShown('shoot');
  const { update } = useEdits();
  const all = useShoots(demoShoots).data;
  const lessons = useMemo(() => lessonsFor(shoot, all ?? []), [shoot, all]);
  if (lessons.length === 0) {
    return (
      <Text ink="quiet">
        Nothing yet: what earlier shoots here teach stands here once there are some.
      </Text>
    );
  }
  return (
    <View role="region" aria-label="What earlier shoots taught" className="gap-2">
      <View role="list" aria-label="Lessons" className="gap-3">
        {lessons.map(({ id, head, evidence, about, use, apply, leave }) => (
          <View key={id} role="listitem" className="gap-1 border-t border-line pt-2">
            <Text kind="strong">{head}</Text>
            <Text kind="small" ink="quiet">
              {evidence}
            </Text>
            <View className="flex-row items-center justify-between gap-2">
              <Text kind="label">
                {use === undefined ? 'Not in this plan yet' : STATE[`${use}`]}
              </Text>
              <View className="flex-row gap-2">
                {use === true ? null : (
                  <Button label={`Use: ${about}`} onPress={() => update(apply)} />
                )}
                {use === false ? null : (
                  <Button
                    kind="quiet"
                    label={`Leave out: ${about}`}
                    onPress={() => update(leave)}
                  />
                )}
              </View>
            </View>
          </View>
        ))}
      </View>
    </View>
  );
}
