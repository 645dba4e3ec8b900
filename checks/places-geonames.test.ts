/**
 * Towns of every continent, looked up as people write them, in the list as the build makes it.
 * Coordinates: an atlas, quoted from memory to a tenth of a degree.
 */
import { countryNamed } from '@/answers/countries';
import { PlaceIndex, placeWordsOf } from '@/answers/place-index';
import { placeListSchema } from '@/records/place';
import { listOf, placeLines } from '../scripts/geonames';

const list = listOf(placeLines());
const places = new PlaceIndex(list, placeWordsOf(list), countryNamed);

const TOWNS: readonly (readonly [written: string, latitudeDeg: number, longitudeDeg: number])[] = [
  // Africa
  ['Nairobi', -1.3, 36.8],
  ['Ouagadougou', 12.4, -1.5],
  ['القاهرة', 30.1, 31.2],
  ['Capetown', -33.9, 18.4],
  // Asia
  ['Tokio', 35.7, 139.7],
  ['東京', 35.7, 139.7],
  ['Ulaanbaatar', 47.9, 106.9],
  ['Bombay', 19.1, 72.9],
  // Europe
  ['Munich', 48.1, 11.6],
  ['München', 48.1, 11.6],
  ['Muenchen', 48.1, 11.6],
  ['st poelten', 48.2, 15.6],
  ['Reykjavik', 64.1, -21.9],
  ['Москва', 55.8, 37.6],
  ['Łódź', 51.8, 19.5],
  ['lodz', 51.8, 19.5],
  ['York', 54.0, -1.1],
  // North America
  ['New York', 40.7, -74.0],
  ['Springfield Illinois', 39.8, -89.6],
  ['Paris, TX', 33.7, -95.6],
  ['Québec', 46.8, -71.2],
  ['Abilene Texas', 32.4, -99.7],
  // Oceania
  ['Auckland', -36.9, 174.8],
  ['Alice Springs', -23.7, 133.9],
  // South America
  ['São Paulo', -23.5, -46.6],
  ['sao paulo', -23.5, -46.6],
  ['Ushuaia', -54.8, -68.3],
  // The north and south of where people live
  ['Longyearbyen', 78.2, 15.6],
  ['Stanley Falkland', -51.7, -57.9],
];
const SLIPS: readonly (readonly [written: string, name: string])[] = [
  ['lodon', 'London'],
  ['new yrok', 'New York City'],
  ['ouagadugu', 'Ouagadougou'],
  ['philidelphia', 'Philadelphia'],
  ['edinborough', 'Edinburgh'],
  ['reykavik', 'Reykjavík'],
  ['sao paolo', 'São Paulo'],
  ['garmish partenkirchen', 'Garmisch-Partenkirchen'],
  ['melborne', 'Melbourne'],
  ['san fransisco', 'San Francisco'],
];

test.each(TOWNS)('%s is found first, where it lies', (written, latitudeDeg, longitudeDeg) => {
  const [found] = places.find(written);
  expect(Math.abs((found?.latitudeDeg ?? NaN) - latitudeDeg)).toBeLessThan(0.16);
  expect(Math.abs((found?.longitudeDeg ?? NaN) - longitudeDeg)).toBeLessThan(0.16);
});

test.each(SLIPS)('%s still means %s', (written, name) => {
  expect(places.find(written)[0]?.name).toBe(name);
});

test('two letters already bring the large places that begin so', () => {
  expect(places.find('mu').map(({ name }) => name)).toEqual(
    expect.arrayContaining(['Mumbai', 'Munich']),
  );
  expect(places.find('sy')[0]?.name).toBe('Sydney');
});

test('the list is one that the app reads', () => {
  expect(placeListSchema.safeParse(list).success).toBe(true);
  expect(list.names.length).toBeGreaterThan(130_000);
});
