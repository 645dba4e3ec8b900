import fc from 'fast-check';
import { sunAngleFrom, sunEvents, sunPosition } from '.';

const sun = (azimuthDeg: number, altitudeDeg: number) => ({ azimuthDeg, altitudeDeg });

test.each([
  ['behind the camera', 0, sun(180, 0), 0, 'centre'],
  ['square to the right', 0, sun(90, 0), 90, 'right'],
  ['square to the left', 0, sun(270, 0), 90, 'left'],
  ['in the frame', 0, sun(0, 0), 180, 'centre'],
  ['overhead', 123, sun(40, 90), 90, 'left'],
] as const)('sun %s', (_name, view, where, phaseDeg, side) => {
  const angle = sunAngleFrom(view, 0, where);
  expect(angle.phaseDeg).toBeCloseTo(phaseDeg, 6);
  expect(angle.side).toBe(side);
});

test('looking the other way turns front light into back light', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 359, noNaN: true }),
      fc.double({ min: -60, max: 60, noNaN: true }),
      fc.double({ min: 0, max: 359, noNaN: true }),
      fc.double({ min: -10, max: 89, noNaN: true }),
      (view, up, azimuth, altitude) => {
        const one = sunAngleFrom(view, up, sun(azimuth, altitude)).phaseDeg;
        const other = sunAngleFrom(view + 180, -up, sun(azimuth, altitude)).phaseDeg;
        expect(one + other).toBeCloseTo(180, 4);
      },
    ),
  );
});

test('events of an April day come in order', () => {
  const events = sunEvents({
    date: '2027-04-16',
    timeZone: 'Europe/London',
    latitudeDeg: 53.12,
    longitudeDeg: -1.87,
  });
  const order = [
    events.astronomicalDawn,
    events.nauticalDawn,
    events.civilDawn,
    events.rise,
    events.culmination,
    events.set,
    events.civilDusk,
    events.nauticalDusk,
    events.astronomicalDusk,
  ].map((when) => when?.getTime() ?? NaN);
  expect([...order].sort((a, b) => a - b)).toEqual(order);
});

test('polar day has no set, polar night no rise; nothing is made up', () => {
  const at = (date: string) =>
    sunEvents({ date, timeZone: 'Arctic/Longyearbyen', latitudeDeg: 78.2, longitudeDeg: 15.6 });
  expect(at('2027-06-21')).not.toHaveProperty('set');
  expect(at('2027-06-21')).not.toHaveProperty('civilDusk');
  expect(at('2027-06-21')).toHaveProperty('culmination');
  expect(at('2027-12-21')).not.toHaveProperty('rise');
});

test('the day that loses an hour is still one local day', () => {
  const { rise, set } = sunEvents({
    date: '2027-03-28',
    timeZone: 'Europe/London',
    latitudeDeg: 53.12,
    longitudeDeg: -1.87,
  });
  expect(rise?.toISOString().slice(0, 10)).toBe('2027-03-28');
  expect((set?.getTime() ?? 0) - (rise?.getTime() ?? 0)).toBeGreaterThan(12 * 3.6e6);
});

test('either side of the date line, sunset falls on the date asked for', () => {
  for (const [timeZone, longitudeDeg] of [
    ['Pacific/Auckland', 179.9],
    ['Pacific/Apia', -171.8],
  ] as const) {
    const { set } = sunEvents({ date: '2027-02-10', timeZone, latitudeDeg: -15, longitudeDeg });
    const local = set?.toLocaleDateString('sv-SE', { timeZone });
    expect(local).toBe('2027-02-10');
  }
});

test('asked in turns for several places, hours and airs, each has its own sun', () => {
  const asked = [
    { latitudeDeg: 52, longitudeDeg: 0, time: Date.UTC(2027, 5, 19, 9) },
    { latitudeDeg: 52, longitudeDeg: 0, time: Date.UTC(2027, 5, 19, 10) },
    { latitudeDeg: -33, longitudeDeg: 151, time: Date.UTC(2027, 5, 19, 10) },
    { latitudeDeg: 52, longitudeDeg: 0, time: Date.UTC(2027, 5, 19, 9), pressureHpa: 600 },
    { latitudeDeg: 52, longitudeDeg: 0, time: Date.UTC(2027, 5, 19, 9), elevationM: 3000 },
    { latitudeDeg: 52, longitudeDeg: 0, time: new Date(Date.UTC(2027, 5, 19, 11)) },
  ];
  const first = asked.map((one) => ({ ...sunPosition(one) }));
  expect(
    new Set(
      first.map(({ azimuthDeg, apparentAltitudeDeg }) => `${azimuthDeg} ${apparentAltitudeDeg}`),
    ).size,
  ).toBe(6);
  for (let round = 0; round < 3; round += 1) {
    asked.forEach((one, i) => {
      expect(sunPosition(one)).toEqual(first[i]);
      expect(sunPosition(one)).toEqual(first[i]);
    });
  }
  expect(() => sunPosition({ ...asked[0], time: NaN } as (typeof asked)[number])).toThrow(
    RangeError,
  );
});
