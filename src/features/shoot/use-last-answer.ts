import { useEffect } from 'react';
import { keepLastAnswer } from '@/records/last-answer';
import { lastAnswerOf } from './last-answer';
import type { Plan } from './use-plan';

/** What stands still for this long is what was last seen. */
const QUIET_MS = 1500;

/** Keeps what the line of answer says, to be shown at once when the shoot is opened again. */
export function useLastAnswer({ shoot, seen, outlook, atMs, clock }: Plan): void {
  useEffect(() => {
    if (!seen.ok || outlook.unknown) return undefined;
    const { exposure } = seen.answer;
    const keep = () =>
      void keepLastAnswer(lastAnswerOf(shoot, exposure, outlook, { atMs, clock })).catch(
        () => undefined,
      );
    const timer = setTimeout(keep, QUIET_MS);
    return () => clearTimeout(timer);
  }, [shoot, seen, outlook, atMs, clock]);
}
