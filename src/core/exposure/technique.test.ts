import fc from 'fast-check';
import { viewOf } from '@/features/plan/view';
import { DEMO_SHOOTS } from '@/demo';
import { ev as evOf } from '../quantity/ev';
import { daylight } from '../light/daylight';
import { engravedMark, nearestMark } from '../quantity/scales';
import { apertureFor, motionFor, panLadder, shutterFor, skyEv, TECHNIQUES } from './technique';
import { solveExposure } from './solve';
import type { ExposureRequest } from './request';

const [larkmoor] = DEMO_SHOOTS;
if (!larkmoor) throw new Error('no demo');
const seen = viewOf(larkmoor);
if (!seen.ok) throw new Error(seen.problem);
const { running, freeze } = seen.view;
const steady = { shakeS: 1, panS: 1 / 60 };
const wanted = { technique: 'freeze', background: 'any' } as const;

describe('the time a technique allows', () => {
  test('freezing asks what the motion asks; hands that shake sooner rule', () => {
    expect(shutterFor(wanted, running, steady)).toEqual({
      shutterS: freeze.shutterS,
      ruledBy: freeze.ruledBy,
    });
    const shaking = shutterFor(wanted, running, { ...steady, shakeS: freeze.shutterS / 2 });
    expect(shaking).toEqual({ shutterS: freeze.shutterS / 2, ruledBy: 'your own hands' });
  });
  test('a part that must be sharp is held crisp, so it asks for less time than as a limb', () => {
    const { shutterS } = shutterFor({ ...wanted, sharp: 'stick tip' }, running, steady);
    // Crisp is 2 circles, slight 5: the same part held to two fifths of the blur.
    expect(shutterS / freeze.shutterS).toBeCloseTo(2 / 5, 2);
  });
  test('faces between plays and portraits need far less than play; a pan and streaks are chosen', () => {
    const time = (technique: (typeof TECHNIQUES)[number], shutterS?: number) =>
      shutterFor({ ...wanted, technique, ...(shutterS && { shutterS }) }, running, steady).shutterS;
    expect(time('portrait')).toBeGreaterThanOrEqual(time('reaction'));
    expect(time('reaction')).toBeGreaterThanOrEqual(time('freeze'));
    expect(time('still')).toBeLessThan(time('freeze'));
    expect(time('pan')).toBe(1 / 60);
    expect(time('pan', 1 / 30)).toBe(1 / 30);
    expect(nearestMark('shutter', time('streak')).label).toBe('1/30');
  });
  test('nobody sprints for a portrait, and a walker is not made to hurry', () => {
    expect(motionFor(running, 'portrait').subject.speedMs).toBe(0.3);
    expect(motionFor(running, 'freeze')).toBe(running);
    const slow = { ...running, subject: { ...running.subject, speedMs: 0.1 } };
    expect(motionFor(slow, 'reaction').subject.speedMs).toBe(0.1);
    expect(motionFor(running, 'reaction').parts.some(({ swing }) => swing)).toBe(false);
  });
});

describe('the aperture a picture asks for', () => {
  test('depth, unless the background is to be washed or its layers read', () => {
    expect(apertureFor(wanted, 3.2, 'depth').aperture).toBe(3.2);
    expect(apertureFor({ ...wanted, background: 'washed' }, 3.2, 'depth').prefer).toBe('blur');
    expect(apertureFor({ ...wanted, technique: 'story' }, 3.2, 'depth').aperture).toBeCloseTo(
      5.66,
      2,
    );
    expect(apertureFor({ ...wanted, background: 'layered' }, 11, 'depth').aperture).toBe(11);
  });
});

test('the ladder of a pan: streaks double rung by rung, chances fall, a likely rung is tried', () => {
  const { rungs, tryS } = panLadder({
    speedMs: 9.388,
    closestM: 10,
    offsetM: 0,
    focalMm: 100,
    skillSigma: 0.1,
  });
  expect(rungs.map(({ shutterS }) => nearestMark('shutter', shutterS).label)).toEqual([
    '1/250',
    '1/125',
    '1/60',
    '1/30',
    '1/15',
    '1/8',
  ]);
  rungs.slice(1).forEach((rung, i) => {
    expect(rung.streakMm / (rungs[i]?.streakMm ?? NaN)).toBeCloseTo(2, 6);
    expect(rung.sharpChance).toBeLessThan(rungs[i]?.sharpChance ?? NaN);
  });
  // 21 mph at 10 m on 100 mm at 1/60: chance 0.296, the check value of the model.
  expect(rungs[2]?.sharpChance).toBeCloseTo(0.296, 1);
  expect(nearestMark('shutter', tryS).label).toBe('1/60');
});

