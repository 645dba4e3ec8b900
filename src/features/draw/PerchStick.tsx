import { View } from 'react-native';
import { fullCircle, type Stick } from '@/core';
import { useEdits } from '@/features/shoot/open-shoot';
import { withStick } from '@/records/carried';
import type { Feature } from '@/records/shoot';
import { Choice } from '@/ui/Choice';
import { NumberField } from '@/ui/NumberField';
import { BearingField } from './BearingField';

const KINDS = [
  { value: 'post', label: 'Post' },
  { value: 'stick', label: 'Stick, level' },
] as const;
/** Common practice, no source. */
const FIRST_STICK: Stick = { lengthM: 0.4, towardDeg: 0 };

/** What a perch ends in: the top of a post, or a stick with two ends to land on. */
export function PerchStick({
  perch: { id, stick },
}: {
  readonly perch: Extract<Feature, { kind: 'perch' }>;
}) {
  const { update } = useEdits();
  const change = (next: Stick | undefined) => update((current) => withStick(current, id, next));
  return (
    <View className="gap-3">
      <Choice
        label="It is a"
        value={stick ? 'stick' : 'post'}
        options={KINDS}
        onChange={(kind) => change(kind === 'stick' ? (stick ?? FIRST_STICK) : undefined)}
      />
      {stick ? (
        <>
          <View className="w-[48%]">
            <NumberField
              label="Length of the stick"
              unit="m"
              value={stick.lengthM}
              min={0.05}
              max={10}
              places={2}
              onChange={(lengthM) => change({ ...stick, lengthM })}
            />
          </View>
          <BearingField
            label="Points towards"
            trueDeg={stick.towardDeg}
            onChange={(deg) => change({ ...stick, towardDeg: fullCircle(deg) })}
          />
        </>
      ) : null}
    </View>
  );
}
