import { memo, useMemo } from 'react';
import { View } from 'react-native';
import { TimeRibbon, type RibbonStay } from '@/figures/TimeRibbon';
import { atMsOf, localMinuteOf } from '@/records/times';
import { Text } from '@/ui/Text';
import { useEdits, useLooked, useShown } from './open-shoot';

/** The hours of the shoot as a ribbon, whose hand moves the minute that everything is looked at. */
export const TimeFoot = memo(function TimeFoot({
  stays,
}: {
  /** Where one is through the day. */
  readonly stays?: readonly RibbonStay[];
}) {
  const plan = useShown('lightTrouble', 'ribbon');
  const { update, hold } = useEdits();
  const { lightTrouble } = plan;
  const ribbon = useMemo(
    () => (stays ? { ...plan.ribbon, stays } : plan.ribbon),
    [plan.ribbon, stays],
  );
  const { atMs, hours, clock } = useLooked('atMs', 'hours', 'clock');
  return (
    <View
      role="region"
      aria-label="Hours of the shoot"
      className="border-t border-line bg-paper px-2"
    >
      {lightTrouble ? (
        <Text kind="small" role="alert">
          The ribbon is blank: {lightTrouble}. The answer above still holds.
        </Text>
      ) : null}
      <TimeRibbon
        ribbon={ribbon}
        atMs={atMs}
        clock={clock}
        onHold={hold}
        onChange={(next) =>
          update((current) => ({
            ...current,
            atLocal: localMinuteOf(next(atMsOf(current, hours)), current.place.timeZone),
          }))
        }
      />
    </View>
  );
});
