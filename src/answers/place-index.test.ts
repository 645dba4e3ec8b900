import type { PlaceList } from '@/records/place';
import { PlaceIndex, placeWordsOf, wordsOf } from './place-index';

/** Invented places, the largest first. */
const LIST: PlaceList = {
  names: ['Tern Harbour', 'Larkmoor', 'Saint-Alder', 'Łęgowo Øst', 'Alder Reach', 'Larkmoor'],
  alsoNamed: ['Port Sterna|Ternhafen', '', 'St. Alder|Sankt Alder', '', '', ''],
  countries: ['GB', 'US'],
  country: [0, 0, 0, 0, 0, 1],
  regions: ['North Shire', 'Plains'],
  regionCodes: ['', 'PN'],
  region: [0, 0, -1, 0, 0, 1],
  latitude: [53_000, 54_250, 50_000, 52_000, 53_500, 40_125],
  longitude: [-2_000, -1_500, 0, 17_000, -2_250, -99_730],
};
const COUNTRIES: Readonly<Record<string, string>> = { GB: 'United Kingdom', US: 'United States' };
const places = new PlaceIndex(LIST, placeWordsOf(LIST), (code) => COUNTRIES[code] ?? code);
const names = (text: string, most?: number) => places.find(text, most).map(({ name }) => name);

test('words are compared without accents, capitals and points', () => {
  expect(wordsOf('Saint-Étienne (Łódź), Øst; St. Ives')).toEqual([
    'saint',
    'etienne',
    'lodz',
    'ost',
    'st',
    'ives',
  ]);
  expect(wordsOf('Straße')).toEqual(['strasse']);
});

test('a place is found by the beginning of its words, from two letters on', () => {
  expect(names('l')).toEqual([]);
  expect(names('la')).toEqual(['Larkmoor', 'Larkmoor']);
  expect(names('tern h')).toEqual(['Tern Harbour']);
  expect(names('reach')).toEqual(['Alder Reach']);
  expect(names('   ')).toEqual([]);
});

test('it is whole: where it lies, in degrees', () => {
  expect(places.find('larkmoor')).toEqual([
    {
      name: 'Larkmoor',
      region: 'North Shire',
      country: 'GB',
      latitudeDeg: 54.25,
      longitudeDeg: -1.5,
    },
    {
      name: 'Larkmoor',
      region: 'Plains',
      country: 'US',
      latitudeDeg: 40.125,
      longitudeDeg: -99.73,
    },
  ]);
  expect(places.find('saint alder')[0]).toEqual({
    name: 'Saint-Alder',
    country: 'GB',
    latitudeDeg: 50,
    longitudeDeg: 0,
  });
});

test('region, its letters and country choose among places of one name', () => {
  for (const where of ['plains', 'PN', 'united states', 'us']) {
    expect(places.find(`Larkmoor, ${where}`).map(({ country }) => country)).toEqual(['US']);
  }
  expect(places.find('larkmoor united kingdom').map(({ country }) => country)).toEqual(['GB']);
});

test('it is found by what others call it, and accents are no matter', () => {
  expect(names('sterna')).toEqual(['Tern Harbour']);
  expect(names('Ternhafen')).toEqual(['Tern Harbour']);
  expect(names('sankt ald')).toEqual(['Saint-Alder']);
  expect(names('legowo ost')).toEqual(['Łęgowo Øst']);
});

test('what is named just so comes before what is larger', () => {
  expect(names('alder')[0]).toBe('Alder Reach');
  expect(names('alder reach')).toEqual(['Alder Reach']);
});

test('a slip is looked past: a letter missing, one too many, wrong, or two the wrong way round', () => {
  for (const slip of ['larkmor', 'larkmooor', 'lerkmoor', 'lakrmoor', 'Larkmorr']) {
    expect(names(slip)[0]).toBe('Larkmoor');
  }
  expect(names('tren harbor')).toEqual(['Tern Harbour']);
  expect(names('zzzzz')).toEqual([]);
  // Of three letters anything is a slip away.
  expect(names('ldr')).toEqual([]);
});

test('no more come than are asked for', () => {
  expect(names('la', 1)).toHaveLength(1);
});

test('of two or three letters the beginning of what others call it is last, within it nothing', () => {
  const wide: PlaceList = {
    ...LIST,
    names: ['Great Marsh', 'Sandholm'],
    alsoNamed: ['Sanford Grande|Alte Sandau', ''],
    ...{ country: [0, 0], region: [-1, -1], latitude: [0, 0], longitude: [0, 0] },
  };
  const both = new PlaceIndex(wide, placeWordsOf(wide), (code) => code);
  const found = (text: string) => both.find(text).map(({ name }) => name);
  expect(found('san')).toEqual(['Sandholm', 'Great Marsh']);
  expect(found('gra')).toEqual([]);
  // From four letters on it is meant.
  expect(found('gran')).toEqual(['Great Marsh']);
  expect(found('sand')).toEqual(['Sandholm', 'Great Marsh']);
});
