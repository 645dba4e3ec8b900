import { useMemo } from 'react';
import { View } from 'react-native';
import { throughHours } from '@/answers/pictured';
import { settingsInWords } from '@/features/shoot/exposure-words';
import { FrameStrip } from '@/features/shoot/FrameStrip';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { lightInWords } from '@/features/shoot/words';
import { localMinuteOf } from '@/records/times';
import { Text } from '@/ui/Text';

/** So many pictures from the first minute to the last. */
const FRAMES = 9;

/** The picture from here through the hours, each with what the dials would then be; a press goes to its minute. */
export function HourFrames() {
  const { setup, hours, clock, atMs } = useShown('setup', 'hours', 'clock', 'atMs');
  const { update } = useEdits();
  const frames = useMemo(() => throughHours(setup, hours, FRAMES), [setup, hours]);
  const nearest = [...frames].sort((a, b) => Math.abs(a.atMs - atMs) - Math.abs(b.atMs - atMs))[0];
  return (
    <View className="gap-3">
      <FrameStrip
        label="The picture through the hours"
        wraps
        frames={frames.map((then) => ({
          id: String(then.atMs),
          picture: then,
          name: clock(then.atMs),
          said: `${lightInWords(then.answer)} · ${settingsInWords(then.answer.exposure.settings)}`,
          chosen: then === nearest,
          onPress: () =>
            update((current) => ({
              ...current,
              atLocal: localMinuteOf(then.atMs, current.place.timeZone),
            })),
        }))}
      />
      <Text kind="small" ink="quiet">
        Press one to look at its minute.
      </Text>
    </View>
  );
}
