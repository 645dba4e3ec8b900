/**
 * Writes the places one can look up by name: all with their words for the server, `build/places/`, and
 * the largest for use without a network, `dist/places/largest.json`. From GeoNames (geonames.org, CC BY 4.0)
 * as packed in the registry.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { placeWordsOf } from '../src/answers/place-index';
import { listOf, placeLines, type PlaceLine } from './geonames';

const ROOT = path.resolve(__dirname, '..');
const LARGEST = 5000;
/** Other names that go along with the largest: what people write who don't write it as it is written there. */
const NAMES_ALONG = 3;

/** Of a large place the other names in Latin letters that differ most from its own. */
const fewNames = (line: PlaceLine): PlaceLine => ({
  ...line,
  also: line.also
    .filter((name) => /^[\p{Script=Latin}\p{M}\s'’-]{3,}$/u.test(name))
    .slice(0, NAMES_ALONG),
});

const lines = placeLines();
const all = listOf(lines);
const write = (file: string, content: string | Uint8Array): number => {
  const place = path.join(ROOT, file);
  mkdirSync(path.dirname(place), { recursive: true });
  writeFileSync(place, content);
  return content.length;
};
/** Figures as they lie in memory: read without being made into text and back. */
const bytesOf = (figures: ArrayLike<number>) => new Uint8Array(Uint32Array.from(figures).buffer);
const { words, starts, entries } = placeWordsOf(all);
const whole =
  write('build/places/list.json', JSON.stringify(all)) +
  write('build/places/words.json', JSON.stringify(words)) +
  write('build/places/starts.bin', bytesOf(starts)) +
  write('build/places/entries.bin', bytesOf(entries));
const largest = listOf(lines.slice(0, LARGEST).map(fewNames));
const few = write('dist/places/largest.json', JSON.stringify(largest));
console.log(
  `Places: ${lines.length} by name, ${(whole / 1e6).toFixed(1)} MB; the ${LARGEST} largest ${(few / 1e3).toFixed(0)} kB`,
);
