/**
 * ISO 2720:1974 (exposure equation, C = 250) and the marked scales in common use; values worked by
 * hand. Triads reported by practitioners: common practice, no source.
 */
import {
  ev,
  evFromIlluminance,
  formatShutter,
  illuminanceFromEv,
  LAMP_LEVELS_LUX,
  lamps,
  nearestMark,
  parseShutter,
} from '@/core';

test('f/1 for 1 s at ISO 100 is EV 0, and EV 0 is 2.5 lx', () => {
  expect(ev({ aperture: 1, shutterS: 1, iso: 100 })).toBe(0);
  expect(illuminanceFromEv(0)).toBe(2.5);
  expect(evFromIlluminance(2.5)).toBe(0);
});

test('f/16 at 1/100 and ISO 100 is EV 14.6; EV 15 is 81 920 lx', () => {
  expect(ev({ aperture: 16, shutterS: 1 / 100, iso: 100 })).toBeCloseTo(14.644, 3);
  expect(illuminanceFromEv(15)).toBe(81_920);
});

test('three stops under at 1/800, f/2.8, ISO 2000 is a scene of EV 5.29; 1/500 at ISO 5000 wins 2.0', () => {
  const scene = ev({ aperture: 2.8, shutterS: 1 / 800, iso: 2000 }) - 3;
  expect(scene).toBeCloseTo(5.29, 2);
  const won =
    ev({ aperture: 2.8, shutterS: 1 / 800, iso: 2000 }) -
    ev({ aperture: 2.8, shutterS: 1 / 500, iso: 5000 });
  expect(won).toBeCloseTo(2.0, 2);
});

test.each([
  ['night stadium', { aperture: 4, shutterS: 1 / 1600, iso: 5000 }, LAMP_LEVELS_LUX.nightStadium],
  ['sports hall', { aperture: 2.8, shutterS: 1 / 1000, iso: 6400 }, LAMP_LEVELS_LUX.goodHall],
  ['dim hall', { aperture: 2.8, shutterS: 1 / 1000, iso: 10_000 }, LAMP_LEVELS_LUX.dimHall],
  [
    'weak floodlights',
    { aperture: 2.8, shutterS: 1 / 1000, iso: 8000 },
    LAMP_LEVELS_LUX.weakFloodlights,
  ],
])(
  '%s: the triad in use and the lamp level agree within a fifth of a stop',
  (_name, triad, lux) => {
    expect(Math.abs(ev(triad) - evFromIlluminance(lux))).toBeLessThan(0.2);
  },
);

test('a zone a third of a stop darker gets 2^(−1/3) of the lamps', () => {
  expect(lamps({ level: 'weakFloodlights', zoneStops: -1 / 3 })).toBeCloseTo(245 / 1.2599, 2);
});

test.each([
  ['shutter', 2 ** (-32 / 3), '1/1600'],
  ['shutter', 1 / 1600, '1/1600'],
  ['shutter', 2 ** -13, '1/8000'],
  ['shutter', 1 / 60, '1/60'],
  ['shutter', 0.5, '1/2'],
  ['shutter', 30, '30 s'],
  ['aperture', 2 ** (16 / 6), 'f/6.3'],
  ['aperture', 2.8, 'f/2.8'],
  ['aperture', 11, 'f/11'],
  ['iso', 100 * 2 ** (14 / 3), 'ISO 2500'],
  ['iso', 12_800, 'ISO 12800'],
] as const)('%s %d is engraved %s', (kind, value, label) => {
  expect(nearestMark(kind, value).label).toBe(label);
});

test('a marked time stands for its exact value', () => {
  expect(parseShutter('1/1600')).toBe(2 ** (-32 / 3));
  expect(parseShutter('1/180')).toBe(2 ** -7.5);
  expect(parseShutter('0.8')).toBe(2 ** (-1 / 3));
  expect(parseShutter('2 s')).toBe(2);
  expect(formatShutter(1 / 790)).toBe('1/800');
});

test.each(['', '1/0', '-1/60', 'fast', '1/', '0', '1e9/2'])('%p is no time', (text) => {
  expect(() => parseShutter(text)).toThrow(RangeError);
});
