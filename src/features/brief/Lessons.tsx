import { View } from 'react-native';
import { LessonList } from '@/features/shoot/LessonList';
import { useLessons } from '@/features/shoot/use-lessons';
import { Text } from '@/ui/Text';

/** What earlier shoots and practice teach this plan. */
export function Lessons() {
  const lessons = useLessons();
  if (!lessons) return <Text role="status">Looking through earlier shoots…</Text>;
  if (lessons.length === 0) {
    return (
      <Text ink="quiet">
        Nothing yet: what earlier shoots here and practice teach stands here once there is some.
      </Text>
    );
  }
  return (
    <View role="region" aria-label="What earlier shoots and practice taught" className="gap-2">
      <LessonList lessons={lessons} />
    </View>
  );
}
