import { useMemo, useState } from 'react';
import { stepStates, type StepState } from '@/answers/step-states';
import { useShown, useUndoable } from './open-shoot';
import type { StepId } from './steps';

/** What is shown, as it was before something was taken hold of: what steps lack can wait until it is let go. */
function useAtRest() {
  const shown = useShown('shoot', 'setup', 'outlook');
  const { held } = useUndoable('held');
  const [rested, setRested] = useState(shown);
  if (!held && rested !== shown) setRested(shown);
  return held ? rested : shown;
}

/** What each step of the open shoot has settled or lacks. */
export function useStepStates(): Readonly<Record<StepId, StepState>> {
  const { shoot, setup, outlook } = useAtRest();
  const { people, events, log, day, startLocal, endLocal } = shoot;
  // The minute looked at changes none of it.
  const states = useMemo(
    () => stepStates({ ...setup, people, events, log, day, startLocal, endLocal }),
    [setup, people, events, log, day, startLocal, endLocal],
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
