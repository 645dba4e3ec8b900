import { DEMO_SHOOTS } from '@/demo';
import { faceSpans, type FaceSpan } from '@/core';
import { sceneOf, viewOf } from '@/answers/view';
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
