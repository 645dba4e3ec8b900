/**
 * Janiczek & DeYoung (1987), USNO Circular 171, and the IES daylight availability of Gillette,
 * Pierpoint & Treado (1984): table values quoted from memory. Kasten & Young (1989), Applied
 * Optics 28: air mass table, quoted from memory.
 */
import { airMass, daylight, evFromIlluminance, illuminanceOnFace } from '@/core';

const clearAt = (sunAltitudeDeg: number) =>
  daylight({ sunAltitudeDeg, sky: 'clear' }).globalHorizontalLux;

test.each([
  [60, 103_000, 1000],
  [0, 759, 1],
  [-6, 3.41, 0.01],
  [-12, 0.0081, 0.0001],
  [-18, 6.4e-4, 1e-5],
])('clear sky, sun at %d°: %d lx on level ground', (altitude, lux, within) => {
  expect(Math.abs(clearAt(altitude) - lux)).toBeLessThan(within);
});

test.each([
  [90, 1.0],
  [30, 1.994],
  [10, 5.6],
  [0, 38],
])('air mass at %d° is %d', (altitude, mass) => {
  expect(Math.abs(airMass(altitude) / mass - 1)).toBeLessThan(0.01);
});

test('just under the horizon the piece for −0.8° to −5° counts from −0.8° on', () => {
  // 10^(2.88 + 21.81x − 258.11x² − 858.36x³), x = −1.2/90, by hand.
  expect(clearAt(-1.2)).toBeCloseTo(351.0, 0);
  // 10^(2.88 + 22.26x − 207.64x² + 1034.30x³), x = −0.4/90, by hand.
  expect(clearAt(-0.4)).toBeCloseTo(598.2, 0);
});

test('cloud takes what the handbook ratio says: overcast noon at 60° is 18.5/101.9 of clear', () => {
  const ratio = daylight({ sunAltitudeDeg: 60, sky: 'overcast' }).globalHorizontalLux / clearAt(60);
  // 0.3 + 21·sin 60° over 127.5·e^(−0.21·1.154)·sin 60° + 0.8 + 15.5·√sin 60°, by hand.
  expect(ratio).toBeCloseTo(18.487 / 101.88, 2);
});

describe('no step above 0.15 stop from −18° to 90°', () => {
  const step = (lux: (altitudeDeg: number) => number) => {
    let worst = 0;
    for (let altitude = -18; altitude < 89.99; altitude += 0.01) {
      // A slope is not a step: what a hundredth of a degree changes between steps is under 0.02.
      worst = Math.max(worst, Math.abs(Math.log2(lux(altitude + 0.01) / lux(altitude))));
    }
    return worst;
  };
  test.each(['clear', 'partly', 'overcast', 0.3, 0.75] as const)('level ground, sky %s', (sky) => {
    expect(
      step((sunAltitudeDeg) => daylight({ sunAltitudeDeg, sky }).globalHorizontalLux),
    ).toBeLessThan(0.15);
  });
  test('a surface that lies level takes the sun by the sine of its height, and no light of the ground', () => {
    const level = illuminanceOnFace({
      daylight: {
        directNormalLux: 80_000,
        diffuseHorizontalLux: 10_000,
        globalHorizontalLux: 50_000,
      },
      sun: { azimuthDeg: 200, altitudeDeg: 30 },
      ...{ faceAzimuthDeg: 0, faceTiltDeg: 0, groundReflectance: 0.8 },
    });
    expect(level).toBeCloseTo(80_000 * 0.5 + 10_000, 6);
  });
  test('a front-lit face', () => {
    const lux = (altitudeDeg: number) =>
      illuminanceOnFace({
        daylight: daylight({ sunAltitudeDeg: altitudeDeg, sky: 'clear' }),
        sun: { azimuthDeg: 200, altitudeDeg },
        faceAzimuthDeg: 200,
        groundReflectance: 0.2,
      });
    expect(step(lux)).toBeLessThan(0.15);
  });
});

test('an overcast sunrise only brightens', () => {
  const overcast = (sunAltitudeDeg: number) =>
    daylight({ sunAltitudeDeg, sky: 'overcast' }).globalHorizontalLux;
  for (let altitude = -6; altitude < 40; altitude += 0.1) {
    expect(overcast(altitude + 0.1)).toBeGreaterThan(overcast(altitude));
  }
});

describe('bright-sun rule and its relatives (common practice, no source)', () => {
  const evAt = (faceAzimuthDeg: number, sky: 'clear' | 'overcast', altitudeDeg: number) =>
    evFromIlluminance(
      illuminanceOnFace({
        daylight: daylight({ sunAltitudeDeg: altitudeDeg, sky }),
        sun: { azimuthDeg: 180, altitudeDeg },
        faceAzimuthDeg,
        groundReflectance: 0.2,
      }),
    );
  test('a front-lit face under a clear sun at 45° is EV 14.6 to 15.1', () => {
    expect(evAt(180, 'clear', 45)).toBeGreaterThan(14.6);
    expect(evAt(180, 'clear', 45)).toBeLessThan(15.1);
  });
  test.each([90, 270, 0])('turned to %d° it is about 2.5 stops less', (azimuth) => {
    expect(Math.abs(evAt(180, 'clear', 45) - evAt(azimuth, 'clear', 45) - 2.5)).toBeLessThan(0.3);
  });
  test.each([42, 55, 75])('overcast, sun at %d°: EV 11.5 to 13', (altitude) => {
    expect(evAt(180, 'overcast', altitude)).toBeGreaterThan(11.5);
    expect(evAt(180, 'overcast', altitude)).toBeLessThan(13);
  });
});
