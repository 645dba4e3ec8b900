import { useState } from 'react';
import { View } from 'react-native';
import { toLocal } from '@/core';
import { useShown } from '@/features/shoot/open-shoot';
import { REACH_M } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { isWhole } from './draw-state';
import { drawnAs, KIND_WORDS, type AddKind } from './kinds';
import { LocatorRow } from './LocatorRow';
import { PlaceFields } from './PlaceFields';
import { useDrawTool } from './use-draw';
import { useLocator } from './use-locator';
import { usePut } from './use-put';

/** Putting a thing down: by a tap, at the cross, by its figures, or where one stands. */
export function PutPanel({ kind }: { readonly kind: AddKind }) {
  const plan = useShown('shoot');
  const { state, act, seen } = useDrawTool();
  const { put, finish } = usePut();
  const say = useToast();
  const { place } = plan.shoot;
  const locator = useLocator(place);
  const [typing, setTyping] = useState<{ readonly x: number; readonly y: number }>();
  const { name, what } = KIND_WORDS[kind];
  const single = drawnAs(kind) === 'point';
  const { points } = state;
  const putWhereIStand = async () => {
    const fix = await locator.locate();
    if (!fix) return;
    const at = toLocal(fix, place);
    if (Math.abs(at.x) > REACH_M || Math.abs(at.y) > REACH_M) {
      say({ text: 'You stand over 5 km from this shoot’s place: set the place first.' });
    } else put(at, true);
  };
  return (
    <View className="gap-3">
      <View>
        <Heading level={2} kind="figure">
          {name}
        </Heading>
        <Text kind="small" ink="quiet">
          {`${what}. `}
          {single
            ? 'Tap the plan, or bring the place under the cross.'
            : `Tap the plan point by point, or bring each under the cross. ${points.length} so far.`}
        </Text>
      </View>
      <Button
        label={single ? 'Put it here' : 'Put a point here'}
        kind="primary"
        onPress={() => put(seen().middle)}
      />
      {single ? null : (
        <View className="flex-row gap-2">
          <View className="flex-1">
            <Button
              label="Take back"
              disabled={points.length === 0}
              onPress={() => act({ do: 'unpoint' })}
            />
          </View>
          <View className="flex-1">
            <Button
              label="Finish"
              disabled={!isWhole(state)}
              onPress={() => finish(kind, points)}
            />
          </View>
        </View>
      )}
      <LocatorRow
        locator={locator}
        label={single ? 'Where I stand' : 'A point where I stand'}
        onPress={() => void putWhereIStand()}
      />
      {typing ? (
        <View className="gap-2">
          <PlaceFields
            east="East of the middle"
            north="North of the middle"
            at={typing}
            onChange={setTyping}
          />
          <Button label="Put it there" onPress={() => put(typing, true)} />
        </View>
      ) : (
        <Button
          label="Type where"
          kind="quiet"
          onPress={() => {
            const { x, y } = seen().middle;
            setTyping({ x: Math.round(x), y: Math.round(y) });
          }}
        />
      )}
      <Button label="Cancel" kind="quiet" onPress={() => act({ do: 'select', item: undefined })} />
    </View>
  );
}
