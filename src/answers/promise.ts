import { phrasesOf, type ShotPhrase } from '@/presets/shot-phrases';
import { FIRST_SHOT, type Shot } from '@/records/brief';
import { subjectOf } from '@/records/own-subject';
import type { Shoot } from '@/records/shoot';

/** Shots begun from what people want on this ground. */

type Promising = Pick<Shoot, 'ground' | 'marks' | 'subjects' | 'shots' | 'choice'>;

/** Phrases of the ground that no shot was made of yet. */
export const phrasesLeft = ({ ground, shots }: Promising): readonly ShotPhrase[] =>
  phrasesOf(ground.template).filter(({ name }) => shots.every((shot) => shot.name !== name));

/** A shot as its phrase has it, at the first mark of this shoot that it happens at. */
export function shotOf(shoot: Promising, phrase: ShotPhrase, id: string): Shot {
  const { at, sharp, ...taken } = phrase;
  const mark =
    at.map((wanted) => shoot.marks.find((entry) => entry.id === wanted)).find(Boolean) ??
    shoot.marks.find((entry) => entry.id === shoot.choice.markId) ??
    shoot.marks[0];
  const parts = mark ? subjectOf(shoot, mark.subjectId).parts.map(({ name }) => name) : [];
  return {
    ...FIRST_SHOT,
    ...taken,
    id,
    markId: mark?.id ?? shoot.choice.markId,
    // A part that this subject does not have is not asked to be sharp.
    ...(sharp !== undefined && parts.includes(sharp) && { sharp }),
  };
}
