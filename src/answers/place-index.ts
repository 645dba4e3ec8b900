import { distance } from 'fastest-levenshtein';
import { LONGEST_NAME, type FoundPlace, type PlaceList } from '@/records/place';

/**
 * Places by name, from two letters on: every word of a name or of another name of it, by its beginning,
 * with or without accents, with a slip or two; then the largest first. Any further word may also be the
 * beginning of a region or country.
 */

/**
 * All words in order, and where each stands: of word i from entries[starts[i]] to entries[starts[i + 1] − 1].
 * An entry is four times the place's number and {@link STANDS}, how it stands there.
 */
export interface PlaceWords {
  readonly words: readonly string[];
  readonly starts: ArrayLike<number>;
  readonly entries: ArrayLike<number>;
}

/** As the first word of the name, within it, as the first of another name, within that. */
const STANDS = { first: 0, within: 1, otherFirst: 2, otherWithin: 3 } as const;
/** How many times as far down the list that puts a place. */
const STANDS_WEIGHT = [1, 4, 6, 60] as const;
/** Of a few letters nobody means the beginning of what others call it. */
const SHORT_STANDS_WEIGHT = [1, 4, 40, Infinity] as const;
/** As much further down a place is that only lies in what was named. */
const LIES_IN_WEIGHT = 4;

/** Letters that no accent can be taken off. */
const PLAIN: Readonly<Record<string, string>> = {
  ß: 'ss',
  ø: 'o',
  ł: 'l',
  đ: 'd',
  ð: 'd',
  þ: 'th',
  æ: 'ae',
  œ: 'oe',
  ı: 'i',
};

