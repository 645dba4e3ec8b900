import { hashKey, keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { isSunless } from '@/core';
import { shadeRequest } from '@/answers/shade';
import type { Shade } from '@/answers/shades-on';
import { requestShades } from '@/workers/light-series-client';
import { useShown } from './open-shoot';
import { useSettled } from './use-light-series';

/** Whose shade lies on the mark in hand in these hours, from the worker; nothing while it is asked for. */
export function useShades(): readonly Shade[] | undefined {
  const { shoot, seen, setup } = useShown('shoot', 'seen', 'setup');
  const { startLocal, endLocal, place } = shoot;
  const { features } = setup;
  const view = seen.ok && !isSunless(setup.light) ? seen.view : undefined;
  const asked = useMemo(
    () =>
      view && shadeRequest({ features, startLocal, endLocal, place }, view.scene, view.position),
    [view, features, startLocal, endLocal, place],
  );
  const settled = useSettled(asked);
  const key = useMemo(() => hashKey([settled]), [settled]);
  const { data } = useQuery({
    queryKey: ['shades', key],
    queryKeyHashFn: () => key,
    queryFn: ({ signal }) => requestShades(settled as NonNullable<typeof settled>, signal),
    enabled: settled !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 30_000,
    retry: false,
  });
  return data;
}
