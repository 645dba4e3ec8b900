import { limitsOf, obstaclesOf, refusals, sightBlocks } from '@/core';
import { viewOf } from '@/answers/view';
import { answerAt } from '@/answers/answer';
import { DEMO_SHOOTS } from '@/demo';
import { GROUND_TEMPLATES, onFieldOfPlay } from '@/presets/grounds';
import { trialShoot } from './fixtures/trial-shoot';
import { newShoot, onKnownGround } from './new-shoot';
import { shootSchema, type Shoot } from './shoot';
import { msOf } from './times';

const all = GROUND_TEMPLATES.map(({ id }) => id);

test('no two grounds share an id', () => {
  expect(new Set(all).size).toBe(all.length);
  expect(all.length).toBeGreaterThan(30);
});

test.each(all)('%s begins as a whole record', (id) => {
  const parsed = shootSchema.safeParse(JSON.parse(JSON.stringify(trialShoot(id))));
  expect(parsed.error?.issues ?? []).toEqual([]);
});

test.each(all)('%s: its first position answers for its first mark, well framed', (id) => {
  const shoot = trialShoot(id);
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  expect(seen.view.fill).toBeGreaterThan(0.08);
  expect(seen.view.fill).toBeLessThan(1.3);
  expect(seen.view.faceOffDeg).toBeLessThan(110);
  const { exposure } = answerAt(seen.view, shoot, msOf(shoot.startLocal, 'Europe/London'));
  expect(exposure.works).toBe(true);
});

test.each(all)('%s: nobody is sent on to the field of play or into a wall', (id) => {
  const shoot = trialShoot(id);
  for (const position of shoot.positions) {
    // Inside only where its name says that one is let in with a vest; the page warns there all the same.
    expect({ at: position.name, on: onFieldOfPlay(id, 30, position) }).toEqual({
      at: position.name,
      on: /, vest worn$/.test(position.name),
    });
    expect({ at: position.name, no: refusals(position, limitsOf(shoot.features)) }).toEqual({
      at: position.name,
      no: [],
    });
    expect(position.why?.length).toBeGreaterThan(20);
  }
});

test.each(all)('%s: nothing stands between its first position and its first mark', (id) => {
  const shoot = trialShoot(id);
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  const { camera, aim } = seen.view;
  expect(sightBlocks(camera, aim, shoot.features.flatMap(obstaclesOf))).toEqual([]);
});

test('grounds of play bring what limits them and what stands behind', () => {
  const kinds = (id: string) => new Set(trialShoot(id).features.map(({ kind }) => kind));
  for (const id of [
    'field-hockey',
    'rugby-field',
    'basketball-fiba',
    'athletics-track',
    'pool-50',
  ]) {
    expect(kinds(id)).toContain('keepOut');
    expect(kinds(id)).toContain('backdrop');
  }
});

test.each([
  ['field-hockey', 'run-off', 59, 97.4],
  ['rugby-field', 'perimeter', 80, 130],
  ['basketball-fiba', 'clear-strip', 19, 32],
  ['volleyball-court', 'free-zone', 15, 24],
  ['beach-volleyball-court', 'free-zone', 14, 22],
  ['tennis-court', 'run-off', 10.97 + 2 * 3.66, 23.77 + 2 * 6.4],
] as const)('%s: the %s is %d by %d m', (id, feature, acrossM, alongM) => {
  const points = trialShoot(id, 0).features.find((entry) => entry.id === feature)?.points ?? [];
  const span = (axis: 'x' | 'y') =>
    Math.max(...points.map((p) => p[axis])) - Math.min(...points.map((p) => p[axis]));
  expect(span('x')).toBeCloseTo(acrossM, 6);
  expect(span('y')).toBeCloseTo(alongM, 6);
});

test('at a venue used before the ground, its lamps and what its light taught come along; the rest stays', () => {
  const learned = [{ atLocal: '2027-04-16T19:00', offsetStops: -0.4, sigmaStops: 0.3 }];
  const [larkmoor] = DEMO_SHOOTS as [Shoot];
  const earlier: Shoot = {
    ...larkmoor,
    guessed: ['lamps'],
    light: { ...larkmoor.light, learned, lampsFromLocal: '2027-04-16T19:30' },
  };
  const fresh = {
    ...trialShoot(earlier.ground.template),
    guessed: ['bearing' as const, 'kit' as const],
  };
  const there = onKnownGround(fresh, earlier);
  expect(there.features).toEqual(earlier.features);
  expect(there.marks).toEqual(earlier.marks);
  expect(there.positions).toEqual(earlier.positions);
  expect(there.ground).toEqual(earlier.ground);
  expect(there.light).toMatchObject({ lampLux: earlier.light.lampLux, learned });
  // When the lamps came on is of that evening; what was promised and logged, too.
  expect(there.light.lampsFromLocal).toBeUndefined();
  expect(there.shots).toEqual([]);
  expect(there.log.entries).toEqual([]);
  expect(there.startLocal).toBe(fresh.startLocal);
  expect([...there.guessed].sort()).toEqual(['kit', 'lamps']);
  expect(shootSchema.safeParse(there).success).toBe(true);
});

test('a shoot that begins in the dark of a morning is first looked at when there is a picture', () => {
  const look = (startLocal: string, endLocal: string, template = 'feeder-garden') =>
    newShoot(
      {
        ...{ title: 'Dawn', template, bearingDeg: 0, startLocal, endLocal },
        ...{ latitudeDeg: 52.06, longitudeDeg: -2.72, timeZone: 'Europe/London' },
      },
      'dawn',
      '2027-01-01T12:00:00.000Z',
    ).atLocal;
  // Sunrise at Hereford on 9 May 2027 is 05:25, within minutes (a table's value from memory).
  expect(look('2027-05-09T04:45', '2027-05-09T07:45') >= '2027-05-09T05:50').toBe(true);
  expect(look('2027-05-09T04:45', '2027-05-09T07:45') <= '2027-05-09T06:00').toBe(true);
  // By day, after dusk, over before it is light, and under a roof: at its start.
  expect(look('2027-05-09T09:00', '2027-05-09T11:00')).toBe('2027-05-09T09:00');
  expect(look('2027-05-09T19:00', '2027-05-09T23:00')).toBe('2027-05-09T19:00');
  expect(look('2027-05-09T04:00', '2027-05-09T05:30')).toBe('2027-05-09T04:00');
  expect(look('2027-05-09T04:45', '2027-05-09T09:00', 'basketball-fiba')).toBe('2027-05-09T04:45');
});
