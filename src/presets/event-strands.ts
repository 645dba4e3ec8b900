/**
 * What events are by the words in their names: which strand of a meet they belong to, how long it goes on where it is
 * dropped into, and the marks where it happens. How long each takes: common practice, no source; long and triple jump 75 to
 * 100 minutes, high jump 90 to 120, vault 100 to 140, throws 60 to 80. An athlete's own attempts come every six to twelve
 * minutes. In a distance race they pass every lap, and a match has two halves; how long these take: no source.
 */
interface Kind {
  readonly strand: string;
  readonly named: RegExp;
  readonly lastsMin?: number;
  /** How it is dropped into, where that is not a round of attempts. */
  readonly window?: UsualWindow;
  /** Marks of the grounds, the likeliest first. */
  readonly at: readonly string[];
}

/** How an event is dropped into. */
export interface UsualWindow {
  readonly visitMin: number;
  readonly visits: number;
}

/** A passing and a lap's time to spare, twice in a race. No source. */
const LAPS: UsualWindow = { visitMin: 2, visits: 2 };
/** A part of each half. No source. */
const HALVES: UsualWindow = { visitMin: 20, visits: 2 };

const DISTANCE = { strand: 'Distance', window: LAPS, at: ['bend', 'finish'] } as const;

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
  { strand: 'Matches', named: /\b(?:match|game)\b/i, lastsMin: 90, window: HALVES, at: [] },
  {
    strand: 'Freestyle and medley',
    named: /\b(?:800|1000|1500|1650) ?(?:m|y|yd)? free(?:style)?\b/i,
    ...{ lastsMin: 15, window: LAPS, at: ['freestyle'] },
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
  { ...DISTANCE, named: /\b10[ ,.]?000\b/, lastsMin: 38 },
  { ...DISTANCE, named: /\b5000\b/, lastsMin: 18 },
  { ...DISTANCE, named: /\b(?:3000|3200|steeplechase)\b/i, lastsMin: 12 },
  { ...DISTANCE, named: /\b(?:1[56]00|mile)\b/i, lastsMin: 6 },
  { strand: 'Distance', named: /\b800\b/, at: ['bend', 'finish'] },
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

/** A round of attempts, and no more than three of them; no source. */
export const FIRST_WINDOW: UsualWindow = { visitMin: 10, visits: 3 };

/** How an event of that name usually goes, where it is dropped into. */
export function windowNamed(
  name: string,
): { readonly durationMin: number; readonly window: UsualWindow } | undefined {
  const { lastsMin, window = FIRST_WINDOW } = kindOf(name) ?? {};
  return lastsMin === undefined ? undefined : { durationMin: lastsMin, window };
}

/** Rounds before the one that counts, and what stands beside the competition. */
const LESS =
  /\b(?:prelim(?:s|inary|inaries)?|qualif(?:ying|iers?|ications?)|trials?|semi[- ]?finals?|warm[- ]?ups?|training|practice)\b/i;

/** What an event of that name is worth when nobody says: rounds that lead to another count less. No source. */
export const worthNamed = (name: string): 'should' | 'could' =>
  LESS.test(name) ? 'could' : 'should';
