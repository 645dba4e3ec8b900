import { getMoonIllumination, getMoonPosition, getMoonTimes } from 'suncalc';
import { moonLux, moonPosition, moonTimes } from './moon';

/** Against a second package, suncalc: its altitudes are lifted by refraction, at most 0.16° over 5°. */

const PLACES = [
  { latitudeDeg: 52.4, longitudeDeg: -2.9 },
  { latitudeDeg: -33.9, longitudeDeg: 18.4 },
  { latitudeDeg: 64.1, longitudeDeg: -21.9 },
  { latitudeDeg: 1.3, longitudeDeg: 103.8 },
];
const moments = Array.from({ length: 40 }, (_, i) => Date.UTC(2027, 0, 3) + i * 8.37 * 86_400_000);
const apart = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180);

test('the moon stands and is lit as a second package has it', () => {
  for (const place of PLACES) {
    for (const time of moments) {
      const ours = moonPosition({ time, ...place });
      const at = new Date(time);
      const theirs = getMoonPosition(at, place.latitudeDeg, place.longitudeDeg);
      if (ours.altitudeDeg > 5) {
        expect(theirs.altitude - ours.altitudeDeg).toBeGreaterThan(-0.02);
        expect(theirs.altitude - ours.altitudeDeg).toBeLessThan(0.2);
      }
      if (Math.abs(ours.altitudeDeg) < 75) {
        expect(apart(ours.azimuthDeg, theirs.azimuth)).toBeLessThan(0.05);
      }
      const { fraction } = getMoonIllumination(at);
      expect(Math.abs(ours.litShare - fraction)).toBeLessThan(0.001);
      // The lit share is that of its phase: (1 + cos α)/2.
      expect((1 + Math.cos((ours.phaseDeg * Math.PI) / 180)) / 2).toBeCloseTo(ours.litShare, 6);
    }
  }
});

test('it rises and sets within a minute and a half of what a second package says, and not on every day', () => {
  let [days, withoutRise] = [0, 0];
  for (const place of PLACES) {
    for (let day = 1; day <= 28; day += 1) {
      const date = `2027-05-${String(day).padStart(2, '0')}`;
      const ours = moonTimes({ date, timeZone: 'UTC', ...place });
      const theirs = getMoonTimes(
        new Date(`${date}T00:00Z`),
        place.latitudeDeg,
        place.longitudeDeg,
      );
      days += 1;
      if (!ours.rise) withoutRise += 1;
      for (const key of ['rise', 'set'] as const) {
        const [mine, other] = [ours[key]?.getTime(), theirs[key]?.getTime()];
        expect(mine === undefined).toBe(other === undefined);
        expect(Math.abs((mine ?? 0) - (other ?? 0))).toBeLessThan(90_000);
      }
    }
  }
  // Later by some fifty minutes each day: about one day in a month has no rise.
  expect(withoutRise).toBeGreaterThan(0);
  expect(withoutRise).toBeLessThan(days / 10);
});

test('a full moon high up gives a quarter of a lux, a half moon a tenth of that', () => {
  // Handbooks have 0.25 lx for a full moon in the zenith and about a tenth for a quarter; from memory.
  expect(moonLux({ altitudeDeg: 90, phaseDeg: 0 })).toBeCloseTo(0.2245, 3);
  const half = moonLux({ altitudeDeg: 90, phaseDeg: 90 });
  // 0.026·90 + 4·10⁻⁹·90⁴ = 2.6024 magnitudes less: 0.0910 of it.
  expect(half / moonLux({ altitudeDeg: 90, phaseDeg: 0 })).toBeCloseTo(0.091, 3);
  expect(moonLux({ altitudeDeg: 10, phaseDeg: 0 })).toBeLessThan(0.03);
  expect(moonLux({ altitudeDeg: -1, phaseDeg: 0 })).toBe(0);
  expect(() => moonLux({ altitudeDeg: 10, phaseDeg: 181 })).toThrow('phaseDeg 181');
});
