import { View } from 'react-native';
import { useShown } from '@/features/shoot/open-shoot';
import { Button } from '@/ui/Button';
import { NumberField } from '@/ui/NumberField';
import { Heading, Text } from '@/ui/Text';
import type { Stores } from '@/answers/stores';
import { useChangeKit } from './use-kit';
import { burstInWords, FRAMES_BY } from './stores-words';

/** With a capital: it begins a line. */

const FORMS = { raw: 'Raw', jpeg: 'JPEG', both: 'Raw and JPEG' } as const;

/** Frames to expect, and what holds them. */
export function StoresTab({ stores }: { readonly stores: Stores }) {
  const { brief, kit } = useShown('shoot').shoot;
  const change = useChangeKit();
  const { frames, framesBy, cards, batteries, bursts, gigabytes, holds } = stores;
  const figures = [
    {
      name: 'Cards',
      value: `${cards.need} of ${cards.name.replace('Card, ', '')}`,
      why: `${
        cards.have === 0
          ? 'None in the bag yet'
          : `${cards.have} in the bag ${cards.have === 1 ? 'holds' : 'hold'} ${holds} frames`
      }; you expect ${frames}, ${gigabytes.toFixed(0)} GB, and a quarter to spare. Never fewer than two.`,
      lacking: cards.have < cards.need,
    },
    {
      name: 'Batteries',
      value: String(batteries.need),
      why: `${batteries.framesEach} frames each${batteries.share < 0.995 ? `, ${Math.round(batteries.share * 100)} % of the rated in this cold` : ''}, a quarter to spare. ${
        batteries.have === 0 ? 'None in the bag yet.' : `The bag has ${batteries.have}.`
      }`,
      lacking: batteries.have < batteries.need,
    },
  ];
  return (
    <View className="gap-5">
      <View>
        <Text kind="label" ink="quiet">
          Frames to expect
        </Text>
        <Text kind="title">{frames}</Text>
        <Text kind="small" ink="quiet">
          {`${FRAMES_BY[framesBy]}.`}
        </Text>
      </View>
      <NumberField
        label="I expect"
        unit="frames"
        value={frames}
        min={1}
        max={100_000}
        places={0}
        onChange={(wanted) => change((now) => ({ ...now, frames: Math.round(wanted) }))}
      />
      {kit.frames ? (
        <Button
          label="Reckon it from the brief"
          onPress={() => change(({ frames: _said, ...rest }) => rest)}
        />
      ) : null}
      <View role="list" aria-label="What holds the frames">
        {figures.map(({ name, value, why, lacking }) => (
          <View key={name} role="listitem" className="border-b border-line py-2">
            <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
              <Text kind="small" ink="quiet">
                {name}
              </Text>
              <Text kind="strong">{`${value}${lacking ? ', not enough in the bag' : ''}`}</Text>
            </View>
            <Text kind="small" ink="quiet">
              {why}
            </Text>
          </View>
        ))}
      </View>
      <View className="gap-1">
        <Heading level={2} kind="figure">
          One burst, held down
        </Heading>
        <View role="list" aria-label="Bursts">
          {bursts.map((row) => {
            const asked = row.form === brief.fileForm;
            return (
              <View
                key={row.form}
                role="listitem"
                className={`border-b border-line py-2 ${asked ? 'border-l-4 border-l-signal pl-2' : ''}`}
              >
                <Text kind={asked ? 'strong' : 'body'}>
                  {`${FORMS[row.form]}${asked ? ', as the brief asks' : ''}`}
                </Text>
                <Text>{burstInWords(row)}</Text>
                <Text kind="small" ink="quiet">{`${row.fileMb} MB a frame`}</Text>
              </View>
            );
          })}
        </View>
      </View>
    </View>
  );
}
