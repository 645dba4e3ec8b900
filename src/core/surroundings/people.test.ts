import { heatBand, heatIndex, waterLitres } from '..';

test.each([
  // US National Weather Service heat index chart, quoted from memory: 32 °C (90 °F) at 70 % is danger.
  [32.2, 70, 'danger'],
  [26, 40, 'none'],
  [27.8, 50, 'caution'],
  [32.2, 45, 'extreme caution'],
  [38, 80, 'extreme danger'],
] as const)('%s °C at %s %% is %s', (temperatureC, relativeHumidityPct, band) => {
  expect(heatBand(heatIndex({ temperatureC, relativeHumidityPct }))).toBe(band);
});

test('water grows with heat and hours, in half litres', () => {
  expect(waterLitres(15, 2)).toBe(0.5);
  expect(waterLitres(28, 2)).toBe(1);
  expect(waterLitres(40, 6)).toBe(4.5);
  expect(waterLitres(40, 0)).toBe(0);
});
