import { hashKey, keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useShootPage } from '@/features/plan/ShootContext';
import { useSettled } from '@/features/plan/use-light-series';
import { requestDay } from '@/workers/day-client';
import type { DayReply, DayRequest } from '@/workers/day-job';
import type { RibbonStay } from '@/figures/TimeRibbon';
import { dayLines, type DayLine } from './day-lines';
import { dayRequestOf } from './day-request';
import { legsOf } from './route-legs';

export interface Day {
  readonly lines: readonly DayLine[];
  readonly quality: DayReply['quality'] | undefined;
  readonly planning: boolean;
  readonly trouble: string | undefined;
}

/** The day of the shoot whose page this is, planned in the worker. One plan for all who ask. */
export function useDay(): Day {
  const { shoot, setup } = useShootPage().plan;
  const { events, day } = shoot;
  const { shots, marks, positions, kit, subjects, ground, features, place, light, choice } = setup;
  const { markId, orientation } = choice;
  const request = useMemo(
    () =>
      dayRequestOf({
        ...{ events, day, shots, marks, positions, kit, subjects, ground, features, place, light },
        choice: { markId, orientation },
      }),
    [
      events,
      day,
      shots,
      marks,
      positions,
      kit,
      subjects,
      ground,
      features,
      place,
      light,
      markId,
      orientation,
    ],
  );
  const settled = useSettled(request);
  const key = useMemo(() => hashKey([settled]), [settled]);
  const { data, error, isFetching } = useQuery({
    queryKey: ['day', key],
    queryKeyHashFn: () => key,
    queryFn: ({ signal }) => requestDay(settled as DayRequest, signal),
    enabled: settled !== undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 30_000,
    retry: false,
  });
  const lines = useMemo(
    () => dayLines({ events, day, place, positions }, data?.route),
    [events, day, place, positions, data],
  );
  return {
    lines,
    quality: data?.quality,
    planning: isFetching || settled !== request,
    trouble: error?.message,
  };
}

/** Where one is through the day, for the ribbon: a stay at each place, the walks left open. */
export function useDayOnRibbon(): readonly RibbonStay[] {
  const { positions } = useShootPage().plan.shoot;
  const { lines } = useDay();
  return useMemo(
    () =>
      legsOf(lines, positions).map(({ readyMs, untilMs }, i) => ({
        fromMs: readyMs,
        toMs: untilMs,
        name: String(i + 1),
      })),
    [lines, positions],
  );
}
