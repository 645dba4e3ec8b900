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

/** Bits that are set in 32 (H. S. Warren, Hacker's Delight, figure 5-2; quoted from memory). */
function bitsOf(letters: number): number {
  let bits = letters - ((letters >>> 1) & 0x55555555);
  bits = (bits & 0x33333333) + ((bits >>> 2) & 0x33333333);
  return (((bits + (bits >>> 4)) & 0x0f0f0f0f) * 0x01010101) >>> 24;
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
/** Of a longer text only so many words are looked for. */
const MOST_WORDS = 6;

/** Weights of places, the least that was put for each: reused from question to question. */
class Weights {
  readonly ids: number[] = [];
  private readonly of: Float64Array;

  constructor(places: number) {
    this.of = new Float64Array(places).fill(Infinity);
  }
  put(id: number, weight: number): void {
    const known = this.of[id] as number;
    if (weight >= known) return;
    if (known === Infinity) this.ids.push(id);
    this.of[id] = weight;
  }
  /** Infinity where none was put. */
  at(id: number): number {
    return this.of[id] as number;
  }
  clear(): void {
    for (const id of this.ids) this.of[id] = Infinity;
    this.ids.length = 0;
  }
}

/** Those that weigh least, in order. */
function likeliest(weights: Weights, most: number): readonly number[] {
  const best: number[] = [];
  for (const id of weights.ids) {
    const weight = weights.at(id);
    if (best.length === most && weight >= weights.at(best[most - 1] as number)) continue;
    const after = best.findIndex((other) => weights.at(other) > weight);
    best.splice(after < 0 ? best.length : after, 0, id);
    if (best.length > most) best.pop();
  }
  return best;
}

export class PlaceIndex {
  private readonly letters: Int32Array;
  private readonly lengths: Uint8Array;
  /** Words of a country's and a region's name, as they are compared. */
  private readonly countryWords: readonly (readonly string[])[];
  private readonly regionWords: readonly (readonly string[])[];
  /** One for each asked word; one for all together, at the end. */
  private readonly weights: Weights[] = [];

  constructor(
    private readonly list: PlaceList,
    private readonly index: PlaceWords,
    countryName: (code: string) => string,
  ) {
    this.letters = Int32Array.from(index.words, lettersOf);
    this.lengths = Uint8Array.from(index.words, ({ length }) => Math.min(255, length));
    this.countryWords = list.countries.map((code) => wordsOf(`${countryName(code)} ${code}`));
    this.regionWords = list.regions.map((name, i) =>
      wordsOf(`${name} ${list.regionCodes[i] ?? ''}`),
    );
  }

  /** The places a text may mean, the likeliest first; none for fewer than two letters. */
  find(text: string, most = 8): readonly FoundPlace[] {
    const asked = wordsOf(text.slice(0, LONGEST_NAME)).slice(0, MOST_WORDS);
    if (asked.join('').length < 2) return [];
    const written = this.weighed(asked, false, most);
    // What begins as it is written is meant so; only else may it be a slip.
    const found = written.begins ? written : this.weighed(asked, true, most);
    return found.ids.map((id) => this.placeOf(id));
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
   * Places in which every asked word stands, the likeliest first, so many of them. And whether a name of one
   * begins so.
   */
  private weighed(asked: readonly string[], withSlips: boolean, most: number) {
    const byWord = asked.map((word, i) => this.weightById(word, withSlips, this.cleared(i)));
    const all = this.cleared(asked.length);
    const [first, ...others] = byWord as [Weights, ...Weights[]];
    let begins = false;
    for (const id of first.ids) {
      let weight = first.at(id);
      const named = weight <= SHORT_STANDS_WEIGHT[STANDS.otherFirst];
      others.forEach((other, i) => {
        const lies = this.liesIn(id, asked[i + 1] as string) ? LIES_IN_WEIGHT : Infinity;
        weight *= Math.min(other.at(id), lies);
      });
      if (weight === Infinity) continue;
      all.put(id, (id + 1) * weight);
      begins ||= named;
    }
    const written = asked.join(' ');
    for (const id of this.idsOf(asked[0] as string)) {
      const weight = all.at(id);
      if (weight < Infinity && this.isNamed(id, written)) all.put(id, weight / NAMED_SO_WEIGHT);
    }
    return { ids: likeliest(all, most), begins };
  }

  private cleared(i: number): Weights {
    const weights = (this.weights[i] ??= new Weights(this.list.names.length));
    weights.clear();
    return weights;
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
    // Accents and points make a name a little longer than its words, never much.
    return all.some(
      (name) =>
        Math.abs(name.length - written.length) <= written.length / 2 + 2 &&
        wordsOf(name).join(' ') === written,
    );
  }

  /** Places with a word that begins so, or that is a slip away: what that weighs. */
  private weightById(word: string, withSlips: boolean, weights: Weights): Weights {
    const { words, starts, entries } = this.index;
    const standsWeight = word.length <= SHORT_LETTERS ? SHORT_STANDS_WEIGHT : STANDS_WEIGHT;
    const take = (from: number, to: number, factor: number) => {
      for (let at = starts[from] as number; at < (starts[to] as number); at += 1) {
        const entry = entries[at] as number;
        weights.put(entry >> 2, (standsWeight[entry & 3] as number) * factor);
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
    for (let i = 0; i < words.length; i += 1) {
      if (Math.abs((this.lengths[i] as number) - word.length) > mostSlips) continue;
      if (bitsOf(letters ^ (this.letters[i] as number)) > 2 * mostSlips) continue;
      const slips = distance(word, words[i] as string);
      if (slips <= mostSlips) take(i, i + 1, SLIP_WEIGHT ** slips);
    }
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
