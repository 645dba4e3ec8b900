import { useRouter } from 'expo-router';
import { createContext, useContext, useEffect, useRef } from 'react';
import { afterFrame } from '@/ui/after-frame';
import { useSteady } from '@/ui/use-steady';
import { screenAt, type ScreenId } from './steps';

/** Opens the step at an address of the shoot. */
export type ToStep = (address: `/shoot/${string}`) => void;

export const ToStepContext = createContext<ToStep | undefined>(undefined);

export function useToStep(): ToStep {
  const toStep = useContext(ToStepContext);
  if (!toStep) throw new Error('useToStep: must be used within a step');
  return toStep;
}

/**
 * The way to another step: one that is ready is shown by the press itself, and the address, the focus and all that
 * comes with another address follow when its frame is drawn.
 * @param reveal shows a step if it is ready, and says whether it was
 * @param path the address now: once it is another, what was to follow is void
 */
export function useWayToSteps(reveal: (screen: ScreenId) => boolean, path: string): ToStep {
  const router = useRouter();
  const following = useRef<() => void>(undefined);
  useEffect(() => () => following.current?.(), [path]);
  const { toStep } = useSteady({
    toStep: (address: `/shoot/${string}`) => {
      // Of two presses in one frame the last counts.
      following.current?.();
      const screen = screenAt(address);
      if (address !== path && screen && reveal(screen))
        following.current = afterFrame(() => router.navigate(address));
      else router.navigate(address);
    },
  });
  return toStep;
}
