import { Navigator, usePathname } from 'expo-router';
import {
  Activity,
  createElement,
  memo,
  Suspense,
  useDeferredValue,
  useLayoutEffect,
  useMemo,
  useState,
} from 'react';
import { createPortal } from 'react-dom';
import { ErrorBoundary } from 'react-error-boundary';
import { View } from 'react-native';
import { Opening } from './Opening';
import { UnfetchedStep } from './ShootTrouble';
import { StepPathContext, type StepPath } from './step-path';
import { stepStage } from './step-stage';
import type { StepScreen, StepScreens } from './step-screens';
import { screenAt, stepAt, type ScreenId } from './steps';
import { useMadeReady } from './use-made-ready';
import { ToStepContext, useWayToSteps } from './use-to-step';

/**
 * The step that is open, and unseen those that are likely to be next. It reads what it needs itself, so that a new
 * minute does not redraw it all. A press on another is answered at once by the way through the steps; the step
 * follows, put together in slices unless it is ready: then it stands in the very next frame, and all else comes after.
 */
export const OpenStep = memo(function OpenStep({ screens }: { readonly screens: StepScreens }) {
  const path = usePathname();
  const shown = useDeferredValue(path);
  const before = screenAt(shown);
  const ready = useMadeReady(before, screens);
  const pressed = screenAt(path);
  // What is ready is shown at once; what was open before goes in a turn of its own.
  const open = pressed && ready.drawn && ready.screens.includes(pressed) ? pressed : before;
  const [stage] = useState(stepStage);
  useLayoutEffect(() => {
    if (open) stage.show(open);
  });
  const toStep = useWayToSteps((screen) => {
    const isReady = ready.drawn && ready.screens.includes(screen);
    if (isReady) stage.reveal(screen);
    return isReady;
  }, path);
  const all = [...new Set([...(before ? [before] : []), ...ready.screens])];
  const pathOf = (screen: ScreenId) =>
    [path, shown].find((address) => screenAt(address) === screen) ??
    [...path.split('/').slice(0, 3), screen].join('/');
  return (
    <View className="flex-1 bg-paper" aria-busy={shown !== path}>
      {/* What it waits for, or lacks, is told of by the step itself. */}
      <View className="hidden">
        <ErrorBoundary fallback={null} resetKeys={[path]}>
          <Address />
        </ErrorBoundary>
      </View>
      {all.length === 0 ? <Opening /> : null}
      {createElement('div', { ref: stage.setPlace, style: FILLS })}
      <ToStepContext.Provider value={toStep}>
        {all.map((screen) => (
          <Step
            key={screen}
            {...screens[screen]}
            shown={screen === open}
            host={stage.hostOf(screen)}
            path={pathOf(screen)}
            at={stepAt(screen === open ? path : pathOf(screen))}
          />
        ))}
      </ToStepContext.Provider>
    </View>
  );
});

const FILLS = { position: 'absolute', inset: 0 } as const;

/** What the router shows at an address: nothing, but an address that leads on does so. */
function Address() {
  const { state, descriptors } = Navigator.useContext();
  return descriptors[state.routes[state.index]?.key ?? '']?.render();
}

interface StepProps extends StepPath, Pick<StepScreen, 'Screen'> {
  readonly shown: boolean;
  /** The element it is put together in. */
  readonly host: HTMLElement;
}

/** A step, or one that is made ready: then it stands nowhere in the page, and nothing of it is at work. */
const Step = memo(function Step({ Screen, shown, host, path, at }: StepProps) {
  const where = useMemo(() => ({ path, at }), [path, at]);
  return (
    <Activity mode={shown ? 'visible' : 'hidden'}>
      {createPortal(
        <StepPathContext.Provider value={where}>
          <ErrorBoundary FallbackComponent={UnfetchedStep}>
            <Suspense fallback={<Opening />}>
              <Screen />
            </Suspense>
          </ErrorBoundary>
        </StepPathContext.Provider>,
        host,
      )}
    </Activity>
  );
});
