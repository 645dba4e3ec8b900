/** Falling streaks, spin, bursts and focus by hand arithmetic; rates are common practice, no source. */
import { burstOverCycles, passingStreak, timeInFocus, turnDuring } from '@/core';

test('rain at 8 m/s, 10 m off, on 200 mm at 1/30 draws 5.4 mm: by similar triangles', () => {
  // f·s/(s − f) = 0.2·10/9.8 = 0.20408 m behind the lens; 8/30 m × 0.20408/10 = 5.442 mm.
  const rain = { speedMs: 8, distanceM: 10, focalMm: 200, shutterS: 1 / 30, frameHeightMm: 24 };
  expect(passingStreak(rain).streakMm).toBeCloseTo(5.442, 3);
  expect(passingStreak(rain).shareOfFrame).toBeCloseTo(0.2268, 4);
});

test('a ball spinning 40 times a second turns 7.2° in 1/2000; a wing at 20 beats 28.8° in 1/250', () => {
  expect(turnDuring({ perS: 40, shutterS: 1 / 2000 })).toBeCloseTo(7.2, 9);
  expect(turnDuring({ perS: 20, shutterS: 1 / 250 })).toBeCloseTo(28.8, 9);
});

test('five or six frames take in a step of a sprinter, as is advised', () => {
  // 4 to 5 steps a second at 20 frames a second.
  const { frames, missedByCycles } = burstOverCycles({ perS: 4.5, fps: 20 });
  expect(frames).toBe(6);
  expect(missedByCycles).toBeCloseTo(0.1125, 4);
});

test('a runner at 7 m/s head-on stays in 0.7 m of depth for a tenth of a second', () => {
  expect(timeInFocus({ depthM: 0.7, speedMs: 7, awayDeg: 0 })).toBeCloseTo(0.1, 9);
  expect(timeInFocus({ depthM: 0.7, speedMs: 7, awayDeg: 60 })).toBeCloseTo(0.2, 9);
  expect(timeInFocus({ depthM: 0.7, speedMs: 7, awayDeg: 90 })).toBe(Infinity);
});

test.each([
  ['perS', () => burstOverCycles({ perS: 0, fps: 10 })],
  ['shutterS', () => turnDuring({ perS: 1, shutterS: 0 })],
  ['awayDeg', () => timeInFocus({ depthM: 1, speedMs: 1, awayDeg: 200 })],
  [
    'frameHeightMm',
    () => passingStreak({ speedMs: 1, distanceM: 1, focalMm: 50, shutterS: 1, frameHeightMm: 0 }),
  ],
])('%s is checked', (field, wrong) => {
  expect(wrong).toThrow(field);
});
