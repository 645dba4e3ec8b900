import { View } from 'react-native';
import { CAPTION_FIELDS } from '@/answers/caption-pattern';
import { FIRST_CAPTIONS, LONGEST_PATTERN, type Captions } from '@/records/captions';
import { CAPTIONS } from '@/records/singles';
import { useSingle } from '@/records/use-single';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { patternProblem } from './caption-words';

/** How captions are written, for every shoot, and how that reads under the picture looked at. */
export function CaptionSheet({
  reads,
  onClose,
}: {
  readonly reads: string | undefined;
  readonly onClose: () => void;
}) {
  const { record: how = FIRST_CAPTIONS, change } = useSingle(CAPTIONS);
  const set = (more: Partial<Captions>) => change((before) => ({ ...before, ...more }));
  return (
    <Sheet title="How captions are written" open onClose={onClose}>
      <Field
        label="Pattern"
        value={how.pattern}
        maxLength={LONGEST_PATTERN}
        multiline
        numberOfLines={3}
        onChangeText={(pattern) => set({ pattern })}
        error={patternProblem(how.pattern)}
      />
      {reads === undefined ? null : <Text>{`Reads: ${reads}`}</Text>}
      <Text kind="small" ink="quiet">
        {`Fields: ${CAPTION_FIELDS.map((name) => `{${name}}`).join(' ')}.`}
      </Text>
      <Text kind="small" ink="quiet">
        {
          '{does} is what they do there: paddles, or paddle of several. Your own words for it: {races|race}. {event} says its heat too, unless {heat} is used. Of [parts | in brackets] the first is taken whose fields are all known.'
        }
      </Text>
      <Field
        label="Photographer"
        value={how.photographer}
        maxLength={120}
        onChangeText={(photographer) => set({ photographer })}
      />
      <Field
        label="Rights"
        value={how.rights}
        maxLength={200}
        onChangeText={(rights) => set({ rights })}
      />
      <View className="gap-2">
        <Button
          kind="quiet"
          label="The pattern as it was at first"
          onPress={() => set({ pattern: FIRST_CAPTIONS.pattern })}
        />
        <Button label="Done" kind="primary" onPress={onClose} />
      </View>
    </Sheet>
  );
}
