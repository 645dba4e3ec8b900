import { View } from 'react-native';
import { cautionsFor } from '@/presets/cautions';
import { subjectById } from '@/presets/find';
import { groundById } from '@/presets/grounds';
import type { Shoot } from '@/records/shoot';
import { CautionSign } from '@/ui/CautionSign';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';

/** What to take care of on a shoot's ground and with its subjects; nothing where nothing is known. */
export function Cautions({ shoot }: { readonly shoot: Shoot }) {
  const inks = useInks();
  const subjects = shoot.marks.map(({ subjectId }) => subjectById(subjectId));
  const cautions = cautionsFor([
    ...groundById(shoot.ground.template).cautions,
    ...subjects.flatMap((subject) => subject.cautions ?? []),
  ]);
  if (cautions.length === 0) return null;
  return (
    <View className="gap-2 border-t border-line pt-4">
      <Heading level={2} kind="figure">
        Take care
      </Heading>
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
    </View>
  );
}
