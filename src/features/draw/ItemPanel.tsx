import { View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { addItem, anchorOf, itemOf, moveItem, type ItemRef } from '@/records/edit-site';
import { newId } from '@/records/new-id';
import type { Feature, Mark, Position } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';
import { effectsOf } from './effects';
import { FeatureFields } from './FeatureFields';
import { freeName, KIND_WORDS } from './kinds';
import { MarkFields, PositionFields } from './PersonFields';
import { NameField } from './NameField';
import { PlaceFields } from './PlaceFields';
import { useDrawTool } from './use-draw';
import { useTakeAway } from './use-take-away';

/** How far a copy lies from what it is a copy of. */
const BESIDE_M = 3;

/** The thing in hand: what it does now, and its exact figures. */
export function ItemPanel({ selected }: { readonly selected: ItemRef }) {
  const plan = useShown('shoot', 'seen');
  const { update } = useEdits();
  const { act } = useDrawTool();
  const takeAway = useTakeAway();
  const { list, id } = selected;
  const item = itemOf(plan.shoot, selected);
  if (!item) return <Gone />;
  const anchor = anchorOf(item);
  const feature = list === 'features' ? (item as Feature) : undefined;
  const effects = feature && plan.seen.ok ? effectsOf(feature, plan.seen) : [];
  const kind = feature?.kind ?? (list === 'marks' ? 'mark' : 'position');
  const copy = () => {
    const copyId = newId();
    update((current) => {
      const there = itemOf(current, selected);
      if (!there) return current;
      const added = addItem(current, list, {
        ...there,
        id: copyId,
        name: freeName(current, there.name),
      } as typeof there & never);
      return moveItem(added, { list, id: copyId }, BESIDE_M, -BESIDE_M);
    });
    act({ do: 'select', item: { list, id: copyId } });
  };
  return (
    <View className="gap-3">
      <View>
        <Heading level={2} kind="figure">
          {item.name}
        </Heading>
        {effects.length > 0 ? (
          effects.map((sentence) => <Text key={sentence}>{sentence}</Text>)
        ) : (
          <Text kind="small" ink="quiet">
            {KIND_WORDS[kind].what}
          </Text>
        )}
      </View>
      {anchor ? (
        <PlaceFields
          east="East of the middle"
          north="North of the middle"
          at={anchor}
          onChange={({ x, y }) =>
            update((current) => moveItem(current, selected, x - anchor.x, y - anchor.y))
          }
        />
      ) : null}
      {feature ? <FeatureFields feature={feature} /> : null}
      {list === 'marks' ? <MarkFields mark={item as Mark} /> : null}
      {list === 'positions' ? <PositionFields position={item as Position} /> : null}
      <NameField list={list} id={id} name={item.name} />
      <View className="flex-row gap-2">
        <View className="flex-1">
          <Button label="Copy it" onPress={copy} />
        </View>
        <View className="flex-1">
          <Button label="Take it away" onPress={() => takeAway(selected)} />
        </View>
      </View>
      <Button
        label="Deselect"
        kind="quiet"
        onPress={() => act({ do: 'select', item: undefined })}
      />
    </View>
  );
}

/** What was selected is no longer there: undone, or taken away. */
function Gone() {
  const { act } = useDrawTool();
  return (
    <View className="gap-3">
      <Text>That is no longer on the ground.</Text>
      <Button label="See what is" onPress={() => act({ do: 'select', item: undefined })} />
    </View>
  );
}
