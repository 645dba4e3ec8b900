/**
 * What events are by the words in their names: which strand of a meet they belong to, how long it goes on where it is
 * dropped into, and the marks where it happens. How long each takes: common practice, no source; long and triple jump 75 to
 * 100 minutes, high jump 90 to 120, vault 100 to 140, throws 60 to 80. An athlete's own attempts come every six to twelve
 * minutes.
 */
interface Kind {
  readonly strand: string;
  readonly named: RegExp;
  readonly lastsMin?: number;
  /** Marks of the grounds, the likeliest first. */
  readonly at: readonly string[];
}

const DISTANCE_M = /\b(?:800|1[56]00|3000|3200|5000|10[ ,.]?000|mile|steeplechase)\b/i;

const KINDS: readonly Kind[] = [
  { strand: 'Warm-up', named: /\bwarm[- ]?ups?\b/i, lastsMin: 45, at: [] },
  {
    strand: 'Horizontal jumps',
    named: /\b(?:long|triple) jump\b/i,
    lastsMin: 90,
    at: ['long-jump'],
  },
  { strand: 'High jump', named: /\bhigh jump\b/i, lastsMin: 105, at: ['high-jump'] },
  { strand: 'Vault', named: /\b(?:pole )?vault\b/i, lastsMin: 120, at: ['vault', 'high-jump'] },
  {
    strand: 'Throws',
    named: /\b(?:shot(?: put)?|discus|javelin|hammer|weight throw)\b/i,
    lastsMin: 70,
    at: ['discus'],
  },
  {
    strand: 'Breaststroke and butterfly',
    named: /\b(?:breast(?:stroke)?|butterfly|fly)\b/i,
    at: ['breaststroke'],
  },
  { strand: 'Backstroke', named: /\bback(?:stroke)?\b/i, at: ['backstroke', 'freestyle'] },
  {
    strand: 'Freestyle and medley',
    named: /\b(?:free(?:style)?|medley|i\.?m\.?)\b/i,
    at: ['freestyle'],
  },
  {
    strand: 'Hurdles',
    named: /\bhurdles?\b|\b(?:60|80|100|110|300|400) ?m?h\b/i,
    at: ['hurdle-five'],
  },
  { strand: 'Relays', named: /\brelay\b|\b4 ?[x×] ?\d{2,4}\b/i, at: ['exchange', 'start'] },
  { strand: 'Distance', named: DISTANCE_M, at: ['bend', 'finish'] },
  {
    strand: 'Sprints',
    named:
      /\b(?:dash|sprint)\b|\b(?:50|55|60|75|80|100|200|300|400) ?(?:m|metres?|meters?|y(?:ar)?ds?)?\b/i,
    at: ['finish', 'freestyle'],
  },
];

const kindOf = (name: string): Kind | undefined => KINDS.find(({ named }) => named.test(name));

/** What no name tells more of. */
export const OTHER_STRAND = 'Everything else';

/** Which strand of a meet an event belongs to, by its name. */
export const strandNamed = (name: string): string => kindOf(name)?.strand ?? OTHER_STRAND;

/** Marks where an event of that name may happen, the likeliest first. */
export const marksNamed = (name: string): readonly string[] => kindOf(name)?.at ?? [];

/** How an event is dropped into. */
export interface UsualWindow {
  readonly visitMin: number;
  readonly visits: number;
}

/** A round of attempts, and no more than three of them; no source. */
export const FIRST_WINDOW: UsualWindow = { visitMin: 10, visits: 3 };

/** How an event of that name usually goes, where it is dropped into. */
export function windowNamed(
  name: string,
): { readonly durationMin: number; readonly window: UsualWindow } | undefined {
  const lastsMin = kindOf(name)?.lastsMin;
  return lastsMin === undefined ? undefined : { durationMin: lastsMin, window: FIRST_WINDOW };
}
