import { DEMO_SHOOTS } from '@/demo';
import { turnGround } from './edit-ground';
import { duplicateShoot, newShoot } from './new-shoot';
import { parseRecord } from './parse';
import { SHOOT_VERSION, shootSchema, type Shoot } from './shoot';
import { SHOOT_MIGRATIONS } from './shoot-migrations';

const KIND = { schema: shootSchema, version: SHOOT_VERSION, migrations: SHOOT_MIGRATIONS };
const [larkmoor] = DEMO_SHOOTS as [Shoot, ...Shoot[]];

/** Larkmoor with one thing wrong. */
function broken(change: (draft: Record<string, never>) => void): unknown {
  const draft = JSON.parse(JSON.stringify(larkmoor));
  change(draft);
  return draft;
}

const reasonFor = (raw: unknown): string => {
  const parsed = parseRecord(raw, KIND);
  return parsed.ok ? 'accepted' : parsed.reason;
};

test.each(DEMO_SHOOTS.map((shoot) => [shoot.title, shoot] as const))(
  '%s is a whole record',
  (_t, shoot) => {
    expect(reasonFor(JSON.parse(JSON.stringify(shoot)))).toBe('accepted');
  },
);

test('there is one migration for each version before this one', () => {
  expect(SHOOT_MIGRATIONS).toHaveLength(SHOOT_VERSION - 1);
});

const FENCE = {
  id: 'f',
  name: 'Fence',
  kind: 'fence',
  points: [
    { x: 0, y: 0 },
    { x: 5, y: 0 },
  ],
  heightM: 2,
  meshPitchMm: 50,
  wireMm: 3,
  postSpacingM: 3,
  postWidthMm: 60,
};

type Draft = { [key: string]: Draft } & { [key: number]: Draft };
const set = (path: readonly (string | number)[], value: unknown) => (draft: unknown) => {
  const parent = path.slice(0, -1).reduce<Draft>((at, key) => at[key] as Draft, draft as Draft);
  (parent as Record<string | number, unknown>)[path[path.length - 1] as string] = value;
};

test.each([
  ['title', ['title'], '  '],
  ['place.latitudeDeg', ['place', 'latitudeDeg'], 95],
  ['place.timeZone', ['place', 'timeZone'], 'Mars/Base'],
  ['endLocal', ['endLocal'], '2027-04-16T18:30'],
  ['startLocal', ['startLocal'], '2027-02-30T10:00'],
  ['marks[0].headingDeg', ['marks', 0, 'headingDeg'], 'north'],
  ['positions[0].x', ['positions', 0, 'x'], 1e9],
  ['marks[0].subjectId', ['marks', 0, 'subjectId'], 'unicorn'],
  ['choice.markId', ['choice', 'markId'], 'nobody'],
  ['choice.positionId', ['choice', 'positionId'], 'nowhere'],
  ['kit.focalMm', ['kit', 'focalMm'], 999],
  ['kit.lensId', ['kit', 'lensId'], '__proto__'],
  ['features[0].points', ['features', 0, 'points'], [{ x: 0, y: 0 }]],
  ['features[0].kind', ['features', 0, 'kind'], 'castle'],
  ['features[0].wireMm', ['features', 0], { ...FENCE, wireMm: 19, meshPitchMm: 12 }],
  ['version', ['version'], 99],
  ['version', ['version'], 'one'],
] as const)('%s that is wrong is named', (named, path, value) => {
  const reason = reasonFor(broken(set(path, value)));
  expect(reason.startsWith(`${named}:`)).toBe(true);
});

test('a field that is not known is refused, not dropped', () => {
  expect(reasonFor(broken(set(['flash'], true)))).toMatch(/flash/);
});

test('a converter on a lens that takes none is refused', () => {
  const kit = { ...larkmoor.kit, lensId: '24-70-2.8', focalMm: 70, converter: 1.4 };
  expect(reasonFor({ ...larkmoor, kit })).toMatch(/^kit\.converter:/);
});

