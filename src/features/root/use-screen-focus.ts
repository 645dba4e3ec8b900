import { usePathname } from 'expo-router';
import { useEffect, useRef } from 'react';

/** A shoot is one screen, whichever of its steps is open. */
const screenOf = (path: string): string => path.split('/').slice(0, 3).join('/');

/** A screen that is fetched or read first may take this long to have a heading. */
const WAIT_MS = 5000;

const headingNow = (): HTMLElement | null =>
  document.querySelector<HTMLElement>('h1, [role=heading][aria-level="1"]');

/** Focus goes to the heading of a screen that takes another's place; not to that of the first. */
export function useScreenFocus(): void {
  const screen = screenOf(usePathname());
  const before = useRef(screen);
  useEffect(() => {
    if (before.current === screen) return;
    before.current = screen;
    const sinceMs = performance.now();
    let frame = 0;
    let focused: HTMLElement | undefined;
    // The old screen's heading may stand for a while yet: the one that follows it is focused, too.
    const look = () => {
      const heading = headingNow();
      const elsewhere =
        document.activeElement !== focused && document.activeElement !== document.body;
      if (focused?.isConnected && elsewhere) return;
      if (heading && heading !== focused) {
        focused = heading;
        heading.tabIndex = -1;
        heading.focus({ preventScroll: true });
      }
      if (performance.now() - sinceMs < WAIT_MS) frame = requestAnimationFrame(look);
    };
    frame = requestAnimationFrame(look);
    return () => cancelAnimationFrame(frame);
  }, [screen]);
}
