import { useState } from 'react';
import { View } from 'react-native';
import { fixedOf, placedFrom, toldFrom, type From } from '@/answers/place-from';
import { chosenPosition } from '@/answers/view';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { metres } from '@/features/shoot/words';
import { moveItem, type ItemList } from '@/records/edit-site';
import { Button } from '@/ui/Button';
import { NumberField } from '@/ui/NumberField';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';

const NORTH = 'north';
const FURTHEST_M = 2000;

/** "30° left of the line to Hide"; "214° from north". */
const angleInWords = (deg: number, line: string | undefined): string =>
  line === undefined
    ? `${Math.round(deg)}° from north`
    : `${Math.round(Math.abs(deg))}° ${deg < 0 ? 'left' : 'right'} of the line to ${line}`;

/** Puts a position, a mark or a thing by distance and direction from something else on the ground. */
export function PlaceFrom() {
  const { setup } = useShown('setup');
  const { update } = useEdits();
  const [putKey, setPutKey] = useState<string>();
  const all = fixedOf(setup);
  const inHand =
    all.find(({ key }) => key === putKey) ??
    all.find(({ key }) => key === `positions/${chosenPosition(setup).id}`);
  const others = all.filter(({ key }) => key !== inHand?.key);
  const [fromKey, setFromKey] = useState<string>();
  const [lineKey, setLineKey] = useState(NORTH);
  const [said, setSaid] = useState<Partial<From>>({});
  const origin = others.find(({ key }) => key === fromKey) ?? others[0];
  if (!inHand || !origin) return null;
  const line = others.find(({ key }) => key === lineKey && key !== origin.key);
  const stands = toldFrom(inHand, origin, line);
  const wanted = { ...stands, ...said };
  const told = (change: () => void) => () => {
    change();
    setSaid({});
  };
  const put = () => {
    const { x, y } = placedFrom(wanted, origin, line);
    const [list, id] = inHand.key.split('/') as [ItemList, string];
    update((current) => moveItem(current, { list, id }, x - inHand.x, y - inHand.y));
    setSaid({});
  };
  return (
    <View className="gap-2">
      <Picker
        label="What is put"
        value={inHand.key}
        options={all.map(({ key, name }) => ({ value: key, label: name }))}
        onChange={(key) => told(() => setPutKey(key))()}
      />
      <Picker
        label="From"
        value={origin.key}
        options={others.map(({ key, name }) => ({ value: key, label: name }))}
        onChange={(key) => told(() => setFromKey(key))()}
      />
      <Picker
        label="Angle counted from"
        value={line?.key ?? NORTH}
        options={[
          { value: NORTH, label: 'True north' },
          ...others
            .filter(({ key }) => key !== origin.key)
            .map(({ key, name }) => ({ value: key, label: `The line to ${name}` })),
        ]}
        onChange={(key) => told(() => setLineKey(key))()}
      />
      <View className="flex-row justify-between gap-3">
        <View className="min-w-0 flex-1">
          <NumberField
            key={`distance ${stands.distanceM}`}
            label="Distance"
            unit="m"
            value={wanted.distanceM}
            min={0}
            max={FURTHEST_M}
            onChange={(distanceM) => setSaid((before) => ({ ...before, distanceM }))}
          />
        </View>
        <View className="min-w-0 flex-1">
          <NumberField
            key={`angle ${stands.angleDeg}`}
            label={line ? 'Right of it (left −)' : 'Bearing'}
            unit="°"
            value={wanted.angleDeg}
            min={line ? -180 : 0}
            max={line ? 180 : 360}
            places={1}
            onChange={(angleDeg) => setSaid((before) => ({ ...before, angleDeg }))}
          />
        </View>
      </View>
      <Text kind="small" ink="quiet">
        {`${inHand.name} stands ${metres(stands.distanceM)} from ${origin.name}, ${angleInWords(stands.angleDeg, line?.name)}.`}
      </Text>
      <Button label={`Put ${inHand.name} there`} onPress={put} />
    </View>
  );
}
