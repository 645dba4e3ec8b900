import { useRouter } from 'expo-router';
import { useEffect } from 'react';
import { View } from 'react-native';
import { tinykeys } from 'tinykeys';
import Magnet from 'lucide-react-native/icons/magnet';
import Redo2 from 'lucide-react-native/icons/redo-2';
import Undo2 from 'lucide-react-native/icons/undo-2';
import { useShootPage } from '@/features/plan/ShootContext';
import { Button, IconButton } from '@/ui/Button';
import { useInks } from '@/ui/theme';
import { useIsWide } from '@/ui/use-is-wide';
import { ItemPanel } from './ItemPanel';
import { LayPanel } from './LayPanel';
import { MeasurePanel } from './MeasurePanel';
import { Overview } from './Overview';
import { PutPanel } from './PutPanel';
import { useDrawTool } from './use-draw';
import { useTakeAway } from './use-take-away';

/** Drawing the ground: the tool in hand, what is selected, or all that is there. */
export function DrawStep() {
  const { state } = useDrawTool();
  const { tool, selected } = state;
  const wide = useIsWide();
  useDrawKeys();
  return (
    <View className="gap-3">
      {wide ? <DrawToolbar /> : null}
      {tool.name === 'add' ? <PutPanel kind={tool.kind} /> : null}
      {tool.name === 'measure' ? <MeasurePanel /> : null}
      {tool.name === 'lay' ? <LayPanel /> : null}
      {tool.name === 'select' && selected ? (
        <ItemPanel key={`${selected.list} ${selected.id}`} selected={selected} />
      ) : null}
      {tool.name === 'select' && !selected ? <Overview /> : null}
    </View>
  );
}

/** Back, forward, snapping, and the way out; on a phone it stays above what scrolls. */
export function DrawToolbar() {
  const inks = useInks();
  const router = useRouter();
  const { plan, undo, redo, canUndo, canRedo } = useShootPage();
  const { state, act } = useDrawTool();
  return (
    <View role="toolbar" aria-label="Drawing" className="flex-row items-center justify-between">
      <View className="flex-row">
        <IconButton label="Undo" disabled={!canUndo} onPress={undo}>
          <Undo2 color={inks.ink} size={24} />
        </IconButton>
        <IconButton label="Redo" disabled={!canRedo} onPress={redo}>
          <Redo2 color={inks.ink} size={24} />
        </IconButton>
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

const isTyping = ({ target }: Event) =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;

/** Undo, redo, delete and leave off, from anywhere on the page but a field being typed in. */
function useDrawKeys() {
  const { undo, redo } = useShootPage();
  const { state, act } = useDrawTool();
  const takeAway = useTakeAway();
  const { selected, points } = state;
  useEffect(() => {
    const key = (run: () => void) => (event: KeyboardEvent) => {
      if (isTyping(event)) return;
      event.preventDefault();
      run();
    };
    const remove = key(() => {
      if (selected) takeAway(selected);
    });
    return tinykeys(window, {
      '$mod+z': key(undo),
      '$mod+Shift+z': key(redo),
      '$mod+y': key(redo),
      Delete: remove,
      Backspace: remove,
      Escape: key(() =>
        act(points.length > 0 ? { do: 'unpoint' } : { do: 'select', item: undefined }),
      ),
    });
  }, [undo, redo, act, takeAway, selected, points]);
}
