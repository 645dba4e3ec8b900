import fc from 'fast-check';
import { convert } from 'geo-coordinates-parser';
import { OpenLocationCode } from 'open-location-code';
import { readPoint } from './coordinates';

/** One place, Munich's Olympic lake, in every form people write. */
const FORMS = [
  '48.1690, 11.5290',
  '48.1690 11.5290',
  '(48.1690, 11.5290)',
  '48.1690,11.5290',
  '48.1690\t11.5290',
  '48.1690 / 11.5290',
  '48.1690N 11.5290E',
  'N48.1690 E11.5290',
  '48.1690º N, 11.5290º E',
  '48.1690 north, 11.5290 east',
  '48,1690 11,5290',
  '48,1690; 11,5290',
  '48,1690, 11,5290',
  '48°10\'08.4"N 11°31\'44.4"E',
  '48° 10′ 08.4″ N, 11° 31′ 44.4″ E',
  "48° 10.14' N, 11° 31.74' E",
  '48 10 08.4 N 11 31 44.4 E',
  '48:10:08.4N, 11:31:44.4E',
  '48d10m8.4sN 11d31m44.4sE',
  '48 deg 10 min 8.4 sec N, 11 deg 31 min 44.4 sec E',
  '11.5290 E 48.1690 N',
  'E11.5290, N48.1690',
  'geo:48.1690,11.5290',
  'geo:48.1690,11.5290;u=35',
  'Lat: 48.1690 Lon: 11.5290',
  'lat 48.1690, lng 11.5290',
  'latitude=48.1690 longitude=11.5290',
];

test.each(FORMS)('%s is one and the same place', (form) => {
  const read = readPoint(form);
  expect(read.kind).toBe('point');
  if (read.kind !== 'point') return;
  expect(read.latitudeDeg).toBeCloseTo(48.169, 6);
  expect(read.longitudeDeg).toBeCloseTo(11.529, 6);
});

test.each([
  ['-33.86, 151.21', -33.86, 151.21],
  ['−33.86, 151.21', -33.86, 151.21],
  ['33.86S 151.21E', -33.86, 151.21],
  ['32.45 N 99.73 W', 32.45, -99.73],
  ['99.73 W, 32.45 N', 32.45, -99.73],
  ['51°30\'26"N 0°7\'39"W', 51.507222, -0.1275],
  ['40:26:46N,79:58:56W', 40.446111, -79.982222],
  // The worked example of the plus codes' own specification, quoted from memory.
  ['8FVC2222+22', 47.0000625, 8.0000625],
])('%s lies where its signs and letters say', (form, latitudeDeg, longitudeDeg) => {
  const read = readPoint(form);
  if (read.kind !== 'point') throw new Error(read.kind);
  expect(read.latitudeDeg).toBeCloseTo(latitudeDeg, 5);
  expect(read.longitudeDeg).toBeCloseTo(longitudeDeg, 5);
});

test.each([
  ['99.73 W', { kind: 'half', axis: 'longitude', deg: -99.73 }],
  ['33.86 S', { kind: 'half', axis: 'latitude', deg: -33.86 }],
  ['48.1690', { kind: 'half', axis: 'unknown', deg: 48.169 }],
  ['48.1690,', { kind: 'half', axis: 'unknown', deg: 48.169 }],
  ['95, 11', { kind: 'offGlobe', latitudeDeg: 95, longitudeDeg: 11 }],
  ['11, 195', { kind: 'offGlobe', latitudeDeg: 11, longitudeDeg: 195 }],
  ['4HX8+9C Munich', { kind: 'shortCode', code: '4HX8+9C' }],
  ['4816900, 1152900', { kind: 'unread' }],
  ['1e5, 3', { kind: 'unread' }],
  ['Munich', { kind: 'name' }],
  ['7th Street', { kind: 'name' }],
  ['-', { kind: 'name' }],
  ['9'.repeat(300), { kind: 'name' }],
])('%s: what is understood is told apart from what is missing', (form, said) => {
  expect(readPoint(form)).toEqual(said);
});

