import fc from 'fast-check';
import { halfCircle } from '../quantity/angles';
import { sunPosition } from './position';
import { sunTrack } from './track';

test('read off between midnights the sun stands within 0.01° of where it is, the year round', () => {
  const year = { min: Date.UTC(2027, 0, 1), max: Date.UTC(2028, 11, 31) };
  fc.assert(
    fc.property(
      fc.integer({ min: -895, max: 895 }),
      fc.integer({ min: -180, max: 180 }),
      fc.integer(year),
      (tenths, longitudeDeg, time) => {
        const place = { latitudeDeg: tenths / 10, longitudeDeg };
        const [read, exact] = [sunTrack(place)(time), sunPosition({ time, ...place })];
        expect(Math.abs(read.altitudeDeg - exact.altitudeDeg)).toBeLessThan(0.01);
        // Near the zenith a bearing means little.
        const across = Math.cos((exact.altitudeDeg * Math.PI) / 180);
        expect(Math.abs(halfCircle(read.azimuthDeg - exact.azimuthDeg)) * across).toBeLessThan(
          0.01,
        );
      },
    ),
    { numRuns: 500 },
  );
});

test('at the pole it is computed by itself', () => {
  const place = { latitudeDeg: 90, longitudeDeg: 0 };
  const time = Date.UTC(2027, 5, 21, 7);
  expect(sunTrack(place)(time)).toEqual(sunPosition({ time, ...place }));
});
