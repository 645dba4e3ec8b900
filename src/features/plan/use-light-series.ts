import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { EMPTY_SERIES, type LightSeries, type LitScene } from '@/core';
import { requestLightSeries } from '@/workers/light-series-client';

const STEP_S = 60;
const KEPT_MS = 30_000;

/**
 * Light on the face at one-minute steps, from the worker. While a new series is being computed the
 * last one stays; a series that is no longer wanted is cancelled.
 */
export function useLightSeries(
  scene: LitScene | undefined,
  fromMs: number,
  toMs: number,
): { readonly series: LightSeries; readonly trouble: string | undefined } {
  const { data, error } = useQuery({
    queryKey: ['light-series', scene, fromMs, toMs],
    queryFn: ({ signal }) =>
      requestLightSeries({ scene: scene as LitScene, fromMs, toMs, stepS: STEP_S }, signal),
    enabled: scene !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: KEPT_MS,
    retry: false,
  });
  return { series: data ?? EMPTY_SERIES, trouble: error?.message };
}
