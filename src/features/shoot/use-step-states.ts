import { useMemo } from 'react';
import { stepStates, type StepState } from '@/answers/step-states';
import { useShown } from './open-shoot';
import type { StepId } from './steps';

/** What each step of the open shoot has settled or lacks. */
export function useStepStates(): Readonly<Record<StepId, StepState>> {
  const { shoot, setup, outlook } = useShown('shoot', 'setup', 'outlook');
  const { people, events, log, startLocal, endLocal } = shoot;
  // The minute looked at changes none of it.
  const states = useMemo(
    () => stepStates({ ...setup, people, events, log, startLocal, endLocal }),
    [setup, people, events, log, startLocal, endLocal],
  );
  const short = outlook.spans[0];
  return useMemo(
    () => ({
      ...states,
      settings: short
        ? { state: 'lacking', lack: { kind: 'short', fromMs: short.fromMs } }
        : { state: 'settled' },
    }),
    [states, short],
  );
}
