import { useState } from 'react';
import { View } from 'react-native';
import { fixedOf, placedFrom, toldFrom, type From } from '@/answers/place-from';
import { chosenMark, chosenPosition } from '@/answers/view';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { metres } from '@/features/shoot/words';
import { changeItem } from '@/records/edit-site';
import { within } from '@/records/edit-ground';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { NumberField } from '@/ui/NumberField';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';

const WHICH = [
  { value: 'positions', label: 'Position' },
  { value: 'marks', label: 'Mark' },
] as const;
const NORTH = 'north';
const FURTHEST_M = 2000;

/** "30° left of the line to Hide"; "214° from north". */
const angleInWords = (deg: number, line: string | undefined): string =>
  line === undefined
    ? `${Math.round(deg)}° from north`
    : `${Math.round(Math.abs(deg))}° ${deg < 0 ? 'left' : 'right'} of the line to ${line}`;

/** Puts the position or mark in hand by distance and direction from something else on the ground. */
export function PlaceFrom() {
  const { setup } = useShown('setup');
  const { update } = useEdits();
  const [list, setList] = useState<'positions' | 'marks'>('positions');
  const inHand = list === 'positions' ? chosenPosition(setup) : chosenMark(setup);
  const others = fixedOf(setup).filter(({ key }) => key !== `${list}/${inHand.id}`);
  const [fromKey, setFromKey] = useState<string>();
  const [lineKey, setLineKey] = useState(NORTH);
  const [said, setSaid] = useState<Partial<From>>({});
  const origin = others.find(({ key }) => key === fromKey) ?? others[0];
  if (!origin) return null;
  const line = others.find(({ key }) => key === lineKey && key !== origin.key);
  const stands = toldFrom(inHand, origin, line);
  const wanted = { ...stands, ...said };
  const told = (change: () => void) => () => {
    change();
    setSaid({});
  };
  const put = () => {
    const place = placedFrom(wanted, origin, line);
    update((current) =>
      changeItem(current, list, inHand.id, (item) => within({ ...item, ...place })),
    );
    setSaid({});
  };
  return (
    <View className="gap-2">
      <Choice
        label="What"
        value={list}
        options={WHICH}
        onChange={(next) => told(() => setList(next))()}
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
