import { Navigator, Slot, useGlobalSearchParams, usePathname, useRouter } from 'expo-router';
import Head from 'expo-router/head';
import { lazy, memo, Suspense, useMemo, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { ScrollView, View } from 'react-native';
import { TimeRibbon, type Ribbon as RibbonOf } from '@/figures/TimeRibbon';
import { demoShoots } from '@/features/root/seed';
import { useShoot } from '@/records/queries';
import type { Shoot } from '@/records/shoot';
import { atMsOf, localMinuteOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';
import { DayContext, useDayOnRibbon, usePlannedDay } from '@/features/day/use-day';
import { DrawToolbar } from '@/features/draw/DrawToolbar';
import { DrawContext, useDraw, useDrawTool } from '@/features/draw/use-draw';
import { FieldTimeContext, useFieldTime, useFollowedTime } from '@/features/field/use-field-time';
import { SearchContext, useSearch } from '@/features/ground/use-search';
import { useWalk, WalkContext } from '@/features/light/use-walk';
import { MotionAndBudget } from '@/features/settings/MotionAndBudget';
import { useUnits } from '@/ui/units';
import { useIsWide } from '@/ui/use-is-wide';
import { AnswerPanel } from './AnswerPanel';
import { isDay, isDrawing, isField, isLog } from './paths';
import { PlanPicture } from './PlanPicture';
import { StepLinks, TopBar } from './ShootBars';
import {
  EditsContext,
  LookContext,
  ShootContext,
  useLooked,
  useShootEdits,
  useShootPage,
} from './ShootContext';
import { ShootTrouble, UnfetchedStep } from './ShootTrouble';
import { useUndoKeys } from './UndoButtons';
import { useEdits } from './use-edits';
import { usePaced } from './use-paced';
import { useLook, usePlan, type Look } from './use-plan';

const DayAnswer = lazy(async () => ({
  default: (await import('@/features/day/DayAnswer')).DayAnswer,
}));
const LogAnswer = lazy(async () => ({
  default: (await import('@/features/log/LogAnswer')).LogAnswer,
}));

/** One shoot: plan, answer and time, around the step that is open. */
export function ShootScreen() {
  // The address's own: a layout's local one stays behind when one shoot takes the place of another.
  const { id } = useGlobalSearchParams<{ id: string }>();
  const { data: shoot, isPending } = useShoot(id, demoShoots);
  const router = useRouter();
  if (isPending) return <PlanSkeleton />;
  if (!shoot) {
    return (
      <View className="flex-1 items-start justify-center gap-4 bg-paper p-6">
        <Heading level={1} kind="title">
          No such shoot here
        </Heading>
        <Text>
          It may have been deleted, or it was made on another device. A shoot travels as a file:
          export it there and import it here.
        </Text>
        <Button label="See all shoots" kind="primary" onPress={() => router.replace('/')} />
      </View>
    );
  }
  // Another shoot at the same address is another page: nothing of the one before stays.
  return <OpenShoot key={shoot.id} shoot={shoot} />;
}

/** The page's own outline while its record is read. */
function PlanSkeleton() {
  return (
    <View className="flex-1 bg-paper p-4" role="progressbar" aria-label="Opening the shoot">
      <View className="h-8 w-2/3 bg-line" />
      <View className="my-6 flex-1 border-2 border-line" />
      <View className="h-12 w-full bg-line" />
    </View>
  );
}

/**
 * A shoot with what can be undone and the step it is at, which a fault in showing it takes nothing of: the
 * navigator stands over the boundary, and what is in it shows the step that is open.
 */
function OpenShoot({ shoot }: { readonly shoot: Shoot }) {
  const edits = useEdits(shoot.id);
  useUndoKeys(edits);
  return (
    <EditsContext.Provider value={edits}>
      <PageTitle title={shoot.title} />
      <Navigator>
        <ErrorBoundary
          resetKeys={[shoot]}
          fallbackRender={(fault) => <ShootTrouble shoot={shoot} {...fault} />}
        >
          <ShownShoot shoot={shoot} />
        </ErrorBoundary>
      </Navigator>
    </EditsContext.Provider>
  );
}

function ShownShoot({ shoot }: { readonly shoot: Shoot }) {
  const { id, title } = shoot;
  const edits = useShootEdits();
  const look = useLook(shoot);
  const paced = usePaced(look, edits.held);
  const wide = useIsWide();
  const { units } = useUnits();
  const search = useSearch();
  const draw = useDraw();
  const walk = useWalk();
  const fieldOpen = isField(usePathname());
  const fieldTime = useFollowedTime(fieldOpen, look.hours, shoot.place.timeZone, edits.update);
  return (
    <LookContext.Provider value={look}>
      <WithPlan key={units} look={paced}>
        <SearchContext.Provider value={search}>
          <DrawContext.Provider value={draw}>
            <WalkContext.Provider value={walk}>
              <FieldTimeContext.Provider value={fieldTime}>
                {wide ? (
                  <WideLayout id={id} title={title} />
                ) : (
                  <PhoneLayout id={id} title={title} />
                )}
              </FieldTimeContext.Provider>
            </WalkContext.Provider>
          </DrawContext.Provider>
        </SearchContext.Provider>
      </WithPlan>
    </LookContext.Provider>
  );
}

/** What to set for a look, for all that is within. Not asked again while the look is the same. */
const WithPlan = memo(function WithPlan({
  look,
  children,
}: {
  readonly look: Look;
  readonly children: ReactNode;
}) {
  const edits = useShootEdits();
  const plan = usePlan(look);
  const page = useMemo(() => ({ plan, ...edits }), [plan, edits]);
  return (
    <ShootContext.Provider value={page}>
      <WithDay>{children}</WithDay>
    </ShootContext.Provider>
  );
});

/** The day planned for all that is within, while it is looked at. */
function WithDay({ children }: { readonly children: ReactNode }) {
  const path = usePathname();
  const day = usePlannedDay(isDay(path) || isField(path));
  return <DayContext.Provider value={day}>{children}</DayContext.Provider>;
}

const PageTitle = memo(function PageTitle({ title }: { readonly title: string }) {
  return (
    <Head>
      <title>{`${title} · Bright Perch`}</title>
    </Head>
  );
});

/** It reads what it needs itself, so that a new minute does not redraw it all. */
const OpenStep = memo(function OpenStep() {
  return (
    <ErrorBoundary resetKeys={[usePathname()]} FallbackComponent={UnfetchedStep}>
      <Slot />
    </ErrorBoundary>
  );
});

function StepAnswer() {
  const path = usePathname();
  if (isDay(path) || isLog(path)) {
    return <Suspense>{isDay(path) ? <DayAnswer /> : <LogAnswer />}</Suspense>;
  }
  return <AnswerPanel />;
}

function Ribbon() {
  const path = usePathname();
  const { following } = useFieldTime();
  // There the clock moves the hand, not the thumb.
  if (isField(path) && following) return null;
  return isDay(path) ? <DayRibbon /> : <ShootRibbon />;
}

/** The ribbon with what is shot when, and the walks between. */
function DayRibbon() {
  return <ShootRibbon stays={useDayOnRibbon()} />;
}

function ShootRibbon({ stays }: { readonly stays?: RibbonOf['stays'] }) {
  const { plan, update, hold } = useShootPage();
  const { lightTrouble } = plan;
  const ribbon = useMemo(
    () => (stays ? { ...plan.ribbon, stays } : plan.ribbon),
    [plan.ribbon, stays],
  );
  const { atMs, hours, clock } = useLooked();
  return (
    <View
      role="region"
      aria-label="Hours of the shoot"
      className="border-t border-ink bg-paper px-2 pb-1 pt-1"
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
}

interface LayoutProps {
  readonly id: string;
  readonly title: string;
}

const PhoneLayout = memo(function PhoneLayout({ id, title }: LayoutProps) {
  const path = usePathname();
  if (isDrawing(path)) return <PhoneDrawing id={id} title={title} />;
  if (isField(path)) return <PhoneField id={id} title={title} />;
  return (
    <View className="flex-1 bg-paper">
      <TopBar title={title} />
      <StepLinks id={id} />
      <View role="main" className="flex-1">
        {isLog(path) ? null : (
          <View className="h-[42%] border-b border-ink">
            <PlanPicture />
          </View>
        )}
        <ScrollView contentContainerClassName="pb-4">
          <StepAnswer />
          <View className="px-4 pt-2">
            <OpenStep />
          </View>
        </ScrollView>
      </View>
      <Ribbon />
    </View>
  );
});

/** Names what is in hand, so that the panel begins at its top when that changes. */
function useInHand(): string {
  const { tool, selected } = useDrawTool().state;
  return `${tool.name} ${selected?.id ?? ''}`;
}

/** Drawing on a phone: the plan large, the tools under the thumb. */
function PhoneDrawing({ id, title }: LayoutProps) {
  const inHand = useInHand();
  return (
    <View className="flex-1 bg-paper">
      <TopBar title={title} />
      <StepLinks id={id} />
      <View role="main" className="flex-1">
        <View className="flex-1 border-b border-ink">
          <PlanPicture drawing />
        </View>
        <View className="px-4">
          <DrawToolbar />
        </View>
        <ScrollView
          key={inHand}
          className="max-h-[38%] grow-0"
          contentContainerClassName="px-4 pb-4"
          keyboardShouldPersistTaps="handled"
        >
          <OpenStep />
        </ScrollView>
      </View>
    </View>
  );
}

/** Shooting on a phone: the dials and the thumb's work, nothing else. */
function PhoneField({ id, title }: LayoutProps) {
  return (
    <View className="flex-1 bg-paper">
      <TopBar title={title} />
      <StepLinks id={id} />
      <View role="main" className="flex-1">
        <OpenStep />
      </View>
      <Ribbon />
    </View>
  );
}

const WideLayout = memo(function WideLayout({ id, title }: LayoutProps) {
  const path = usePathname();
  const drawing = isDrawing(path);
  // A table needs room, and says what to set event by event.
  const broad = isDay(path) || isLog(path);
  const field = isField(path);
  const inHand = useInHand();
  return (
    <View className="flex-1 bg-paper">
      <View role="main" className="flex-1 flex-row">
        <View
          className={`${broad ? 'w-[760px]' : field ? 'w-[520px]' : 'w-[340px]'} border-r border-ink`}
        >
          <TopBar title={title} />
          <StepLinks id={id} />
          {field ? (
            <View className="flex-1">
              <OpenStep />
            </View>
          ) : (
            <ScrollView key={drawing ? inHand : undefined} contentContainerClassName="pb-4">
              {broad ? <StepAnswer /> : null}
              <View className="p-4">
                <OpenStep />
              </View>
            </ScrollView>
          )}
        </View>
        <PlanPicture drawing={drawing} />
        {broad || field ? null : (
          <View className="w-[370px] border-l border-ink">
            <ScrollView tabIndex={0} contentContainerClassName="pt-2">
              <AnswerPanel />
              <View className="border-t border-line p-4">
                <MotionAndBudget />
              </View>
            </ScrollView>
          </View>
        )}
      </View>
      <Ribbon />
    </View>
  );
});
