import { Pressable } from 'react-native';
import { useShown } from '@/features/shoot/open-shoot';
import { hasRoom, type ItemList } from '@/records/edit-site';
import { MOST_ENTRIES } from '@/records/shoot';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { ADD_KINDS, drawnAs, KIND_WORDS, type AddKind } from './kinds';
import { useDrawTool } from './use-draw';
import { usePut } from './use-put';

const listOf = (kind: AddKind): ItemList =>
  kind === 'mark' ? 'marks' : kind === 'position' ? 'positions' : 'features';

/** Everything that can be put on a ground, and what it is for. */
export function AddSheet({
  open,
  onClose,
}: {
  readonly open: boolean;
  readonly onClose: () => void;
}) {
  const plan = useShown('shoot');
  const { act } = useDrawTool();
  const { finish } = usePut();
  return (
    <Sheet title="Add to the ground" open={open} onClose={onClose}>
      {ADD_KINDS.map((kind) => {
        const { name, what } = KIND_WORDS[kind];
        const room = hasRoom(plan.shoot, listOf(kind), kind);
        const full = hasRoom(plan.shoot, listOf(kind))
          ? 'There is one already: add corners to it'
          : `There are ${MOST_ENTRIES} already, as many as there may be`;
        return (
          <Pressable
            key={kind}
            role="button"
            aria-label={name}
            aria-describedby={`what-${kind}`}
            disabled={!room}
            onPress={() => {
              onClose();
              if (drawnAs(kind) === 'none') finish(kind, []);
              else act({ do: 'take', tool: { name: 'add', kind } });
            }}
            className={`min-h-touch justify-center border-b border-line py-1 active:opacity-60 ${room ? '' : 'opacity-40'}`}
          >
            <Text kind="strong">{name}</Text>
            <Text kind="small" ink="quiet" nativeID={`what-${kind}`}>
              {room ? what : full}
            </Text>
          </Pressable>
        );
      })}
    </Sheet>
  );
}
