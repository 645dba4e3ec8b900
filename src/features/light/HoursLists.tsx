import { View } from 'react-native';
import { lightColour, type LightColour } from '@/core';
import { worstOf } from '@/answers/light-plan';
import { takenUp } from '@/answers/owed';
import { lightThroughInWords } from '@/features/shoot/light-words';
import { owedInWords } from '@/features/shoot/owed-words';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { useOwed } from '@/features/shoot/use-owed';
import { localMinuteOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import type { DayLight, Seen } from './use-day-light';

const COLOUR_NAMES: Readonly<Record<LightColour['kind'], string>> = {
  sun: 'daylight',
  shade: 'cool shade',
  overcast: 'grey sky',
  twilight: 'blue hour',
  lamps: 'lamps: take a card shot',
};

/** "White balance: fix 5200 K so that frames match." */
export function colourInWords({ answer }: Seen): string {
  const { kind, warm, kelvin } = lightColour(answer.light);
  const name = warm ? 'warm low sun' : COLOUR_NAMES[kind];
  return `White balance: fix ${kelvin} K so that frames match (${name}).`;
}

/** Sun, twilight, shade and lamps in the order they come. */
export function Turnings({ light: { turned } }: { readonly light: DayLight }) {
  const { ribbon, clock } = useShown('ribbon', 'clock');
  const all = [
    ...ribbon.events.map(({ timeMs, name }) => ({ timeMs, text: name })),
    ...turned,
  ].sort((a, b) => a.timeMs - b.timeMs);
  return (
    <View role="list" aria-label="Sun during the shoot">
      {all.map(({ timeMs, text }) => (
        <View
          key={`${timeMs} ${text}`}
          role="listitem"
          className="flex-row justify-between border-b border-line py-2"
        >
          <Text ink="quiet" className="shrink">
            {text}
          </Text>
          <Text kind="strong">{clock(timeMs)}</Text>
        </View>
      ))}
      {all.length === 0 ? (
        <Text ink="quiet" role="listitem">
          No sunrise, sunset, twilight or change of light within these hours.
        </Text>
      ) : null}
    </View>
  );
}

/** When each promised shot comes to lack light, and what would save it. */
export function ShotsThrough() {
  const { clock } = useShown('clock');
  const { update } = useEdits();
  const owed = useOwed();
  if (owed.length === 0)
    return <Text ink="quiet">No shots are promised yet: add them in Brief.</Text>;
  return (
    <View role="list" aria-label="When each shot ends" className="gap-3">
      {owed.map((entry) => {
        const { shot, state, served } = entry;
        const worstMs = state.kind === 'light' ? worstOf(state.light) : undefined;
        return (
          <View key={shot.id} role="listitem" className="gap-1 border-b border-line pb-3">
            <Text kind="strong">{shot.name}</Text>
            <Text kind="small">
              {state.kind === 'light'
                ? `From ${served.position.name}. ${lightThroughInWords(state.light, clock)}`
                : `${owedInWords(entry, clock)}.`}
            </Text>
            {worstMs === undefined ? null : (
              <Button
                label={`See what saves it at ${clock(worstMs)}`}
                onPress={() =>
                  update((current) => ({
                    ...takenUp(current, served),
                    atLocal: localMinuteOf(worstMs, current.place.timeZone),
                  }))
                }
              />
            )}
          </View>
        );
      })}
    </View>
  );
}
