import fc from 'fast-check';
import {
  FORECAST_SIGMA_STOPS,
  frameReading,
  LightModel,
  lightOnSubject,
  meterReading,
  unevenness,
  type LitScene,
} from '.';
import { kindShares } from './readings';

const T0 = Date.parse('2027-04-16T16:00:00Z');
const MINUTE = 60_000;
const scene = (x: number, change: Partial<LitScene> = {}): LitScene => ({
  place: { latitudeDeg: 53.12, longitudeDeg: -1.87 },
  sky: 'clear',
  groundReflectance: 0.2,
  obstacles: [],
  target: { x, y: 0, z: 1.5 },
  faceAzimuthDeg: 250,
  lampLux: 0,
  ...change,
});
const ZONES = [
  { id: 'west', scene: scene(-20) },
  { id: 'east', scene: scene(20) },
];
const forecast = (zone: string, timeMs: number) =>
  lightOnSubject((ZONES.find(({ id }) => id === zone) as (typeof ZONES)[number]).scene, timeMs).ev
    .expected;
const model = new LightModel({ zones: ZONES });
const reading = (offset: number, atMs = T0, zone = 'west') =>
  meterReading({ timeMs: atMs, zone, ev: forecast(zone, atMs) + offset });

test('without readings it is the forecast, as unsure as its kind of light', () => {
  const light = model.at('west', T0);
  expect(light.ev.expected).toBe(forecast('west', T0));
  expect(light.kind).toBe('sun');
  expect(light.sigmaStops).toBe(FORECAST_SIGMA_STOPS.sun);
  expect(light.ev.low).toBeLessThan(light.ev.expected);
});

test('one reading pulls the forecast most of its way, and makes it surer', () => {
  const light = model.withReading(reading(-1)).at('west', T0);
  expect(light.offsetStops).toBeLessThan(-0.6);
  expect(light.offsetStops).toBeGreaterThan(-1);
  expect(light.sigmaStops).toBeLessThan(FORECAST_SIGMA_STOPS.sun);
});

test('it fades with time, with distance and in another kind of light', () => {
  const read = model.withReading(reading(-1));
  const offset = (zone: string, timeMs: number) => Math.abs(read.at(zone, timeMs).offsetStops);
  expect(offset('west', T0 + 30 * MINUTE)).toBeLessThan(offset('west', T0));
  expect(offset('east', T0)).toBeLessThan(offset('west', T0));
  const dusk = T0 + 4 * 60 * MINUTE;
  expect(read.at('west', dusk).kind).toBe('twilight');
  expect(offset('west', dusk)).toBeLessThan(0.1);
});

test('two readings that agree make it surer; two that disagree widen it', () => {
  const one = model.withReading(reading(-0.5)).at('west', T0).sigmaStops;
  const agreeing = model.withReading(reading(-0.5)).withReading(reading(-0.5)).at('west', T0);
  const torn = model.withReading(reading(-1.5)).withReading(reading(1.5)).at('west', T0);
  expect(agreeing.sigmaStops).toBeLessThan(one);
  expect(torn.sigmaStops).toBeGreaterThan(one * 2);
  expect(Math.abs(torn.offsetStops)).toBeLessThan(0.2);
});

test('one bad reading among four moves the answer by less than a third of a stop', () => {
  const good = [0, 1, 2].reduce((m, i) => m.withReading(reading(-0.4, T0 + i * MINUTE)), model);
  const spoilt = good.withReading(reading(4));
  const moved = spoilt.at('west', T0).offsetStops - good.at('west', T0).offsetStops;
  expect(Math.abs(moved)).toBeLessThan(1 / 3);
});

test('a test frame judged a stop dark is a reading a stop under its triad', () => {
  const triad = { aperture: 2.8, shutterS: 1 / 800, iso: 2000 };
  const dark = frameReading({ ...triad, timeMs: T0, zone: 'west', looksDarkStops: 3 });
  expect(dark.ev).toBeCloseTo(5.29, 2);
  const right = frameReading({ ...triad, timeMs: T0, zone: 'west', looksDarkStops: 0 });
  expect(right.ev - dark.ev).toBe(3);
  // Three stops of filter on the lens: the light was three stops more.
  const filtered = frameReading({
    ...triad,
    ...{ timeMs: T0, zone: 'west', looksDarkStops: 0, lostStops: 3 },
  });
  expect(filtered.ev - right.ev).toBeCloseTo(3, 9);
  expect(dark.sigmaStops).toBeGreaterThan(reading(0).sigmaStops);
});

