import { DEMO_SHOOTS } from '@/demo';
import { faceSpans, type FaceSpan } from '@/core';
import { sceneOf, viewOf } from '@/answers/view';
import {
  bestMornings,
  forecastDays,
  forecastMornings,
  morningsOf,
  reasonsInWords,
  seasonInWords,
} from './mornings';
import { calendarDay, calendarOf, dayInWords, facedScene, sunAtShare, yearInWords } from './when';

const [larkmoor] = DEMO_SHOOTS;
const HOUR_MS = 3.6e6;

test('a calendar has three days of each month, each from midnight to midnight by its own clocks', () => {
  const days = calendarOf('2027-04-16', 'Europe/London');
  expect(days).toHaveLength(36);
  expect(days.slice(0, 4).map(({ name }) => name)).toEqual(['1 Jan', '11 Jan', '21 Jan', '1 Feb']);
  // British clocks went to summer time by then: midnight there is 23:00 the day before by UTC.
  expect(new Date(days[12]?.fromMs ?? 0).toISOString()).toBe('2027-04-30T23:00:00.000Z');
});

test('the day clocks go forward has 23 hours', () => {
  const { fromMs, toMs } = calendarDay('2027-03-28', 'Europe/London');
  expect((toMs - fromMs) / HOUR_MS).toBe(23);
});

const span = (fromH: number, toH: number, sun: FaceSpan['sun']): FaceSpan => ({
  fromMs: fromH * HOUR_MS,
  toMs: toH * HOUR_MS,
  sun,
});
const clock = (ms: number) => `${String(ms / HOUR_MS).padStart(2, '0')}:00`;

test('a day in words leaves the night out', () => {
  const day = [
    span(0, 5, 'dark'),
    span(5, 6, 'twilight'),
    span(6, 9, 'front'),
    span(9, 24, 'dark'),
  ];
  expect(dayInWords(day, clock)).toEqual(['05:00 to 06:00 twilight', '06:00 to 09:00 front light']);
});

test('one hour through the year is told in runs of days', () => {
  const days = ['1 Jan', '11 Jan', '21 Jan'].map((name) => ({
    date: '2027-01-01',
    name,
    fromMs: 0,
    toMs: 24 * HOUR_MS,
  }));
  const low = [span(0, 24, 'twilight')];
  const high = [span(0, 12, 'shade'), span(12, 24, 'front')];
  expect(yearInWords(days, [low, high, high], 0.75)).toBe(
    '1 Jan twilight; 11 Jan to 21 Jan front light',
  );
  expect(sunAtShare({ fromMs: 0, toMs: 24 * HOUR_MS }, high, 0.25)).toBe('shade');
});

test('at Larkmoor the evening of the shoot agrees with what the plan says then', () => {
  const shoot = larkmoor as (typeof DEMO_SHOOTS)[number];
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  const scene = facedScene(seen.view, sceneOf(seen.view, shoot.features));
  const day = calendarDay(shoot.startLocal.slice(0, 10), shoot.place.timeZone);
  const spans = faceSpans(scene, day, 300_000);
  const share = (18 + 50 / 60) / 24;
  expect(sunAtShare(day, spans, share)).toBe('front');
  expect(sunAtShare(day, spans, 22.5 / 24)).toBe('dark');
});

