import { View } from 'react-native';
import type { Point2 } from '@/core';
import { REACH_M } from '@/records/shoot';
import { NumberField } from '@/ui/NumberField';

/** A place on the plan to type, metres east and north; each is taken by itself. */
export function PlaceFields({
  east,
  north,
  at,
  onChange,
}: {
  /** What the two figures are called. */
  readonly east: string;
  readonly north: string;
  readonly at: Point2;
  readonly onChange: (to: Point2) => void;
}) {
  return (
    <View className="flex-row justify-between">
      <View className="w-[48%]">
        <NumberField
          label={east}
          unit="m"
          value={at.x}
          min={-REACH_M}
          max={REACH_M}
          onChange={(x) => onChange({ x, y: at.y })}
        />
      </View>
      <View className="w-[48%]">
        <NumberField
          label={north}
          unit="m"
          value={at.y}
          min={-REACH_M}
          max={REACH_M}
          onChange={(y) => onChange({ x: at.x, y })}
        />
      </View>
    </View>
  );
}
