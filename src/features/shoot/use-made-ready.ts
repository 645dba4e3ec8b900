import { startTransition, useEffect, useState } from 'react';
import { useOpenShoot } from './open-shoot';
import { likelyNext, type StepScreens } from './step-screens';
import type { ScreenId } from './steps';

/** Nothing is made ready before the hand has rested so long. */
const REST_MS = 1000;

interface Ready {
  readonly from: ScreenId;
  readonly screens: readonly ScreenId[];
}

const NONE: readonly ScreenId[] = [];

/**
 * Steps made ready while one looks at another: those that are likely next, as the shoot is now. With any change they
 * are let go, and made anew when it rests: a step is never shown as it would have been before.
 */
export function useMadeReady(
  open: ScreenId | undefined,
  screens: StepScreens,
): readonly ScreenId[] {
  const { shown, looked, undoable } = useOpenShoot();
  const [ready, setReady] = useState<Ready>();
  useEffect(() => {
    if (!open) return undefined;
    let timer: ReturnType<typeof setTimeout>;
    let turn = 0;
    const make = async () => {
      const mine = turn;
      const likely = likelyNext(open);
      // What can't be fetched now is fetched, and told of, when it is pressed.
      const there = await Promise.allSettled(likely.map((screen) => screens[screen].fetch()));
      if (mine !== turn) return;
      const made = likely.filter((_, i) => there[i]?.status === 'fulfilled');
      startTransition(() => setReady({ from: open, screens: made }));
    };
    const again = () => {
      turn += 1;
      setReady(undefined);
      clearTimeout(timer);
      timer = setTimeout(() => void make(), REST_MS);
    };
    again();
    const stops = [shown, looked, undoable].map((store) => store.subscribe(again));
    return () => {
      turn += 1;
      clearTimeout(timer);
      stops.forEach((stop) => stop());
    };
  }, [open, screens, shown, looked, undoable]);
  return ready && ready.from === open ? ready.screens : NONE;
}
