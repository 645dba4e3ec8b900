import * as core from '@/core';

const SENSOR = { widthMm: 36, heightMm: 24, widthPx: 6000, heightPx: 4000 };
const LENS = {
  focals: [
    { focalMm: 70, widestAperture: 2.8 },
    { focalMm: 200, widestAperture: 2.8 },
  ],
  smallestAperture: 22,
  nearestFocusM: 1.2,
};
const CAMERA = {
  position: { x: 0, y: 0, z: 1 },
  aim: { x: 0, y: 20, z: 1 },
  focalMm: 200,
  sensor: SENSOR,
};
const PART = { name: 'body', role: 'body', aheadM: 0, leftM: 0, upM: 1, bodyShare: 1 } as const;
const MOTION = {
  subject: { heightM: 1.75, speedMs: 7 },
  parts: [PART],
  path: { position: { x: 0, y: 20, z: 0 }, headingDeg: 90 },
  camera: CAMERA,
};
const SUN = { azimuthDeg: 180, altitudeDeg: 30 };
const DAY = { directNormalLux: 9e4, diffuseHorizontalLux: 1e4, globalHorizontalLux: 6e4 };
const PLACE = { latitudeDeg: 53, longitudeDeg: -2 };

/** What is asked, and how the refusal begins: the field and its value. */
const CASES: readonly [string, () => unknown][] = [
  ['aperture 0:', () => core.ev({ aperture: 0, shutterS: 1, iso: 100 })],
  ['shutterS -1:', () => core.ev({ aperture: 1, shutterS: -1, iso: 100 })],
  ['iso NaN:', () => core.ev({ aperture: 1, shutterS: 1, iso: NaN })],
  ['illuminanceLux 0:', () => core.evFromIlluminance(0)],
  ['evAtIso100 Infinity:', () => core.illuminanceFromEv(Infinity)],
  ['value 0:', () => core.nearestMark('iso', 0)],
  ['click 99:', () => core.markAt('aperture', 99)],
  ['latitudeDeg 95:', () => core.sunPosition({ time: 0, latitudeDeg: 95, longitudeDeg: 0 })],
  ['longitudeDeg -181:', () => core.sunPosition({ time: 0, latitudeDeg: 0, longitudeDeg: -181 })],
  ['time NaN:', () => core.sunPosition({ time: new Date('no day'), ...PLACE })],
  ['date 2027-02-30:', () => core.sunEvents({ date: '2027-02-30', timeZone: 'UTC', ...PLACE })],
  [
    'timeZone Mars/Base:',
    () => core.sunEvents({ date: '2027-02-03', timeZone: 'Mars/Base', ...PLACE }),
  ],
  ['sunAltitudeDeg 91:', () => core.daylight({ sunAltitudeDeg: 91, sky: 'clear' })],
  ['sky 1.5:', () => core.daylight({ sunAltitudeDeg: 10, sky: 1.5 })],
  ['sky foggy:', () => core.daylight({ sunAltitudeDeg: 10, sky: 'foggy' as 'clear' })],
  [
    'skyView 2:',
    () =>
      core.illuminanceOnFace({
        daylight: DAY,
        sun: SUN,
        faceAzimuthDeg: 0,
        skyView: 2,
        groundReflectance: 0.2,
      }),
  ],
  [
    'groundReflectance -0.1:',
    () =>
      core.illuminanceOnFace({
        daylight: DAY,
        sun: SUN,
        faceAzimuthDeg: 0,
        groundReflectance: -0.1,
      }),
  ],
  ['level -5:', () => core.lamps({ level: -5 })],
  ['focalMm 0:', () => core.imageSize({ sizeM: 1, distanceM: 10, focalMm: 0 })],
  ['distanceM 0.1:', () => core.imageSize({ sizeM: 1, distanceM: 0.1, focalMm: 200 })],
  [
    'aperture -4:',
    () => core.depthOfField({ focalMm: 50, aperture: -4, distanceM: 5, cocMm: 0.03 }),
  ],
  ['cocMm 0:', () => core.depthOfField({ focalMm: 50, aperture: 4, distanceM: 5, cocMm: 0 })],
  ['distanceM 1:', () => core.requireFocus(1, LENS.nearestFocusM)],
  ['focalMm 300:', () => core.widestApertureAt(LENS, 300)],
  ['factor 4:', () => core.withConverter(LENS, 4)],
  ['focals of length 0:', () => core.focalRange({ ...LENS, focals: [] })],
  ['fill 0:', () => core.focalForFill({ fill: 0, sizeM: 1, distanceM: 10, sensor: SENSOR })],
  ['shutterS 0:', () => core.motionSmear({ ...MOTION, shutterS: 0 })],
  ['parts of length 0:', () => core.freezeShutter({ ...MOTION, parts: [] })],
  ['heightM 0:', () => core.freezeShutter({ ...MOTION, subject: { heightM: 0, speedMs: 1 } })],
  ['speedMs -1:', () => core.freezeShutter({ ...MOTION, subject: { heightM: 1, speedMs: -1 } })],
  [
    'distanceM 0:',
    () => core.freezeShutter({ ...MOTION, camera: { ...CAMERA, aim: CAMERA.position } }),
  ],
  [
    'support stilts:',
    () => core.shakeLimit({ focalMm: 200, crop: 1, support: 'stilts' as 'hand' }),
  ],
  ['distanceM 0:', () => core.sightLine(CAMERA.position, CAMERA.position)],
  [
    'footprint of length 2:',
    () => core.sunBlocked(CAMERA.aim, SUN, [{ footprint: [CAMERA.aim, CAMERA.aim], heightM: 2 }]),
  ],
  ['heightM 0:', () => core.shadowLength(0, 20)],
  ['sunAltitudeDeg 0:', () => core.shadowLength(2, 0)],
  ['toMs 0:', () => core.seriesTimes({ scene: undefined as never, fromMs: 0, toMs: 0, stepS: 60 })],
];

test.each(CASES)('%s is refused with what is allowed', (start, call) => {
  expect(call).toThrow(RangeError);
  expect(call).toThrow(new RegExp(`^${start.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')} must be `));
});
