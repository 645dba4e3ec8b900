import { View } from 'react-native';
import { type ExposurePlan } from '@/core';
import { SmearRuler } from '@/figures/SmearRuler';
import { StopBudget, type BudgetBar } from '@/figures/StopBudget';
import { useShown } from '@/features/shoot/open-shoot';
import {
  apertureRuleInWords,
  filterInWords,
  ISO_WORDS,
  shutterRuleInWords,
} from '@/features/shoot/exposure-words';
import type { View as Seen } from '@/answers/view';
import { engraved, gradeInWords } from '@/features/shoot/words';
import { Heading, Text } from '@/ui/Text';
import { useWidth } from '@/ui/use-width';

const LEVER_NAMES = {
  shutter: 'shutter',
  aperture: 'aperture',
  iso: 'ISO',
  lift: 'lift afterwards',
} as const;

function bars(view: Seen, ev: number, plan: ExposurePlan): BudgetBar[] {
  const dialled = engraved(plan.settings);
  const notes = {
    shutter: `${dialled.shutter}, ${shutterRuleInWords(view, plan)}`,
    aperture: `${dialled.aperture}, ${apertureRuleInWords(plan)}`,
    iso: `${dialled.iso}, ${ISO_WORDS[plan.noise.level]}`,
    lift: 'in the raw file',
  };
  const { filterStops = 0 } = plan.settings;
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
    ...(filterStops > 0
      ? [{ name: 'filter', stops: filterStops, note: filterInWords(filterStops), gives: false }]
      : []),
  ];
}

/** What a shoot's answer moves and spends. */
export function MotionAndBudget() {
  const { seen } = useShown('seen');
  if (!seen.ok) return null;
  const { exposure, light } = seen.answer;
  return <ExposureDrawn view={seen.view} exposure={exposure} ev={light.ev.expected} />;
}

/** How far each part moves in the picture, and how the stops are spent. */
export function ExposureDrawn({
  view,
  exposure,
  ev,
}: {
  readonly view: Seen;
  readonly exposure: ExposurePlan;
  readonly ev: number;
}) {
  const { widthPx, onLayout } = useWidth('motion', 300);
  return (
    <View className="gap-5" onLayout={onLayout}>
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
        <StopBudget bars={bars(view, ev, exposure)} widthPx={widthPx} />
      </View>
    </View>
  );
}
