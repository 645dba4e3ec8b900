import { View } from 'react-native';
import { compassFromTrue, measure } from '@/core';
import { useShown } from '@/features/shoot/open-shoot';
import { bearingInWords, metres } from '@/features/shoot/words';
import { Button } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';
import { declinationOf } from '@/features/shoot/declination';
import { useDrawTool } from './use-draw';
import { usePut } from './use-put';

const hectares = (areaM2: number) =>
  areaM2 >= 10_000 ? `${(areaM2 / 10_000).toFixed(2)} ha` : `${areaM2.toFixed(1)} m²`;

/** Lengths and bearings from point to point, and the area they close round. */
export function MeasurePanel() {
  const plan = useShown('shoot');
  const { state, act, seen } = useDrawTool();
  const { put } = usePut();
  const { points } = state;
  const { legs, lengthM, areaM2 } = measure(points);
  const east = declinationOf(plan.shoot);
  return (
    <View className="gap-3">
      <Heading level={2} kind="figure">
        {points.length < 2 ? 'Measure' : metres(lengthM)}
      </Heading>
      <Text kind="small" ink="quiet" aria-live="polite">
        {points.length < 2
          ? 'Tap two points or more, or bring each under the cross.'
          : `${legs.length} ${legs.length === 1 ? 'leg' : 'legs'}${areaM2 > 0 ? `; closed they hold ${hectares(areaM2)}` : ''}.`}
      </Text>
      <View role="list" aria-label="Legs">
        {legs.map((leg, i) => (
          <View
            key={i}
            role="listitem"
            className="flex-row justify-between border-b border-line py-2"
          >
            <Text kind="strong">{metres(leg.lengthM)}</Text>
            <Text>
              {`${bearingInWords(leg.bearingDeg)} true`}
              {east === undefined
                ? ''
                : `, ${bearingInWords(compassFromTrue(leg.bearingDeg, east)).slice(0, 4)} by compass`}
            </Text>
          </View>
        ))}
      </View>
      <Button label="Measure to here" kind="primary" onPress={() => put(seen().middle)} />
      <View className="flex-row gap-2">
        <View className="flex-1">
          <Button
            label="Take back"
            disabled={points.length === 0}
            onPress={() => act({ do: 'unpoint' })}
          />
        </View>
        <View className="flex-1">
          <Button label="Stop measuring" onPress={() => act({ do: 'select', item: undefined })} />
        </View>
      </View>
    </View>
  );
}
