import fc from 'fast-check';
import { nearestMark } from '../quantity';
import { solveExposure, type Demands, type ExposureRequest } from '.';

const request = (
  evExpected: number,
  demands: Partial<Demands> = {},
  change: Partial<ExposureRequest> = {},
): ExposureRequest => ({
  ev: { low: evExpected, expected: evExpected, high: evExpected },
  demands: {
    shutterS: 1 / 1000,
    shutterRuledBy: { by: 'part', part: 'head' },
    liftStops: 1,
    ...demands,
  },
  camera: {
    iso: { base: 100, good: 3200, usable: 6400, last: 25_600 },
    fastestShutterS: 2 ** -13,
  },
  lens: { widestAperture: 2.8, smallestAperture: 22 },
  school: 'balanced',
  focus: { focalMm: 200, distanceM: 20, cocMm: 0.029, backgroundM: 45 },
  ...change,
});
const mark = (aperture: number) => nearestMark('aperture', aperture).label;

describe('depth and blur that contradict each other', () => {
  const both = { aperture: 8, apertureForBlur: 4 };
  test('depth holds unless blur is preferred, and what gave is said', () => {
    const depth = solveExposure(request(13, both));
    expect(mark(depth.settings.aperture)).toBe('f/8');
    expect(depth.conflicts).toEqual([
      expect.objectContaining({
        lever: 'aperture',
        wanted: 4,
        why: 'depthOverBlur',
      }),
    ]);
    const blur = solveExposure(request(13, { ...both, prefer: 'blur' }));
    expect(mark(blur.settings.aperture)).toBe('f/4');
    expect(blur.conflicts[0]).toMatchObject({
      wanted: 8,
      why: 'blurOverDepth',
    });
  });
  test('together they are no conflict when one aperture serves both', () => {
    expect(solveExposure(request(9, { aperture: 4, apertureForBlur: 5.6 })).conflicts).toEqual([]);
  });
  test('blur that the lens is not wide enough for is said', () => {
    const { conflicts, settings } = solveExposure(request(9, { apertureForBlur: 1.4 }));
    expect(mark(settings.aperture)).toBe('f/2.8');
    expect(conflicts[0]?.why).toBe('blurNeedsWiderLens');
  });
});

test('depth beyond the smallest aperture is said', () => {
  const { conflicts, settings } = solveExposure(request(14, { aperture: 40 }));
  expect(mark(settings.aperture)).toBe('f/22');
  expect(conflicts[0]?.why).toBe('lensClosesNoFurther');
});

test('flash sync holds the shutter slow, and the reason is given', () => {
  const { camera } = request(12);
  const plan = solveExposure(
    request(
      12,
      {},
      { camera: { ...camera, shutterLimit: { fastestS: 1 / 250, why: 'flash sync' } } },
    ),
  );
  expect(plan.settings.shutterS).toBeGreaterThanOrEqual(1 / 257);
  expect(plan.conflicts).toEqual([
    { lever: 'shutter', wanted: 1 / 1000, given: 1 / 250, why: 'flash sync' },
  ]);
});

test('a limit is kept in any light', () => {
  const { camera } = request(12);
  fc.assert(
    fc.property(
      fc.double({ min: -4, max: 18, noNaN: true }),
      fc.double({ min: 1 / 4000, max: 1 / 30, noNaN: true }),
      (ev, fastestS) => {
        const limited = { ...camera, shutterLimit: { fastestS, why: 'silent shutter' } };
        const { settings } = solveExposure(request(ev, {}, { camera: limited }));
        expect(settings.shutterS).toBeGreaterThanOrEqual(fastestS * 0.999);
      },
    ),
  );
});

describe('the price of one stop more', () => {
  const motion: ExposureRequest['motion'] = {
    subject: { heightM: 1.75, speedMs: 7 },
    parts: [{ name: 'head', role: 'body', aheadM: 0, leftM: 0, upM: 1.6, bodyShare: 1 }],
    path: { position: { x: 0, y: 20, z: 0 }, headingDeg: 90 },
    camera: {
      position: { x: 0, y: 0, z: 1 },
      aim: { x: 0, y: 20, z: 1 },
      focalMm: 200,
      sensor: { widthMm: 36, heightMm: 24, widthPx: 6000, heightPx: 4000 },
    },
  };
  const price = (lever: string, change: Partial<Demands> = {}, ev = 9) =>
    solveExposure(request(ev, change, { motion })).budget.find((line) => line.lever === lever)
      ?.oneStopMore;
  test('from the shutter doubles the smear', () => {
    const { smearPx } = price('shutter') ?? {};
    expect((smearPx?.then ?? NaN) / (smearPx?.now ?? NaN)).toBeCloseTo(2, 2);
    expect(smearPx?.part).toBe('head');
  });
  test('from the aperture costs depth and gains blur by √2, where the lens still opens', () => {
    const { possible, depthM, blurShare } = price('aperture', { aperture: 5.6 }) ?? {};
    expect(possible).toBe(true);
    expect((depthM?.now ?? NaN) / (depthM?.then ?? NaN)).toBeCloseTo(Math.SQRT2, 1);
    expect((blurShare?.then ?? NaN) / (blurShare?.now ?? NaN)).toBeCloseTo(Math.SQRT2, 6);
    expect(price('aperture')?.possible).toBe(false);
  });
  test('from ISO is a stop above base and the step it falls in', () => {
    expect(price('iso', {}, 7)).toMatchObject({ possible: true, level: 'last' });
    expect(price('iso', {}, 3)?.possible).toBe(false);
  });
  test('from the lift is there while the allowance lasts', () => {
    expect(price('lift')?.possible).toBe(true);
    expect(price('lift', {}, 5)?.possible).toBe(false);
  });
});

