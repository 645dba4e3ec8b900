import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { noteSaveTrouble } from './queries';
import { readSingle, writeSingle, type Single } from './storage';

/** A record of which one is kept, and how to change it: seen and written at once. */
export function useSingle<T>(single: Single<T>) {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: [single.key],
    queryFn: () => readSingle(single),
    staleTime: Infinity,
  });
  const change = useCallback(
    (how: (record: T) => T) => {
      const next = client.setQueryData<T>([single.key], (now) => now && how(now));
      if (next) {
        writeSingle(single, next).catch((error: unknown) => noteSaveTrouble(client, error));
      }
    },
    [client, single],
  );
  return { record: data, change };
}
