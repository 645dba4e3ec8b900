/**
 * Writes the places one can look up by name: all with their words for the server, `build/places.json`, and
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
const write = (file: string, value: unknown): number => {
  const place = path.join(ROOT, file);
  mkdirSync(path.dirname(place), { recursive: true });
  const text = JSON.stringify(value);
  writeFileSync(place, text);
  return text.length;
};
const whole = write('build/places.json', { list: all, index: placeWordsOf(all) });
const few = write('dist/places/largest.json', listOf(lines.slice(0, LARGEST).map(fewNames)));
console.log(
  `Places: ${lines.length} by name, ${(whole / 1e6).toFixed(1)} MB; the ${LARGEST} largest ${(few / 1e3).toFixed(0)} kB`,
);
