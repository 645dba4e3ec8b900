import { usePathname } from 'expo-router';
import { useEffect, useRef } from 'react';

/** A shoot is one screen, whichever of its steps is open. */
const screenOf = (path: string): string => path.split('/').slice(0, 3).join('/');

/** Focus goes to the heading of a screen that takes another's place; not to that of the first. */
export function useScreenFocus(): void {
  const screen = screenOf(usePathname());
  const before = useRef(screen);
  useEffect(() => {
    if (before.current === screen) return;
    before.current = screen;
    // The new screen is drawn first.
    const frame = requestAnimationFrame(() =>
      requestAnimationFrame(() => {
        const heading = document.querySelector<HTMLElement>('h1, [role=heading][aria-level="1"]');
        if (!heading) return;
        heading.tabIndex = -1;
        heading.focus({ preventScroll: true });
      }),
    );
    return () => cancelAnimationFrame(frame);
  }, [screen]);
}
