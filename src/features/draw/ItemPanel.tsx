import { View } from 'react-native';
import { raised, toLocal, type Point2 } from '@/core';
import { chosenMark } from '@/answers/view';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { PerchPart } from '@/features/shoot/PerchPart';
import { carriedNames } from '@/records/carried';
import {
  addItem,
  hasRoom,
  anchorOf,
  itemOf,
  moveItem,
  pointsOf,
  shifted,
  type ItemRef,
} from '@/records/edit-site';
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
import { LocatorRow } from './LocatorRow';
import { putDown } from './put';
import { useDrawTool } from './use-draw';
import { useLocator } from './use-locator';
import { useTakeAway } from './use-take-away';

/** How far a copy lies from what it is a copy of. */
const BESIDE_M = 3;

/** The thing in hand: what it does now, and its exact figures. */
export function ItemPanel({ selected }: { readonly selected: ItemRef }) {
  const plan = useShown('shoot', 'seen', 'atMs');
  const { update } = useEdits();
  const { act } = useDrawTool();
  const takeAway = useTakeAway();
  const { list, id } = selected;
  const item = itemOf(plan.shoot, selected);
  if (!item) return <Gone />;
  const anchor = anchorOf(item);
  const feature = list === 'features' ? (item as Feature) : undefined;
  const effects =
    feature && plan.seen.ok
      ? effectsOf(
          raised(plan.shoot.features).find((thing) => thing.id === id) ?? feature,
          plan.seen,
          plan.atMs,
        )
      : [];
  const kind = feature?.kind ?? (list === 'marks' ? 'mark' : 'position');
  const copy = () => {
    const copyId = newId();
    update((current) => {
      const there = itemOf(current, selected);
      if (!there) return current;
      // Beside it, and carried by nothing: what sits on the one does not go with the other.
      const { carriedBy: _on, ...free } = shifted(there, BESIDE_M, -BESIDE_M) as typeof there & {
        carriedBy?: string;
      };
      const name = freeName(current, there.name);
      return addItem(current, list, { ...free, id: copyId, name } as typeof there & never);
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
      {feature?.kind === 'perch' || feature?.kind === 'hide' ? <Carries carrier={feature} /> : null}
      {feature ? <FeatureFields feature={feature} /> : null}
      {feature && tellsOfPerch(feature, chosenMark(plan.shoot)) ? <PerchPart /> : null}
      {list === 'marks' ? <MarkFields mark={item as Mark} /> : null}
      {list === 'positions' ? <PositionFields position={item as Position} /> : null}
      <NameField list={list} id={id} name={item.name} />
      {anchor && pointsOf(item).length === 1 ? (
        <BringHere selected={selected} anchor={anchor} />
      ) : null}
      <View className="flex-row gap-2">
        <View className="flex-1">
          <Button
            label="Copy it"
            disabled={!hasRoom(plan.shoot, list, feature?.kind)}
            onPress={copy}
          />
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

/** What a perch does is told where its subject is in hand, and where birds come to it from and for. */
const tellsOfPerch = ({ kind, id }: Feature, { carriedBy }: Mark): boolean =>
  kind === 'cover' || kind === 'food' || (kind === 'perch' && carriedBy === id);

/** Brings a thing to where one stands, found by the device. */
function BringHere({ selected, anchor }: { readonly selected: ItemRef; readonly anchor: Point2 }) {
  const { place } = useShown('shoot').shoot;
  const { update } = useEdits();
  const locator = useLocator(place);
  return (
    <LocatorRow
      locator={locator}
      label="It is where I stand"
      onPress={() =>
        void locator.locate().then((fix) => {
          if (!fix) return;
          const { x, y } = toLocal(fix, place);
          update((current) => moveItem(current, selected, x - anchor.x, y - anchor.y));
        })
      }
    />
  );
}

const CARRIED = {
  perch: { kind: 'mark', add: 'Put a subject on it' },
  hide: { kind: 'position', add: 'Put a seat in it' },
} as const;

/** Who sits on a perch or in a hide and goes with it; or a press that puts someone there. */
function Carries({ carrier }: { readonly carrier: Extract<Feature, { kind: 'perch' | 'hide' }> }) {
  const { shoot } = useShown('shoot');
  const { update } = useEdits();
  const { act } = useDrawTool();
  const names = carriedNames(shoot, carrier.id);
  const { kind, add } = CARRIED[carrier.kind];
  const put = () => {
    const at = anchorOf(carrier);
    if (!at) return;
    const id = newId();
    update((current) => putDown(current, kind, id, [at]).shoot);
    act({ do: 'select', item: { list: kind === 'mark' ? 'marks' : 'positions', id } });
  };
  return names.length > 0 ? (
    <Text kind="small" ink="quiet">{`Goes with it: ${names.join(', ')}.`}</Text>
  ) : (
    <Button label={add} onPress={put} />
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
