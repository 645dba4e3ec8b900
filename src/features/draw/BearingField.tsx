import { useState } from 'react';
import { View } from 'react-native';
import { compassFromTrue, trueFromCompass } from '@/core';
import { useShown } from '@/features/shoot/open-shoot';
import { Choice } from '@/ui/Choice';
import { NumberField } from '@/ui/NumberField';
import { Text } from '@/ui/Text';
import { declinationInWords, declinationOf } from '@/features/shoot/declination';

const KINDS = [
  { value: 'true', label: 'True' },
  { value: 'compass', label: 'By compass' },
] as const;

/** A bearing to type, true or as a phone's compass shows it. What is kept is always true. */
export function BearingField({
  label,
  trueDeg,
  onChange,
}: {
  readonly label: string;
  readonly trueDeg: number;
  readonly onChange: (trueDeg: number) => void;
}) {
  const plan = useShown('shoot');
  const [byCompass, setByCompass] = useState(false);
  const east = declinationOf(plan.shoot);
  const magnetic = byCompass && east !== undefined;
  return (
    <View className="gap-1">
      <View className="flex-row items-end justify-between">
        <View className="w-[48%]">
          <NumberField
            key={magnetic ? 'compass' : 'true'}
            label={label}
            unit="°"
            value={magnetic ? compassFromTrue(trueDeg, east) : trueDeg}
            min={0}
            max={359.99}
            places={1}
            onChange={(deg) => onChange(magnetic ? trueFromCompass(deg, east) : deg)}
          />
        </View>
        {east === undefined ? null : (
          <View className="w-[48%]">
            <Choice
              label="Bearing"
              value={magnetic ? 'compass' : 'true'}
              options={KINDS}
              onChange={(kind) => setByCompass(kind === 'compass')}
            />
          </View>
        )}
      </View>
      {magnetic ? (
        <Text kind="small" ink="quiet">
          {`${declinationInWords(east)} Keep it away from iron, lamps and cars.`}
        </Text>
      ) : null}
    </View>
  );
}
