import { useMemo } from 'react';
import { stepStates, type StepState } from '@/answers/step-states';
import { useShootPage } from './ShootContext';
import type { StepId } from './steps';

/** What each step of the open shoot has settled or lacks. */
export function useStepStates(): Readonly<Record<StepId, StepState>> {
  const { shoot, outlook } = useShootPage().plan;
  const { marks, positions, choice, features, ground, place, light, subjects } = shoot;
  const { shots, people, events, kit, log, startLocal, endLocal, brief } = shoot;
  // The minute looked at changes none of it.
  const states = useMemo(
    () => stepStates(shoot),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the parts of the shoot that count, one by one
    [
      ...[marks, positions, choice, features, ground, place, light, subjects],
      ...[shots, people, events, kit, log, startLocal, endLocal, brief],
    ],
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
