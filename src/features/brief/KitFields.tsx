import { useState } from 'react';
import { View } from 'react-native';
import { USUAL_BODY_ID } from '@/presets/bodies';
import { bodyOf, bodyOptions, lensOf, lensOptions } from '@/records/kit';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';
import { kitFrom, kitOf, type Draft } from './new-draft';

const NOT_SURE = 'not-sure';
/** What most people who begin have; the rest is behind "Another". */
const USUAL_BODIES = [
  { value: NOT_SURE, label: 'Not sure' },
  { value: USUAL_BODY_ID, label: 'Full frame' },
  { value: 'crop-1.5-20', label: '1.5x crop' },
  { value: 'two-x-20', label: '2x crop' },
];
const USUAL_LENSES = [
  { value: NOT_SURE, label: 'Not sure' },
  { value: '70-200-2.8', label: '70–200' },
  { value: '100-400-5.6', label: '100–400' },
  { value: '200-600-6.3', label: '200–600' },
];
const saidOf = (value: string): string | undefined => (value === NOT_SURE ? undefined : value);

interface KitFieldsProps {
  readonly draft: Draft;
  readonly own: readonly Shoot[];
  readonly onChange: (change: Partial<Draft>) => void;
}

/** Any body and lens there is, what would be in hand shown. */
function Exactly({ draft, own, onChange }: KitFieldsProps) {
  const kit = kitOf(draft, own, draft.groundId ?? 'blank');
  return (
    <>
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
    </>
  );
}

/** What is in hand: as on the last shoot; for the first one a press each, or not sure. */
export function KitFields(props: KitFieldsProps) {
  const { draft, own, onChange } = props;
  const [exactly, setExactly] = useState(false);
  const said = draft.bodyId ?? draft.lensId;
  const isFirst = !kitFrom(own).kit;
  return (
    <View className="gap-2">
      {isFirst && !exactly ? (
        <>
          <Choice
            label="Body"
            options={USUAL_BODIES}
            value={draft.bodyId ?? NOT_SURE}
            onChange={(value) => onChange({ bodyId: saidOf(value) })}
          />
          <Choice
            label="Lens, mm"
            options={USUAL_LENSES}
            value={draft.lensId ?? NOT_SURE}
            onChange={(value) => onChange({ lensId: saidOf(value) })}
          />
          <Button label="Another body or lens" onPress={() => setExactly(true)} />
        </>
      ) : (
        <Exactly {...props} />
      )}
      <Text kind="small" ink="quiet">
        {said
          ? 'For this shoot; the bag can be filled under Kit.'
          : isFirst
            ? 'What is left at “Not sure” is guessed to suit the ground, and marked as a guess.'
            : 'Your kit, dials and floors as on the last shoot. Changed here, they change for this shoot only.'}
      </Text>
    </View>
  );
}
