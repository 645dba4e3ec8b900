import fc from 'fast-check';
import { ev, nearestMark } from '../quantity';
import { evNeededFor, SCHOOLS, solveExposure, type ExposureRequest, type School } from '.';

const BODY = {
  iso: { base: 100, good: 3200, usable: 6400, last: 25_600 },
  fastestShutterS: 2 ** -13,
};

const request = (evExpected: number, change: Partial<ExposureRequest> = {}): ExposureRequest => ({
  ev: { low: evExpected, expected: evExpected, high: evExpected },
  demands: { shutterS: 1 / 1000, shutterRuledBy: 'head', liftStops: 1 },
  camera: BODY,
  lens: { widestAperture: 2.8, smallestAperture: 22 },
  school: 'balanced',
  ...change,
});

const solve = (evExpected: number, change: Partial<ExposureRequest> = {}) =>
  solveExposure(request(evExpected, change));

/** How far the settings miss the light, lift counted, in stops. */
const error = (evExpected: number, plan: { settings: ReturnType<typeof solve>['settings'] }) =>
  ev(plan.settings) - plan.settings.liftStops - evExpected;

const school = fc.constantFrom<School>(...SCHOOLS);
const light = fc.double({ min: -4, max: 18, noNaN: true });
const shutter = fc.double({ min: 1 / 6000, max: 1 / 15, noNaN: true });

describe('any light', () => {
  test('is exposed right within a sixth of a stop, unless it says how far not', () => {
    fc.assert(
      fc.property(light, school, shutter, (evExpected, which, shutterS) => {
        const plan = solve(evExpected, {
          school: which,
          demands: { shutterS, shutterRuledBy: 'head', liftStops: 1 },
        });
        const missed = error(evExpected, plan) - plan.stopsDark + plan.stopsBright;
        expect(Math.abs(missed)).toBeLessThanOrEqual(1 / 6 + 1e-6);
      }),
    );
  });

  test('when there is more of it, ISO does not rise', () => {
    fc.assert(
      fc.property(
        light,
        fc.double({ min: 0, max: 3, noNaN: true }),
        school,
        (evExpected, more, which) => {
          const dim = solve(evExpected, { school: which }).settings.iso;
          const bright = solve(evExpected + more, { school: which }).settings.iso;
          expect(bright).toBeLessThanOrEqual(dim * 1.0001);
        },
      ),
    );
  });

  test('nor does it over any hundredth of a stop from night to noon', () => {
    for (const which of SCHOOLS) {
      let last = Infinity;
      for (let evExpected = -12; evExpected < 18; evExpected += 0.01) {
        const { iso } = solve(evExpected, { school: which }).settings;
        expect(iso).toBeLessThanOrEqual(last * 1.0001);
        last = iso;
      }
    }
  });

  test('a faster demand never gives a slower shutter', () => {
    fc.assert(
      fc.property(
        light,
        shutter,
        fc.double({ min: 1, max: 4, noNaN: true }),
        school,
        (evExpected, shutterS, by, which) => {
          const at = (seconds: number) =>
            solve(evExpected, {
              school: which,
              demands: { shutterS: seconds, shutterRuledBy: 'head', liftStops: 0 },
            }).settings.shutterS;
          // Quality first may slow the shutter by up to a stop: the order of its answers still holds.
          expect(at(shutterS / by)).toBeLessThanOrEqual(at(shutterS) * 2 ** (1 / 3) + 1e-9);
        },
      ),
    );
  });

  test('short and spare are never both, and differ by the light', () => {
    fc.assert(
      fc.property(light, (evExpected) => {
        const { stopsShort, stopsSpare, evNeeded } = solve(evExpected);
        expect(Math.min(stopsShort, stopsSpare)).toBe(0);
        expect(stopsSpare - stopsShort).toBeCloseTo(evExpected - evNeeded, 9);
      }),
    );
  });
});

test('every setting is on its dial', () => {
  const { settings } = solve(9.37);
  expect(nearestMark('shutter', settings.shutterS).value).toBe(settings.shutterS);
  expect(nearestMark('aperture', settings.aperture).value).toBe(settings.aperture);
  expect(nearestMark('iso', settings.iso).value).toBe(settings.iso);
});

