import { forecastSchema } from '@/records/forecast';
import { readForecast, type ForecastAsked } from './forecast-file';

/** The files are written by hand here, as services and people write them. */

const ASKED: ForecastAsked = {
  ...{ name: 'garden.json', date: '2027-05-08', timeZone: 'Europe/London' },
  // 05:15 to 08:30 in summer time.
  ...{ startMs: Date.UTC(2027, 4, 8, 4, 15), endMs: Date.UTC(2027, 4, 8, 7, 30) },
  ...{ latitudeDeg: 52.4, longitudeDeg: -2.9 },
  air: { windMs: 3, temperatureC: 9, humidityPct: 80, rainMmH: 0 },
};
const read = (text: string, asked = {}) => readForecast(text, { ...ASKED, ...asked });
const hoursIn = (text: string, asked = {}) => {
  const found = read(text, asked);
  if (!found.ok) throw new Error(found.reason);
  expect(forecastSchema.safeParse(found.forecast).success).toBe(true);
  return found;
};
const whyNot = (text: string) => {
  const found = read(text);
  return found.ok ? 'read' : found.reason;
};

test('JSON of columns, with units and an offset beside', () => {
  const { forecast, filled } = hoursIn(
    JSON.stringify({
      latitude: 52.4,
      utc_offset_seconds: 3600,
      hourly_units: {
        time: 'iso8601',
        temperature_2m: '°F',
        wind_speed_10m: 'km/h',
        visibility: 'm',
      },
      hourly: {
        time: ['2027-05-08T05:00', '2027-05-08T06:00', '2027-05-08T07:00'],
        temperature_2m: [50, 51.8, 53.6],
        relative_humidity_2m: [93, 90, 85],
        cloud_cover_low: [1, 2, 3],
        cloud_cover: [10, 55, 100],
        wind_gusts_10m: [90, 90, 90],
        wind_speed_10m: [18, 36, 7.2],
        precipitation_probability: [5, 6, 7],
        precipitation: [0, 0.4, 1],
        visibility: [24000, 12000, 800],
      },
    }),
  );
  expect(filled).toEqual([]);
  expect(forecast).toMatchObject({ simulated: false, from: 'garden.json', date: '2027-05-08' });
  // 50 °F is 10 °C; 18 km/h is 5 m/s; 05:00 an hour east of Greenwich is 04:00 there.
  expect(forecast.hours[0]).toEqual({
    ...{
      time: '2027-05-08T04:00:00.000Z',
      cloud: 0.1,
      cloudLow: 0,
      cloudHigh: expect.closeTo(0.3, 9),
    },
    ...{ windMs: 5, temperatureC: 10, humidityPct: 93, rainMmH: 0, visibilityKm: 24 },
  });
  expect(forecast.hours[2]).toMatchObject({
    cloud: 1,
    cloudLow: 0.8,
    cloudHigh: 1,
    windMs: 2,
    rainMmH: 1,
  });
  expect(forecast.hours[1]?.windMs).toBeCloseTo(10, 9);
});

test('JSON of rows, by seconds since 1970, and what it does not say as set by hand', () => {
  const rows = [0, 1, 2].map((i) => ({
    dt: Date.UTC(2027, 4, 8, 4 + i) / 1000,
    clouds: 40 + i,
    'wind m/s': 2,
  }));
  const { forecast, filled } = hoursIn(JSON.stringify({ city: 'made up', list: rows }));
  expect(filled).toEqual(['temperature', 'humidity', 'rain']);
  expect(forecast.hours.map(({ cloud }) => cloud)).toEqual([0.4, 0.41, 0.42]);
  expect(forecast.hours[0]).toMatchObject({
    temperatureC: 9,
    humidityPct: 80,
    rainMmH: 0,
    windMs: 2,
  });
  expect(forecast.hours[0]).not.toHaveProperty('visibilityKm');
  expect(hoursIn(JSON.stringify(rows)).forecast).toEqual(forecast);
});

test('a table as it is pasted: its zone the shoot’s, commas for points, units in cells, over midnight', () => {
  const { forecast } = hoursIn(
    'My forecast\n\nTime;Cloud %;Wind;Temperature °C;Rain\n23:00;20;12 km/h;8,5;0\n00:00;30;10 kn;8;0,2 mm\n05:00;40;5 m/s;7;0\n06:00;70;20 mph;7;0\n',
    { date: '2027-05-07' },
  );
  expect(forecast.hours.map(({ time }) => time)).toEqual([
    ...['2027-05-07T22:00:00.000Z', '2027-05-07T23:00:00.000Z'],
    ...['2027-05-08T04:00:00.000Z', '2027-05-08T05:00:00.000Z'],
  ]);
  expect(forecast.hours.map(({ temperatureC }) => temperatureC)).toEqual([8.5, 8, 7, 7]);
  // 12 km/h, 10 knots, 5 m/s, 20 miles an hour.
  [3.3333, 5.1444, 5, 8.9408].forEach((ms, i) =>
    expect(forecast.hours[i]?.windMs).toBeCloseTo(ms, 3),
  );
  expect(forecast.hours[1]?.rainMmH).toBe(0.2);
});

