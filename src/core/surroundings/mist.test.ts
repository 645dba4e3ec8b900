import { mistIn } from './mist';

/** Dew points by Magnus (checked in checks/): at 8 °C, 97 % is 0.45 °C under the air, 90 % is 1.54, 60 % is 7.30. */
const air = (relativeHumidityPct: number, windMs: number) =>
  mistIn({ temperatureC: 8, relativeHumidityPct, windMs });

test('still air near its dew point holds mist; drier air or wind keeps it away, and which is told', () => {
  expect(air(97, 0.5)).toEqual({ mist: 'likely', spreadC: expect.closeTo(0.447, 2), why: 'damp' });
  expect(air(97, 3)).toMatchObject({ mist: 'possible', why: 'damp' });
  expect(air(90, 1)).toMatchObject({ mist: 'possible', spreadC: expect.closeTo(1.54, 1) });
  expect(air(97, 5)).toMatchObject({ mist: 'none', why: 'wind' });
  expect(air(60, 0.5)).toMatchObject({ mist: 'none', spreadC: expect.closeTo(7.3, 1), why: 'dry' });
  expect(air(60, 9)).toMatchObject({ mist: 'none', why: 'dry' });
});

test('saturated air is at its dew point', () => {
  expect(air(100, 0).spreadC).toBeCloseTo(0, 9);
});

test('what is not there is refused by name', () => {
  expect(() => air(0, 1)).toThrow('relativeHumidityPct');
  expect(() => air(50, -1)).toThrow('windMs');
});
