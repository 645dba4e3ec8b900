import { useState } from 'react';
import { View } from 'react-native';
import { planExtent, planGround } from '@/answers/extent';
import { useReading } from '@/features/files/use-reading';
import { ReadingNow } from '@/features/files/ReadingNow';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { bearingInWords, percent } from '@/features/shoot/words';
import { LARGEST_PICTURE_BYTES, PICTURE_FILES } from '@/formats/picture-file';
import { laidUnder, topIsNorth, withoutUnderlay, withUnderlay } from '@/records/edit-underlay';
import {
  apartLimitsM,
  newUnderlay,
  pinsApartM,
  withPinsApart,
  withTop,
  type Hand,
  type Underlay,
} from '@/records/underlay';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { chooseFile } from '@/ui/files';
import { NumberField } from '@/ui/NumberField';
import { Slider } from '@/ui/Slider';
import { Heading, Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { BearingField } from './BearingField';
import type { PictureRead } from '@/workers/shrink-picture';
import { useDrawTool } from './use-draw';

const HANDS: readonly { readonly value: Hand; readonly label: string }[] = [
  { value: 'set', label: 'Only the pin' },
  { value: 'turn', label: 'The picture' },
  { value: 'stretch', label: 'And its size' },
];

const HAND_WORDS: Readonly<Record<Hand, string>> = {
  set: 'Drag A and B onto two spots you know: two goals, two corners, the ends of a hedge. The further apart the better.',
  turn: 'Drag A and the picture comes along; drag B and it turns about A, at its size.',
  stretch:
    'Drag A and B onto their places on the plan: the picture is moved, turned and sized to lie there.',
};

/** A picture under the plan: chosen, laid by two pins and a known length, faded, traced over. */
export function UnderlayPanel({ hand }: { readonly hand: Hand }) {
  const { shoot } = useShown('shoot');
  const { act } = useDrawTool();
  const { underlay } = shoot;
  return (
    <View className="gap-3">
      <Heading level={2} kind="figure">
        A picture under the plan
      </Heading>
      {underlay ? (
        <Laid underlay={underlay} hand={hand} />
      ) : (
        <Text kind="small" ink="quiet">
          An aerial picture, the venue’s own map, a photograph of the board at the gate. A small
          copy is kept in this shoot and goes where the shoot goes; nothing is sent.
        </Text>
      )}
      <Choose again={underlay !== undefined} />
      <Button label="Done" kind="quiet" onPress={() => act({ do: 'select', item: undefined })} />
    </View>
  );
}

/** A file chosen, made small, and laid under the whole ground, its top to the north. */
function Choose({ again }: { readonly again: boolean }) {
  const { update, undo } = useEdits();
  const say = useToast();
  const reading = useReading();
  const [refused, setRefused] = useState<string>();
  const choose = async () => {
    const file = await chooseFile(PICTURE_FILES);
    if (!file) return;
    setRefused(undefined);
    const read = await reading.read(
      file,
      LARGEST_PICTURE_BYTES,
      async (service, one): Promise<PictureRead> => service.picture(one),
    );
    const result = read.ok ? read.value : read;
    if (!result.ok) {
      if (result.reason) setRefused(`${file.name} was refused: ${result.reason}.`);
      return;
    }
    const name = file.name.trim().slice(0, 120) || 'picture';
    update((current) =>
      laidUnder(
        current,
        newUnderlay({ name, ...result.picture }, planExtent(planGround(current), current)),
      ),
    );
    say({ text: `Laid ${name} under the plan`, action: { label: 'Undo', onPress: undo } });
  };
  return (
    <>
      <ReadingNow reading={reading} />
      {refused ? (
        <View role="alert" className="border-2 border-signal p-3">
          <Text>{refused}</Text>
          <Text kind="small">Nothing has changed.</Text>
        </View>
      ) : null}
      <Button
        label={again ? 'Choose another picture' : 'Choose a picture'}
        kind={again ? 'plain' : 'primary'}
        onPress={() => void choose()}
      />
    </>
  );
}

/** How the picture lies, and what a finger on its pins does. */
function Laid({ underlay, hand }: { readonly underlay: Underlay; readonly hand: Hand }) {
  const { update, undo } = useEdits();
  const { act } = useDrawTool();
  const say = useToast();
  const change = (next: (underlay: Underlay) => Underlay, tag?: string) =>
    update((current) => withUnderlay(current, next), tag);
  const { least, most } = apartLimitsM(underlay);
  const north = underlay.topDeg === 0;
  return (
    <>
      <Text kind="small" ink="quiet">
        {underlay.name}
      </Text>
      <Choice
        label="Dragging a pin moves"
        value={hand}
        options={HANDS}
        onChange={(next) => act({ do: 'take', tool: { name: 'underlay', hand: next } })}
      />
      <Text kind="small" ink="quiet">
        {HAND_WORDS[hand]}
      </Text>
      <NumberField
        label="From A to B"
        unit="m"
        value={pinsApartM(underlay)}
        min={least}
        max={most}
        places={1}
        onChange={(apartM) => change((was) => withPinsApart(was, apartM))}
      />
      <BearingField
        label="Its top points to"
        trueDeg={underlay.topDeg}
        onChange={(deg) => change((was) => withTop(was, deg))}
      />
      <Button
        label="Its top is north: turn the ground with it"
        onPress={() => {
          update(topIsNorth);
          say({
            text: north
              ? 'The ground lies as it does'
              : `The ground is turned: its top is north, not ${bearingInWords(underlay.topDeg)}`,
            action: { label: 'Undo', onPress: undo },
          });
        }}
      />
      <Slider
        label="How much of it is seen"
        value={underlay.opacity}
        min={0.1}
        max={1}
        step={0.05}
        bigStep={0.2}
        valueText={percent(underlay.opacity)}
        onChange={(next) =>
          change((was) => ({ ...was, opacity: Math.round(next(was.opacity) * 100) / 100 }), 'fade')
        }
      />
      <View className="flex-row flex-wrap gap-2">
        <View className="min-w-fit flex-1">
          <Button
            label={underlay.shown ? 'Hide it' : 'Show it'}
            onPress={() => change((was) => ({ ...was, shown: !was.shown }))}
          />
        </View>
        <View className="min-w-fit flex-1">
          <Button
            label="Take it away"
            onPress={() => {
              update(withoutUnderlay);
              say({
                text: `Took away ${underlay.name}`,
                action: { label: 'Undo', onPress: undo },
              });
            }}
          />
        </View>
      </View>
    </>
  );
}
