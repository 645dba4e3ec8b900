import { View } from 'react-native';
import { useShown } from '@/features/shoot/open-shoot';
import { CONVERTERS } from '@/presets/lenses';
import { fitting } from '@/records/edit-kit';
import { bodyOf, bodyOptions, itemsOf, lensOf, lensOptions } from '@/records/kit';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Heading, Text } from '@/ui/Text';
import { converterName, KitControls } from './KitControls';
import { twoBodies } from '@/answers/two-bodies';
import { twoBodiesInWords } from './two-bodies-words';
import { useChangeKit } from './use-kit';

/** What is in the hands of the open shoot. */
export function HandControls() {
  const { kit } = useShown('setup').setup;
  const change = useChangeKit();
  return <KitControls kit={kit} onChange={change} />;
}

/** "1.5x crop body, 20 MP with 24–70 mm f/2.8", or that there is none. */
export function secondInWords({ second, bag }: Shoot['kit']): string {
  if (!second) return 'none carried: one long, one short covers more';
  return `${bodyOf({ ...second, bag }).name} with ${lensOf({ ...second, bag }).name}`;
}

/** What hangs on the second strap, and from where to where each frames. */
export function SecondBody() {
  const { setup, seen } = useShown('setup', 'seen');
  const change = useChangeKit();
  const { kit } = setup;
  const { second, bag } = kit;
  if (!second) {
    const body = itemsOf(kit, 'body').find(({ id }) => id !== kit.bodyId);
    const lens = itemsOf(kit, 'lens').find(({ id }) => id !== kit.lensId);
    return (
      <View className="gap-2">
        <Heading level={2} kind="figure">
          A second body
        </Heading>
        <Text ink="quiet">
          One long, one short: it is told from where to where each frames the subject.
        </Text>
        <Button
          label="Carry a second body"
          onPress={() =>
            change((now) => ({
              ...now,
              second: {
                bodyId: body?.id ?? now.bodyId,
                lensId: lens?.id ?? '24-70-2.8',
                converter: 1,
              },
            }))
          }
        />
      </View>
    );
  }
  const put = (next: Partial<typeof second>) =>
    change((now) => fitting({ ...now, second: { ...second, ...next } }));
  const both = seen.ok ? twoBodies(kit, seen.view) : undefined;
  return (
    <View role="region" aria-label="Second body" className="gap-3">
      <Heading level={2} kind="figure">
        On the second strap
      </Heading>
      {both ? (
        <View className="gap-1">
          {twoBodiesInWords(both).map((line) => (
            <Text key={line}>{line}</Text>
          ))}
        </View>
      ) : null}
      <Picker
        label="Second body"
        value={second.bodyId}
        options={bodyOptions(kit)}
        onChange={(bodyId) => put({ bodyId })}
      />
      <Picker
        label="Its lens"
        value={second.lensId}
        options={lensOptions(kit)}
        onChange={(lensId) => put({ lensId })}
      />
      {lensOf({ ...second, bag }).takesConverter ? (
        <Choice
          label="Its converter"
          value={second.converter}
          options={CONVERTERS.map((factor) => ({ value: factor, label: converterName(factor) }))}
          onChange={(converter) => put({ converter })}
        />
      ) : null}
      <Button
        label="Leave the second body"
        onPress={() => change(({ second: _gone, ...rest }) => rest)}
      />
    </View>
  );
}
