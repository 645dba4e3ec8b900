import { View } from 'react-native';
import { formatShutter, type ExposurePlan } from '@/core';
import { Dials, type Lever } from '@/features/shoot/Dials';
import {
  apertureRuleInWords,
  ISO_WORDS,
  shutterRuleInWords,
} from '@/features/shoot/exposure-words';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import type { View as Seen } from '@/answers/view';
import { ShutterScale, type ScaleMark } from '@/figures/ShutterScale';
import { Text } from '@/ui/Text';

/** Rules of thumb that people set running sport by. Common practice, no source. */
const RULES: readonly ScaleMark[] = [
  { text: '1/1000 rule', shutterS: 1 / 1000, computed: false },
  { text: '1/500 school', shutterS: 1 / 500, computed: false },
  { text: '1/1600 track', shutterS: 1 / 1600, computed: false },
];

/** What each part of the subject needs, the hands, and the rules. */
export function scaleMarks(view: Seen): readonly ScaleMark[] {
  return [
    ...view.freeze.parts.map(({ part, shutterS }) => ({ text: part, shutterS, computed: true })),
    { text: 'hands', shutterS: view.shakeS, computed: true },
    ...RULES,
  ];
}

/** The three dials: push one and the others answer. */
export function Levers({
  view,
  exposure,
}: {
  readonly view: Seen;
  readonly exposure: ExposurePlan;
}) {
  const plan = useShown('setup');
  const { update } = useEdits();
  const { held } = plan.setup.choice;
  const { settings } = exposure;
  const hold = (lever: Lever, value: number) =>
    update(
      (current) => ({
        ...current,
        choice: { ...current.choice, held: { ...current.choice.held, [lever]: value } },
      }),
      `hold ${lever}`,
    );
  const free: Readonly<Record<Lever, string>> = {
    shutterS: shutterRuleInWords(view, exposure),
    aperture: apertureRuleInWords(exposure),
    iso: ISO_WORDS[exposure.noise.level],
  };
  return (
    <View role="group" aria-label="Dials" className="gap-1">
      <Dials
        {...{ view, settings }}
        noteOf={(lever) =>
          held[lever] === undefined ? `automatic: ${free[lever]}` : 'held by you'
        }
        onTurn={hold}
      />
      {Object.keys(held).length > 0 ? null : (
        <Text kind="small" ink="quiet">
          Turn a dial and it stays; the others answer.
        </Text>
      )}
    </View>
  );
}

/** The shutter's scale, with words for those who can't see it. */
export function ShutterRules({
  view,
  shutterS,
  widthPx,
}: {
  readonly view: Seen;
  readonly shutterS: number;
  readonly widthPx: number;
}) {
  const marks = scaleMarks(view);
  const computed = marks.filter((mark) => mark.computed);
  return (
    <ShutterScale
      shutterS={shutterS}
      marks={marks}
      widthPx={widthPx}
      label={`Shutter at ${formatShutter(shutterS)}. ${computed
        .map(({ text, shutterS: asked }) => `${text} needs ${formatShutter(asked)}`)
        .join(', ')}. Rules of thumb: ${RULES.map(({ text }) => text).join(', ')}.`}
    />
  );
}
