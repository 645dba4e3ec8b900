import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { hashKey, keepPreviousData, useQuery } from '@tanstack/react-query';
import { EMPTY_SERIES, type HeardReading, type LightSeries, type LitScene } from '@/core';
import { requestLightSeries } from '@/workers/light-series-client';

const STEP_S = 60;
const KEPT_MS = 30_000;
/** A scene that changes faster than this, as under a drag, is not asked for: longer than its pace. */
const SETTLE_MS = 220;

/** A value once it has stood still for a while; the first at once. */
export function useSettled<T>(value: T): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), SETTLE_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return settled;
}

interface AskedLight {
  readonly scene: LitScene;
  readonly heard: readonly HeardReading[];
}

/**
 * Light on the face at one-minute steps, from the worker. While a new series is being computed the
 * last one stays; a series that is no longer wanted is cancelled.
 */
export function useLightSeries(
  scene: LitScene | undefined,
  heard: readonly HeardReading[],
  fromMs: number,
  toMs: number,
): { readonly series: LightSeries; readonly trouble: string | undefined } {
  const asked = useMemo(() => scene && { scene, heard }, [scene, heard]);
  const wanted = useSettled(asked);
  // A scene with all its obstacles is long: it is written out once, not at every drawing.
  const key = useMemo(() => hashKey([wanted, fromMs, toMs]), [wanted, fromMs, toMs]);
  const { data, error } = useQuery({
    queryKey: ['light-series', key],
    queryKeyHashFn: () => key,
    queryFn: ({ signal }) =>
      requestLightSeries({ ...(wanted as AskedLight), fromMs, toMs, stepS: STEP_S }, signal),
    enabled: wanted !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: KEPT_MS,
    retry: false,
  });
  // What stands on it is drawn again in slices: nobody's hand is on it.
  const series = useDeferredValue(data ?? EMPTY_SERIES);
  return { series, trouble: error?.message };
}