test('light given as a range: automatic ISO is checked at both ends', () => {
  const plan = solveExposure({
    ...request(12),
    ev: { low: 4, expected: 12, high: 15.5 },
  });
  expect(plan.autoIso.lowestIso).toBe(100);
  expect(plan.autoIso.highestIso).toBe(6400);
  expect(plan.autoIso.tooBrightStops).toBeGreaterThan(0);
  expect(plan.autoIso.tooDarkStops).toBeGreaterThan(2);
  expect(plan.autoIso.shutterForFloorS).toBeLessThan(plan.settings.shutterS);
});

test('flickering lamps: the spread at the chosen shutter, and the nearest time immune to it', () => {
  const { flicker } = solveExposure(
    request(7, {}, { lamps: { mainsHz: 50, modulation: 0.4, readoutS: 1 / 50 } }),
  );
  expect(flicker?.spreadStops).toBeGreaterThan(1);
  expect(flicker?.bands).toBeCloseTo(2, 9);
  expect(flicker?.immuneShutterS).toBe(0.01);
  // Lamps of 50 Hz swing a hundred times a second: of the times up to 1/30 three swings last longest.
  const slow = solveExposure(
    request(7, {}, { lamps: { mainsHz: 50, modulation: 0.4 }, held: { shutterS: 1 / 30 } }),
  );
  expect(slow.flicker?.immuneShutterS).toBeCloseTo(0.03, 9);
  expect(solveExposure(request(7)).flicker).toBeUndefined();
  // Lamps that give a tenth of the light swing a tenth of it: 0.04·|sinc(2·50/1000)| each way.
  const lamps = { mainsHz: 50, modulation: 0.4, share: 0.1 };
  const tenth = solveExposure(request(12, {}, { lamps })).flicker?.spreadStops ?? NaN;
  const { shutterS } = solveExposure(request(12, {}, { lamps })).settings;
  const x = Math.PI * 2 * 50 * shutterS;
  const swing = (0.04 * Math.sin(x)) / x;
  expect(tenth).toBeCloseTo(Math.log2((1 + swing) / (1 - swing)), 6);
  const none = { ...lamps, share: 0 };
  expect(solveExposure(request(12, {}, { lamps: none })).flicker?.spreadStops).toBe(0);
});

test('it says plainly when nothing works', () => {
  expect(solveExposure(request(9)).works).toBe(true);
  expect(solveExposure(request(-20)).works).toBe(false);
  expect(solveExposure(request(26)).works).toBe(false);
});

test('closer never allows a slower shutter: through the whole chain', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 6, max: 80, noNaN: true }),
      fc.double({ min: 1, max: 3, noNaN: true }),
      (distanceM, times) => {
        const at = (d: number) =>
          solveExposure(request(9, { shutterS: d / 20_000 })).settings.shutterS;
        expect(at(distanceM)).toBeLessThanOrEqual(at(distanceM * times) + 1e-12);
      },
    ),
  );
});

test('an aperture below the lens’s own is answered with the widest it has', () => {
  const { settings, conflicts } = solveExposure(request(9, { aperture: 1.4 }));
  expect(mark(settings.aperture)).toBe('f/2.8');
  expect(conflicts).toEqual([]);
});

test('blur is a share of the body’s own frame', () => {
  const focus = { focalMm: 200, distanceM: 20, cocMm: 0.019, backgroundM: 45 };
  const full = solveExposure(request(9, {}, { focus })).blur;
  const crop = solveExposure(request(9, {}, { focus: { ...focus, frameWidthMm: 24 } })).blur;
  expect(crop?.discMm).toBe(full?.discMm);
  expect((crop?.shareOfFrame ?? NaN) / (full?.shareOfFrame ?? NaN)).toBeCloseTo(1.5, 9);
});