/** The words of a name as they are compared: "Saint-Étienne" as saint, etienne. */
export function wordsOf(text: string): string[] {
  return text
    .normalize('NFKD')
    .replace(/[\p{M}'’‘ʼ`´.]/gu, '')
    .toLowerCase()
    .replace(/[ßøłđðþæœı]/g, (letter) => PLAIN[letter] as string)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
}

/** How each word of a place's names stands there: the nearest to the front, if more than once. */
function standingOf(name: string, alsoNamed: string): ReadonlyMap<string, number> {
  const standing = new Map<string, number>();
  [name, ...alsoNamed.split('|')].forEach((text, which) => {
    wordsOf(text).forEach((word, at) => {
      const stands = (which > 0 ? STANDS.otherFirst : STANDS.first) + (at > 0 ? 1 : 0);
      standing.set(word, Math.min(stands, standing.get(word) ?? stands));
    });
  });
  return standing;
}

/** Which words stand in which places, to be looked up. */
export function placeWordsOf({ names, alsoNamed }: PlaceList): PlaceWords {
  const entriesOf = new Map<string, number[]>();
  names.forEach((name, id) => {
    for (const [word, stands] of standingOf(name, alsoNamed[id] ?? '')) {
      const known = entriesOf.get(word);
      if (known) known.push(id * 4 + stands);
      else entriesOf.set(word, [id * 4 + stands]);
    }
  });
  const words = [...entriesOf.keys()].sort();
  const starts = [0];
  const entries: number[] = [];
  for (const word of words) {
    for (const entry of entriesOf.get(word) as number[]) entries.push(entry);
    starts.push(entries.length);
  }
  return { words, starts, entries };
}

/** Which letters a word has, one bit each: words that differ in many can't be a slip apart. */
function lettersOf(word: string): number {
  let letters = 0;
  for (let i = 0; i < word.length; i += 1) letters |= 1 << (word.charCodeAt(i) & 31);
  return letters;
}

function bitsOf(letters: number): number {
  let bits = 0;
  for (let left = letters; left; left &= left - 1) bits += 1;
  return bits;
}

/** Slips that are looked past: none in a short word, where everything is a slip away. */
const slipsIn = (word: string): number =>
  word.length < 4 ? 0 : word.length < 6 ? 1 : word.length < 10 ? 2 : 3;

/** A word with two neighbours the wrong way round counts as one slip. */
const swapsOf = (word: string): readonly string[] =>
  Array.from(
    { length: word.length - 1 },
    (_, i) => word.slice(0, i) + word.charAt(i + 1) + word.charAt(i) + word.slice(i + 2),
  );

/** A place counts as this many times as far down for each slip, and as far up if it is named just so. */
const SLIP_WEIGHT = 50;
const NAMED_SO_WEIGHT = 100;
/** As far up if a word is a whole one and not the beginning of one. */
const WHOLE_WORD_WEIGHT = 4;
/** A beginning as short as this is looked for at the front of names, and within a place's own. */
const SHORT_LETTERS = 3;
export class PlaceIndex {
  private readonly letters: Int32Array;
  /** Words of a country's and a region's name, as they are compared. */
  private readonly countryWords: readonly (readonly string[])[];
  private readonly regionWords: readonly (readonly string[])[];

  constructor(
    private readonly list: PlaceList,
    private readonly index: PlaceWords,
    countryName: (code: string) => string,
  ) {
    this.letters = Int32Array.from(index.words, lettersOf);
    this.countryWords = list.countries.map((code) => wordsOf(`${countryName(code)} ${code}`));
    this.regionWords = list.regions.map((name, i) =>
      wordsOf(`${name} ${list.regionCodes[i] ?? ''}`),
    );
  }

  /** The places a text may mean, the likeliest first; none for fewer than two letters. */
  find(text: string, most = 8): readonly FoundPlace[] {
    const asked = wordsOf(text.slice(0, LONGEST_NAME));
    if (asked.join('').length < 2) return [];
    const written = this.weighed(asked, false);
    // What begins as it is written is meant so; only else may it be a slip.
    const found = written.begins ? written : this.weighed(asked, true);
    return [...found.weights]
      .sort(([, a], [, b]) => a - b)
      .slice(0, most)
      .map(([id]) => this.placeOf(id));
  }

  private placeOf(id: number): FoundPlace {
    const { names, countries, country, regions, region, latitude, longitude } = this.list;
    const named = regions[region[id] as number];
    return {
      name: names[id] as string,
      ...(named && { region: named }),
      country: countries[country[id] as number] as string,
      latitudeDeg: (latitude[id] as number) / 1000,
      longitudeDeg: (longitude[id] as number) / 1000,
    };
  }

  /**
   * Places in which every asked word stands, each with its weight: the smaller, the likelier. And whether
   * one of them has a name that begins so.
   */
  private weighed(asked: readonly string[], withSlips: boolean) {
    const [first, ...others] = asked.map((word) => this.weightById(word, withSlips));
    const weights = new Map<number, number>();
    let begins = false;
    for (const [id, weight] of first as ReadonlyMap<number, number>) {
      let all = weight;
      for (let i = 0; i < others.length && all < Infinity; i += 1) {
        const inName = (others[i] as ReadonlyMap<number, number>).get(id) ?? Infinity;
        all *= Math.min(
          inName,
          this.liesIn(id, asked[i + 1] as string) ? LIES_IN_WEIGHT : Infinity,
        );
      }
      if (all === Infinity) continue;
      weights.set(id, (id + 1) * all);
      begins ||= weight <= SHORT_STANDS_WEIGHT[STANDS.otherFirst];
    }
    const written = asked.join(' ');
    for (const id of this.idsOf(asked[0] as string)) {
      const weight = weights.get(id);
      if (weight !== undefined && this.isNamed(id, written)) {
        weights.set(id, weight / NAMED_SO_WEIGHT);
      }
    }
    return { weights, begins };
  }

  private liesIn(id: number, word: string): boolean {
    const { country, region } = this.list;
    const begins = (known: string) => known.startsWith(word);
    return (
      (this.countryWords[country[id] as number] ?? []).some(begins) ||
      (this.regionWords[region[id] as number] ?? []).some(begins)
    );
  }

  private isNamed(id: number, written: string): boolean {
    const all = `${this.list.names[id] as string}|${this.list.alsoNamed[id] ?? ''}`.split('|');
    return all.some((name) => wordsOf(name).join(' ') === written);
  }

  /** Places with a word that begins so, or that is a slip away: what that weighs. */
  private weightById(word: string, withSlips: boolean): ReadonlyMap<number, number> {
    const { words, starts, entries } = this.index;
    const weights = new Map<number, number>();
    const standsWeight = word.length <= SHORT_LETTERS ? SHORT_STANDS_WEIGHT : STANDS_WEIGHT;
    const take = (from: number, to: number, factor: number) => {
      for (let at = starts[from] as number; at < (starts[to] as number); at += 1) {
        const entry = entries[at] as number;
        const weight = (standsWeight[entry & 3] as number) * factor;
        if (weight === Infinity) continue;
        const known = weights.get(entry >> 2);
        if (known === undefined || weight < known) weights.set(entry >> 2, weight);
      }
    };
    const takeBeginnings = (start: string, factor: number) =>
      take(this.firstFrom(start), this.firstFrom(`${start}\uffff`), factor);
    takeBeginnings(word, 1);
    const at = this.firstFrom(word);
    if (words[at] === word) take(at, at + 1, 1 / WHOLE_WORD_WEIGHT);
    const mostSlips = slipsIn(word);
    if (!withSlips || mostSlips === 0) return weights;
    for (const swapped of swapsOf(word)) takeBeginnings(swapped, SLIP_WEIGHT);
    const letters = lettersOf(word);
    words.forEach((known, i) => {
      if (Math.abs(known.length - word.length) > mostSlips) return;
      if (bitsOf(letters ^ (this.letters[i] as number)) > 2 * mostSlips) return;
      const slips = distance(word, known);
      if (slips <= mostSlips) take(i, i + 1, SLIP_WEIGHT ** slips);
    });
    return weights;
  }

  /** Places with a word written just so. */
  private idsOf(word: string): readonly number[] {
    const { words, starts, entries } = this.index;
    const at = this.firstFrom(word);
    if (words[at] !== word) return [];
    const from = starts[at] as number;
    const length = (starts[at + 1] as number) - from;
    return Array.from({ length }, (_, i) => (entries[from + i] as number) >> 2);
  }

  /** The first word that does not come before a text. */
  private firstFrom(text: string): number {
    const { words } = this.index;
    let low = 0;
    let high = words.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((words[middle] as string) < text) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}
