import { readFileSync } from 'node:fs';
import path from 'node:path';
import { DEMO_SHOOTS } from '@/demo';
import { readShootFile } from '@/formats/shoot-json';
import { parseRecord } from './parse';
import { unpackFrames } from './frames';
import { SHOOT_VERSION, shootSchema, type Shoot } from './shoot';
import { SHOOT_MIGRATIONS } from './shoot-migrations';

/** A file of each older version is read, and says what it said. */

const KIND = { schema: shootSchema, version: SHOOT_VERSION, migrations: SHOOT_MIGRATIONS };
const [larkmoor] = DEMO_SHOOTS as [Shoot, ...Shoot[]];

/** Marks or positions as they were before perches and hides carried any. */
const uncarried = <T extends object>(items: readonly T[]): readonly object[] =>
  items.map((item) => ({ ...item, carriedBy: undefined }));

test('a file of version 1 is read: its bare river becomes a blank ground with all that stood on it', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/alder-reach-v1.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  expect(read.record.version).toBe(SHOOT_VERSION);
  expect(read.record.ground).toEqual({ ...old.ground, template: 'blank', thrown: [] });
  expect(uncarried(read.record.marks)).toEqual(old.marks);
  expect(uncarried(read.record.positions)).toEqual(old.positions);
  const { obstacles, features } = JSON.parse(text).shoot;
  expect(read.record.features).toHaveLength(obstacles.length + features.length);
  expect(read.record.features[0]?.points).toEqual(obstacles[0].footprint);
  expect(read.record.features.at(-1)?.points).toEqual(features.at(-1).line);
});

test('a hockey pitch of version 1 stays one', () => {
  const { why: _why, ...position } = larkmoor.positions[0] as Shoot['positions'][number];
  const { thrown: _thrown, ...ground } = larkmoor.ground;
  const kit = {
    bodyId: 'full-frame-24',
    lensId: '300-4',
    focalMm: 300,
    converter: 1,
    support: 'hand',
  };
  const old = { ...larkmoor, version: 1, ground, kit, positions: [position], features: [] };
  const parsed = parseRecord(old, KIND);
  expect(parsed).toMatchObject({ ok: true, record: { ground: larkmoor.ground } });
});

test('a file of version 2 is read: what stood and what lay become one list, fences get their wire', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/larkmoor-v2.shoot.json'), 'utf8');
  const { obstacles, features, marks } = JSON.parse(text).shoot;
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  const { record } = read;
  expect(record.marks).toEqual(marks);
  expect(record.features.map(({ id }) => id)).toEqual(
    [...obstacles, ...features].map(({ id }) => id),
  );
  expect(record.features[0]).toEqual({
    id: 'west-stand',
    name: 'West stand',
    kind: 'stand',
    points: obstacles[0].footprint,
    heightM: 9,
  });
  expect(record.features.find(({ kind }) => kind === 'fence')).toMatchObject({
    points: features[0].line,
    meshPitchMm: 50,
    wireMm: 3,
  });
  expect(record.features.find(({ kind }) => kind === 'lamp')).toMatchObject({ heightM: 15 });
});

test('a file of version 3 is read whole: nothing promised, measured or held yet', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/tern-water-v3.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot;
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  const { record } = read;
  expect(record).toMatchObject({ ...old, version: SHOOT_VERSION });
  expect(record).toMatchObject({
    brief: { fileForm: 'raw', forbidden: [] },
    shots: [],
    people: [],
    subjects: [],
    readings: [],
    choice: { held: {}, panSigma: 0.1 },
    light: { mainsHz: 50, skyFrom: 'hand' },
  });
});

test('a file of version 4 is read: its promise stays, its bag and its order of the day begin empty', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/larkmoor-v4.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  const { version, shots, people, kit, events, day } = read.record;
  expect({ version, shots, people }).toEqual({
    version: SHOOT_VERSION,
    shots: old.shots,
    people: old.people,
  });
  expect(kit).toEqual({ ...old.kit, bag: [], packed: [] });
  expect(events).toEqual([]);
  expect(day.calls.second).toBeGreaterThan(day.calls.third);
});

test('a file of version 5 is read: its day stays, its log begins empty', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/larkmoor-v5.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  const { log, ...rest } = read.record;
  expect(log).toEqual({ entries: [], clocks: [], frames: [], lessons: [] });
  expect(rest).toEqual({ ...old, version: SHOOT_VERSION, guessed: [], shooters: [] });
});

