import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Text } from '@/ui/Text';

/** What was picked, and the way to pick something else. */
export function Picked({
  name,
  detail,
  what,
  drawing,
  onChange,
}: {
  readonly name: string;
  readonly detail: string;
  /** "the place": what a press changes. */
  readonly what: string;
  readonly drawing?: ReactNode;
  readonly onChange: () => void;
}) {
  return (
    <View className="flex-row items-center gap-3 border-b border-line pb-2">
      {drawing}
      <View className="min-w-0 flex-1">
        <Text kind="strong">{name}</Text>
        <Text kind="small" ink="quiet">
          {detail}
        </Text>
      </View>
      <Pressable
        role="button"
        aria-label={`Change ${what}`}
        onPress={onChange}
        className="min-h-touch min-w-touch items-center justify-center active:opacity-60"
      >
        <Text kind="strong" className="underline">
          Change
        </Text>
      </Pressable>
    </View>
  );
}
