import { useMemo } from 'react';
import { matchedFrames } from '@/answers/matched';
import { stepStates } from '@/answers/step-states';
import { deliveredOf } from '@/answers/taught';
import { demoShoots } from '@/demo/seed';
import { guessesInShort } from '@/features/shoot/guess-words';
import { lackInWords } from '@/features/shoot/step-words';
import { useShoot } from '@/records/queries';
import { clockOf } from '@/records/times';
import { Text } from '@/ui/Text';

const SETTLED = 'Shots, place, kit and day settled';

/** What is unsettled of a shoot to come, or what came of a past one: its record is read whole, behind the list. */
export function ShootState({ id, past }: { readonly id: string; readonly past: boolean }) {
  const { data: shoot } = useShoot(id, demoShoots);
  const words = useMemo(() => {
    if (!shoot) return '';
    if (past) {
      const delivered = deliveredOf(shoot, matchedFrames(shoot));
      const had = delivered.filter(({ delivered: came, quota }) => came >= quota).length;
      return delivered.length === 0 ? '' : `${had} of ${delivered.length} shots delivered`;
    }
    const clock = (ms: number) => clockOf(ms, shoot.place.timeZone);
    const lacks = Object.values(stepStates(shoot)).flatMap((state) =>
      state.state === 'lacking' ? [lackInWords(state.lack, clock)] : [],
    );
    // The light of the dials is not asked here: it is looked through when the shoot is open.
    const unsettled = lacks.length === 0 ? SETTLED : `Unsettled: ${lacks.join('; ')}`;
    const guesses = guessesInShort(shoot);
    return guesses ? `${lacks.length > 0 ? `${unsettled}. ` : ''}${guesses}` : unsettled;
  }, [shoot, past]);
  return words ? <Text kind="small">{words}</Text> : null;
}