test('a file of version 6 is read as it is: nothing held, no filter, no floor, no brim', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/tern-water-v6.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  expect(read.record).toEqual({ ...old, version: SHOOT_VERSION, guessed: [], shooters: [] });
});

test('a file of version 8 is read as it is: nothing is a guess', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/alder-reach-v8.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  expect(old.version).toBe(8);
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  const { marks, positions, ...rest } = read.record;
  const { marks: _marks, positions: _positions, ...was } = old;
  expect(rest).toEqual({ ...was, version: SHOOT_VERSION, guessed: [], shooters: [] });
  expect(uncarried(marks)).toEqual(old.marks);
  expect(uncarried(positions)).toEqual(old.positions);
});

test('a file of version 9 is read: no picture under the plan, and the hide has its window and slot', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/alder-reach-v9.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  expect(old.version).toBe(9);
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  const { positions, ...rest } = read.record;
  const { positions: was, ...before } = old;
  expect(rest).toEqual({ ...before, version: SHOOT_VERSION, shooters: [] });
  expect(read.record.guessed).toEqual(['bearing', 'kit']);
  expect(uncarried(positions)).toEqual(was);
  expect(positions.flatMap(({ carriedBy, id }) => (carriedBy === 'hide' ? [id] : []))).toEqual([
    'hide-window',
    'hide-side',
  ]);
});

test('a file of version 11 is read as it is: nobody is owed, and keepers say nothing of whom they show', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/tern-water-v11.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  expect(old.version).toBe(11);
  expect(old.events.some(({ window }) => window)).toBe(true);
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  expect(read.record).toEqual({ ...old, version: SHOOT_VERSION, shooters: [] });
});

test('a file of version 12 is read as it is: one shoots alone', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/tern-water-v12.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  expect(old.version).toBe(12);
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  expect(read.record).toEqual({ ...old, version: SHOOT_VERSION, shooters: [] });
});

test('a file of version 13 is read as it is: its hide is open all round', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/alder-reach-v13.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  expect(old.version).toBe(13);
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  expect(read.record).toEqual({ ...old, version: SHOOT_VERSION });
  expect(read.record.features.find(({ kind }) => kind === 'hide')).not.toHaveProperty('windows');
});

test('a file of version 14 is read as it is: no branch hangs over its ground', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/alder-reach-v14.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  expect(old.version).toBe(14);
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  expect(read.record).toEqual({ ...old, version: SHOOT_VERSION });
  expect(read.record.features.some(({ kind }) => kind === 'hide')).toBe(true);
});

test('a file of version 15 is read as it is; a feeder that was drawn as a perch becomes food', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/alder-reach-v15.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  expect(old.version).toBe(15);
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  expect(read.record).toEqual({ ...old, version: SHOOT_VERSION });
  const stood = { name: 'Feeder', kind: 'perch', points: [{ x: 1, y: 2 }], heightM: 1.8 };
  const parsed = parseRecord(
    {
      ...old,
      features: [
        { ...stood, id: 'feeder' },
        { ...stood, id: 'other' },
      ],
    },
    KIND,
  );
  expect(parsed).toMatchObject({
    ok: true,
    record: {
      features: [
        { ...stood, id: 'feeder', kind: 'food' },
        { ...stood, id: 'other' },
      ],
    },
  });
});

test('a file of version 16 is read as it is: its ground is level', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/alder-reach-v16.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  expect(old.version).toBe(16);
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  expect(read.record).toEqual({ ...old, version: SHOOT_VERSION });
});

test('a file of version 17 is read as it is: its clocks are offsets, set by hand', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/tern-water-v17.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  expect(old.version).toBe(17);
  expect(old.log.clocks).toEqual([{ name: 'Full-frame body, 24 MP', offsetS: 3589 }]);
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  expect(read.record).toEqual({ ...old, version: SHOOT_VERSION });
});

test('a file of version 18 is read as it is: its pictures do not say how bright they came out', () => {
  const text = readFileSync(path.join(__dirname, 'fixtures/tern-water-v18.shoot.json'), 'utf8');
  const old = JSON.parse(text).shoot as Shoot;
  expect(old.version).toBe(18);
  const read = readShootFile(text);
  if (!read.ok) throw new Error(read.reason);
  expect(read.record).toEqual({ ...old, version: SHOOT_VERSION });
  const frames = unpackFrames(read.record.log.frames);
  expect(frames).toHaveLength(31);
  expect(frames.every(({ levelStops }) => levelStops === undefined)).toBe(true);
});
