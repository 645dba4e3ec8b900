import fc from 'fast-check';
import { ev as evOf } from '../quantity';
import { exposureMode, settingsCard, type CardLight, type ExposureRequest } from '.';

const MINUTE = 60_000;
const REQUEST: Omit<ExposureRequest, 'ev'> = {
  demands: { shutterS: 1 / 1000, shutterRuledBy: { by: 'part', part: 'head' }, liftStops: 1 },
  camera: {
    iso: { base: 100, good: 3200, usable: 6400, last: 25_600 },
    fastestShutterS: 2 ** -13,
  },
  lens: { widestAperture: 2.8, smallestAperture: 22 },
  school: 'balanced',
};
const lightOf = (evs: readonly number[], lampsFrom = Infinity): CardLight[] =>
  evs.map((ev, i) => ({
    timeMs: i * MINUTE,
    ev: { low: ev, expected: ev, high: ev },
    lampsRule: i >= lampsFrom,
  }));
const card = (evs: readonly number[], lampsFrom?: number) =>
  settingsCard({ series: lightOf(evs, lampsFrom), request: REQUEST });
const ramp = (from: number, to: number, minutes: number) =>
  Array.from({ length: minutes + 1 }, (_, i) => from + ((to - from) * i) / minutes);

test('steady light is one row without a turn', () => {
  const { rows, short, tooDark } = card(ramp(10, 10, 60));
  expect(rows).toHaveLength(1);
  expect(rows[0]).toMatchObject({ fromMs: 0, toMs: 60 * MINUTE, turns: [] });
  expect(short).toEqual([]);
  expect(tooDark).toEqual([]);
});

test('a wobble of a quarter stop asks for nothing, nor does a cloud of two minutes', () => {
  const wobble = Array.from({ length: 90 }, (_, i) => 10 + 0.15 * Math.sin(i));
  expect(card(wobble).rows).toHaveLength(1);
  const cloud = ramp(10, 10, 60).map((ev, i) => (i === 20 || i === 21 ? 8.5 : ev));
  expect(card(cloud).rows).toHaveLength(1);
});

test('a stop of dusk is two to four rows, each a click or two, never turned back', () => {
  const { rows } = card(ramp(10, 9, 30));
  expect(rows.length).toBeGreaterThan(2);
  expect(rows.length).toBeLessThan(6);
  for (const { turns } of rows.slice(1)) {
    expect(turns).toHaveLength(1);
    expect(turns[0]?.dial).toBe('iso');
    expect(turns[0]?.clicks).toBeGreaterThan(0);
    expect(turns[0]?.clicks).toBeLessThan(3);
  }
});

test('whatever the light does slowly, the frame stays within half a stop while levers can follow', () => {
  const walk = fc.array(fc.double({ min: -0.06, max: 0.06, noNaN: true }), {
    minLength: 30,
    maxLength: 120,
  });
  fc.assert(
    fc.property(walk, (steps) => {
      let ev = 9;
      const evs = steps.map((step) => (ev += step));
      const { rows } = card(evs);
      evs.forEach((expected, i) => {
        const row = rows.findLast(({ fromMs }) => fromMs <= i * MINUTE);
        const settings = row?.settings as NonNullable<typeof row>['settings'];
        expect(Math.abs(expected - (evOf(settings) - settings.liftStops))).toBeLessThan(0.51);
      });
    }),
  );
});

test('a filter goes on and off by its own stops, told in clicks', () => {
  // A pan at noon: nothing else takes up three stops.
  const demands = { ...REQUEST.demands, shutterS: 1 / 15 };
  const series = lightOf([...ramp(12, 12, 10), ...ramp(15, 15, 10)]);
  const request = { ...REQUEST, demands, filters: [3], held: { shutterS: 1 / 15 } };
  const { rows } = settingsCard({ series, request });
  const filters = rows.flatMap(({ turns }) => turns.filter(({ dial }) => dial === 'filter'));
  expect(filters.map(({ clicks }) => clicks)).toEqual([9]);
});

