import { useEffect } from 'react';
import { View } from 'react-native';
import { tinykeys } from 'tinykeys';
import Redo2 from 'lucide-react-native/icons/redo-2';
import Undo2 from 'lucide-react-native/icons/undo-2';
import { IconButton } from '@/ui/Button';
import { isTyping } from '@/ui/keys';
import { useInks } from '@/ui/theme';
import { useEdits, useUndoable } from './open-shoot';

/** Undo and redo of everything done to the shoot since its page was opened. */
export function UndoButtons({
  always = false,
}: {
  /** Shown with nothing to undo, too. */ readonly always?: boolean;
}) {
  const inks = useInks();
  const { undo, redo } = useEdits();
  const { canUndo, canRedo } = useUndoable('canUndo', 'canRedo');
  return (
    <View className="flex-row">
      {always || canUndo || canRedo ? (
        <IconButton label="Undo" disabled={!canUndo} onPress={undo}>
          <Undo2 color={inks.ink} size={24} />
        </IconButton>
      ) : null}
      {always || canRedo ? (
        <IconButton label="Redo" disabled={!canRedo} onPress={redo}>
          <Redo2 color={inks.ink} size={24} />
        </IconButton>
      ) : null}
    </View>
  );
}

/** Undo and redo by keys, from anywhere on the page but a field being typed in. */
export function useUndoKeys({
  undo,
  redo,
}: {
  readonly undo: () => void;
  readonly redo: () => void;
}) {
  useEffect(() => {
    const key = (run: () => void) => (event: KeyboardEvent) => {
      if (isTyping(event)) return;
      event.preventDefault();
      run();
    };
    return tinykeys(window, {
      '$mod+z': key(undo),
      '$mod+Shift+z': key(redo),
      '$mod+y': key(redo),
    });
  }, [undo, redo]);
}
