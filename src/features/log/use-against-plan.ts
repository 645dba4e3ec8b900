import { hashKey, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Setup } from '@/answers/view';
import { planComparer, type AgainstPlan } from '@/answers/against-plan';
import type { Press } from '@/answers/matched';

const NONE: ReadonlyMap<string, AgainstPlan> = new Map();
/** Longest stretch of work before the page may answer again. */
const TURN_MS = 10;

/** Every press against the plan, computed between other things, by the key of its first frame. */
export function useAgainstPlan(
  setup: Setup,
  presses: readonly Press[],
): ReadonlyMap<string, AgainstPlan> {
  const key = useMemo(
    () => hashKey([setup, presses.map(({ frames }) => [frames[0]?.key, frames[0]?.atMs])]),
    [setup, presses],
  );
  const { data } = useQuery({
    queryKey: ['against-plan', key],
    queryKeyHashFn: () => key,
    queryFn: async ({ signal }) => {
      const compare = planComparer(setup);
      const found = new Map<string, AgainstPlan>();
      let since = performance.now();
      for (const press of presses) {
        const against = compare(press);
        const first = press.frames[0];
        if (against && first) found.set(first.key, against);
        if (performance.now() - since < TURN_MS) continue;
        await new Promise((done) => setTimeout(done, 0));
        if (signal.aborted) return NONE;
        since = performance.now();
      }
      return found;
    },
    enabled: presses.length > 0,
    staleTime: Infinity,
    gcTime: 30_000,
  });
  return data ?? NONE;
}
