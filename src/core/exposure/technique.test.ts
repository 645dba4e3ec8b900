import fc from 'fast-check';
import { viewOf } from '@/answers/view';
import { DEMO_SHOOTS } from '@/demo';
import { ev as evOf } from '../quantity/ev';
import { daylight } from '../light/daylight';
import { engravedMark, nearestMark } from '../quantity/scales';
import { pan } from '../motion/pan';
import { emptyRates, type ImageRates } from '../motion/rates';
import { timesFor, type ClassTimes } from '../motion/times';
import {
  aperturesFor,
  motionFor,
  panRungs,
  pictureTimes,
  preparePicture,
  skyEv,
  type TECHNIQUES,
} from './technique';
import { solveExposure } from './solve';
import type { ExposureRequest } from './request';

const [larkmoor] = DEMO_SHOOTS;
if (!larkmoor) throw new Error('no demo');
const seen = viewOf(larkmoor);
if (!seen.ok) throw new Error(seen.trouble.kind);
const { view } = seen;
const { running } = view;
const perS = ({ mustS, wishS }: { readonly mustS: number; readonly wishS: number }) => ({
  must: 1 / mustS,
  wish: 1 / wishS,
});

describe('the time a technique asks', () => {
  test('freezing: the class’s own time at the least, raised by 1⅓ stop at most; the wish twice at most', () => {
    const { must, wish } = perS(view.timesOf({ technique: 'freeze' }));
    // A strike: 1/1000 and 1/2000.
    expect(must).toBeGreaterThanOrEqual(1000);
    expect(must).toBeLessThanOrEqual(1024 * 2 ** (4 / 3) + 1);
    expect(wish).toBeGreaterThanOrEqual(Math.max(must, 2000));
    expect(wish).toBeLessThanOrEqual(4097);
  });
  test('a stick’s tip rules only where the shot names it, and then as a wish', () => {
    const plain = view.timesOf({ technique: 'freeze' });
    const named = view.timesOf({ technique: 'freeze', sharp: 'stick tip' });
    expect(named.mustS).toBe(plain.mustS);
    expect(named.wishS).toBeLessThan(plain.wishS);
    expect(named.wishBy).toEqual({ by: 'named', part: 'stick tip' });
  });
  test('faces between plays and portraits need far less than play; a pan and streaks are chosen', () => {
    const time = (technique: (typeof TECHNIQUES)[number], shutterS?: number) =>
      view.timesOf({ technique, ...(shutterS && { shutterS }) });
    // Standing people: 1/160 and 1/320.
    expect(1 / time('reaction').mustS).toBeCloseTo(161, 0);
    expect(1 / time('portrait').wishS).toBeLessThan(650);
    expect(time('pan', 1 / 30)).toMatchObject({ mustS: 1 / 30, wishS: 1 / 30, kept: true });
    expect(nearestMark('shutter', time('streak').mustS).label).toBe('1/30');
  });
  test('nobody sprints for a portrait, and a walker is not made to hurry', () => {
    expect(motionFor(running, 'portrait').subject.speedMs).toBe(0.3);
    expect(motionFor(running, 'freeze')).toBe(running);
    const slow = { ...running, subject: { ...running.subject, speedMs: 0.1 } };
    expect(motionFor(slow, 'reaction').subject.speedMs).toBe(0.1);
    expect(motionFor(running, 'reaction').parts.some(({ swing }) => swing)).toBe(false);
  });
});

