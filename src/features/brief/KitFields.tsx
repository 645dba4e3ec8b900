import { View } from 'react-native';
import { bodyOf, bodyOptions, lensOf, lensOptions } from '@/records/kit';
import type { Shoot } from '@/records/shoot';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';
import { kitFrom, kitOf, type Draft } from './new-draft';

/** What is in hand: as on the last shoot, as picked, or as the ground usually asks for. */
export function KitFields({
  draft,
  own,
  onChange,
}: {
  readonly draft: Draft;
  readonly own: readonly Shoot[];
  readonly onChange: (change: Partial<Draft>) => void;
}) {
  const kit = kitOf(draft, own, draft.groundId ?? 'blank');
  const said = draft.bodyId ?? draft.lensId;
  return (
    <View className="gap-2">
      <Picker
        label="Body"
        value={bodyOf(kit).id}
        options={bodyOptions(kit)}
        onChange={(bodyId) => onChange({ bodyId })}
      />
      <Picker
        label="Lens"
        value={lensOf(kit).id}
        options={lensOptions(kit)}
        onChange={(lensId) => onChange({ lensId })}
      />
      <Text kind="small" ink="quiet">
        {said
          ? 'For this shoot; the bag can be filled under Kit.'
          : kitFrom(own).kit
            ? 'Your kit, dials and floors as on the last shoot. Changed here, they change for this shoot only.'
            : 'Not sure? Leave these as they are: a guess that suits the ground, and marked as one.'}
      </Text>
    </View>
  );
}
