import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useShown } from '@/features/shoot/open-shoot';
import type { Caution } from '@/presets/cautions';
import type { Shoot } from '@/records/shoot';
import { IconButton } from '@/ui/Button';
import { CautionSign } from '@/ui/CautionSign';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { cautionsOf } from './caution-tags';

/** What to take care of on a shoot; nothing where nothing is known. */
export function Cautions({ shoot }: { readonly shoot: Shoot }) {
  const cautions = cautionsOf(shoot);
  if (cautions.length === 0) return null;
  return (
    <View className="gap-2">
      <CautionList cautions={cautions} />
    </View>
  );
}

function CautionList({ cautions }: { readonly cautions: readonly Caution[] }) {
  const inks = useInks();
  return (
    <>
      <View role="list" aria-label="Cautions" className="gap-2">
        {cautions.map(({ id, text, source }) => (
          <View key={id} role="listitem" className="flex-row items-start gap-3">
            <CautionSign color={inks.ink} />
            <Text className="shrink">
              {text}
              {source.startsWith('common practice') ? '' : ` (${source})`}
            </Text>
          </View>
        ))}
      </View>
      <Text kind="small" ink="quiet">
        Reminders only: local rules, officials, land managers and qualified guides come first.
      </Text>
    </>
  );
}

/** The cautions from any step, behind their sign. */
export function CautionsButton() {
  const { shoot } = useShown('shoot');
  const [open, setOpen] = useState(false);
  const inks = useInks();
  const { ground, marks, subjects, shots, brief, light, place, startLocal, endLocal } = shoot;
  const { features, air } = shoot;
  // Not asked again while a position is dragged or the time.
  const cautions = useMemo(
    () =>
      cautionsOf({
        ...{ ground, marks, subjects, shots, brief, light, place, startLocal, endLocal },
        ...{ features, air },
      }),
    [ground, marks, subjects, shots, brief, light, place, startLocal, endLocal, features, air],
  );
  if (cautions.length === 0) return null;
  return (
    <>
      <IconButton label={`Take care: ${cautions.length}`} onPress={() => setOpen(true)}>
        <CautionSign color={inks.ink} />
      </IconButton>
      <Sheet title="Take care" open={open} onClose={() => setOpen(false)}>
        <CautionList cautions={cautions} />
      </Sheet>
    </>
  );
}
