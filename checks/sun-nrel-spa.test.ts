/**
 * Reda, I. & Andreas, A. (2004): Solar Position Algorithm for Solar Radiation Applications,
 * NREL/TP-560-34302, worked example of appendix A.5 (quoted from memory); and a year of positions
 * against the registry's nrel-spa package, an independent port of the same algorithm.
 */
import { getSpa } from 'nrel-spa';
import { sunEvents, sunPosition } from '@/core';

const EXAMPLE = {
  time: new Date('2003-10-17T19:30:30Z'),
  latitudeDeg: 39.742476,
  longitudeDeg: -105.1786,
  elevationM: 1830.14,
  pressureHpa: 820,
  temperatureC: 11,
};

test('agrees with the worked example to a hundredth of a degree', () => {
  const sun = sunPosition(EXAMPLE);
  expect(Math.abs(90 - sun.apparentAltitudeDeg - 50.11162)).toBeLessThan(0.01);
  expect(Math.abs(sun.azimuthDeg - 194.34024)).toBeLessThan(0.01);
});

test('refraction follows pressure: half the air, half the lift', () => {
  const lift = (pressureHpa: number) => {
    const sun = sunPosition({ ...EXAMPLE, pressureHpa });
    return sun.apparentAltitudeDeg - sun.altitudeDeg;
  };
  expect(lift(400) / lift(800)).toBeCloseTo(0.5, 9);
});

const PLACES = [
  { name: 'far north', latitudeDeg: 78.2, longitudeDeg: 15.6 },
  { name: 'north', latitudeDeg: 53.12, longitudeDeg: -1.87 },
  { name: 'equator', latitudeDeg: 0.3, longitudeDeg: 36.8 },
  { name: 'south', latitudeDeg: -33.9, longitudeDeg: 151.2 },
  { name: 'far south', latitudeDeg: -77.8, longitudeDeg: 166.7 },
];
const DAY_MS = 24 * 3600 * 1000;
const ATMOSPHERE = { pressure: 0, temperature: 10, elevation: 0 };

test.each(PLACES)('a year of positions agrees with a second package: $name', (place) => {
  const start = Date.UTC(2027, 0, 1, 1);
  // Every day at a different hour, so that all hours are met.
  for (let day = 0; day < 365; day += 1) {
    const time = new Date(start + day * DAY_MS + ((day * 7) % 24) * 3600 * 1000);
    const other = getSpa(time, place.latitudeDeg, place.longitudeDeg, 0, ATMOSPHERE);
    const ours = sunPosition({
      time,
      latitudeDeg: place.latitudeDeg,
      longitudeDeg: place.longitudeDeg,
    });
    expect(Math.abs(ours.altitudeDeg - (90 - other.zenith))).toBeLessThan(0.01);
    const apart = Math.abs(ours.azimuthDeg - other.azimuth);
    const aside = Math.min(apart, 360 - apart) * Math.cos((ours.altitudeDeg * Math.PI) / 180);
    expect(aside).toBeLessThan(0.01);
  }
});

test('sunset agrees with a second package within a minute', () => {
  const [latitudeDeg, longitudeDeg] = [53.12, -1.87];
  for (const date of ['2027-01-15', '2027-04-16', '2027-06-21', '2027-09-30']) {
    const { rise, set } = sunEvents({ date, timeZone: 'UTC', latitudeDeg, longitudeDeg });
    const other = getSpa(new Date(`${date}T12:00:00Z`), latitudeDeg, longitudeDeg, 0);
    const hoursOf = (when?: Date) =>
      ((when?.getTime() ?? NaN) - Date.parse(`${date}T00:00Z`)) / 3.6e6;
    expect(Math.abs(hoursOf(set) - other.sunset) * 60).toBeLessThan(1);
    expect(Math.abs(hoursOf(rise) - other.sunrise) * 60).toBeLessThan(1);
  }
});
