import { startTransition, useEffect, useRef, useState } from 'react';

/** How often figures change while something is dragged: oftener nobody can read them. */
const PACE_MS = 150;

/**
 * A value as it is shown beside what the hand moves: at once while nothing is held, else some
 * six times a second.
 */
export function usePaced<T>(newest: T, held: boolean): T {
  const [paced, setPaced] = useState({ held, shown: newest });
  const latest = useRef(newest);
  useEffect(() => {
    latest.current = newest;
  });
  useEffect(() => {
    if (!held) return undefined;
    // In slices, so that no frame of the drag waits for all the figures.
    const show = () => setPaced({ held, shown: latest.current });
    const timer = setInterval(() => startTransition(show), PACE_MS);
    return () => clearInterval(timer);
  }, [held]);
  // Taken hold of or let go: from what is shown now.
  if (paced.held !== held) setPaced({ held, shown: newest });
  return held && paced.held ? paced.shown : newest;
}
