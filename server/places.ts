import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { countryNamed } from '@/answers/countries';
import { PlaceIndex } from '@/answers/place-index';
import type { FoundPlace, PlaceList } from '@/records/place';

/** The places a name may mean, the likeliest first. */
export type FindPlaces = (name: string) => readonly FoundPlace[];

/**
 * Reads the places and their words as the build wrote them.
 * @param folder that of `scripts/places.ts`
 * @throws Error if the build has not written them
 */
export function readPlaces(folder: string): FindPlaces {
  if (!existsSync(folder)) throw new Error(`${folder} is missing: run npm run build first`);
  const textOf = (name: string) => readFileSync(path.join(folder, name), 'utf8');
  const figuresOf = (name: string) => {
    const { buffer, byteOffset, byteLength } = readFileSync(path.join(folder, name));
    return new Uint32Array(buffer.slice(byteOffset, byteOffset + byteLength));
  };
  const list = JSON.parse(textOf('list.json')) as PlaceList;
  const words = JSON.parse(textOf('words.json')) as readonly string[];
  const [starts, entries] = [figuresOf('starts.bin'), figuresOf('entries.bin')];
  const places = new PlaceIndex(list, { words, starts, entries }, countryNamed);
  return (name) => places.find(name);
}
