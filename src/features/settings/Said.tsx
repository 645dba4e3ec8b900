import { memo } from 'react';
import { View } from 'react-native';
import { Text } from '@/ui/Text';
import type { Said } from './motion-words';

/** Figures with what they mean, one under the other. */
export const SaidList = memo(function SaidList({
  label,
  said,
}: {
  readonly label: string;
  readonly said: readonly Said[];
}) {
  return (
    <View role="list" aria-label={label}>
      {said.map(({ name, value, why }) => (
        <View key={name} role="listitem" className="border-b border-line py-2">
          <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
            <Text kind="small" ink="quiet">
              {name}
            </Text>
            <Text kind="strong" className="shrink">
              {value}
            </Text>
          </View>
          <Text kind="small" ink="quiet">
            {why}
          </Text>
        </View>
      ))}
    </View>
  );
});
