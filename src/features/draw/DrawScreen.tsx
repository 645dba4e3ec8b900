import { useMemo } from 'react';
import { View } from 'react-native';
import { PhoneFrame } from '@/features/shoot/PhoneFrame';
import { PlanPicture } from '@/features/shoot/PlanPicture';
import { useShown } from '@/features/shoot/open-shoot';
import { WideFrame } from '@/features/shoot/WideFrame';
import { pinsOnGround } from '@/records/underlay';
import { useShape } from '@/ui/use-shape';
import { DrawPanel } from './DrawPanel';
import { DrawToolbar } from './DrawToolbar';
import { DrawContext, useDraw, useDrawTool } from './use-draw';
import { usePlanDrawing } from './use-plan-drawing';

const TITLE = 'Draw the ground';

/** Drawing the ground: the plan large, the tools under the thumb. */
export function DrawScreen() {
  return (
    <DrawContext.Provider value={useDraw()}>
      <Drawing />
    </DrawContext.Provider>
  );
}

function Drawing() {
  const { tool, selected } = useDrawTool().state;
  const { underlay } = useShown('shoot').shoot;
  const wide = useShape() === 'wide';
  // What is in hand: the panel begins at its top when that changes.
  const inHand = `${tool.name} ${selected?.id ?? ''}`;
  // While a picture is laid, both of its pins are on the page.
  const laying = tool.name === 'underlay' ? underlay : undefined;
  const pins = useMemo(() => laying && pinsOnGround(laying), [laying]);
  const picture = <PlanPicture usePlan={usePlanDrawing} alsoFit={pins} northUp />;
  if (wide) {
    return (
      <WideFrame
        title={TITLE}
        contentKey={inHand}
        bare
        left={
          <View className="p-4">
            <DrawToolbar />
            <DrawPanel />
          </View>
        }
        middle={picture}
      />
    );
  }
  return (
    <PhoneFrame
      title={TITLE}
      picture={picture}
      contentKey={inHand}
      answer={false}
      foot={null}
      bare
      tools={
        <View className="border-t border-line px-3">
          <DrawToolbar />
        </View>
      }
    >
      <View className="px-3 pb-3">
        <DrawPanel />
      </View>
    </PhoneFrame>
  );
}
