import { useRouter } from 'expo-router';
import { View } from 'react-native';
import Magnet from 'lucide-react-native/icons/magnet';
import { useShown } from '@/features/shoot/open-shoot';
import { UndoButtons } from '@/features/shoot/UndoButtons';
import { Button, IconButton } from '@/ui/Button';
import { useInks } from '@/ui/theme';
import { useDrawTool } from './use-draw';

/** Back, forward, snapping, and the way out; on a phone it stays above what scrolls. */
export function DrawToolbar() {
  const inks = useInks();
  const router = useRouter();
  const plan = useShown('shoot');
  const { state, act } = useDrawTool();
  return (
    <View
      role="toolbar"
      aria-label="Drawing"
      className="flex-row flex-wrap items-center justify-between py-1"
    >
      <View className="flex-row">
        <UndoButtons always />
        <IconButton
          label="Snap to corners, lines and the grid"
          pressed={state.snap}
          onPress={() => act({ do: 'snap', on: !state.snap })}
        >
          <Magnet color={inks.ink} size={24} />
        </IconButton>
      </View>
      <Button
        label="Done drawing"
        onPress={() => {
          act({ do: 'select', item: undefined });
          router.navigate(`/shoot/${plan.shoot.id}/ground`);
        }}
      />
    </View>
  );
}
