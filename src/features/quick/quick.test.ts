import fc from 'fast-check';
import { FIRST_QUICK, quickSchema, type Quick } from '@/records/quick';
import { shootSchema } from '@/records/shoot';
import { viewOf } from '@/answers/view';
import { SUBJECTS } from '@/presets/subjects';
import { quickAnswer, quickDistanceM, quickEv, shootOfQuick } from './quick';

const answer = (change: Partial<Quick> = {}) => {
  const result = quickAnswer({ ...FIRST_QUICK, ...change });
  if (!result.ok) throw new Error(result.trouble.kind);
  return result;
};
const light = (change: Partial<Quick['light']>): Quick => ({
  ...FIRST_QUICK,
  light: { ...FIRST_QUICK.light, ...change },
});

test('what is kept first is a valid record', () => {
  expect(quickSchema.parse(FIRST_QUICK)).toEqual(FIRST_QUICK);
});

test('by hand: a 1.75 m player 30 m off on 200 mm is 11.74 mm high, 49 % of 24 mm', () => {
  // f·H/(d − f) = 200 · 1.75 / 29.8 mm
  const { view } = answer();
  const byHand = (200 * view.subject.heightM) / 29.8 / 24;
  expect(view.fill).toBeCloseTo(byHand, 2);
});

// Common practice: three stops under at 1/800, f/2.8, ISO 2000 means EV 5.29.
test('a test frame three stops dark at 1/800 f/2.8 ISO 2000 was taken at EV 5.29', () => {
  const frame = { shutterS: 1 / 800, aperture: 2.8, iso: 2000, looksDarkStops: 3 };
  expect(quickEv(light({ by: 'frame', frame })).expected).toBeCloseTo(5.29, 1);
});

test('the bright-sun rule: sun behind you is near f/16 at 1/100 and ISO 100, EV 14.6', () => {
  const { expected } = quickEv(light({ by: 'eye', eye: 'sunBehind' }));
  expect(Math.abs(expected - Math.log2(16 ** 2 * 100))).toBeLessThan(0.5);
});

test('weak floodlights of 245 lx are EV 6.6: E = 2.5·2^EV', () => {
  expect(quickEv(light({ by: 'lamps', lamps: 'weakFloodlights' })).expected).toBeCloseTo(
    Math.log2(245 / 2.5),
    6,
  );
});

test('the distance for a fill fills the frame by just that', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...SUBJECTS.map(({ id }) => id)),
      fc.double({ min: 0.1, max: 0.9, noNaN: true }),
      fc.constantFrom('level' as const, 'upright' as const),
      (subjectId, fill, orientation) => {
        const result = quickAnswer({ ...FIRST_QUICK, subjectId, by: 'fill', fill, orientation });
        // Small subjects fill it nearer than the lens focuses: then it says so.
        if (result.ok) expect(result.view.fill).toBeCloseTo(fill, 2);
        else expect(result.trouble.kind).toBe('tooNear');
      },
    ),
    { numRuns: 60 },
  );
});

test('towards you asks for less shutter than across, and farther for less than near', () => {
  const shutter = (change: Partial<Quick>) => answer(change).view.freeze.shutterS;
  expect(shutter({ runs: 'towards' })).toBeGreaterThan(1.5 * shutter({ runs: 'across' }));
  expect(shutter({ distanceM: 60 })).toBeGreaterThan(shutter({ distanceM: 20 }));
});

test('nearer than the lens focuses there is no answer but what to change', () => {
  expect(quickAnswer({ ...FIRST_QUICK, distanceM: 0.6 })).toMatchObject({
    ok: false,
    trouble: { kind: 'tooNear', nearestFocusM: 1.2 },
  });
});

const BRIEF = {
  title: 'Field player at 30 m',
  template: 'blank',
  latitudeDeg: 53.12,
  longitudeDeg: -1.87,
  timeZone: 'Europe/London',
  bearingDeg: 40,
  startLocal: '2027-04-16T14:00',
  endLocal: '2027-04-16T16:00',
};

test('a shoot made of it is valid and sees the same picture, whichever way it is turned', () => {
  const shoot = shootOfQuick(FIRST_QUICK, BRIEF, 'made', '2027-01-01T00:00:00.000Z');
  expect(shootSchema.safeParse(shoot).success).toBe(true);
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  const { view } = answer();
  expect(seen.view.sight.distanceM).toBeCloseTo(quickDistanceM(FIRST_QUICK), 6);
  expect(seen.view.sight.bearingDeg).toBeCloseTo(40, 6);
  expect(seen.view.fill).toBeCloseTo(view.fill, 6);
  expect(seen.view.freeze.shutterS).toBeCloseTo(view.freeze.shutterS, 9);
  expect(shoot.light.sky).toBe('overcast');
});

test('lamps of a hall put the shoot under a roof', () => {
  const quick = light({ by: 'lamps', lamps: 'goodHall' });
  expect(shootOfQuick(quick, BRIEF, 'made', '2027-01-01T00:00:00.000Z').light).toEqual({
    sky: 'clear',
    indoors: true,
    lampLux: 300,
    mainsHz: 50,
    skyFrom: 'hand',
  });
});
