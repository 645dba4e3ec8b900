import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { noteSaveTrouble } from './queries';
import type { Quick } from './quick';
import { readQuick, writeQuick } from './storage';

const QUICK_KEY = ['quick'] as const;

/** The quick answer as it was left, and how to change it: seen and written at once. */
export function useQuick() {
  const client = useQueryClient();
  const { data } = useQuery({ queryKey: QUICK_KEY, queryFn: readQuick, staleTime: Infinity });
  const change = useCallback(
    (how: (quick: Quick) => Quick) => {
      const next = client.setQueryData<Quick>(QUICK_KEY, (now) => now && how(now));
      if (next) writeQuick(next).catch((error: unknown) => noteSaveTrouble(client, error));
    },
    [client],
  );
  return { quick: data, change };
}