test('readings of lamps last the whole evening', () => {
  const lit = (x: number) => scene(x, { lampLux: 245 });
  const hall = new LightModel({ zones: [{ id: 'goal', scene: lit(0) }] });
  const night = T0 + 6 * 60 * MINUTE;
  const ev = lightOnSubject(lit(0), night).ev.expected;
  const read = hall.withReading(meterReading({ timeMs: night, zone: 'goal', ev: ev - 0.7 }));
  expect(read.at('goal', night + 90 * MINUTE).offsetStops).toBeLessThan(-0.55);
});

test('what is said is blind to the order it was said in, and mirrors', () => {
  const said = fc.array(fc.double({ min: -3, max: 3, noNaN: true }), {
    minLength: 1,
    maxLength: 6,
  });
  const at = (offsets: readonly number[]) =>
    offsets
      .reduce((m, off, i) => m.withReading(reading(off, T0 + i * MINUTE)), model)
      .at('west', T0);
  fc.assert(
    fc.property(said, (offsets) => {
      const forth = offsets.map((off, i) => reading(off, T0 + i * MINUTE));
      const back = new LightModel({ zones: ZONES, readings: [...forth].reverse() }).at('west', T0);
      expect(back.offsetStops).toBeCloseTo(at(offsets).offsetStops, 6);
      const mirrored = at(offsets.map((off) => -off));
      expect(mirrored.offsetStops).toBeCloseTo(-at(offsets).offsetStops, 6);
    }),
  );
});

test('unevenness counts clicks from the darkest zone', () => {
  const shaded = scene(20, {
    obstacles: [
      {
        heightM: 12,
        footprint: [
          { x: 5, y: -30 },
          { x: 12, y: -30 },
          { x: 12, y: 30 },
          { x: 5, y: 30 },
        ],
      },
    ],
  });
  const ground = new LightModel({ zones: [ZONES[0] as never, { id: 'shade', scene: shaded }] });
  const found = unevenness(ground.zoneLights(), T0 + 90 * MINUTE);
  expect(found.darkest).toBe('shade');
  expect(found.spreadStops).toBeGreaterThan(2);
  expect(found.clicks).toBe(Math.round(found.spreadStops * 3));
  expect(found.zones.find(({ zone }) => zone === 'shade')?.clicks).toBe(0);
});

test('a zone there is none of is refused by name', () => {
  expect(() => model.at('north', T0)).toThrow('zone north: must be one of west, east');
  expect(() =>
    model.withReading(reading(0, T0, 'west')).withReading({ ...reading(0), zone: 'n' }),
  ).toThrow(RangeError);
});

test('light turns from day to twilight between 2° over the horizon and 2° under it, shares adding up to 1', () => {
  const sharesAt = (altitudeDeg: number) =>
    kindShares({
      daylight: { directNormalLux: 100, diffuseHorizontalLux: 400, globalHorizontalLux: 450 },
      sun: { altitudeDeg, azimuthDeg: 270, apparentAltitudeDeg: altitudeDeg },
      ...{ indoors: false, lampLux: 0, sunlit: false },
    });
  expect(sharesAt(5)).toMatchObject({ twilight: 0, shade: 1 });
  expect(sharesAt(0)).toMatchObject({ twilight: 0.5, shade: 0.5 });
  expect(sharesAt(1).twilight).toBeCloseTo(0.25, 12);
  expect(sharesAt(-4)).toMatchObject({ twilight: 1, shade: 0 });
});

test('without readings it is as unsure upwards and downwards as the forecast and its kind', () => {
  const { ev, forecast: said, sigmaStops } = model.at('west', T0);
  expect(ev.high - ev.expected).toBeCloseTo(
    Math.hypot(said.ev.high - said.ev.expected, sigmaStops),
    9,
  );
  expect(ev.expected - ev.low).toBeCloseTo(
    Math.hypot(said.ev.expected - said.ev.low, sigmaStops),
    9,
  );
  expect(ev.high).toBeGreaterThan(ev.expected);
});

// Common practice, no source: sun is known best, a thick sky least.
test('forecasts are as sure as they are said to be', () => {
  expect(FORECAST_SIGMA_STOPS).toEqual({
    ...{ sun: 0.3, shade: 0.6, overcast: 0.75, twilight: 0.5, lamps: 0.7 },
  });
});
