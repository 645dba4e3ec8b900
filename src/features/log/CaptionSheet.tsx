import { View } from 'react-native';
import { CAPTION_FIELDS } from '@/answers/captions';
import { FIRST_CAPTIONS, LONGEST_PATTERN, type Captions } from '@/records/captions';
import { CAPTIONS } from '@/records/singles';
import { useSingle } from '@/records/use-single';
import { Button } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { patternProblem } from './caption-words';

/** How captions are written, for every shoot. */
export function CaptionSheet({ onClose }: { readonly onClose: () => void }) {
  const { record: how = FIRST_CAPTIONS, change } = useSingle(CAPTIONS);
  const set = (more: Partial<Captions>) => change((before) => ({ ...before, ...more }));
  return (
    <Sheet title="How captions are written" open onClose={onClose}>
      <Field
        label="Pattern"
        value={how.pattern}
        maxLength={LONGEST_PATTERN}
        multiline
        onChangeText={(pattern) => set({ pattern })}
        error={patternProblem(how.pattern)}
      />
      <Text kind="small" ink="quiet">
        {`Fields: ${CAPTION_FIELDS.map((name) => `{${name}}`).join(' ')}. What stands in [brackets] goes where a field in it is empty.`}
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
