import { existsSync, readFileSync } from 'node:fs';
import { PlaceIndex, type PlaceWords } from '@/answers/place-index';
import { countryNamed } from '@/answers/countries';
import type { FoundPlace, PlaceList } from '@/records/place';

/** The places a name may mean, the likeliest first. */
export type FindPlaces = (name: string) => readonly FoundPlace[];

/**
 * Reads the places and their words as the build wrote them.
 * @throws Error if the build has not written them
 */
export function readPlaces(file: string): FindPlaces {
  if (!existsSync(file)) throw new Error(`${file} is missing: run npm run build first`);
  const { list, index } = JSON.parse(readFileSync(file, 'utf8')) as {
    readonly list: PlaceList;
    readonly index: PlaceWords;
  };
  const words: PlaceWords = {
    words: index.words,
    starts: Uint32Array.from(index.starts),
    entries: Uint32Array.from(index.entries),
  };
  const places = new PlaceIndex(list, words, countryNamed);
  return (name) => places.find(name);
}
