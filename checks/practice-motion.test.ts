/**
 * Shutter speeds, pans, bursts and reach as practitioners report them. Common practice, no source.
 */
import {
  apexWindow,
  buffer,
  burst,
  frameFill,
  freezeShutter,
  meterError,
  motionSmear,
  pan,
  postShadeWidth,
  framesForNineInTen,
  rollingShutterSkew,
  rollingShutterStretch,
  shakeLimit,
  whiteScene,
  wilsonInterval,
  wingTipSpeed,
  withConverter,
  type Motion,
} from '@/core';
import { bodyById, lensById, subjectById } from '@/presets/find';

const FULL_FRAME = bodyById('full-frame-24').sensor;

/** A preset subject on its way past, or towards, a camera at its own height. */
function view(id: string, distanceM: number, focalMm: number, headingDeg = 90): Motion {
  const subject = subjectById(id);
  const z = subject.heightM / 2;
  return {
    subject,
    parts: subject.parts,
    path: { position: { x: 0, y: distanceM, z: 0 }, headingDeg },
    camera: {
      position: { x: 0, y: 0, z },
      aim: { x: 0, y: distanceM, z },
      focalMm,
      sensor: FULL_FRAME,
    },
  };
}
const perSecond = (motion: Motion) => 1 / freezeShutter(motion).shutterS;
const smearOf = (motion: Motion, part: string, shutterS: number) =>
  motionSmear({ ...motion, shutterS }).find((entry) => entry.part === part);

test('1/1600 for track: a sprinter across at 20 m on 200 mm, within two thirds of a stop', () => {
  expect(Math.abs(Math.log2(perSecond(view('sprinter', 20, 200)) / 1600))).toBeLessThan(2 / 3);
});

test('fingers and feet still smear at 1/400 and are clean near 1/800', () => {
  const player = view('field-player', 30, 200);
  expect(smearOf(player, 'foot', 1 / 400)?.grade).toBe('plain');
  expect(smearOf(player, 'foot', 1 / 800)?.grade).toBe('slight');
  expect(smearOf(player, 'hand', 1 / 800)?.grade).toBe('slight');
});

test('a small singing bird: 1/400 to 1/500 at 8 m on 400 mm, faster the closer', () => {
  const far = perSecond(view('small-bird-perched', 8, 400));
  expect(Math.abs(Math.log2(far / 450))).toBeLessThan(2 / 3);
  expect(perSecond(view('small-bird-perched', 4, 400))).toBeGreaterThan(far * 1.8);
});

test('a butterfly on a flower in wind: 1/250 to 1/500', () => {
  const shutter = perSecond(view('butterfly-flower', 0.6, 100));
  expect(shutter).toBeGreaterThan(250 / 2 ** (2 / 3));
  expect(shutter).toBeLessThan(500 * 2 ** (2 / 3));
});

test('bat and ball: at 1/400 hopeless, at 1/1000 far better, the body held', () => {
  const batter = view('batter', 30, 300);
  const at = (shutterS: number) => smearOf(batter, 'bat tip', shutterS)?.deliveredPx ?? NaN;
  expect(smearOf(batter, 'bat tip', 1 / 400)?.grade).toBe('plain');
  // At 1/400 the tip is drawn out to over a fiftieth of the picture's width.
  expect(at(1 / 400)).toBeGreaterThan(2048 / 50);
  expect(at(1 / 1000)).toBeLessThan(at(1 / 400) / 2);
  expect(smearOf(batter, 'body', 1 / 1000)?.grade).toBe('still');
});

test('sand at 1/1600 stands frozen in the air', () => {
  const sand: Motion = {
    ...view('sprinter', 12, 300),
    subject: { heightM: 0.1, speedMs: 3 },
    parts: [{ name: 'sand', role: 'limb', aheadM: 0, leftM: 0, upM: 0.5, bodyShare: 1 }],
  };
  expect(smearOf(sand, 'sand', 1 / 1600)?.grade).toMatch(/still|crisp/);
});

test('blowing snow is streaks at 1/30 and flakes at 1/2000', () => {
  const snow: Motion = {
    ...view('walker', 6, 85),
    subject: { heightM: 0.01, speedMs: 5 },
    parts: [{ name: 'flake', role: 'limb', aheadM: 0, leftM: 0, upM: 1, bodyShare: 1 }],
  };
  const share = (shutterS: number) => (smearOf(snow, 'flake', shutterS)?.deliveredPx ?? NaN) / 2048;
  expect(share(1 / 30)).toBeGreaterThan(0.03);
  expect(smearOf(snow, 'flake', 1 / 2000)?.grade).toMatch(/crisp|still/);
});

