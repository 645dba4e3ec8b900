import { GROUND_GROUPS, type GroundGroup, type GroundKind } from '@/presets/grounds/board';
import { groundById } from '@/presets/grounds';
import { phrasesOf } from '@/presets/shot-phrases';
import { wordsOf } from './place-index';

/** What a kind of ground is looked for by: its names, what is photographed there, the pictures wanted. */
const soughtBy = new Map<string, readonly string[]>(
  GROUND_GROUPS.flatMap(({ name, kinds }) =>
    kinds.map(({ id, short, words }) => [
      id,
      wordsOf(
        [short, words, name, groundById(id).name, ...phrasesOf(id).map((shot) => shot.name)].join(
          ' ',
        ),
      ),
    ]),
  ),
);

const isMeant = ({ id }: GroundKind, asked: readonly string[]): boolean =>
  asked.every((word) => soughtBy.get(id)?.some((known) => known.startsWith(word)));

/** The groups with only the kinds in which every word asked for begins a word of theirs. */
export function groupsFor(text: string): readonly GroundGroup[] {
  const asked = wordsOf(text);
  if (asked.length === 0) return GROUND_GROUPS;
  return GROUND_GROUPS.map(({ name, kinds }) => ({
    name,
    kinds: kinds.filter((entry) => isMeant(entry, asked)),
  })).filter(({ kinds }) => kinds.length > 0);
}
