import { useState } from 'react';
import { Pressable, View } from 'react-native';
import Trash from 'lucide-react-native/icons/trash';
import { useShown } from '@/features/shoot/open-shoot';
import { MOST_ALWAYS } from '@/records/shelf';
import { SHELF } from '@/records/singles';
import { useSingle } from '@/records/use-single';
import { Button, IconButton } from '@/ui/Button';
import { Field } from '@/ui/Field';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useToast } from '@/ui/Toast';
import { packedInWords, packingList, type PackingLine } from './packing';
import type { Stores } from '@/answers/stores';
import { useChangeKit } from './use-kit';
import type { Weather } from './weather';

/** The packing list: it follows from everything else, and is ticked off. */
export function PackTab({
  stores,
  weather,
}: {
  readonly stores: Stores;
  readonly weather: Weather;
}) {
  const { shoot } = useShown('shoot');
  const change = useChangeKit();
  const { record: shelf } = useSingle(SHELF);
  const lines = packingList(shoot, stores, weather, shelf?.always ?? []);
  const { packed } = shoot.kit;
  const tick = (key: string) =>
    change((now) => ({
      ...now,
      packed: now.packed.includes(key)
        ? now.packed.filter((entry) => entry !== key)
        : [...now.packed.filter((entry) => lines.some((line) => line.key === entry)), key],
    }));
  return (
    <View className="gap-5">
      <View className="gap-1">
        <Heading level={2} kind="figure">
          {packedInWords(lines, packed)}
        </Heading>
        <View role="list" aria-label="Packing list">
          {lines.map((line) => (
            <View key={line.key} role="listitem">
              <Tick line={line} ticked={packed.includes(line.key)} onTick={tick} />
            </View>
          ))}
        </View>
      </View>
      <Button
        label="Untick all, for the way home"
        disabled={packed.length === 0}
        onPress={() => change((now) => ({ ...now, packed: [] }))}
      />
      <Always />
    </View>
  );
}

function Tick({
  line: { key, text, why, lacking },
  ticked,
  onTick,
}: {
  readonly line: PackingLine;
  readonly ticked: boolean;
  readonly onTick: (key: string) => void;
}) {
  return (
    <Pressable
      role="checkbox"
      aria-checked={ticked}
      onPress={() => onTick(key)}
      className="min-h-touch flex-row items-center gap-3 border-b border-line py-2 active:opacity-60"
    >
      <View className="h-6 w-6 items-center justify-center border-2 border-ink">
        {ticked ? <View className="h-3 w-3 bg-ink" /> : null}
      </View>
      <View className="shrink">
        <Text kind="strong" className={ticked ? 'line-through' : ''}>
          {`${lacking ? 'Lacking: ' : ''}${text}`}
        </Text>
        {why ? (
          <Text kind="small" ink="quiet">
            {why}
          </Text>
        ) : null}
      </View>
    </Pressable>
  );
}

/** Lines of one's own that stand on every packing list. */
function Always() {
  const { record: shelf, change } = useSingle(SHELF);
  const inks = useInks();
  const say = useToast();
  const [text, setText] = useState('');
  const always = shelf?.always ?? [];
  const line = text.trim();
  const known = always.includes(line);
  const add = () => {
    if (!line || known || always.length >= MOST_ALWAYS) return;
    change((now) => ({ ...now, always: [...now.always, line] }));
    setText('');
  };
  return (
    <View className="gap-2">
      <Heading level={2} kind="figure">
        On every list
      </Heading>
      <View role="list" aria-label="On every list">
        {always.map((entry) => (
          <View key={entry} role="listitem" className="flex-row items-center border-b border-line">
            <Text className="shrink grow">{entry}</Text>
            <IconButton
              label={`Take ${entry} off every list`}
              onPress={() => {
                change((now) => ({ ...now, always: now.always.filter((old) => old !== entry) }));
                say({
                  text: `“${entry}” is off every list`,
                  action: {
                    label: 'Undo',
                    onPress: () => change((now) => ({ ...now, always: [...now.always, entry] })),
                  },
                });
              }}
            >
              <Trash color={inks.ink} size={20} />
            </IconButton>
          </View>
        ))}
      </View>
      <Field
        label="A line for every list"
        value={text}
        maxLength={80}
        onChangeText={setText}
        onSubmitEditing={add}
        error={known && line ? 'it stands on the list already' : undefined}
      />
      <Button label="Add the line" disabled={!line || known} onPress={add} />
    </View>
  );
}
