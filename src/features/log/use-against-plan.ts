import { hashKey } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Setup } from '@/answers/view';
import { plannedFor, planComparer, type AgainstPlan } from '@/answers/against-plan';
import type { Press } from '@/answers/matched';
import { useInTurns } from '@/features/shoot/use-in-turns';

const NONE: ReadonlyMap<string, AgainstPlan> = new Map();

/** Every press against the plan, computed between other things, by the key of its first frame. */
export function useAgainstPlan(
  setup: Setup,
  presses: readonly Press[],
): ReadonlyMap<string, AgainstPlan> {
  const key = useMemo(
    () => hashKey([setup, presses.map(({ frames }) => [frames[0]?.key, frames[0]?.atMs])]),
    [setup, presses],
  );
  const found = useInTurns('against-plan', key, () => {
    const compare = planComparer(plannedFor(setup));
    return presses.map((press) => () => [press.frames[0]?.key ?? '', compare(press)] as const);
  });
  return useMemo(
    () =>
      found
        ? new Map(found.flatMap(([first, against]) => (against ? [[first, against]] : [])))
        : NONE,
    [found],
  );
}
