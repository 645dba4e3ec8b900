import { createContext, useContext, useMemo, useState } from 'react';
import type { WalkPoint } from '@/answers/light-plan';

/** A walk over the ground with a meter: its points, and the one that is next. */
export interface Walk {
  readonly points: readonly WalkPoint[];
  readonly at: number;
}

export interface WalkTool {
  readonly walk: Walk | undefined;
  readonly begin: (points: readonly WalkPoint[]) => void;
  /** To the next point; past the last one the walk is over. */
  readonly next: () => void;
  readonly end: () => void;
}

/** The walk of one shoot's page: the plan shows its next point. */
export function useWalk(): WalkTool {
  const [walk, setWalk] = useState<Walk>();
  return useMemo(
    () => ({
      walk,
      begin: (points) => setWalk({ points, at: 0 }),
      next: () =>
        setWalk((now) =>
          now && now.at + 1 < now.points.length ? { ...now, at: now.at + 1 } : undefined,
        ),
      end: () => setWalk(undefined),
    }),
    [walk],
  );
}

export const WalkContext = createContext<WalkTool | undefined>(undefined);

export function useWalkTool(): WalkTool {
  const tool = useContext(WalkContext);
  if (!tool) throw new Error('Must be used within a shoot');
  return tool;
}
