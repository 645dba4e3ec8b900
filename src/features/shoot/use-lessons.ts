import { useMemo } from 'react';
import { demoShoots } from '@/demo/seed';
import { FIRST_PRACTICE } from '@/records/practice';
import { useShoots } from '@/records/queries';
import { PRACTICE } from '@/records/singles';
import { useSingle } from '@/records/use-single';
import { lessonsFor, type Lesson } from './lessons';
import { useShown } from './open-shoot';

/** What earlier shoots and practice teach the open one. */
export function useLessons(): readonly Lesson[] {
  const { shoot } = useShown('shoot');
  const all = useShoots(demoShoots).data;
  const { record: practice = FIRST_PRACTICE } = useSingle(PRACTICE);
  return useMemo(() => lessonsFor(shoot, all ?? [], practice), [shoot, all, practice]);
}