const latitude = fc.integer({ min: -8_999_999, max: 8_999_999 }).map((n) => n / 100_000);
const longitude = fc.integer({ min: -17_999_999, max: 17_999_999 }).map((n) => n / 100_000);

/** Degrees as a plate of the survey has them: minutes and seconds to a tenth, and a letter. */
function sexagesimal(deg: number, [plus, minus]: readonly [string, string]): string {
  const tenths = Math.round(Math.abs(deg) * 36_000);
  const [d, m, s] = [Math.floor(tenths / 36_000), Math.floor(tenths / 600) % 60, tenths % 600];
  return `${d}°${m}'${(s / 10).toFixed(1)}"${deg < 0 ? minus : plus}`;
}

test('whatever is written in decimals, with letters or in minutes is read back', () => {
  fc.assert(
    fc.property(latitude, longitude, (lat, lon) => {
      const letters = `${Math.abs(lat).toFixed(5)} ${lat < 0 ? 'S' : 'N'} ${Math.abs(lon).toFixed(5)} ${lon < 0 ? 'W' : 'E'}`;
      const minutes = `${sexagesimal(lat, ['N', 'S'])} ${sexagesimal(lon, ['E', 'W'])}`;
      for (const [form, withinDeg] of [
        [`${lat.toFixed(5)}, ${lon.toFixed(5)}`, 1e-9],
        [`geo:${lat.toFixed(5)},${lon.toFixed(5)}`, 1e-9],
        [letters, 1e-9],
        [minutes, 0.06 / 3600],
      ] as const) {
        const read = readPoint(form);
        if (read.kind !== 'point') throw new Error(`${form}: ${read.kind}`);
        expect(Math.abs(read.latitudeDeg - lat)).toBeLessThanOrEqual(withinDeg);
        expect(Math.abs(read.longitudeDeg - lon)).toBeLessThanOrEqual(withinDeg);
      }
    }),
  );
});

test('of degrees, minutes and seconds it says what another package says', () => {
  fc.assert(
    fc.property(latitude, longitude, (lat, lon) => {
      // It refuses ninety and a hundred and eighty degrees with minutes and seconds of nought.
      fc.pre(Math.abs(lat) < 89 && Math.abs(lon) < 179);
      const form = `${sexagesimal(lat, ['N', 'S'])} ${sexagesimal(lon, ['E', 'W'])}`;
      const theirs = convert(form, 6);
      const ours = readPoint(form);
      if (ours.kind !== 'point') throw new Error(ours.kind);
      expect(ours.latitudeDeg).toBeCloseTo(theirs.decimalLatitude, 5);
      expect(ours.longitudeDeg).toBeCloseTo(theirs.decimalLongitude, 5);
    }),
  );
});

test('a plus code comes back to within its own square', () => {
  const codes = new OpenLocationCode();
  fc.assert(
    fc.property(latitude, longitude, (lat, lon) => {
      for (const length of [10, 11]) {
        const read = readPoint(codes.encode(lat, lon, length));
        if (read.kind !== 'point') throw new Error(read.kind);
        expect(Math.abs(read.latitudeDeg - lat)).toBeLessThan(0.0001);
        expect(Math.abs(read.longitudeDeg - lon)).toBeLessThan(0.0001);
      }
    }),
  );
});

test('no text makes it throw, and what it calls a point lies on the globe', () => {
  fc.assert(
    fc.property(
      fc.oneof(fc.string({ maxLength: 60 }), fc.stringMatching(/^[0-9NSEW .,;°'"+-]{0,40}$/)),
      (text) => {
        const read = readPoint(text);
        if (read.kind !== 'point') return;
        expect(Math.abs(read.latitudeDeg)).toBeLessThanOrEqual(90);
        expect(Math.abs(read.longitudeDeg)).toBeLessThanOrEqual(180);
      },
    ),
    { numRuns: 2000 },
  );
});
