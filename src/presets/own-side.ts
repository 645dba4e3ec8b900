import { groundById } from './grounds';

/**
 * An athlete's own foot, hand or breathing side chooses on which side of the mat, the plate or the lane they are met:
 * a ground has a mark for each.
 */

export type Trait = 'foot' | 'hand' | 'breathes';
export type OwnSide = 'left' | 'right' | 'both';
export type Sided = Readonly<Partial<Record<Trait, OwnSide>>>;

/**
 * The mark where those people are met, by what they all have in common; any other mark is itself.
 * @param thrown switches of the ground that are thrown: then its marks have changed sides
 */
export function markOfSide(
  markId: string,
  people: readonly Sided[],
  { template, thrown }: { readonly template: string; readonly thrown: readonly string[] },
): string {
  const lever = (groundById(template).switches ?? []).find(({ own }) =>
    own?.marks.includes(markId),
  );
  if (!lever?.own) return markId;
  const { trait, marks, sides } = lever.own;
  const [side, ...others] = new Set(
    people.flatMap((person) => {
      const own = person[trait];
      return own && own !== 'both' ? [own] : [];
    }),
  );
  if (!side || others.length > 0) return markId;
  const at = sides.indexOf(side);
  return marks[thrown.includes(lever.id) ? 1 - at : at] ?? markId;
}
