import { useMemo, useState } from 'react';
import type { MatchedFrame } from '@/answers/matched';
import type { Which } from './KeptOrAll';

/** Pictures that are looked at: the kept ones where some are, until all are asked for. */
export function useKept(frames: readonly MatchedFrame[]) {
  const someKept = frames.some(({ kept }) => kept);
  const [which, show] = useState<Which>();
  const only = which ?? (someKept ? 'kept' : 'all');
  const taken = useMemo(
    () => (only === 'kept' ? frames.filter(({ kept }) => kept) : frames),
    [frames, only],
  );
  return { taken, only, someKept, show };
}
