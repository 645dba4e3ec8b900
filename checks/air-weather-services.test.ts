/**
 * Alduchov & Eskridge (1996) dew point; US National Weather Service heat index (Rothfusz 1990) and
 * wind chill (2001) charts. Values quoted from memory of the published tables.
 */
import {
  dewPoint,
  heatIndex,
  lensFog,
  LIGHTNING_WAIT_MINUTES,
  safeAfterThunder,
  windChill,
} from '@/core';

const fahrenheit = (celsius: number) => (celsius * 9) / 5 + 32;
const celsius = (f: number) => ((f - 32) * 5) / 9;
const MILE_KM = 1.609344;

test.each([
  [30, 70, 23.93],
  [20, 100, 20],
  [25, 50, 13.86],
])('%d °C at %d %%: dew point %d °C', (temperatureC, relativeHumidityPct, value) => {
  expect(dewPoint({ temperatureC, relativeHumidityPct })).toBeCloseTo(value, 1);
});

/** The chart's whole degrees Fahrenheit. */
test.each([
  [80, 40, 80],
  [86, 60, 91],
  [90, 70, 106],
  [96, 50, 108],
  [100, 40, 109],
  [82, 90, 91],
  [88, 85, 110],
])('%d °F at %d %%: heat index %d °F', (f, relativeHumidityPct, value) => {
  const index = fahrenheit(heatIndex({ temperatureC: celsius(f), relativeHumidityPct }));
  expect(Math.abs(index - value)).toBeLessThan(1);
});

test('90 °F at 70 % is 105.9 °F to a tenth', () => {
  expect(fahrenheit(heatIndex({ temperatureC: celsius(90), relativeHumidityPct: 70 }))).toBeCloseTo(
    105.9,
    1,
  );
});

test('below 80 °F the heat index is near the air: 70 °F at 50 % within two degrees', () => {
  const index = fahrenheit(heatIndex({ temperatureC: celsius(70), relativeHumidityPct: 50 }));
  expect(Math.abs(index - 70)).toBeLessThan(2);
});

test.each([
  [0, 15, -19],
  [30, 10, 21],
  [-10, 30, -39],
  [40, 5, 36],
])('%d °F in %d mph: wind chill %d °F', (f, mph, value) => {
  const chill = fahrenheit(windChill({ temperatureC: celsius(f), windKmh: mph * MILE_KM }));
  expect(Math.abs(chill - value)).toBeLessThan(0.6);
});

test('warm air and still air have no wind chill', () => {
  expect(windChill({ temperatureC: 15, windKmh: 40 })).toBe(15);
  expect(windChill({ temperatureC: -5, windKmh: 2 })).toBe(-5);
});

test('a lens at 16 °C fogs in 30 °C at 70 % and clears by Newton’s law', () => {
  const fog = lensFog({
    lensC: 16,
    temperatureC: 30,
    relativeHumidityPct: 70,
    timeConstantMinutes: 20,
  });
  expect(fog.fogs).toBe(true);
  // 20·ln(14/6.07), by hand.
  expect(fog.clearInMinutes).toBeCloseTo(16.7, 1);
  expect(lensFog({ lensC: 25, temperatureC: 30, relativeHumidityPct: 70 })).toMatchObject({
    fogs: false,
    clearInMinutes: 0,
  });
  expect(lensFog({ lensC: 5, temperatureC: 12, relativeHumidityPct: 100 }).clearInMinutes).toBe(
    Infinity,
  );
});

test('after thunder: thirty minutes', () => {
  expect(LIGHTNING_WAIT_MINUTES).toBe(30);
  expect(safeAfterThunder(0)).toBe(1_800_000);
});

test('the service adjusts the index in dry heat and in damp warmth', () => {
  const index = (f: number, relativeHumidityPct: number) =>
    fahrenheit(heatIndex({ temperatureC: celsius(f), relativeHumidityPct }));
  // Rothfusz at 82 °F, 95 %: 92.97, and ((95 − 85)/10)·((87 − 82)/5) = 1 more; by hand.
  expect(index(82, 95)).toBeCloseTo(93.97, 1);
  // At 95 °F, 10 %: 90.20, less ((13 − 10)/4)·√((17 − 0)/17) = 0.75; by hand.
  expect(index(95, 10)).toBeCloseTo(89.45, 1);
});
