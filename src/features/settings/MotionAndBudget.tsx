import { useState } from 'react';
import { View } from 'react-native';
import { type ExposurePlan } from '@/core';
import { SmearRuler } from '@/figures/SmearRuler';
import { StopBudget, type BudgetBar } from '@/figures/StopBudget';
import { useShootPage } from '@/features/plan/ShootContext';
import { engraved, gradeInWords } from '@/features/plan/words';
import { Heading, Text } from '@/ui/Text';

const LEVER_NAMES = {
  shutter: 'shutter',
  aperture: 'aperture',
  iso: 'ISO',
  lift: 'lift afterwards',
} as const;

const ISO_WORDS: Readonly<Record<string, string>> = {
  base: 'the cleanest',
  good: 'clean',
  usable: 'grain to see',
  last: 'more grain than you would choose',
};

function bars(ev: number, plan: ExposurePlan): BudgetBar[] {
  const dialled = engraved(plan.settings);
  const ruler = (lever: string) => plan.budget.find((line) => line.lever === lever)?.ruledBy ?? '';
  const notes = {
    shutter: `${dialled.shutter}, ruled by ${ruler('shutter')}`,
    aperture: `${dialled.aperture}, ${ruler('aperture')}`,
    iso: `${dialled.iso}, ${ISO_WORDS[ruler('iso')] ?? ''}`,
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

/** What a shoot's answer moves and spends. */
export function MotionAndBudget() {
  const { seen } = useShootPage().plan;
  if (!seen.ok) return null;
  const { exposure, light } = seen.answer;
  return <ExposureDrawn exposure={exposure} ev={light.ev.expected} />;
}

/** How far each part moves in the picture, and how the stops are spent. */
export function ExposureDrawn({
  exposure,
  ev,
}: {
  readonly exposure: ExposurePlan;
  readonly ev: number;
}) {
  const [widthPx, setWidthPx] = useState(300);
  return (
    <View className="gap-5" onLayout={({ nativeEvent }) => setWidthPx(nativeEvent.layout.width)}>
      <View className="gap-2">
        <Heading level={2} kind="figure">
          How far each part moves
        </Heading>
        <SmearRuler
          smear={exposure.smear ?? []}
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
        <StopBudget bars={bars(ev, exposure)} widthPx={widthPx} />
      </View>
    </View>
  );
}
