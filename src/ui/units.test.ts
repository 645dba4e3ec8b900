import { degrees, setUnits, shownIn, unitsNow, written } from './units';

afterEach(() => setUnits('metric'));

test('metres are what is written unless feet are chosen', () => {
  expect(unitsNow()).toBe('metric');
  expect(written(23.88, 'm', 1)).toBe('23.9 m');
  expect(degrees(14.4)).toBe('14 °C');
  expect(shownIn('m')).toEqual({ unit: 'm', each: 1 });
});

test('in feet: 0.3048 m a foot, 0.44704 m/s a mile an hour, exactly', () => {
  setUnits('imperial');
  expect(written(0.3048, 'm', 3)).toBe('1.000 ft');
  expect(written(9.388, 'm/s', 1)).toBe('21.0 mph');
  expect(written(1.609344, 'km', 2)).toBe('1.00 mi');
  expect(degrees(100)).toBe('212 °F');
});
