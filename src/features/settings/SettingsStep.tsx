import { View } from 'react-native';
import { type ExposurePlan, type School } from '@/core';
import { useShootPage } from '@/features/plan/ShootContext';
import { engraved, gradeInWords, stops } from '@/features/plan/words';
import { Choice } from '@/ui/Choice';
import { Exposure } from '@/ui/Exposure';
import { Slider } from '@/ui/Slider';
import { Heading, Text } from '@/ui/Text';
import { useIsWide } from '@/ui/use-is-wide';
import { MotionAndBudget } from './MotionAndBudget';

const SCHOOLS: readonly { readonly value: School; readonly label: string; readonly why: string }[] =
  [
    {
      value: 'motion',
      label: 'Motion first',
      why: 'The shutter holds; ISO rises as far as the body goes.',
    },
    {
      value: 'balanced',
      label: 'Balanced',
      why: 'ISO rises as far as you would use, then the frame is lifted afterwards.',
    },
    {
      value: 'quality',
      label: 'Quality first',
      why: 'ISO stays clean; the shutter gives up to one stop first.',
    },
  ];

/** How the stops are spent, what moves how far, and what the other schools would set. */
export function SettingsStep() {
  const { plan, update } = useShootPage();
  const { shoot, seen } = plan;
  const wide = useIsWide();
  if (!seen.ok) return <Text>{seen.problem}</Text>;
  const { answer } = seen;
  const choose = (choice: Partial<typeof shoot.choice>) =>
    update((current) => ({ ...current, choice: { ...current.choice, ...choice } }));
  return (
    <View className="gap-4">
      <View className="gap-1">
        <Choice
          label="When there is not light enough"
          value={shoot.choice.school}
          options={SCHOOLS}
          onChange={(school) => choose({ school })}
        />
        <Text kind="small" ink="quiet">
          {SCHOOLS.find(({ value }) => value === shoot.choice.school)?.why}
        </Text>
      </View>
      <Slider
        label="Lift afterwards, at most"
        value={shoot.choice.liftStops}
        min={0}
        max={2}
        step={0.5}
        bigStep={1}
        valueText={stops(shoot.choice.liftStops)}
        onChange={(next) =>
          update(
            (current) => ({
              ...current,
              choice: { ...current.choice, liftStops: next(current.choice.liftStops) },
            }),
            'lift',
          )
        }
      />
      {wide ? null : <MotionAndBudget />}
      <View className="gap-3">
        <Heading level={2} kind="figure">
          Other schools would set
        </Heading>
        {answer.exposure.alternatives.map((other) => (
          <View key={other.school} className="border-b border-line pb-2">
            <Text kind="label">{SCHOOLS.find(({ value }) => value === other.school)?.label}</Text>
            <Exposure {...engraved(other.settings)} largestPx={24} />
            <Text kind="small" ink="quiet">
              {otherInWords(other)}
            </Text>
          </View>
        ))}
      </View>
    </View>
  );
}

function otherInWords({ smear = [], settings, noise }: ExposurePlan): string {
  const most = [...smear].sort((a, b) => b.deliveredPx - a.deliveredPx)[0];
  const motion = most
    ? `${most.part} moves ${most.deliveredPx.toFixed(1)} px, ${gradeInWords(most.grade)}`
    : '';
  const lift = settings.liftStops > 0.05 ? `, lifted ${stops(settings.liftStops)}` : '';
  return `${motion}; ${stops(noise.stopsAboveBase)} above base ISO${lift}.`;
}