test('a clear evening’s sky is two stops and more over a face turned from the sun', () => {
  const low = daylight({ sunAltitudeDeg: 5, sky: 'clear' });
  // By hand: log2(8·E/π) of the sky's light on level ground.
  expect(skyEv(low)).toBeCloseTo(Math.log2((8 * low.diffuseHorizontalLux) / Math.PI), 9);
});

const request: ExposureRequest = {
  ev: { low: 10, expected: 10, high: 10 },
  demands: { shutterS: 1 / 1000, shutterRuledBy: 'foot', liftStops: 1 },
  camera: {
    iso: { base: 100, good: 3200, usable: 6400, last: 25600 },
    fastestShutterS: 1 / 8000,
  },
  lens: { widestAperture: 2.8, smallestAperture: 22 },
  school: 'balanced',
};
const mark = (kind: 'shutter' | 'aperture' | 'iso', value: number) =>
  nearestMark(kind, value).value;
const between = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });

describe('levers held by hand', () => {
  test('stay, and the frame is right within half a click while another can answer', () => {
    fc.assert(
      fc.property(between(4, 14), between(-12, -6), between(1.5, 4), (light, time, stop) => {
        const held = {
          shutterS: mark('shutter', 2 ** time),
          aperture: mark('aperture', 2 ** stop),
        };
        const { settings, stopsDark, stopsBright } = solveExposure({
          ...request,
          ev: { low: light, expected: light, high: light },
          held,
        });
        expect(settings.shutterS).toBe(held.shutterS);
        expect(settings.aperture).toBe(held.aperture);
        const off = light - evOf(settings);
        const atAnEnd = settings.iso <= 100.01 || settings.iso >= 25500;
        if (!atAnEnd) expect(Math.abs(off)).toBeLessThanOrEqual(1 / 6 + 1e-9);
        expect(stopsBright - stopsDark).toBeCloseTo(off, 9);
      }),
    );
  });
  test('ISO held: the shutter answers, then the aperture', () => {
    const iso = mark('iso', 400);
    const { settings } = solveExposure({ ...request, held: { iso } });
    expect(settings.iso).toBe(iso);
    expect(Math.abs(10 - evOf(settings))).toBeLessThanOrEqual(1 / 6 + 1e-9);
    const both = solveExposure({ ...request, held: { iso, shutterS: mark('shutter', 1 / 60) } });
    expect(both.settings.aperture).toBeGreaterThan(settings.aperture);
    expect(both.budget.find(({ lever }) => lever === 'shutter')?.ruledBy).toBe('your hand');
  });
  test('all three held: what is missing is said, and other schools are shown free', () => {
    const held = { shutterS: mark('shutter', 1 / 1000), aperture: mark('aperture', 8), iso: 100 };
    const plan = solveExposure({ ...request, held });
    // EV 16 at f/8, 1/1000, ISO 100: six stops more than there are.
    expect(plan.stopsDark).toBeCloseTo(evOf(held) - 10, 9);
    expect(plan.works).toBe(false);
    expect(plan.alternatives.every(({ works }) => works)).toBe(true);
  });
});

test('on half-stop dials every setting stands on a half, and is engraved as one', () => {
  fc.assert(
    fc.property(between(3, 15), (light) => {
      const { settings } = solveExposure({
        ...request,
        ev: { low: light, expected: light, high: light },
        camera: { ...request.camera, dial: 'half' },
      });
      for (const [kind, value] of [
        ['shutter', settings.shutterS],
        ['iso', settings.iso],
      ] as const) {
        expect(nearestMark(kind, value, 'nearest', 'half').value).toBeCloseTo(value, 9);
        expect(engravedMark(kind, value).label).toBe(
          nearestMark(kind, value, 'nearest', 'half').label,
        );
      }
    }),
  );
  expect(engravedMark('shutter', 2 ** -9.5).label).toBe('1/750');
  expect(engravedMark('shutter', 2 ** (-29 / 3)).label).toBe('1/800');
});
