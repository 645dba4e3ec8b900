/**
 * GeoJSON against RFC 7946: every file written passes @placemarkio/check-geojson, rings run
 * anticlockwise by @turf/boolean-clockwise (3.1.6), longitude comes first (3.1.1), coordinates agree
 * with geographiclib-geodesic; and what is read back is what was written.
 */
import { check } from '@placemarkio/check-geojson';
import { booleanClockwise } from '@turf/boolean-clockwise';
import geodesic from 'geographiclib-geodesic';
import { DEMO_SHOOTS } from '@/demo';
import { readGeoJson, writeGeoJson } from '@/formats/geojson';
import { merged } from '@/formats/site';
import { GROUND_TEMPLATES } from '@/presets/grounds';
import { newShoot } from '@/records/new-shoot';
import { shootSchema, type Shoot } from '@/records/shoot';

let ids = 0;
const newId = () => `new-${(ids += 1)}`;
const reader = (shoot: Shoot) => ({ origin: shoot.place, pointsAs: 'marks' as const, newId });
const demos = DEMO_SHOOTS.map((shoot) => [shoot.title, shoot] as const);
const [larkmoor] = DEMO_SHOOTS as [Shoot];

const templates = GROUND_TEMPLATES.map(
  ({ id }) =>
    [
      id,
      newShoot(
        {
          title: id,
          template: id,
          latitudeDeg: -33.2,
          longitudeDeg: 179.999,
          timeZone: 'UTC',
          bearingDeg: 40,
          startLocal: '2027-05-08T14:00',
          endLocal: '2027-05-08T16:00',
        },
        'x',
        '2026-11-24T12:00:00Z',
      ),
    ] as const,
);

test.each([...demos, ...templates])('%s is written as valid GeoJSON', (_title, shoot) => {
  const { features } = check(writeGeoJson(shoot)) as unknown as { features: never[] };
  expect(features.length).toBeGreaterThanOrEqual(
    shoot.marks.length + shoot.positions.length + shoot.features.length,
  );
});

test.each(demos)('%s: rings run anticlockwise and close', (_title, shoot) => {
  const { features } = JSON.parse(writeGeoJson(shoot));
  const rings = features
    .filter((f: { geometry: { type: string } | null }) => f.geometry?.type === 'Polygon')
    .map((f: { geometry: { coordinates: number[][][] } }) => f.geometry.coordinates[0]);
  expect(rings.length).toBeGreaterThan(2);
  for (const ring of rings) {
    expect(booleanClockwise(ring)).toBe(false);
    expect(ring[0]).toEqual(ring.at(-1));
  }
});

test('longitude first, and where a geodesic says, to a few centimetres', () => {
  const { features } = JSON.parse(writeGeoJson(larkmoor));
  for (const mark of larkmoor.marks) {
    const [lon, lat] = features.find((f: { id: string }) => f.id === mark.id).geometry.coordinates;
    const { latitudeDeg, longitudeDeg } = larkmoor.place;
    const { s12, azi1 } = geodesic.Geodesic.WGS84.Inverse(latitudeDeg, longitudeDeg, lat, lon);
    expect(s12).toBeCloseTo(Math.hypot(mark.x, mark.y), 1);
    const bearing = (Math.atan2(mark.x, mark.y) * 180) / Math.PI;
    expect(Math.abs((azi1 as number) - bearing)).toBeLessThan(0.3);
  }
});

test.each([...demos, ...templates])('%s comes back as it went', (_title, shoot) => {
  const read = readGeoJson(writeGeoJson(shoot), reader(shoot));
  if (!read.ok) throw new Error(read.reason);
  const { marks, positions, features } = read.items;
  const strip = (list: readonly object[]) =>
    list.map((entry) => ({ ...entry, x: 0, y: 0, points: 0 }));
  expect(strip(marks)).toEqual(strip(shoot.marks));
  expect(strip(positions)).toEqual(strip(shoot.positions));
  expect(strip(features)).toEqual(strip(shoot.features));
  marks.forEach((mark, i) => {
    expect(Math.abs(mark.x - (shoot.marks[i]?.x ?? NaN))).toBeLessThan(0.02);
    expect(Math.abs(mark.y - (shoot.marks[i]?.y ?? NaN))).toBeLessThan(0.02);
  });
  features.forEach(({ points }, i) => {
    const was = shoot.features[i]?.points ?? [];
    expect(points).toHaveLength(was.length);
    // A clockwise ring comes back the other way round from the same corner.
    for (const p of points) {
      const nearest = Math.min(...was.map((q) => Math.hypot(p.x - q.x, p.y - q.y)));
      expect(nearest).toBeLessThan(0.02);
    }
  });
  const again = merged(shoot, read.items);
  expect(shootSchema.safeParse(again).success).toBe(true);
  expect(again?.features).toHaveLength(shoot.features.length);
});
