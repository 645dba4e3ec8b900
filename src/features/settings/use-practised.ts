import { useMemo } from 'react';
import { momentPractised } from '@/answers/practised';
import { jumpPresses } from '@/answers/taught';
import { demoShoots } from '@/demo/seed';
import { earlierOf, PRESS_LESSON } from '@/features/shoot/lessons';
import { useShown } from '@/features/shoot/open-shoot';
import { useShoots } from '@/records/queries';
import { PRACTICE } from '@/records/singles';
import { useSingle } from '@/records/use-single';
import type { Practised } from './motion-words';

/** How one presses, as practised, where the plan is to reckon with that. */
export function usePractised(): Practised {
  const { record } = useSingle(PRACTICE);
  const { shoot } = useShown('shoot');
  const all = useShoots(demoShoots).data;
  const used = shoot.log.lessons.some(({ id, use }) => id === PRESS_LESSON && use);
  return useMemo(
    () =>
      record && used
        ? {
            leaving: momentPractised(record, 'leaving'),
            jump: momentPractised(record, 'jump'),
            field: jumpPresses(earlierOf(shoot, all ?? [])),
          }
        : {},
    [record, used, shoot, all],
  );
}