describe('mornings', () => {
  const days = calendarOf('2027-04-16', 'UTC');
  const fromHours = (
    day: { fromMs: number },
    spans: readonly (readonly [number, number, FaceSpan['sun']])[],
  ) =>
    spans.map(([from, to, sun]) => ({
      ...{ fromMs: day.fromMs + from * HOUR_MS, toMs: day.fromMs + to * HOUR_MS, sun },
    }));
  // April to September from 06:00 in front light, an hour of it in shade but for June; in winter the sun is up at 09:00.
  const found = days.map((day, i) => {
    if (i < 9 || i > 26)
      return fromHours(day, [
        [0, 8, 'dark'],
        [8, 9, 'twilight'],
        [9, 16, 'front'],
      ]);
    const shadeUntil = i >= 15 && i < 18 ? 6 : 7;
    return fromHours(
      day,
      [
        [0, 5, 'dark'],
        [5, 6, 'twilight'],
        [6, shadeUntil, 'shade'],
        [shadeUntil, 12, 'front'],
      ].filter(([a, b]) => a !== b) as never,
    );
  });
  const mornings = morningsOf(days, found, 'UTC');

  test('front light counts until nine, and what comes later does not', () => {
    expect(mornings[0]).toMatchObject({ name: '1 Jan', frontMin: 0 });
    expect(mornings[10]).toMatchObject({ name: '11 Apr', frontMin: 120 });
    expect(mornings[15]).toMatchObject({ name: '1 Jun', frontMin: 180 });
    expect(
      dayInWords(mornings[10]?.spans ?? [], (ms) => new Date(ms).toISOString().slice(11, 16)),
    ).toEqual([
      ...['05:00 to 06:00 twilight', '06:00 to 07:00 in shade', '07:00 to 09:00 front light'],
    ]);
  });

  test('the weeks are told in runs, with the best day', () => {
    expect(seasonInWords(mornings)).toBe('1 Apr to 21 Sept; most on 1 Jun, 3 h');
    const gap = mornings.map((one) => (one.row === 12 ? { ...one, frontMin: 0 } : one));
    expect(seasonInWords(gap)).toMatch(/^1 Apr to 21 Apr and 11 May to 21 Sept; /);
    expect(seasonInWords(mornings.map((one) => ({ ...one, frontMin: 0 })))).toBe(
      'on no day of the year',
    );
    expect(
      seasonInWords(mornings.map((one) => ({ ...one, frontMin: one.row === 3 ? 40 : 0 }))),
    ).toBe('1 Feb; most on 1 Feb, 40 min');
  });

  test('the best to come are the longest, the soonest first of equal ones, round the year’s end', () => {
    const names = (date: string) => bestMornings(mornings, days, date).map(({ name }) => name);
    expect(names('2027-04-16')).toEqual(['1 Jun', '11 Jun', '21 Jun']);
    expect(names('2027-06-15')).toEqual(['21 Jun', '1 Jun', '11 Jun']);
    expect(names('2027-12-25')).toEqual(['1 Jun', '11 Jun', '21 Jun']);
  });
});

test('the year of a face is asked with the branches that hang there', () => {
  const shoot = larkmoor as (typeof DEMO_SHOOTS)[number];
  const seen = viewOf(shoot);
  if (!seen.ok) throw new Error(seen.trouble.kind);
  const bough = {
    ...{
      id: 'b',
      from: { x: -1, y: 0, z: 3 },
      to: { x: 1, y: 0, z: 3 },
      woodM: 0.03,
      leafRadiusM: 0.3,
    },
    leafTakes: Array<number>(12).fill(0.9),
  };
  const lit = sceneOf(seen.view, []);
  expect(facedScene(seen.view, { ...lit, boughs: [bough] }).boughs).toEqual([bough]);
  expect(facedScene(seen.view, lit)).not.toHaveProperty('boughs');
});

describe('mornings of a forecast', () => {
  /** Three days by the hour: one half clouded, one clear and still, one overcast; the last ends at seven. */
  const hours = Array.from({ length: 56 }, (_, i) => {
    const cloud = [0.5, 0, 1][Math.floor(i / 24)] ?? 0;
    return {
      time: new Date(Date.parse('2027-05-08T00:00:00Z') + i * HOUR_MS).toISOString(),
      ...{ cloudLow: cloud, cloud, cloudHigh: cloud, rainMmH: 0, temperatureC: 8 },
      humidityPct: i >= 24 && i < 31 ? 98 : 70,
      windMs: 1,
    };
  });
  const days = forecastDays({ hours }, 'UTC', '2027-05-08');
  const found = days.map(({ fromMs }) => [
    { fromMs, toMs: fromMs + 5 * HOUR_MS, sun: 'dark' as const },
    { fromMs: fromMs + 5 * HOUR_MS, toMs: fromMs + 6 * HOUR_MS, sun: 'twilight' as const },
    { fromMs: fromMs + 6 * HOUR_MS, toMs: fromMs + 12 * HOUR_MS, sun: 'front' as const },
  ]);

  test('a day is covered up to nine or not at all, from the shoot’s date on', () => {
    expect(days.map(({ date }) => date)).toEqual(['2027-05-08', '2027-05-09']);
    expect(forecastDays({ hours }, 'UTC', '2027-05-09')).toHaveLength(1);
    expect(forecastDays({ hours }, 'UTC', '2027-05-11')).toEqual([]);
  });

  test('the clear morning comes first, with what makes it good', () => {
    const mornings = forecastMornings(days, found, { hours }, 'UTC');
    expect(mornings.map(({ date }) => date)).toEqual(['2027-05-09', '2027-05-08']);
    expect(mornings.map(reasonsInWords)).toEqual([
      '3 h of front light; cloud 0 %; mist likely',
      '3 h of front light; cloud 50 %',
    ]);
  });

  test('a morning without front light says so', () => {
    const shade = days.map(({ fromMs }) => [
      { fromMs: fromMs + 5 * HOUR_MS, toMs: fromMs + 9 * HOUR_MS, sun: 'shade' as const },
    ]);
    expect(forecastMornings(days, shade, { hours }, 'UTC').map(reasonsInWords)).toContain(
      'no front light before 09:00; cloud 50 %',
    );
  });
});
