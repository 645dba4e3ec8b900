import { skySeen } from '../site/sky-view';
import { alongBearing } from '../site/vector';
import { cosineOfIncidence } from './daylight';
import {
  lightOnSubject,
  lightSeries,
  momentsWithin,
  shortSpans,
  sunOnFace,
  type LitScene,
} from '.';

const PLACE = { latitudeDeg: 53.12, longitudeDeg: -1.87 };
const WEST_WALL = {
  footprint: [
    { x: -20, y: -500 },
    { x: -19, y: -500 },
    { x: -19, y: 500 },
    { x: -20, y: 500 },
  ],
  heightM: 10,
};
const scene: LitScene = {
  place: PLACE,
  sky: 'clear',
  groundReflectance: 0.2,
  obstacles: [],
  target: { x: 0, y: 0, z: 1.5 },
  faceAzimuthDeg: 270,
  lampLux: 0,
};
const at = (clock: string) => Date.parse(`2027-04-16T${clock}:00+01:00`);

test('an evening face to the west is front lit; to the east it is 2 stops or more darker', () => {
  const west = lightOnSubject(scene, at('18:30')).ev.expected;
  const east = lightOnSubject({ ...scene, faceAzimuthDeg: 90 }, at('18:30')).ev.expected;
  expect(west - east).toBeGreaterThan(2);
});

test('a stand to the west takes the sun when it sinks behind it, and some sky with it', () => {
  const shaded = { ...scene, obstacles: [WEST_WALL] };
  // Top at 8.5 m over the face, 19 m away: 24.1°. The sun is at 29° at 16:55, at 15° at 18:30.
  expect(lightOnSubject(shaded, at('16:55')).sunlit).toBe(true);
  const evening = lightOnSubject(shaded, at('18:30'));
  expect(evening.sunlit).toBe(false);
  expect(evening.skyView).toBeLessThan(0.4);
  expect(evening.ev.expected).toBeLessThan(lightOnSubject(scene, at('18:30')).ev.expected - 2);
});

test('lamps add to the day and then rule: 245 lx is EV 6.6 in the dark', () => {
  const lit = { ...scene, lampLux: 245, lampsFromMs: at('20:00') };
  expect(lightOnSubject(lit, at('19:59')).lampLux).toBe(0);
  expect(lightOnSubject(lit, at('23:30')).ev.expected).toBeCloseTo(6.61, 2);
});

test('the range: none when clear, sun in and out when broken, a spread when overcast', () => {
  const spread = (sky: LitScene['sky']) => {
    const { ev } = lightOnSubject({ ...scene, sky }, at('17:00'));
    return { under: ev.expected - ev.low, over: ev.high - ev.expected };
  };
  expect(spread('clear')).toEqual({ under: 0, over: 0 });
  expect(spread('partly').under).toBeGreaterThan(0);
  expect(spread('partly').over).toBeGreaterThan(0.5);
  expect(spread('overcast').under).toBeCloseTo(0.75, 9);
});

test('polar night has light to compute and no events to invent', () => {
  const polar = { ...scene, place: { latitudeDeg: 78.2, longitudeDeg: 15.6 } };
  const { ev, sunlit } = lightOnSubject(polar, Date.parse('2027-12-21T12:00:00Z'));
  expect(Number.isFinite(ev.expected)).toBe(true);
  expect(sunlit).toBe(false);
});

