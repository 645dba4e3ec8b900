import { lazy, type ComponentType } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { StepTrouble } from './ShootTrouble';
import { STEPS, stepOf, type ScreenId, type StepId } from './steps';

/** A screen of a shoot that is fetched when it is wanted. */
export interface StepScreen {
  readonly fetch: () => Promise<unknown>;
  readonly Screen: ComponentType;
}

export type StepScreens = Readonly<Record<ScreenId, StepScreen>>;

/** A step whose faults are its own: title, plan, undo and the other steps are still there. */
export function stepScreen(fetch: () => Promise<{ readonly Step: ComponentType }>): StepScreen {
  const Screen = lazy(async () => {
    const { Step } = await fetch();
    const Guarded = () => (
      <ErrorBoundary FallbackComponent={StepTrouble}>
        <Step />
      </ErrorBoundary>
    );
    return { default: Guarded };
  });
  return { fetch, Screen };
}

/**
 * Steps that can be made ready before they are pressed: they begin with nothing but the plan. A brief is a form and
 * practice goes by the clock from its first moment.
 */
const CAN_WAIT: ReadonlySet<StepId> = new Set([
  ...(['ground', 'light', 'settings', 'kit', 'day', 'field', 'log'] as const),
]);

/** The steps that a press is most likely to ask for next. */
export function likelyNext(open: ScreenId): readonly StepId[] {
  const at = STEPS.findIndex(({ id }) => id === stepOf(open));
  return [STEPS[at + 1], STEPS[at - 1]].flatMap((step) =>
    step && CAN_WAIT.has(step.id) ? [step.id] : [],
  );
}