test('fan blades: long blur at 1/80, clear blur at 1/500, held at 1/4000', () => {
  const fan: Motion = {
    ...view('standing', 1.5, 50),
    subject: { heightM: 0.4, speedMs: 0 },
    parts: [
      {
        name: 'blade',
        role: 'limb',
        aheadM: 0.2,
        leftM: 0,
        upM: 0.9,
        bodyShare: 0,
        swing: { speedMs: 12, radiusM: 0.2, planeTiltDeg: 0 },
      },
    ],
  };
  const circles = (shutterS: number) => smearOf(fan, 'blade', shutterS)?.circles ?? NaN;
  expect(circles(1 / 80)).toBeGreaterThan(100);
  expect(circles(1 / 500)).toBeGreaterThan(15);
  expect(circles(1 / 4000)).toBeLessThan(5);
});

test('a skiing turn wants 1/250 at least', () => {
  expect(perSecond(view('skier', 40, 200, 150))).toBeGreaterThan(250);
});

test('a swimmer’s hand at 3 to 4 m/s is held by 1/1000 at 25 m on 400 mm', () => {
  expect(smearOf(view('swimmer', 25, 400), 'hand', 1 / 1000)?.grade).toMatch(/slight|crisp/);
});

test('a jump: at its top it hangs, so that less shutter does than for the run-up', () => {
  // Within 0.5 m/s of the top for a tenth of a second.
  expect(apexWindow({ toleranceMs: 0.5 })).toBeCloseTo(0.102, 3);
  expect(perSecond(view('court-jump', 15, 100))).toBeLessThan(1000);
});

test('careful people use 1/500 at 200 mm, where the rule of hand-holding asks 1/200', () => {
  expect(shakeLimit({ focalMm: 200, crop: 1 })).toBe(1 / 200);
});

describe('the panning ladder 1/250, 1/125, 1/60, 1/30, 1/8', () => {
  const ladder = [1 / 250, 1 / 125, 1 / 60, 1 / 30, 1 / 8].map((shutterS) =>
    pan({ speedMs: 9.388, closestM: 10, offsetM: 0, focalMm: 100, shutterS, skillSigma: 0.1 }),
  );
  test('21 mph at 10 m is 53.79 °/s; 100 mm at 1/60 draws 1.58 mm, 0.296 sharp', () => {
    expect(ladder[2]?.rateDegS).toBeCloseTo(53.79, 2);
    expect(ladder[2]?.streakMm).toBeCloseTo(1.58, 2);
    // Of a frame 36 mm wide.
    expect(ladder[2]?.streakShare).toBeCloseTo(1.58 / 36, 3);
    expect(ladder[2]?.sharpChance).toBeCloseTo(0.296, 3);
    expect(ladder[2]?.framesFor90).toBe(7);
  });
  test('each rung draws more and holds less', () => {
    for (const [i, rung] of ladder.slice(1).entries()) {
      expect(rung.streakMm).toBeGreaterThan(ladder[i]?.streakMm ?? NaN);
      expect(rung.sharpChance).toBeLessThan(ladder[i]?.sharpChance ?? NaN);
      expect(rung.framesFor90).toBeGreaterThanOrEqual(ladder[i]?.framesFor90 ?? NaN);
    }
  });
  test('at 1/250 a learner keeps most, at 1/8 hardly one in twenty', () => {
    expect(ladder[0]?.sharpChance).toBeGreaterThan(0.85);
    expect(ladder[4]?.sharpChance).toBeLessThan(0.06);
  });
});

test('panned exactly, the body is still and the wheel’s rim is not', () => {
  const rider: Motion = { ...view('cyclist', 10, 100), pan: { part: 'body', rateError: 0 } };
  expect(smearOf(rider, 'body', 1 / 60)?.circles).toBeLessThan(0.01);
  expect(smearOf(rider, 'wheel rim', 1 / 60)?.grade).toBe('plain');
  const tenth: Motion = { ...rider, pan: { part: 'body', rateError: 0.1 } };
  const residual = smearOf(tenth, 'body', 1 / 60)?.onSensorMm ?? NaN;
  const { streakMm } = pan({
    speedMs: 12,
    closestM: 10,
    offsetM: 0,
    focalMm: 100,
    shutterS: 1 / 60,
    skillSigma: 0.1,
  });
  // A tenth too fast leaves a tenth of the streak.
  expect(residual / (0.1 * streakMm)).toBeCloseTo(1, 1);
});

test('five frames a second leave metres between frames', () => {
  expect(burst({ fps: 5, windowS: 0.1, speedMs: 9 })).toEqual({ chance: 0.5, gapM: 1.8 });
  expect(burst({ fps: 5, windowS: 0.1, speedMs: 14 }).gapM).toBeGreaterThan(2.5);
  expect(burst({ fps: 20, windowS: 0.1, speedMs: 9 }).chance).toBe(1);
});

test('20 frames a second of 40 MB fill a buffer in seconds, and pauses clear it', () => {
  const { burstS, burstFrames, clearS } = buffer({
    bufferMb: 4000,
    fps: 20,
    fileMb: 40,
    writeMbS: 250,
  });
  expect(burstS).toBeCloseTo(7.27, 2);
  expect(burstFrames).toBe(145);
  expect(clearS).toBe(16);
});

