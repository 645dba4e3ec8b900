/**
 * Image velocity by hand from the thin lens; shutter speeds as practitioners report them (common
 * practice, no source).
 */
import { freezeShutter, motionSmear, shakeLimit, type Motion, type MovingPart } from '@/core';
import { subjectById } from '@/presets/find';

const FULL_FRAME = { widthMm: 36, heightMm: 24, widthPx: 6000, heightPx: 4000 };
const BODY: MovingPart = { name: 'body', role: 'body', aheadM: 0, leftM: 0, upM: 0, bodyShare: 1 };

const crossing = (
  speedMs: number,
  distanceM: number,
  focalMm: number,
  headingDeg = 90,
): Motion => ({
  subject: { heightM: 1.8, speedMs },
  parts: [BODY],
  path: { position: { x: 0, y: distanceM, z: 0 }, headingDeg },
  camera: {
    position: { x: 0, y: 0, z: 0 },
    aim: { x: 0, y: distanceM, z: 0 },
    focalMm,
    sensor: FULL_FRAME,
  },
});

test('9 m/s crossing at 30 m on 400 mm moves 121.62 mm/s on the sensor', () => {
  const [body] = motionSmear({ ...crossing(9, 30, 400), shutterS: 1 / 1000 });
  expect((body?.onSensorMm ?? NaN) * 1000).toBeCloseTo(121.62, 2);
  expect(body?.onSubjectMm).toBeCloseTo(9, 9);
  expect(body?.sensorPx).toBeCloseTo(0.12162 / 0.006, 2);
  expect(body?.deliveredPx).toBeCloseTo((0.12162 / 36) * 2048, 2);
  expect(body?.shareOfSubject).toBeCloseTo(0.005, 9);
});

test('head-on the same runner needs far less: under a fifth at 30 m', () => {
  const parts = [{ ...BODY, upM: 0.9 }];
  const across = freezeShutter({ ...crossing(9, 30, 400), parts }).shutterS;
  const towards = freezeShutter({ ...crossing(9, 30, 400, 180), parts }).shutterS;
  expect(towards).toBeGreaterThan(across * 5);
});

test('at 45° the crossing share of the speed counts', () => {
  const square = freezeShutter(crossing(9, 30, 400)).shutterS;
  const aslant = freezeShutter(crossing(9, 30, 400, 45)).shutterS;
  expect(square / aslant).toBeCloseTo(Math.SQRT1_2, 3);
});

/** A preset subject crossing square to the camera. */
const shutterFor = (id: string, distanceM: number, focalMm: number) => {
  const subject = subjectById(id);
  const view = crossing(subject.speedMs, distanceM, focalMm);
  const freeze = freezeShutter({ ...view, subject, parts: subject.parts });
  return { ...freeze, perSecond: 1 / freeze.shutterS };
};

test('most field play at 25–30 m on 200 mm is stopped between 1/640 and 1/1250', () => {
  for (const distanceM of [25, 30]) {
    const { perSecond } = shutterFor('field-player', distanceM, 200);
    expect(perSecond).toBeGreaterThan(640);
    expect(perSecond).toBeLessThan(1250);
  }
});

test('a stick swing wants 1/1000 and better, and the tip of the stick rules', () => {
  const swing = shutterFor('field-player-swing', 25, 200);
  expect(swing.perSecond).toBeGreaterThan(1000);
  expect(swing.ruledBy).toBe('stick tip');
});

test('1/400 is hopeless for a swinging stick: plain blur', () => {
  const subject = subjectById('field-player-swing');
  const smear = motionSmear({
    ...crossing(4, 20, 200),
    subject,
    parts: subject.parts,
    shutterS: 1 / 400,
  });
  expect(smear.find(({ part }) => part === 'stick tip')?.grade).toBe('plain');
});

test('a standing player is held by slower than 1/250', () => {
  expect(shutterFor('standing', 25, 200).perSecond).toBeLessThan(250);
});

test('hand-held: one over the focal length, with the crop', () => {
  expect(shakeLimit({ focalMm: 200, crop: 1 })).toBe(1 / 200);
  expect(shakeLimit({ focalMm: 200, crop: 1.5 })).toBe(1 / 300);
  expect(shakeLimit({ focalMm: 200, crop: 1, support: 'monopod' })).toBe(1 / 100);
  expect(shakeLimit({ focalMm: 200, crop: 1, support: 'tripod' })).toBe(16 / 200);
});

test('a stabiliser is trusted for three stops, on long glass for two', () => {
  const at = (focalMm: number, stabilisationStops: number) =>
    shakeLimit({ focalMm, crop: 1, stabilisationStops });
  expect(at(200, 5)).toBe(8 / 200);
  expect(at(200, 1)).toBe(2 / 200);
  expect(at(600, 5)).toBe(4 / 600);
});
