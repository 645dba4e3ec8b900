import { useCallback, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { withShot } from '@/answers/choose-shot';
import { TECHNIQUE_NAMES, TECHNIQUE_WHY } from '@/features/shoot/brief-words';
import { MotionAndBudget } from '@/features/shoot/MotionAndBudget';
import { Overlay } from '@/features/shoot/Overlay';
import { PhoneFrame } from '@/features/shoot/PhoneFrame';
import { PlanPicture } from '@/features/shoot/PlanPicture';
import type { PlanSheet } from '@/features/shoot/plan-use';
import { useEdits, useLensUse, useShown } from '@/features/shoot/open-shoot';
import { StepFrame } from '@/features/shoot/StepFrame';
import { TabLinks, useTab } from '@/features/shoot/TabLinks';
import { LensButton } from '@/features/shoot/ThroughLens';
import type { Plan } from '@/features/shoot/use-plan';
import { LetGo } from '@/features/shoot/WaysOut';
import { WideFrame } from '@/features/shoot/WideFrame';
import { troubleInWords } from '@/features/shoot/words';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';
import { useShape } from '@/ui/use-shape';
import { CardTab, SlotsTab } from './CardTab';
import { focusZone, panSwing } from './instruments';
import { Levers } from './Levers';
import { ModeSection } from './ModeSection';
import { FocusTab, MotionTab } from './MotionTab';
import { PictureParts, PictureShown } from './Picture';
import { ReasonsTab } from './ReasonsTab';

type Seen = Extract<Plan['seen'], { ok: true }>;

const TABS = [
  { id: 'dials', name: 'Dials' },
  { id: 'card', name: 'Card' },
  { id: 'slots', name: 'Slots' },
  { id: 'motion', name: 'Motion' },
  { id: 'focus', name: 'Focus' },
  { id: 'reasons', name: 'Reasons' },
] as const;
type Tab = (typeof TABS)[number]['id'];

const TITLES: Readonly<Record<Tab, string>> = {
  dials: 'Settings: the dials',
  card: 'Settings card',
  slots: 'Memory slots',
  motion: 'What moves',
  focus: 'Focus',
  reasons: 'What the dials rest on',
};

/** From the shot to the dials: now, through the hours, for what moves, for focus. */
export function SettingsScreen() {
  const { seen } = useShown('seen');
  const tab = useTab(TABS);
  const shape = useShape();
  const [{ open: lens }] = useLensUse();
  if (!seen.ok) {
    return (
      <StepFrame title={TITLES.dials}>
        <View className="gap-3 p-4">
          <ShotPicker />
          <Text>{troubleInWords(seen.trouble)}</Text>
        </View>
      </StepFrame>
    );
  }
  // What is drawn on the plan is seen with what is said of it.
  const onPlan = tab === 'motion' || tab === 'focus';
  const tabs = <TabLinks step="settings" label="Parts of Settings" tabs={TABS} open={tab} />;
  if (shape === 'wide') return <SettingsWide seen={seen} tab={tab} tabs={tabs} onPlan={onPlan} />;
  return (
    <PhoneFrame
      title={TITLES[tab]}
      contentKey={tab}
      picture={
        onPlan ? <DialsPlan seen={seen} /> : lens && tab === 'dials' ? <PictureShown /> : undefined
      }
      tools={tabs}
      second={
        tab === 'dials' ? (
          <View className="px-3 pb-3">{lens ? <PictureParts /> : <MotionAndBudget />}</View>
        ) : null
      }
    >
      <View className="gap-3 p-3">
        {tab === 'dials' ? (
          <>
            <ShotPicker />
            <Levers view={seen.view} exposure={seen.answer.exposure} />
            <Held />
            <LensButton />
          </>
        ) : (
          <TabPart tab={tab} seen={seen} />
        )}
      </View>
    </PhoneFrame>
  );
}

/** Dials in the hand are let go of beside them. */
function Held() {
  return <LetGo held={useShown('setup').setup.choice.held} />;
}

function TabPart({ tab, seen }: { readonly tab: Tab; readonly seen: Seen }) {
  switch (tab) {
    case 'dials':
      return null;
    case 'card':
      return (
        <>
          <CardTab seen={seen} />
          <ModeSection seen={seen} />
        </>
      );
    case 'slots':
      return <SlotsTab seen={seen} />;
    case 'motion':
      return <MotionTab seen={seen} />;
    case 'focus':
      return <FocusTab seen={seen} />;
    case 'reasons':
      return <ReasonsTab seen={seen} />;
  }
}

/** The dials left, what they move and spend in the middle; for motion and focus the plan they are drawn on. */
function SettingsWide({
  seen,
  tab,
  tabs,
  onPlan,
}: {
  readonly seen: Seen;
  readonly tab: Tab;
  readonly tabs: ReactNode;
  readonly onPlan: boolean;
}) {
  const [{ open: lens }] = useLensUse();
  return (
    <WideFrame
      title={TITLES[tab]}
      contentKey={tab}
      left={
        <View>
          {tabs}
          <View className="gap-4 p-4">
            <ShotPicker />
            {tab === 'dials' ? (
              <>
                <Levers view={seen.view} exposure={seen.answer.exposure} />
                <Held />
                <LensButton />
                {lens ? <PictureParts /> : null}
              </>
            ) : (
              <TabPart tab={tab} seen={seen} />
            )}
          </View>
        </View>
      }
      middle={
        onPlan ? (
          <DialsPlan seen={seen} />
        ) : (
          <View className="flex-1">
            {lens ? (
              <View className="flex-[6] border-b border-ink">
                <PictureShown />
              </View>
            ) : null}
            <ScrollView tabIndex={0} className="flex-[6]" contentContainerClassName="p-6">
              <MotionAndBudget />
            </ScrollView>
            {lens ? null : (
              <View className="flex-[4] border-t border-ink">
                <DialsPlan seen={seen} />
              </View>
            )}
          </View>
        )
      }
    />
  );
}

/** The plan with the depth that is sharp, and the swing of a pan. */
function DialsPlan({ seen: { view, answer } }: { readonly seen: Seen }) {
  const { settings } = answer.exposure;
  const overlay = useCallback(
    (sheet: PlanSheet) => (
      <Overlay
        {...sheet}
        zone={focusZone(view, settings)}
        swing={view.wanted.technique === 'pan' ? panSwing(view) : undefined}
      />
    ),
    [view, settings],
  );
  return <PlanPicture overlay={overlay} onlyInHand />;
}

const NO_SHOT = 'none';

/** Which promised shot the dials are for. */
function ShotPicker() {
  const plan = useShown('setup');
  const { update } = useEdits();
  const { shots, choice } = plan.setup;
  const shot = shots.find(({ id }) => id === choice.shotId);
  const technique = shot?.technique ?? 'freeze';
  return (
    <View>
      <Picker
        label="Shot"
        value={choice.shotId ?? NO_SHOT}
        options={[
          ...shots.map(({ id, name }) => ({ value: id, label: name })),
          { value: NO_SHOT, label: 'None: freeze what moves' },
        ]}
        onChange={(id) =>
          update((current) =>
            withShot(
              current,
              current.shots.find((entry) => entry.id === id),
            ),
          )
        }
      />
      <Text kind="small" ink="quiet">
        {`${TECHNIQUE_NAMES[technique]}: ${TECHNIQUE_WHY[technique]}.`}
      </Text>
    </View>
  );
}