test('an id may not stand twice', () => {
  const marks = [...larkmoor.marks, ...larkmoor.marks];
  const second = larkmoor.marks.length;
  expect(reasonFor({ ...larkmoor, marks })).toBe(`marks[${second}].id: must not stand twice`);
});

test.each([[null], [[]], ['text'], [7]])('%p is no record', (raw) => {
  expect(reasonFor(raw)).toBe('not a record');
});

test('an older record is lifted step by step', () => {
  const older = { version: 1, name: 'x' };
  const lift = [
    (record: Record<string, unknown>) => ({ version: 2, title: record.name }),
    (record: Record<string, unknown>) => ({ ...record, version: 3, stars: 0 }),
  ];
  const schema = { safeParse: (record: unknown) => ({ success: true, data: record }) } as never;
  expect(parseRecord(older, { schema, version: 3, migrations: lift })).toEqual({
    ok: true,
    record: { version: 3, title: 'x', stars: 0 },
  });
});

test('a migration that fails is a reason, not a crash', () => {
  const failing = [() => JSON.parse('{')];
  const parsed = parseRecord(
    { version: 1 },
    { schema: shootSchema, version: 2, migrations: failing },
  );
  expect(parsed.ok).toBe(false);
});

test('turned all the way round, the ground is where it was', () => {
  let shoot = larkmoor;
  for (const bearing of [100, 190, 300, larkmoor.ground.bearingDeg])
    shoot = turnGround(shoot, bearing);
  expect(shoot.positions[0]?.x).toBeCloseTo(larkmoor.positions[0]?.x ?? NaN, 9);
  expect(shoot.features[0]?.points[2]?.y).toBeCloseTo(larkmoor.features[0]?.points[2]?.y ?? NaN, 9);
  expect(shoot.marks[0]?.headingDeg).toBeCloseTo(larkmoor.marks[0]?.headingDeg ?? NaN, 9);
});

test('a ground turned by 90° puts north to the east', () => {
  const brief = {
    title: 'T',
    template: 'field-hockey',
    latitudeDeg: 0,
    longitudeDeg: 0,
    timeZone: 'UTC',
    bearingDeg: 0,
    startLocal: '2027-01-01T10:00',
    endLocal: '2027-01-01T11:00',
  };
  const north = newShoot(brief, 'a', '2026-11-01T12:00:00Z');
  const east = newShoot({ ...brief, bearingDeg: 90 }, 'b', '2026-11-01T12:00:00Z');
  expect(north.positions[0]).toMatchObject({ x: -16, y: 49 });
  expect(east.positions[0]?.x).toBeCloseTo(49, 9);
  expect(east.positions[0]?.y).toBeCloseTo(16, 9);
});

test('a duplicate has a name of its own and shares nothing that is changed in place', () => {
  const copy = duplicateShoot(
    { ...larkmoor, title: 'x'.repeat(120) },
    'copy',
    '2026-11-02T12:00:00Z',
  );
  expect(copy.id).toBe('copy');
  expect(reasonFor(JSON.parse(JSON.stringify(copy)))).toBe('accepted');
});

test.each([
  ['shots[0].markId', ['shots', 0, 'markId'], 'nowhere'],
  ['shots[0].quota', ['shots', 0, 'quota'], 0],
  ['shots[1].id', ['shots', 1, 'id'], 'corner-strike'],
  ['choice.shotId', ['choice', 'shotId'], 'none'],
  ['choice.held.iso', ['choice', 'held', 'iso'], -1],
  ['light.skyFrom', ['light', 'skyFrom'], 'forecast'],
  ['marks[0].subjectId', ['marks', 0, 'subjectId'], 'own-unknown'],
  ['people[0].lane', ['people', 0, 'lane'], 1.5],
  ['brief.deadlineLocal', ['brief', 'deadlineLocal'], '2027-02-30T10:00'],
] as const)('%s is checked', (field, at, value) => {
  expect(reasonFor(broken(set(at, value)))).toContain(field);
});

