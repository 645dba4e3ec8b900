import { DateTime } from 'luxon';
import { horizonAltitude, moonPosition, sunClears, sunCrossings, sunEvents, sunPosition } from '.';

const PLACE = { latitudeDeg: 53.12, longitudeDeg: -1.87 };
const DAY = { date: '2027-04-16', timeZone: 'Europe/London' };
const NORTH = { latitudeDeg: 78.2, longitudeDeg: 15.6 };

test('a horizon is straight between its points and goes round', () => {
  const profile = [
    { azimuthDeg: 350, altitudeDeg: 10 },
    { azimuthDeg: 10, altitudeDeg: 20 },
    { azimuthDeg: 180, altitudeDeg: 0 },
  ];
  expect(horizonAltitude(profile, 0)).toBeCloseTo(15, 9);
  expect(horizonAltitude(profile, 355)).toBeCloseTo(12.5, 9);
  expect(horizonAltitude(profile, 95)).toBeCloseTo(10, 9);
  expect(horizonAltitude([{ azimuthDeg: 40, altitudeDeg: 7 }], 300)).toBe(7);
  expect(() => horizonAltitude([], 0)).toThrow(RangeError);
});

test('the sun is at the altitude when it is said to cross it', () => {
  const { rising, setting } = sunCrossings({ ...DAY, ...PLACE, altitudeDeg: 20 });
  for (const time of [rising, setting]) {
    expect(sunPosition({ time: time ?? NaN, ...PLACE }).altitudeDeg).toBeCloseTo(20, 3);
  }
  expect(Number(rising)).toBeLessThan(Number(setting));
});

test('an altitude that is not reached has no moment', () => {
  expect(sunCrossings({ ...DAY, ...PLACE, altitudeDeg: 80 })).toEqual({});
});

test('a flat horizon is cleared from rise to set, to a minute or two', () => {
  const spans = sunClears({ ...DAY, ...PLACE, profile: [{ azimuthDeg: 0, altitudeDeg: 0 }] });
  const { rise, set } = sunEvents({ ...DAY, ...PLACE });
  expect(spans).toHaveLength(1);
  // Centre against upper limb: the disc takes under three minutes to come up here.
  expect(Math.abs((spans[0]?.fromMs ?? NaN) - Number(rise))).toBeLessThan(180_000);
  expect(Math.abs((spans[0]?.toMs ?? NaN) - Number(set))).toBeLessThan(180_000);
});

test('a hill in the south splits the day in two', () => {
  const profile = [
    { azimuthDeg: 150, altitudeDeg: 0 },
    { azimuthDeg: 160, altitudeDeg: 60 },
    { azimuthDeg: 200, altitudeDeg: 60 },
    { azimuthDeg: 210, altitudeDeg: 0 },
  ];
  expect(sunClears({ ...DAY, ...PLACE, profile })).toHaveLength(2);
});

test('polar night has no sun to clear anything, the midnight sun clears all day', () => {
  const profile = [{ azimuthDeg: 0, altitudeDeg: 0 }];
  const zone = { timeZone: 'Arctic/Longyearbyen' };
  expect(sunClears({ date: '2027-12-20', ...zone, ...NORTH, profile })).toEqual([]);
  const [span, ...more] = sunClears({ date: '2027-06-20', ...zone, ...NORTH, profile });
  expect(more).toEqual([]);
  expect((span?.toMs ?? NaN) - (span?.fromMs ?? NaN)).toBe(24 * 3_600_000);
});

test('a day on which clocks change is 23 or 25 hours long, and its events stay in it', () => {
  for (const [date, hours] of [
    ['2027-03-28', 23],
    ['2027-10-31', 25],
  ] as const) {
    const start = DateTime.fromISO(date, { zone: 'Europe/London' });
    expect(start.plus({ days: 1 }).diff(start, 'hours').hours).toBe(hours);
    const { rise, set } = sunEvents({ date, timeZone: 'Europe/London', ...PLACE });
    expect(Number(rise)).toBeGreaterThan(start.toMillis());
    expect(Number(set)).toBeLessThan(start.plus({ days: 1 }).toMillis());
  }
});

test('in the southern hemisphere the noon sun stands north; at the date line days still have one', () => {
  const sydney = { latitudeDeg: -33.9, longitudeDeg: 151.2 };
  const noon = sunEvents({
    date: '2027-06-21',
    timeZone: 'Australia/Sydney',
    ...sydney,
  }).culmination;
  const { azimuthDeg } = sunPosition({ time: noon ?? NaN, ...sydney });
  expect(Math.min(azimuthDeg, 360 - azimuthDeg)).toBeLessThan(1);
  for (const [timeZone, longitudeDeg] of [
    ['Pacific/Tongatapu', -175.2],
    ['Pacific/Fiji', 178.4],
  ] as const) {
    const events = sunEvents({ date: '2027-01-15', timeZone, latitudeDeg: -19, longitudeDeg });
    expect(events.rise).toBeDefined();
    expect(Number(events.rise)).toBeLessThan(Number(events.culmination));
    expect(Number(events.culmination)).toBeLessThan(Number(events.set));
  }
});

test('the moon was full on 22 January 2027 and new a fortnight before', () => {
  const lit = (time: string) => moonPosition({ time: Date.parse(time), ...PLACE }).litShare;
  expect(lit('2027-01-22T12:00:00Z')).toBeGreaterThan(0.99);
  expect(lit('2027-01-07T20:00:00Z')).toBeLessThan(0.01);
});