describe('must and wish of what is seen', () => {
  const cls: ClassTimes = { id: 'play', mustS: 1 / 800, wishS: 1 / 1000, unplannedMs: 1.5 };
  const lens = { imageMm: 200, circleMm: 0.0288, frameWidthMm: 36, shakeS: 1, carefulS: 1 };
  const rates = (change: Partial<ImageRates>): ImageRates => ({
    ...emptyRates(),
    distanceM: 30,
    bodyPart: 'body',
    followedPart: 'body',
    limbPart: 'foot',
    ...change,
  });
  const times = (change: Partial<ImageRates>, speedMs = 7, more: Partial<typeof lens> = {}) =>
    timesFor(cls, rates(change), { ...lens, ...more }, speedMs, undefined);
  test('the body held crisp by a camera that follows raises the must of what moves', () => {
    // 2 circles of 0.0288 mm at 200 mm: 0.288 rad/s is a thousandth; 0.576 half of that.
    const { mustS, mustBy } = times({ followedRadS: 0.288 });
    expect(1 / mustS).toBeCloseTo(1000, 0);
    expect(mustBy).toEqual({ by: 'part', part: 'body' });
    expect(times({ followedRadS: 0.288 }, 0.5).mustS).toBe(1 / 800);
    expect(times({ followedRadS: 0.288 }, 2).mustS).toBeCloseTo(
      2 ** -(Math.log2(800) + Math.log2(1.25) / 2),
      9,
    );
  });
  test('so it does for what would cross the frame within a second, however slow', () => {
    // 36 mm in 0.6 s: 60 mm/s at 200 mm is 0.3 rad/s.
    expect(times({ followedRadS: 0.288, bodyRadS: 0.3 }, 0.5).mustS).toBeCloseTo(1 / 1000, 6);
    expect(times({ followedRadS: 0.288, bodyRadS: 0.1 }, 0.5).mustS).toBe(1 / 800);
  });
  test('no computed part raises it by more than 1⅓ stop; hands do', () => {
    expect(800 * 2 ** (4 / 3) * times({ followedRadS: 50 }).mustS).toBeCloseTo(1, 9);
    expect(times({}, 7, { shakeS: 1 / 5000 })).toMatchObject({
      mustS: 1 / 5000,
      mustBy: { by: 'hands' },
    });
  });
  test('what it may do unforeseen counts from any heading: near, it rules', () => {
    expect(times({ distanceM: 3 }).mustBy).toEqual({ by: 'unplanned' });
    expect(times({ distanceM: 60 }).mustBy).toEqual({ by: 'class' });
  });
  test('the wish: body without following, limbs, careful hands, none past twice the class’s', () => {
    expect(times({ bodyRadS: 0.4 }).wishBy).toEqual({ by: 'part', part: 'body' });
    expect(times({ limbRadS: 1 }).wishBy).toEqual({ by: 'part', part: 'foot' });
    expect(times({}, 7, { carefulS: 1 / 1500 })).toMatchObject({ wishS: 1 / 1500 });
    expect(times({ bodyRadS: 50 }).wishS).toBe(1 / 2000);
    // A must that is raised past the class's wish is the wish too.
    const near = times({ distanceM: 3 });
    expect(near.mustS).toBeLessThan(1 / 1000);
    expect(near).toMatchObject({ wishS: near.mustS, wishBy: { by: 'unplanned' } });
  });
  test('at rest trembling is a wish and never a must', () => {
    const rest: ClassTimes = {
      id: 'rest',
      mustS: 1 / 100,
      wishS: 1 / 500,
      unplannedMs: 0,
      atRest: true,
    };
    const { mustS, wishS } = timesFor(
      rest,
      rates({ bodyRadS: 0.25, followedRadS: 0.25 }),
      lens,
      0.1,
      undefined,
    );
    expect(mustS).toBe(1 / 100);
    expect(1 / wishS).toBeCloseTo(868, 0);
  });
  test('a floor of one’s own is said to be one', () => {
    expect(timesFor({ ...cls, own: true }, rates({}), lens, 7, undefined).mustBy).toEqual({
      by: 'ownFloor',
    });
  });
});

