import { Link } from 'expo-router';
import { Pressable } from 'react-native';
import type { MatchedFrame } from '@/answers/matched';
import { useShown } from '@/features/shoot/open-shoot';
import { inALine } from '@/records/day-said';
import { Text } from '@/ui/Text';
import { isAsFound } from './clock-words';
import { useClocks } from './use-clocks';

/** Says where what is shown rests on a clock that nobody checked, or that looks wrong; and leads to it. */
export function ClockNotice({ frames }: { readonly frames: readonly MatchedFrame[] }) {
  const { shoot } = useShown('shoot');
  const { data: found } = useClocks(shoot);
  const cameras = [...new Set(frames.map(({ frame }) => frame.camera))].filter((camera) => {
    const set = shoot.log.clocks.filter(({ name }) => name === camera);
    const fit = found?.find((one) => one.camera === camera);
    return fit ? !isAsFound(set, fit.pieces) : set.length === 0;
  });
  if (!found || cameras.length === 0) return null;
  const named = inALine(cameras.map((camera) => camera || 'the camera'));
  return (
    <>
      <Text role="note">
        {`What stands here rests on when pictures were taken. Not set right yet: the clock of ${named}.`}
      </Text>
      <Link href={`/shoot/${shoot.id}/log`} replace asChild>
        <Pressable role="link" className="min-h-touch justify-center self-start">
          <Text kind="strong" className="underline">
            Set the clock in Pictures
          </Text>
        </Pressable>
      </Link>
    </>
  );
}
