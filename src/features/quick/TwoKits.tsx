import { useCallback, useState } from 'react';
import { View } from 'react-native';
import { KitControls } from '@/features/kit/KitControls';
import { engraved } from '@/features/shoot/words';
import { depthInWords } from '@/features/shoot/frame-notes';
import { extrasInWords, settingsInWords } from '@/features/shoot/exposure-words';
import { bodyOf, lensOf } from '@/records/kit';
import type { Quick } from '@/records/quick';
import { Button } from '@/ui/Button';
import { Exposure } from '@/ui/Exposure';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { quickAnswer } from './quick';

/** A lighter kit, to begin with. */
const FIRST_AGAINST: NonNullable<Quick['against']> = {
  bodyId: 'crop-1.5-20',
  lensId: '400-2.8',
  focalMm: 400,
  converter: 1,
  support: 'hand',
};

/** What one kit makes of it, in the figures that tell two apart. */
function KitColumn({ quick }: { readonly quick: Quick }) {
  const result = quickAnswer(quick);
  const name = `${bodyOf(quick.kit).name}, ${lensOf(quick.kit).name}`;
  if (!result.ok) {
    return (
      <View role="listitem" className="min-w-0 flex-1 gap-1">
        <Text kind="label">{name}</Text>
        <Text kind="small">No answer so near with this.</Text>
      </View>
    );
  }
  const { view, exposure } = result;
  const { settings, depth, stopsShort } = exposure;
  const figures: readonly (readonly [string, string])[] = [
    ['Fills', `${Math.round(view.fill * 100)} %`],
    ['On the subject', `${Math.round(view.pixels)} px`],
    ['Sharp', depth ? depthInWords(depth) : 'throughout'],
    ['Short of light', stopsShort > 0 ? `${stopsShort.toFixed(1)} stops` : 'no'],
  ];
  return (
    <View
      role="listitem"
      aria-label={`${name}: ${settingsInWords(settings)}`}
      className="min-w-0 flex-1 gap-1"
    >
      <Text kind="label">{name}</Text>
      <Exposure {...engraved(settings)} largestPx={18} />
      {extrasInWords(settings).map((extra) => (
        <Text key={extra} kind="small">
          {extra}
        </Text>
      ))}
      {figures.map(([what, value]) => (
        <View key={what}>
          <Text kind="tiny" ink="quiet">
            {what}
          </Text>
          <Text kind="small">{value}</Text>
        </View>
      ))}
    </View>
  );
}

/** Two kits at the same subject in the same light, side by side. */
export function TwoKits({
  quick,
  onChange,
}: {
  readonly quick: Quick;
  readonly onChange: (how: (quick: Quick) => Quick) => void;
}) {
  const [changing, setChanging] = useState(false);
  const { against } = quick;
  const changeAgainst = useCallback(
    (how: (kit: Quick['kit']) => Quick['kit']) =>
      onChange((now) => (now.against ? { ...now, against: how(now.against) } : now)),
    [onChange],
  );
  if (!against) {
    return (
      <Button
        label="Compare with another kit"
        onPress={() => {
          onChange((now) => ({ ...now, against: FIRST_AGAINST }));
          setChanging(true);
        }}
      />
    );
  }
  return (
    <View className="gap-2">
      <Heading level={2} kind="figure">
        Two kits
      </Heading>
      <View role="list" aria-label="Two kits" className="flex-row gap-3">
        <KitColumn quick={quick} />
        <KitColumn quick={{ ...quick, kit: against }} />
      </View>
      <View className="flex-row flex-wrap gap-2">
        <Button label="Change the other kit" onPress={() => setChanging(true)} />
        <Button
          label="Take it instead"
          onPress={() => onChange((now) => ({ ...now, kit: against, against: now.kit }))}
        />
        <Button
          label="Stop comparing"
          kind="quiet"
          onPress={() => onChange(({ against: _gone, ...now }) => now)}
        />
      </View>
      <Sheet title="The other kit" open={changing} onClose={() => setChanging(false)}>
        <KitControls kit={against} onChange={changeAgainst} />
      </Sheet>
    </View>
  );
}