describe('the opening a picture asks for', () => {
  const at = { widest: 2.8, cap: 16, depthM: 0.8, forDepth: (depthM: number) => depthM * 10 };
  test('must a quarter of the subject, wish all of it, both within the cap', () => {
    const wanted = { technique: 'freeze', background: 'any' } as const;
    expect(aperturesFor(wanted, at)).toEqual({
      aperture: 2.8,
      wishAperture: 8,
      apertureRuledBy: 'depth',
    });
    const deep = aperturesFor(wanted, { ...at, forDepth: (depthM) => depthM * 100 });
    // Two stops closed at most for the face; the whole stops at the cap.
    expect(deep).toMatchObject({ aperture: 5.6, wishAperture: 16 });
  });
  test('wide open for a portrait or a washed background; layers want to be read', () => {
    expect(aperturesFor({ technique: 'portrait', background: 'any' }, at).wishAperture).toBe(2.8);
    expect(aperturesFor({ technique: 'freeze', background: 'washed' }, at).apertureRuledBy).toBe(
      'blur',
    );
    const near = { ...at, depthM: 0.3 };
    const layers = aperturesFor({ technique: 'story', background: 'any' }, near);
    expect(layers.wishAperture).toBeCloseTo(5.66, 2);
    expect(layers.apertureRuledBy).toBe('layers');
  });
});

describe('a pan', () => {
  const ask = { speedMs: 9.388, closestM: 10, offsetM: 0, focalMm: 100, skillSigma: 0.1 };
  test('the rungs: streaks double one by one, chances fall', () => {
    const rungs = panRungs(ask);
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
  });
  test('the time proposed keeps one frame in three for this person, on a third-stop mark', () => {
    const subject = { heightM: 1.8, speedMs: 9.388, parts: running.parts };
    const lens = { imageMm: 101, circleMm: 0.03, frameWidthMm: 36, shakeS: 1, carefulS: 1 };
    const rates = { ...emptyRates(), distanceM: 10, courseRadS: 0.9388, crossingShare: 1 };
    for (const sigma of [0.02, 0.05, 0.1, 0.2]) {
      const times = pictureTimes(preparePicture(subject, { technique: 'pan' }, sigma), rates, lens);
      expect(nearestMark('shutter', times.mustS).value).toBe(times.mustS);
      const { sharpChance } = pan({ ...ask, skillSigma: sigma, shutterS: times.mustS });
      expect(sharpChance).toBeGreaterThan(0.333);
      const slower = pan({ ...ask, skillSigma: sigma, shutterS: times.mustS * 2 ** (1 / 3) });
      if (times.mustS < 1 / 10) expect(slower.sharpChance).toBeLessThan(0.36);
    }
    // Never slower than four times what hands hold.
    const shaky = { ...lens, shakeS: 1 / 800 };
    const held = pictureTimes(preparePicture(subject, { technique: 'pan' }, 0.02), rates, shaky);
    expect(1 / held.mustS).toBeGreaterThanOrEqual(200);
  });
  test('what comes at the camera is not panned, and it says so', () => {
    const subject = { heightM: 1.8, speedMs: 9, parts: running.parts };
    const lens = { imageMm: 101, circleMm: 0.03, frameWidthMm: 36, shakeS: 1, carefulS: 1 };
    const rates = { ...emptyRates(), distanceM: 10, courseRadS: 0.2, crossingShare: 0.2 };
    const times = pictureTimes(preparePicture(subject, { technique: 'pan' }, 0.1), rates, lens);
    expect(times).toMatchObject({ comesAtYou: true, kept: false });
  });
});

test('a clear evening’s sky is two stops and more over a face turned from the sun', () => {
  const low = daylight({ sunAltitudeDeg: 5, sky: 'clear' });
  // By hand: log2(8·E/π) of the sky's light on level ground.
  expect(skyEv(low)).toBeCloseTo(Math.log2((8 * low.diffuseHorizontalLux) / Math.PI), 9);
});

const request: ExposureRequest = {
  ev: { low: 10, expected: 10, high: 10 },
  demands: { shutterS: 1 / 1000, shutterRuledBy: { by: 'part', part: 'foot' }, liftStops: 1 },
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
        if (atAnEnd && Math.abs(off) > 1 / 6 + 1e-6) {
          expect(stopsBright - stopsDark).toBeCloseTo(off, 9);
        }
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
    expect(both.budget.find(({ lever }) => lever === 'shutter')?.ruledBy).toEqual({ by: 'held' });
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