test('rows follow on each other and cover the shoot', () => {
  const { rows } = card(ramp(13, 4, 120));
  rows.slice(1).forEach((row, i) => expect(row.fromMs).toBe(rows[i]?.toMs));
  expect(rows.at(-1)?.toMs).toBe(120 * MINUTE);
});

test('lamps taking over, short spans and darkness are named', () => {
  const dusk = card(ramp(9, 2, 70), 40);
  expect(dusk.lampsTakeOverMs).toBe(40 * MINUTE);
  expect(dusk.short).toHaveLength(1);
  expect(dusk.short[0]?.toMs).toBe(70 * MINUTE);
  expect(card(ramp(9, 9, 5), 0).lampsTakeOverMs).toBeUndefined();
  const slow = { ...REQUEST, demands: { ...REQUEST.demands, liftStops: 0 } };
  const night = settingsCard({ series: lightOf(ramp(-8, -16, 20)), request: slow });
  expect(night.tooDark.length).toBe(1);
});

test('times out of order and an empty series are refused', () => {
  expect(() => settingsCard({ series: [], request: REQUEST })).toThrow('series of length 0');
  const [a, b] = lightOf([9, 9]) as [CardLight, CardLight];
  expect(() => settingsCard({ series: [b, a], request: REQUEST })).toThrow('series[1].timeMs');
});

describe('the mode', () => {
  const mode = (unevennessStops: number, variabilityStops: number, meterErrors = [0, 0.3]) =>
    exposureMode({ unevennessStops, variabilityStops, meterErrors });
  test('steady and even: manual', () => expect(mode(0.7, 0.5).mode).toBe('manual'));
  test('it is set once only where the light stays through the shoot, and even only where it is sure', () => {
    const why = (throughStops: number, unsureStops = 0) =>
      exposureMode({
        ...{ unevennessStops: 0, variabilityStops: 0.1, meterErrors: [0] },
        ...{ throughStops, unsureStops },
      }).why;
    expect(why(0.2)).toEqual({ kind: 'setOnce', steadyStops: 0.1, evenStops: 0 });
    expect(why(5)).toEqual({ kind: 'turnAsItGoes', evenStops: 0, throughStops: 5 });
    expect(why(0.2, 0.4)).toMatchObject({ kind: 'setOnce', evenStops: 0.4 });
    expect(why(1 / 3).kind).toBe('setOnce');
  });
  test('three stops and more, or unforeseeable: automatic ISO, and it says why', () => {
    expect(mode(3.3, 0.2)).toMatchObject({
      mode: 'autoIso',
      why: { kind: 'tooManyClicks', unevennessStops: 3.3, clicks: 10 },
    });
    expect(mode(0.5, 2)).toMatchObject({
      mode: 'autoIso',
      why: { kind: 'unforeseen', variabilityStops: 2 },
    });
  });
  test('where a meter is fooled by more than zones differ: clicks by hand', () => {
    expect(mode(1.5, 0.2, [-0.5, 2.2]).mode).toBe('manual');
    expect(mode(1.5, 0.2).mode).toBe('autoIso');
  });
  test('a sun pocket: manual for the sun', () => {
    expect(
      exposureMode({ unevennessStops: 4, variabilityStops: 0, meterErrors: [0], sunPocket: true })
        .mode,
    ).toBe('manualForSun');
  });
  test('light that changes over what hardly moves: aperture priority', () => {
    const advice = exposureMode({
      unevennessStops: 0.5,
      variabilityStops: 2,
      meterErrors: [0],
      timeMatters: false,
    });
    expect(advice).toMatchObject({ mode: 'aperturePriority', why: { kind: 'unforeseen' } });
  });
  test('compensation is the middle of the meter errors', () => {
    expect(mode(1, 0, [2, 1, 1.5]).compensationStops).toBe(1.5);
    expect(mode(1, 0, [1, 2]).compensationStops).toBe(1.5);
  });
});
