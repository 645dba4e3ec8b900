import { hashKey, keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Compared, CompareRequest } from '@/core';
import { useSearch, useShown } from '@/features/shoot/open-shoot';
import { useSettled } from '@/features/shoot/use-light-series';
import { requestComparison } from '@/workers/search-client';
import { compareRequestOf } from './compare';

/** The place one stands at, scored as Compare scores it, and what would better it; nothing while it is asked. */
export function useHereScored(): {
  readonly compared: Compared | undefined;
  readonly request: CompareRequest | undefined;
} {
  const { setup, seen, atMs, hours } = useShown('setup', 'seen', 'atMs', 'hours');
  const { wish } = useSearch('wish');
  const view = seen.ok ? seen.view : undefined;
  const asked = useMemo(
    () => view && { setup, view, wish, atMs, hours },
    [setup, view, wish, atMs, hours],
  );
  // The request is long: it is made once, when nothing is dragged any more.
  const still = useSettled(asked);
  const settled = useMemo(() => {
    if (!still) return undefined;
    const all = compareRequestOf(still.setup, still.view, still.wish, still.atMs, still.hours);
    const positions = all.positions.filter(({ id }) => id === still.view.position.id);
    return { ...all, positions };
  }, [still]);
  const key = useMemo(() => hashKey([settled]), [settled]);
  const { data } = useQuery({
    queryKey: ['here-scored', key],
    queryKeyHashFn: () => key,
    queryFn: async ({ signal }) => {
      const request = settled as CompareRequest;
      return { request, compared: (await requestComparison(request, signal))[0] };
    },
    enabled: settled !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 30_000,
    retry: false,
  });
  // Of another place it would be no answer to this one.
  const mine = seen.ok && data?.compared?.id === seen.view.position.id ? data : undefined;
  return { compared: mine?.compared, request: mine?.request };
}
