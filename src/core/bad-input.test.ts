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
const MESH = { focalMm: 200, aperture: 4, fenceM: 1, subjectM: 20, pitchMm: 50, wireMm: 3 };
const PAN = {
  speedMs: 10,
  closestM: 10,
  offsetM: 0,
  focalMm: 100,
  shutterS: 1 / 60,
  skillSigma: 0.1,
};
const MODE = { unevennessStops: 1, variabilityStops: 1, meterErrors: [0] };
const AREA = { minX: 0, minY: 0, maxX: 10, maxY: 10, stepM: 1 };
const SUN = { azimuthDeg: 180, altitudeDeg: 30 };
const DAY = { directNormalLux: 9e4, diffuseHorizontalLux: 1e4, globalHorizontalLux: 6e4 };
const PLACE = { latitudeDeg: 53, longitudeDeg: -2 };
const SEARCH: core.SearchRequest = {
  area: AREA,
  cameraHeightM: 1,
  shots: [],
  timesMs: [0],
  kits: [
    {
      sensor: SENSOR,
      iso: { base: 100, good: 800, usable: 1600, last: 3200 },
      fastestShutterS: 1 / 4000,
      lens: LENS,
      orientation: 'level',
      stabilisationStops: 0,
      support: 'hand',
    },
  ],
  site: {
    place: PLACE,
    sky: 'clear',
    groundReflectance: 0.2,
    obstacles: [],
    limits: [],
    keepAwayM: 1,
    lampLux: 0,
  },
};

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
  [
    'point.longitudeDeg 181:',
    () =>
      core.toLocal({ latitudeDeg: 53, longitudeDeg: 181 }, { latitudeDeg: 53, longitudeDeg: 0 }),
  ],
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
  ['stepS 0:', () => core.seriesTimes({ scene: undefined as never, fromMs: 0, toMs: 9, stepS: 0 })],
  ['toMs 0:', () => core.seriesTimes({ scene: undefined as never, fromMs: 0, toMs: 0, stepS: 60 })],
  // A background in the plane of focus, a subject inside the focal length, a detail of nothing.
  [
    'backgroundM 0:',
    () => core.backgroundBlur({ focalMm: 200, aperture: 4, subjectM: 10, backgroundM: 0 }),
  ],
  [
    'subjectM 0.1:',
    () => core.backgroundBlur({ focalMm: 200, aperture: 4, subjectM: 0.1, backgroundM: 20 }),
  ],
  [
    'backgroundM beyond subjectM, blur at f/1 0:',
    () => core.apertureForBlur({ focalMm: 200, subjectM: 10, backgroundM: 10, discMm: 1 }),
  ],
  [
    'detailM 0:',
    () =>
      core.backdropVerdict({
        focalMm: 200,
        aperture: 4,
        subjectM: 10,
        backgroundM: 20,
        detailM: 0,
      }),
  ],
  ['subjectLengthM 0:', () => core.tiltTolerance({ depthM: 1, subjectLengthM: 0 })],
  ['visibilityM 0:', () => core.hazeContrast({ distanceM: 100, visibilityM: 0 })],
  ['aperture 0:', () => core.diffraction({ aperture: 0, pixelPitchMm: 0.004 })],
  ['focalMm 0:', () => core.meshThrough({ ...MESH, focalMm: 0 })],
  ['fenceM 30:', () => core.meshThrough({ ...MESH, fenceM: 30 })],
  ['pitchMm 3:', () => core.meshThrough({ ...MESH, pitchMm: 3 })],
  ['closestM 0:', () => core.pan({ ...PAN, closestM: 0 })],
  ['skillSigma -0.1:', () => core.pan({ ...PAN, skillSigma: -0.1 })],
  ['toM -5:', () => core.panArc({ closestM: 10, fromM: 0, toM: -5 })],
  ['chance 2:', () => core.framesForNineInTen(2)],
  ['toleranceMs 0:', () => core.apexWindow({ toleranceMs: 0 })],
  ['fps 0:', () => core.burst({ fps: 0, windowS: 1, speedMs: 1 })],
  ['sweepRad 7:', () => core.wingTipSpeed({ beatsPerS: 5, sweepRad: 7, lengthM: 0.4 })],
  [
    'heightShare 2:',
    () =>
      core.rollingShutterSkew({
        imageSpeedMmS: 1,
        readoutS: 0.02,
        frameHeightMm: 24,
        heightShare: 2,
      }),
  ],
  ['pan.part tail:', () => core.freezeShutter({ ...MOTION, pan: { part: 'tail', rateError: 0 } })],
  ['modulation 1:', () => core.flicker({ mainsHz: 50, modulation: 1, shutterS: 0.01 })],
  ['mainsHz 0:', () => core.flickerFreeShutters({ mainsHz: 0, longestS: 1 })],
  ['reflectances of length 0:', () => core.meterError({ reflectances: [] })],
  [
    'reflectances[0].share 0:',
    () => core.meterError({ reflectances: [{ share: 0, reflectance: 0.2 }] }),
  ],
  ['school luck:', () => core.whiteScene({ meterErrorStops: 2, school: 'luck' as 'texture' })],
  ['transmittance 2:', () => core.underCanopy(DAY, 2)],
  ['relativeHumidityPct 0:', () => core.dewPoint({ temperatureC: 20, relativeHumidityPct: 0 })],
  [
    'relativeHumidityPct 120:',
    () => core.heatIndex({ temperatureC: 30, relativeHumidityPct: 120 }),
  ],
  ['windKmh -1:', () => core.windChill({ temperatureC: 0, windKmh: -1 })],
  ['fileMb 0:', () => core.buffer({ bufferMb: 1000, fps: 10, fileMb: 0, writeMbS: 100 })],
  ['frames -1:', () => core.cardsFor({ frames: -1, fileMb: 30, cardGb: 64 })],
  ['temperatureC -60:', () => core.coldShare(-60)],
  ['trials 0:', () => core.wilsonInterval({ successes: 0, trials: 0 })],
  ['successes 5:', () => core.wilsonInterval({ successes: 5, trials: 4 })],
  ['frames of length 0:', () => core.panSigma({ frames: [] })],
  ['visits 1.5:', () => core.visitsPerHour({ visits: 1.5, hours: 1 })],
  ['profile of length 0:', () => core.horizonAltitude([], 0)],
  [
    'altitudeDeg 95:',
    () => core.sunCrossings({ date: '2027-04-16', timeZone: 'UTC', altitudeDeg: 95, ...PLACE }),
  ],
  ['origin.latitudeDeg 90:', () => core.toLocal(PLACE, { latitudeDeg: 90, longitudeDeg: 0 })],
  [
    'level distance from camera to subject 0:',
    () => core.sightBlocks(CAMERA.position, { ...CAMERA.position, z: 9 }, []),
  ],
  [
    'topDistanceM 5:',
    () => core.clearingHeight({ headM: 1.8, headDistanceM: 10, topM: 8, topDistanceM: 5 }),
  ],
  [
    'angle of the sun off the fence\u2019s face 90:',
    () => core.postShadeWidth({ widthM: 0.1, fenceBearingDeg: 0, sunAzimuthDeg: 0 }),
  ],
  [
    'lengthM 0:',
    () => core.throwSector({ kind: 'shot', origin: CAMERA.aim, bearingDeg: 0, lengthM: 0 }),
  ],
  [
    'area of the pen of length 0:',
    () => core.refusals(CAMERA.aim, [{ name: 'the pen', keep: 'out', area: [] }]),
  ],
  ['meterErrors of length 0:', () => core.exposureMode({ ...MODE, meterErrors: [] })],
  ['unevennessStops -1:', () => core.exposureMode({ ...MODE, unevennessStops: -1 })],
  ['zones of length 0:', () => core.unevenness([], 0)],
  ['zones of length 0:', () => new core.LightModel({ zones: [] })],
  ['walkSpeedMs 0:', () => core.planDay([], [{ id: 'a', x: 0, y: 0 }], 0, { secondCallMs: 0 })],
  ['positions of length 0:', () => core.planDay([], [], 1.4, { secondCallMs: 0 })],
  ['area.stepM 0:', () => core.searchPositions({ ...SEARCH, area: { ...AREA, stepM: 0 } })],
  ['area.maxX -1:', () => core.searchPositions({ ...SEARCH, area: { ...AREA, maxX: -1 } })],
  [
    'cells of area 1000000:',
    () => core.searchPositions({ ...SEARCH, area: { ...AREA, stepM: 0.01 } }),
  ],
  ['timesMs of length 0:', () => core.searchPositions({ ...SEARCH, timesMs: [] })],
  ['shots of length 0:', () => core.searchPositions(SEARCH)],
];

test.each(CASES)('%s is refused with what is allowed', (start, call) => {
  expect(call).toThrow(RangeError);
  expect(call).toThrow(new RegExp(`^${start.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')} must be `));
});
