import { useMemo } from 'react';
import { View } from 'react-native';
import {
  backdropVerdict,
  BACKDROP_DETAIL_M,
  type ExposurePlan,
  type IsoLandmarks,
  type School,
} from '@/core';
import { mostMoved } from '@/answers/pictured';
import { sceneThrough } from '@/answers/through-lens';
import { settingsInWords } from '@/features/shoot/exposure-words';
import { sizeIn } from '@/figures/frame/size';
import { SmallFrame } from '@/figures/frame/SmallFrame';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import type { Plan } from '@/features/shoot/use-plan';
import { engraved, gradeInWords, smallLength, stops } from '@/features/shoot/words';
import { DepthDrawn } from '@/figures/DepthDrawn';
import { NoiseScale } from '@/figures/NoiseScale';
import { Choice } from '@/ui/Choice';
import { Slider } from '@/ui/Slider';
import { Heading, Text } from '@/ui/Text';
import { useWidth } from '@/ui/use-width';
import { ShutterRules } from './Levers';
import { OwnFloor } from './OwnFloor';

type Seen = Extract<Plan['seen'], { ok: true }>;

const SCHOOLS: readonly { readonly value: School; readonly label: string; readonly why: string }[] =
  [
    {
      value: 'motion',
      label: 'Motion first',
      why: 'Light in hand goes to a faster shutter before anything; the lift comes last.',
    },
    {
      value: 'balanced',
      label: 'Balanced',
      why: 'ISO rises as far as you would use, then the frame is lifted, then the shutter gives.',
    },
    {
      value: 'quality',
      label: 'Quality first',
      why: 'Light in hand lowers ISO; short of it the shutter gives a stop before any lift.',
    },
  ];

/** What the dials rest on: the shutter's scale, depth, grain, and what the schools would set. */
export function ReasonsTab({ seen }: { readonly seen: Seen }) {
  const plan = useShown('setup');
  const { widthPx, onLayout } = useWidth('reasons', 300);
  const { view, answer } = seen;
  const { exposure } = answer;
  return (
    <View className="gap-5" onLayout={onLayout}>
      <Schools choice={plan.setup.choice} />
      <SideBySide view={view} answer={answer} widthPx={widthPx} />
      <View className="gap-1">
        <Heading level={2} kind="figure">
          The shutter’s scale
        </Heading>
        <ShutterRules view={view} shutterS={exposure.settings.shutterS} widthPx={widthPx} />
        <Text kind="tiny" ink="quiet">
          Over the line what each part asks to be crisp, or slightly soft in a limb, before a camera
          that stands still; under it rules of thumb.
        </Text>
        <OwnFloor view={view} />
      </View>
      <Depth seen={seen} widthPx={widthPx} />
      <View className="gap-1">
        <Heading level={2} kind="figure">
          Grain
        </Heading>
        <NoiseScale
          iso={exposure.settings.iso}
          landmarks={view.body.iso}
          widthPx={widthPx}
          label={noiseInWords(exposure, view.body.iso)}
        />
        <Text kind="small">{noiseInWords(exposure, view.body.iso)}</Text>
      </View>
    </View>
  );
}

const LEVELS = {
  base: 'as clean as it gets',
  good: 'clean',
  usable: 'grain to see, yours to use',
  last: 'more grain than you would choose',
  beyond: 'beyond this body',
} as const;

function noiseInWords({ settings, noise }: ExposurePlan, { usable }: IsoLandmarks): string {
  return `${engraved(settings).iso}: ${LEVELS[noise.level]}, ${stops(noise.stopsAboveBase)} above base; you use up to ISO ${usable}.`;
}

