import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { changeRecord } from './queries';
import { readSingle, type Any, type Single } from './storage';

/** A record of which one is kept, and how to change it: seen at once and written a moment later. */
export function useSingle<T extends Any>(single: Single<T>) {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: [single.key],
    queryFn: () => readSingle(single),
    staleTime: Infinity,
  });
  const change = useCallback(
    (how: (record: T) => T) => {
      const before = client.getQueryData<T>([single.key]);
      if (before) changeRecord(client, single.key, before, how(before));
    },
    [client, single],
  );
  return { record: data, change };
}
