import { View } from 'react-native';
import { Exposure } from '@/ui/Exposure';
import { Text } from '@/ui/Text';

/** Shutter, aperture and ISO in one line, and how long they hold. */
export function AnswerRow({
  exposure,
  until: [now, then],
}: {
  /** As engraved. */
  readonly exposure: {
    readonly shutter: string;
    readonly aperture: string;
    readonly iso: string;
  };
  readonly until: readonly [string, string];
}) {
  return (
    <>
      <View className="min-w-[56%] shrink grow">
        <Exposure {...exposure} largestPx={25} />
      </View>
      <View className="min-w-0 shrink grow-0 basis-[40%]">
        <Text kind="small" className="text-right">
          {now}
        </Text>
        {then ? (
          <Text kind="tiny" ink="quiet" className="text-right">
            {then}
          </Text>
        ) : null}
      </View>
    </>
  );
}