describe('a series', () => {
  const hours = { startMs: at('18:00'), endMs: at('21:00') };
  const series = lightSeries({ scene, fromMs: at('18:00'), toMs: at('21:00'), stepS: 60 });
  test('has a value a minute, both ends included, none far from its neighbour', () => {
    expect(series.timeMs).toHaveLength(181);
    expect(series.timeMs[180]).toBe(at('21:00'));
    const steps = series.ev.slice(1).map((value, i) => Math.abs(value - (series.ev[i] ?? NaN)));
    expect(Math.max(...steps)).toBeLessThan(0.5);
  });
  test('is short where it crosses the need, and says how long and by how much at worst', () => {
    const [span, ...more] = shortSpans(momentsWithin(series, hours), 8);
    const first = series.timeMs.indexOf(span?.fromMs ?? NaN);
    expect(more).toEqual([]);
    expect(series.ev[first]).toBeLessThan(8 - 1 / 6);
    expect(series.ev[first - 1]).toBeGreaterThanOrEqual(8 - 1 / 6);
    expect(span?.worst.stops).toBeCloseTo(8 - Math.min(...series.ev), 9);
    expect(span).toMatchObject({ toTheEnd: true, toMs: at('21:00') });
  });
  test('only the hours asked for count', () => {
    const early = { startMs: at('18:00'), endMs: at('18:30') };
    expect(momentsWithin(series, early)).toHaveLength(31);
    expect(shortSpans(momentsWithin(series, early), 8)).toEqual([]);
  });
  test('a passing shade is a stretch of its own; less than half a click is none', () => {
    const spans = (...evs: number[]) =>
      shortSpans(
        evs.map((ev, timeMs) => ({ timeMs, ev })),
        8,
      );
    expect(spans(10, 5, 6, 10, 7)).toEqual([
      { fromMs: 1, toMs: 2, worst: { timeMs: 1, stops: 3 }, toTheEnd: false },
      { fromMs: 4, toMs: 4, worst: { timeMs: 4, stops: 1 }, toTheEnd: true },
    ]);
    expect(spans(7.9, 8)).toEqual([]);
    expect(spans()).toEqual([]);
  });
});

test('leaves take their share of the sun, and the light under them is told from fleck to shade', () => {
  const time = at('18:30');
  const { sun } = lightOnSubject(scene, time);
  const toward = alongBearing(sun.azimuthDeg, sun.altitudeDeg);
  const along = (m: number, aside: number) => ({
    x: toward.x * m + aside * toward.y,
    y: toward.y * m - aside * toward.x,
    z: 1.5 + toward.z * m,
  });
  // Across the line to the sun 3 m before the face: straight through its middle, 40 % are left.
  const bough = {
    ...{ id: 'b', from: along(3, -2), to: along(3, 2), woodM: 1e-9, leafRadiusM: 0.4 },
    leafTakes: Array<number>(12).fill(0.6),
  };
  const under = lightOnSubject({ ...scene, boughs: [bough] }, time);
  const open = lightOnSubject(scene, time);
  const shade = lightOnSubject({ ...scene, obstacles: [WEST_WALL] }, time);
  expect(open.sunShare).toBe(1);
  expect(shade.sunShare).toBe(0);
  expect(under.sunShare).toBeCloseTo(0.4, 3);
  expect(under.sunlit).toBe(false);
  const direct = open.daylight.directNormalLux * cosineOfIncidence(sun, scene.faceAzimuthDeg, 90);
  const ofSky = open.daylight.diffuseHorizontalLux * (open.skyView - under.skyView);
  expect(open.daylightLux - under.daylightLux).toBeCloseTo(0.6 * direct + ofSky, -1);
  // A fleck is the open sun but for that bit of sky; between them lies all of the shade.
  expect(under.ev.high).toBeCloseTo(open.ev.expected, 1);
  expect(under.ev.high).toBeLessThan(open.ev.expected);
  expect(under.ev.low).toBeLessThan(under.ev.expected);
  expect(under.ev.high - under.ev.low).toBeGreaterThan(2);
  const thin = { ...bough, leafTakes: Array<number>(12).fill(0.45) };
  expect(lightOnSubject({ ...scene, boughs: [thin] }, time).sunlit).toBe(true);
  // They take of the sky too, which is all there is under cloud: some hundredths, as the sun is a part of it.
  expect(under.skyView).toBe(
    skySeen(scene.target, scene.faceAzimuthDeg, { ...scene, boughs: [bough] }, 4),
  );
  expect(under.skyView / open.skyView).toBeGreaterThan(0.9);
  expect(under.skyView / open.skyView).toBeLessThan(0.995);
  const grey = { ...scene, sky: 'overcast' } as const;
  const [bare, leaved] = [grey, { ...grey, boughs: [bough] }].map((lit) =>
    lightOnSubject(lit, time),
  );
  expect((bare?.daylightLux ?? 0) - (leaved?.daylightLux ?? 0)).toBeCloseTo(
    (bare?.daylight.diffuseHorizontalLux ?? 0) * (open.skyView - under.skyView),
    6,
  );
  const facing = { ...scene, viewAltitudeDeg: 0 };
  expect(sunOnFace({ ...facing, boughs: [bough] }, time)).toBe('shade');
  expect(sunOnFace({ ...facing, boughs: [thin] }, time)).toBe(sunOnFace(facing, time));
});
