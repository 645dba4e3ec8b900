import { useCallback, useEffect, useRef } from 'react';

/**
 * Counts on from a value that is drawn later than it is changed: presses that come faster than drawings count
 * from one another. Answers with the value a step leads to; nothing when that is not allowed, and then it
 * stays where it is.
 */
export function useCounted(
  value: number,
): (step: number, allowed: (next: number) => boolean) => number | undefined {
  const counted = useRef(value);
  useEffect(() => {
    counted.current = value;
  });
  return useCallback((step, allowed) => {
    const next = counted.current + step;
    if (!allowed(next)) return undefined;
    counted.current = next;
    return next;
  }, []);
}
