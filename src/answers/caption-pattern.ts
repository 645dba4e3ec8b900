/** Captions from a pattern of one's own: its fields, and what goes where one is empty. */

/** Fields that a pattern may name. */
export const CAPTION_FIELDS = [
  'who',
  'names',
  'number',
  'school',
  'does',
  'event',
  'heat',
  'place',
  'date',
  'time',
  'photographer',
  'rights',
] as const;
type CaptionField = (typeof CAPTION_FIELDS)[number];

/** What is known of a picture, empty where it is not; `eventAlone` is the event without its heat. */
export type CaptionFields = Readonly<Record<Exclude<CaptionField, 'does'> | 'eventAlone', string>>;

const IN_BRACES = /\{([^{}]*)\}/g;
const IN_BRACKETS = /\[([^[\]]*)\]/g;
/** Divides parts in brackets, not words in braces. */
const BETWEEN_PARTS = /\|(?![^{}]*\})/;

const isField = (name: string): name is CaptionField =>
  (CAPTION_FIELDS as readonly string[]).includes(name);
/** "races|race": a word for one person and one for several. */
const isByCount = (inside: string): boolean => /^[^|]+\|[^|]+$/.test(inside);

/** What first stands in braces and is no field, to be changed; nothing where all are. */
export const unknownField = (pattern: string): string | undefined =>
  [...pattern.matchAll(IN_BRACES)]
    .map(([, inside = '']) => inside)
    .find((inside) => !isField(inside) && !isByCount(inside));

/**
 * A pattern with its fields filled in.
 *
 * Of what stands in brackets the first part is taken, of those divided by `|`, whose fields are all
 * known; none where no part's are. `{races|race}` says the first of one person, the second of
 * several, and is empty where nobody is named, as is `{does}`. `{event}` says the heat too, unless
 * the pattern has `{heat}`.
 *
 * @param peopleCount how many are named on the picture
 * @param does what they do there, of one and of several: "paddles", "paddle"
 */
export function filled(
  pattern: string,
  fields: CaptionFields,
  peopleCount: number,
  does: readonly [one: string, several: string],
): string {
  const byCount = ([one = '', several = '']: readonly string[]): string =>
    peopleCount === 0 ? '' : peopleCount === 1 ? one : several;
  const saysHeat = pattern.includes('{heat}');
  const valueOf = (inside: string): string | undefined => {
    if (!isField(inside)) return isByCount(inside) ? byCount(inside.split('|')) : undefined;
    if (inside === 'does') return byCount(does);
    return inside === 'event' && saysHeat ? fields.eventAlone : fields[inside];
  };
  const put = (text: string): string =>
    text.replace(IN_BRACES, (whole, inside: string) => valueOf(inside) ?? whole);
  const isKnown = (text: string): boolean =>
    [...text.matchAll(IN_BRACES)].every(([, inside = '']) => valueOf(inside) !== '');
  return put(
    pattern.replace(
      IN_BRACKETS,
      (_, parts: string) => parts.split(BETWEEN_PARTS).find(isKnown) ?? '',
    ),
  )
    .replace(/ {2,}/g, ' ')
    .trim();
}
