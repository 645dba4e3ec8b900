import { useState } from 'react';
import { View } from 'react-native';
import { type ExposurePlan, type School } from '@/core';
import { SmearRuler } from '@/figures/SmearRuler';
import { StopBudget, type BudgetBar } from '@/figures/StopBudget';
import { engraved } from '@/features/plan/AnswerPanel';
import { useShootPage } from '@/features/plan/ShootContext';
import { gradeInWords, stops } from '@/features/plan/words';
import { Choice } from '@/ui/Choice';
import { Exposure } from '@/ui/Exposure';
import { Slider } from '@/ui/Slider';
import { Heading, Text } from '@/ui/Text';

const SCHOOLS: readonly { readonly value: School; readonly label: string; readonly why: string }[] = [
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

const LEVER_NAMES = {
  shutter: 'shutter',
  aperture: 'aperture',
  iso: 'ISO',
  lift: 'lift afterwards',
} as const;

function bars(ev: number, plan: ExposurePlan): BudgetBar[] {
  const dialled = engraved(plan.settings);
  const notes = {
    shutter: `${dialled.shutter}, ruled by ${ruler(plan, 'shutter')}`,
    aperture: `${dialled.aperture}, ${ruler(plan, 'aperture')}`,
    iso: `${dialled.iso}, ${ruler(plan, 'iso')}`,
    lift: 'in the raw file',
  };
  return [
    { name: 'light on the face', stops: ev, note: `EV ${ev.toFixed(1)}`, gives: true },
    ...plan.budget
      .filter(({ lever, stops: value }) => lever !== 'lift' || value > 0.05)
      .map(({ lever, stops: value }) => ({
        name: LEVER_NAMES[lever],
        stops: value,
        note: notes[lever],
        gives: lever === 'iso' || lever === 'lift',
      })),
  ];
}

const ISO_WORDS: Readonly<Record<string, string>> = {
  base: 'the cleanest',
  good: 'clean',
  usable: 'grain to see',
  last: 'more grain than you would choose',
};

function ruler(plan: ExposurePlan, lever: 'shutter' | 'aperture' | 'iso'): string {
  const ruledBy = plan.budget.find((line) => line.lever === lever)?.ruledBy ?? '';
  return lever === 'iso' ? (ISO_WORDS[ruledBy] ?? ruledBy) : ruledBy;
}

/** How the stops are spent, what moves how far, and what the other schools would set. */
export function SettingsStep() {
  const { plan, update } = useShootPage();
  const { shoot, seen } = plan;
  const [widthPx, setWidthPx] = useState(300);
  if (!seen.ok) return <Text>{seen.problem}</Text>;
  const { answer } = seen;
  const choose = (choice: Partial<typeof shoot.choice>) =>
    update((current) => ({ ...current, choice: { ...current.choice, ...choice } }));
  return (
    <View
      className="gap-4"
      onLayout={({ nativeEvent }) => setWidthPx(nativeEvent.layout.width)}
    >
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
        onChange={(liftStops) => choose({ liftStops })}
      />
      <View className="gap-2">
        <Heading level={2} kind="figure">
          How far each part moves
        </Heading>
        <SmearRuler
          smear={answer.exposure.smear ?? []}
          widthPx={widthPx}
          gradeWord={({ grade }) => gradeInWords(grade)}
        />
        <Text kind="tiny" ink="quiet">
          In a picture 2048 px wide. Lines: still, crisp, slightly soft.
        </Text>
      </View>
      <View className="gap-2">
        <Heading level={2} kind="figure">
          Where the stops go
        </Heading>
        <StopBudget bars={bars(answer.light.ev.expected, answer.exposure)} widthPx={widthPx} />
      </View>
      <View className="gap-3">
        <Heading level={2} kind="figure">
          Other schools would set
        </Heading>
        {answer.exposure.alternatives.map((other) => (
          <View key={other.school} className="border-b border-line pb-2">
            <Text kind="label">{SCHOOLS.find(({ value }) => value === other.school)?.label}</Text>
            <Exposure {...engraved(other.settings)} size="small" />
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