test('a mark can have a subject of one’s own, once the shoot holds it', () => {
  const own = {
    id: 'own-slow',
    name: 'Veterans',
    basedOn: 'field-player',
    heightM: 1.7,
    depthM: 0.6,
    speedMs: 4,
    habits: [],
  };
  const marks = larkmoor.marks.map((mark) => ({ ...mark, subjectId: 'own-slow' }));
  expect(reasonFor({ ...larkmoor, marks })).toContain('marks[0].subjectId');
  expect(reasonFor({ ...larkmoor, marks, subjects: [own] })).toBe('accepted');
});

const EVENT = {
  id: 'e',
  name: 'Heat 1',
  startLocal: '2027-04-16T19:00',
  durationMin: 5,
  entries: [],
  worth: 'must',
};

test.each([
  ['kit.bodyId', ['kit', 'bodyId'], 'own-nothing'],
  ['kit.bag[0].framesPerS', ['kit', 'bag', 0, 'framesPerS'], -1],
  ['kit.second.lensId', ['kit', 'second', 'lensId'], 'own-nothing'],
  ['events[0].shotId', ['events', 0], { ...EVENT, shotId: 'nobody' }],
  ['events[0].pinnedTo', ['events', 0], { ...EVENT, pinnedTo: 'nowhere' }],
  [
    'events[0].entries[0].personId',
    ['events', 0],
    { ...EVENT, entries: [{ name: 'A', personId: 'x' }] },
  ],
  ['events[0].durationMin', ['events', 0], { ...EVENT, durationMin: 0 }],
  ['events[1].id', ['events'], [EVENT, EVENT]],
  [
    'watches[0].toLocal',
    ['watches', 0],
    {
      id: 'w',
      markId: 'keeper',
      fromLocal: '2027-04-16T19:00',
      toLocal: '2027-04-16T18:00',
      visitsLocal: [],
    },
  ],
  ['air.humidityPct', ['air', 'humidityPct'], 0],
] as const)('of a bag and a day, %s that is wrong is named', (named, path, value) => {
  expect(reasonFor(broken(set(path, value))).split(':')[0]).toBe(named);
});

const FILTER = { kind: 'filter', id: 'own-nd', name: 'ND', stops: 3 };

test.each([
  ['kit.bag[0].stops', ['kit', 'bag'], [{ ...FILTER, stops: 0 }]],
  ['accepted', ['kit', 'floors'], { play: 1 / 1000, gull: 1 / 2000 }],
  ['kit.floors.play', ['kit', 'floors'], { play: 0 }],
  ['choice.held.liftStops', ['choice', 'held'], { liftStops: 9 }],
  ['marks[0].brim', ['marks', 0, 'brim'], 'yes'],
] as const)('of filters, floors, held lifts and brims: %s', (named, path, value) => {
  expect(reasonFor(broken(set(path, value))).split(':')[0]).toBe(named);
});

const ENTRY = {
  id: 'e',
  kind: 'note',
  atLocal: '2027-04-16T19:00:00',
  markId: 'gone',
  positionId: 'gone',
  text: 'kept though mark and place are gone',
};

test('an entry of a log outlives what it was about', () => {
  expect(reasonFor(broken(set(['log', 'entries'], [ENTRY])))).toBe('accepted');
});

test.each([
  ['log.entries[0].atLocal', ['log', 'entries'], [{ ...ENTRY, atLocal: '2027-04-16T19:00' }]],
  ['log.entries[0].atLocal', ['log', 'entries'], [{ ...ENTRY, atLocal: '2027-04-16T19:00:00Z' }]],
  ['log.entries[0].atLocal', ['log', 'entries'], [{ ...ENTRY, atLocal: '2027-02-30T19:00:00' }]],
  ['log.entries[0].text', ['log', 'entries'], [{ ...ENTRY, text: 'x'.repeat(501) }]],
  ['log.entries[1].id', ['log', 'entries'], [ENTRY, ENTRY]],
  ['log.frames[0]', ['log', 'frames'], ['AAAA']],
  ['log.clocks[0].offsetS', ['log', 'clocks'], [{ name: 'A', offsetS: 1e11 }]],
] as const)('of a log, %s that is wrong is named', (named, path, value) => {
  expect(reasonFor(broken(set(path, value))).split(':')[0]).toBe(named);
});
