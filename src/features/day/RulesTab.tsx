import { View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import type { DayPlan } from '@/records/day';
import { Slider } from '@/ui/Slider';
import { Heading, Text } from '@/ui/Text';
import { written } from '@/ui/units';
import { WhoShoots } from './WhoShoots';
import { CallSteppers } from './CallSteppers';

/** By what the day is planned: who shoots, calls and walking. */
export function RulesTab() {
  const plan = useShown('shoot');
  const { update } = useEdits();
  const { day } = plan.shoot;
  const set = (how: (day: DayPlan) => DayPlan, step: string) =>
    update((current) => ({ ...current, day: how(current.day) }), step);
  return (
    <View className="gap-5">
      <WhoShoots />
      <View className="gap-2">
        <Heading level={2} kind="figure">
          Calls
        </Heading>
        <Text kind="small" ink="quiet">
          Minutes before the start, for events that have none of their own. If you move, be there by
          the second call; if you stay where the last event was shot, be ready by the start.
        </Text>
        <CallSteppers
          calls={day.calls}
          onStep={(key, clicks) =>
            set(
              (now) => ({ ...now, calls: { ...now.calls, [key]: now.calls[key] + clicks } }),
              `calls ${key}`,
            )
          }
        />
      </View>
      <View className="gap-2">
        <Heading level={2} kind="figure">
          On foot
        </Heading>
        <Slider
          label="You walk, kit and all"
          value={day.walkSpeedMs}
          min={0.4}
          max={2.4}
          step={0.1}
          bigStep={0.4}
          valueText={written(day.walkSpeedMs, 'm/s', 1)}
          onChange={(next) =>
            set(
              (now) => ({ ...now, walkSpeedMs: Math.round(next(now.walkSpeedMs) * 10) / 10 }),
              'walk',
            )
          }
        />
        <Text kind="small" ink="quiet">
          Straight between positions: where there is water or a fence between, walk slower here.
        </Text>
      </View>
    </View>
  );
}
