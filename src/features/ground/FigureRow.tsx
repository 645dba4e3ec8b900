import { memo } from 'react';
import { View } from 'react-native';
import { Text } from '@/ui/Text';
import type { Figure } from './figures';

/** A figure with its name before it; drawn again only when it says something else. */
export const FigureRow = memo(function FigureRow({ name, value }: Figure) {
  return (
    <View className="flex-row justify-between gap-4 border-b border-line py-2">
      <Text ink="quiet">{name}</Text>
      <Text kind="strong" className="shrink text-right">
        {value}
      </Text>
    </View>
  );
});
