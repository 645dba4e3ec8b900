import fc from 'fast-check';
import { ev, nearestMark } from '../quantity';
import { evNeededFor, SCHOOLS, solveExposure, type ExposureRequest, type School } from '.';

const BODY = {
  iso: { base: 100, good: 3200, usable: 6400, last: 25_600 },
  fastestShutterS: 2 ** -13,
};

const request = (evExpected: number, change: Partial<ExposureRequest> = {}): ExposureRequest => ({
  ev: { low: evExpected, expected: evExpected, high: evExpected },
  demands: { shutterS: 1 / 1000, shutterRuledBy: { by: 'part', part: 'head' }, liftStops: 1 },
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
          demands: { shutterS, shutterRuledBy: { by: 'part', part: 'head' }, liftStops: 1 },
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
              demands: {
                shutterS: seconds,
                shutterRuledBy: { by: 'part', part: 'head' },
                liftStops: 0,
              },
            }).settings.shutterS;
          // Quality first may slow the shutter by up to a stop: the order of its answers still holds.
          expect(at(shutterS / by)).toBeLessThanOrEqual(at(shutterS) * 2 ** (1 / 3) + 1e-9);
        },
      ),
    );
  });

  test('short is counted from the must at the usable ISO, in hand from the ISO set; never both', () => {
    fc.assert(
      fc.property(light, school, (evExpected, which) => {
        const { stopsShort, stopsSpare, evNeeded, settings } = solve(evExpected, { school: which });
        const lack = evNeeded - evExpected;
        expect(stopsShort).toBeCloseTo(lack > 1 / 6 ? lack : 0, 4);
        expect(stopsSpare).toBeCloseTo(Math.max(0, Math.log2(6400 / settings.iso)), 9);
        expect(Math.min(stopsShort, stopsSpare)).toBe(0);
      }),
    );
  });

  test('nor does the shutter get slower when there is more of it, nor the lens wider', () => {
    const demands = {
      shutterS: 1 / 800,
      shutterRuledBy: { by: 'class' },
      wishShutterS: 1 / 1600,
      aperture: 4,
      wishAperture: 8,
      handsS: 1 / 200,
      liftStops: 1,
    } as const;
    for (const which of SCHOOLS) {
      let last = { shutterS: Infinity, aperture: 0 };
      for (let evExpected = -4; evExpected < 18; evExpected += 0.03) {
        const { settings } = solve(evExpected, { school: which, demands });
        expect(settings.shutterS).toBeLessThanOrEqual(last.shutterS * 1.0001);
        expect(settings.aperture).toBeGreaterThanOrEqual(last.aperture * 0.9999);
        last = settings;
      }
    }
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
    demands: { shutterS: 1 / 900, shutterRuledBy: { by: 'part', part: 'foot' }, liftStops: 0 },
  });
  expect(settings.shutterS).toBeLessThanOrEqual(1 / 900);
  expect(settings.shutterS).toBeGreaterThan(1 / 900 / 2 ** (1 / 3));
});

