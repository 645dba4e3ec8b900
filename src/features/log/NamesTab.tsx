import { View } from 'react-native';
import { captionOf, doubtsOf } from '@/answers/captions';
import { useShown } from '@/features/shoot/open-shoot';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Heading, Text } from '@/ui/Text';
import { KeptOrAll } from './KeptOrAll';
import { PressNames } from './PressNames';
import type { Names } from './use-names';

/** Who is on the pictures, press by press. */
export function NamesTab({ names }: { readonly names: Names }) {
  const { shoot } = useShown('shoot');
  const { captioned, how, only, someKept, none, at, doubtful, isDoubtfulFirst, go } = names;
  const press = captioned[at];
  const first = press?.press.frames[0];
  if (none) {
    return <Text>Read the pictures first: who is on them is said here, press by press.</Text>;
  }
  const next = captioned.findIndex((one, i) => i > at && doubtsOf(one).length > 0);
  return (
    <View className="gap-4">
      <View role="region" aria-label="Named" className="gap-2">
        <Heading level={2} kind="figure">
          {doubtful === 0
            ? 'Who is on every press is settled'
            : `${captioned.length - doubtful} of ${captioned.length} presses settled`}
        </Heading>
        <View className="flex-row flex-wrap gap-x-4 gap-y-1">
          {someKept ? (
            <View className="min-w-[120px]">
              <KeptOrAll only={only} onChange={names.show} />
            </View>
          ) : null}
          <View className="min-w-[220px]">
            <Choice
              label="Order"
              value={isDoubtfulFirst ? 'doubtful' : 'taken'}
              options={[
                { value: 'taken', label: 'As taken' },
                { value: 'doubtful', label: 'Doubtful first' },
              ]}
              onChange={(value) => names.sortBy(value === 'doubtful')}
            />
          </View>
        </View>
      </View>
      {press && first ? (
        <PressNames
          names={names}
          captioned={press}
          caption={captionOf(shoot, first, press.named, press.candidates, how).text}
        />
      ) : (
        <Text>No picture is kept: choose All, or keep some in Pictures.</Text>
      )}
      {next >= 0 ? <Button label="To the next not settled" onPress={() => go(next)} /> : null}
    </View>
  );
}
