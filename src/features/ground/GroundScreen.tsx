import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { bestPlaces } from '@/answers/search';
import { MotionAndBudget } from '@/features/shoot/MotionAndBudget';
import { AnswerPanel } from '@/features/shoot/AnswerPanel';
import { PhoneFrame } from '@/features/shoot/PhoneFrame';
import { PlanPicture } from '@/features/shoot/PlanPicture';
import { useLensUse, useLooked, useOpenShoot, useSearch } from '@/features/shoot/open-shoot';
import { LensButton, ThroughLens } from '@/features/shoot/ThroughLens';
import { WideFrame } from '@/features/shoot/WideFrame';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { ToolRow } from '@/ui/ToolRow';
import { useShape } from '@/ui/use-shape';
import { CompareSection } from './CompareSection';
import { FiguresSection } from './FiguresSection';
import { FrameFields } from './FrameFields';
import { Here } from './Here';
import { SearchSection } from './SearchSection';
import { SideView } from './SideView';
import { WhenSection } from './WhenSection';

const TITLE = 'Ground: where you stand';

const TOOLS = [
  { id: 'frame', name: 'Frame' },
  { id: 'lens', name: 'Lens' },
  { id: 'compare', name: 'Compare' },
  { id: 'search', name: 'Search' },
  { id: 'side', name: 'Side' },
  { id: 'when', name: 'When' },
  { id: 'draw', name: 'Draw' },
] as const;
type Tool = (typeof TOOLS)[number]['id'];

/** What of the ground is looked at in a sheet over it, and what that is called. */
const SHEETS: Readonly<Partial<Record<Tool, string>>> = {
  frame: 'What is in the frame',
  compare: 'Positions side by side',
  side: 'From the side',
  when: 'When the face is lit',
};

/** Where one stands and what is there to see: the plan, the place chosen, and what would better it. */
export function GroundScreen() {
  return useShape() === 'wide' ? <GroundWide /> : <GroundPhone />;
}

/** The plan with what was searched on it. */
function GroundPicture() {
  const { probe } = useOpenShoot().search;
  const { search, probed } = useSearch('search', 'probed');
  const { result, request, running } = search ?? {};
  const pins = useMemo(
    () => (result && request && !running ? bestPlaces(result, request) : undefined),
    [result, request, running],
  );
  return (
    <PlanPicture
      scores={result}
      pins={pins}
      alsoFit={pins}
      probed={pins && probed}
      onTap={pins && probe}
    />
  );
}

/** The frame in the plan's place; upright there is room for the plan under it. */
function LensPicture() {
  const level = useLooked('setup').setup.choice.orientation === 'level';
  if (useShape() === 'level') return <ThroughLens instead={<SideView />} />;
  return (
    <View className="flex-1">
      <View className={`border-b border-ink ${level ? 'aspect-[3/2] max-h-[65%]' : 'flex-[3]'}`}>
        <ThroughLens instead={<SideView />} />
      </View>
      <View className={level ? 'min-h-0 flex-1' : 'flex-[2]'}>
        <GroundPicture />
      </View>
    </View>
  );
}

function useDrawing(): () => void {
  const router = useRouter();
  const { id } = useLooked('shoot').shoot;
  return () => router.navigate(`/shoot/${id}/draw`);
}

function GroundPhone() {
  const [tool, setTool] = useState<Tool>();
  const draw = useDrawing();
  const close = () => setTool(undefined);
  const searching = tool === 'search';
  const [{ open: looking }, use] = useLensUse();
  const sheet = tool && SHEETS[tool];
  return (
    <PhoneFrame
      title={TITLE}
      picture={looking ? <LensPicture /> : <GroundPicture />}
      contentKey={searching ? 'search' : 'here'}
      tools={
        <ToolRow
          label="Ground"
          tools={TOOLS.map((one) => ({
            ...one,
            ...(one.id === 'search' && { on: searching }),
            ...(one.id === 'lens' && { on: looking }),
          }))}
          onPress={(id) => {
            if (id === 'draw') draw();
            else if (id === 'lens') use({ open: !looking });
            else setTool(id === tool ? undefined : id);
          }}
        />
      }
    >
      {searching ? (
        <View className="p-4">
          <SearchSection onDone={close} />
        </View>
      ) : (
        <Here />
      )}
      {sheet ? (
        <Sheet title={sheet} open onClose={close}>
          {tool === 'frame' ? <FrameFields /> : null}
          {tool === 'compare' ? <CompareSection atOnce /> : null}
          {tool === 'side' ? <SideView /> : null}
          {tool === 'when' ? <WhenSection /> : null}
        </Sheet>
      ) : null}
    </PhoneFrame>
  );
}

function GroundWide() {
  const [open, setOpen] = useState<'side' | 'when'>();
  const [{ open: looking }] = useLensUse();
  const draw = useDrawing();
  return (
    <WideFrame
      title={TITLE}
      left={
        <View className="gap-4">
          <Here />
          <View className="gap-4 px-4">
            <FrameFields />
            <Button label="Draw the ground" onPress={draw} />
            <FiguresSection />
            <Button label="See it from the side" onPress={() => setOpen('side')} />
            <Button label="When the face is lit" onPress={() => setOpen('when')} />
            <Text kind="figure">Positions side by side</Text>
            <CompareSection />
            <Text kind="figure">Where else to stand</Text>
            <SearchSection />
          </View>
          <Sheet
            title={SHEETS[open ?? 'side'] ?? ''}
            open={open !== undefined}
            onClose={() => setOpen(undefined)}
          >
            {open === 'side' ? <SideView /> : null}
            {open === 'when' ? <WhenSection /> : null}
          </Sheet>
        </View>
      }
      middle={<GroundPicture />}
      right={
        <View className="gap-4">
          {looking ? (
            <View className="-mx-4 -mt-4 h-[247px]">
              <ThroughLens instead={<SideView />} />
            </View>
          ) : null}
          <AnswerPanel />
          <LensButton />
          <View className="border-t border-line pt-4">
            <MotionAndBudget />
          </View>
        </View>
      }
    />
  );
}
