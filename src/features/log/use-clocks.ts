import { hashKey, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Shoot } from '@/records/shoot';
import { requestClocks } from '@/workers/pictures-client';

/** How the cameras' clocks stand by what their pictures line up with, from the worker. */
export function useClocks({ log, place, events }: Pick<Shoot, 'log' | 'place' | 'events'>) {
  const key = useMemo(
    () => hashKey([log.entries, log.frames, log.clocks, place.timeZone, events]),
    [log, place, events],
  );
  return useQuery({
    queryKey: ['clocks', key],
    queryKeyHashFn: () => key,
    queryFn: ({ signal }) => requestClocks({ log, place, events }, signal),
    enabled: log.frames.length > 0,
    staleTime: Infinity,
    gcTime: 30_000,
    // What was found before stays while a clock is set by hand, step by step.
    placeholderData: (before) => before,
  });
}
