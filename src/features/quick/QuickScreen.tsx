import { useRouter } from 'expo-router';
import Head from 'expo-router/head';
import { useMemo, useState, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import { Extras, Fact } from '@/features/shoot/AnswerPanel';
import { BACK_TO_AUTOMATIC, Ways } from '@/features/shoot/WaysOut';
import { engraved, metres, troubleInWords } from '@/features/shoot/words';
import { NO_OUTLOOK } from '@/answers/answer';
import { settingsInWords, shutterReason, stopsSentence } from '@/features/shoot/exposure-words';
import { depthInWords, notesOf, overfilledInWords } from '@/features/shoot/frame-notes';
import { backgroundInWords } from '@/features/ground/figures';
import { frameInWords, FrameRoom, NotDrawn } from '@/features/shoot/ThroughLens';
import { LensFrame } from '@/figures/frame/LensFrame';
import { ExposureDrawn } from '@/features/shoot/MotionAndBudget';
import type { Quick } from '@/records/quick';
import { QUICK } from '@/records/singles';
import { useSingle } from '@/records/use-single';
import { Button, IconButton } from '@/ui/Button';
import { Exposure } from '@/ui/Exposure';
import { SchemeButton } from '@/ui/SchemeButton';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useUnits } from '@/ui/units';
import { useShape } from '@/ui/use-shape';
import { ShootSheet } from './ShootSheet';
import { quickAnswer, quickScene, type QuickResult } from './quick';
import { QuickFields } from './QuickFields';
import { QuickRows, rowInWords } from './QuickRows';
import { changesMost } from './rows';
import { TwoKits } from './TwoKits';

/** Settings from subject, distance, lens and light: an answer without a ground. */
export function QuickScreen() {
  const router = useRouter();
  const inks = useInks();
  const { record: quick, change } = useSingle(QUICK);
  const { units } = useUnits();
  return (
    <View className="flex-1 bg-paper">
      <Head>
        <title>Quick answer · Bright Perch</title>
      </Head>
      <View role="banner" className="flex-row items-center border-b border-ink">
        <IconButton label="All shoots" onPress={() => router.navigate('/')}>
          <ArrowLeft color={inks.ink} size={24} />
        </IconButton>
        <Heading level={1} kind="figure" className="grow">
          Quick answer
        </Heading>
        <SchemeButton />
      </View>
      {quick ? <Page key={units} quick={quick} onChange={change} /> : null}
    </View>
  );
}

interface PageProps {
  readonly quick: Quick;
  readonly onChange: (how: (quick: Quick) => Quick) => void;
}

/** Answer above, questions below; beside each other where there is room. */
function Page({ quick, onChange }: PageProps) {
  const [making, setMaking] = useState(false);
  const beside = useShape() !== 'upright';
  const result = useMemo(() => quickAnswer(quick), [quick]);
  const fields = <QuickFields quick={quick} onChange={onChange} />;
  const drawn = result.ok ? (
    <ExposureDrawn view={result.view} exposure={result.exposure} ev={result.ev.expected} />
  ) : null;
  const two = <TwoKits quick={quick} onChange={onChange} />;
  const look = result.ok ? <Look quick={quick} result={result} /> : null;
  const make = <Button label="Make a shoot of it" onPress={() => setMaking(true)} />;
  return (
    <View role="main" className="flex-1">
      {beside ? (
        <View className="flex-1 flex-row">
          <Column>
            <QuickRows quick={quick} onChange={onChange} />
            {fields}
          </Column>
          <Column>
            <QuickAnswer quick={quick} result={result} onChange={onChange} />
            {look}
            {two}
            {drawn}
            {make}
          </Column>
        </View>
      ) : (
        <>
          <View className="border-b border-ink px-4 py-2">
            <QuickAnswer quick={quick} result={result} onChange={onChange} />
          </View>
          <ScrollView contentContainerClassName="gap-4 p-4 pb-10">
            {look}
            {two}
            {fields}
            {drawn}
            {make}
          </ScrollView>
          <QuickRows quick={quick} onChange={onChange} />
        </>
      )}
      {making ? <ShootSheet quick={quick} onClose={() => setMaking(false)} /> : null}
    </View>
  );
}

