import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { changeRecord } from './queries';
import { readSingle, type Any } from './storage';
import { type Single } from './singles';

const singleQuery = <T extends Any>(single: Single<T>) =>
  queryOptions({
    queryKey: [single.key],
    queryFn: () => readSingle(single),
    staleTime: Infinity,
  });

/** A record of which one is kept, and how to change it: seen at once and written a moment later. */
export function useSingle<T extends Any>(single: Single<T>) {
  const client = useQueryClient();
  const { data } = useQuery(singleQuery(single));
  const change = useCallback(
    (how: (record: T) => T) => {
      const on = (before: T) => void changeRecord(client, single.key, before, how(before));
      const before = client.getQueryData<T>([single.key]);
      // What is changed before it was read waits for that.
      if (before) on(before);
      else
        void client.ensureQueryData(singleQuery(single)).then(() => {
          const read = client.getQueryData<T>([single.key]);
          if (read) on(read);
        });
    },
    [client, single],
  );
  return { record: data, change };
}
