import { useMemo } from 'react';
import { momentPractised } from '@/answers/practised';
import { PRACTICE } from '@/records/storage';
import { useSingle } from '@/records/use-single';
import type { Practised } from './motion-words';

/** How one presses, as practised. */
export function usePractised(): Practised {
  const { record } = useSingle(PRACTICE);
  return useMemo(
    () =>
      record
        ? {
            leaving: momentPractised(record, 'leaving'),
            jump: momentPractised(record, 'jump'),
          }
        : {},
    [record],
  );
}
