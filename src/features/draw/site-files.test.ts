import { DEMO_SHOOTS } from '@/demo';
import { DOMParser } from '@xmldom/xmldom';
import { writeGeoJson } from '@/formats/geojson';
import { writeGpx } from '@/formats/gpx';
import { escaped } from '@/formats/plan-image';
import type { Shoot } from '@/records/shoot';
import type { PointsAs } from '@/formats/site';
import { readSite as readSiteText } from '@/formats/site-file';
import { itemsInWords, withItems } from './site-files';

const readSite = (text: string, { place, subjects }: Shoot, pointsAs: PointsAs) =>
  readSiteText(text, { place, subjects, pointsAs });

const [larkmoor, , tern] = DEMO_SHOOTS as [Shoot, Shoot, Shoot];
const reason = (text: string) => {
  const read = readSite(text, larkmoor, 'marks');
  return read.ok ? 'taken' : read.reason;
};
const collection = (...features: object[]) =>
  JSON.stringify({ type: 'FeatureCollection', features });
const feature = (geometry: object | null, properties: object = {}) => ({
  type: 'Feature',
  geometry,
  properties,
});
const HERE = [-1.87, 53.12];

describe('what is refused, whole and with a reason', () => {
  test.each([
    ['nothing', '', /empty/],
    ['a picture', '\u0089PNG\r\n', /neither GeoJSON nor GPX/],
    ['a table', 'name,lat,lon\nA,1,2', /neither GeoJSON nor GPX/],
    ['a file cut off', writeGeoJson(larkmoor).slice(0, 900), /no JSON, or it is cut off/],
    ['JSON of another kind', '{"hello": 1}', /^the file: /],
    ['a shoot file', '{"format": "bright-perch/shoot", "shoot": {}}', /^the file: /],
    ['a binary that begins like JSON', '{\u0000\u0001', /not text/],
    ['XML that is no GPX', '<kml><Document/></kml>', /no gpx element/],
    ['XML cut off', '<gpx><wpt lat="1" lon="2">', /not GPX: line 1/],
    ['a GPX of nothing', '<gpx></gpx>', /no waypoints, tracks or routes/],
    [
      'a waypoint of words',
      '<gpx><wpt lat="north" lon="2"/></gpx>',
      /wpt\[0\]\.@lat: must be decimal/,
    ],
    ['a waypoint off the globe', '<gpx><wpt lat="95" lon="2"/></gpx>', /must be within 90/],
  ])('%s', (_what, text, pattern) => {
    expect(reason(text)).toMatch(pattern);
  });

  test('entities that swell, and outside ones', () => {
    const bomb = `<!DOCTYPE gpx [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;">]><gpx><wpt lat="1" lon="1"><name>&b;</name></wpt></gpx>`;
    expect(reason(bomb)).toMatch(/document type of its own/);
    const outside = `<!DOCTYPE gpx SYSTEM "file:///etc/passwd"><gpx/>`;
    expect(reason(outside)).toMatch(/document type of its own/);
  });

  test('a file of over 4 MB', () => {
    expect(reason(`{"a": "${'x'.repeat(4_000_001)}"}`)).toMatch(/over 4 MB/);
  });

  test('more features than a ground can have', () => {
    const many = Array.from({ length: 1300 }, () => feature({ type: 'Point', coordinates: HERE }));
    expect(reason(collection(...many))).toMatch(/at most 1200 features/);
  });

  test('a line of more points than one may have', () => {
    const coordinates = Array.from({ length: 300 }, (_, i) => [-1.87 + i * 1e-5, 53.12]);
    expect(reason(collection(feature({ type: 'LineString', coordinates })))).toMatch(/^the file: /);
  });

  test.each([
    ['far away', { type: 'Point', coordinates: [100, 20] }, /feature 1: lies \d+ km from this/],
    ['off the globe', { type: 'Point', coordinates: [53.12, -187] }, /longitude comes first/],
    ['of words', { type: 'Point', coordinates: ['a', 'b'] }, /coordinates/],
    ['of one number', { type: 'Point', coordinates: [1] }, /coordinates/],
    ['of no kind there is', { type: 'Blob', coordinates: HERE }, /geometry/],
  ])('a point %s', (_what, geometry, pattern) => {
    expect(reason(collection(feature(geometry)))).toMatch(pattern);
  });

  test('an area with a hole', () => {
    const ring = [HERE, [-1.869, 53.12], [-1.869, 53.121], HERE];
    const geometry = { type: 'Polygon', coordinates: [ring, ring] };
    expect(reason(collection(feature(geometry)))).toMatch(/areas with holes/);
  });

  test('a thing of our own kind with figures that are wrong, named', () => {
    const tree = feature(
      { type: 'Point', coordinates: HERE },
      { kind: 'tree', name: 'Tree', heightM: -3, crownM: 4 },
    );
    expect(reason(collection(feature({ type: 'Point', coordinates: HERE }), tree))).toMatch(
      /^feature 2: heightM: /,
    );
    const mark = feature({ type: 'Point', coordinates: HERE }, { kind: 'mark', name: 'M' });
    expect(reason(collection(mark))).toMatch(/^feature 1: headingDeg: /);
  });
});

