import { useLayoutEffect, useRef, useState, type RefObject } from 'react';
import type { View } from 'react-native';

const watched = new WeakMap<Element, () => void>();
let watcher: IntersectionObserver | undefined;

/** One for all rows of a page: they come near when a page more would show them. */
function watcherIn(page: Element): IntersectionObserver {
  if (watcher?.root === page) return watcher;
  watcher = new IntersectionObserver(
    (seen) => {
      for (const { isIntersecting, target } of seen) if (isIntersecting) watched.get(target)?.();
    },
    { root: page, rootMargin: '100% 0px' },
  );
  return watcher;
}

/**
 * Whether a row of a long page has come near what is shown of it, once; `ref` belongs on the row.
 * A focus in the row is taken along when its link is another one from then on.
 */
export function useNear(atOnce: boolean): { ref: RefObject<View | null>; near: boolean } {
  const ref = useRef<View>(null);
  const [near, setNear] = useState(atOnce);
  const focused = useRef(false);
  useLayoutEffect(() => {
    const row = ref.current as unknown as Element | null;
    if (!row) return;
    if (near) {
      if (focused.current) row.querySelector('a')?.focus({ preventScroll: true });
      return;
    }
    const page = row.closest('[role=main]');
    if (!page) return;
    const watching = watcherIn(page);
    watched.set(row, () => {
      watching.unobserve(row);
      focused.current = row.contains(document.activeElement);
      setNear(true);
    });
    watching.observe(row);
    return () => watching.unobserve(row);
  }, [near]);
  return { ref, near };
}