describe('schools, two stops short of the usable ISO', () => {
  const short = evNeededFor(request(0)) - 2;
  test('motion first keeps the shutter: ISO past usable, the lift, then the last ISO', () => {
    const { settings } = solve(short, { school: 'motion' });
    expect(settings.shutterS).toBe(nearestMark('shutter', 1 / 1000, 'down').value);
    expect(nearestMark('iso', settings.iso).label).toBe('ISO 12800');
    expect(settings.liftStops).toBeCloseTo(1, 9);
  });
  test('balanced stops at the usable ISO until the lift is used up', () => {
    const { settings } = solve(short + 1, { school: 'balanced' });
    expect(nearestMark('iso', settings.iso).label).toBe('ISO 6400');
    expect(settings.liftStops).toBeCloseTo(1, 6);
  });
  test('quality first slows the shutter by a stop before it lifts', () => {
    const { settings } = solve(short + 1, { school: 'quality' });
    expect(settings.shutterS).toBe(nearestMark('shutter', 1 / 500).value);
    expect(nearestMark('iso', settings.iso).label).toBe('ISO 6400');
    expect(settings.liftStops).toBe(0);
  });
  test('but not past what hands hold', () => {
    const demands = {
      shutterS: 1 / 1000,
      shutterRuledBy: { by: 'hands' },
      handsS: 1 / 1000,
      liftStops: 1,
    } as const;
    for (const which of SCHOOLS) {
      expect(solve(short, { school: which, demands }).settings.shutterS).toBeLessThan(1 / 990);
    }
  });
  test('all three are answered at once', () => {
    const { alternatives, school: own } = solve(short);
    expect([own, ...alternatives.map((plan) => plan.school)].sort()).toEqual([
      'balanced',
      'motion',
      'quality',
    ]);
  });
  test('ways out start from the settings, can be held, and then expose the frame as they say', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 6, noNaN: true }), school, (by, which) => {
        const ev = evNeededFor(request(0)) - by;
        const plan = solve(ev, { school: which });
        for (const { hold, settings, filterStops } of plan.waysOut) {
          expect(filterStops).toBeUndefined();
          expect(settings).not.toEqual(plan.settings);
          expect(settings.iso).toBeLessThanOrEqual(25_600 * 1.001);
          const held = solve(ev, { school: which, held: hold });
          expect(held.settings).toEqual(settings);
          expect(held.works).toBe(true);
        }
      }),
    );
  });
  test('two stops short: a slower time, a higher ISO or more lift, as far as each goes', () => {
    const demands = {
      shutterS: 1 / 1000,
      shutterRuledBy: { by: 'class' },
      handsS: 1 / 125,
      liftStops: 1,
    } as const;
    const { waysOut } = solve(short, { demands });
    expect(waysOut.map(({ levers }) => levers.join())).toEqual(['shutter', 'iso', 'lift']);
    const [slower, higher, lifted] = waysOut.map(({ settings }) => settings);
    expect(nearestMark('shutter', slower?.shutterS ?? 1).label).toBe('1/250');
    expect(slower?.liftStops).toBe(0);
    expect(nearestMark('iso', higher?.iso ?? 1).label).toBe('ISO 25600');
    expect(lifted?.liftStops).toBeCloseTo(2, 6);
  });
});

test('too much light: faster first, then smaller, then it says how far over', () => {
  const bright = solve(17);
  expect(nearestMark('iso', bright.settings.iso).label).toBe('ISO 100');
  // To 1/4000 first, then the lens closes: 17 − 12 = 5 stops of aperture, f/5.6.
  expect(bright.settings.shutterS).toBe(2 ** -12);
  expect(nearestMark('aperture', bright.settings.aperture).label).toBe('f/5.6');
  expect(bright.stopsBright).toBeLessThan(1 / 6 + 1e-9);
  const blinding = solve(25, { lens: { widestAperture: 2.8, smallestAperture: 4 } });
  expect(blinding.stopsBright).toBeCloseTo(25 - (4 + 13), 1);
});

test('a filter takes what is over, the least that does, and says so', () => {
  const demands = {
    shutterS: 1 / 60,
    shutterRuledBy: { by: 'pan' },
    keepShutter: true,
    liftStops: 1,
  } as const;
  const lens = { widestAperture: 2.8, smallestAperture: 22, capAperture: 16 };
  // 1/60 f/16 at ISO 100 stands EV 13.9: EV 15.5 is 1.6 stops over, so 3 stops of filter, f/10.
  const plan = solve(15.5, { demands, lens, filters: [6, 3] });
  expect(plan.settings.filterStops).toBe(3);
  expect(nearestMark('aperture', plan.settings.aperture).label).toBe('f/10');
  expect(nearestMark('shutter', plan.settings.shutterS).label).toBe('1/60');
  // None in the bag: the way out is a filter that is to be had.
  const bare = solve(15.5, { demands, lens });
  expect(bare.works).toBe(false);
  expect(bare.waysOut).toMatchObject([{ levers: ['filter'], filterStops: 3 }]);
  // 7.1 stops over: six are not enough, and ten are the next that are sold.
  expect(solve(21, { demands, lens }).waysOut).toMatchObject([
    { levers: ['filter'], filterStops: 10 },
  ]);
  // All dials in the hand a third of a stop over: no filter for that, and one that is on stays on.
  const thirdOver = (settings: typeof plan.settings) => {
    const { shutterS, aperture, iso } = settings;
    return { shutterS, aperture, iso: iso * 2 ** (1 / 3) };
  };
  const dim = solve(10, { demands, lens, filters: [3] });
  const opened = solve(10, { demands, lens, filters: [3], held: thirdOver(dim.settings) });
  expect(opened.settings.filterStops).toBeUndefined();
  const bright = solve(15.5, { demands, lens, filters: [3], held: thirdOver(plan.settings) });
  expect(bright.settings.filterStops).toBe(3);
  // Two together, where one is too weak.
  expect(solve(22, { demands, lens, filters: [3, 6] }).settings.filterStops).toBe(9);
});

