/**
 * Readings as a field: the Gaussian process written out again from Rasmussen & Williams 2006, Gaussian
 * Processes for Machine Learning, equations 2.23 and 2.24 (from memory), its matrix solved by the
 * registry's ml-matrix; and what readings have to do at a venue (common practice, no source).
 */
import { inverse, Matrix } from 'ml-matrix';
import {
  correctedLight,
  exposureMode,
  frameReading,
  LightModel,
  lightOnSubject,
  meterReading,
  offsetField,
  unevenness,
  type FieldReading,
  type LitScene,
} from '@/core';

const T0 = Date.parse('2027-04-16T20:00:00Z');
const HOUR = 3_600_000;

/** The covariance as the handbook describes it: 1 stop shared, half a stop local over 12 m. */
function covariance(a: Omit<FieldReading, 'offsetStops' | 'sigmaStops'>, b: typeof a): number {
  const hours = Math.abs(a.timeMs - b.timeMs) / HOUR;
  const fades = { sun: 1.5, shade: 1, overcast: 0.5, twilight: 0.5, lamps: 200 };
  let same = 0;
  for (const [kind, after] of Object.entries(fades)) {
    const [p, q] = [a.kinds[kind as 'sun'] ?? 0, b.kinds[kind as 'sun'] ?? 0];
    same += Math.sqrt(p * q) * Math.exp(-hours / after);
  }
  const alike = 0.15 * Math.exp(-hours) + 0.85 * same;
  const apart = Math.hypot(a.x - b.x, a.y - b.y);
  return alike * (1 + 0.25 * Math.exp(-apart / 12));
}

test('means and errors are those of an independent implementation', () => {
  const readings: readonly FieldReading[] = [
    { x: 0, y: 0, timeMs: T0, kinds: { lamps: 1 }, offsetStops: -0.4, sigmaStops: 0.1 },
    {
      x: 25,
      y: 4,
      timeMs: T0 + HOUR,
      kinds: { lamps: 0.7, twilight: 0.3 },
      offsetStops: 0.9,
      sigmaStops: 0.3,
    },
    { x: -30, y: 12, timeMs: T0 - HOUR, kinds: { shade: 1 }, offsetStops: 1.6, sigmaStops: 0.2 },
    { x: 8, y: -9, timeMs: T0, kinds: { lamps: 0.4, sun: 0.6 }, offsetStops: 0.2, sigmaStops: 0.1 },
  ];
  const field = offsetField(readings);
  const noisy = new Matrix(
    readings.map((a, i) =>
      readings.map((b, j) => covariance(a, b) + (i === j ? a.sigmaStops ** 2 : 0)),
    ),
  );
  const solved = inverse(noisy);
  const said = Matrix.columnVector(readings.map(({ offsetStops }) => offsetStops));
  for (const point of [
    { x: 0, y: 0, timeMs: T0, kinds: { lamps: 1 } },
    { x: 12, y: 3, timeMs: T0 + HOUR / 2, kinds: { lamps: 0.8, twilight: 0.2 } },
    { x: 300, y: 0, timeMs: T0 + 9 * HOUR, kinds: { sun: 1 } },
  ]) {
    const k = Matrix.rowVector(readings.map((reading) => covariance(point, reading)));
    const mean = k.mmul(solved).mmul(said).get(0, 0);
    const variance = covariance(point, point) - k.mmul(solved).mmul(k.transpose()).get(0, 0);
    const at = field.at(point);
    expect(at.offsetStops).toBeCloseTo(mean, 9);
    expect(at.sigmaStops).toBeCloseTo(Math.sqrt(variance), 6);
  }
});

const scene = (x: number, change: Partial<LitScene> = {}): LitScene => ({
  place: { latitudeDeg: 53.12, longitudeDeg: -1.87 },
  sky: 'clear',
  groundReflectance: 0.4,
  obstacles: [],
  target: { x, y: 0, z: 1.5 },
  faceAzimuthDeg: 200,
  indoors: true,
  lampLux: 300,
  ...change,
});
const hall = (...xs: readonly number[]) => xs.map((x, i) => ({ id: `${i}`, scene: scene(x) }));