test('names like those of an object’s own parts do no harm', () => {
  const text = `{"type":"FeatureCollection","features":[{"type":"Feature","__proto__":{"polluted":1},"geometry":{"type":"Point","coordinates":[-1.87,53.12]},"properties":{"__proto__":{"polluted":1},"constructor":1,"name":"<img src=x onerror=alert(1)>"}}]}`;
  const read = readSite(text, larkmoor, 'marks');
  if (!read.ok) throw new Error(read.reason);
  expect(read.items.marks[0]?.name).toBe('<img src=x onerror=alert(1)>');
  expect(({} as { polluted?: number }).polluted).toBeUndefined();
});

test('what another program drew: points, lines, areas, several in one, and none', () => {
  const ring = [HERE, [-1.869, 53.12], [-1.869, 53.121], HERE];
  const read = readSite(
    collection(
      feature({ type: 'Point', coordinates: [...HERE, 310] }, { name: 'Gate' }),
      feature({ type: 'MultiPoint', coordinates: [HERE, HERE] }, { title: 'Pair' }),
      feature({ type: 'LineString', coordinates: [HERE, [-1.869, 53.12]] }),
      feature({ type: 'MultiPolygon', coordinates: [[ring], [ring]] }, { name: 'Field' }),
      feature(null, { name: 'Nowhere' }),
    ),
    larkmoor,
    'positions',
  );
  if (!read.ok) throw new Error(read.reason);
  expect(read.items.positions.map(({ name }) => name)).toEqual(['Gate', 'Pair', 'Pair']);
  expect(read.items.features.map(({ name, kind, points }) => [name, kind, points.length])).toEqual([
    ['Line', 'outline', 2],
    ['Field', 'outline', 4],
    ['Field', 'outline', 4],
  ]);
  const ids = read.items.positions.map(({ id }) => id);
  expect(new Set(ids).size).toBe(3);
});

test('what has the same id is replaced, what has not is added, and it is told before', () => {
  const read = readSite(writeGeoJson(larkmoor), larkmoor, 'marks');
  if (!read.ok) throw new Error(read.reason);
  expect(itemsInWords(read.items, larkmoor)).toMatch(
    /^4 marks, 6 positions and \d+ things on the ground; \d+ of them take the place/,
  );
  const fewer = { ...larkmoor, features: larkmoor.features.slice(0, 3) };
  const taken = withItems(fewer, read.items);
  expect(taken.ok && taken.shoot.features).toHaveLength(larkmoor.features.length);
  // The file's own figures take the place of those that were there.
  const renamed = { ...larkmoor, marks: larkmoor.marks.map((mark) => ({ ...mark, name: 'Old' })) };
  const named = withItems(renamed, read.items);
  expect(named.ok && named.shoot.marks.map(({ name }) => name)).toEqual(
    larkmoor.marks.map(({ name }) => name),
  );
});

test('a file of another place is refused rather than thrown to the far side of the map', () => {
  expect(reason(writeGeoJson(tern))).toMatch(/^feature 1: lies 17\d km/);
});

test('with what is there it would be too many', () => {
  const mark = larkmoor.marks[0] as Shoot['marks'][number];
  const marks = Array.from({ length: 399 }, (_, i) => ({ ...mark, id: `m-${i}` }));
  const taken = withItems(larkmoor, { marks, positions: [], features: [] });
  expect(taken).toEqual({ ok: false, reason: 'marks: must be at most 400' });
});