test('a close-up is exposed for the light that its extension leaves', () => {
  const lens = { widestAperture: 2.8, smallestAperture: 22 };
  const far = solve(9, { lens });
  const near = solve(9, { lens: { ...lens, lossStops: 1 } });
  expect(near.settings).toEqual(solve(8, { lens }).settings);
  expect(near.evNeeded - far.evNeeded).toBeCloseTo(1, 9);
  // What is missing in the dark is missing by as much more.
  const dark = (lossStops: number) => solve(-6, { lens: { ...lens, lossStops } }).stopsDark;
  expect(dark(1) - dark(0)).toBeCloseTo(1, 6);
});

test('darkness beyond every lever is said in stops', () => {
  const { stopsDark } = solve(-20);
  // 1/500 at f/2.8 (exactly √8), ISO 25600 and a stop of lift stand EV 3 + 8.97 − 8 − 1 = 2.97.
  expect(stopsDark).toBeCloseTo(20 + 2.97, 1);
});

test('depth: whole while light is in hand, eye and face next, none above clean ISO', () => {
  const demands = {
    shutterS: 1 / 1000,
    shutterRuledBy: { by: 'class' },
    aperture: 4,
    wishAperture: 5.6,
    apertureRuledBy: 'depth',
    liftStops: 0,
  } as const;
  const at = (ev: number) => {
    const { settings, budget } = solve(ev, { demands });
    return {
      mark: nearestMark('aperture', settings.aperture).label,
      by: budget.find(({ lever }) => lever === 'aperture')?.ruledBy,
    };
  };
  expect(at(12.5)).toEqual({ mark: 'f/5.6', by: { by: 'depth' } });
  expect(at(10)).toEqual({ mark: 'f/4', by: { by: 'mustDepth' } });
  expect(at(7)).toEqual({ mark: 'f/2.8', by: { by: 'widest' } });
});

const ASKED = { shutterRuledBy: { by: 'class' }, liftStops: 0 } as const;

test.each<[string, Partial<ExposureRequest>]>([
  ['demands.shutterS', { demands: { ...ASKED, shutterS: 0 } }],
  ['demands.liftStops', { demands: { ...ASKED, shutterS: 1, liftStops: -1 } }],
  ['camera.iso.good', { camera: { ...BODY, iso: { ...BODY.iso, good: 50 } } }],
  ['lens.smallestAperture', { lens: { widestAperture: 4, smallestAperture: 2 } }],
  ['school', { school: 'luck' as School }],
])('%s that makes no sense is refused by name', (field, change) => {
  expect(() => solve(8, change)).toThrow(RangeError);
  expect(() => solve(8, change)).toThrow(field);
});

test('time and opening that both ease a little move no dial by two clicks', () => {
  // 2 % further: the motion eases by 2 %, depth by 4 %.
  fc.assert(
    fc.property(
      fc.double({ min: 1 / 2000, max: 1 / 200, noNaN: true }),
      fc.double({ min: 2.9, max: 9, noNaN: true }),
      fc.double({ min: 9, max: 15, noNaN: true }),
      (shutterS, aperture, ev) => {
        const at = (nearer: number) =>
          solve(ev, {
            demands: {
              shutterS: shutterS / nearer,
              shutterRuledBy: { by: 'class' },
              wishAperture: aperture * nearer ** 2,
              liftStops: 1,
            },
          }).settings;
        const [far, near] = [at(1), at(1.02)];
        for (const [a, b] of [
          [far.shutterS, near.shutterS],
          [far.iso, near.iso],
          [far.aperture ** 2, near.aperture ** 2],
        ] as const) {
          expect(Math.abs(Math.log2(a / b))).toBeLessThan(0.5);
        }
      },
    ),
    { numRuns: 3000 },
  );
});
