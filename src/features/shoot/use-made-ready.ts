import { startTransition, useEffect, useState } from 'react';
import { useOpenShoot } from './open-shoot';
import { likelyNext, type StepScreens } from './step-screens';
import type { ScreenId } from './steps';

/** Nothing is made ready before the hand has rested so long. */
const REST_MS = 1000;
/** Drawn while the page has nothing else to do, they are there after so long on a slow phone. */
const DRAWN_MS = 1000;

interface Ready {
  readonly screens: readonly ScreenId[];
  /** Whether they are drawn by now: one that is not is put together in slices, like any other. */
  readonly drawn: boolean;
}

const NONE: Ready = { screens: [], drawn: false };

/**
 * Steps made ready while one looks at another: those that are likely next, as the shoot is now. With any change they
 * are let go, and made anew when it rests: a step is never shown as it would have been before.
 */
export function useMadeReady(open: ScreenId | undefined, screens: StepScreens): Ready {
  const { shown, looked, undoable } = useOpenShoot();
  const [ready, setReady] = useState<Ready & { readonly from: ScreenId }>();
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
      const tell = (drawn: boolean) =>
        startTransition(() => setReady({ from: open, screens: made, drawn }));
      tell(false);
      timer = setTimeout(() => tell(true), DRAWN_MS);
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
  return ready && ready.from === open ? ready : NONE;
}