test('a mark with a subject of another shoot’s own stands still here, and it is told', () => {
  const own = {
    ...larkmoor,
    marks: larkmoor.marks.map((m, i) => (i ? m : { ...m, subjectId: 'own-fox' })),
  };
  const read = readSite(writeGeoJson(own), larkmoor, 'marks');
  if (!read.ok) throw new Error(read.reason);
  expect(read.items.marks[0]?.subjectId).toBe('standing');
  expect(read.notes.at(-1)).toMatch(/^The subject of .* is not in this shoot; it stands still/);
  expect(withItems(larkmoor, read.items).ok).toBe(true);
});

test('painted lines are told of as left out, and only where there are some', () => {
  const point = feature({ type: 'Point', coordinates: HERE });
  const plain = readSite(collection(point), larkmoor, 'marks');
  expect(plain.ok && plain.notes).toEqual([]);
  const whole = readSite(writeGeoJson(larkmoor), larkmoor, 'marks');
  expect(whole.ok && whole.notes.join()).toMatch(/^\d+ painted lines belong to the template/);
});

test('a fence whose wire is thicker than its mesh is refused before anything changes', () => {
  const fence = feature(
    { type: 'LineString', coordinates: [HERE, [-1.869, 53.12]] },
    {
      ...{ kind: 'fence', name: 'Wire', heightM: 3, meshPitchMm: 10, wireMm: 12 },
      ...{ postSpacingM: 3, postWidthMm: 60 },
    },
  );
  const read = readSite(collection(fence), larkmoor, 'marks');
  if (!read.ok) throw new Error(read.reason);
  expect(withItems(larkmoor, read.items)).toEqual({
    ok: false,
    reason: expect.stringMatching(/^features\[\d+\]\.wireMm: must be/),
  });
});

test.each([
  ['named as an object’s own part', '<gpx><constructor/><wpt lat="53.12" lon="-1.87"/></gpx>'],
  ['named __proto__', '<gpx><__proto__><a>1</a></__proto__><wpt lat="53.12" lon="-1.87"/></gpx>'],
  ['nested a hundred deep', `<gpx>${'<a>'.repeat(100)}${'</a>'.repeat(100)}</gpx>`],
  ['nested ten thousand deep', `<gpx>${'<a>'.repeat(1e4)}${'</a>'.repeat(1e4)}</gpx>`],
])('a GPX tag %s is read or refused in words', (_what, text) => {
  expect(reason(text)).toMatch(/^taken$|^the file is not GPX: |^the file has no waypoints/);
});

test('a refusal quotes only the beginning of what is long', () => {
  const key = 'k'.repeat(3_000_000);
  const own = feature({ type: 'Point', coordinates: HERE }, { kind: 'tree', name: 'T', [key]: 1 });
  const why = reason(collection(own));
  expect(why).toMatch(/^feature 1: /);
  expect(why.length).toBeLessThan(400);
  expect(reason(`<gpx><${'t'.repeat(3_000_000)}></gpx>`).length).toBeLessThan(400);
});

test('an area that is not closed is refused, with what is wrong', () => {
  const ring = [HERE, [-1.869, 53.12], [-1.869, 53.121], [-1.87, 53.121]];
  expect(reason(collection(feature({ type: 'Polygon', coordinates: [ring] })))).toMatch(
    /must end where it begins: the area is not closed/,
  );
});

test('names with control characters make sound XML', () => {
  const name = 'A\u0000B\u000bC\ud800D\ufffe & <E>';
  const [mark, ...marks] = larkmoor.marks as [Shoot['marks'][number]];
  const gpx = writeGpx({ ...larkmoor, title: name, marks: [{ ...mark, name }, ...marks] });
  const errors: string[] = [];
  new DOMParser({ onError: (_level, message) => errors.push(message) }).parseFromString(
    gpx,
    'text/xml',
  );
  expect(errors).toEqual([]);
  expect(gpx).toContain('ABCD &amp; &lt;E&gt;');
  expect(escaped(name)).toBe('ABCD &amp; &lt;E&gt;');
});

test('a point without a name is called what it is taken as', () => {
  const text = collection(feature({ type: 'Point', coordinates: HERE }));
  for (const [pointsAs, name] of [
    ['marks', 'Mark'],
    ['positions', 'Position'],
  ] as const) {
    const read = readSite(text, larkmoor, pointsAs);
    if (!read.ok) throw new Error(read.reason);
    expect(read.items[pointsAs]?.map((entry) => entry.name)).toEqual([name]);
  }
});
