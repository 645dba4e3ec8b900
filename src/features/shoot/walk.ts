import type { WalkPoint } from '@/answers/light-plan';
import { storeOf, type Store } from './store';

/** A walk over the ground with a meter: its points, and the one that is next. */
export interface Walk {
  readonly points: readonly WalkPoint[];
  readonly at: number;
}

export interface Walking {
  readonly walk: Walk | undefined;
}

export interface WalkTool {
  readonly now: Store<Walking>;
  readonly begin: (points: readonly WalkPoint[]) => void;
  /** To the next point; past the last one the walk is over. */
  readonly next: () => void;
  readonly end: () => void;
}

/** The walk of one shoot's page: the plan shows its next point. */
export function openWalk(): WalkTool {
  const now = storeOf<Walking>({ walk: undefined });
  return {
    now,
    begin: (points) => now.set({ walk: { points, at: 0 } }),
    next: () => {
      const { walk } = now.get();
      const more = walk && walk.at + 1 < walk.points.length;
      now.set({ walk: more ? { ...walk, at: walk.at + 1 } : undefined });
    },
    end: () => now.set({ walk: undefined }),
  };
}
