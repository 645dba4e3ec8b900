import { useState } from 'react';
import { Pressable, View } from 'react-native';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { GROUND_REFLECTANCE } from '@/core';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { percent } from '@/features/shoot/words';
import { SURFACES } from '@/presets/surfaces';
import type { ItemList } from '@/records/edit-site';
import { Button } from '@/ui/Button';
import { Picker } from '@/ui/Picker';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { AddSheet } from './AddSheet';
import { FilesSheet } from './FilesSheet';
import { KIND_WORDS, type AddKind } from './kinds';
import { useDrawTool } from './use-draw';

/** What can be done, and all that is on the ground. */
export function Overview() {
  const plan = useShown('shoot');
  const { update } = useEdits();
  const { act } = useDrawTool();
  const [open, setOpen] = useState<'add' | 'files'>();
  const { marks, positions, features, ground } = plan.shoot;
  const select = (list: ItemList, id: string) => {
    act({ do: 'select', item: { list, id } });
    if (list === 'features') return;
    const chosen = list === 'marks' ? { markId: id } : { positionId: id };
    update((current) => ({ ...current, choice: { ...current.choice, ...chosen } }));
  };
  return (
    <View className="gap-3">
      <Button label="Add to the ground" kind="primary" onPress={() => setOpen('add')} />
      <View className="flex-row flex-wrap gap-2">
        <View className="min-w-fit flex-1">
          <Button label="Measure" onPress={() => act({ do: 'take', tool: { name: 'measure' } })} />
        </View>
        <View className="min-w-fit flex-1">
          <Button label="Align" onPress={() => act({ do: 'take', tool: { name: 'lay' } })} />
        </View>
        <View className="min-w-fit flex-1">
          <Button
            label="Picture"
            onPress={() => act({ do: 'take', tool: { name: 'underlay', hand: 'set' } })}
          />
        </View>
        <View className="min-w-fit flex-1">
          <Button label="Files" onPress={() => setOpen('files')} />
        </View>
      </View>
      <Text kind="small" ink="quiet">
        Tap a thing on the plan to take hold of it; drag it to move it.
      </Text>
      <Things
        title="Positions"
        kindOf={() => 'position'}
        items={positions}
        list="positions"
        onSelect={select}
      />
      <Things title="Marks" kindOf={() => 'mark'} items={marks} list="marks" onSelect={select} />
      <Things
        title="On the ground"
        kindOf={(i) => features[i]?.kind ?? 'outline'}
        items={features}
        list="features"
        onSelect={select}
      />
      <Picker
        label="Surface"
        value={ground.surface}
        options={SURFACES.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(surface) =>
          update((current) => ({ ...current, ground: { ...current.ground, surface } }))
        }
      />
      <Text kind="small" ink="quiet">
        {`It throws ${percent(GROUND_REFLECTANCE[ground.surface])} of the light back up into faces.`}
      </Text>
      <AddSheet open={open === 'add'} onClose={() => setOpen(undefined)} />
      <FilesSheet open={open === 'files'} onClose={() => setOpen(undefined)} />
    </View>
  );
}

function Things({
  title,
  items,
  list,
  kindOf,
  onSelect,
}: {
  readonly title: string;
  readonly items: readonly { readonly id: string; readonly name: string }[];
  readonly list: ItemList;
  readonly kindOf: (index: number) => AddKind;
  readonly onSelect: (list: ItemList, id: string) => void;
}) {
  const inks = useInks();
  if (items.length === 0) return null;
  return (
    <View>
      <Heading level={2} kind="label" ink="quiet">
        {`${title}, ${items.length}`}
      </Heading>
      <View role="list" aria-label={title}>
        {items.map(({ id, name }, i) => {
          const kind = KIND_WORDS[kindOf(i)].name;
          const told = list === 'features' && kind !== name;
          return (
            <View key={id} role="listitem">
              <Pressable
                role="button"
                aria-label={`Select ${name}${told ? `, ${kind}` : ''}`}
                onPress={() => onSelect(list, id)}
                className="min-h-touch flex-row flex-wrap content-center items-center justify-between gap-x-3 border-b border-line active:opacity-60"
              >
                <Text className="shrink">{name}</Text>
                <View className="flex-row items-center gap-1">
                  {told ? (
                    <Text kind="small" ink="quiet">
                      {kind}
                    </Text>
                  ) : null}
                  <ChevronRight color={inks.quiet} size={20} />
                </View>
              </Pressable>
            </View>
          );
        })}
      </View>
    </View>
  );
}