test('readings 7.3, 6.3 and 5.7 at three marks give back each, and five clicks', () => {
  const zones = hall(-14, 0, 14);
  const readings = [7.3, 6.3, 5.7].map((ev, i) => meterReading({ timeMs: T0, zone: `${i}`, ev }));
  const model = new LightModel({ zones, readings });
  [7.3, 6.3, 5.7].forEach((ev, i) => {
    expect(Math.abs(model.at(`${i}`, T0).ev.expected - ev)).toBeLessThan(0.15);
  });
  expect(unevenness(model.zoneLights(), T0).clicks).toBe(5);
});

test('a forest frame of 1/40 f/4 ISO 800 that looked right plans EV 6.3 there at that hour', () => {
  // Under a closed wood at noon; the forecast knows of the wood only as a wall of trees.
  const noon = Date.parse('2027-06-10T11:00:00Z');
  const wood = scene(0, { indoors: false, lampLux: 0, groundReflectance: 0.05, sky: 'partly' });
  const said = frameReading({
    shutterS: 1 / 40,
    aperture: 4,
    iso: 800,
    looksDarkStops: 0,
    timeMs: noon,
    zone: '0',
  });
  expect(Math.abs(lightOnSubject(wood, noon).ev.expected - 6.3)).toBeGreaterThan(3);
  const model = new LightModel({ zones: [{ id: '0', scene: wood }], readings: [said] });
  expect(Math.abs(model.at('0', noon).ev.expected - 6.3)).toBeLessThan(0.3);
  // With a forecast off by three stops, as when the wood is drawn, it is within two tenths.
  const drawn = { ...wood, sky: 'overcast' as const };
  const off = lightOnSubject(drawn, noon).ev.expected - said.ev;
  const planned = new LightModel({ zones: [{ id: '0', scene: drawn }], readings: [said] });
  expect(Math.abs(planned.at('0', noon).ev.expected - said.ev) / Math.abs(off)).toBeLessThan(0.04);
});

test('a meter and a frame at two ends of a hall are never called even within nothing', () => {
  const readings = [
    meterReading({ timeMs: T0, zone: '0', ev: 6.9 }),
    frameReading({
      shutterS: 1 / 500,
      aperture: 2.8,
      iso: 3200,
      looksDarkStops: 0,
      timeMs: T0,
      zone: '1',
    }),
  ];
  const model = new LightModel({ zones: hall(-20, 20), readings });
  const unsure = model.apartStops('0', '1', T0);
  expect(unsure).toBeGreaterThan(0.15);
  const { spreadStops } = unevenness(model.zoneLights(), T0);
  const { why } = exposureMode({
    unevennessStops: spreadStops,
    unsureStops: unsure,
    variabilityStops: 0.2,
    meterErrors: [0],
  });
  expect(why).toMatchObject({ kind: 'setOnce' });
  expect(why.kind === 'setOnce' && why.evenStops).toBeGreaterThanOrEqual(unsure);
});

test('two readings of one place that disagree widen it; two that agree narrow it', () => {
  const at = (...evs: readonly number[]) =>
    new LightModel({
      zones: hall(0),
      readings: evs.map((ev) => meterReading({ timeMs: T0, zone: '0', ev })),
    }).at('0', T0);
  expect(at(6.5, 6.5).sigmaStops).toBeLessThan(at(6.5).sigmaStops);
  expect(at(6, 7).sigmaStops).toBeGreaterThan(3 * at(6.5).sigmaStops);
  expect(Math.abs(at(6, 7).ev.expected - 6.5)).toBeLessThan(0.1);
});

test('a mark 60 m off moves by what the venue shares and no more', () => {
  const model = new LightModel({
    zones: hall(0, 60),
    readings: [meterReading({ timeMs: T0, zone: '0', ev: 5.9 })],
  });
  const [here, far] = ['0', '1'].map((zone) => model.at(zone, T0).offsetStops);
  // Shared 1 stop, local a half, error a tenth: 1/(1 + 0.25 + 0.01) of what was read.
  expect((far ?? NaN) / ((here ?? NaN) / (1.25 / 1.26))).toBeCloseTo(1 / 1.26, 2);
});

test('a reading at a mark is that mark’s light within its error', () => {
  const heard = [{ timeMs: T0, ev: 4.2, sigmaStops: 0.1, scene: scene(0) }];
  const { ev } = correctedLight(scene(0), heard)(T0);
  expect(Math.abs(ev.expected - 4.2)).toBeLessThan(0.1);
});