test('the shutter mark is never slower than the demand', () => {
  const { settings } = solve(9, {
    demands: { shutterS: 1 / 900, shutterRuledBy: 'foot', liftStops: 0 },
  });
  expect(settings.shutterS).toBeLessThanOrEqual(1 / 900);
  expect(settings.shutterS).toBeGreaterThan(1 / 900 / 2 ** (1 / 3));
});

describe('schools, two stops short of the usable ISO', () => {
  const short = evNeededFor(request(0)) - 2;
  test('motion first keeps the shutter and raises ISO', () => {
    const { settings } = solve(short, { school: 'motion' });
    expect(settings.shutterS).toBe(nearestMark('shutter', 1 / 1000, 'down').value);
    expect(nearestMark('iso', settings.iso).label).toBe('ISO 25600');
    expect(settings.liftStops).toBe(0);
  });
  test('balanced stops at the usable ISO until the lift is used up', () => {
    const { settings } = solve(short + 1, { school: 'balanced' });
    expect(nearestMark('iso', settings.iso).label).toBe('ISO 6400');
    expect(settings.liftStops).toBeCloseTo(1, 6);
  });
  test('quality first slows the shutter by a stop before it lifts', () => {
    const { settings } = solve(short + 1, { school: 'quality' });
    expect(settings.shutterS).toBe(nearestMark('shutter', 1 / 500).value);
    expect(nearestMark('iso', settings.iso).label).toBe('ISO 3200');
  });
  test('all three are answered at once', () => {
    const { alternatives, school: own } = solve(short);
    expect([own, ...alternatives.map((plan) => plan.school)].sort()).toEqual([
      'balanced',
      'motion',
      'quality',
    ]);
  });
  test('names the single levers that close the gap, and how far each goes', () => {
    const { stopsShort, waysOut } = solve(short);
    expect(stopsShort).toBeCloseTo(2, 9);
    expect(waysOut.map(({ lever, stops }) => [lever, Number(stops.toFixed(6))])).toEqual([
      ['lift', 1],
      ['iso', 2],
      ['shutter', 2],
    ]);
  });
});

test('too much light: faster first, then smaller, then it says how far over', () => {
  const bright = solve(17);
  expect(nearestMark('iso', bright.settings.iso).label).toBe('ISO 100');
  expect(bright.settings.shutterS).toBe(2 ** -13);
  expect(bright.settings.aperture).toBeGreaterThan(2.9);
  expect(bright.stopsBright).toBeLessThan(1 / 6 + 1e-9);
  const blinding = solve(25, { lens: { widestAperture: 2.8, smallestAperture: 4 } });
  expect(blinding.stopsBright).toBeCloseTo(25 - (4 + 13), 1);
});

test('darkness beyond every lever is said in stops', () => {
  const { stopsDark } = solve(-20);
  // 30 s at f/2.8 (exactly √8), ISO 25600 and a stop of lift stand EV 3 − 4.91 − 8 − 1 = −10.9.
  expect(stopsDark).toBeCloseTo(20 - 10.9, 1);
});

test('depth asked for closes the lens, and the lens is then what can be opened', () => {
  const plan = solve(6, {
    demands: {
      shutterS: 1 / 1000,
      shutterRuledBy: 'head',
      aperture: 5.6,
      apertureRuledBy: '2 m of depth',
      liftStops: 0,
    },
  });
  expect(nearestMark('aperture', plan.settings.aperture).label).toBe('f/5.6');
  expect(plan.budget.find(({ lever }) => lever === 'aperture')?.ruledBy).toBe('2 m of depth');
  expect(plan.waysOut[0]).toMatchObject({ lever: 'aperture' });
});

test.each([
  ['demands.shutterS', { demands: { shutterS: 0, shutterRuledBy: 'x', liftStops: 0 } }],
  ['demands.liftStops', { demands: { shutterS: 1, shutterRuledBy: 'x', liftStops: -1 } }],
  ['camera.iso.good', { camera: { ...BODY, iso: { ...BODY.iso, good: 50 } } }],
  ['lens.smallestAperture', { lens: { widestAperture: 4, smallestAperture: 2 } }],
  ['school', { school: 'luck' as School }],
])('%s that makes no sense is refused by name', (field, change) => {
  expect(() => solve(8, change)).toThrow(RangeError);
  expect(() => solve(8, change)).toThrow(field);
});
