import { useMemo } from 'react';
import { momentPractised } from '@/answers/practised';
import { PRESS_LESSON } from '@/features/shoot/lessons';
import { useShown } from '@/features/shoot/open-shoot';
import { PRACTICE } from '@/records/storage';
import { useSingle } from '@/records/use-single';
import type { Practised } from './motion-words';

/** How one presses, as practised, where the plan is to reckon with that. */
export function usePractised(): Practised {
  const { record } = useSingle(PRACTICE);
  const { shoot } = useShown('shoot');
  const used = shoot.log.lessons.some(({ id, use }) => id === PRESS_LESSON && use);
  return useMemo(
    () =>
      record && used
        ? {
            leaving: momentPractised(record, 'leaving'),
            jump: momentPractised(record, 'jump'),
          }
        : {},
    [record, used],
  );
}
