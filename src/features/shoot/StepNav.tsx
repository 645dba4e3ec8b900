import { memo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import type { StepState } from '@/answers/step-states';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useLooked } from './open-shoot';
import { stateInWords } from './step-words';
import { StepLink } from './StepLink';
import { useStepPath } from './step-path';
import { STEPS, type StepId } from './steps';
import { useStepStates } from './use-step-states';
import { useToStep } from './use-to-step';

/** A drag along the way of this much goes to the next step. */
const SWIPE_PX = 48;

/**
 * The way through the steps on a phone, under the thumb: a tick for each, settled or lacking, and the open step
 * between its neighbours. Pressed it shows all; a swipe goes to the next.
 */
export const StepNav = memo(function StepNav() {
  const { at: pressed } = useStepPath();
  const toStep = useToStep();
  const { id } = useLooked('shoot').shoot;
  const states = useStepStates();
  const [open, setOpen] = useState(false);
  const at = STEPS.findIndex((step) => step.id === pressed);
  const [before, here, after] = [STEPS[at - 1], STEPS[at], STEPS[at + 1]];
  const go = (step: StepId | undefined) => {
    if (step) toStep(`/shoot/${id}/${step}`);
  };
  const swipe = Gesture.Pan()
    .runOnJS(true)
    .activeOffsetX([-SWIPE_PX / 2, SWIPE_PX / 2])
    .onEnd(({ translationX }) => {
      if (translationX < -SWIPE_PX) go(after?.id);
      else if (translationX > SWIPE_PX) go(before?.id);
    });
  return (
    <>
      <GestureDetector gesture={swipe} touchAction="pan-y">
        <View role="navigation" aria-label="Steps" className="border-t border-line bg-paper">
          <View className="flex-row gap-1 px-3 pt-1" aria-hidden>
            {STEPS.map((step) => (
              <View
                key={step.id}
                className={`h-[5px] flex-1 ${
                  step.id === here?.id
                    ? 'bg-signal'
                    : states[step.id].state === 'settled'
                      ? 'bg-ink'
                      : states[step.id].state === 'lacking'
                        ? 'border border-ink'
                        : 'bg-line'
                }`}
              />
            ))}
          </View>
          <View className="flex-row items-stretch">
            <Neighbour step={before} />
            <Pressable
              role="button"
              aria-haspopup="dialog"
              aria-current="step"
              aria-label={`${here?.name ?? ''}, step ${at + 1} of ${STEPS.length}: show all steps`}
              onPress={() => setOpen(true)}
              className="min-h-[50px] min-w-fit flex-1 items-center justify-center border-b-4 border-signal pt-1 active:opacity-60"
            >
              <Text kind="place">{here?.name ?? ''}</Text>
            </Pressable>
            <Neighbour step={after} />
          </View>
        </View>
      </GestureDetector>
      {open ? <AllSteps onClose={() => setOpen(false)} /> : null}
    </>
  );
});

function Neighbour({ step }: { readonly step: (typeof STEPS)[number] | undefined }) {
  if (!step) return <View className="flex-1" />;
  return (
    <StepLink
      step={step.id}
      className="min-h-[50px] min-w-fit flex-1 items-center justify-center active:opacity-60"
    >
      <Text ink="quiet">{step.name}</Text>
    </StepLink>
  );
}

/** All steps, each with what it has settled or lacks. */
function AllSteps({ onClose }: { readonly onClose: () => void }) {
  const { clock } = useLooked('clock');
  const states = useStepStates();
  const { at: here } = useStepPath();
  return (
    <Sheet title="Steps" open onClose={onClose}>
      <View role="list" aria-label="All steps">
        {STEPS.map((step) => {
          const state = states[step.id];
          return (
            <View key={step.id} role="listitem" className="border-b border-line">
              <StepLink
                step={step.id}
                current={step.id === here ? 'step' : undefined}
                onPressed={onClose}
                className="min-h-touch flex-row items-center gap-3 py-1 active:opacity-60"
              >
                <StateSign state={state.state} />
                <Text kind={step.id === here ? 'strong' : 'body'} className="w-[72px]">
                  {step.name}
                </Text>
                <Text kind="small" ink="quiet" className="shrink">
                  {stateInWords(state, clock)}
                </Text>
              </StepLink>
            </View>
          );
        })}
      </View>
    </Sheet>
  );
}

/** Full for settled, hollow for lacking, a dash for what is not begun: told apart without colour. */
function StateSign({ state }: Pick<StepState, 'state'>) {
  return (
    <View className="h-4 w-4 items-center justify-center" aria-hidden>
      <View
        className={
          state === 'settled'
            ? 'h-3 w-3 bg-ink'
            : state === 'lacking'
              ? 'h-3 w-3 border-2 border-ink'
              : 'h-[2px] w-3 bg-quiet'
        }
      />
    </View>
  );
}
