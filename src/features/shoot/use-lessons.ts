import { useMemo } from 'react';
import { demoShoots } from '@/demo/seed';
import { FIRST_PRACTICE } from '@/records/practice';
import { useShoots } from '@/records/queries';
import { PRACTICE } from '@/records/singles';
import { useSingle } from '@/records/use-single';
import type { Lesson } from './lesson';
import { earlierOf, lessonsFor } from './lessons';
import { useShown } from './open-shoot';
import { useLookedThrough } from './use-looked-through';

/** What earlier shoots and practice teach the open one; nothing until they have been looked through. */
export function useLessons(): readonly Lesson[] | undefined {
  const { shoot } = useShown('shoot');
  const all = useShoots(demoShoots).data;
  const { record: practice = FIRST_PRACTICE } = useSingle(PRACTICE);
  const isLooked = useLookedThrough(all ? earlierOf(shoot, all) : []);
  return useMemo(
    () => (isLooked && all ? lessonsFor(shoot, all, practice) : undefined),
    [isLooked, shoot, all, practice],
  );
}
