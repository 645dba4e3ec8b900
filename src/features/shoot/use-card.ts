import { hashKey, keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { LightSeries, SettingsCard } from '@/core';
import { useSettled } from '@/features/shoot/use-light-series';
import type { View } from '@/answers/view';
import type { Shoot } from '@/records/shoot';
import type { ShootHours } from '@/records/times';
import { requestCard } from '@/workers/light-series-client';
import type { CardRequest } from '@/workers/light-series-job';
import { cardRequest } from './card';

/** A view's settings through the hours, from the worker; nothing while there is no view. */
export function useCard(
  view: View | undefined,
  choice: Shoot['choice'],
  series: LightSeries,
  hours: ShootHours,
): { readonly card: SettingsCard | undefined; readonly trouble: string | undefined } {
  const asked = useMemo(() => ({ view, choice, series }), [view, choice, series]);
  const settled = useSettled(asked);
  const request = useMemo(
    () => settled.view && cardRequest(settled.view, settled.choice, settled.series, hours),
    [settled, hours],
  );
  const key = useMemo(() => hashKey([request]), [request]);
  const { data, error } = useQuery({
    queryKey: ['card', key],
    queryKeyHashFn: () => key,
    queryFn: ({ signal }) => requestCard(request as CardRequest, signal),
    enabled: request !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 30_000,
    retry: false,
  });
  return { card: data, trouble: error?.message };
}