/** The picture over a blank ground, taken up and put away. */
function Look({
  quick,
  result,
}: {
  readonly quick: Quick;
  readonly result: Extract<QuickResult, { ok: true }>;
}) {
  const [open, setOpen] = useState(false);
  const scene = useMemo(() => quickScene(quick, result), [quick, result]);
  const { view, exposure } = result;
  return (
    <View className="gap-2">
      <Button
        label={open ? 'Put the lens away' : 'Look through the lens'}
        onPress={() => setOpen(!open)}
      />
      {open ? (
        <>
          <View className={view.orientation === 'level' ? 'aspect-[3/2]' : 'aspect-[2/3]'}>
            <FrameRoom orientation={view.orientation}>
              {(size) => (
                <LensFrame
                  scene={scene}
                  label={frameInWords(view, exposure)}
                  {...size}
                  instead={(why) => <NotDrawn why={why} />}
                />
              )}
            </FrameRoom>
          </View>
          <Text kind="small" ink="quiet">
            Light is told by its amount alone: here it comes from everywhere.
          </Text>
        </>
      ) : null}
    </View>
  );
}

function Column({ children }: { readonly children: ReactNode }) {
  return (
    <ScrollView
      tabIndex={0}
      className="flex-1 border-r border-line"
      contentContainerClassName="mx-auto w-full max-w-[560px] gap-5 p-6"
    >
      {children}
    </ScrollView>
  );
}

function QuickAnswer({ quick, result, onChange }: PageProps & { readonly result: QuickResult }) {
  if (!result.ok) {
    return (
      <View role="alert" className="gap-1">
        <Text kind="title">No answer so near</Text>
        <Text>{troubleInWords(result.trouble)}</Text>
      </View>
    );
  }
  const { view, exposure, ev } = result;
  const { settings, depth } = exposure;
  const isHeld = Object.keys(quick.held).length > 0;
  const now = { clock: () => '', atMs: 0, usableIso: view.body.iso.usable, held: isHeld };
  const background = {
    obstacle: {
      name: 'Background',
      detail: 'leaf' as const,
      colour: 'leaf' as const,
      footprint: [],
      heightM: 1,
    },
    distanceM: view.sight.distanceM + quick.behindM,
    behindSubjectM: quick.behindM,
  };
  return (
    <View role="region" aria-label="Answer" className="gap-2">
      <Exposure {...engraved(settings)} />
      <Extras settings={settings} />
      <Text kind="strong" aria-live="polite">
        {stopsSentence(exposure, NO_OUTLOOK, now)}
      </Text>
      <Ways
        view={view}
        plan={exposure}
        onTake={({ hold, filterStops }) =>
          onChange((before) =>
            filterStops === undefined ? { ...before, held: hold } : { ...before, filterStops },
          )
        }
      />
      {isHeld ? (
        <Button
          label={BACK_TO_AUTOMATIC}
          onPress={() => onChange((before) => ({ ...before, held: {} }))}
        />
      ) : null}
      <Text kind="small">
        {[overfilledInWords(view), shutterReason(view, exposure), ...notesOf(view, exposure)]
          .filter(Boolean)
          .join(' ')}
      </Text>
      <MostBy quick={quick} onChange={onChange} />
      <View className="flex-row gap-3 border-t border-line pt-2">
        <Fact
          name="Frame fill"
          value={`${Math.round(view.fill * 100)} %`}
          why={`${Math.round(view.pixels)} px`}
        />
        <Fact
          name="Distance"
          value={metres(view.sight.distanceM)}
          why={`at ${Math.round(view.focalMm)} mm`}
        />
        <Fact
          name="On the face"
          value={`EV ${ev.expected.toFixed(1)}`}
          why={`${ev.low.toFixed(1)} to ${ev.high.toFixed(1)}`}
        />
      </View>
      <Text kind="small" ink="quiet">
        {`${backgroundInWords(view, settings.aperture, background)}.${
          depth ? ` Sharp: ${depthInWords(depth)}.` : ''
        }`}
      </Text>
    </View>
  );
}

/** The one click that would move the dials most, as a button. */
function MostBy({ quick, onChange }: PageProps) {
  const most = useMemo(() => changesMost(quick), [quick]);
  if (!most) return null;
  return (
    <View className="gap-1">
      <Text kind="tiny" ink="quiet">
        What would change it most
      </Text>
      <Button
        label={`${rowInWords(most.quick, most.row)}: ${settingsInWords(most.settings)}`}
        onPress={() => onChange(() => most.quick)}
      />
    </View>
  );
}