test('converters: a 400 f/4 becomes 560 f/5.6 or 800 f/8', () => {
  const lens = lensById('400-4');
  expect(withConverter(lens, 1.4).focals[0]?.focalMm).toBeCloseTo(560, 9);
  expect(withConverter(lens, 1.4).focals[0]?.widestAperture).toBeCloseTo(5.6, 9);
  expect(withConverter(lens, 2).focals[0]).toEqual({ focalMm: 800, widestAperture: 8 });
});

test('a small bird on 600 mm at 9 to 12 m takes a quarter to a half of the frame’s height', () => {
  const fill = (distanceM: number) =>
    frameFill({ sizeM: 0.13, distanceM, focalMm: 600, sensor: FULL_FRAME });
  expect(fill(9)).toBeLessThan(0.5);
  expect(fill(12)).toBeGreaterThan(0.25);
});

test('a post 12 cm wide gives 15 to 30 cm of shade along its fence, the sun 37° to 66° off square', () => {
  const strip = (offSquare: number) =>
    postShadeWidth({ widthM: 0.12, fenceBearingDeg: 90, sunAzimuthDeg: 180 + offSquare });
  expect(strip(37)).toBeCloseTo(0.15, 2);
  expect(strip(66)).toBeCloseTo(0.295, 2);
  expect(strip(-40)).toBeCloseTo(strip(40), 9);
  // From the fence's other side it is as broad.
  expect(strip(180 + 40)).toBeCloseTo(strip(40), 9);
});

test('snow: a meter asks for +1 to +2, the other school takes off a third to one', () => {
  const snow = meterError({
    reflectances: [
      { share: 0.85, reflectance: 0.8 },
      { share: 0.15, reflectance: 0.1 },
    ],
  });
  expect(snow).toBeGreaterThan(1.5);
  const bright = whiteScene({ meterErrorStops: snow, school: 'brightness' }).compensationStops;
  expect(bright).toBeGreaterThanOrEqual(1);
  expect(bright).toBeLessThanOrEqual(2);
  const texture = whiteScene({ meterErrorStops: snow, school: 'texture' }).compensationStops;
  expect(texture).toBeGreaterThanOrEqual(-1);
  expect(texture).toBeLessThanOrEqual(-1 / 3);
});

test('automatic modes go dark on ice and bright on dark crowds', () => {
  expect(meterError({ reflectances: [{ share: 1, reflectance: 0.7 }] })).toBeGreaterThan(2);
  expect(meterError({ reflectances: [{ share: 1, reflectance: 0.05 }] })).toBeLessThan(-1.5);
});

test('1000 frames of a football night, 25 to 30 kept: 2.5 to 3 % within its interval', () => {
  const { low, high } = wilsonInterval({ successes: 28, trials: 1000 });
  expect(low).toBeLessThan(0.025);
  expect(high).toBeGreaterThan(0.03);
});

test('a small bird’s wing tip outruns the bird', () => {
  expect(wingTipSpeed({ beatsPerS: 20, sweepRad: 2, lengthM: 0.11 })).toBeCloseTo(13.8, 1);
});

test('a silent shutter that reads in 1/20 s leans a crossing runner by some thirteen degrees', () => {
  const { skewMm, leanDeg } = rollingShutterSkew({
    imageSpeedMmS: 121.62,
    readoutS: 1 / 20,
    frameHeightMm: 24,
    heightShare: 0.8,
  });
  expect(skewMm).toBeCloseTo(4.86, 2);
  expect(leanDeg).toBeCloseTo(14.2, 1);
});

test('held upright a silent shutter draws out what runs with its reading and squeezes what runs against', () => {
  // Worked by hand: 24 mm read in 1/20 s is 480 mm/s. At 120 mm/s a subject of 6 mm that runs with the
  // reading is met by its far end 6/(480 − 120) s later, 2 mm further on; against it 6/(480 + 120) s, 1.2 mm back.
  const { longer, shorter } = rollingShutterStretch({
    imageSpeedMmS: 120,
    readoutS: 1 / 20,
    frameAcrossMm: 24,
  });
  expect(6 * longer).toBeCloseTo(2, 9);
  expect(6 * shorter).toBeCloseTo(1.2, 9);
  const keepsUp = { imageSpeedMmS: 480, readoutS: 1 / 20, frameAcrossMm: 24 };
  expect(rollingShutterStretch(keepsUp).longer).toBe(Infinity);
});

test('frames for nine chances in ten: one where it is as good as sure, none ever suffices without a chance', () => {
  // 1 − (1 − p)^n ≥ 0.9, by hand: 1 − 0.5^4 = 0.9375, 1 − 0.7^7 = 0.918.
  expect([1, 0.9, 0.5, 0.3, 0].map(framesForNineInTen)).toEqual([1, 1, 4, 7, Infinity]);
});
