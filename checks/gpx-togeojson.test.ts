/**
 * GPX 1.1 against @tmcw/togeojson and @xmldom/xmldom: waypoints written here are read there with
 * their names and places; files as receivers write them are read here as they are there.
 */
import { gpx as gpxToGeoJson } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import { toLocal } from '@/core';
import { DEMO_SHOOTS } from '@/demo';
import { readGpx, writeGpx } from '@/formats/gpx';
import type { Shoot } from '@/records/shoot';

const [larkmoor] = DEMO_SHOOTS as [Shoot];
let ids = 0;
const reader = {
  origin: larkmoor.place,
  pointsAs: 'marks' as const,
  newId: () => `new-${(ids += 1)}`,
};
interface PointJson {
  readonly coordinates: readonly [number, number];
}
interface LineJson {
  readonly coordinates: readonly (readonly [number, number])[];
}
const reference = (text: string) =>
  gpxToGeoJson(new DOMParser().parseFromString(text, 'text/xml') as unknown as Document).features;

test.each(DEMO_SHOOTS.map((shoot) => [shoot.title, shoot] as const))(
  '%s: the reference reader finds every mark and position, named and in place',
  (_title, shoot) => {
    const found = reference(writeGpx(shoot));
    for (const { name, x, y } of [...shoot.marks, ...shoot.positions]) {
      const point = found.find(({ properties }) => properties?.name === name);
      const [longitudeDeg, latitudeDeg] = (point?.geometry as unknown as PointJson).coordinates;
      const at = toLocal({ latitudeDeg, longitudeDeg }, shoot.place);
      expect(Math.hypot(at.x - x, at.y - y)).toBeLessThan(0.03);
    }
  },
);

test('marks and positions come back as such; lamps and trees are left out and told', () => {
  const read = readGpx(writeGpx(larkmoor), reader);
  if (!read.ok) throw new Error(read.reason);
  expect(read.items.marks.map(({ name }) => name)).toEqual(larkmoor.marks.map(({ name }) => name));
  expect(read.items.positions.map(({ name }) => name)).toEqual(
    larkmoor.positions.map(({ name }) => name),
  );
  expect(read.items.features).toEqual([]);
  expect(read.notes.join()).toMatch(/5 waypoints of lamps, trees or perches are left out/);
});

const RECEIVER = `<?xml version="1.0"?>
<gpx version="1.1" creator="receiver" xmlns="http://www.topografix.com/GPX/1/1" xmlns:x="urn:x">
  <metadata><time>2027-04-10T09:00:00Z</time></metadata>
  <wpt lat="53.1201" lon="-1.8702"><ele>310.5</ele><name>Gate &amp; rail</name><sym>Flag</sym></wpt>
  <wpt lat="53.1199" lon="-1.8695"><x:ext><x:deep>1</x:deep></x:ext></wpt>
  <rte><name>Way in</name><rtept lat="53.1201" lon="-1.8702"/><rtept lat="53.1203" lon="-1.8704"/></rte>
  <trk><name>Walk round</name><trkseg>
    <trkpt lat="53.1200" lon="-1.8700"/><trkpt lat="53.1204" lon="-1.8700"/><trkpt lat="53.1204" lon="-1.8690"/>
  </trkseg></trk>
</gpx>`;

test('a receiver’s file is read as the reference reads it', () => {
  const read = readGpx(RECEIVER, reader);
  if (!read.ok) throw new Error(read.reason);
  const found = reference(RECEIVER);
  expect(read.items.marks.map(({ name }) => name)).toEqual(['Gate & rail', 'Mark']);
  expect(read.items.features.map(({ name, points }) => [name, points.length])).toEqual([
    ['Way in', 2],
    ['Walk round', 3],
  ]);
  const lines = found.filter(({ geometry }) => geometry?.type === 'LineString');
  const [, walk] = read.items.features;
  const theirs = lines.find(({ properties }) => properties?.name === 'Walk round');
  (theirs?.geometry as unknown as LineJson).coordinates.forEach(
    ([longitudeDeg, latitudeDeg], i) => {
      const at = toLocal({ latitudeDeg, longitudeDeg }, larkmoor.place);
      expect(walk?.points[i]?.x).toBeCloseTo(at.x, 2);
      expect(walk?.points[i]?.y).toBeCloseTo(at.y, 2);
    },
  );
});

test('points become positions when that is asked', () => {
  const read = readGpx(RECEIVER, { ...reader, pointsAs: 'positions' });
  expect(read.ok && read.items.positions.map(({ name }) => name)).toEqual([
    'Gate & rail',
    'Position',
  ]);
});

test('a long track is thinned evenly and told', () => {
  const points = Array.from(
    { length: 3000 },
    (_, i) => `<trkpt lat="${53.12 + i * 1e-6}" lon="-1.87"/>`,
  ).join('');
  const read = readGpx(`<gpx><trk><trkseg>${points}</trkseg></trk></gpx>`, reader);
  if (!read.ok) throw new Error(read.reason);
  const [line] = read.items.features;
  expect(line?.points).toHaveLength(200);
  expect(line?.points.at(-1)?.y).toBeCloseTo(2999e-6 * 111_270, 0);
  expect(read.notes).toHaveLength(1);
});