/** Depth on the subject, and what becomes of the background. */
function Depth({ seen, widthPx }: { readonly seen: Seen; readonly widthPx: number }) {
  const { along } = useShown('along');
  const { view, answer } = seen;
  const { depth, settings } = answer.exposure;
  if (!depth) return null;
  const { distanceM } = view.sight;
  const backM = along?.back?.distanceM;
  const verdict =
    along?.back && backM !== undefined && backM > distanceM
      ? {
          ...backdropVerdict({
            focalMm: view.focalMm,
            aperture: settings.aperture,
            subjectM: distanceM,
            backgroundM: backM,
            detailM: BACKDROP_DETAIL_M[along.back.obstacle.detail],
          }),
          name: along.back.obstacle.name,
        }
      : undefined;
  const whole = smallLength(depth.farM - depth.nearM);
  const looks = verdict
    ? { washed: 'washed out', soft: 'soft', readable: 'can be read' }[verdict.look]
    : '';
  const words = `${whole} sharp, ${smallLength(view.subject.depthM)} of it needed`;
  const behind = verdict ? `${verdict.name}: ${looks}` : '';
  return (
    <View className="gap-1">
      <Heading level={2} kind="figure">
        Depth and background
      </Heading>
      <DepthDrawn
        nearM={distanceM - depth.nearM}
        farM={depth.farM - distanceM}
        subjectM={view.subject.depthM}
        words={words}
        backdrop={verdict && { discMm: verdict.discMm, detailMm: verdict.detailMm, words: behind }}
        widthPx={widthPx}
        label={`Depth of field: ${words}. ${behind}`}
      />
      <Text kind="tiny" ink="quiet">
        {verdict
          ? 'The tinted disc is a point of the background as the lens blurs it; the square, one of its details.'
          : 'Nothing solid is known behind the subject: the background is sky or far off, and blurs as far as it can.'}
      </Text>
    </View>
  );
}

function Schools({ choice }: { readonly choice: Plan['setup']['choice'] }) {
  const { update } = useEdits();
  return (
    <View className="gap-3">
      <View className="gap-1">
        <Choice
          label="When there is not light enough"
          value={choice.school}
          options={SCHOOLS}
          onChange={(school) =>
            update((current) => ({ ...current, choice: { ...current.choice, school } }))
          }
        />
        <Text kind="small" ink="quiet">
          {SCHOOLS.find(({ value }) => value === choice.school)?.why}
        </Text>
      </View>
      <Slider
        label="Lift afterwards, at most"
        value={choice.liftStops}
        min={0}
        max={2}
        step={0.5}
        bigStep={1}
        valueText={stops(choice.liftStops)}
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
    </View>
  );
}

const COLUMN_GAP_PX = 8;

/** The three schools side by side: what each sets, and what it gives up. */
function SideBySide({
  view,
  answer,
  widthPx,
}: Pick<Seen, 'view' | 'answer'> & { readonly widthPx: number }) {
  const { setup, atMs } = useShown('setup', 'atMs');
  const { exposure } = answer;
  const scenes = useMemo(
    () =>
      new Map(
        [answer.exposure, ...answer.exposure.alternatives].map(({ school, settings }) => [
          school,
          sceneThrough(setup, view, answer, { settings, atMs }),
        ]),
      ),
    [setup, view, answer, atMs],
  );
  const size = sizeIn(view.orientation, (widthPx - 2 * COLUMN_GAP_PX) / 3);
  const plans = SCHOOLS.map(({ value, label }) => ({
    label,
    scene: scenes.get(value),
    chosen: value === exposure.school,
    plan:
      value === exposure.school
        ? exposure
        : exposure.alternatives.find(({ school }) => school === value),
  }));
  return (
    <View className="gap-2">
      <Heading level={2} kind="figure">
        The schools side by side
      </Heading>
      <View role="list" aria-label="The schools side by side" className="flex-row gap-2">
        {plans.map(({ label, chosen, plan, scene }) =>
          plan ? (
            <View
              key={label}
              role="listitem"
              className={`min-w-0 flex-1 border-t-2 pt-1 ${chosen ? 'border-signal' : 'border-line'}`}
            >
              {scene ? (
                <SmallFrame
                  scene={scene}
                  label={`${label}: ${settingsInWords(plan.settings)}`}
                  {...size}
                />
              ) : null}
              <Text kind="label">{label}</Text>
              {Object.values(engraved(plan.settings)).map((text) => (
                <Text key={text} kind="figure">
                  {text.replace('ISO ', '')}
                </Text>
              ))}
              <Text kind="small" ink="quiet">
                {schoolInWords(plan)}
              </Text>
            </View>
          ) : null,
        )}
      </View>
    </View>
  );
}

function schoolInWords(plan: ExposurePlan): string {
  const { settings, noise } = plan;
  const most = mostMoved(plan);
  const motion = most
    ? `${most.part} ${most.deliveredPx.toFixed(1)} px, ${gradeInWords(most.grade)}`
    : '';
  const lift = settings.liftStops > 0.05 ? `; lifted ${stops(settings.liftStops)}` : '';
  return `ISO ${LEVELS[noise.level]}; ${motion}${lift}`;
}
