import { ALDER_REACH } from '@/demo/alder-reach';
import { cloudOf, forecastSchema, type ForecastHour } from '@/records/forecast';
import { shootSchema } from '@/records/shoot';
import { forecastInWords, hourInShort, weatherInWords } from './forecast-words';
import { askedOf, typedForecast, withHour } from './own-forecast';

const TYPED = typedForecast(ALDER_REACH);

test('hours typed in begin as the weather is set by hand, from before the shoot to after it', () => {
  expect(forecastSchema.parse(TYPED)).toEqual(TYPED);
  // 05:15 to 08:30 in summer time: 04:00 to 08:00 UTC.
  expect(TYPED.hours.map(({ time }) => time.slice(11, 16))).toEqual([
    ...['04:00', '05:00', '06:00', '07:00', '08:00'],
  ]);
  const { windMs, temperatureC } = ALDER_REACH.air;
  expect(TYPED.hours[0]).toMatchObject({ cloud: 0.5, cloudLow: 0.3, windMs, temperatureC });
  expect(forecastInWords(TYPED)).toBe('by hours typed in');
  const light = { ...ALDER_REACH.light, forecast: TYPED, skyFrom: 'forecast' as const };
  expect(shootSchema.safeParse({ ...ALDER_REACH, light }).success).toBe(true);
});

test('one hour is set right, its cloud within what it may be off, and who changed it is told', () => {
  const changed = withHour(TYPED, 2, { cloud: 0.9, windMs: 7 });
  expect(changed.from).toBe(TYPED.from);
  expect(changed.hours[2]).toMatchObject({ cloudLow: 0.7, cloud: 0.9, cloudHigh: 1, windMs: 7 });
  expect(changed.hours[1]).toBe(TYPED.hours[1]);
  expect(cloudOf(changed)[2]?.expected).toBe(0.9);
  expect(hourInShort({ ...(changed.hours[2] as ForecastHour), rainMmH: 0.25 })).toMatch(
    /^cloud 90 %, -?\d+ °C, wind 7 m\/s, rain 0\.3 mm\/h$/,
  );
  const file = { ...TYPED, from: 'garden.json' };
  const once = withHour(file, 0, { rainMmH: 1 });
  expect(once.from).toBe('garden.json, changed by hand');
  expect(once.hours[0]?.cloud).toBe(0.5);
  expect(withHour(once, 1, { rainMmH: 1 }).from).toBe(once.from);
});

test('cloud is said between the hours as the light takes it; outside them nothing is', () => {
  const changed = withHour(TYPED, 2, { cloud: 0.9 });
  const at = (clock: string) => weatherInWords(changed, Date.parse(`2027-05-08T${clock}Z`));
  // Half of the way from 50 % to 90 %.
  expect(at('05:30')).toMatch(/^cloud 70 % \(50 to 85\), /);
  expect(at('05:30')).not.toMatch(/seeing/);
  expect(at('15:00')).toMatch(/no such hour/);
});

test('a made-up forecast names its weather, a real one where it is from; long names are cut to fit', () => {
  const { from: _from, ...bare } = TYPED;
  expect(forecastSchema.safeParse(bare).success).toBe(false);
  expect(forecastSchema.safeParse({ ...bare, simulated: true }).success).toBe(false);
  expect(forecastSchema.safeParse({ ...bare, simulated: true, weather: 'mist' }).success).toBe(
    true,
  );
  const { name } = askedOf(ALDER_REACH, `${'x'.repeat(300)}.json`);
  const changed = withHour({ ...TYPED, from: name }, 0, { cloud: 1 });
  expect(forecastSchema.safeParse(changed).success).toBe(true);
});
