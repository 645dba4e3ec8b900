import { View } from 'react-native';
import { partFramings } from '@/answers/part-framing';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { RowButton } from '@/ui/RowButton';
import { Heading, Text } from '@/ui/Text';
import { PART_WORDS, partInWords, setOffInWords } from './part-words';

/** A large animal whole, three quarters or its head, each by a press where the lens in hand gives it. */
export function PartFramings() {
  const { setup, seen, along } = useShown('setup', 'seen', 'along');
  const { update } = useEdits();
  if (!seen.ok || !along) return null;
  const { aperture } = seen.answer.exposure.settings;
  const framings = partFramings(seen.view, setup.kit, along.back, aperture);
  if (!framings) return null;
  const said = setOffInWords(framings);
  return (
    <View role="region" aria-label="Whole or part" className="gap-1">
      <Heading level={3} kind="label">
        Whole or part
      </Heading>
      {said ? <Text kind="small">{said}</Text> : null}
      <View role="list" aria-label="Framings">
        {framings.map((framing) => {
          const { part, by } = framing;
          const detail = partInWords(framing);
          return by ? (
            <RowButton
              key={part}
              name={PART_WORDS[part]}
              detail={detail}
              onPress={() => update((current) => ({ ...current, kit: { ...current.kit, ...by } }))}
            />
          ) : (
            <View key={part} role="listitem" className="border-b border-line py-2">
              <Text kind="strong">{PART_WORDS[part]}</Text>
              <Text kind="small" ink="quiet">
                {detail}
              </Text>
            </View>
          );
        })}
      </View>
    </View>
  );
}
