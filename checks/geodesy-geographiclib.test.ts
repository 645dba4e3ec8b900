/** Karney's geodesics (the registry's geographiclib-geodesic package) against local metres. */
import geographiclib from 'geographiclib-geodesic';
import fc from 'fast-check';
import { alongBearing, toGeographic, toLocal } from '@/core';

const { WGS84 } = geographiclib.Geodesic;
const latitude = fc.double({ min: -70, max: 70, noNaN: true });
const longitude = fc.double({ min: -180, max: 180, noNaN: true });
const azimuth = fc.double({ min: 0, max: 360, noNaN: true });

const fold = (deg: number) => ((((deg + 180) % 360) + 360) % 360) - 180;

test('within 5 km a point is where the geodesic puts it, to a decimetre in a kilometre', () => {
  fc.assert(
    fc.property(
      latitude,
      longitude,
      azimuth,
      fc.double({ min: 1, max: 5000, noNaN: true }),
      (latitudeDeg, longitudeDeg, bearing, distanceM) => {
        const { lat2, lon2 } = WGS84.Direct(latitudeDeg, longitudeDeg, bearing, distanceM);
        const local = toLocal(
          { latitudeDeg: lat2, longitudeDeg: fold(lon2) },
          { latitudeDeg, longitudeDeg },
        );
        // The meridians lean: bearing turns by the convergence at half way, which is no error of place.
        const along = alongBearing(bearing);
        const off = Math.hypot(local.x - along.x * distanceM, local.y - along.y * distanceM);
        expect(Math.abs(Math.hypot(local.x, local.y) - distanceM)).toBeLessThan(
          0.0001 * distanceM + 0.001,
        );
        expect(off).toBeLessThan(0.0015 * distanceM + 0.001);
      },
    ),
    { numRuns: 300 },
  );
});

test('there and back again, over the date line too', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -85, max: 85, noNaN: true }),
      longitude,
      fc.double({ min: -5000, max: 5000, noNaN: true }),
      fc.double({ min: -5000, max: 5000, noNaN: true }),
      (latitudeDeg, longitudeDeg, x, y) => {
        const origin = { latitudeDeg, longitudeDeg };
        const back = toLocal(toGeographic({ x, y }, origin), origin);
        expect(back.x).toBeCloseTo(x, 4);
        expect(back.y).toBeCloseTo(y, 4);
      },
    ),
  );
  const fiji = { latitudeDeg: -17, longitudeDeg: 179.99 };
  const east = toGeographic({ x: 3000, y: 0 }, fiji);
  expect(east.longitudeDeg).toBeLessThan(-179.9);
  expect(toLocal(east, fiji).x).toBeCloseTo(3000, 6);
});