test.each([
  ['tabs', 'time\tcloud okta\n05:00\t4\n06:00\t8'],
  ['commas', 'date time,cloud /8\n2027-05-08 05:00,4\n2027-05-08 06:00,8'],
  ['spaces', 'time  cloud cover\n5am  50%\n6am  100%'],
  ['shares', 'Time|Cloud\n0500|0.5\n0600|1.0'],
  ['a date and a time apart', 'date,time,cloud %\n2027-05-08,05:00,50\n2027-05-08,6 am,100'],
  ['German dates', 'date time;cloud %\n08.05.2027 05:00;50\n08.05.2027 06:00;100'],
])('cloud by eighths, hundredths and shares, parted by %s', (_how, text) => {
  expect(hoursIn(text).forecast.hours.map(({ time, cloud }) => [time, cloud])).toEqual([
    ['2027-05-08T04:00:00.000Z', 0.5],
    ['2027-05-08T05:00:00.000Z', 1],
  ]);
});

test('of a long forecast the days about the shoot are kept', () => {
  const rows = Array.from({ length: 384 }, (_, i) => {
    const at = new Date(Date.UTC(2027, 4, 1) + i * 3_600_000).toISOString();
    return `${at},${i % 100}`;
  });
  const { forecast } = hoursIn(`time,cloud %\n${rows.join('\n')}`);
  expect(forecast.hours).toHaveLength(51);
  expect(forecast.hours[0]?.time).toBe('2027-05-07T05:00:00.000Z');
});

test.each([
  ['time,cloud %\n05:00,40\n06:00,much', 'line 3, cloud %: "much" is no number'],
  ['time,cloud %\n05:00,40\n06:00,', 'line 3, cloud %: is empty'],
  ['time,cloud %\n05:00,40\n06:00,140', 'line 3, cloud %: must be from 0 to 100 %'],
  [
    'time,cloud %\nsoon,40\n06:00,4',
    'line 2, time: "soon" is no time; write 06:00 or 2027-05-08 06:00',
  ],
  [
    'time,cloud %,wind\n05:00,40,9\n06:00,4,9',
    'wind: say its unit in its name, m/s, km/h, mph or kn',
  ],
  ['time,cloud %,temp\n05:00,40,9\n06:00,4,9', 'temp: say its unit in its name, °C or °F'],
  [
    'time,cloud %,wind\n05:00,40,9 furlongs\n06:00,4,9',
    'line 2, wind: the unit of "9 furlongs" is not known',
  ],
  [
    'time,wind m/s\n05:00,4\n06:00,4',
    'no column is called cloud: without it there is no light to plan',
  ],
  ['time,cloud %,air °C\n05:00,40,70\n06:00,4,9', 'line 2, air °C: must be from -90 to 60 °C'],
  [
    '2027-05-08 05:00,40\n2027-05-08 06:00,50',
    'no line names its columns: write one such as “time; cloud %; wind m/s” over it',
  ],
  ['time,cloud %', 'there are names of columns and no rows under them'],
  [
    'date time,cloud %\n2027-05-08 06:00,4\n2027-05-08 05:00,4',
    'line 3: its time must be later than that of the row before',
  ],
  [
    'date time,cloud %\n2027-06-08 06:00,4\n2027-06-08 07:00,4',
    'it runs from 8 June 06:00 to 8 June 07:00 and has no hour of this shoot',
  ],
  [
    '{"hourly":{"time":["2027-05-08T05:00"],"cloud_cover":[1,2]}}',
    'hourly.cloud_cover has 2 values and time 1: they must be as many',
  ],
  [
    '{"hourly":{"time":["2027-05-08T05:00","2027-05-08T06:00"],"cloud_cover":[1,null]}}',
    'hourly 2, cloud cover: is empty',
  ],
  ['{"hours"', 'it begins as JSON and is none: save it again, whole'],
  ['{"a":1}', 'there are no hours in it: a list of rows or of columns, one of them the time'],
  ['[[["deep"]]]', 'there are no hours in it: a list of rows or of columns, one of them the time'],
  ['', 'no line names its columns: write one such as “time; cloud %; wind m/s” over it'],
  ['x'.repeat(1_000_001), 'it is over 1 MB'],
])('what can’t be read is named, and nothing is brought in (%#)', (text, reason) => {
  expect(whyNot(text)).toBe(reason);
});

test('a hostile file makes no more of a record than hours', () => {
  const text =
    '{"hourly":{"__proto__":{"polluted":1},"constructor":["x"],"time":["2027-05-08T05:00","2027-05-08T06:00"],"cloud_cover":[1,2]},"list":"x"}';
  expect(whyNot(text)).toMatch(/constructor has 1 values and time 2/);
  expect(({} as { polluted?: number }).polluted).toBeUndefined();
  const many = `time,cloud %\n${'05:00,4\n'.repeat(1001)}`;
  expect(whyNot(many)).toBe('over 1000 rows: leave out the other weeks');
});
