import { chance } from '@/demo/chance';
import { cloudOf, forecastSchema, hourAt, WEATHERS } from '@/records/forecast';
import { forecastFor } from './forecast';

const ASKED = { latitudeDeg: 53.12, longitudeDeg: -1.87, date: '2027-04-16' } as const;

test.each(WEATHERS)(
  '%s: a whole forecast that says it is simulated, the same each time',
  (weather) => {
    const made = forecastFor({ ...ASKED, weather });
    expect(forecastSchema.parse(made)).toEqual(made);
    expect(made.simulated).toBe(true);
    expect(forecastFor({ ...ASKED, weather })).toEqual(made);
    expect(cloudOf(made)).toHaveLength(made.hours.length);
  },
);

test('weathers differ as their names say', () => {
  const mean = (weather: (typeof WEATHERS)[number], of: 'cloud' | 'rainMmH' | 'temperatureC') => {
    const { hours } = forecastFor({ ...ASKED, weather });
    return hours.reduce((sum, hour) => sum + hour[of], 0) / hours.length;
  };
  expect(mean('settled', 'cloud')).toBeLessThan(0.25);
  expect(mean('overcast', 'cloud')).toBeGreaterThan(0.85);
  expect(mean('rain', 'rainMmH')).toBeGreaterThan(1);
  expect(mean('settled', 'rainMmH')).toBe(0);
  expect(mean('snow', 'temperatureC')).toBeLessThan(mean('settled', 'temperatureC') - 8);
});

test('other places and days have other hours, and the local day is covered in every zone', () => {
  const here = forecastFor({ ...ASKED, weather: 'changeable' });
  const there = forecastFor({ ...ASKED, latitudeDeg: 40, weather: 'changeable' });
  expect(there.hours.map(({ cloud }) => cloud)).not.toEqual(here.hours.map(({ cloud }) => cloud));
  const midnight = Date.parse('2027-04-16T00:00:00Z');
  for (const zoneHours of [-14, 12]) {
    const [from, to] = [midnight + zoneHours * 3.6e6, midnight + (zoneHours + 24) * 3.6e6];
    expect(hourAt(here, from)).toBeDefined();
    expect(hourAt(here, to)).toBeDefined();
  }
  expect(hourAt(here, midnight - 40 * 3.6e6)).toBeUndefined();
});

test('chances are spread over 0 to 1', () => {
  const values = Array.from({ length: 2000 }, (_, i) => chance(`x ${i}`));
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  expect(mean).toBeGreaterThan(0.47);
  expect(mean).toBeLessThan(0.53);
  expect(Math.min(...values)).toBeGreaterThanOrEqual(0);
  expect(Math.max(...values)).toBeLessThan(1);
});
