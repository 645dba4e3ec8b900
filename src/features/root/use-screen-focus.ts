import { usePathname } from 'expo-router';
import { useEffect, useRef } from 'react';

/** A shoot is one screen, whichever of its steps is open. */
const screenOf = (path: string): string => path.split('/').slice(0, 3).join('/');

/** A screen that is fetched or read first may take this long to have a heading. */
const WAIT_MS = 5000;
const LEADS_ON_MS = 1500;

/** The heading of a screen, or of the step that took another's place in it. */
const headingNow = (level: 1 | 2): HTMLElement | null =>
  document.querySelector<HTMLElement>(
    level === 1
      ? 'h1, [role=heading][aria-level="1"]'
      : '[role=main] h2, [role=main] [role=heading][aria-level="2"]',
  );

/**
 * Focus goes to the heading of a screen, or of a step, that takes another's place; not to that of the first. What
 * had it is gone with what was there before.
 */
export function useScreenFocus(): void {
  const path = usePathname();
  const before = useRef({ path, screenMs: -Infinity });
  useEffect(() => {
    const { path: last, screenMs } = before.current;
    if (last === path) return;
    const sinceMs = performance.now();
    const sameScreen = screenOf(last) === screenOf(path);
    // An address that leads on to a step at once is still the new screen.
    const level = sameScreen && sinceMs - screenMs > LEADS_ON_MS ? 2 : 1;
    before.current = { path, screenMs: sameScreen ? screenMs : sinceMs };
    let frame = 0;
    let focused: HTMLElement | undefined;
    // The old heading may stand for a while yet: the one that follows it is focused, too.
    const look = () => {
      const heading = headingNow(level);
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
  }, [path]);
}
