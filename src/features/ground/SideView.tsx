import { useMemo } from 'react';
import { View } from 'react-native';
import { monthOf } from '@/core';
import { useShown } from '@/features/shoot/open-shoot';
import { SideView as SideDrawing } from '@/figures/SideView';
import { Text } from '@/ui/Text';
import { useWidth } from '@/ui/use-width';
import { sideView } from './side-view';

/** Camera, subject and what is behind, from the side. */
export function SideView() {
  const { setup, seen, atMs } = useShown('setup', 'seen', 'atMs');
  const { widthPx, onLayout } = useWidth('from the side', 300);
  const view = seen.ok ? seen.view : undefined;
  const { features } = setup;
  const month = monthOf(atMs);
  const side = useMemo(() => view && sideView(view, features, month), [view, features, month]);
  if (!side) return null;
  return (
    <View className="gap-1" onLayout={onLayout}>
      <SideDrawing pieces={side.pieces} widthPx={widthPx} label={side.words.join(' ')} />
      {side.words.map((sentence) => (
        <Text key={sentence} kind="small">
          {sentence}
        </Text>
      ))}
      <Text kind="tiny" ink="quiet">
        Heights are drawn larger than distances. The thin line passes over the head.
      </Text>
    </View>
  );
}
