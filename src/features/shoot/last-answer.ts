import type { Exposure } from '@/core';
import type { Outlook } from '@/answers/answer';
import { openingOf } from '@/answers/opening';
import type { LastAnswer } from '@/records/last-answer';
import type { Shoot } from '@/records/shoot';
import { clockOf } from '@/records/times';
import { untilInWords } from './exposure-words';
import { engraved } from './words';

/** What a shoot's line of answer says, to be kept beside it. */
export function lastAnswerOf(
  { id, updatedAt, choice }: Pick<Shoot, 'id' | 'updatedAt' | 'choice'>,
  exposure: Exposure,
  outlook: Outlook,
  at: { readonly atMs: number; readonly clock: (ms: number) => string },
): LastAnswer {
  const held = Object.keys(choice.held).length > 0;
  const [now, then] = untilInWords(exposure, outlook, { ...at, held });
  return { id, updatedAt, ...engraved(exposure.settings), now, then };
}

/** What a shoot's line of answer says as it opens. */
export function openingAnswerOf(shoot: Shoot): LastAnswer | undefined {
  const opening = openingOf(shoot);
  const clock = (ms: number) => clockOf(ms, shoot.place.timeZone);
  return (
    opening &&
    lastAnswerOf(shoot, opening.answer.exposure, opening.outlook, { atMs: opening.atMs, clock })
  );
}
