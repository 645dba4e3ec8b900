/**
 * Magnetic declination against the test values published with the World Magnetic Model 2025
 * (NOAA NCEI and the British Geological Survey), at height 0 on 2025.0; quoted from memory.
 */
import { compassFromTrue, magneticDeclination, trueFromCompass } from '@/core';

const NEW_YEAR_2025 = Date.UTC(2025, 0, 1);

test.each([
  [80, 0, 1.28],
  [0, 120, -0.16],
  [-80, 240 - 360, 68.78],
])('at %d, %d the compass points %d° east', (latitudeDeg, longitudeDeg, east) => {
  const found = magneticDeclination({ latitudeDeg, longitudeDeg }, NEW_YEAR_2025);
  expect(found).toBeCloseTo(east, 1);
});

test('east of true north the compass shows less than the true bearing', () => {
  expect(compassFromTrue(90, 10)).toBe(80);
  expect(trueFromCompass(80, 10)).toBe(90);
  expect(compassFromTrue(5, 10)).toBe(355);
  expect(trueFromCompass(355, 10)).toBe(5);
});

test.each([
  ['latitudeDeg', { latitudeDeg: 91, longitudeDeg: 0 }, NEW_YEAR_2025],
  ['longitudeDeg', { latitudeDeg: 0, longitudeDeg: 200 }, NEW_YEAR_2025],
  ['year', { latitudeDeg: 0, longitudeDeg: 0 }, Date.UTC(2050, 0, 1)],
])('%s out of range is refused by name', (field, place, timeMs) => {
  expect(() => magneticDeclination(place, timeMs)).toThrow(new RegExp(`^${field}`));
});
