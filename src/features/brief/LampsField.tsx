import { View } from 'react-native';
import { FLOODLIGHTS, type Floodlights } from '@/presets/lamps';
import { Choice } from '@/ui/Choice';
import { Text } from '@/ui/Text';
import { GUESSED_FLOODLIGHTS, type Draft } from './new-draft';

const OPTIONS = FLOODLIGHTS.map(({ id, name }) => ({ value: id, label: name }));

/** Asked of a shoot past sunset where there may be lamps. */
export function LampsField({
  draft,
  onChange,
}: {
  readonly draft: Draft;
  readonly onChange: (change: Partial<Draft>) => void;
}) {
  const taken: Floodlights['id'] = draft.floodlights ?? GUESSED_FLOODLIGHTS;
  const lux = FLOODLIGHTS.find(({ id }) => id === taken)?.lux ?? 0;
  return (
    <View className="gap-1">
      <Choice
        label="It goes on past sunset. Floodlights?"
        options={OPTIONS}
        value={taken}
        onChange={(floodlights) => onChange({ floodlights })}
      />
      <Text kind="small" ink="quiet">
        {lux > 0
          ? `Guessed at ${lux} lx on an upright face. One test frame on the ground settles it: Light, Take a reading.`
          : 'What is left of the daylight is all there is.'}
      </Text>
    </View>
  );
}
