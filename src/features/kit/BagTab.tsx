import { useState } from 'react';
import { View } from 'react-native';
import Plus from 'lucide-react-native/icons/plus';
import Trash from 'lucide-react-native/icons/trash';
import { useShown } from '@/features/shoot/open-shoot';
import { firstItem, withItem } from '@/records/edit-kit';
import { MOST_IN_BAG, type KitItem, type KitKind } from '@/records/kit';
import { newId } from '@/records/new-id';
import { MOST_ON_SHELF } from '@/records/shelf';
import { SHELF } from '@/records/singles';
import { useSingle } from '@/records/use-single';
import { Button, IconButton } from '@/ui/Button';
import { RowButton } from '@/ui/RowButton';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useToast } from '@/ui/Toast';
import { itemInWords, KIND_NAMES } from './item-words';
import { ItemSheet } from './ItemSheet';
import { useChangeKit } from './use-kit';

const KINDS = Object.keys(KIND_NAMES) as KitKind[];

/** What is in the bag. */
export function BagTab() {
  const { kit } = useShown('setup').setup;
  const [edited, setEdited] = useState<KitItem>();
  const [adding, setAdding] = useState(false);
  const full = kit.bag.length >= MOST_IN_BAG;
  return (
    <View className="gap-5">
      <View className="gap-2">
        <Heading level={2} kind="figure">
          In the bag
        </Heading>
        {kit.bag.length === 0 ? (
          <Text ink="quiet">
            Nothing yet: what is in your hands counts. Add your own bodies and lenses, each begun
            from one that is like it.
          </Text>
        ) : null}
        <View role="list" aria-label="Things in the bag">
          {kit.bag.map((item) => (
            <RowButton
              key={item.id}
              name={item.name}
              detail={itemInWords(item)}
              onPress={() => setEdited(item)}
            />
          ))}
        </View>
        <Button label="Add to bag" disabled={full} onPress={() => setAdding(true)} />
        {full ? (
          <Text kind="small" ink="quiet">
            {`A bag holds ${MOST_IN_BAG} things.`}
          </Text>
        ) : null}
      </View>
      {adding ? (
        <AddSheet
          onNew={(kind) => {
            setAdding(false);
            setEdited(firstItem(kind, `own-${newId()}`));
          }}
          onClose={() => setAdding(false)}
        />
      ) : null}
      {edited ? (
        <ItemSheet
          key={edited.id}
          item={edited}
          fresh={!kit.bag.some(({ id }) => id === edited.id)}
          onClose={() => setEdited(undefined)}
        />
      ) : null}
    </View>
  );
}

/** From the shelf, or something new. */
function AddSheet({
  onNew,
  onClose,
}: {
  readonly onNew: (kind: KitKind) => void;
  readonly onClose: () => void;
}) {
  const { kit } = useShown('setup').setup;
  const change = useChangeKit();
  const { record: shelf, change: changeShelf } = useSingle(SHELF);
  const inks = useInks();
  const say = useToast();
  const forget = (item: KitItem) => {
    changeShelf((now) => ({ ...now, items: now.items.filter(({ id }) => id !== item.id) }));
    say({
      text: `“${item.name}” is off your shelf`,
      action: {
        label: 'Undo',
        onPress: () => changeShelf((now) => ({ ...now, items: [...now.items, item] })),
      },
    });
  };
  const waiting = (shelf?.items ?? []).filter((item) => !kit.bag.some(({ id }) => id === item.id));
  return (
    <Sheet title="Add to bag" open onClose={onClose}>
      {waiting.length > 0 ? (
        <View className="gap-1">
          <Heading level={3}>From your shelf</Heading>
          <View role="list" aria-label="On your shelf">
            {waiting.map((item) => (
              <View
                key={item.id}
                role="listitem"
                className="flex-row items-center border-b border-line"
              >
                <View className="shrink grow py-2">
                  <Text kind="strong">{item.name}</Text>
                  <Text kind="small" ink="quiet">
                    {itemInWords(item)}
                  </Text>
                </View>
                <IconButton
                  label={`Put in ${item.name}`}
                  onPress={() => change((now) => withItem(now, item))}
                >
                  <Plus color={inks.ink} size={22} />
                </IconButton>
                <IconButton label={`Forget ${item.name}`} onPress={() => forget(item)}>
                  <Trash color={inks.ink} size={20} />
                </IconButton>
              </View>
            ))}
          </View>
        </View>
      ) : null}
      <Heading level={3}>Something new</Heading>
      <View role="list" aria-label="Kinds">
        {KINDS.map((kind) => (
          <RowButton
            key={kind}
            name={KIND_NAMES[kind]}
            detail={itemInWords(firstItem(kind, 'own-new'))}
            onPress={() => onNew(kind)}
          />
        ))}
      </View>
      {shelf && shelf.items.length >= MOST_ON_SHELF ? (
        <Text kind="small" ink="quiet">
          {`The shelf is full at ${MOST_ON_SHELF}: new things go into this bag only.`}
        </Text>
      ) : null}
    </Sheet>
  );
}
