import { lensAfter } from './air';
import { dewOnLens, type AirStep } from './dew';

const MINUTE_MS = 60_000;
const night = (minutes: number, more: Partial<AirStep> = {}): readonly AirStep[] =>
  Array.from({ length: minutes / 10 + 1 }, (_, i) => ({
    timeMs: i * 10 * MINUTE_MS,
    ...{ temperatureC: 10, relativeHumidityPct: 90, openNight: true, ...more },
  }));

test('a lens comes to the air by Newton’s law: two thirds of the way in one time constant', () => {
  // 1 − 1/e = 0.632 of 10 °C.
  expect(lensAfter(20, 10, 25)).toBeCloseTo(13.679, 3);
  expect(lensAfter(20, 10, 0)).toBe(20);
  expect(lensAfter(5, 5, 90)).toBe(5);
});

test('under a clear night sky it is wet from when it has cooled to the dew point', () => {
  // Dew point at 10 °C and 90 % is 8.44 °C (Magnus); from 15 °C towards 7 °C it is there after
  // 25 · ln(8 / 1.44) = 42.9 minutes: at the next step, the fiftieth.
  const [span, ...more] = dewOnLens(night(120), 15);
  expect(more).toEqual([]);
  expect(span).toEqual({ fromMs: 50 * MINUTE_MS, toMs: 120 * MINUTE_MS });
});

test('under cloud, under a cover, or in dry air it stays clear', () => {
  expect(dewOnLens(night(120, { openNight: false }), 15)).toEqual([]);
  expect(dewOnLens(night(120, { relativeHumidityPct: 60 }), 15)).toEqual([]);
});

test('it dries when the sun has warmed the air', () => {
  const steps = [
    ...night(100),
    ...night(120, { temperatureC: 16, relativeHumidityPct: 60, openNight: false }).map((step) => ({
      ...step,
      timeMs: step.timeMs + 110 * MINUTE_MS,
    })),
  ];
  const spans = dewOnLens(steps, 10);
  expect(spans).toHaveLength(1);
  expect(spans[0]?.toMs).toBeLessThan(130 * MINUTE_MS);
  expect(() => dewOnLens([], 10)).toThrow(/steps/);
});
