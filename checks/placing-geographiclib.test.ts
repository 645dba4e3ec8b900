/**
 * Laying a plan by two known points, against the geodesics of geographiclib-geodesic (Karney 2013),
 * a package kept as a dev dependency.
 */
import fc from 'fast-check';
import geodesic from 'geographiclib-geodesic';
import { placeByTwoPoints, toGeographic, turned, type Point2 } from '@/core';
import { placedFrom } from '@/answers/place-from';
import { placeGround } from '@/records/edit-ground';
import { DEMO_SHOOTS } from '@/demo';
import type { Shoot } from '@/records/shoot';

const WGS84 = geodesic.Geodesic.WGS84;

/** A point so far from a place along a true bearing, by the reference package. */
function geodesicPoint(
  from: { latitudeDeg: number; longitudeDeg: number },
  { x, y }: Point2,
  turnDeg: number,
) {
  const bearing = (Math.atan2(x, y) * 180) / Math.PI + turnDeg;
  const { lat2, lon2 } = WGS84.Direct(
    from.latitudeDeg,
    from.longitudeDeg,
    bearing,
    Math.hypot(x, y),
  );
  return { latitudeDeg: lat2 as number, longitudeDeg: lon2 as number };
}

const metre = fc.double({ min: -400, max: 400, noNaN: true });
const point = fc.record({ x: metre, y: metre });

test('two points walked to by the geodesic give back the place and the turn', () => {
  fc.assert(
    fc.property(
      point,
      point,
      fc.double({ min: -60, max: 60, noNaN: true }),
      fc.double({ min: -179, max: 179, noNaN: true }),
      fc.double({ min: -170, max: 170, noNaN: true }),
      (a, b, latitudeDeg, longitudeDeg, turnDeg) => {
        fc.pre(Math.hypot(a.x - b.x, a.y - b.y) > 50);
        const place = { latitudeDeg, longitudeDeg };
        const globe = (p: Point2) => geodesicPoint(place, p, turnDeg);
        const placing = placeByTwoPoints(
          { plan: a, globe: globe(a) },
          { plan: b, globe: globe(b) },
        );
        expect(Math.abs(placing.turnDeg - turnDeg)).toBeLessThan(0.01);
        expect(Math.abs(placing.misfitM)).toBeLessThan(0.02);
        const { s12 } = WGS84.Inverse(
          place.latitudeDeg,
          place.longitudeDeg,
          placing.origin.latitudeDeg,
          placing.origin.longitudeDeg,
        );
        expect(s12).toBeLessThan(0.1);
      },
    ),
  );
});

test('laid by two points, a shoot has both of them where they are on the globe', () => {
  const [larkmoor] = DEMO_SHOOTS as [Shoot];
  const [a, b] = [larkmoor.positions[0], larkmoor.positions[3]] as [Point2, Point2];
  const there = { latitudeDeg: 47.3, longitudeDeg: 8.5 };
  const placing = placeByTwoPoints(
    { plan: a, globe: geodesicPoint(there, a, 25) },
    { plan: b, globe: geodesicPoint(there, b, 25) },
  );
  const laid = placeGround(larkmoor, placing);
  expect(laid.ground.bearingDeg).toBeCloseTo(12 + 25, 2);
  const onGlobe = toGeographic(laid.positions[0] as Point2, laid.place);
  const wished = geodesicPoint(there, a, 25);
  expect(onGlobe.latitudeDeg).toBeCloseTo(wished.latitudeDeg, 6);
  expect(onGlobe.longitudeDeg).toBeCloseTo(wished.longitudeDeg, 6);
});

test('a plan to scale keeps its scale; what the two points miss by is told', () => {
  const place = { latitudeDeg: 50, longitudeDeg: 7 };
  const a = { x: 0, y: 0 };
  const b = { x: 0, y: 100 };
  const placing = placeByTwoPoints(
    { plan: a, globe: geodesicPoint(place, a, 0) },
    { plan: b, globe: geodesicPoint(place, { x: 0, y: 102 }, 0) },
  );
  expect(placing.misfitM).toBeCloseTo(2, 2);
  // The middle falls in place: the whole is a metre to the north.
  const [, middle] = [turned(a, 0), toGeographic({ x: 0, y: 50 }, placing.origin)];
  const wished = geodesicPoint(place, { x: 0, y: 51 }, 0);
  expect(middle.latitudeDeg).toBeCloseTo(wished.latitudeDeg, 7);
});

test('points too near or too far apart are refused, with what is allowed', () => {
  const at = (latitudeDeg: number) => ({ latitudeDeg, longitudeDeg: 0 });
  const here = { x: 0, y: 0 };
  expect(() =>
    placeByTwoPoints({ plan: here, globe: at(50) }, { plan: here, globe: at(50.001) }),
  ).toThrow(/0\.0 m apart on the plan: must be from 1 to 10000 m/);
  expect(() =>
    placeByTwoPoints({ plan: here, globe: at(50) }, { plan: { x: 0, y: 100 }, globe: at(51) }),
  ).toThrow(/apart on the globe/);
});

test('what is placed by distance and bearing lies where the geodesic ends', () => {
  fc.assert(
    fc.property(
      point,
      fc.double({ min: 0, max: 400, noNaN: true }),
      fc.double({ min: 0, max: 359.99, noNaN: true }),
      fc.double({ min: -60, max: 60, noNaN: true }),
      (origin, distanceM, angleDeg, latitudeDeg) => {
        const site = { latitudeDeg, longitudeDeg: 11.5 };
        const from = toGeographic(origin, site);
        const ours = toGeographic(placedFrom({ distanceM, angleDeg }, origin), site);
        const { lat2, lon2 } = WGS84.Direct(
          from.latitudeDeg,
          from.longitudeDeg,
          angleDeg,
          distanceM,
        );
        // The plan is flat: over some hundred metres north and south turn by a hundredth of a degree.
        const { s12 } = WGS84.Inverse(ours.latitudeDeg, ours.longitudeDeg, lat2 ?? 0, lon2 ?? 0);
        expect(s12).toBeLessThan(0.1);
      },
    ),
  );
});
